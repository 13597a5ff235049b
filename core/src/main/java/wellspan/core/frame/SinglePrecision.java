package wellspan.core.frame;

/** What is lost where a receiver keeps coordinates in 24-bit single precision. */
public final class SinglePrecision {
  private SinglePrecision() {}

  /**
   * Spacing of single-precision values at a distance from zero, metres. The error of a coordinate
   * is half of it.
   */
  public static double resolution(double distance) {
    return Math.ulp((float) Math.abs(distance));
  }
}
