package wellspan.exchange.position;

import java.io.EOFException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;
import wellspan.exchange.file.ReadException;

/**
 * The position that a TIFF image carries in its GeoTIFF keys (OGC 19-008). Only the first
 * directory's tags are read, never the pixels: images of many gigabytes answer at once.
 */
public final class GeoTiffKeys {
  private static final int PIXEL_SCALE = 33550;
  private static final int TIE_POINTS = 33922;
  private static final int MATRIX = 34264;
  private static final int KEYS = 34735;
  private static final int RASTER_TYPE_KEY = 1025;
  private static final int GEOGRAPHIC_KEY = 2048;
  private static final int PROJECTED_KEY = 3072;
  private static final int PIXEL_IS_POINT = 2;
  private static final int USER_DEFINED = 32767;
  private static final int MOST_ENTRIES = 10_000;
  private static final int MOST_VALUES = 1 << 16;

  private final FileChannel file;
  private final Path path;
  private ByteOrder order = ByteOrder.LITTLE_ENDIAN;
  private boolean big;

  private GeoTiffKeys(FileChannel file, Path path) {
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
  public static Received read(Path path) throws IOException {
    try (FileChannel file = FileChannel.open(path)) {
      return new GeoTiffKeys(file, path).received();
    } catch (EOFException e) {
      throw new ReadException(path, "the image ends inside its directory. Ask for it again.", e);
    }
  }

  private Received received() throws IOException {
    Map<Integer, double[]> tags = tags();
    String crs = "";
    boolean point = false;
    double[] keys = tags.getOrDefault(KEYS, new double[0]);
    for (int i = 4; i + 3 < keys.length; i += 4) {
      int key = (int) keys[i];
      int value = (int) keys[i + 3];
      boolean inPlace = keys[i + 1] == 0;
      if (inPlace && (key == PROJECTED_KEY || key == GEOGRAPHIC_KEY && crs.isEmpty())) {
        crs = value == USER_DEFINED ? crs : "EPSG:" + value;
      }
      point |= inPlace && key == RASTER_TYPE_KEY && value == PIXEL_IS_POINT;
    }
    List<PlaceStatement> places = new ArrayList<>();
    double[] v = sixNumbers(tags, point);
    if (v.length == 6) {
      places.add(PositionReader.raster("the GeoTIFF keys", crs, v));
    }
    List<Finding> findings = new ArrayList<>();
    if (places.isEmpty()) {
      findings.add(
          Finding.warning(
              Stop.PLACE,
              "place.none",
              "",
              "The image does not say where it lies. Ask for its world file."));
    }
    findings.add(
        Finding.note(
            Stop.RECEIVE,
            "tiff.unread",
            "",
            "The image itself is not read yet, only its position."));
    return PositionReader.received("TIFF image", places, findings);
  }

  /** In the order of world files; the tie point is a pixel's corner unless pixels are points. */
  private static double[] sixNumbers(Map<Integer, double[]> tags, boolean point) {
    double[] m = tags.get(MATRIX);
    double[] scale = tags.get(PIXEL_SCALE);
    double[] tie = tags.get(TIE_POINTS);
    double[] v;
    if (m != null && m.length >= 16) {
      v = new double[] {m[0], m[4], m[1], m[5], m[3], m[7]};
    } else if (scale != null && scale.length >= 2 && tie != null && tie.length >= 6) {
      v =
          new double[] {
            scale[0], 0, 0, -scale[1], tie[3] - tie[0] * scale[0], tie[4] + tie[1] * scale[1]
          };
    } else {
      return new double[0];
    }
    if (!point) {
      v[4] += (v[0] + v[2]) / 2;
      v[5] += (v[1] + v[3]) / 2;
    }
    return v;
  }

  private Map<Integer, double[]> tags() throws IOException {
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
    Map<Integer, double[]> out = new HashMap<>();
    for (int i = 0; i < count; i++) {
      int tag = entries.getShort(i * size) & 0xFFFF;
      if (tag == PIXEL_SCALE || tag == TIE_POINTS || tag == MATRIX || tag == KEYS) {
        out.put(tag, values(entries, i * size));
      }
    }
    return out;
  }

  private double[] values(ByteBuffer entries, int at) throws IOException {
    int type = entries.getShort(at + 2);
    long n = big ? entries.getLong(at + 4) : entries.getInt(at + 4) & 0xFFFFFFFFL;
    int width = type == 12 ? 8 : type == 3 ? 2 : 0;
    if (width == 0 || n < 0 || n > MOST_VALUES) {
      throw new ReadException(path, "a position tag of the image is damaged. Ask for it again.");
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
    double[] out = new double[(int) n];
    for (int i = 0; i < n; i++) {
      out[i] = width == 8 ? data.getDouble(8 * i) : data.getShort(2 * i) & 0xFFFF;
    }
    return out;
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
