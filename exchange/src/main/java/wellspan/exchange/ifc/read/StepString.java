package wellspan.exchange.ifc.read;

/**
 * Decodes the escapes of ISO 10303-21 strings: doubled apostrophes and backslashes, \S\, \P.\, \X\,
 * \X2\, \X4\.
 */
final class StepString {
  private StepString() {}

  static String decode(String s) {
    StringBuilder out = new StringBuilder(s.length());
    int i = 0;
    while (i < s.length()) {
      char c = s.charAt(i);
      if (c == '\'') {
        out.append(c);
        i += 2;
      } else if (c != '\\') {
        out.append(c);
        i++;
      } else if (s.startsWith("\\\\", i)) {
        out.append('\\');
        i += 2;
      } else if (s.startsWith("\\S\\", i) && i + 3 < s.length()) {
        out.append((char) (s.charAt(i + 3) + 128));
        i += 4;
      } else if (s.startsWith("\\X\\", i) && i + 5 <= s.length()) {
        out.append((char) hex(s, i + 3, 2));
        i += 5;
      } else if (s.startsWith("\\X2\\", i) || s.startsWith("\\X4\\", i)) {
        int width = s.charAt(i + 2) == '2' ? 4 : 8;
        i += 4;
        while (i + width <= s.length() && s.charAt(i) != '\\') {
          if (width == 4) {
            out.append((char) hex(s, i, 4));
          } else {
            out.appendCodePoint(Math.min(0x10FFFF, hex(s, i, 8)));
          }
          i += width;
        }
        i += 4;
      } else if (s.startsWith("\\P", i) && i + 4 <= s.length()) {
        i += 4; // choice of the alphabet for \S\; ISO 8859-1 is assumed
      } else {
        out.append(c);
        i++;
      }
    }
    return out.toString();
  }

  private static int hex(String s, int from, int length) {
    try {
      return (int) Long.parseLong(s, from, from + length, 16);
    } catch (NumberFormatException e) {
      return 0xFFFD;
    }
  }
}
