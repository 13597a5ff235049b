package wellspan.exchange.dxf.write;

import java.io.IOException;
import java.io.Writer;
import java.nio.charset.CharsetEncoder;
import java.util.Locale;
import wellspan.exchange.file.DecimalText;

/** Writes groups of code and value, and numbers the objects of a drawing. */
final class GroupText {
  private static final int FLUSH = 1 << 16;

  private final Writer out;
  private final boolean handles;
  private final CharsetEncoder encoding;
  private final int decimals;
  private final StringBuilder text = new StringBuilder(FLUSH + 1024);
  private int handle = 0x20;

  /**
   * @param handles whether objects are numbered, from release 13 on
   * @param encoding of the file; letters that it lacks are escaped
   */
  GroupText(Writer out, boolean handles, CharsetEncoder encoding, int decimals) {
    this.out = out;
    this.handles = handles;
    this.encoding = encoding;
    this.decimals = decimals;
  }

  /** A value with a meaning in the format: names of records, marks. */
  GroupText put(int code, String value) throws IOException {
    code(code);
    text.append(value).append('\n');
    flush();
    return this;
  }

  /** A name or a text of people's own, escaped so that no part of it is taken for a mark. */
  GroupText words(int code, String value) throws IOException {
    code(code);
    int n = value.length();
    for (int i = 0; i < n; i++) {
      char c = value.charAt(i);
      boolean doubled =
          c == '%'
              && (i > 0 && value.charAt(i - 1) == '%' || i + 1 < n && value.charAt(i + 1) == '%');
      if (c < ' ') {
        text.append(' ');
      } else if (c == '^') {
        text.append("^ ");
      } else if (doubled) {
        text.append("%%%");
      } else if (c == '\\' && value.startsWith("U+", i + 1) || !encoding.canEncode(c)) {
        text.append(String.format(Locale.ROOT, "\\U+%04X", (int) c));
      } else {
        text.append(c);
      }
    }
    text.append('\n');
    flush();
    return this;
  }

  GroupText put(int code, int value) throws IOException {
    code(code);
    text.append(value).append('\n');
    flush();
    return this;
  }

  GroupText put(int code, double value) throws IOException {
    code(code);
    DecimalText.append(text, value, decimals).append('\n');
    flush();
    return this;
  }

  private void code(int code) {
    text.append(code < 10 ? "  " : code < 100 ? " " : "").append(code).append('\n');
  }

  GroupText point(int code, double x, double y, double z) throws IOException {
    return put(code, x).put(code + 10, y).put(code + 20, z);
  }

  GroupText flat(int code, double x, double y) throws IOException {
    return put(code, x).put(code + 10, y);
  }

  /** Starts an object with a number of its own and its owner's, where the release has numbers. */
  String object(String type, String owner) throws IOException {
    put(0, type);
    if (!handles) {
      return "";
    }
    String own = nextHandle();
    put(5, own).put(330, owner);
    return own;
  }

  String nextHandle() {
    return Integer.toHexString(handle++).toUpperCase(Locale.ROOT);
  }

  /** A subclass marker, where the release has them. */
  GroupText subclass(String name) throws IOException {
    return handles ? put(100, name) : this;
  }

  boolean handles() {
    return handles;
  }

  private void flush() throws IOException {
    if (text.length() > FLUSH) {
      end();
    }
  }

  void end() throws IOException {
    out.append(text);
    text.setLength(0);
  }
}
