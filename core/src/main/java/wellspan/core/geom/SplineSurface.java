package wellspan.core.geom;

/**
 * A B-spline surface, rational if it has weights.
 *
 * @param degreeU one or more
 * @param knotsU not falling, as many as rows and degree and one
 * @param control homogeneous control points (wx, wy, wz, w), rows along u, in each row along v
 */
public record SplineSurface(
    int degreeU, int degreeV, double[] knotsU, double[] knotsV, double[][][] control) {

  /**
   * @throws IllegalArgumentException if the numbers do not make a surface
   */
  public SplineSurface {
    check(degreeU, knotsU, control.length);
    for (double[][] row : control) {
      check(degreeV, knotsV, row.length);
      for (double[] c : row) {
        if (!(c[3] > 0)) {
          throw new IllegalArgumentException("A spline has a weight of " + c[3] + ".");
        }
      }
    }
  }

  private static void check(int degree, double[] knots, int points) {
    if (degree < 1 || points <= degree || knots.length != points + degree + 1) {
      throw new IllegalArgumentException(
          "A spline of degree "
              + degree
              + " with "
              + points
              + " control points has "
              + knots.length
              + " knots.");
    }
    for (int k = 0; k < knots.length; k++) {
      if (!Double.isFinite(knots[k]) || k > 0 && knots[k] < knots[k - 1]) {
        throw new IllegalArgumentException("The knots of a spline do not grow.");
      }
    }
  }

  public double fromU() {
    return knotsU[degreeU];
  }

  public double toU() {
    return knotsU[control.length];
  }

  public double fromV() {
    return knotsV[degreeV];
  }

  public double toV() {
    return knotsV[control[0].length];
  }

  /** The place at two parameters; beyond its ends the surface stays at its border. */
  public double[] at(double u, double v) {
    double[][] across = new double[control.length][];
    for (int i = 0; i < control.length; i++) {
      across[i] = deBoor(degreeV, knotsV, control[i], Math.clamp(v, fromV(), toV()));
    }
    double[] h = deBoor(degreeU, knotsU, across, Math.clamp(u, fromU(), toU()));
    return new double[] {h[0] / h[3], h[1] / h[3], h[2] / h[3]};
  }

  /** As in {@link Chords#spline} (de Boor, On calculating with B-splines, 1972). */
  private static double[] deBoor(int degree, double[] knots, double[][] points, double t) {
    int span = degree;
    while (span < points.length - 1 && t >= knots[span + 1]) {
      span++;
    }
    double[][] d = new double[degree + 1][];
    for (int j = 0; j <= degree; j++) {
      d[j] = points[span - degree + j].clone();
    }
    for (int r = 1; r <= degree; r++) {
      for (int j = degree; j >= r; j--) {
        double low = knots[span - degree + j];
        double width = knots[span + 1 + j - r] - low;
        double alpha = width == 0 ? 0 : (t - low) / width;
        for (int k = 0; k < 4; k++) {
          d[j][k] = (1 - alpha) * d[j - 1][k] + alpha * d[j][k];
        }
      }
    }
    return d[degree];
  }
}
