package wellspan.core.overlay;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.PlanVertices;
import wellspan.core.progress.Progress;

/**
 * The earth between two surfaces as closed bodies: what is cut and what is filled.
 *
 * @param cut between the existing surface above and the proposed below; without triangles if
 *     nothing is cut
 * @param fill between the proposed surface above and the existing below
 */
public record EarthBodies(Mesh cut, Mesh fill) {
  /** Corners of neighbouring pieces that belong together lie closer than this, metres. */
  private static final double WELD = 1e-5;

  /** Thinner earth than this is none, metres. */
  private static final double THIN = 1e-7;

  /**
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static EarthBodies between(Mesh existing, Mesh proposed, Progress progress) {
    Shell cut = new Shell(existing.bounds());
    Shell fill = new Shell(existing.bounds());
    Overlay.run(
        existing,
        proposed,
        progress,
        (n, e, h, first, second, a) -> {
          cut.part(n, e, h, first, second);
          fill.part(n, e, h, second, first);
        });
    return new EarthBodies(cut.mesh(), fill.mesh());
  }

  /** Gathers the prisms where one surface lies over another and closes them at their sides. */
  private static final class Shell {
    private final PlanVertices plan;
    private final List<Double> tops = new ArrayList<>();
    private final List<Double> bottoms = new ArrayList<>();
    private final List<int[]> pieces = new ArrayList<>();
    private final Map<Long, Integer> edges = new HashMap<>();

    Shell(Box near) {
      plan = new PlanVertices(WELD, near, 1024);
    }

    void part(int n, double[] e, double[] h, double[] upper, double[] lower) {
      int[] ring = new int[2 * n];
      int k = 0;
      for (int i = 0; i < n; i++) {
        int j = (i + 1) % n;
        double d = upper[i] - lower[i], next = upper[j] - lower[j];
        if (d >= 0) {
          k = put(ring, k, vertex(e[i], h[i], upper[i], lower[i]));
        }
        if (d > 0 && next < 0 || d < 0 && next > 0) {
          double s = d / (d - next);
          double z = upper[i] + s * (upper[j] - upper[i]);
          k = put(ring, k, vertex(e[i] + s * (e[j] - e[i]), h[i] + s * (h[j] - h[i]), z, z));
        }
      }
      while (k > 1 && ring[k - 1] == ring[0]) {
        k--;
      }
      int thickest = 0;
      for (int i = 1; i < k; i++) {
        thickest = thickness(ring[i]) > thickness(ring[thickest]) ? i : thickest;
      }
      if (k >= 3 && thickness(ring[thickest]) > THIN) {
        // every triangle of the fan has a thick corner: none lies on its own underside
        int[] piece = new int[k];
        for (int i = 0; i < k; i++) {
          piece[i] = ring[(thickest + i) % k];
        }
        pieces.add(piece);
        for (int i = 0; i < k; i++) {
          edges.merge(key(piece[i], piece[(i + 1) % k]), 1, Integer::sum);
        }
      }
    }

    private double thickness(int v) {
      return tops.get(v) - bottoms.get(v);
    }

    private static int put(int[] ring, int k, int v) {
      if (k > 0 && ring[k - 1] == v) {
        return k;
      }
      ring[k] = v;
      return k + 1;
    }

    private static long key(int a, int b) {
      return (long) a << 32 | b;
    }

    private int vertex(double e, double n, double upper, double lower) {
      int before = plan.size();
      int v = plan.at(e, n, 0);
      if (v == before) {
        tops.add(upper);
        bottoms.add(upper - lower <= THIN ? upper : lower);
      }
      return v;
    }

    /** Upper faces, lower faces, and walls where no other piece goes on. */
    Mesh mesh() {
      int n = plan.size();
      int[] top = new int[n];
      int[] bottom = new int[n];
      double[] xyz = new double[6 * n];
      int count = 0;
      for (int v = 0; v < n; v++) {
        top[v] = corner(xyz, count++, v, tops.get(v));
        bottom[v] =
            tops.get(v).equals(bottoms.get(v)) ? top[v] : corner(xyz, count++, v, bottoms.get(v));
      }
      Triangles out = new Triangles();
      for (int[] p : pieces) {
        for (int i = 2; i < p.length; i++) {
          out.add(top[p[0]], top[p[i - 1]], top[p[i]]);
          out.add(bottom[p[0]], bottom[p[i]], bottom[p[i - 1]]);
        }
        for (int i = 0; i < p.length; i++) {
          int a = p[i], b = p[(i + 1) % p.length];
          if (!edges.containsKey(key(b, a))) {
            out.add(top[a], bottom[a], bottom[b]);
            out.add(top[a], bottom[b], top[b]);
          }
        }
      }
      return new Mesh(java.util.Arrays.copyOf(xyz, 3 * count), out.array()).compact();
    }

    private int corner(double[] xyz, int at, int v, double level) {
      xyz[3 * at] = plan.east(v);
      xyz[3 * at + 1] = plan.north(v);
      xyz[3 * at + 2] = level;
      return at;
    }
  }

  private static final class Triangles {
    private int[] corners = new int[768];
    private int n;

    void add(int a, int b, int c) {
      if (a == b || b == c || c == a) {
        return;
      }
      if (n == corners.length) {
        corners = java.util.Arrays.copyOf(corners, 2 * n);
      }
      corners[n++] = a;
      corners[n++] = b;
      corners[n++] = c;
    }

    int[] array() {
      return java.util.Arrays.copyOf(corners, n);
    }
  }
}
