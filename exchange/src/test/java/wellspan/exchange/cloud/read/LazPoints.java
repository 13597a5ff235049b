package wellspan.exchange.cloud.read;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.ArrayList;
import java.util.List;

/**
 * Compresses LAS records as LAZ does, in chunks, after the specification of the LASzip format; only
 * for making files that are to be read.
 */
final class LazPoints {
  private LazPoints() {}

  /** How the records of a chunk are compressed. */
  interface Chunk {
    byte[] of(ByteBuffer records, int from, int to);
  }

  /**
   * @param records of {@code length} bytes each
   * @param start where they begin in the file
   * @param perChunk points of a chunk
   * @return what stands there instead, chunk table included
   */
  static byte[] compressed(ByteBuffer records, int length, long start, int perChunk, Chunk chunk) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    List<Integer> sizes = new ArrayList<>();
    int n = records.remaining() / length;
    for (int from = 0; from < n; from += perChunk) {
      byte[] c = chunk.of(records, from, Math.min(n, from + perChunk));
      sizes.add(c.length);
      out.writeBytes(c);
    }
    byte[] points = out.toByteArray();
    RangeCoder coder = new RangeCoder();
    RangeCoder.Integers table = new RangeCoder.Integers(coder, 32, 2);
    for (int i = 0; i < sizes.size(); i++) {
      table.put(i == 0 ? 0 : sizes.get(i - 1), sizes.get(i), 1);
    }
    byte[] coded = coder.end();
    return ByteBuffer.allocate(8 + points.length + 8 + coded.length)
        .order(ByteOrder.LITTLE_ENDIAN)
        .putLong(start + 8 + points.length)
        .put(points)
        .putInt(0)
        .putInt(sizes.size())
        .put(coded)
        .array();
  }

  /** The middle one of five that are kept of a stream, as the format prescribes it. */
  static final class Median {
    private final int[] five = new int[5];
    private boolean high = true;

    int middle() {
      return five[2];
    }

    void add(int v) {
      if (high) {
        high = v < five[2];
        int at = v < five[0] ? 0 : v < five[1] ? 1 : v < five[2] ? 2 : v < five[3] ? 3 : 4;
        System.arraycopy(five, at, five, at + 1, 4 - at);
        five[at] = v;
      } else {
        high = five[2] >= v;
        int at = v > five[4] ? 4 : v > five[3] ? 3 : v > five[2] ? 2 : v > five[1] ? 1 : 0;
        System.arraycopy(five, 1, five, 0, at);
        five[at] = v;
      }
    }
  }
}
