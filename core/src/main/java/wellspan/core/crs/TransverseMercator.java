package wellspan.core.crs;

import java.util.Optional;

/**
 * The transverse Mercator projection by Krüger's series to the sixth order in the third flattening,
 * with the coefficients of Karney, "Transverse Mercator with an accuracy of a few nanometers",
 * Journal of Geodesy 85 (2011), equations 7 to 36. Most systems of surveying are such; the
 * projection library's own needs twice the time.
 *
 * <p>Angles are in radians, coordinates in the system's own unit.
 */
final class TransverseMercator implements Projection {
  private static final double UTM_SCALE = 0.9996;

  private final double e;
  private final double lambda0;
  private final double k;
  private final double falseEast;
  private final double unit;
  private final double[] alpha;
  private final double[] beta;
  private final double[] delta;

  /** Northing of the equator, metres; 0 until the constructor has found it. */
  private double north;

  /** Where the projection has its origin (radians), its scale and its false origin (metres). */
  private record Centre(
      double longitude, double latitude, double scale, double east, double north) {}

  private TransverseMercator(double a, double e2, Centre at, double unit) {
    e = Math.sqrt(e2);
    lambda0 = at.longitude();
    double flattening = 1 - Math.sqrt(1 - e2);
    double n = flattening / (2 - flattening);
    double n2 = n * n;
    double rectifying = a / (1 + n) * (1 + n2 / 4 + n2 * n2 / 64 + n2 * n2 * n2 / 256);
    k = at.scale() * rectifying;
    alpha = alpha(n);
    beta = beta(n);
    delta = delta(n);
    falseEast = at.east();
    this.unit = unit;
    double[] origin = new double[2];
    project(lambda0, at.latitude(), origin);
    north = at.north() - origin[1] * unit;
  }

  /**
   * The projection of a system, empty if it is another one or counts along other axes.
   *
   * @param a major axis of its ellipsoid, metres
   * @param e2 first eccentricity squared
   */
  static Optional<Projection> of(Crs crs, double a, double e2) {
    ProjectionParameters p = ProjectionParameters.of(crs);
    boolean utm = p.is("utm");
    if (!utm && !p.is("tmerc") || p.says("axis=")) {
      return Optional.empty();
    }
    if (!utm) {
      return Optional.of(
          new TransverseMercator(
              a,
              e2,
              new Centre(
                  Math.toRadians(p.number("lon_0", 0)),
                  Math.toRadians(p.number("lat_0", 0)),
                  p.scale(),
                  p.number("x_0", 0),
                  p.number("y_0", 0)),
              crs.metresPerUnit()));
    }
    double zone = p.number("zone", Double.NaN);
    if (Double.isNaN(zone)) {
      return Optional.empty();
    }
    Centre centre =
        new Centre(
            Math.toRadians(6 * zone - 183),
            0,
            UTM_SCALE,
            500_000,
            p.says("south") ? 10_000_000 : 0);
    return Optional.of(new TransverseMercator(a, e2, centre, crs.metresPerUnit()));
  }

  private static double[] alpha(double n) {
    double n2 = n * n, n3 = n2 * n, n4 = n3 * n, n5 = n4 * n, n6 = n5 * n;
    return new double[] {
      n / 2 - 2 * n2 / 3 + 5 * n3 / 16 + 41 * n4 / 180 - 127 * n5 / 288 + 7891 * n6 / 37_800,
      13 * n2 / 48 - 3 * n3 / 5 + 557 * n4 / 1440 + 281 * n5 / 630 - 1_983_433 * n6 / 1_935_360,
      61 * n3 / 240 - 103 * n4 / 140 + 15_061 * n5 / 26_880 + 167_603 * n6 / 181_440,
      49_561 * n4 / 161_280 - 179 * n5 / 168 + 6_601_661 * n6 / 7_257_600,
      34_729 * n5 / 80_640 - 3_418_889 * n6 / 1_995_840,
      212_378_941 * n6 / 319_334_400
    };
  }

  private static double[] beta(double n) {
    double n2 = n * n, n3 = n2 * n, n4 = n3 * n, n5 = n4 * n, n6 = n5 * n;
    return new double[] {
      n / 2 - 2 * n2 / 3 + 37 * n3 / 96 - n4 / 360 - 81 * n5 / 512 + 96_199 * n6 / 604_800,
      n2 / 48 + n3 / 15 - 437 * n4 / 1440 + 46 * n5 / 105 - 1_118_711 * n6 / 3_870_720,
      17 * n3 / 480 - 37 * n4 / 840 - 209 * n5 / 4480 + 5569 * n6 / 90_720,
      4397 * n4 / 161_280 - 11 * n5 / 504 - 830_251 * n6 / 7_257_600,
      4583 * n5 / 161_280 - 108_847 * n6 / 3_991_680,
      20_648_693 * n6 / 638_668_800
    };
  }

