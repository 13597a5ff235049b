package wellspan.core.flaw;

import java.util.function.IntPredicate;
import wellspan.core.geom.Mesh;

/**
 * For each vertex of a surface those at the other ends of its edges. What lies near in plan need
 * not be joined by the surface: beside a cut edge points stand close along it and far apart across
 * it.
 */
final class VertexRings {
  private final double[] xyz;
  private final int[] first;
  private final int[] others;

  private VertexRings(double[] xyz, int[] first, int[] others) {
    this.xyz = xyz;
    this.first = first;
    this.others = others;
  }

  static VertexRings of(Mesh m) {
    int[] t = m.triangles();
    int[] first = new int[m.vertexCount() + 1];
    for (int v : t) {
      first[v + 1] += 2;
    }
    for (int v = 0; v < m.vertexCount(); v++) {
      first[v + 1] += first[v];
    }
    int[] next = first.clone();
    int[] others = new int[2 * t.length];
    for (int k = 0; k + 2 < t.length; k += 3) {
      for (int c = 0; c < 3; c++) {
        int v = t[k + c];
        others[next[v]++] = t[k + (c + 1) % 3];
        others[next[v]++] = t[k + (c + 2) % 3];
      }
    }
    return new VertexRings(m.xyz(), first, others);
  }

  /**
   * Whether the vertices around one all lie below it, or all above it, by some height at least; of
   * those that count. True too where none counts.
   */
  boolean standsOut(int vertex, double height, IntPredicate counts) {
    double z = xyz[3 * vertex + 2];
    boolean above = true;
    boolean below = true;
    for (int k = first[vertex]; k < first[vertex + 1]; k++) {
      if (counts.test(others[k])) {
        double off = z - xyz[3 * others[k] + 2];
        above &= off >= height;
        below &= off <= -height;
      }
    }
    return above || below;
  }
}
