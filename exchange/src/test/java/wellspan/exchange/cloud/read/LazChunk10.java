package wellspan.exchange.cloud.read;

import java.nio.ByteBuffer;

/** A chunk of records of format 0 with single returns: item POINT10, version 2. */
final class LazChunk10 {
  static final int RECORD = 20;

  private LazChunk10() {}

  static byte[] of(ByteBuffer records, int from, int to) {
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
    private final LazPoints.Median xs = new LazPoints.Median();
    private final LazPoints.Median ys = new LazPoints.Median();
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
}
