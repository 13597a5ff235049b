package wellspan.core.align;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * The labels along an alignment. Equations change the labels, never the geometry.
 *
 * @param start chainage at the alignment's start, metres
 * @param equations in order of distance
 */
public record Chainages(double start, List<Equation> equations) {

  /** A distance that went through another unit may come back this much short of an equation. */
  private static final double ROUNDING = 1e-7;

  public Chainages {
    equations = List.copyOf(equations);
  }

  /**
   * A place where the label jumps.
   *
   * @param distance from the alignment's start, metres
   * @param back label that ends here
   * @param ahead label that starts here
   * @param increasing whether labels grow with the distance after it
   */
  public record Equation(double distance, double back, double ahead, boolean increasing) {}

  /** Label at a distance from the start; at an equation the label ahead. */
  public double at(double distance) {
    double label = start + distance;
    for (Equation e : equations) {
      if (distance >= e.distance() - ROUNDING) {
        label =
            e.increasing()
                ? e.ahead() + distance - e.distance()
                : e.ahead() - (distance - e.distance());
      }
    }
    return label;
  }

  /**
   * Distances from the start at which a label stands: none where an equation leaves it out, two and
   * more where one uses it again.
   *
   * @param length of the alignment, metres
   */
  public List<Double> distances(double label, double length) {
    List<Double> out = new ArrayList<>();
    double from = 0;
    double first = start;
    boolean up = true;
    for (int i = 0; i <= equations.size(); i++) {
      double to = i < equations.size() ? equations.get(i).distance() : length;
      double d = from + (up ? label - first : first - label);
      double at = Math.clamp(d, 0, length);
      boolean again = !out.isEmpty() && Math.abs(out.getLast() - at) < 2 * ROUNDING;
      if (d >= from - ROUNDING && d <= to + ROUNDING && !again) {
        out.add(at);
      }
      if (i < equations.size()) {
        from = to;
        first = equations.get(i).ahead();
        up = equations.get(i).increasing();
      }
    }
    return out;
  }

  /**
   * Chainage as written in the trade: kilometres, plus, metres with three decimals, as in
   * 0+512.300.
   */
  public static String format(double chainage) {
    long mm = Math.round(Math.abs(chainage) * 1000);
    String sign = chainage < 0 && mm > 0 ? "\u2212" : "";
    return String.format(
        Locale.ROOT, "%s%d+%03d.%03d", sign, mm / 1_000_000, mm / 1000 % 1000, mm % 1000);
  }
}
