package wellspan.core.align;

import wellspan.core.geom.Polyline;

/**
 * A line with fewer points: as few as can be reached by going as far as the tolerances allow from
 * point to point; both ends stay.
 *
 * @param line the points that stay
 * @param before number of points it was thinned from
 * @param plan largest distance in plan of the line from the thinned one, metres
 * @param level largest difference in level, metres; 0 where there are no levels
 */
public record ThinnedLine(Polyline line, int before, double plan, double level) {

  /**
   * @param plan tolerance in plan, metres
   * @param level tolerance in level, metres
   */
  public static ThinnedLine of(Polyline line, double plan, double level) {
    double[] xyz = line.xyz();
    int n = line.pointCount();
    double[] out = new double[xyz.length];
    int kept = 0;
    double[] worst = {0, 0};
    int at = 0;
    kept = keep(xyz, 0, out, kept);
    while (at < n - 1) {
      int reach = at + 1;
      int failed = n;
      int step = 1;
      // doubles the step until it fails, then halves it: cost n log n where lines are smooth
      while (reach + step < failed) {
        if (fits(xyz, at, reach + step, plan, level)) {
          reach += step;
          step *= 2;
        } else {
          failed = reach + step;
          step = 1;
        }
        if (reach + step >= failed) {
          step = 1;
        }
      }
      double[] off = off(xyz, at, reach);
      worst[0] = Math.max(worst[0], off[0]);
      worst[1] = Math.max(worst[1], off[1]);
      at = reach;
      kept = keep(xyz, at, out, kept);
    }
    return new ThinnedLine(new Polyline(java.util.Arrays.copyOf(out, kept)), n, worst[0], worst[1]);
  }

  private static int keep(double[] xyz, int i, double[] out, int kept) {
    System.arraycopy(xyz, 3 * i, out, kept, 3);
    return kept + 3;
  }

  private static boolean fits(double[] xyz, int a, int b, double plan, double level) {
    double[] off = off(xyz, a, b);
    return off[0] <= plan && off[1] <= level;
  }

  /** How far the points between two others lie off the straight piece between these. */
  private static double[] off(double[] xyz, int a, int b) {
    double ax = xyz[3 * a];
    double ay = xyz[3 * a + 1];
    double az = xyz[3 * a + 2];
    double dx = xyz[3 * b] - ax;
    double dy = xyz[3 * b + 1] - ay;
    double dz = xyz[3 * b + 2] - az;
    double square = dx * dx + dy * dy;
    double plan = 0;
    double level = 0;
    for (int i = a + 1; i < b; i++) {
      double x = xyz[3 * i] - ax;
      double y = xyz[3 * i + 1] - ay;
      double t = square == 0 ? 0 : Math.clamp((x * dx + y * dy) / square, 0.0, 1.0);
      plan = Math.max(plan, Math.hypot(x - t * dx, y - t * dy));
      double z = xyz[3 * i + 2] - az;
      boolean some = Double.isNaN(z);
      boolean chord = Double.isNaN(dz);
      level =
          Math.max(
              level,
              some && chord ? 0 : some || chord ? Double.POSITIVE_INFINITY : Math.abs(z - t * dz));
    }
    return new double[] {plan, level};
  }
}
