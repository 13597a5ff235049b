package wellspan.core.overlay;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.progress.Progress;

/**
 * How two surfaces differ in level, second minus first, integrated exactly over the area that both
 * cover.
 *
 * @param trianglesSame triangles of the first surface that the second has with the same corners
 * @param trianglesFirst and {@code trianglesSecond} how many each has
 * @param area that both cover in plan, square metres
 * @param areaFirstOnly covered by the first alone, and {@code areaSecondOnly} by the second alone
 * @param mean difference, metres
 * @param rms root of the mean square difference, metres
 * @param lowest and {@code highest} difference, metres, with their places at the second's level
 * @param areas in the bands between {@link #EDGES}, one more than there are edges
 */
public record LevelDifference(
    int trianglesSame,
    int trianglesFirst,
    int trianglesSecond,
    double area,
    double areaFirstOnly,
    double areaSecondOnly,
    double mean,
    double rms,
    double lowest,
    Optional<Position> lowestAt,
    double highest,
    Optional<Position> highestAt,
    List<Double> areas) {

  /** Where bands of differences end, metres. */
  public static final List<Double> EDGES =
      List.of(-1.0, -0.3, -0.1, -0.03, -0.01, 0.01, 0.03, 0.1, 0.3, 1.0);

  /** Corners closer than this count as the same, metres. */
  private static final double SAME = 1e-4;

  /** Largest difference regardless of its sign, metres. */
  public double largest() {
    return Math.max(Math.abs(lowest), Math.abs(highest));
  }

  public Optional<Position> largestAt() {
    return Math.abs(lowest) > Math.abs(highest) ? lowestAt : highestAt;
  }

  /** Share of triangles of the first surface that the second has too, per cent. */
  public double sameShare() {
    return trianglesFirst == 0 ? 0 : 100.0 * trianglesSame / trianglesFirst;
  }

  /**
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static LevelDifference between(Mesh first, Mesh second, Progress progress) {
    Sums s = new Sums();
    Overlay.run(first, second, progress, s);
    boolean[] same = same(first, second);
    int count = 0;
    for (boolean b : same) {
      count += b ? 1 : 0;
    }
    return new LevelDifference(
        count,
        first.triangleCount(),
        second.triangleCount(),
        s.area,
        Math.max(0, first.planArea() - s.area),
        Math.max(0, second.planArea() - s.area),
        s.area == 0 ? 0 : s.sum / s.area,
        s.area == 0 ? 0 : Math.sqrt(s.square / s.area),
        s.area == 0 ? 0 : s.lowest,
        Optional.ofNullable(s.lowestAt),
        s.area == 0 ? 0 : s.highest,
        Optional.ofNullable(s.highestAt),
        s.bands());
  }

  /** Which triangles of one surface another one has too, whatever their numbering. */
  public static boolean[] same(Mesh first, Mesh second) {
    Map<Corner, Integer> numbers = new HashMap<>(2 * second.vertexCount());
    int[] there = numbers(second, numbers);
    int[] here = numbers(first, numbers);
    java.util.Set<Triple> known = new java.util.HashSet<>(2 * second.triangleCount());
    for (int t = 0; t < second.triangleCount(); t++) {
      known.add(triple(second.triangles(), t, there));
    }
    boolean[] out = new boolean[first.triangleCount()];
    for (int t = 0; t < out.length; t++) {
      out[t] = known.contains(triple(first.triangles(), t, here));
    }
    return out;
  }

  private record Corner(long e, long n, long h) {}

  private record Triple(int a, int b, int c) {}

  private static int[] numbers(Mesh m, Map<Corner, Integer> numbers) {
    int[] out = new int[m.vertexCount()];
    for (int v = 0; v < out.length; v++) {
      Corner c =
          new Corner(
              Math.round(m.east(v) / SAME),
              Math.round(m.north(v) / SAME),
              Math.round(m.level(v) / SAME));
      out[v] = numbers.computeIfAbsent(c, k -> numbers.size());
    }
    return out;
  }

  /** Corners turned so that the smallest number leads. */
  private static Triple triple(int[] tri, int t, int[] numbers) {
    int a = numbers[tri[3 * t]], b = numbers[tri[3 * t + 1]], c = numbers[tri[3 * t + 2]];
    if (a <= b && a <= c) {
      return new Triple(a, b, c);
    }
    return b <= c ? new Triple(b, c, a) : new Triple(c, a, b);
  }

  private static final class Sums implements Overlay.Sink {
    double area;
    double sum;
    double square;
    double lowest = Double.POSITIVE_INFINITY;
    double highest = Double.NEGATIVE_INFINITY;
    Position lowestAt;
    Position highestAt;
    final double[] below = new double[EDGES.size()];

    @Override
    public void piece(int n, double[] e, double[] h, double[] first, double[] second, int a) {
      double d0 = second[0] - first[0];
      note(d0, e[0], h[0], second[0]);
      for (int i = 1; i < n; i++) {
        note(second[i] - first[i], e[i], h[i], second[i]);
      }
      for (int i = 2; i < n; i++) {
        double part = ((e[i - 1] - e[0]) * (h[i] - h[0]) - (h[i - 1] - h[0]) * (e[i] - e[0])) / 2;
        double d1 = second[i - 1] - first[i - 1], d2 = second[i] - first[i];
        area += part;
        sum += part * (d0 + d1 + d2) / 3;
        square += TriangleIntegrals.square(part, d0, d1, d2);
        for (int k = 0; k < below.length; k++) {
          below[k] += TriangleIntegrals.areaBelow(EDGES.get(k), part, d0, d1, d2);
        }
      }
    }

    private void note(double d, double e, double n, double level) {
      if (d < lowest) {
        lowest = d;
        lowestAt = new Position(e, n, level);
      }
      if (d > highest) {
        highest = d;
        highestAt = new Position(e, n, level);
      }
    }

    List<Double> bands() {
      Double[] out = new Double[below.length + 1];
      double last = 0;
      for (int k = 0; k < below.length; k++) {
        out[k] = Math.max(0, below[k] - last);
        last = below[k];
      }
      out[below.length] = Math.max(0, area - last);
      return List.of(out);
    }
  }
}
