package wellspan.core.crs;

import java.util.Optional;

/**
 * The Cassini-Soldner projection by the formulas of EPSG guidance note 7-2, section 3.2.2 (method
 * 9806). The way back is found on the way forth, so that both agree to a thousandth of a
 * millimetre; the projection library's series is centimetres off two degrees from the meridian.
 */
final class CassiniSoldner implements Projection {
  private static final int STEPS = 12;
  private static final double SMALL = 1e-13;

  private final double a;
  private final double e2;
  private final double lambda0;
  private final double falseEast;
  private final double north;
  private final double unit;

  private CassiniSoldner(double a, double e2, ProjectionParameters p, double unit) {
    this.a = a;
    this.e2 = e2;
    this.unit = unit;
    lambda0 = Math.toRadians(p.number("lon_0", 0));
    falseEast = p.number("x_0", 0);
    north = p.number("y_0", 0) - meridian(Math.toRadians(p.number("lat_0", 0)));
  }

  /**
   * The projection of a system, empty if it is another one.
   *
   * @param a major axis of its ellipsoid, metres
   * @param e2 first eccentricity squared
   */
  static Optional<Projection> of(Crs crs, double a, double e2) {
    ProjectionParameters p = ProjectionParameters.of(crs);
    return p.is("cass") && !p.says("hyperbolic") && !p.says("axis=")
        ? Optional.of(new CassiniSoldner(a, e2, p, crs.metresPerUnit()))
        : Optional.empty();
  }

  /** Length of the meridian from the equator, metres. */
  private double meridian(double phi) {
    double e4 = e2 * e2, e6 = e4 * e2;
    return a
        * ((1 - e2 / 4 - 3 * e4 / 64 - 5 * e6 / 256) * phi
            - (3 * e2 / 8 + 3 * e4 / 32 + 45 * e6 / 1024) * Math.sin(2 * phi)
            + (15 * e4 / 256 + 45 * e6 / 1024) * Math.sin(4 * phi)
            - (35 * e6 / 3072) * Math.sin(6 * phi));
  }

  @Override
  public void project(double longitude, double latitude, double[] xy) {
    double sin = Math.sin(latitude), cos = Math.cos(latitude), tan = sin / cos;
    double nu = a / Math.sqrt(1 - e2 * sin * sin);
    double t = tan * tan;
    double c = e2 / (1 - e2) * cos * cos;
    double w = Math.IEEEremainder(longitude - lambda0, 2 * Math.PI) * cos;
    double w2 = w * w;
    double x = nu * w * (1 - t * w2 / 6 - (8 - t + 8 * c) * t * w2 * w2 / 120);
    double y = meridian(latitude) + nu * tan * w2 * (0.5 + (5 - t + 6 * c) * w2 / 24);
    xy[0] = (falseEast + x) / unit;
    xy[1] = (north + y) / unit;
  }

  @Override
  public void inverse(double x, double y, double[] lonLat) {
    double phi = (y * unit - north) / a;
    double lambda = lambda0 + (x * unit - falseEast) / (a * Math.cos(phi));
    double[] there = new double[2];
    for (int i = 0; i < STEPS; i++) {
      project(lambda, phi, there);
      double dy = (y - there[1]) * unit / a;
      double dx = (x - there[0]) * unit / (a * Math.cos(phi));
      phi += dy;
      lambda += dx;
      if (Math.abs(dx) + Math.abs(dy) < SMALL) {
        break;
      }
    }
    lonLat[0] = Math.IEEEremainder(lambda, 2 * Math.PI);
    lonLat[1] = phi;
  }
}
