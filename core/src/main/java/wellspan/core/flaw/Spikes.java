package wellspan.core.flaw;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import wellspan.core.geom.Mesh;
import wellspan.core.progress.Progress;

/**
 * Single points that stand out of their surroundings: farther from the plane through their
 * neighbours than the neighbours' own scatter explains, and above or below all of them.
 *
 * @param points numbers of the points, ascending
 * @param heights how far each stands above (positive) or below the plane, metres
 * @param threshold height from which a point counts, metres
 */
public record Spikes(List<Integer> points, List<Double> heights, double threshold) {

  /** A spike stands out this many times farther than its neighbours scatter. */
  private static final double SCATTERS = 6;

  /**
   * @param xyz points in threes
   * @param left points that do not count, such as false levels
   * @param height from which a point counts, metres; NaN to take it from the points: four times the
   *     distance from their neighbours' plane that nine of ten points keep, but half a metre at
   *     least
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static Spikes find(double[] xyz, boolean[] left, double height, Progress progress) {
    return find(xyz, Optional.empty(), left, height, progress);
  }

  /**
   * The same among the vertices of a surface, where a spike must stand out from those that its
   * edges join it with, by half its height at least.
   *
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static Spikes find(Mesh surface, boolean[] left, double height, Progress progress) {
    return find(surface.xyz(), Optional.of(VertexRings.of(surface)), left, height, progress);
  }

  private static Spikes find(
      double[] xyz, Optional<VertexRings> rings, boolean[] left, double height, Progress progress) {
    int n = xyz.length / 3;
    boolean[] out = left.clone();
    Neighbours near = new Neighbours(xyz, out);
    Measures m = new Measures(new double[n], new double[n], new double[n], new double[n]);
    for (int i = 0; i < n; i++) {
      if (i % 4096 == 0) {
        progress.advance((double) i / n, "Looking for spikes");
      }
      if (!out[i]) {
        measure(xyz, near, i, m);
      }
    }
    double threshold = Double.isNaN(height) ? usual(m.heights, out) : height;
    double spacing = share(m.far, out, 0.5);
    List<Integer> found = new ArrayList<>();
    // two spikes side by side hide each other until one of them no longer counts
    for (List<Integer> fresh = above(xyz, near, rings, out, m, threshold, spacing);
        !fresh.isEmpty();
        fresh = above(xyz, near, rings, out, m, threshold, spacing)) {
      progress.advance(1, "Looking for spikes");
      found.addAll(fresh);
      for (int s : fresh) {
        out[s] = true;
      }
      for (int s : fresh) {
        for (int o : near.of(s)) {
          measure(xyz, near, o, m);
        }
      }
    }
    found.sort(null);
    return new Spikes(
        List.copyOf(found), found.stream().map(i -> m.heights[i]).toList(), threshold);
  }

  /**
   * What was measured at each point.
   *
   * @param reach how much farther a point may lie off the plane because the plane has to be carried
   *     on to it
   * @param far how far its neighbours lie on average, metres
   */
  private record Measures(double[] heights, double[] scatter, double[] reach, double[] far) {
    /**
     * How many times the threshold a point must stand out: ground that bends leaves its plane with
     * the square of the distance, so that a point which lies alone proves less.
     */
    double needed(int point, double spacing) {
      double apart = spacing > 0 ? Math.max(1, far[point] / spacing) : 1;
      return reach[point] * apart * apart;
    }
  }

  private static double usual(double[] heights, boolean[] out) {
    return Math.max(0.5, 4 * share(heights, out, 0.9));
  }

  /** The size that a share of the values stays below, of points that count; 0 without any. */
  private static double share(double[] values, boolean[] out, double share) {
    double[] sorted =
        IntStream.range(0, values.length)
            .filter(i -> !out[i])
            .mapToDouble(i -> Math.abs(values[i]))
            .sorted()
            .toArray();
    return sorted.length == 0 ? 0 : sorted[(int) (share * sorted.length)];
  }

