package wellspan.exchange.cloud;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.ArrayList;
import java.util.List;

/**
 * Compresses LAS records of format 0 with single returns as LAZ does, item POINT10 version 2 in
 * chunks, after the specification of the LASzip format; only for making files that are to be read.
 */
final class LazPoints {
  private static final int RECORD = 20;

  private LazPoints() {}

  /**
   * @param records of 20 bytes
   * @param start where they begin in the file
   * @param perChunk points of a chunk
   * @return what stands there instead, chunk table included
   */
  static byte[] compressed(ByteBuffer records, long start, int perChunk) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    List<Integer> sizes = new ArrayList<>();
    int n = records.remaining() / RECORD;
    for (int from = 0; from < n; from += perChunk) {
      byte[] chunk = chunk(records, from, Math.min(n, from + perChunk));
      sizes.add(chunk.length);
      out.writeBytes(chunk);
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

  private static byte[] chunk(ByteBuffer records, int from, int to) {
    byte[] first = new byte[RECORD];
    records.get(RECORD * from, first);
    RangeCoder coder = new RangeCoder();
    Fields fields = new Fields(coder, records, from);
    for (int i = from + 1; i < to; i++) {
      fields.put(i);
    }
    byte[] rest = coder.end();
    return ByteBuffer.allocate(RECORD + rest.length).put(first).put(rest).array();
  }

  /** The fields of one record after the other, each told by what the last one held. */
  private static final class Fields {
    private final RangeCoder coder;
    private final ByteBuffer in;
    private final RangeCoder.Symbols changed = new RangeCoder.Symbols(64);
    private final RangeCoder.Integers intensities;
    private final RangeCoder.Symbols[] classes = new RangeCoder.Symbols[256];
    private final RangeCoder.Integers dx;
    private final RangeCoder.Integers dy;
    private final RangeCoder.Integers z;
    private final Median xs = new Median();
    private final Median ys = new Median();
    private int last;
    private int intensity;
    private int height;

    Fields(RangeCoder coder, ByteBuffer in, int first) {
      this.coder = coder;
      this.in = in;
      last = first;
      intensities = new RangeCoder.Integers(coder, 16, 4);
      dx = new RangeCoder.Integers(coder, 32, 2);
      dy = new RangeCoder.Integers(coder, 32, 22);
      z = new RangeCoder.Integers(coder, 32, 20);
    }

    void put(int i) {
      int a = RECORD * last, b = RECORD * i;
      int light = Short.toUnsignedInt(in.getShort(b + 12));
      int before = Byte.toUnsignedInt(in.get(a + 15));
      int kind = Byte.toUnsignedInt(in.get(b + 15));
      coder.put(changed, (light != intensity ? 16 : 0) | (kind != before ? 8 : 0));
      if (light != intensity) {
        intensities.put(intensity, light, 0);
        intensity = light;
      }
      if (kind != before) {
        if (classes[before] == null) {
          classes[before] = new RangeCoder.Symbols(256);
        }
        coder.put(classes[before], kind);
      }
      int east = in.getInt(b) - in.getInt(a);
      dx.put(xs.middle(), east, 1);
      xs.add(east);
      int north = in.getInt(b + 4) - in.getInt(a + 4);
      dy.put(ys.middle(), north, 1 + Math.min(20, dx.bits() & ~1));
      ys.add(north);
      z.put(height, in.getInt(b + 8), 1 + Math.min(18, (dx.bits() + dy.bits()) / 2 & ~1));
      height = in.getInt(b + 8);
      last = i;
    }
  }

  /** The middle one of five that are kept of a stream, as the format prescribes it. */
  private static final class Median {
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
