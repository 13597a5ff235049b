package wellspan.exchange.ifc.write;

import java.util.Locale;

/**
 * Strings in the characters that ISO 10303-21 allows: the rest becomes {@code \X2\…\X0\} in UTF-16
 * hexadecimal.
 */
final class StepText {
  private StepText() {}

  static String encode(String s) {
    return isPlain(s) ? s : encoded(s);
  }

  private static boolean isPlain(String s) {
    for (int i = 0; i < s.length(); i++) {
      char c = s.charAt(i);
      if (c < 32 || c > 126 || c == '\'' || c == '\\') {
        return false;
      }
    }
    return true;
  }

  private static String encoded(String s) {
    StringBuilder out = new StringBuilder(s.length() + 8);
    boolean wide = false;
    for (int i = 0; i < s.length(); i++) {
      char c = s.charAt(i);
      boolean plain = c >= 32 && c <= 126;
      if (plain == wide) {
        out.append(wide ? "\\X0\\" : "\\X2\\");
        wide = !wide;
      }
      if (wide) {
        out.append(String.format(Locale.ROOT, "%04X", (int) c));
      } else if (c == '\'') {
        out.append("''");
      } else if (c == '\\') {
        out.append("\\\\");
      } else {
        out.append(c);
      }
    }
    return out.append(wide ? "\\X0\\" : "").toString();
  }
}
