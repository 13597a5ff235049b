package wellspan.core.cut;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.algorithm.PointLocation;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Location;
import wellspan.core.geom.FaceTriangulator;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;

/**
 * One side of a plane: what lies against the normal is kept. Bodies are closed again where they
 * were cut, so that their inside is seen as solid.
 *
 * @param at a place in the plane
 * @param normal of the plane, to the side that is taken away; of any length but 0
 */
public record HalfSpace(Position at, Position normal) {

  private double beyond(double e, double n, double h) {
    return normal.east() * (e - at.east())
        + normal.north() * (n - at.north())
        + normal.level() * (h - at.level());
  }

  /** Whether a place is kept; one without a level is judged in plan alone. */
  public boolean keeps(Position p) {
    return !(beyond(p.east(), p.north(), Double.isNaN(p.level()) ? at.level() : p.level()) > 0);
  }

  /** The pieces of a line that are kept, in its order. */
  public List<Polyline> of(Polyline line) {
    List<Polyline> out = new ArrayList<>();
    List<Position> piece = new ArrayList<>();
    for (int i = 0; i < line.pointCount(); i++) {
      Position q = line.point(i);
      if (i > 0 && keeps(line.point(i - 1)) != keeps(q)) {
        piece.add(crossing(line.point(i - 1), q));
      }
      if (keeps(q)) {
        piece.add(q);
      } else {
        close(piece, out);
      }
    }
    close(piece, out);
    return out;
  }

  private static void close(List<Position> piece, List<Polyline> out) {
    if (piece.size() > 1) {
      double[] xyz = new double[3 * piece.size()];
      for (int i = 0; i < piece.size(); i++) {
        xyz[3 * i] = piece.get(i).east();
        xyz[3 * i + 1] = piece.get(i).north();
        xyz[3 * i + 2] = piece.get(i).level();
      }
      out.add(new Polyline(xyz));
    }
    piece.clear();
  }

  private Position crossing(Position p, Position q) {
    boolean levels = Double.isFinite(p.level() + q.level());
    double a = beyond(p.east(), p.north(), levels ? p.level() : at.level());
    double b = beyond(q.east(), q.north(), levels ? q.level() : at.level());
    double f = a / (a - b);
    return new Position(
        p.east() + f * (q.east() - p.east()),
        p.north() + f * (q.north() - p.north()),
        p.level() + f * (q.level() - p.level()));
  }

  /**
   * The part of a mesh that is kept; the mesh itself where all of it is. A body of which the cut
   * rings cannot be closed stays open there. Time of the number of triangles.
   */
  public Mesh of(Mesh m) {
    int n = m.vertexCount();
    double[] side = new double[n];
    boolean cut = false;
    for (int v = 0; v < n; v++) {
      double d = beyond(m.east(v), m.north(v), m.level(v));
      side[v] = d == 0 || Double.isNaN(d) ? -1e-12 : d; // no corner lies in the plane
      cut |= side[v] > 0;
    }
    return cut ? new Cut(m, side).made() : m;
  }

  /** The work on one mesh. */
  private final class Cut {
    private final Mesh mesh;
    private final double[] side;
    private final Map<Long, Integer> crossings = new HashMap<>();
    private final Map<Integer, Integer> next = new LinkedHashMap<>();
    private final int[] numbers;
    private double[] xyz;
    private int vertices;
    private int[] triangles;
    private int corners;
    private boolean open;

    Cut(Mesh mesh, double[] side) {
      this.mesh = mesh;
      this.side = side;
      numbers = new int[mesh.vertexCount()];
      Arrays.fill(numbers, -1);
      xyz = new double[mesh.xyz().length];
      triangles = new int[mesh.triangles().length];
    }

    Mesh made() {
      int[] t = mesh.triangles();
      for (int k = 0; k < t.length; k += 3) {
        triangle(t[k], t[k + 1], t[k + 2]);
      }
      if (!open) {
        close();
      }
      return new Mesh(Arrays.copyOf(xyz, 3 * vertices), Arrays.copyOf(triangles, corners));
    }

