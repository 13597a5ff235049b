package wellspan.exchange.points.read;

import java.util.regex.Pattern;

/** Numbers as people write them in tables. */
final class PlainNumber {
  private static final double[] POWERS = {
    1e0, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9, 1e10, 1e11, 1e12, 1e13, 1e14, 1e15
  };
  private static final Pattern SPACES = Pattern.compile("[\\s\u00A0\u202F']");
  private static final Pattern NUMBER =
      Pattern.compile("[-+]?(\\d+([.,]\\d*)?|[.,]\\d+)([eE][-+]?\\d+)?");

  private PlainNumber() {}

  /** Decimal point or comma, spaces between thousands allowed; NaN for what is no finite number. */
  static double parse(String text) {
    int n = text.length();
    int from = n > 0 && text.charAt(0) == '-' ? 1 : 0;
    long digits = 0;
    int point = -1;
    boolean plain = n > from && n - from <= 16; // so that the digits are exact in a double
    for (int i = from; i < n && plain; i++) {
      char c = text.charAt(i);
      if (c >= '0' && c <= '9') {
        digits = 10 * digits + (c - '0');
      } else if ((c == '.' || c == ',') && point < 0 && n > from + 1) {
        point = i;
      } else {
        plain = false;
      }
    }
    if (!plain || digits >= 1L << 53) {
      return slow(text);
    }
    double v = point < 0 ? digits : digits / POWERS[n - point - 1];
    return from == 1 ? -v : v;
  }

  private static double slow(String text) {
    String t = SPACES.matcher(text).replaceAll("").replace('\u2212', '-');
    if (!NUMBER.matcher(t).matches()) {
      return Double.NaN;
    }
    double d = Double.parseDouble(t.replace(',', '.'));
    return Double.isFinite(d) ? d : Double.NaN;
  }
}
