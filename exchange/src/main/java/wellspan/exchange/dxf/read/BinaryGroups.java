package wellspan.exchange.dxf.read;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HexFormat;
import wellspan.exchange.file.ReadException;

/**
 * Groups of a binary drawing: codes of one byte (R12) or two, values whose kind follows from the
 * code, lowest byte first.
 */
final class BinaryGroups implements Groups {
  /** What a binary drawing starts with, as the format has it. */
  static final byte[] SENTINEL =
      "AutoCAD Binary DXF\r\n\u001a\0".getBytes(StandardCharsets.US_ASCII);

  private static final int LONGEST_TEXT = 1 << 22;

  private final Path file;
  private final DataInputStream in;
  private final long size;
  private final boolean shortCodes;
  private Charset charset = StandardCharsets.UTF_8;
  private long position = SENTINEL.length;
  private int code;
  private String text = "";
  private double number;
  private boolean isText;

  BinaryGroups(Path file) throws IOException {
    this.file = file;
    size = Math.max(1, Files.size(file));
    in = new DataInputStream(new BufferedInputStream(Files.newInputStream(file), 1 << 16));
    in.skipNBytes(SENTINEL.length);
    in.mark(2);
    // the first group is 0 SECTION: with two-byte codes its code is two zeros
    int first = in.read();
    int second = in.read();
    in.reset();
    shortCodes = first != 0 || second != 0;
  }

  @Override
  public boolean next() throws IOException {
    int low = in.read();
    if (low < 0) {
      return false;
    }
    position++;
    try {
      if (!shortCodes) {
        code = (short) (low | octet() << 8);
      } else {
        code = low == 255 ? (short) (octet() | octet() << 8) : low;
      }
      value();
    } catch (EOFException e) {
      throw new ReadException(
          file, "the drawing ends in the middle of a group. It was cut off; ask for it again.", e);
    }
    return true;
  }

  private void value() throws IOException {
    isText = false;
    switch (kind(code)) {
      case TEXT -> {
        isText = true;
        text = zeroEnded();
      }
      case REAL -> number = Double.longBitsToDouble(bytes(8));
      case SHORT -> number = (short) bytes(2);
      case INT -> number = (int) bytes(4);
      case LONG -> number = (double) bytes(8);
      case BYTE -> number = bytes(1);
      case CHUNK -> {
        isText = true;
        byte[] chunk = in.readNBytes(octet());
        position += chunk.length;
        text = HexFormat.of().formatHex(chunk);
      }
    }
  }

  private enum Kind {
    TEXT,
    REAL,
    SHORT,
    INT,
    LONG,
    BYTE,
    CHUNK
  }

  private Kind kind(int c) throws ReadException {
    if (c >= 0 && c <= 9
        || c >= 100 && c <= 109
        || c >= 300 && c <= 309
        || c >= 320 && c <= 369
        || c >= 390 && c <= 399
        || c >= 410 && c <= 419
        || c >= 430 && c <= 439
        || c >= 470 && c <= 481
        || c == 999
        || c >= 1000 && c <= 1009 && c != 1004) {
      return Kind.TEXT;
    }
    if (c >= 10 && c <= 59
        || c >= 110 && c <= 149
        || c >= 210 && c <= 239
        || c >= 460 && c <= 469
        || c >= 1010 && c <= 1059) {
      return Kind.REAL;
    }
    if (c >= 60 && c <= 79
        || c >= 170 && c <= 179
        || c >= 270 && c <= 289
        || c >= 370 && c <= 389
        || c >= 400 && c <= 409
        || c >= 1060 && c <= 1070) {
      return Kind.SHORT;
    }
    if (c >= 90 && c <= 99 || c >= 420 && c <= 429 || c >= 440 && c <= 459 || c == 1071) {
      return Kind.INT;
    }
    if (c >= 160 && c <= 169) {
      return Kind.LONG;
    }
    if (c >= 290 && c <= 299) {
      return Kind.BYTE;
    }
    if (c >= 310 && c <= 319 || c == 1004) {
      return Kind.CHUNK;
    }
    throw fault(
        "the group code " + c + " does not exist. The drawing is damaged; ask for it again.");
  }

  private int octet() throws IOException {
    int b = in.read();
    if (b < 0) {
      throw new EOFException();
    }
    position++;
    return b;
  }

  private long bytes(int n) throws IOException {
    long v = 0;
    for (int i = 0; i < n; i++) {
      v |= (long) octet() << 8 * i;
    }
    return v;
  }

  private String zeroEnded() throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    for (int b = octet(); b != 0; b = octet()) {
      out.write(b);
      if (out.size() > LONGEST_TEXT) {
        throw fault("a text has no end. The drawing is damaged; ask for it again.");
      }
    }
    return out.toString(charset).strip();
  }

  @Override
  public int code() {
    return code;
  }

  @Override
  public String text() {
    return isText ? text : Double.toString(number);
  }

  @Override
  public double number() throws IOException {
    if (isText || !Double.isFinite(number)) {
      throw fault("\"" + text() + "\" (group " + code + ") is not a number.");
    }
    return number;
  }

  @Override
  public int whole() throws IOException {
    double d = number();
    if (d != Math.rint(d) || Math.abs(d) > Integer.MAX_VALUE) {
      throw fault("\"" + text() + "\" (group " + code + ") is not a whole number.");
    }
    return (int) d;
  }

  @Override
  public double fraction() {
    return Math.min(1, position / (double) size);
  }

  @Override
  public ReadException fault(String what) {
    return new ReadException(file, "byte " + position + ": " + what);
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
