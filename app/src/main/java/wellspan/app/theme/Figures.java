package wellspan.app.theme;

import java.util.Locale;
import java.util.OptionalDouble;
import wellspan.core.geom.Position;

/**
 * How figures are written: no-break space between thousands, a decimal point, the true minus sign.
 */
public final class Figures {
  private Figures() {}

  public static String number(double v, int decimals) {
    if (Double.isNaN(v)) {
      return "–";
    }
    String s =
        String.format(Locale.ROOT, "%,." + decimals + "f", Math.abs(v)).replace(',', '\u00a0');
    boolean zero = s.chars().noneMatch(c -> c >= '1' && c <= '9');
    return v < 0 && !zero ? "\u2212" + s : s;
  }

  public static String count(long n) {
    return number((double) n, 0);
  }

  public static String shared(Position p) {
    return "E "
        + number(p.east(), 3)
        + "  N "
        + number(p.north(), 3)
        + (Double.isNaN(p.level()) ? "" : "  H " + number(p.level(), 3));
  }

  public static String local(Position p) {
    return "x "
        + number(p.east(), 3)
        + "  y "
        + number(p.north(), 3)
        + (Double.isNaN(p.level()) ? "" : "  z " + number(p.level(), 3))
        + " m";
  }

  /** Millimetres, or metres and kilometres where that reads better. */
  public static String distance(double metres) {
    double a = Math.abs(metres);
    if (a < 1) {
      return number(1000 * metres, a < 0.01 ? 3 : 1) + " mm";
    }
    return a < 1000 ? number(metres, 1) + " m" : number(metres / 1000, 2) + " km";
  }

  /**
   * Whole millimetres as a bare number, for narrow columns; from ten metres on metres with their
   * unit, and from a thousand kilometres on just "far".
   */
  public static String millimetres(double metres) {
    double a = Math.abs(metres);
    if (a >= 1_000_000) {
      return "far";
    }
    if (a >= 1000) {
      return number(metres / 1000, 0) + "km";
    }
    return a < 10 ? number(1000 * metres, 0) : number(metres, a < 100 ? 1 : 0) + "m";
  }

  /** A factor as a number, or as a fraction of one where it shrinks. */
  public static String factor(double f) {
    return f >= 1 ? number(f, 0) : "1/" + number(1 / f, 0);
  }

  public static String bytes(long n) {
    return n < 1_000_000 ? number(n / 1000.0, 1) + " kB" : number(n / 1e6, 1) + " MB";
  }

  /**
   * Reads a number as people type it: spaces between thousands, either minus sign.
   *
   * @throws NumberFormatException if it is none
   */
  public static double parse(String text) {
    double d =
        Double.parseDouble(
            text.replace("\u2212", "-").replaceAll("[\\s\u00a0\u202f]", "").replace("°", ""));
    if (!Double.isFinite(d)) {
      throw new NumberFormatException(text);
    }
    return d;
  }

  /** The number that was typed; empty where it is none. */
  public static OptionalDouble typed(String text) {
    try {
      double v = parse(text);
      return Double.isFinite(v) ? OptionalDouble.of(v) : OptionalDouble.empty();
    } catch (NumberFormatException e) {
      return OptionalDouble.empty();
    }
  }
}
