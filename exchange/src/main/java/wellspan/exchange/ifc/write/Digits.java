package wellspan.exchange.ifc.write;

import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteOrder;

/**
 * Writes numbers as decimal digits straight into bytes, four digits at a time. Up to three bytes
 * behind the end of a number may be overwritten, so there must be room for them.
 */
final class Digits {
  private static final VarHandle FOUR_BYTES =
      MethodHandles.byteArrayViewVarHandle(int[].class, ByteOrder.BIG_ENDIAN);

  /** The digits of 0000 to 9999, the first one in the highest byte. */
  private static final int[] FOUR_DIGITS = new int[10_000];

  private static final long[] POWER = {
    1, 10, 100, 1_000, 10_000, 100_000, 1_000_000, 10_000_000, 100_000_000, 1_000_000_000
  };

  static {
    for (int i = 0; i < FOUR_DIGITS.length; i++) {
      FOUR_DIGITS[i] =
          0x30303030 + (i / 1000 << 24 | i / 100 % 10 << 16 | i / 10 % 10 << 8 | i % 10);
    }
  }

  private Digits() {}

  /**
   * @param n zero or more
   * @return where the number ends
   */
  static int natural(long n, byte[] to, int at) {
    if (n < 10_000) {
      int digits = n < 100 ? n < 10 ? 1 : 2 : n < 1000 ? 3 : 4;
      padded((int) n, digits, to, at);
      return at + digits;
    }
    long upper = n / 10_000;
    int end = natural(upper, to, at);
    padded((int) (n - 10_000 * upper), 4, to, end);
    return end + 4;
  }

  /** Digits with leading zeros; the left ones first, as they spill over to the right. */
  private static void padded(int n, int digits, byte[] to, int at) {
    if (digits <= 4) {
      FOUR_BYTES.set(to, at, FOUR_DIGITS[n] << 8 * (4 - digits));
      return;
    }
    int upper = n / 10_000;
    padded(upper, digits - 4, to, at);
    FOUR_BYTES.set(to, at + digits - 4, FOUR_DIGITS[n - 10_000 * upper]);
  }

  /**
   * A number with a decimal point and without trailing zeros behind it.
   *
   * @param n the number times ten to the power of {@code decimals}, zero or more
   * @param decimals one to nine
   * @return where it ends
   */
  static int decimal(long n, int decimals, byte[] to, int at) {
    // a division by a constant is several times cheaper than one by a variable
    long whole =
        switch (decimals) {
          case 4 -> n / 10_000;
          case 7 -> n / 10_000_000;
          default -> n / POWER[decimals];
        };
    int end = natural(whole, to, at);
    to[end++] = '.';
    padded((int) (n - whole * POWER[decimals]), decimals, to, end);
    end += decimals;
    while (to[end - 1] == '0') {
      end--;
    }
    return end;
  }
}
