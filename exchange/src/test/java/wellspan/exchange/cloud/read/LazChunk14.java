package wellspan.exchange.cloud.read;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;

/**
 * A chunk of records of the formats 6 to 8 with single returns of one time, in greys below 256:
 * item POINT14, version 3, and what follows it, in layers.
 */
final class LazChunk14 {
  /** Layers of POINT14. */
  private static final int LAYERS = 9;

  private static final int SINGLE_RETURN = 3;
  private static final int RED = 30;

  private final RangeCoder plan = new RangeCoder();
  private final RangeCoder levels = new RangeCoder();
  private final RangeCoder classes = new RangeCoder();
  private final RangeCoder lights = new RangeCoder();
  private final RangeCoder colours = new RangeCoder();
  private final RangeCoder.Symbols colourBytes = new RangeCoder.Symbols(128);
  private final RangeCoder.Symbols reds = new RangeCoder.Symbols(256);
  private final RangeCoder.Symbols unchanged = new RangeCoder.Symbols(128);
  private final RangeCoder.Symbols[] kinds = new RangeCoder.Symbols[64];
  private final RangeCoder.Integers dx = new RangeCoder.Integers(plan, 32, 2);
  private final RangeCoder.Integers dy = new RangeCoder.Integers(plan, 32, 22);
  private final RangeCoder.Integers z = new RangeCoder.Integers(levels, 32, 20);
  private final RangeCoder.Integers light = new RangeCoder.Integers(lights, 16, 4);
  private final LazPoints.Median xs = new LazPoints.Median();
  private final LazPoints.Median ys = new LazPoints.Median();

  /** Layers of what follows: none, one for the colour, two with near infrared. */
  private static int extraLayers(int record) {
    return switch (record) {
      case 30 -> 0;
      case 36 -> 1;
      case 38 -> 2;
      default -> throw new IllegalArgumentException("no record of format 6, 7 or 8: " + record);
    };
  }

  static byte[] of(ByteBuffer records, int record, int from, int to) {
    byte[] first = new byte[record];
    records.get(record * from, first);
    LazChunk14 c = new LazChunk14();
    for (int i = from + 1; i < to; i++) {
      c.put(records, record * (i - 1), record * i);
      if (record > RED) {
        c.grey(records.get(record * (i - 1) + RED), records.get(record * i + RED));
      }
    }
    boolean alone = to == from + 1;
    byte[][] layers = new byte[LAYERS + extraLayers(record)][0];
    layers[0] = c.plan.end();
    layers[1] = alone ? new byte[0] : c.levels.end();
    layers[2] = alone ? new byte[0] : c.classes.end();
    layers[4] = alone ? new byte[0] : c.lights.end();
    if (record > RED && !alone) {
      layers[LAYERS] = c.colours.end();
    }
    int size = record + 4;
    for (byte[] l : layers) {
      size += 4 + l.length;
    }
    ByteBuffer out = ByteBuffer.allocate(size).order(ByteOrder.LITTLE_ENDIAN);
    out.put(first).putInt(to - from);
    for (byte[] l : layers) {
      out.putInt(l.length);
    }
    for (byte[] l : layers) {
      out.put(l);
    }
    return out.array();
  }

  private void put(ByteBuffer in, int a, int b) {
    plan.put(unchanged, 0);
    int east = in.getInt(b) - in.getInt(a);
    dx.put(xs.middle(), east, 1);
    xs.add(east);
    int north = in.getInt(b + 4) - in.getInt(a + 4);
    dy.put(ys.middle(), north, 1 + Math.min(20, dx.bits() & ~1));
    ys.add(north);
    int k = (dx.bits() + dy.bits()) / 2;
    z.put(in.getInt(a + 8), in.getInt(b + 8), 1 + Math.min(18, k & ~1));
    int last = in.get(a + 16) & 0x1F;
    if (kinds[2 * last + 1] == null) {
      kinds[2 * last + 1] = new RangeCoder.Symbols(256);
    }
    classes.put(kinds[2 * last + 1], Byte.toUnsignedInt(in.get(b + 16)));
    light.put(
        Short.toUnsignedInt(in.getShort(a + 12)),
        Short.toUnsignedInt(in.getShort(b + 12)),
        SINGLE_RETURN);
  }

  /** Green and blue follow red. */
  private void grey(byte before, byte now) {
    colours.put(colourBytes, before == now ? 0 : 1);
    if (before != now) {
      colours.put(reds, now - before & 0xFF);
    }
  }
}
