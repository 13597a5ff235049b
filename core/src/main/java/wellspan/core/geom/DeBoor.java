package wellspan.core.geom;

/**
 * Places on B-splines by repeated corner cutting (de Boor, On calculating with B-splines, 1972).
 */
final class DeBoor {
  private DeBoor() {}

  /**
   * The homogeneous place at a parameter.
   *
   * @param span number of the knot at or before the parameter
   * @param points the degree and one homogeneous control points of that span; used up
   */
  static double[] at(int degree, double[] knots, int span, double[][] points, double t) {
    for (int r = 1; r <= degree; r++) {
      for (int j = degree; j >= r; j--) {
        double low = knots[span - degree + j];
        double width = knots[span + 1 + j - r] - low;
        double alpha = width == 0 ? 0 : (t - low) / width;
        for (int k = 0; k < 4; k++) {
          points[j][k] = (1 - alpha) * points[j - 1][k] + alpha * points[j][k];
        }
      }
    }
    return points[degree];
  }

  /**
   * @throws IllegalArgumentException if the numbers do not make a spline
   */
  static void check(int degree, double[] knots, int points) {
    if (degree < 1 || points <= degree || knots.length != points + degree + 1) {
      throw new IllegalArgumentException(
          "A spline of degree "
              + degree
              + " with "
              + points
              + " control points needs "
              + (points + degree + 1)
              + " knots and has "
              + knots.length
              + ".");
    }
    for (int k = 0; k < knots.length; k++) {
      if (!Double.isFinite(knots[k]) || k > 0 && knots[k] < knots[k - 1]) {
        throw new IllegalArgumentException("The knots of a spline do not grow.");
      }
    }
  }
}
