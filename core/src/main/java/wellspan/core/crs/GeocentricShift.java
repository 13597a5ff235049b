package wellspan.core.crs;

import org.locationtech.proj4j.datum.Datum;

/**
 * A datum's shift to WGS 84 and back by three or seven parameters on geocentric coordinates: EPSG
 * method 1031 or 1033 (position vector), guidance note 7-2, section 4.3.3. From geocentric to
 * geographic by Bowring's formula, Survey Review 23 (1976), once: below a hundredth of a millimetre
 * for heights to 10 km.
 *
 * <p>Places are longitude, latitude (radians) and ellipsoidal height (metres).
 */
final class GeocentricShift {
  private static final Ellipsoid WGS84 = new Ellipsoid(6_378_137, 0.0066943799901413165);

  private static final double[] NONE = {};
  private static final int SEVEN = 7;

  private final Ellipsoid own;

  /** Translation, rotation (radians) and factor; empty if nothing is shifted. */
  private final double[] parameters;

  private record Ellipsoid(double a, double e2) {}

  private GeocentricShift(Datum datum, double[] parameters) {
    own =
        new Ellipsoid(
            datum.getEllipsoid().getEquatorRadius(), datum.getEllipsoid().getEccentricitySquared());
    this.parameters = parameters;
  }

  /** The shift of a datum; none for those that are WGS 84 or have an unknown relation to it. */
  static GeocentricShift of(Datum datum) {
    if (!datum.hasTransformToWGS84()) {
      return none(datum);
    }
    double[] given = datum.getTransformToWGS84();
    double[] seven = {0, 0, 0, 0, 0, 0, 1};
    System.arraycopy(given, 0, seven, 0, Math.min(given.length, SEVEN));
    return new GeocentricShift(datum, seven);
  }

  /** Longitude and latitude stay those of the datum. */
  static GeocentricShift none(Datum datum) {
    return new GeocentricShift(datum, NONE);
  }

  void toWgs84(double[] place) {
    if (parameters.length > 0) {
      geocentric(own, place);
      double[] p = parameters;
      double x = place[0], y = place[1], z = place[2];
      place[0] = p[6] * (x - p[5] * y + p[4] * z) + p[0];
      place[1] = p[6] * (p[5] * x + y - p[3] * z) + p[1];
      place[2] = p[6] * (-p[4] * x + p[3] * y + z) + p[2];
      geographic(WGS84, place);
    }
  }

  /** The way back; like PROJ's, it takes the transposed matrix for the inverse one. */
  void fromWgs84(double[] place) {
    if (parameters.length > 0) {
      geocentric(WGS84, place);
      double[] p = parameters;
      double x = (place[0] - p[0]) / p[6];
      double y = (place[1] - p[1]) / p[6];
      double z = (place[2] - p[2]) / p[6];
      place[0] = x + p[5] * y - p[4] * z;
      place[1] = -p[5] * x + y + p[3] * z;
      place[2] = p[4] * x - p[3] * y + z;
      geographic(own, place);
    }
  }

  private static void geocentric(Ellipsoid on, double[] place) {
    double sine = Math.sin(place[1]);
    double cosine = Math.cos(place[1]);
    double n = on.a / Math.sqrt(1 - on.e2 * sine * sine);
    double fromAxis = (n + place[2]) * cosine;
    double longitude = place[0];
    double height = place[2];
    place[0] = fromAxis * Math.cos(longitude);
    place[1] = fromAxis * Math.sin(longitude);
    place[2] = (n * (1 - on.e2) + height) * sine;
  }

  private static void geographic(Ellipsoid on, double[] place) {
    double z = place[2];
    double fromAxis = Math.sqrt(place[0] * place[0] + place[1] * place[1]);
    double flat = Math.sqrt(1 - on.e2);
    // sine and cosine of the reduced latitude that Bowring starts from
    double up = z;
    double out = flat * fromAxis;
    double size = Math.sqrt(up * up + out * out);
    double s = up / size;
    double c = out / size;
    double secondE2 = on.e2 / (1 - on.e2);
    double rise = z + secondE2 * flat * on.a * s * s * s;
    double run = fromAxis - on.e2 * on.a * c * c * c;
    double slope = Math.sqrt(rise * rise + run * run);
    double sine = rise / slope;
    place[0] = Math.atan2(place[1], place[0]);
    place[1] = Math.atan2(rise, run);
    place[2] = fromAxis * (run / slope) + z * sine - on.a * Math.sqrt(1 - on.e2 * sine * sine);
  }
}
