package wellspan.core.finding;

import java.util.Locale;

/**
 * A measured value.
 *
 * @param value in the unit; NaN where it is not known
 * @param unit such as {@code mm} or {@code points}; may be empty
 * @param text as people read it, unit included
 */
public record Figure(double value, String unit, String text) {
  /** A value with a number of decimals. */
  public static Figure of(double value, int decimals, String unit) {
    return new Figure(
        value,
        unit,
        Double.isFinite(value)
            ? String.format(Locale.ROOT, "%." + decimals + "f %s", value, unit).strip()
            : "unknown");
  }

  /** The same, with its sign even where it is positive. */
  public static Figure signed(double value, int decimals, String unit) {
    return new Figure(
        value, unit, String.format(Locale.ROOT, "%+." + decimals + "f %s", value, unit));
  }

  /** A number of things. */
  public static Figure count(long n) {
    return new Figure(n, "", Long.toString(n));
  }

  /**
   * A number of things by name.
   *
   * @param what in the form that goes with the number
   */
  public static Figure count(long n, String what) {
    return new Figure(n, what, String.format(Locale.ROOT, "%,d %s", n, what));
  }

  /** One kept of so many. */
  public static Figure oneIn(long step) {
    return new Figure(1.0 / step, "", "1 in " + step);
  }
}
