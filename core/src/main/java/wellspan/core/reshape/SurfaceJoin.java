package wellspan.core.reshape;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.index.hprtree.HPRtree;
import wellspan.core.flaw.SurfaceFlaws;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshEdges;
import wellspan.core.geom.PlanPolygon;
import wellspan.core.geom.PlanVertices;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.progress.Progress;

/**
 * A design set into the existing ground. Within the design's outline the design holds; beside it
 * the ground, cut along the outline. On the seam both share their vertices and have the design's
 * level, so that no gap is left.
 *
 * @param mesh design first, then ground
 * @param step largest level difference on the seam before it was closed, ground minus design,
 *     metres
 * @param stepAt where it was, if the two touch at all
 */
public record SurfaceJoin(Mesh mesh, double step, Optional<Position> stepAt) {
  /** A vertex of the cut ground this close to the design's outline lies on it, metres. */
  private static final double ON_SEAM = 1e-5;

  /**
   * Where the design's outline surrounds the ground within it, such as at an island, it is kept.
   */
  public static Geometry area(Mesh mesh) {
    List<Geometry> outer = new ArrayList<>();
    List<Geometry> holes = new ArrayList<>();
    for (int[] loop : new MeshEdges(mesh).outlines()) {
      if (loop.length < 3 || Math.abs(SurfaceFlaws.planArea(mesh, loop)) < 1e-9) {
        continue;
      }
      double[] xyz = new double[3 * loop.length];
      for (int i = 0; i < loop.length; i++) {
        System.arraycopy(mesh.xyz(), 3 * loop[i], xyz, 3 * i, 3);
      }
      (SurfaceFlaws.planArea(mesh, loop) > 0 ? outer : holes)
          .add(PlanPolygon.of(new Polyline(xyz)));
    }
    return PlanPolygon.union(outer).difference(PlanPolygon.union(holes));
  }

  /**
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static SurfaceJoin join(Mesh ground, Mesh design, Progress progress) {
    return new Seam(PlanClip.outside(ground, area(design), progress.part(0, 0.8)), design.compact())
        .join();
  }

  private static final class Seam {
    final Mesh ground;
    final Mesh design;
    final MeshEdges edges;
    final HPRtree outline = new HPRtree();
    final PlanVertices corners;
    final Map<Integer, List<Split>> splits = new HashMap<>();
    double[] xyz;
    double step;
    Position stepAt;

    /** A vertex of the ground on an edge of the design. */
    private record Split(double along, int vertex) {}

    Seam(Mesh ground, Mesh design) {
      this.ground = ground;
      this.design = design;
      edges = new MeshEdges(design);
      corners = new PlanVertices(ON_SEAM, design.bounds(), 256);
    }

    SurfaceJoin join() {
      Map<Integer, Integer> cornerVertex = new HashMap<>();
      for (int h = 0; h < edges.halfEdgeCount(); h++) {
        if (edges.twin(h) == MeshEdges.NONE) {
          int a = edges.from(h), b = edges.to(h);
          outline.insert(
              new Envelope(design.east(a), design.east(b), design.north(a), design.north(b)), h);
          cornerVertex.put(corners.at(design.east(a), design.north(a), 0), a);
        }
      }
      outline.build();
      int offset = design.vertexCount();
      xyz = Arrays.copyOf(design.xyz(), design.xyz().length + ground.xyz().length);
      System.arraycopy(ground.xyz(), 0, xyz, design.xyz().length, ground.xyz().length);
      int[] number = new int[ground.vertexCount()];
      boolean[] border = border();
      for (int v = 0; v < number.length; v++) {
        number[v] = offset + v;
        if (border[v]) {
          int c = corners.find(ground.east(v), ground.north(v));
          if (c >= 0) {
            number[v] = cornerVertex.get(c);
            note(ground.level(v) - design.level(number[v]), design.vertex(number[v]));
          } else {
            split(v, offset + v);
          }
        }
      }
      int[] tri = triangles(number);
      return new SurfaceJoin(new Mesh(xyz, tri).compact(), step, Optional.ofNullable(stepAt));
    }

