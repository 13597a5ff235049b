package wellspan.core.overlay;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
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
        take(piece);
      }
    }

    private void take(int[] piece) {
      pieces.add(piece);
      for (int i = 0; i < piece.length; i++) {
        edges.merge(key(piece[i], piece[(i + 1) % piece.length]), 1, Integer::sum);
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
      Corners corners = new Corners(Arrays.copyOf(xyz, 3 * count));
      List<int[]> above = new ArrayList<>();
      List<int[]> below = new ArrayList<>();
      for (int[] p : pieces) {
        above.add(Arrays.stream(p).map(v -> top[v]).toArray());
        below.add(Arrays.stream(p).map(v -> bottom[v]).toArray());
      }
      apart(corners, above, below);
      Triangles out = new Triangles();
      for (int t = 0; t < pieces.size(); t++) {
        int[] p = pieces.get(t), up = above.get(t), low = below.get(t);
        for (int i = 0; i < p.length; i++) {
          int j = (i + 1) % p.length;
          boolean inside = edges.containsKey(key(p[j], p[i]));
          if (inside && up[i] == low[i] && up[j] == low[j]) {
            // its neighbour has the same edge above and below: each goes round by a corner of its
            // own
            int middle = corners.between(up[i], up[j]);
            fan(out, up[0], low[0], up[i], low[i], middle, middle);
            fan(out, up[0], low[0], middle, middle, up[j], low[j]);
          } else {
            fan(out, up[0], low[0], up[i], low[i], up[j], low[j]);
          }
          if (!inside) {
            out.add(up[i], low[i], low[j]);
            out.add(up[i], low[j], up[j]);
          }
        }
      }
      return new Mesh(corners.array(), out.array()).compact();
    }

    /** Where pieces touch in a corner only, each side gets corners of its own. */
    private void apart(Corners corners, List<int[]> above, List<int[]> below) {
      Map<Integer, Integer> rims = new HashMap<>();
      for (long edge : edges.keySet()) {
        int from = (int) (edge >> 32);
        int to = (int) edge;
        if (!edges.containsKey(key(to, from))) {
          rims.merge(from, 1, Integer::sum);
        }
      }
      Map<Integer, List<int[]>> touching = new TreeMap<>();
      for (int t = 0; t < pieces.size(); t++) {
        int[] p = pieces.get(t);
        for (int i = 0; i < p.length; i++) {
          if (rims.getOrDefault(p[i], 0) > 1) {
            touching.computeIfAbsent(p[i], v -> new ArrayList<>()).add(new int[] {t, i});
          }
        }
      }
      touching.forEach(
          (v, around) -> {
            int[] fan = fans(around);
            Map<Integer, int[]> own = new HashMap<>();
            for (int k = 0; k < fan.length; k++) {
              int[] up = above.get(around.get(k)[0]);
              int[] low = below.get(around.get(k)[0]);
              int i = around.get(k)[1];
              if (fan[k] > 0) { // the first keeps those that are there
                int high = up[i];
                int deep = low[i];
                int[] mine =
                    own.computeIfAbsent(
                        fan[k],
                        f -> {
                          int a = corners.again(high);
                          return new int[] {a, high == deep ? a : corners.again(deep)};
                        });
                up[i] = mine[0];
                low[i] = mine[1];
              }
            }
          });
    }

    /** Numbers the pieces round a vertex by what hangs together there over edges. */
    private int[] fans(List<int[]> around) {
      Map<Integer, Integer> leaving = new HashMap<>();
      for (int k = 0; k < around.size(); k++) {
        int[] p = pieces.get(around.get(k)[0]);
        leaving.put(p[(around.get(k)[1] + 1) % p.length], k);
      }
      int[] fan = new int[around.size()];
      Arrays.fill(fan, -1);
      int fans = 0;
      for (int start = 0; start < fan.length; start++) {
        if (fan[start] >= 0) {
          continue;
        }
        ArrayDeque<Integer> open = new ArrayDeque<>(List.of(start));
        while (!open.isEmpty()) {
          int k = open.poll();
          if (fan[k] >= 0) {
            continue;
          }
          fan[k] = fans;
          int[] p = pieces.get(around.get(k)[0]);
          int i = around.get(k)[1];
          Integer beyond = leaving.get(p[(i + p.length - 1) % p.length]);
          if (beyond != null) {
            open.add(beyond);
          }
          for (int other = 0; other < fan.length; other++) {
            int[] q = pieces.get(around.get(other)[0]);
            int j = around.get(other)[1];
            if (q[(j + q.length - 1) % q.length] == p[(i + 1) % p.length]) {
              open.add(other);
            }
          }
        }
        fans++;
      }
      return fan;
    }

    /** The faces of one side of a piece, above and below; none at the corner they all run to. */
    private static void fan(
        Triangles out, int top, int bottom, int topA, int bottomA, int topB, int bottomB) {
      out.add(top, topA, topB);
      out.add(bottom, bottomB, bottomA);
    }

    private int corner(double[] xyz, int at, int v, double level) {
      xyz[3 * at] = plan.east(v);
      xyz[3 * at + 1] = plan.north(v);
      xyz[3 * at + 2] = level;
      return at;
    }
  }

  /** Corners of a body, to which more are added. */
  private static final class Corners {
    private double[] xyz;
    private int n;

    Corners(double[] xyz) {
      this.xyz = xyz;
      n = xyz.length / 3;
    }

    /** One more at the place of another. */
    int again(int a) {
      return between(a, a);
    }

    int between(int a, int b) {
      if (3 * n + 3 > xyz.length) {
        xyz = Arrays.copyOf(xyz, 2 * xyz.length);
      }
      for (int k = 0; k < 3; k++) {
        xyz[3 * n + k] = (xyz[3 * a + k] + xyz[3 * b + k]) / 2;
      }
      return n++;
    }

    double[] array() {
      return Arrays.copyOf(xyz, 3 * n);
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
        corners = Arrays.copyOf(corners, 2 * n);
      }
      corners[n++] = a;
      corners[n++] = b;
      corners[n++] = c;
    }

    int[] array() {
      return Arrays.copyOf(corners, n);
    }
  }
}
