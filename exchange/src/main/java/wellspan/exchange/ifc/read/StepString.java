package wellspan.exchange.ifc.read;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;

/**
 * Decodes the escapes of ISO 10303-21 strings: doubled apostrophes and backslashes, \S\, \P.\, \X\,
 * \X2\, \X4\. Bytes beyond ASCII, which only the third edition of the standard has, are UTF-8 as it
 * says, or Windows-1252 where they are no UTF-8.
 */
final class StepString {
  private static final Charset WINDOWS = Charset.forName("windows-1252");

  private StepString() {}

  /** The bytes between two apostrophes as a text, its escapes as they stand. */
  static String of(byte[] bytes, int from, int to) {
    boolean ascii = true;
    for (int i = from; i < to && ascii; i++) {
      ascii = bytes[i] >= 0;
    }
    if (ascii) {
      return new String(bytes, from, to - from, StandardCharsets.ISO_8859_1);
    }
    try {
      return StandardCharsets.UTF_8
          .newDecoder()
          .decode(ByteBuffer.wrap(bytes, from, to - from))
          .toString();
    } catch (CharacterCodingException e) {
      return new String(bytes, from, to - from, WINDOWS);
    }
  }

  static String decode(String s) {
    StringBuilder out = new StringBuilder(s.length());
    Charset alphabet = StandardCharsets.ISO_8859_1;
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
        byte[] one = {(byte) (s.charAt(i + 3) + 128)};
        out.append(new String(one, alphabet));
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
      } else if (s.startsWith("\\P", i) && i + 4 <= s.length() && s.charAt(i + 3) == '\\') {
        alphabet = alphabet(s.charAt(i + 2)); // that of what \S\ says from here on
        i += 4;
      } else {
        out.append(c);
        i++;
      }
    }
    return out.toString();
  }

  /** A to I stand for the parts 1 to 9 of ISO 8859. */
  private static Charset alphabet(char letter) {
    int part = letter - 'A' + 1;
    return part >= 1 && part <= 9 && Charset.isSupported("ISO-8859-" + part)
        ? Charset.forName("ISO-8859-" + part)
        : StandardCharsets.ISO_8859_1;
  }

  private static int hex(String s, int from, int length) {
    try {
      return (int) Long.parseLong(s, from, from + length, 16);
    } catch (NumberFormatException e) {
      return 0xFFFD;
    }
  }
}
