package wellspan.core.geom;

/**
 * An affine map of space: {@code target = M·source + t}.
 *
 * @param m three rows of four numbers: M with t in the last column; immutable by convention
 */
public record Affine(double[] m) {
  public static final Affine IDENTITY =
      new Affine(new double[] {1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 1, 0});

  /**
   * @throws IllegalArgumentException if there are not twelve numbers
   */
  public Affine {
    if (m.length != 12) {
      throw new IllegalArgumentException("An affine map has twelve numbers.");
    }
  }

  public static Affine shift(double x, double y, double z) {
    return new Affine(new double[] {1, 0, 0, x, 0, 1, 0, y, 0, 0, 1, z});
  }

  public static Affine scale(double x, double y, double z) {
    return new Affine(new double[] {x, 0, 0, 0, 0, y, 0, 0, 0, 0, z, 0});
  }

  /**
   * @param angle counter-clockwise seen from above, radians
   */
  public static Affine turn(double angle) {
    double c = Math.cos(angle);
    double s = Math.sin(angle);
    return new Affine(new double[] {c, -s, 0, 0, s, c, 0, 0, 0, 0, 1, 0});
  }

  /** The map that takes the unit axes to these three directions and leaves the zero. */
  public static Affine axes(double[] x, double[] y, double[] z) {
    return new Affine(new double[] {x[0], y[0], z[0], 0, x[1], y[1], z[1], 0, x[2], y[2], z[2], 0});
  }

  /** This map after another one. */
  public Affine after(Affine first) {
    double[] a = m;
    double[] b = first.m;
    double[] out = new double[12];
    for (int r = 0; r < 12; r += 4) {
      for (int c = 0; c < 4; c++) {
        out[r + c] =
            a[r] * b[c] + a[r + 1] * b[4 + c] + a[r + 2] * b[8 + c] + (c == 3 ? a[r + 3] : 0);
      }
    }
    return new Affine(out);
  }

  /** Mapped copies of points in threes. */
  public double[] apply(double[] xyz) {
    double[] out = new double[xyz.length];
    for (int i = 0; i < xyz.length; i += 3) {
      for (int r = 0; r < 3; r++) {
        out[i + r] =
            m[4 * r] * xyz[i]
                + m[4 * r + 1] * xyz[i + 1]
                + m[4 * r + 2] * xyz[i + 2]
                + m[4 * r + 3];
      }
    }
    return out;
  }

  /** Volume of the mapped unit cube; negative if the map mirrors. */
  public double determinant() {
    return m[0] * (m[5] * m[10] - m[6] * m[9])
        - m[1] * (m[4] * m[10] - m[6] * m[8])
        + m[2] * (m[4] * m[9] - m[5] * m[8]);
  }

  public boolean isIdentity() {
    return java.util.Arrays.equals(m, IDENTITY.m);
  }
}
