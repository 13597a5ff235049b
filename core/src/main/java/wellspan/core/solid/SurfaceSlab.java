package wellspan.core.solid;

import java.util.Arrays;
import java.util.HashSet;
import java.util.Set;
import wellspan.core.geom.Mesh;

/** The body between a surface lowered by one depth and the same surface lowered by another. */
public final class SurfaceSlab {
  private SurfaceSlab() {}

  /**
   * Triangles that stand upright have no thickness under them and are left out.
   *
   * @param depth of the upper side below the surface, metres
   * @param thickness vertical, metres
   * @return turned outwards; closed if every edge of the surface belongs to one triangle or two
   */
  public static Mesh under(Mesh surface, double depth, double thickness) {
    int n = surface.vertexCount();
    double[] xyz = Arrays.copyOf(surface.xyz(), 6 * n);
    for (int v = 0; v < n; v++) {
      System.arraycopy(surface.xyz(), 3 * v, xyz, 3 * (n + v), 3);
      xyz[3 * v + 2] -= depth;
      xyz[3 * (n + v) + 2] -= depth + thickness;
    }
    int[] t = surface.triangles();
    int[] upper = new int[t.length];
    int used = 0;
    Set<Long> edges = new HashSet<>();
    for (int i = 0; i < t.length; i += 3) {
      double area = planArea(surface, t[i], t[i + 1], t[i + 2]);
      if (area == 0) {
        continue;
      }
      upper[used] = t[i];
      upper[used + 1] = area > 0 ? t[i + 1] : t[i + 2];
      upper[used + 2] = area > 0 ? t[i + 2] : t[i + 1];
      for (int k = 0; k < 3; k++) {
        edges.add(edge(upper[used + k], upper[used + (k + 1) % 3]));
      }
      used += 3;
    }
    int[] all = new int[2 * used + 6 * edges.size()];
    System.arraycopy(upper, 0, all, 0, used);
    int k = used;
    for (int i = 0; i < used; i += 3) {
      all[k++] = n + upper[i];
      all[k++] = n + upper[i + 2];
      all[k++] = n + upper[i + 1];
    }
    for (int i = 0; i < used; i++) { // in the order of the triangles, so that runs agree
      int a = upper[i];
      int b = upper[i % 3 == 2 ? i - 2 : i + 1];
      if (!edges.contains(edge(b, a))) {
        k = side(all, k, a, b, n);
      }
    }
    return new Mesh(xyz, Arrays.copyOf(all, k)).compact();
  }

  private static int side(int[] to, int at, int a, int b, int n) {
    int[] six = {b, a, n + a, b, n + a, n + b};
    System.arraycopy(six, 0, to, at, 6);
    return at + 6;
  }

  private static long edge(int a, int b) {
    return (long) a << 32 | b;
  }

  private static double planArea(Mesh m, int a, int b, int c) {
    return ((m.east(b) - m.east(a)) * (m.north(c) - m.north(a))
            - (m.east(c) - m.east(a)) * (m.north(b) - m.north(a)))
        / 2;
  }
}
