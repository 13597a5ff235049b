package wellspan.core.earthwork;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import wellspan.core.geom.Mesh;
import wellspan.core.terrain.TriangleIndex;

/**
 * The line in which a vertical plane cuts a surface.
 *
 * @param at distances from the start of the line, rising; two equal ones stand on the two sides of
 *     a step
 * @param level at each, NaN where the surface has a gap behind it
 */
record GroundLine(double[] at, double[] level) {
  private static final double SIDE = 1e-7;

  /**
   * Exact: with a point at every edge that is crossed.
   *
   * @param dx east of the direction, of length 1
   * @param dy north of the direction
   * @param from first distance in the direction, may be negative
   */
  static GroundLine of(
      TriangleIndex surface, double e, double n, double dx, double dy, double from, double to) {
    TreeSet<Double> breaks = new TreeSet<>(List.of(from, to));
    Mesh m = surface.mesh();
    int[] t = m.triangles();
    double x0 = e + from * dx;
    double y0 = n + from * dy;
    double x1 = e + to * dx;
    double y1 = n + to * dy;
    surface.forEachNear(
        Math.min(x0, x1),
        Math.min(y0, y1),
        Math.max(x0, x1),
        Math.max(y0, y1),
        k -> {
          for (int i = 0; i < 3; i++) {
            int a = t[3 * k + i];
            int b = t[3 * k + (i + 1) % 3];
            double sa = (m.east(a) - e) * dy - (m.north(a) - n) * dx;
            double sb = (m.east(b) - e) * dy - (m.north(b) - n) * dx;
            if (sa > 0 == sb > 0) {
              continue;
            }
            double u = sa / (sa - sb);
            double x = m.east(a) + u * (m.east(b) - m.east(a)) - e;
            double y = m.north(a) + u * (m.north(b) - m.north(a)) - n;
            double s = x * dx + y * dy;
            if (s > from && s < to) {
              breaks.add(s);
            }
          }
        });
    List<double[]> out = new ArrayList<>();
    double last = Double.NaN;
    for (double s : breaks) {
      if (s - last < SIDE) {
        continue;
      }
      last = s;
      double before = s == from ? Double.NaN : level(surface, e, n, dx, dy, s - SIDE);
      double after = s == to ? Double.NaN : level(surface, e, n, dx, dy, s + SIDE);
      if (s > from && Double.isFinite(before)) {
        out.add(new double[] {s, before});
      }
      if (s < to) {
        out.add(new double[] {s, after});
      }
    }
    return new GroundLine(
        out.stream().mapToDouble(p -> p[0]).toArray(),
        out.stream().mapToDouble(p -> p[1]).toArray());
  }

  private static double level(
      TriangleIndex surface, double e, double n, double dx, double dy, double s) {
    return surface.levelAt(e + s * dx, n + s * dy);
  }

  /** Level at a distance, linear between the points; NaN in a gap or beyond the ends. */
  double levelAt(double s) {
    for (int i = 0; i + 1 < at.length; i++) {
      if (s >= at[i] && s <= at[i + 1] && at[i + 1] > at[i]) {
        double u = (s - at[i]) / (at[i + 1] - at[i]);
        return level[i] + u * (level[i + 1] - level[i]);
      }
    }
    return Double.NaN;
  }
}
