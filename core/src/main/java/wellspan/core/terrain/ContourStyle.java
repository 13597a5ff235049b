package wellspan.core.terrain;

/**
 * Which contours are drawn.
 *
 * @param interval distance of levels, metres
 * @param base a level that has a contour, metres
 * @param majorEvery every how many-th contour, counted from the base, is a major one; 0 for none
 */
public record ContourStyle(double interval, double base, int majorEvery) {
  /** The finest interval, metres. */
  public static final double FINEST = 0.001;

  /**
   * @throws IllegalArgumentException with a sentence
   */
  public ContourStyle {
    if (!(interval >= FINEST) || Double.isInfinite(interval)) {
      throw new IllegalArgumentException("The interval of contours must be at least a millimetre.");
    }
    if (!Double.isFinite(base)) {
      throw new IllegalArgumentException("The base of contours must be a level in metres.");
    }
    if (majorEvery < 0) {
      throw new IllegalArgumentException("Major contours are every n-th; 0 for none.");
    }
  }

  /** Every fifth one major, a contour at level zero. */
  public static ContourStyle every(double interval) {
    return new ContourStyle(interval, 0, 5);
  }

  public double level(long step) {
    return base + step * interval;
  }

  public boolean isMajor(long step) {
    return majorEvery > 0 && step % majorEvery == 0;
  }
}
