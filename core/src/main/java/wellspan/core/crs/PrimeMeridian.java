package wellspan.core.crs;

import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Systems that count longitudes from another meridian than Greenwich, by their PROJ text. */
final class PrimeMeridian {
  /** Longitudes by the names of the PROJ library, degrees east of Greenwich (EPSG dataset). */
  private static final Map<String, Double> NAMED =
      Map.ofEntries(
          Map.entry("greenwich", 0.0),
          Map.entry("lisbon", -(9 + 7 / 60.0 + 54.862 / 3600)),
          Map.entry("paris", 2.5969213 * 0.9),
          Map.entry("bogota", -(74 + 4 / 60.0 + 51.3 / 3600)),
          Map.entry("madrid", -(3 + 41 / 60.0 + 16.58 / 3600)),
          Map.entry("rome", 12 + 27 / 60.0 + 8.4 / 3600),
          Map.entry("bern", 7 + 26 / 60.0 + 22.5 / 3600),
          Map.entry("jakarta", 106 + 48 / 60.0 + 27.79 / 3600),
          Map.entry("ferro", -(17 + 40 / 60.0)),
          Map.entry("brussels", 4 + 22 / 60.0 + 4.71 / 3600),
          Map.entry("stockholm", 18 + 3 / 60.0 + 29.8 / 3600),
          Map.entry("athens", 23 + 42 / 60.0 + 58.815 / 3600),
          Map.entry("oslo", 10 + 43 / 60.0 + 22.5 / 3600));

  private static final Pattern WORD = Pattern.compile("\\s*\\+pm=(\\S+)");
  private static final Pattern CENTRE = Pattern.compile("\\+(lon_0|lonc)=(\\S+)");

  private PrimeMeridian() {}

  /**
   * Degrees east of Greenwich, 0 where the text names none.
   *
   * @throws IllegalArgumentException with a sentence, if it is not known
   */
  static double of(String projText) {
    Matcher m = WORD.matcher(projText);
    if (!m.find()) {
      return 0;
    }
    Double named = NAMED.get(m.group(1));
    if (named != null) {
      return named;
    }
    try {
      return Double.parseDouble(m.group(1));
    } catch (NumberFormatException e) {
      throw new IllegalArgumentException(
          "The prime meridian " + m.group(1) + " is not known. Give its longitude in degrees.", e);
    }
  }

  /** The same system with its central longitudes counted from Greenwich. */
  static String toGreenwich(String projText) {
    double east = of(projText);
    String text = WORD.matcher(projText).replaceAll("");
    if (east == 0 || text.contains("+proj=longlat")) {
      return text;
    }
    return CENTRE.matcher(text).find()
        ? CENTRE
            .matcher(text)
            .replaceAll(m -> "+" + m.group(1) + "=" + around(Double.parseDouble(m.group(2)) + east))
        : text + " +lon_0=" + east;
  }

  private static double around(double degrees) {
    return Math.IEEEremainder(degrees, 360);
  }
}
