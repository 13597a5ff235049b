package wellspan.core.flaw;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshEdges;
import wellspan.core.progress.Progress;
import wellspan.core.terrain.TriangleIndex;

/**
 * What keeps a mesh from being one sound surface. Triangles are named by their numbers.
 *
 * @param slivers lower than the limit in plan, areas of zero among them; vertical faces are none
 * @param inverted turned the other way than most
 * @param repeated with the same corners as an earlier one
 * @param overlapping lying over or under another one in plan, inverted ones left out
 * @param irregularEdges edges where more than two triangles meet, as pairs of vertices
 * @param holes open places within the surface
 * @param islands parts that do not hang together with the largest one, as triangles
 */
public record SurfaceFlaws(
    List<Integer> slivers,
    List<Integer> inverted,
    List<Integer> repeated,
    List<Integer> overlapping,
    List<int[]> irregularEdges,
    List<Hole> holes,
    List<List<Integer>> islands) {

  /** Triangles that reach into each other by less than this only touch, metres. */
  private static final double TOUCH = 1e-5;

  public boolean isClean() {
    return slivers.isEmpty()
        && inverted.isEmpty()
        && repeated.isEmpty()
        && overlapping.isEmpty()
        && irregularEdges.isEmpty()
        && holes.isEmpty()
        && islands.isEmpty();
  }

  /** All triangles that should go: slivers, inverted, repeated and overlapping ones. */
  public Set<Integer> flawedTriangles() {
    Set<Integer> out = new HashSet<>(slivers);
    out.addAll(inverted);
    out.addAll(repeated);
    out.addAll(overlapping);
    return out;
  }

  /**
   * @param sliver height of a triangle over its longest side below which it is a sliver, metres
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static SurfaceFlaws of(Mesh mesh, double sliver, Progress progress) {
    int n = mesh.triangleCount();
    double turn = 0;
    for (int t = 0; t < n; t++) {
      turn += Math.signum(mesh.planArea(t));
    }
    List<Integer> slivers = new ArrayList<>();
    List<Integer> inverted = new ArrayList<>();
    List<Integer> repeated = new ArrayList<>();
    Set<List<Integer>> seen = new HashSet<>();
    boolean[] flawed = new boolean[n];
    for (int t = 0; t < n; t++) {
      if (t % 4096 == 0) {
        progress.advance(0.2 * t / n, "Looking for slivers");
      }
      double area = mesh.planArea(t);
      int[] v = Arrays.copyOfRange(mesh.triangles(), 3 * t, 3 * t + 3);
      Arrays.sort(v);
      if (!seen.add(List.of(v[0], v[1], v[2]))) {
        repeated.add(t);
      } else if (isSliver(mesh, t, sliver)) {
        slivers.add(t);
      } else if (area * turn < 0) {
        inverted.add(t);
      } else {
        continue;
      }
      flawed[t] = true;
    }
    progress.advance(0.2, "Looking for loose edges");
    MeshEdges edges = new MeshEdges(mesh);
    List<List<Integer>> islands = islands(mesh, edges);
    return new SurfaceFlaws(
        List.copyOf(slivers),
        List.copyOf(inverted),
        List.copyOf(repeated),
        overlapping(mesh, flawed, progress.part(0.3, 1)),
        irregular(edges),
        Hole.of(mesh, edges),
        islands);
  }

  /** Low in space too: a face that stands upright has no area in plan and is no sliver. */
  private static boolean isSliver(Mesh m, int t, double limit) {
    int[] v = m.triangles();
    double longest = 0;
    for (int k = 0; k < 3; k++) {
      longest =
          Math.max(longest, m.vertex(v[3 * t + k]).distanceTo(m.vertex(v[3 * t + (k + 1) % 3])));
    }
    return longest == 0 || 2 * m.area(t) / longest < limit;
  }

  private static List<int[]> irregular(MeshEdges edges) {
    Map<Long, int[]> out = new HashMap<>();
    for (int h = 0; h < edges.halfEdgeCount(); h++) {
      if (edges.twin(h) == MeshEdges.IRREGULAR) {
        int a = Math.min(edges.from(h), edges.to(h)), b = Math.max(edges.from(h), edges.to(h));
        out.putIfAbsent((long) a << 32 | b, new int[] {a, b});
      }
    }
    return List.copyOf(out.values());
  }

  /** The open places within a surface. */
  public static List<Hole> holes(Mesh mesh) {
    return Hole.of(mesh, new MeshEdges(mesh));
  }

  /** Area within a chain of vertices in plan, positive if it runs counter-clockwise. */
  public static double planArea(Mesh m, int[] loop) {
    double sum = 0;
    double e0 = m.east(loop[0]), n0 = m.north(loop[0]);
    for (int i = 0; i < loop.length; i++) {
      int a = loop[i], b = loop[(i + 1) % loop.length];
      sum += (m.east(a) - e0) * (m.north(b) - n0) - (m.east(b) - e0) * (m.north(a) - n0);
    }
    return sum / 2;
  }

  private static List<List<Integer>> islands(Mesh mesh, MeshEdges edges) {
    int[] part = edges.parts(h -> true);
    int parts = Arrays.stream(part).max().orElse(-1) + 1;
    if (parts < 2) {
      return List.of();
    }
    double[] area = new double[parts];
    for (int t = 0; t < part.length; t++) {
      area[part[t]] += Math.abs(mesh.planArea(t));
    }
    int main = 0;
    for (int p = 1; p < parts; p++) {
      main = area[p] > area[main] ? p : main;
    }
    List<List<Integer>> out = new ArrayList<>();
    for (int p = 0; p < parts; p++) {
      out.add(new ArrayList<>());
    }
    for (int t = 0; t < part.length; t++) {
      out.get(part[t]).add(t);
    }
    out.remove(main);
    return List.copyOf(out);
  }

  private static List<Integer> overlapping(Mesh mesh, boolean[] flawed, Progress progress) {
    TriangleIndex index = new TriangleIndex(mesh);
    Set<Integer> out = new java.util.TreeSet<>();
    double[] own = new double[6];
    double[] other = new double[6];
    for (int t = 0; t < mesh.triangleCount(); t++) {
      if (t % 4096 == 0) {
        progress.advance((double) t / mesh.triangleCount(), "Looking for overlaps");
      }
      if (flawed[t] || !corners(mesh, t, own)) {
        continue;
      }
      int triangle = t;
      index.forEachNear(
          Math.min(own[0], Math.min(own[2], own[4])),
          Math.min(own[1], Math.min(own[3], own[5])),
          Math.max(own[0], Math.max(own[2], own[4])),
          Math.max(own[1], Math.max(own[3], own[5])),
          o -> {
            if (o > triangle
                && !flawed[o]
                && !out.contains(o)
                && corners(mesh, o, other)
                && !apart(own, other)
                && !apart(other, own)) {
              out.add(o);
            }
          });
    }
    return List.copyOf(out);
  }

  /** Corners in plan, counter-clockwise; false if there is no area. */
  private static boolean corners(Mesh m, int t, double[] to) {
    double area = m.planArea(t);
    if (Math.abs(area) < 1e-9) {
      return false;
    }
    for (int k = 0; k < 3; k++) {
      int v = m.triangles()[3 * t + (area < 0 ? 2 - k : k)];
      to[2 * k] = m.east(v);
      to[2 * k + 1] = m.north(v);
    }
    return true;
  }

  /** Whether one side of a triangle has all of the other one beyond it. */
  private static boolean apart(double[] a, double[] b) {
    for (int k = 0; k < 3; k++) {
      double e = a[2 * k], n = a[2 * k + 1];
      double de = a[(2 * k + 2) % 6] - e, dn = a[(2 * k + 3) % 6] - n;
      double limit = TOUCH * Math.sqrt(de * de + dn * dn);
      if (de * (b[1] - n) - dn * (b[0] - e) <= limit
          && de * (b[3] - n) - dn * (b[2] - e) <= limit
          && de * (b[5] - n) - dn * (b[4] - e) <= limit) {
        return true;
      }
    }
    return false;
  }
}
