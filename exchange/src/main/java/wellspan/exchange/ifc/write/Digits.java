package wellspan.exchange.ifc.write;

/** Writes numbers as decimal digits straight into bytes, two digits at a time. */
final class Digits {
  private static final byte[] PAIRS = new byte[200];
  private static final long[] POWER = new long[19];

  static {
    for (int i = 0; i < 100; i++) {
      PAIRS[2 * i] = (byte) ('0' + i / 10);
      PAIRS[2 * i + 1] = (byte) ('0' + i % 10);
    }
    POWER[0] = 1;
    for (int i = 1; i < POWER.length; i++) {
      POWER[i] = 10 * POWER[i - 1];
    }
  }

  private Digits() {}

  /**
   * @param n zero or more
   * @return where the number ends
   */
  static int natural(long n, byte[] to, int at) {
    int digits = 1;
    while (digits < POWER.length && n >= POWER[digits]) {
      digits++;
    }
    fill(n, digits, to, at);
    return at + digits;
  }

  private static void fill(long n, int digits, byte[] to, int at) {
    int p = at + digits;
    long rest = n;
    while (rest > Integer.MAX_VALUE) {
      int pair = (int) (rest % 100);
      rest /= 100;
      to[--p] = PAIRS[2 * pair + 1];
      to[--p] = PAIRS[2 * pair];
    }
    int small = (int) rest;
    while (p - at >= 2) {
      int pair = small % 100;
      small /= 100;
      to[--p] = PAIRS[2 * pair + 1];
      to[--p] = PAIRS[2 * pair];
    }
    if (p > at) {
      to[at] = (byte) ('0' + small);
    }
  }

  /**
   * A number with a decimal point and without trailing zeros behind it.
   *
   * @param n the number times ten to the power of {@code decimals}, zero or more
   * @return where it ends
   */
  static int decimal(long n, int decimals, byte[] to, int at) {
    int end = natural(n / POWER[decimals], to, at);
    to[end++] = '.';
    fill(n % POWER[decimals], decimals, to, end);
    end += decimals;
    while (to[end - 1] == '0') {
      end--;
    }
    return end;
  }
}
