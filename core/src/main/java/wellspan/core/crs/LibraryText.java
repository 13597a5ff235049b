package wellspan.core.crs;

import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.locationtech.proj4j.CRSFactory;
import org.locationtech.proj4j.datum.Ellipsoid;

/** PROJ texts put so that the projection library computes what PROJ computes. */
final class LibraryText {
  private static final Pattern INVERSE_FLATTENING = Pattern.compile("\\+rf=(\\S+)");
  private static final Pattern MAJOR_AXIS = Pattern.compile("\\+a=(\\S+)");
  private static final Pattern POLE = Pattern.compile("\\+lat_0=(-?90)(\\.0*)?(?=\\s|$)");
  private static final Pattern SCALE = Pattern.compile("\\+k(_0)?=(\\S+)");

  private static final Pattern TRUE_PARALLEL = Pattern.compile("\\+lat_ts=(\\S+)");

  private static final Pattern ALPHA = Pattern.compile("\\+alpha=(\\S+)");
  private static final Pattern GAMMA = Pattern.compile("\\+gamma=(\\S+)");
  private static final Pattern CENTRE = Pattern.compile("\\+lat_0=(\\S+)");
  private static final Pattern FALSE_EAST = Pattern.compile("\\+x_0=(\\S+)");
  private static final Pattern FALSE_NORTH = Pattern.compile("\\+y_0=(\\S+)");

  private LibraryText() {}

  static String of(String proj) {
    return gridDatum(minorAxis(obliqueOrigin(trueParallel(polarScale(proj)))));
  }

  /** The library misreads an inverse flattening, so the minor axis is given instead. */
  private static String minorAxis(String text) {
    Matcher rf = INVERSE_FLATTENING.matcher(text);
    OptionalDouble a = number(MAJOR_AXIS, 1, text);
    if (!rf.find() || a.isEmpty()) {
      return text;
    }
    double b = a.getAsDouble() * (1 - 1 / Double.parseDouble(rf.group(1)));
    return rf.replaceFirst("+b=" + b);
  }

  /** The datum's name stands for grid files that are not there; the parameters given are meant. */
  private static String gridDatum(String text) {
    return text.contains("+towgs84") ? text.replace("+datum=NAD27", "+ellps=clrk66") : text;
  }

  /**
   * The library passes over the scale of a polar stereographic projection; the standard parallel
   * that has this scale at the pole says the same. By EPSG guidance note 7-2: k₀ = m·√((1+e)^(1+e)
   * (1−e)^(1−e)) / (2t), here solved for the parallel by halving.
   */
  private static String polarScale(String text) {
    OptionalDouble k = number(SCALE, 2, text);
    OptionalDouble pole = number(POLE, 1, text);
    if (!text.contains("+proj=stere ")
        || text.contains("+lat_ts")
        || k.isEmpty()
        || pole.isEmpty()
        || k.getAsDouble() == 1) {
      return text;
    }
    double e =
        Math.sqrt(
            0.0066943799901413165); // WGS 84 and GRS 80, the only ones such systems are based on
    double low = 45;
    double high = 90;
    for (int i = 0; i < 80; i++) {
      double middle = (low + high) / 2;
      if (scaleAtPole(Math.toRadians(middle), e) < k.getAsDouble()) {
        low = middle;
      } else {
        high = middle;
      }
    }
    double parallel = Math.copySign(low, pole.getAsDouble());
    return SCALE.matcher(text).replaceFirst("+lat_ts=" + parallel);
  }

  /**
   * The library passes over the standard parallel of a Mercator projection; the scale at the
   * equator says the same: k₀ = cos φ / √(1 − e² sin² φ), EPSG guidance note 7-2, section 3.5.1.
   */
  private static String trueParallel(String text) {
    OptionalDouble parallel = number(TRUE_PARALLEL, 1, text);
    if (!text.contains("+proj=merc ") || parallel.isEmpty()) {
      return text;
    }
    Ellipsoid ellipsoid = ellipsoid(text);
    double phi = Math.toRadians(parallel.getAsDouble());
    double s = Math.sin(phi);
    double k = Math.cos(phi) / Math.sqrt(1 - ellipsoid.getEccentricitySquared() * s * s);
    return TRUE_PARALLEL.matcher(SCALE.matcher(text).replaceAll("")).replaceFirst("+k=" + k);
  }

  /**
   * Where the grid of an oblique Mercator projection is turned by another angle than its central
   * line has, the library takes the one for the other as it shifts the origin from the equator to
   * the centre. The shift is part of the false origin here: u_c of EPSG guidance note 7-2, section
   * 3.5.4.
   */
  private static String obliqueOrigin(String text) {
    OptionalDouble alpha = number(ALPHA, 1, text);
    OptionalDouble gamma = number(GAMMA, 1, text);
    if (!text.contains("+proj=omerc ")
        || text.contains("+no_uoff")
        || alpha.isEmpty()
        || gamma.isEmpty()
        || alpha.getAsDouble() == gamma.getAsDouble()) {
      return text;
    }
    Ellipsoid ellipsoid = ellipsoid(text);
    double e2 = ellipsoid.getEccentricitySquared();
    double phi = Math.toRadians(number(CENTRE, 1, text).orElse(0));
    double s2 = Math.sin(phi) * Math.sin(phi);
    double b = Math.sqrt(1 + e2 * Math.pow(Math.cos(phi), 4) / (1 - e2));
    double a =
        ellipsoid.getEquatorRadius()
            * b
            * number(SCALE, 2, text).orElse(1)
            * Math.sqrt(1 - e2)
            / (1 - e2 * s2);
    double d = b * Math.sqrt(1 - e2) / (Math.cos(phi) * Math.sqrt(1 - e2 * s2));
    double shift =
        Math.copySign(
            a
                / b
                * Math.atan2(
                    Math.sqrt(Math.max(0, d * d - 1)),
                    Math.cos(Math.toRadians(alpha.getAsDouble()))),
            phi);
    double turned = Math.toRadians(gamma.getAsDouble());
    double x = number(FALSE_EAST, 1, text).orElse(0) - shift * Math.sin(turned);
    double y = number(FALSE_NORTH, 1, text).orElse(0) - shift * Math.cos(turned);
    String without = FALSE_NORTH.matcher(FALSE_EAST.matcher(text).replaceAll("")).replaceAll("");
    return without + " +no_uoff +x_0=" + x + " +y_0=" + y;
  }

  private static Ellipsoid ellipsoid(String text) {
    return new CRSFactory()
        .createFromParameters("", gridDatum(minorAxis(text)))
        .getDatum()
        .getEllipsoid();
  }

  private static double scaleAtPole(double latitude, double e) {
    double s = Math.sin(latitude);
    double m = Math.cos(latitude) / Math.sqrt(1 - e * e * s * s);
    double t = Math.tan(Math.PI / 4 - latitude / 2) / Math.pow((1 - e * s) / (1 + e * s), e / 2);
    return m * Math.sqrt(Math.pow(1 + e, 1 + e) * Math.pow(1 - e, 1 - e)) / (2 * t);
  }

  private static OptionalDouble number(Pattern p, int group, String text) {
    Matcher m = p.matcher(text);
    return m.find()
        ? OptionalDouble.of(Double.parseDouble(m.group(group)))
        : OptionalDouble.empty();
  }
}
