package wellspan.core.requirement;

import java.util.regex.Pattern;
import java.util.regex.PatternSyntaxException;

/**
 * A regular expression of XML Schema part 2, appendix F, which always stands for the whole text. It
 * knows no anchors, no references back, no look-around and no lazy quantifiers.
 *
 * @param text as in the file
 * @param compiled the same as a pattern of Java
 */
public record XsdPattern(String text, Pattern compiled) {
  private static final String NAME_START =
      ":A-Z_a-z\\u00C0-\\u00D6\\u00D8-\\u00F6\\u00F8-\\u02FF\\u0370-\\u037D\\u037F-\\u1FFF\\u200C-\\u200D\\u2070-\\u218F\\u2C00-\\u2FEF\\u3001-\\uD7FF\\uF900-\\uFDCF\\uFDF0-\\uFFFD";
  private static final String NAME = NAME_START + "\\-.0-9\\u00B7\\u0300-\\u036F\\u203F-\\u2040";

  /**
   * @throws IllegalArgumentException with a sentence, if it is no such expression
   */
  public static XsdPattern of(String text) {
    try {
      return new XsdPattern(text, Pattern.compile(new Translation(text).whole()));
    } catch (PatternSyntaxException e) {
      throw new IllegalArgumentException(
          "the pattern " + text + " is broken: " + e.getDescription(), e);
    }
  }

  boolean matches(String s) {
    return compiled.matcher(s).matches();
  }

  /** Walks an expression once from left to right. */
  private static final class Translation {
    private final String in;
    private final StringBuilder out = new StringBuilder();
    private int at;

    Translation(String in) {
      this.in = in;
    }

    String whole() {
      while (at < in.length()) {
        char c = in.charAt(at);
        switch (c) {
          case '\\' -> escape(false);
          case '[' -> characterClass();
          case '^', '$' -> literal(c);
          case '.' -> {
            out.append("[^\\n\\r]");
            at++;
          }
          case '(' -> {
            if (at + 1 < in.length() && in.charAt(at + 1) == '?') {
              throw wrong("(? …) is not known");
            }
            out.append("(?:");
            at++;
          }
          case '*', '+', '?', '}' -> {
            out.append(c);
            at++;
            if (at < in.length()
                && (in.charAt(at) == '?' || in.charAt(at) == '+' || in.charAt(at) == '*')) {
              throw wrong("two quantifiers follow each other");
            }
          }
          case ']' -> throw wrong("] without [");
          default -> {
            if ("|){,".indexOf(c) >= 0 || Character.isLetterOrDigit(c)) {
              out.append(c);
              at++;
            } else {
              literal(c);
            }
          }
        }
      }
      return out.toString();
    }

    private IllegalArgumentException wrong(String why) {
      return new IllegalArgumentException("the pattern " + in + " is broken: " + why);
    }

    private void literal(char c) {
      out.append(
          Character.isSurrogate(c) ? String.valueOf(c) : "\\x{" + Integer.toHexString(c) + "}");
      at++;
    }

    private void escape(boolean within) {
      if (at + 1 >= in.length()) {
        throw wrong("it ends with a backslash");
      }
      char c = in.charAt(at + 1);
      at += 2;
      switch (c) {
        case 'n', 'r', 't' -> out.append('\\').append(c);
        case 'd' -> out.append("\\p{Nd}");
        case 'D' -> out.append("\\P{Nd}");
        case 's' -> out.append(within ? " \\t\\n\\r" : "[ \\t\\n\\r]");
        case 'S' -> out.append("[^ \\t\\n\\r]");
        case 'w' -> out.append("[^\\p{P}\\p{Z}\\p{C}]");
        case 'W' -> out.append("[\\p{P}\\p{Z}\\p{C}]");
        case 'i' -> out.append('[').append(NAME_START).append(']');
        case 'I' -> out.append("[^").append(NAME_START).append(']');
        case 'c' -> out.append('[').append(NAME).append(']');
        case 'C' -> out.append("[^").append(NAME).append(']');
        case 'p', 'P' -> category(c);
        default -> {
          if ("\\|.-^?*+{}()[]$".indexOf(c) < 0) {
            throw wrong("\\" + c + " is not known");
          }
          out.append('\\').append(c);
        }
      }
    }

    private void category(char c) {
      int end = in.indexOf('}', at);
      if (at >= in.length() || in.charAt(at) != '{' || end < 0) {
        throw wrong("\\" + c + " needs a category in braces");
      }
      String name = in.substring(at + 1, end);
      out.append('\\')
          .append(c)
          .append('{')
          .append(name.startsWith("Is") ? "In" + name.substring(2) : name)
          .append('}');
      at = end + 1;
    }

    private void characterClass() {
      out.append('[');
      at++;
      if (at < in.length() && in.charAt(at) == '^') {
        out.append('^');
        at++;
      }
      boolean any = false;
      while (true) {
        if (at >= in.length()) {
          throw wrong("[ without ]");
        }
        char c = in.charAt(at);
        if (c == ']' && any) {
          out.append(']');
          at++;
          return;
        }
        if (c == ']') {
          throw wrong("[] is empty");
        }
        if (c == '-' && at + 1 < in.length() && in.charAt(at + 1) == '[') {
          out.append("&&[^");
          at++;
          int from = out.length();
          characterClass();
          // the inner class stands without its own bracket
          String inner = out.substring(from);
          out.setLength(from);
          out.append(inner).append(']');
        } else if (c == '\\') {
          escape(true);
        } else if (c == '[') {
          throw wrong("[ within a class");
        } else if (c == '&' || c == '^' || c == '~') {
          literal(c);
        } else if (c == '-') {
          out.append(isRange() ? "-" : "\\-");
          at++;
        } else {
          out.append(
              Character.isLetterOrDigit(c) || Character.isSurrogate(c)
                  ? String.valueOf(c)
                  : "\\x{" + Integer.toHexString(c) + "}");
          at++;
        }
        any = true;
      }
    }

    /** Whether a hyphen stands between the two ends of a range. */
    private boolean isRange() {
      return in.charAt(at - 1) != '['
          && !(in.charAt(at - 1) == '^' && in.charAt(at - 2) == '[')
          && at + 1 < in.length()
          && in.charAt(at + 1) != ']';
    }
  }
}