    private void triangle(int... t) {
      int[] kept = new int[4];
      int count = 0;
      int leaves = -1;
      int enters = -1;
      for (int i = 0; i < 3; i++) {
        int p = t[i];
        int q = t[(i + 1) % 3];
        if (side[p] < 0) {
          kept[count++] = corner(p);
        }
        if (side[p] < 0 != side[q] < 0) {
          int c = crossing(p, q);
          kept[count++] = c;
          leaves = side[p] < 0 ? c : leaves;
          enters = side[p] < 0 ? enters : c;
        }
      }
      for (int i = 2; i < count; i++) {
        add(kept[0], kept[i - 1], kept[i]);
      }
      if (leaves >= 0 && leaves != enters) {
        open |= next.put(enters, leaves) != null; // the cap runs against the triangle
      }
    }

    private int corner(int v) {
      if (numbers[v] < 0) {
        numbers[v] = vertex(mesh.east(v), mesh.north(v), mesh.level(v));
      }
      return numbers[v];
    }

    private int crossing(int p, int q) {
      long edge = (long) Math.min(p, q) << 32 | Math.max(p, q);
      return crossings.computeIfAbsent(
          edge,
          e -> {
            int a = Math.min(p, q);
            int b = Math.max(p, q);
            double f = side[a] / (side[a] - side[b]);
            return vertex(
                mesh.east(a) + f * (mesh.east(b) - mesh.east(a)),
                mesh.north(a) + f * (mesh.north(b) - mesh.north(a)),
                mesh.level(a) + f * (mesh.level(b) - mesh.level(a)));
          });
    }

    private int vertex(double e, double n, double h) {
      if (3 * vertices == xyz.length) {
        xyz = Arrays.copyOf(xyz, 2 * xyz.length + 12);
      }
      xyz[3 * vertices] = e;
      xyz[3 * vertices + 1] = n;
      xyz[3 * vertices + 2] = h;
      return vertices++;
    }

    private void add(int a, int b, int c) {
      if (corners + 3 > triangles.length) {
        triangles = Arrays.copyOf(triangles, 2 * triangles.length + 12);
      }
      triangles[corners++] = a;
      triangles[corners++] = b;
      triangles[corners++] = c;
    }

    /** Fills the rings in which the plane met a body; outer ones turn about the normal. */
    private void close() {
      List<int[]> outer = new ArrayList<>();
      List<int[]> holes = new ArrayList<>();
      while (!next.isEmpty()) {
        int first = next.keySet().iterator().next();
        List<Integer> ring = new ArrayList<>();
        Integer at = first;
        do {
          ring.add(at);
          at = next.remove(at);
        } while (at != null && at != first);
        if (at == null) {
          return; // no body: it was open there before
        }
        if (ring.size() >= 3) {
          int[] r = ring.stream().mapToInt(i -> i).toArray();
          (Orientation.isCCW(closed(r)) ? outer : holes).add(r);
        }
      }
      for (int[] o : outer) {
        List<int[]> loops = new ArrayList<>(List.of(o));
        holes.stream().filter(h -> within(h, o)).forEach(loops::add);
        fill(loops);
      }
    }

    private void fill(List<int[]> loops) {
      int[] t;
      try {
        t = FaceTriangulator.triangles(xyz, loops);
      } catch (IllegalArgumentException e) {
        return; // rings that touch themselves stay open
      }
      for (int k = 0; k < t.length; k += 3) {
        add(t[k], t[k + 1], t[k + 2]);
      }
    }

    private boolean within(int[] ring, int[] outer) {
      Coordinate[] c = closed(ring);
      return PointLocation.locateInRing(c[0], closed(outer)) == Location.INTERIOR;
    }

    /** A ring in the plane, seen against the normal, its first corner repeated. */
    private Coordinate[] closed(int[] ring) {
      double[] u = across();
      double[] v = {
        normal.north() * u[2] - normal.level() * u[1],
        normal.level() * u[0] - normal.east() * u[2],
        normal.east() * u[1] - normal.north() * u[0]
      };
      Coordinate[] out = new Coordinate[ring.length + 1];
      for (int i = 0; i <= ring.length; i++) {
        int p = 3 * ring[i % ring.length];
        double e = xyz[p] - at.east();
        double n = xyz[p + 1] - at.north();
        double h = xyz[p + 2] - at.level();
        out[i] = new Coordinate(e * u[0] + n * u[1] + h * u[2], e * v[0] + n * v[1] + h * v[2]);
      }
      return out;
    }

    /** A direction in the plane. */
    private double[] across() {
      double e = normal.east();
      double n = normal.north();
      double length = Math.hypot(e, n);
      return length < 1e-12 * Math.abs(normal.level())
          ? new double[] {1, 0, 0}
          : new double[] {-n / length, e / length, 0};
    }
  }
}
