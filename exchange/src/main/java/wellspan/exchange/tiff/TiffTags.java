package wellspan.exchange.tiff;

import java.io.EOFException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import wellspan.exchange.file.ReadException;

/**
 * Tags of the first directory of a TIFF or BigTIFF file. Never the pixels are read: files of many
 * gigabytes answer at once.
 */
public final class TiffTags {
  public static final int WIDTH = 256;
  public static final int HEIGHT = 257;
  public static final int BITS = 258;
  public static final int COMPRESSION = 259;
  public static final int PHOTOMETRIC = 262;
  public static final int STRIP_OFFSETS = 273;
  public static final int SAMPLES = 277;
  public static final int STRIP_COUNTS = 279;
  public static final int TILE_OFFSETS = 324;
  public static final int TILE_COUNTS = 325;
  public static final int SAMPLE_FORMAT = 339;
  public static final int PIXEL_SCALE = 33550;
  public static final int TIE_POINTS = 33922;
  public static final int MATRIX = 34264;
  public static final int KEYS = 34735;
  public static final int NO_DATA = 42113;

  private static final Set<Integer> WANTED =
      Set.of(
          WIDTH,
          HEIGHT,
          BITS,
          COMPRESSION,
          PHOTOMETRIC,
          STRIP_OFFSETS,
          STRIP_COUNTS,
          TILE_OFFSETS,
          TILE_COUNTS,
          SAMPLES,
          SAMPLE_FORMAT,
          PIXEL_SCALE,
          TIE_POINTS,
          MATRIX,
          KEYS,
          NO_DATA);
  private static final int MOST_ENTRIES = 10_000;
  private static final int MOST_VALUES = 1 << 22;
  private static final int TEXT = 2;

  private final FileChannel file;
  private final Path path;
  private final Map<Integer, double[]> numbers = new HashMap<>();
  private final Map<Integer, String> texts = new HashMap<>();
  private ByteOrder order = ByteOrder.LITTLE_ENDIAN;
  private boolean big;

  private TiffTags(FileChannel file, Path path) {
    this.file = file;
    this.path = path;
  }

  /** Whether the first bytes are those of a TIFF file. */
  public static boolean isTiff(byte[] head) {
    return head.length > 3
        && (head[0] == 'I' && head[1] == 'I' && (head[2] == 42 || head[2] == 43) && head[3] == 0
            || head[0] == 'M'
                && head[1] == 'M'
                && head[2] == 0
                && (head[3] == 42 || head[3] == 43));
  }

  /**
   * @throws ReadException with a sentence, if the directory is damaged
   */
  public static TiffTags read(Path path) throws IOException {
    try (FileChannel file = FileChannel.open(path)) {
      TiffTags t = new TiffTags(file, path);
      t.directory();
      return t;
    } catch (EOFException e) {
      throw new ReadException(path, "the image ends inside its directory. Ask for it again.", e);
    }
  }

  /** Whether offsets are of eight bytes, as in files of more than four gigabytes. */
  public boolean isBig() {
    return big;
  }

  /** All numbers of a tag; none if it is not there. */
  public double[] numbers(int tag) {
    return numbers.getOrDefault(tag, new double[0]);
  }

  /** The first number of a tag. */
  public double number(int tag, double otherwise) {
    double[] v = numbers(tag);
    return v.length == 0 ? otherwise : v[0];
  }

  /** The text of a tag, empty if it is not there. */
  public String text(int tag) {
    return texts.getOrDefault(tag, "");
  }

  private void directory() throws IOException {
    ByteBuffer head = bytes(0, 16);
    order = head.get(0) == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN;
    head.order(order);
    big = head.getShort(2) == 43;
    long at = big ? head.getLong(8) : head.getInt(4) & 0xFFFFFFFFL;
    long count = big ? bytes(at, 8).getLong() : bytes(at, 2).getShort() & 0xFFFF;
    if (count < 0 || count > MOST_ENTRIES) {
      throw new ReadException(path, "the image's directory is damaged. Ask for it again.");
    }
    int size = big ? 20 : 12;
    ByteBuffer entries = bytes(at + (big ? 8 : 2), (int) count * size);
    for (int i = 0; i < count; i++) {
      int tag = entries.getShort(i * size) & 0xFFFF;
      if (WANTED.contains(tag)) {
        take(tag, entries, i * size);
      }
    }
  }

  private void take(int tag, ByteBuffer entries, int at) throws IOException {
    int type = entries.getShort(at + 2) & 0xFFFF;
    long n = big ? entries.getLong(at + 4) : entries.getInt(at + 4) & 0xFFFFFFFFL;
    int width = width(type);
    if (width == 0 || n < 0 || n > MOST_VALUES) {
      throw new ReadException(
          path, "the tag " + tag + " of the image is damaged. Ask for it again.");
    }
    int room = big ? 8 : 4;
    int where = at + (big ? 12 : 8);
    ByteBuffer data;
    if (n * width <= room) {
      data = entries.slice(where, room).order(order);
    } else {
      long offset = big ? entries.getLong(where) : entries.getInt(where) & 0xFFFFFFFFL;
      data = bytes(offset, (int) n * width);
    }
    if (type == TEXT) {
      byte[] b = new byte[(int) n];
      data.get(0, b);
      texts.put(tag, new String(b, StandardCharsets.ISO_8859_1).replace("\0", "").strip());
      return;
    }
    double[] out = new double[(int) n];
    for (int i = 0; i < n; i++) {
      out[i] = value(data, type, i * width);
    }
    numbers.put(tag, out);
  }

  /** Bytes of one value of a type of TIFF 6.0 or BigTIFF; 0 for those that no tag here has. */
  private static int width(int type) {
    return switch (type) {
      case 1, TEXT -> 1;
      case 3 -> 2;
      case 4, 11 -> 4;
      case 12, 16 -> 8;
      default -> 0;
    };
  }

  private static double value(ByteBuffer data, int type, int at) {
    return switch (type) {
      case 1 -> data.get(at) & 0xFF;
      case 3 -> data.getShort(at) & 0xFFFF;
      case 4 -> data.getInt(at) & 0xFFFFFFFFL;
      case 11 -> data.getFloat(at);
      case 16 -> data.getLong(at);
      default -> data.getDouble(at);
    };
  }

  private ByteBuffer bytes(long at, int n) throws IOException {
    if (at < 0 || at + n > file.size() && n > 16) {
      throw new EOFException();
    }
    ByteBuffer b = ByteBuffer.allocate(n).order(order);
    while (b.hasRemaining()) {
      int read = file.read(b, at + b.position());
      if (read < 0) {
        throw new EOFException();
      }
    }
    return b.flip();
  }
}
