package wellspan.core.triangulate;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshEdges;
import wellspan.core.geom.Polyline;
import wellspan.core.terrain.PointIndex;

/** What is left of breaklines in a surface: where they still are chains of its edges. */
public final class BreaklineChains {
  private static final double NEAR = 2 * Triangulator.SAME_PLACE;

  private final Mesh mesh;
  private final MeshEdges edges;
  private final PointIndex index;
  private final List<Polyline> chains = new ArrayList<>();
  private final List<Integer> chain = new ArrayList<>();

  private BreaklineChains(Mesh mesh) {
    this.mesh = mesh;
    edges = new MeshEdges(mesh);
    index = new PointIndex(mesh.xyz());
  }

  /**
   * @param lines the breaklines that the surface was made of; their levels are not looked at
   * @return the same lines with every vertex of the surface on them and with its levels, in pieces
   *     where the surface does not follow them
   */
  public static List<Polyline> of(Mesh mesh, List<Polyline> lines) {
    BreaklineChains b = new BreaklineChains(mesh);
    for (Polyline l : lines) {
      for (int i = 1; i < l.pointCount(); i++) {
        b.segment(
            l.point(i - 1).east(), l.point(i - 1).north(), l.point(i).east(), l.point(i).north());
      }
      b.end();
    }
    return List.copyOf(b.chains);
  }

  private record On(double along, int vertex) {}

  private void segment(double ax, double ay, double bx, double by) {
    double length = Math.hypot(bx - ax, by - ay);
    if (length < NEAR) {
      return;
    }
    double ux = (bx - ax) / length, uy = (by - ay) / length;
    List<On> on = new ArrayList<>();
    index.forEachIn(
        Math.min(ax, bx) - NEAR,
        Math.min(ay, by) - NEAR,
        Math.max(ax, bx) + NEAR,
        Math.max(ay, by) + NEAR,
        v -> {
          double de = mesh.east(v) - ax, dn = mesh.north(v) - ay;
          double s = de * ux + dn * uy;
          if (s > -NEAR && s < length + NEAR && Math.abs(de * uy - dn * ux) < NEAR) {
            on.add(new On(s, v));
          }
        });
    on.sort(Comparator.comparingDouble(On::along));
    for (int i = 0; i < on.size(); i++) {
      follow(on.get(i).vertex);
    }
  }

  /** Goes on to a vertex, or begins anew there if no edge leads to it. */
  private void follow(int v) {
    if (!chain.isEmpty() && chain.getLast() == v) {
      return;
    }
    if (!chain.isEmpty() && !edges.joins(chain.getLast(), v)) {
      end();
    }
    chain.add(v);
  }

  private void end() {
    if (chain.size() > 1) {
      double[] xyz = new double[3 * chain.size()];
      for (int i = 0; i < chain.size(); i++) {
        System.arraycopy(mesh.xyz(), 3 * chain.get(i), xyz, 3 * i, 3);
      }
      chains.add(new Polyline(xyz));
    }
    chain.clear();
  }
}
