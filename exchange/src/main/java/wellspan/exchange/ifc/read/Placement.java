package wellspan.exchange.ifc.read;

import java.util.Optional;

/**
 * A rigid or scaled placement in space: rows of a 3 × 4 matrix.
 *
 * @param m row by row; the fourth column is the shift
 */
record Placement(double[] m) {
  private static final double[] UP = {0, 0, 1};
  private static final double[] EAST = {1, 0, 0};

  static final Placement IDENTITY =
      new Placement(new double[] {1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 1, 0});

  /** First the other, then this. */
  Placement after(Placement o) {
    double[] r = new double[12];
    for (int i = 0; i < 12; i += 4) {
      for (int j = 0; j < 4; j++) {
        r[i + j] =
            m[i] * o.m[j] + m[i + 1] * o.m[4 + j] + m[i + 2] * o.m[8 + j] + (j == 3 ? m[i + 3] : 0);
      }
    }
    return new Placement(r);
  }

  boolean isIdentity() {
    return java.util.Arrays.equals(m, IDENTITY.m);
  }

  /** A place in these axes, where they are of length one. */
  double[] local(double[] place) {
    double[] v = {place[0] - m[3], place[1] - m[7], place[2] - m[11]};
    double[] out = new double[3];
    for (int k = 0; k < 3; k++) {
      out[k] = v[0] * m[k] + v[1] * m[4 + k] + v[2] * m[8 + k];
    }
    return out;
  }

  /** Moves points given in threes, in place. */
  void apply(double[] xyz, int from, int to) {
    for (int i = from; i < to; i += 3) {
      double x = xyz[i], y = xyz[i + 1], z = xyz[i + 2];
      xyz[i] = m[0] * x + m[1] * y + m[2] * z + m[3];
      xyz[i + 1] = m[4] * x + m[5] * y + m[6] * z + m[7];
      xyz[i + 2] = m[8] * x + m[9] * y + m[10] * z + m[11];
    }
  }

  /**
   * An IfcAxis2Placement2D or 3D; the identity where an optional one is not given.
   *
   * @throws Unread if it does not say a place and axes
   */
  static Placement axis(Optional<Instance> of) {
    if (of.isEmpty()) {
      return IDENTITY;
    }
    Instance p = of.get();
    boolean flat = p.isA("IFCAXIS2PLACEMENT2D");
    if (!flat && !p.isA("IFCAXIS2PLACEMENT3D")) {
      throw Unread.kind(p);
    }
    double[] o = point(p.ref("Location"), p, flat ? 2 : 3);
    double[] z = flat || p.ref("Axis").isEmpty() ? UP : direction(p.ref("Axis"), p);
    double[] x =
        p.ref("RefDirection").isPresent()
            ? direction(p.ref("RefDirection"), p)
            : Math.abs(z[0]) > 1 - 1e-12 ? UP : EAST;
    if (Math.abs(Direction.dot(x, z)) > 1 - 1e-12) {
      throw new Unread(p, "has an axis and a reference direction that are parallel");
    }
    return frame(o, x, z, 1, 1, 1);
  }

  private static Placement frame(
      double[] o, double[] xHint, double[] z, double sx, double sy, double sz) {
    double d = xHint[0] * z[0] + xHint[1] * z[1] + xHint[2] * z[2];
    double[] x = unit(new double[] {xHint[0] - d * z[0], xHint[1] - d * z[1], xHint[2] - d * z[2]});
    double[] y = {z[1] * x[2] - z[2] * x[1], z[2] * x[0] - z[0] * x[2], z[0] * x[1] - z[1] * x[0]};
    return new Placement(
        new double[] {
          x[0] * sx, y[0] * sy, z[0] * sz, o[0], x[1] * sx, y[1] * sy, z[1] * sz, o[1], x[2] * sx,
          y[2] * sy, z[2] * sz, o[2]
        });
  }

  /**
   * An IfcCartesianTransformationOperator2D or 3D, with axes of any length and side.
   *
   * @throws Unread if it does not say how
   */
  static Placement operator(Instance t) {
    double s = t.number("Scale", 1);
    double s2 = t.number("Scale2", s);
    double s3 = t.number("Scale3", s);
    if (s == 0 || s2 == 0 || s3 == 0) {
      throw new Unread(t, "scales to nothing");
    }
    boolean flat = t.isA("IFCCARTESIANTRANSFORMATIONOPERATOR2D");
    double[] o = point(t.ref("LocalOrigin"), t, flat ? 2 : 3);
    double[] z = flat || t.ref("Axis3").isEmpty() ? UP : direction(t.ref("Axis3"), t);
    double[] x = t.ref("Axis1").isEmpty() ? EAST : direction(t.ref("Axis1"), t);
    if (Math.abs(Direction.dot(x, z)) > 1 - 1e-12) {
      throw new Unread(t, "has axes that are parallel");
    }
    Placement p = frame(o, x, z, s, s2, s3);
    if (t.ref("Axis2").isPresent()) {
      double[] y = direction(t.ref("Axis2"), t);
      double along = y[0] * p.m[1] + y[1] * p.m[5] + y[2] * p.m[9];
      if (along * Math.signum(s2) < 0) { // a mirror
        double[] m = p.m.clone();
        for (int i = 1; i < 12; i += 4) {
          m[i] = -m[i];
        }
        return new Placement(m);
      }
    }
    return p;
  }

  /** Whether it turns what is right into what is left. */
  boolean mirrors() {
    double[] x = {m[0], m[4], m[8]};
    double[] y = {m[1], m[5], m[9]};
    double[] z = {m[2], m[6], m[10]};
    return Direction.dot(Direction.cross(x, y), z) < 0;
  }

  /**
   * A point in space or in a plane, where z is 0.
   *
   * @throws Unread if it is none
   */
  static double[] point(Optional<Instance> p) {
    double[] c = p.map(i -> i.numbers("Coordinates")).orElse(new double[0]);
    if (c.length < 2 || c.length > 3) {
      throw new Unread(
          p.orElseThrow(() -> new IllegalStateException("a point that the schema demands")),
          "has " + c.length + " coordinates (a decimal comma?)");
    }
    return new double[] {c[0], c[1], c.length > 2 ? c[2] : 0};
  }

  private static double[] point(Optional<Instance> p, Instance of, int dimensions) {
    if (p.isEmpty() || !p.get().isA("IFCCARTESIANPOINT")) {
      throw new Unread(of, "does not say its location by a point");
    }
    int n = p.get().numbers("Coordinates").length;
    if (n != dimensions) {
      throw new Unread(
          p.get(),
          "has " + n + " coordinates where " + dimensions + " are needed (a decimal comma?)");
    }
    return point(p);
  }

  /**
   * @throws Unread if it is no direction
   */
  static double[] direction(Optional<Instance> d, Instance of) {
    double[] c = d.map(i -> i.numbers("DirectionRatios")).orElse(new double[0]);
    double[] v = {c.length > 0 ? c[0] : 0, c.length > 1 ? c[1] : 0, c.length > 2 ? c[2] : 0};
    double l = Math.sqrt(Direction.dot(v, v));
    if (c.length < 2 || !(l > 0) || !Double.isFinite(l)) {
      throw new Unread(of, "has a direction that points nowhere");
    }
    return new double[] {v[0] / l, v[1] / l, v[2] / l};
  }

  private static double[] unit(double[] v) {
    double l = Math.sqrt(Direction.dot(v, v));
    return new double[] {v[0] / l, v[1] / l, v[2] / l};
  }
}