  private static double[] delta(double n) {
    double n2 = n * n, n3 = n2 * n, n4 = n3 * n, n5 = n4 * n, n6 = n5 * n;
    return new double[] {
      2 * n - 2 * n2 / 3 - 2 * n3 + 116 * n4 / 45 + 26 * n5 / 45 - 2854 * n6 / 675,
      7 * n2 / 3 - 8 * n3 / 5 - 227 * n4 / 45 + 2704 * n5 / 315 + 2323 * n6 / 945,
      56 * n3 / 15 - 136 * n4 / 35 - 1262 * n5 / 105 + 73_814 * n6 / 2835,
      4279 * n4 / 630 - 332 * n5 / 35 - 399_572 * n6 / 14_175,
      4174 * n5 / 315 - 144_838 * n6 / 6237,
      601_676 * n6 / 22_275
    };
  }

  /** Longitude and latitude to easting and northing. */
  @Override
  public void project(double longitude, double latitude, double[] xy) {
    double lambda = around(longitude - lambda0);
    double cosine = Math.cos(lambda);
    double tau = conformal(Math.tan(latitude));
    double r = Math.sqrt(tau * tau + cosine * cosine);
    double sinh = Math.sin(lambda) / r;
    double cosh = Math.sqrt(1 + sinh * sinh);
    double sinXi = tau / r;
    double cosXi = cosine / r;
    double[] sum = xy;
    series(
        alpha, 2 * sinXi * cosXi, 2 * cosXi * cosXi - 1, 2 * sinh * cosh, 2 * sinh * sinh + 1, sum);
    double eta = asinh(sinh) + sum[0];
    double xi = Math.atan2(tau, cosine) + sum[1];
    xy[0] = (falseEast + k * eta) / unit;
    xy[1] = (north + k * xi) / unit;
  }

  /** Easting and northing to longitude and latitude. */
  @Override
  public void inverse(double x, double y, double[] lonLat) {
    double eta = (x * unit - falseEast) / k;
    double xi = (y * unit - north) / k;
    double grow = Math.exp(2 * eta);
    double shrink = 1 / grow;
    series(
        beta, Math.sin(2 * xi), Math.cos(2 * xi), (grow - shrink) / 2, (grow + shrink) / 2, lonLat);
    eta -= lonLat[0];
    xi -= lonLat[1];
    double power = Math.exp(eta);
    double sinh = (power - 1 / power) / 2;
    double cosXi = Math.cos(xi);
    double tau = Math.sin(xi) / Math.sqrt(sinh * sinh + cosXi * cosXi);
    lonLat[0] = Math.IEEEremainder(lambda0 + Math.atan2(sinh, cosXi), 2 * Math.PI);
    lonLat[1] = geodetic(tau);
  }

  /**
   * Σ c_j·sin(2jξ)·cosh(2jη) into the second, Σ c_j·cos(2jξ)·sinh(2jη) into the first, by
   * Clenshaw's recurrence in complex numbers.
   */
  private static void series(
      double[] c, double sin2, double cos2, double sinh2, double cosh2, double[] into) {
    double ar = 2 * cos2 * cosh2;
    double ai = -2 * sin2 * sinh2;
    double br = 0, bi = 0, br1 = 0, bi1 = 0;
    for (int j = c.length - 1; j >= 0; j--) {
      double tr = ar * br - ai * bi - br1 + c[j];
      double ti = ar * bi + ai * br - bi1;
      br1 = br;
      bi1 = bi;
      br = tr;
      bi = ti;
    }
    double sr = sin2 * cosh2;
    double si = cos2 * sinh2;
    into[1] = sr * br - si * bi;
    into[0] = sr * bi + si * br;
  }

  private static double around(double angle) {
    return angle > Math.PI || angle < -Math.PI ? Math.IEEEremainder(angle, 2 * Math.PI) : angle;
  }

  /** Tangent of the conformal latitude from that of the geodetic one. */
  private double conformal(double tau) {
    double root = Math.sqrt(1 + tau * tau);
    double sine = e * tau / root;
    double small = e / 2 * Math.log((1 + sine) / (1 - sine));
    double s2 = small * small; // below 5e-5, so that three terms of sinh are exact
    double sigma = small * (1 + s2 / 6 * (1 + s2 / 20));
    return tau * Math.sqrt(1 + sigma * sigma) - sigma * root;
  }

  /** Geodetic latitude from the tangent of the conformal one, by the series in its multiples. */
  private double geodetic(double tau) {
    double square = tau * tau;
    double sine = 2 * tau / (1 + square);
    double cosine = (1 - square) / (1 + square);
    double b = 0;
    double b1 = 0;
    for (int j = delta.length - 1; j >= 0; j--) {
      double t = 2 * cosine * b - b1 + delta[j];
      b1 = b;
      b = t;
    }
    return Math.atan(tau) + sine * b;
  }

  private static double asinh(double x) {
    double size = Math.abs(x);
    return Math.copySign(Math.log1p(size + size * size / (1 + Math.sqrt(1 + size * size))), x);
  }
}
