package wellspan.exchange.dxf.write;

import java.io.IOException;
import java.io.Writer;
import wellspan.exchange.file.DecimalText;

/** Writes groups of code and value, and numbers the objects of a drawing. */
final class GroupText {
  private static final int FLUSH = 1 << 16;

  private final Writer out;
  private final boolean handles;
  private final boolean unicode;
  private final int decimals;
  private final StringBuilder text = new StringBuilder(FLUSH + 1024);
  private int handle = 0x10;

  /**
   * @param handles whether objects are numbered, from release 13 on
   * @param unicode whether text is written as UTF-8; otherwise what is beyond ASCII is escaped
   */
  GroupText(Writer out, boolean handles, boolean unicode, int decimals) {
    this.out = out;
    this.handles = handles;
    this.unicode = unicode;
    this.decimals = decimals;
  }

  GroupText put(int code, String value) throws IOException {
    code(code);
    if (unicode) {
      text.append(value);
    } else {
      value
          .chars()
          .forEach(
              c -> {
                if (c < 0x80) {
                  text.append((char) c);
                } else {
                  text.append(String.format("\\U+%04X", c));
                }
              });
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

  /** A point; its height is left out if it is not known. */
  GroupText point(int code, double x, double y, double z) throws IOException {
    return put(code, x).put(code + 10, y).put(code + 20, z);
  }

  /** Starts an object with a number of its own, where the release has numbers. */
  GroupText object(String type) throws IOException {
    put(0, type);
    return handles ? put(5, nextHandle()) : this;
  }

  String nextHandle() {
    return Integer.toHexString(handle++).toUpperCase(java.util.Locale.ROOT);
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
