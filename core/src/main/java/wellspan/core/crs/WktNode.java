package wellspan.core.crs;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * One keyword of a well-known text (OGC 01-009, ISO 19162) with what stands in its brackets.
 *
 * @param keyword in upper case
 * @param values texts without quotes and numbers, in order
 */
record WktNode(String keyword, List<String> values, List<WktNode> children) {

  static WktNode parse(String text) throws CrsTextException {
    Parser p = new Parser(text);
    WktNode root = p.node();
    p.skipSpace();
    if (p.at < text.length()) {
      throw new CrsTextException("The well-known text goes on after its last bracket.");
    }
    return root;
  }

  String name() {
    return values.isEmpty() ? "" : values.getFirst();
  }

  /** The first child with one of these keywords. */
  Optional<WktNode> child(String... keywords) {
    for (WktNode c : children) {
      for (String k : keywords) {
        if (c.keyword.equals(k)) {
          return Optional.of(c);
        }
      }
    }
    return Optional.empty();
  }

  List<WktNode> all(String keyword) {
    return children.stream().filter(c -> c.keyword.equals(keyword)).toList();
  }

  double number(int index) throws CrsTextException {
    try {
      double d = Double.parseDouble(values.get(index));
      if (Double.isFinite(d)) {
        return d;
      }
    } catch (NumberFormatException | IndexOutOfBoundsException e) {
      // said below
    }
    throw new CrsTextException("A number is missing in " + keyword + "[\"" + name() + "\" …].");
  }

  /**
   * Degrees in the angular unit that this keyword describes; written with 15 digits, one is one.
   */
  double degrees() throws CrsTextException {
    double d = Math.toDegrees(number(1));
    return Math.abs(d - 1) < 1e-12 ? 1 : d;
  }

  private static final class Parser {
    private static final int DEEPEST = 40;
    private final String text;
    private int at;
    private int depth;

    Parser(String text) {
      this.text = text;
    }

    void skipSpace() {
      while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
        at++;
      }
    }

    private char peek() throws CrsTextException {
      skipSpace();
      if (at >= text.length()) {
        throw new CrsTextException("The well-known text ends before its brackets are closed.");
      }
      return text.charAt(at);
    }

    private String word() {
      int begin = at;
      while (at < text.length() && ",[]()\"".indexOf(text.charAt(at)) < 0) {
        at++;
      }
      return text.substring(begin, at).strip();
    }

    WktNode node() throws CrsTextException {
      peek();
      String keyword = word().toUpperCase(Locale.ROOT);
      return body(keyword);
    }

    private WktNode body(String keyword) throws CrsTextException {
      char open = peek();
      if (open != '[' && open != '(' || keyword.isEmpty() || depth++ > DEEPEST) {
        throw new CrsTextException("This is no well-known text of a coordinate system.");
      }
      at++;
      char close = open == '[' ? ']' : ')';
      List<String> values = new ArrayList<>();
      List<WktNode> children = new ArrayList<>();
      for (char c = peek(); c != close; c = peek()) {
        if (c == ',') {
          at++;
        } else if (c == '"') {
          values.add(quoted());
        } else {
          String w = word();
          char next = peek();
          if (next == '[' || next == '(') {
            children.add(body(w.toUpperCase(Locale.ROOT)));
          } else if (w.isEmpty()) {
            throw new CrsTextException("The brackets of the well-known text do not match.");
          } else {
            values.add(w);
          }
        }
      }
      at++;
      depth--;
      return new WktNode(keyword, List.copyOf(values), List.copyOf(children));
    }

    private String quoted() throws CrsTextException {
      StringBuilder s = new StringBuilder();
      at++;
      while (true) {
        int end = text.indexOf('"', at);
        if (end < 0) {
          throw new CrsTextException("A quotation mark of the well-known text is not closed.");
        }
        s.append(text, at, end);
        at = end + 1;
        if (at < text.length() && text.charAt(at) == '"') {
          s.append('"');
          at++;
        } else {
          return s.toString();
        }
      }
    }
  }
}
