package wellspan.core.unit;

import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads angles in degrees: decimal ones, and degrees, minutes and seconds in the usual writings.
 */
public final class Angles {
  private static final Pattern PARTS =
      Pattern.compile(
          "([-+\u2212]?)\\s*(\\d{1,3})\\s*[°D:\\s-]\\s*(\\d{1,2}(?:[.,]\\d+)?)"
              + "\\s*(?:['′M:\\s-]\\s*(\\d{1,2}(?:[.,]\\d+)?)?)?\\s*(?:[\"″]|'')?\\s*([NSEWO]?)");
  private static final Pattern DECIMAL =
      Pattern.compile("([-+\u2212]?)\\s*(\\d{1,3}(?:[.,]\\d+)?)\\s*°?\\s*([NSEWO]?)");

  private Angles() {}

  /** Degrees; south and west negative. Empty if the text is no angle. */
  public static OptionalDouble degrees(String text) {
    String t = text.strip().toUpperCase(java.util.Locale.ROOT);
    Matcher d = DECIMAL.matcher(t);
    if (d.matches()) {
      return OptionalDouble.of(sign(d.group(1), d.group(3)) * number(d.group(2)));
    }
    Matcher m = PARTS.matcher(t);
    if (!m.matches()) {
      return OptionalDouble.empty();
    }
    double minutes = number(m.group(3));
    double seconds = m.group(4) == null ? 0 : number(m.group(4));
    if (minutes >= 60 || seconds >= 60) {
      return OptionalDouble.empty();
    }
    double size = number(m.group(2)) + minutes / 60 + seconds / 3600;
    return OptionalDouble.of(sign(m.group(1), m.group(5)) * size);
  }

  private static double sign(String sign, String side) {
    boolean minus = sign.equals("-") || sign.equals("\u2212");
    return minus || side.equals("S") || side.equals("W") ? -1 : 1;
  }

  private static double number(String s) {
    return Double.parseDouble(s.replace(',', '.'));
  }
}
