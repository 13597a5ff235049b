package wellspan.core.typical;

import java.util.List;

/**
 * Crossfalls along an alignment as a designer lists them; even between two rows, and those of the
 * first and the last row before and after them.
 *
 * @param rows rising by chainage; none where nothing is listed
 */
public record CrossfallTable(List<Row> rows) {
  public static final CrossfallTable NONE = new CrossfallTable(List.of());

  /** Steeper than anything that is driven on, per cent. */
  private static final double STEEPEST = 30;

  /**
   * @param chainage as displayed, metres
   * @param left fall of the left side outwards, per cent
   * @param right fall of the right side outwards, per cent
   */
  public record Row(double chainage, double left, double right) {}

  /**
   * @throws IllegalArgumentException with a sentence, if a number is none or too steep, or rows do
   *     not rise
   */
  public CrossfallTable {
    rows = List.copyOf(rows);
    for (int i = 0; i < rows.size(); i++) {
      Row r = rows.get(i);
      if (!Double.isFinite(r.chainage)
          || !(Math.abs(r.left) <= STEEPEST)
          || !(Math.abs(r.right) <= STEEPEST)) {
        throw new IllegalArgumentException(
            "Crossfalls are given by a chainage in metres and two falls from -30 to 30 %; row "
                + (i + 1)
                + " is none.");
      }
      if (i > 0 && !(r.chainage > rows.get(i - 1).chainage)) {
        throw new IllegalArgumentException(
            "Crossfalls are listed by rising chainage; row "
                + (i + 1)
                + " at "
                + r.chainage
                + " m does not come after the one before it.");
      }
    }
  }

  /** Whether nothing is listed. */
  public boolean none() {
    return rows.isEmpty();
  }
}
