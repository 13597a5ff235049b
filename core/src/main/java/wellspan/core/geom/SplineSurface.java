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
    DeBoor.check(degreeU, knotsU, control.length);
    for (double[][] row : control) {
      DeBoor.check(degreeV, knotsV, row.length);
      for (double[] c : row) {
        if (!(c[3] > 0)) {
          throw new IllegalArgumentException("A spline has a weight of " + c[3] + ".");
        }
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

  private static double[] deBoor(int degree, double[] knots, double[][] points, double t) {
    int span = degree;
    while (span < points.length - 1 && t >= knots[span + 1]) {
      span++;
    }
    double[][] d = new double[degree + 1][];
    for (int j = 0; j <= degree; j++) {
      d[j] = points[span - degree + j].clone();
    }
    return DeBoor.at(degree, knots, span, d, t);
  }
}
