package wellspan.exchange.ifc.read;

/** Directions in space, as three numbers. */
final class Direction {
  private Direction() {}

  static double dot(double[] a, double[] b) {
    return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  }

  static double[] cross(double[] a, double[] b) {
    return new double[] {
      a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]
    };
  }

  static double[] unit(double[] v) {
    double l = Math.sqrt(dot(v, v));
    return new double[] {v[0] / l, v[1] / l, v[2] / l};
  }

  /** How far two places lie from each other. */
  static double distance(double[] a, double[] b) {
    return Math.hypot(Math.hypot(a[0] - b[0], a[1] - b[1]), a[2] - b[2]);
  }
}
