package wellspan.exchange.file;

import java.util.Locale;

/** Writes numbers as plain decimals, without an exponent and without zeros at their end. */
public final class DecimalText {
  private static final long[] POWER = {
    1, 10, 100, 1_000, 10_000, 100_000, 1_000_000, 10_000_000, 100_000_000, 1_000_000_000
  };

  private DecimalText() {}

  /**
   * @param decimals 1 to 9; there is always one digit behind the point
   * @throws IllegalArgumentException if the number is not finite
   */
  public static StringBuilder append(StringBuilder to, double value, int decimals) {
    double scaled = Math.rint(value * POWER[decimals]);
    if (!(Math.abs(scaled) < 9e18)) {
      if (!Double.isFinite(value)) {
        throw new IllegalArgumentException("a number that is not finite cannot be written");
      }
      return to.append(String.format(Locale.ROOT, "%.1f", value));
    }
    long n = Math.abs((long) scaled);
    if (scaled < 0) {
      to.append('-');
    }
    to.append(n / POWER[decimals]).append('.');
    long rest = n % POWER[decimals];
    int digits = decimals;
    while (digits > 1 && rest % 10 == 0) {
      rest /= 10;
      digits--;
    }
    for (int k = digits - 1; k >= 0; k--) {
      to.append((char) ('0' + rest / POWER[k] % 10));
    }
    return to;
  }
}
