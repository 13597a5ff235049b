package wellspan.core.typical;

/**
 * A strip of a road, told from the axis outwards.
 *
 * @param width metres
 * @param fall to the outside, per cent; negative where it rises
 * @param rise at its inner edge, metres up
 * @param thickness of its own body, metres; 0 where it has none, as lanes over courses
 * @param material of its own body
 */
public record Strip(
    StripUse use, double width, double fall, double rise, double thickness, String material) {

  /**
   * @throws IllegalArgumentException with a sentence, if a measure cannot be
   */
  public Strip {
    if (!(width > 0 && width < 1000)) {
      throw new IllegalArgumentException(
          "A strip needs a width above 0, in metres; it was " + width + ".");
    }
    if (!(Math.abs(fall) <= 500) || !(Math.abs(rise) <= 10)) {
      throw new IllegalArgumentException(
          "A strip falls at most 500 % and rises at most 10 m at its edge; it was "
              + fall
              + " % and "
              + rise
              + " m.");
    }
    if (!(thickness >= 0 && thickness <= 10)) {
      throw new IllegalArgumentException(
          "A thickness is between 0 and 10 m; it was " + thickness + ".");
    }
  }

  /** How much higher its outer edge is than its inner one, metres. */
  double climb() {
    return -width * fall / 100;
  }

  public Strip withFall(double f) {
    return new Strip(use, width, f, rise, thickness, material);
  }

  public Strip withWidth(double w) {
    return new Strip(use, w, fall, rise, thickness, material);
  }
}
