package wellspan.core.terrain;

/** A readable contour interval. */
public final class ContourInterval {
  private ContourInterval() {}

  /**
   * The smallest interval of 0.1, 0.2, 0.5, 1, 2, 5 … m whose lines stand, on a mean slope of 1 in
   * 8, at least {@code gap} metres apart in plan.
   */
  public static double forGap(double gap) {
    double wanted = Math.max(0.1, gap / 8);
    double power = Math.pow(10, Math.floor(Math.log10(wanted)));
    for (double m : new double[] {1, 2, 5}) {
      if (m * power >= wanted * (1 - 1e-9)) {
        return m * power;
      }
    }
    return 10 * power;
  }
}
