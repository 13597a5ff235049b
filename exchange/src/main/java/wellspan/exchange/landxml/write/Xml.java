package wellspan.exchange.landxml.write;

/** Text as it may stand in an attribute. */
final class Xml {
  private Xml() {}

  /** Escapes what has a meaning in XML and leaves out what XML 1.0 cannot hold. */
  static String escaped(String s) {
    StringBuilder out = new StringBuilder(s.length() + 8);
    s.codePoints()
        .forEach(
            c -> {
              switch (c) {
                case '&' -> out.append("&amp;");
                case '<' -> out.append("&lt;");
                case '>' -> out.append("&gt;");
                case '"' -> out.append("&quot;");
                case '\t', '\n', '\r' -> out.append("&#").append(c).append(';');
                default -> {
                  if (c >= 0x20 && c != 0xFFFE && c != 0xFFFF && !(c >= 0xD800 && c <= 0xDFFF)) {
                    out.appendCodePoint(c);
                  }
                }
              }
            });
    return out.toString();
  }
}
