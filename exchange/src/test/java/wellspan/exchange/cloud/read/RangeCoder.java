package wellspan.exchange.cloud.read;

import java.util.Arrays;

/**
 * Arithmetic coding with adaptive models after A. Said, "Introduction to Arithmetic Coding" (HP
 * Labs report HPL-2004-76), with the constants of the LASzip format.
 */
final class RangeCoder {
  private static final long WORD = 0xFFFF_FFFFL;
  private static final long LEAST = 1L << 24;

  private byte[] out = new byte[1024];
  private int size;
  private long base;
  private long length = WORD;

  void put(Symbols m, int symbol) {
    long low;
    if (symbol == m.counts.length - 1) {
      low = m.distribution[symbol] * (length >>> 15);
      length -= low;
    } else {
      length >>>= 15;
      low = m.distribution[symbol] * length;
      length = m.distribution[symbol + 1] * length - low;
    }
    raise(low);
    m.saw(symbol);
  }

  private void put(Bit m, int bit) {
    long low = m.zeros * (length >>> 13);
    if (bit == 0) {
      length = low;
      raise(0);
    } else {
      length -= low;
      raise(low);
    }
    m.saw(bit);
  }

  private void putBits(int bits, int value) {
    int more = bits > 19 ? 16 : 0;
    if (more > 0) {
      length >>>= 16;
      raise((value & 0xFFFF) * length);
    }
    length >>>= bits - more;
    raise((value >>> more) * length);
  }

  private void raise(long by) {
    base += by;
    if (base > WORD) { // carry
      base &= WORD;
      int p = size - 1;
      while (out[p] == (byte) 0xFF) {
        out[p--] = 0;
      }
      out[p]++;
    }
    while (length < LEAST) {
      write((byte) (base >>> 24));
      base = base << 8 & WORD;
      length <<= 8;
    }
  }

  private void write(byte b) {
    if (size == out.length) {
      out = Arrays.copyOf(out, 2 * size);
    }
    out[size++] = b;
  }

  /** All that was coded; nothing can be added after it. */
  byte[] end() {
    boolean wide = length > 2 * LEAST;
    length = wide ? LEAST >>> 1 : LEAST >>> 9;
    raise(wide ? LEAST : LEAST >>> 1);
    for (int i = wide ? 3 : 2; i > 0; i--) {
      write((byte) 0); // the decoder reads on so far
    }
    return Arrays.copyOf(out, size);
  }

  /** How often each symbol was seen. */
  static final class Symbols {
    private final int[] counts;
    private final long[] distribution;
    private int total;
    private int cycle;
    private int left;

    Symbols(int symbols) {
      counts = new int[symbols];
      Arrays.fill(counts, 1);
      distribution = new long[symbols];
      cycle = symbols;
      update();
      cycle = (symbols + 6) >>> 1;
      left = cycle;
    }

    private void saw(int symbol) {
      counts[symbol]++;
      if (--left == 0) {
        update();
      }
    }

    private void update() {
      total += cycle;
      if (total > 1 << 15) {
        total = 0;
        for (int i = 0; i < counts.length; i++) {
          counts[i] = (counts[i] + 1) >>> 1;
          total += counts[i];
        }
      }
      long scale = (1L << 31) / total;
      long sum = 0;
      for (int i = 0; i < counts.length; i++) {
        distribution[i] = scale * sum >>> 16;
        sum += counts[i];
      }
      cycle = Math.min(5 * cycle >>> 2, (counts.length + 6) << 3);
      left = cycle;
    }
  }

  /** How often a bit was zero. */
  private static final class Bit {
    private long zeros = 1 << 12;
    private int zeroCount = 1;
    private int count = 2;
    private int cycle = 4;
    private int left = 4;

    private void saw(int bit) {
      zeroCount += bit == 0 ? 1 : 0;
      if (--left > 0) {
        return;
      }
      count += cycle;
      if (count > 1 << 13) {
        count = (count + 1) >>> 1;
        zeroCount = (zeroCount + 1) >>> 1;
        count += zeroCount == count ? 1 : 0;
      }
      zeros = zeroCount * ((1L << 31) / count) >>> 18;
      cycle = Math.min(64, 5 * cycle >>> 2);
      left = cycle;
    }
  }

  /** Whole numbers as differences from what is expected. */
  static final class Integers {
    private static final int IN_ONE_STEP = 8;

    private final RangeCoder coder;
    private final int bits;
    private final Symbols[] sizes;
    private final Symbols[] within;
    private final Bit small = new Bit();
    private int k;

    Integers(RangeCoder coder, int bits, int contexts) {
      this.coder = coder;
      this.bits = bits;
      sizes = new Symbols[contexts];
      Arrays.setAll(sizes, i -> new Symbols(bits + 1));
      within = new Symbols[bits + 1];
      for (int i = 1; i <= bits; i++) {
        within[i] = new Symbols(1 << Math.min(i, IN_ONE_STEP));
      }
    }

    /** How many bits the last difference took. */
    int bits() {
      return k;
    }

    void put(int expected, int value, int context) {
      int c = value - expected;
      if (bits < 32) {
        int half = 1 << (bits - 1);
        c += c < -half ? 2 * half : c >= half ? -2 * half : 0;
      }
      k = 32 - Integer.numberOfLeadingZeros(c <= 0 ? -c : c - 1);
      coder.put(sizes[context], k);
      if (k == 0) {
        coder.put(small, c);
      } else if (k < 32) {
        int place = c < 0 ? c + (1 << k) - 1 : c - 1;
        int low = Math.max(0, k - IN_ONE_STEP);
        coder.put(within[k], place >>> low);
        if (low > 0) {
          coder.putBits(low, place & (1 << low) - 1);
        }
      }
    }
  }
}
