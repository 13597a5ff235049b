package wellspan.exchange.dxf.read;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import wellspan.exchange.file.NumberText;
import wellspan.exchange.file.ReadException;

/** Groups of a text drawing: two lines each. */
final class TextGroups implements Groups {
  private static final int COMMENT = 999;
  private static final int LONGEST_LINE = 1 << 26;

  private final Path file;
  private final InputStream in;
  private final long size;
  private final NumberText numbers = new NumberText(false);
  private char[] digits = new char[64];
  private Charset charset = StandardCharsets.UTF_8;
  private byte[] buffer = new byte[1 << 18];
  private int at;
  private int filled;
  private long read;
  private long line;
  private int code;
  private int from;
  private int to;

  TextGroups(Path file) throws IOException {
    this.file = file;
    size = Math.max(1, Files.size(file));
    in = Files.newInputStream(file);
  }

  @Override
  public boolean next() throws IOException {
    do {
      if (!group()) {
        return false;
      }
    } while (code == COMMENT);
    return true;
  }

  private boolean group() throws IOException {
    if (!line()) {
      return false;
    }
    if (from == to) {
      // empty lines behind the end of the drawing are no group
      return blankToTheEnd();
    }
    code = parseCode();
    if (!line()) {
      throw fault("the drawing ends after a group code. It was cut off; ask for it again.");
    }
    return true;
  }

  private boolean blankToTheEnd() throws IOException {
    while (line()) {
      if (from < to) {
        throw fault("an empty line stands where a group code must be.");
      }
    }
    return false;
  }

  private int parseCode() throws ReadException {
    int v = 0;
    int p = from;
    boolean negative = buffer[p] == '-';
    if (negative) {
      p++;
    }
    if (p == to || to - p > 5) {
      throw noCode();
    }
    for (; p < to; p++) {
      int d = buffer[p] - '0';
      if (d < 0 || d > 9) {
        throw noCode();
      }
      v = 10 * v + d;
    }
    return negative ? -v : v;
  }

  private ReadException noCode() {
    String found = new String(buffer, from, Math.min(40, to - from), StandardCharsets.ISO_8859_1);
    return fault(
        "\""
            + found
            + "\" stands where a group code must be. The drawing is damaged; ask for it again.");
  }

  /** Finds the next line; {@code from} and {@code to} leave out white space around it. */
  private boolean line() throws IOException {
    int scan = at;
    while (true) {
      scan = lineFeed(buffer, scan, filled);
      if (scan < filled) {
        break;
      }
      int seen = scan - at;
      if (!fill()) {
        if (at == filled) {
          return false;
        }
        scan = filled;
        break;
      }
      scan = at + seen;
    }
    // the loops work on locals: fields would be loaded and stored for every character
    byte[] b = buffer;
    int first = at;
    int last = scan;
    at = Math.min(filled, scan + 1);
    line++;
    while (first < last && b[first] <= ' ' && b[first] >= 0) {
      first++;
    }
    while (last > first && b[last - 1] <= ' ' && b[last - 1] >= 0) {
      last--;
    }
    from = first;
    to = last;
    return true;
  }

  /** Where a line ends in some bytes, or their end. */
  private static int lineFeed(byte[] bytes, int from, int to) {
    int at = from;
    while (at < to && bytes[at] != '\n') {
      at++;
    }
    return at;
  }

  private boolean fill() throws IOException {
    int rest = filled - at;
    if (at > 0) {
      System.arraycopy(buffer, at, buffer, 0, rest);
    } else if (rest == buffer.length) {
      if (rest >= LONGEST_LINE) {
        throw fault("a line has no end. This is not a drawing, or it is damaged.");
      }
      buffer = Arrays.copyOf(buffer, 2 * buffer.length);
    }
    at = 0;
    filled = rest;
    int n = in.read(buffer, filled, buffer.length - filled);
    if (n <= 0) {
      return false;
    }
    filled += n;
    read += n;
    return true;
  }

  @Override
  public int code() {
    return code;
  }

  @Override
  public String text() {
    return new String(buffer, from, to - from, charset);
  }

  @Override
  public double number() throws IOException {
    int n = to - from;
    if (n > digits.length) {
      digits = new char[2 * n];
    }
    byte[] b = buffer;
    char[] d = digits;
    int first = from;
    for (int i = 0; i < n; i++) {
      d[i] = (char) (b[first + i] & 0xFF);
    }
    numbers.over(d, 0, n);
    try {
      double v = numbers.nextDouble();
      if (!numbers.hasNext()) {
        return v;
      }
    } catch (NumberFormatException e) {
      // said below, with the line
    }
    throw fault("\"" + text() + "\" (group " + code + ") is not a number.");
  }

  @Override
  public int whole() throws IOException {
    int p = from;
    boolean negative = p < to && buffer[p] == '-';
    if (negative) {
      p++;
    }
    long v = 0;
    boolean good = p < to && to - p < 12;
    for (; good && p < to; p++) {
      int d = buffer[p] - '0';
      good = d >= 0 && d <= 9;
      v = 10 * v + d;
    }
    v = negative ? -v : v;
    if (good && v == (int) v) {
      return (int) v;
    }
    double d = number();
    if (d == Math.rint(d) && Math.abs(d) <= Integer.MAX_VALUE) {
      return (int) d;
    }
    throw fault("\"" + text() + "\" (group " + code + ") is not a whole number.");
  }

  @Override
  public double fraction() {
    return Math.min(1, (read - filled + at) / (double) size);
  }

  @Override
  public ReadException fault(String what) {
    return new ReadException(file, line, what);
  }

  @Override
  public void textsAre(Charset c) {
    charset = c;
  }

  @Override
  public void close() throws IOException {
    in.close();
  }
}