    private boolean[] border() {
      boolean[] out = new boolean[ground.vertexCount()];
      MeshEdges e = new MeshEdges(ground);
      for (int h = 0; h < e.halfEdgeCount(); h++) {
        if (e.twin(h) == MeshEdges.NONE) {
          out[e.from(h)] = true;
          out[e.to(h)] = true;
        }
      }
      return out;
    }

    private void note(double difference, Position where) {
      if (stepAt == null || Math.abs(difference) > Math.abs(step)) {
        step = difference;
        stepAt = where;
      }
    }

    private void split(int v, int as) {
      double e = ground.east(v), n = ground.north(v);
      int[] best = {-1};
      double[] at = {0, ON_SEAM};
      Envelope here = new Envelope(e, e, n, n);
      here.expandBy(ON_SEAM);
      outline.query(
          here,
          o -> {
            int h = (Integer) o;
            int a = edges.from(h), b = edges.to(h);
            double de = design.east(b) - design.east(a), dn = design.north(b) - design.north(a);
            double length = Math.hypot(de, dn);
            if (length == 0) {
              return;
            }
            double s = ((e - design.east(a)) * de + (n - design.north(a)) * dn) / (length * length);
            double off = Math.abs((e - design.east(a)) * dn - (n - design.north(a)) * de) / length;
            if (s > 0 && s < 1 && off <= at[1]) {
              best[0] = h;
              at[0] = s;
              at[1] = off;
            }
          });
      if (best[0] < 0) {
        return;
      }
      int a = edges.from(best[0]), b = edges.to(best[0]);
      double level = design.level(a) + at[0] * (design.level(b) - design.level(a));
      note(ground.level(v) - level, new Position(e, n, level));
      xyz[3 * as + 2] = level;
      splits.computeIfAbsent(best[0], k -> new ArrayList<>(2)).add(new Split(at[0], as));
    }

    private int[] triangles(int[] number) {
      List<int[]> cut = new ArrayList<>();
      for (int t = 0; t < design.triangleCount(); t++) {
        int[] v = design.triangles();
        fan(
            v[3 * t],
            v[3 * t + 1],
            v[3 * t + 2],
            List.of(on(3 * t), on(3 * t + 1), on(3 * t + 2)),
            cut);
      }
      int[] g = ground.triangles();
      int[] out = new int[3 * cut.size() + g.length];
      int n = 0;
      for (int[] c : cut) {
        System.arraycopy(c, 0, out, n, 3);
        n += 3;
      }
      for (int t = 0; t < g.length; t += 3) {
        int a = number[g[t]], b = number[g[t + 1]], c = number[g[t + 2]];
        if (a != b && b != c && c != a) {
          out[n++] = a;
          out[n++] = b;
          out[n++] = c;
        }
      }
      return Arrays.copyOf(out, n);
    }

    private List<Integer> on(int h) {
      List<Split> s = splits.getOrDefault(h, List.of());
      return s.stream()
          .sorted(java.util.Comparator.comparingDouble(Split::along))
          .map(Split::vertex)
          .distinct()
          .toList();
    }

    /**
     * Cuts a triangle at vertices on its edges.
     *
     * @param on vertices on the edges ab, bc and ca, in their direction
     */
    private static void fan(int a, int b, int c, List<List<Integer>> on, List<int[]> out) {
      if (on.getFirst().isEmpty()) {
        if (on.get(1).isEmpty() && on.get(2).isEmpty()) {
          out.add(new int[] {a, b, c});
        } else {
          fan(b, c, a, List.of(on.get(1), on.get(2), on.getFirst()), out);
        }
        return;
      }
      List<Integer> ab = on.getFirst();
      int from = a;
      for (int i = 0; i <= ab.size(); i++) {
        int to = i < ab.size() ? ab.get(i) : b;
        List<Integer> bc = i == ab.size() ? on.get(1) : List.of();
        List<Integer> ca = i == 0 ? on.get(2) : List.of();
        fan(from, to, c, List.of(List.of(), bc, ca), out);
        from = to;
      }
    }
  }
}
