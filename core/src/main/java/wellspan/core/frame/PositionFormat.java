package wellspan.core.frame;

import java.util.Locale;
import wellspan.core.geom.Position;
import wellspan.core.unit.LinearUnit;

/**
 * How positions are written for copying.
 *
 * @param decimals 0 to 6
 * @param northFirst N E instead of E N, y x instead of x y
 * @param withUnit whether the unit's symbol follows each number
 * @param separator between the numbers
 */
public record PositionFormat(
    LinearUnit unit, int decimals, boolean northFirst, boolean withUnit, String separator) {
  public static final PositionFormat STANDARD =
      new PositionFormat(LinearUnit.METRE, 3, false, false, " ");

  /**
   * @throws IllegalArgumentException if there are fewer than 0 or more than 6 decimals
   */
  public PositionFormat {
    if (decimals < 0 || decimals > 6) {
      throw new IllegalArgumentException("0 to 6 decimals can be written.");
    }
  }

  /** The numbers of a position in metres; the height is left out where it is not known. */
  public String text(Position p) {
    String first = number(northFirst ? p.north() : p.east());
    String second = number(northFirst ? p.east() : p.north());
    String plan = first + separator + second;
    return Double.isFinite(p.level()) ? plan + separator + number(p.level()) : plan;
  }

  private String number(double metres) {
    String s = String.format(Locale.ROOT, "%." + decimals + "f", metres / unit.metres());
    String zero =
        s.startsWith("-") && s.chars().noneMatch(c -> c >= '1' && c <= '9') ? s.substring(1) : s;
    return withUnit ? zero + " " + unit.symbol() : zero;
  }
}
