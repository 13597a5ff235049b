package wellspan.core.solid;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.index.strtree.STRtree;
import wellspan.core.geom.FaceTriangulator;
import wellspan.core.geom.Mesh;

/** Makes one mesh of polygons whose neighbours have corners on their edges. */
final class SharedEdges {
  private final double tolerance;
  private final List<double[]> vertices = new ArrayList<>();
  private final Map<Long, List<Integer>> cells = new HashMap<>();

  private SharedEdges(double tolerance) {
    this.tolerance = tolerance;
  }

  /**
   * @param zero added to all coordinates
   * @param tolerance within which corners are one, and lie on an edge
   */
  static Mesh mesh(List<Partition.Polygon> polygons, double[] zero, double tolerance) {
    SharedEdges shared = new SharedEdges(tolerance);
    List<int[]> loops = new ArrayList<>();
    for (Partition.Polygon p : polygons) {
      loops.add(withoutRepeats(p.corners().stream().mapToInt(shared::vertex).toArray()));
    }
    return shared.triangulated(loops, zero);
  }

  private int vertex(double[] p) {
    long[] c = new long[3];
    for (int k = 0; k < 3; k++) {
      c[k] = (long) Math.floor(p[k] / (4 * tolerance));
    }
    for (long dx = -1; dx <= 1; dx++) {
      for (long dy = -1; dy <= 1; dy++) {
        for (long dz = -1; dz <= 1; dz++) {
          for (int v : cells.getOrDefault(cell(c[0] + dx, c[1] + dy, c[2] + dz), List.of())) {
            double[] q = vertices.get(v);
            if (Math.abs(p[0] - q[0]) <= tolerance
                && Math.abs(p[1] - q[1]) <= tolerance
                && Math.abs(p[2] - q[2]) <= tolerance) {
              return v;
            }
          }
        }
      }
    }
    vertices.add(p);
    cells.computeIfAbsent(cell(c[0], c[1], c[2]), k -> new ArrayList<>()).add(vertices.size() - 1);
    return vertices.size() - 1;
  }

  private static long cell(long x, long y, long z) {
    return (x * 73_856_093L) ^ (y * 19_349_663L) ^ (z * 83_492_791L);
  }

  private static int[] withoutRepeats(int[] loop) {
    int n = 0;
    int[] out = new int[loop.length];
    for (int i = 0; i < loop.length; i++) {
      if (n == 0 || out[n - 1] != loop[i]) {
        out[n++] = loop[i];
      }
    }
    while (n > 1 && out[n - 1] == out[0]) {
      n--;
    }
    return Arrays.copyOf(out, n);
  }

  private Mesh triangulated(List<int[]> loops, double[] zero) {
    STRtree index = new STRtree();
    for (int v = 0; v < vertices.size(); v++) {
      double[] p = vertices.get(v);
      index.insert(new Envelope(p[0], p[0], p[1], p[1]), v);
    }
    double[] xyz = new double[3 * vertices.size()];
    for (int v = 0; v < vertices.size(); v++) {
      for (int k = 0; k < 3; k++) {
        xyz[3 * v + k] = vertices.get(v)[k];
      }
    }
    List<int[]> triangles = new ArrayList<>();
    for (int[] loop : loops) {
      if (loop.length >= 3) {
        triangles.add(cut(xyz, split(loop, index)));
      }
    }
    int[] all = triangles.stream().flatMapToInt(Arrays::stream).toArray();
    for (int i = 0; i < xyz.length; i++) {
      xyz[i] += zero[i % 3];
    }
    return new Mesh(xyz, all).compact();
  }

  /** The loop with every vertex that lies on one of its edges. */
  private int[] split(int[] loop, STRtree index) {
    List<Integer> out = new ArrayList<>();
    for (int i = 0; i < loop.length; i++) {
      int a = loop[i];
      int b = loop[(i + 1) % loop.length];
      out.add(a);
      double[] p = vertices.get(a);
      double[] q = vertices.get(b);
      double[] d = {q[0] - p[0], q[1] - p[1], q[2] - p[2]};
      double square = d[0] * d[0] + d[1] * d[1] + d[2] * d[2];
      Envelope around = new Envelope(p[0], q[0], p[1], q[1]);
      around.expandBy(tolerance);
      List<double[]> on = new ArrayList<>();
      for (Object o : index.query(around)) {
        int v = (Integer) o;
        double[] x = vertices.get(v);
        double t = ((x[0] - p[0]) * d[0] + (x[1] - p[1]) * d[1] + (x[2] - p[2]) * d[2]) / square;
        double off = 0;
        for (int k = 0; k < 3; k++) {
          double e = p[k] + t * d[k] - x[k];
          off += e * e;
        }
        if (v != a && v != b && t > 0 && t < 1 && off <= 4 * tolerance * tolerance) {
          on.add(new double[] {t, v});
        }
      }
      on.sort(Comparator.comparingDouble(x -> x[0]));
      on.forEach(x -> out.add((int) x[1]));
    }
    return out.stream().mapToInt(Integer::intValue).toArray();
  }

  private static int[] cut(double[] xyz, int[] loop) {
    try {
      return FaceTriangulator.triangles(xyz, List.of(loop));
    } catch (IllegalArgumentException e) {
      int[] fan =
          new int[3 * (loop.length - 2)]; // a sliver within the tolerance: convex all the same
      for (int i = 0; i + 2 < loop.length; i++) {
        fan[3 * i] = loop[0];
        fan[3 * i + 1] = loop[i + 1];
        fan[3 * i + 2] = loop[i + 2];
      }
      return fan;
    }
  }
}
