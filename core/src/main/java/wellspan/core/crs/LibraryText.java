package wellspan.core.crs;

import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** PROJ texts put so that the projection library computes what PROJ computes. */
final class LibraryText {
  private static final Pattern INVERSE_FLATTENING = Pattern.compile("\\+rf=(\\S+)");
  private static final Pattern MAJOR_AXIS = Pattern.compile("\\+a=(\\S+)");
  private static final Pattern POLE = Pattern.compile("\\+lat_0=(-?90)(\\.0*)?(?=\\s|$)");
  private static final Pattern SCALE = Pattern.compile("\\+k(_0)?=(\\S+)");

  private LibraryText() {}

  static String of(String proj) {
    return gridDatum(minorAxis(polarScale(proj)));
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
