package wellspan.exchange.dxf.read;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The words of texts, without the marks that say how they look. */
final class DrawnText {
  private static final Pattern CODE_POINT = Pattern.compile("\\\\U\\+([0-9A-Fa-f]{4})");
  private static final Pattern LOOK = Pattern.compile("\\\\[ACFHQTWacfhqtwp][^;\\\\{}]*;");
  private static final Pattern STACKED = Pattern.compile("\\\\S([^;]*);");
  private static final Pattern SWITCH = Pattern.compile("\\\\[LlOoKk]");

  private DrawnText() {}

  /** A text of one line. */
  static String line(String s) {
    return marks(codePoints(s)).strip();
  }

  /** Resolves the marks that begin with two percent signs, from left to right. */
  private static String marks(String t) {
    if (!t.contains("%%")) {
      return t;
    }
    StringBuilder out = new StringBuilder();
    for (int i = 0; i < t.length(); i++) {
      if (!t.startsWith("%%", i) || i + 2 >= t.length()) {
        out.append(t.charAt(i));
        continue;
      }
      char c = t.charAt(i + 2);
      switch (c) {
        case 'd', 'D' -> out.append('°');
        case 'p', 'P' -> out.append('±');
        case 'c', 'C' -> out.append('⌀');
        case 'u', 'U', 'o', 'O', 'k', 'K' -> {} // how it looks
        case '%' -> out.append('%');
        default -> {
          boolean numbered = t.substring(i + 2).matches("(?s)\\d{3}.*");
          if (!numbered) {
            out.append("%%");
            i++;
            continue;
          }
          out.append((char) Integer.parseInt(t.substring(i + 2, i + 5)));
          i += 2;
        }
      }
      i += 2;
    }
    return out.toString();
  }

  /** A text of several lines; they are put one behind the other. */
  static String paragraph(String s) {
    String t = s.replace("\\\\", "\u0001").replace("\\{", "\u0002").replace("\\}", "\u0003");
    t = letters(t).replace("\\P", " ").replace("\\~", " ");
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

  /** A name of a layer or block: letters that the file's encoding lacks, and percent signs. */
  static String name(String s) {
    return codePoints(s).replace("%%%", "%");
  }

  /** Letters that the file's encoding lacks, and control characters, which become blanks. */
  static String codePoints(String s) {
    String t = letters(s);
    return t.indexOf('^') < 0 ? t : carets(t);
  }

  private static String letters(String s) {
    return s.contains("\\U+")
        ? CODE_POINT
            .matcher(s)
            .replaceAll(
                m ->
                    Matcher.quoteReplacement(
                        String.valueOf((char) Integer.parseInt(m.group(1), 16))))
        : s;
  }

  /** A caret and a letter are a control character; a caret and a blank are a caret. */
  private static String carets(String t) {
    StringBuilder out = new StringBuilder();
    for (int i = 0; i < t.length(); i++) {
      char c = t.charAt(i);
      if (c != '^' || i + 1 == t.length()) {
        out.append(c);
        continue;
      }
      char next = t.charAt(++i);
      char meant = next == ' ' ? '^' : (char) (next ^ 0x40);
      out.append(meant < ' ' ? ' ' : meant);
    }
    return out.toString();
  }
}
