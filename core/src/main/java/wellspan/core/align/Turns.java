package wellspan.core.align;

import java.util.Locale;

/** How far elements may turn: more than any road or ramp does is a fault of radius or unit. */
final class Turns {
  private static final double MOST = 200 * Math.PI;

  private Turns() {}

  /**
   * @param by how far an element turns, radians
   * @throws IllegalArgumentException if it turns more than a hundred times round
   */
  static void notMany(double by) {
    if (!(Math.abs(by) <= MOST)) {
      throw new IllegalArgumentException(
          String.format(
              Locale.ROOT,
              "an element turns %.3g times round; its radius, its length or their unit is wrong",
              Math.abs(by) / (2 * Math.PI)));
    }
  }
}
