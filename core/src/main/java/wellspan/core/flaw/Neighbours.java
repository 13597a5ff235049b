package wellspan.core.flaw;

import java.util.Arrays;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import wellspan.core.terrain.PointIndex;

/** Levels around a point, as far as its neighbours in plan are to be trusted. */
final class Neighbours {
  /** How many neighbours are asked. */
  static final int COUNT = 8;

  private final double[] xyz;
  private final PointIndex index;
  private final boolean[] left;

  /**
   * @param left points that no longer count; may change between questions
   */
  Neighbours(double[] xyz, boolean[] left) {
    this(xyz, new PointIndex(xyz), left);
  }

  private Neighbours(double[] xyz, PointIndex index, boolean[] left) {
    this.xyz = xyz;
    this.index = index;
    this.left = left;
  }

  /**
   * The same among fewer points, which saves looking through a wide level ground again and again
   * for what lies beside it. Costs as much as a pass over all points.
   */
  Neighbours among(IntPredicate points) {
    int[] those = IntStream.range(0, xyz.length / 3).filter(points).toArray();
    return new Neighbours(xyz, new PointIndex(xyz, those), left);
  }

  /**
   * Neighbours of a point, itself, others at its place and those with its or another suspect level
   * left out.
   */
  int[] otherLevels(int point) {
    double z = xyz[3 * point + 2];
    return index.nearest(
        xyz[3 * point],
        xyz[3 * point + 1],
        COUNT,
        o -> !left[o] && FalseLevels.isOther(xyz[3 * o + 2], z) && !samePlace(o, point));
  }

  /** Neighbours of a point, itself and others at its place left out. */
  int[] of(int point) {
    return index.nearest(
        xyz[3 * point], xyz[3 * point + 1], COUNT, o -> !left[o] && !samePlace(o, point));
  }

  private boolean samePlace(int a, int b) {
    return Math.abs(xyz[3 * a] - xyz[3 * b]) < 1e-3
        && Math.abs(xyz[3 * a + 1] - xyz[3 * b + 1]) < 1e-3;
  }

  double[] levels(int[] points) {
    double[] out = new double[points.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = xyz[3 * points[i] + 2];
    }
    Arrays.sort(out);
    return out;
  }

  static double median(double[] sorted) {
    int n = sorted.length;
    return n == 0
        ? Double.NaN
        : n % 2 == 1 ? sorted[n / 2] : (sorted[n / 2 - 1] + sorted[n / 2]) / 2;
  }
}
