package wellspan.core.picture;

import java.util.Optional;

/**
 * Where a picture lies by the texture coordinates that a mesh gives it: the parallelogram in plan
 * that fits them best (least squares over all vertices).
 *
 * @param worst largest distance between where a vertex lies and where its texture coordinates put
 *     it, metres
 */
public record TextureFit(PicturePlace place, double worst) {
  /**
   * @param xyz easting, northing, level of vertices
   * @param across fraction of the picture's width from the left at each vertex; NaN for a vertex
   *     that has no texture coordinates
   * @param down fraction of its height from the top
   * @return empty if the vertices or their texture coordinates lie on a line
   */
  public static Optional<TextureFit> of(double[] xyz, double[] across, double[] down) {
    Sums s = new Sums();
    for (int i = 0; i < across.length; i++) {
      s.centre(xyz, across, down, i);
    }
    s.centred();
    for (int i = 0; i < across.length; i++) {
      s.add(xyz, across, down, i);
    }
    double det = s.ee * s.nn - s.en * s.en;
    if (!(det > 1e-12 * s.ee * s.nn)) {
      return Optional.empty();
    }
    // fractions by place: (across, down) = their means + the matrix (a b; c d) · (de, dn)
    double a = (s.eu * s.nn - s.nu * s.en) / det, b = (s.nu * s.ee - s.eu * s.en) / det;
    double c = (s.ev * s.nn - s.nv * s.en) / det, d = (s.nv * s.ee - s.ev * s.en) / det;
    double turn = a * d - b * c;
    if (!(Math.abs(turn) > 1e-9 * (Math.abs(a * d) + Math.abs(b * c)))) {
      return Optional.empty();
    }
    PicturePlace place =
        new PicturePlace(
            new double[] {
              s.e + (-d * s.u + b * s.v) / turn,
              s.n + (c * s.u - a * s.v) / turn,
              Double.NaN,
              s.e + (d * (1 - s.u) + b * s.v) / turn,
              s.n + (-c * (1 - s.u) - a * s.v) / turn,
              Double.NaN,
              s.e + (-d * s.u - b * (1 - s.v)) / turn,
              s.n + (c * s.u + a * (1 - s.v)) / turn,
              Double.NaN
            });
    double worst = 0;
    for (int i = 0; i < across.length; i++) {
      if (!Double.isNaN(across[i])) {
        double de = place.east(across[i], down[i]) - xyz[3 * i];
        double dn = place.north(across[i], down[i]) - xyz[3 * i + 1];
        worst = Math.max(worst, Math.hypot(de, dn));
      }
    }
    return Optional.of(new TextureFit(place, worst));
  }

  /** Means, and sums of products of what is left without them. */
  private static final class Sums {
    private int count;
    private double e;
    private double n;
    private double u;
    private double v;
    private double ee;
    private double en;
    private double nn;
    private double eu;
    private double nu;
    private double ev;
    private double nv;

    void centre(double[] xyz, double[] across, double[] down, int i) {
      if (!Double.isNaN(across[i])) {
        count++;
        e += xyz[3 * i];
        n += xyz[3 * i + 1];
        u += across[i];
        v += down[i];
      }
    }

    void centred() {
      e /= count;
      n /= count;
      u /= count;
      v /= count;
    }

    void add(double[] xyz, double[] across, double[] down, int i) {
      if (Double.isNaN(across[i])) {
        return;
      }
      double de = xyz[3 * i] - e, dn = xyz[3 * i + 1] - n;
      double du = across[i] - u, dv = down[i] - v;
      ee += de * de;
      en += de * dn;
      nn += dn * dn;
      eu += de * du;
      nu += dn * du;
      ev += de * dv;
      nv += dn * dv;
    }
  }
}