  private static List<Integer> above(
      double[] xyz,
      Neighbours near,
      Optional<VertexRings> rings,
      boolean[] out,
      Measures m,
      double threshold,
      double spacing) {
    List<Integer> found = new ArrayList<>();
    for (int i = 0; i < out.length; i++) {
      double h = Math.abs(m.heights[i]);
      if (out[i] || !(h > threshold * m.needed(i, spacing)) || !(h > SCATTERS * m.scatter[i])) {
        continue;
      }
      double[] around = near.levels(near.of(i));
      double z = xyz[3 * i + 2];
      boolean highest = z > around[around.length - 1] || z < around[0];
      int vertex = i;
      if (highest && rings.filter(r -> !r.standsOut(vertex, h / 2, o -> !out[o])).isEmpty()) {
        found.add(i);
      }
    }
    return found;
  }

  /**
   * Height over the least-squares plane of the neighbours, and their scatter about it. The
   * neighbour that fits worst does not count: it may be a spike itself.
   */
  private static void measure(double[] xyz, Neighbours near, int point, Measures m) {
    int[] around = near.of(point);
    m.heights[point] = 0;
    m.scatter[point] = 0;
    m.far[point] = 0;
    for (int o : around) {
      double east = xyz[3 * o] - xyz[3 * point];
      double north = xyz[3 * o + 1] - xyz[3 * point + 1];
      m.far[point] += Math.hypot(east, north) / around.length;
    }
    if (around.length < 6) {
      return;
    }
    int worst = 0;
    Plane all = Plane.fit(xyz, point, around, -1);
    for (int i = 1; i < around.length; i++) {
      if (Math.abs(all.off(xyz, point, around[i])) > Math.abs(all.off(xyz, point, around[worst]))) {
        worst = i;
      }
    }
    Plane plane = Plane.fit(xyz, point, around, worst);
    double sum = 0;
    for (int i = 0; i < around.length; i++) {
      double r = i == worst ? 0 : plane.off(xyz, point, around[i]);
      sum += r * r;
    }
    m.heights[point] = -plane.level;
    m.scatter[point] = Math.sqrt(sum / (around.length - 4) * (1 + plane.leverage));
    m.reach[point] = 1 + plane.leverage;
  }

  /**
   * A plane relative to a point: level over it and slopes along the axes.
   *
   * @param leverage variance of the level in terms of the points' own: large where the point lies
   *     beside the others, as it does at the edge of a survey
   */
  private record Plane(double level, double slopeE, double slopeN, double leverage) {

    /** The least-squares plane through points, one of them left out; −1 for none. */
    static Plane fit(double[] xyz, int zero, int[] points, int left) {
      double sx = 0, sy = 0, sz = 0, sxx = 0, sxy = 0, syy = 0, sxz = 0, syz = 0;
      int n = 0;
      for (int i = 0; i < points.length; i++) {
        if (i == left) {
          continue;
        }
        double x = xyz[3 * points[i]] - xyz[3 * zero];
        double y = xyz[3 * points[i] + 1] - xyz[3 * zero + 1];
        double z = xyz[3 * points[i] + 2] - xyz[3 * zero + 2];
        n++;
        sx += x;
        sy += y;
        sz += z;
        sxx += x * x;
        sxy += x * y;
        syy += y * y;
        sxz += x * z;
        syz += y * z;
      }
      sxx -= sx * sx / n;
      sxy -= sx * sy / n;
      syy -= sy * sy / n;
      sxz -= sx * sz / n;
      syz -= sy * sz / n;
      double det = sxx * syy - sxy * sxy;
      // points on one line say nothing across it: their mean level is all there is
      boolean plane = det > 1e-3 * (sxx + syy) * (sxx + syy);
      double p = plane ? (sxz * syy - syz * sxy) / det : 0;
      double q = plane ? (syz * sxx - sxz * sxy) / det : 0;
      double me = sx / n, mn = sy / n;
      double flattest = Math.max(det, 1e-9 * (sxx + syy) * (sxx + syy));
      double beside = (me * me * syy - 2 * me * mn * sxy + mn * mn * sxx) / flattest;
      return new Plane((sz - p * sx - q * sy) / n, p, q, 1.0 / n + beside);
    }

    double off(double[] xyz, int zero, int point) {
      return xyz[3 * point + 2]
          - xyz[3 * zero + 2]
          - level
          - slopeE * (xyz[3 * point] - xyz[3 * zero])
          - slopeN * (xyz[3 * point + 1] - xyz[3 * zero + 1]);
    }
  }
}
