package wellspan.exchange.dxf;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The words of texts, without the marks that say how they look. */
final class DrawnText {
  private static final Pattern CODE_POINT = Pattern.compile("\\\\U\\+([0-9A-Fa-f]{4})");
  private static final Pattern NUMBERED = Pattern.compile("%%(\\d{3})");
  private static final Pattern LOOK = Pattern.compile("\\\\[ACFHQTWacfhqtwp][^;\\\\{}]*;");
  private static final Pattern STACKED = Pattern.compile("\\\\S([^;]*);");
  private static final Pattern SWITCH = Pattern.compile("\\\\[LlOoKk]");

  private DrawnText() {}

  /** A text of one line. */
  static String line(String s) {
    String t = codePoints(s);
    if (t.contains("%%")) {
      t =
          NUMBERED
              .matcher(t)
              .replaceAll(
                  m ->
                      Matcher.quoteReplacement(
                          String.valueOf((char) Integer.parseInt(m.group(1)))));
      t =
          t.replaceAll("%%[dD]", "°")
              .replaceAll("%%[pP]", "±")
              .replaceAll("%%[cC]", "⌀")
              .replaceAll("%%[uUoOkK]", "")
              .replace("%%%", "%");
    }
    return t.strip();
  }

  /** A text of several lines; they are put one behind the other. */
  static String paragraph(String s) {
    String t = s.replace("\\\\", "\u0001").replace("\\{", "\u0002").replace("\\}", "\u0003");
    t = codePoints(t).replace("\\P", " ").replace("\\~", " ");
    t =
        STACKED
            .matcher(t)
            .replaceAll(
                m -> Matcher.quoteReplacement(m.group(1).replace('#', '/').replace('^', ' ')));
    t = LOOK.matcher(t).replaceAll("");
    t = SWITCH.matcher(t).replaceAll("");
    t = t.replace("{", "").replace("}", "");
    return line(t.replace('\u0001', '\\').replace('\u0002', '{').replace('\u0003', '}'));
  }

  /** Letters that the file's encoding lacks. */
  static String codePoints(String s) {
    return s.contains("\\U+")
        ? CODE_POINT
            .matcher(s)
            .replaceAll(
                m ->
                    Matcher.quoteReplacement(
                        String.valueOf((char) Integer.parseInt(m.group(1), 16))))
        : s;
  }
}
