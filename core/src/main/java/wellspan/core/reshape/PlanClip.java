package wellspan.core.reshape;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.index.hprtree.HPRtree;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.locationtech.jts.triangulate.polygon.ConstrainedDelaunayTriangulator;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.PlanVertices;
import wellspan.core.progress.Progress;

/**
 * Cuts a surface along the outline of an area in plan. Triangles on the outline are cut exactly
 * there and every part keeps the plane of its triangle; all others stay as they are.
 */
public final class PlanClip {
  /**
   * Cuts of one edge by one outline, found from both of its sides, lie closer than this, metres.
   */
  private static final double WELD = 1e-6;

  /** Cuts at one place in plan are two if their levels differ by more, metres: an upright face. */
  private static final double UPRIGHT = 1e-3;

  private static final GeometryFactory FACTORY = new GeometryFactory();

  private final Mesh mesh;
  private final Geometry area;
  private final boolean inside;
  private final HPRtree outline = new HPRtree();
  private final PlanVertices cuts;
  private final Map<Integer, List<Integer>> numbers = new HashMap<>();
  private double[] xyz;
  private int vertices;
  private int[] triangles;
  private int corners;

  private PlanClip(Mesh mesh, Geometry area, boolean inside) {
    this.mesh = mesh;
    this.area = area;
    this.inside = inside;
    cuts = new PlanVertices(WELD, mesh.bounds(), 256);
    xyz = Arrays.copyOf(mesh.xyz(), mesh.xyz().length + 3 * 256);
    vertices = mesh.vertexCount();
    triangles = new int[mesh.triangles().length + 3 * 256];
  }

  /**
   * The part of a surface within an area.
   *
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static Mesh inside(Mesh mesh, Geometry area, Progress progress) {
    return new PlanClip(mesh, area, true).run(progress).compact();
  }

  /** The part of a surface outside of an area. */
  public static Mesh outside(Mesh mesh, Geometry area, Progress progress) {
    return new PlanClip(mesh, area, false).run(progress).compact();
  }

  private Mesh run(Progress progress) {
    for (int g = 0; g < area.getNumGeometries(); g++) {
      Polygon p = (Polygon) area.getGeometryN(g);
      insert(p.getExteriorRing().getCoordinates());
      for (int r = 0; r < p.getNumInteriorRing(); r++) {
        insert(p.getInteriorRingN(r).getCoordinates());
      }
    }
    outline.build();
    IndexedPointInAreaLocator locator = area.isEmpty() ? null : new IndexedPointInAreaLocator(area);
    int n = mesh.triangleCount();
    for (int t = 0; t < n; t++) {
      if (t % 1024 == 0) {
        progress.advance((double) t / n, "Cutting along the outline");
      }
      Coordinate[] ring = ring(t);
      Envelope box = new Envelope(ring[0], ring[1]);
      box.expandToInclude(ring[2]);
      if (outline.query(box).isEmpty()) {
        boolean in = locator != null && locator.locate(middle(ring)) != Location.EXTERIOR;
        if (in == inside) {
          take(mesh.triangles()[3 * t], mesh.triangles()[3 * t + 1], mesh.triangles()[3 * t + 2]);
        }
      } else {
        cut(t, ring, locator);
      }
    }
    return new Mesh(Arrays.copyOf(xyz, 3 * vertices), Arrays.copyOf(triangles, corners));
  }

  private void insert(Coordinate[] ring) {
    for (int i = 1; i < ring.length; i++) {
      outline.insert(new Envelope(ring[i - 1], ring[i]), i);
    }
  }

  private Coordinate[] ring(int t) {
    Coordinate[] c = new Coordinate[4];
    for (int k = 0; k < 3; k++) {
      int v = mesh.triangles()[3 * t + k];
      c[k] = new Coordinate(mesh.east(v), mesh.north(v), mesh.level(v));
    }
    c[3] = c[0];
    return c;
  }

  private static Coordinate middle(Coordinate[] ring) {
    return new Coordinate(
        (ring[0].x + ring[1].x + ring[2].x) / 3, (ring[0].y + ring[1].y + ring[2].y) / 3);
  }

  private void cut(int t, Coordinate[] ring, IndexedPointInAreaLocator locator) {
    double det = mesh.planArea(t);
    if (Math.abs(det) < 1e-12) { // upright: in plan it is a line, which goes or stays as a whole
      if (locator.locate(middle(ring)) != Location.EXTERIOR == inside) {
        take(mesh.triangles()[3 * t], mesh.triangles()[3 * t + 1], mesh.triangles()[3 * t + 2]);
      }
      return;
    }
    Polygon triangle = FACTORY.createPolygon(ring);
    Geometry part =
        OverlayNGRobust.overlay(
            triangle, area, inside ? OverlayNG.INTERSECTION : OverlayNG.DIFFERENCE);
    if (part.getArea() >= triangle.getArea() * (1 - 1e-12)) {
      take(mesh.triangles()[3 * t], mesh.triangles()[3 * t + 1], mesh.triangles()[3 * t + 2]);
      return;
    }
    for (int g = 0; g < part.getNumGeometries(); g++) {
      if (part.getGeometryN(g) instanceof Polygon p && p.getArea() > 1e-12) {
        Geometry pieces = ConstrainedDelaunayTriangulator.triangulate(p);
        for (int i = 0; i < pieces.getNumGeometries(); i++) {
          piece(t, ring, det > 0, pieces.getGeometryN(i).getCoordinates());
        }
      }
    }
  }

  private void piece(int t, Coordinate[] ring, boolean left, Coordinate[] c) {
    int[] v = new int[3];
    for (int k = 0; k < 3; k++) {
      v[k] = vertex(t, ring, c[k]);
    }
    double turn = (c[1].x - c[0].x) * (c[2].y - c[0].y) - (c[1].y - c[0].y) * (c[2].x - c[0].x);
    if (turn > 0 == left) {
      take(v[0], v[1], v[2]);
    } else {
      take(v[0], v[2], v[1]);
    }
  }

  private int vertex(int t, Coordinate[] ring, Coordinate c) {
    for (int k = 0; k < 3; k++) {
      if (Math.abs(ring[k].x - c.x) <= WELD && Math.abs(ring[k].y - c.y) <= WELD) {
        return mesh.triangles()[3 * t + k];
      }
    }
    double level = level(ring, c);
    int place = cuts.at(c.x, c.y, level);
    List<Integer> here = numbers.computeIfAbsent(place, k -> new ArrayList<>(1));
    for (int v : here) {
      if (Math.abs(xyz[3 * v + 2] - level) <= UPRIGHT) {
        return v;
      }
    }
    if (3 * vertices == xyz.length) {
      xyz = Arrays.copyOf(xyz, 2 * xyz.length);
    }
    xyz[3 * vertices] = cuts.east(place);
    xyz[3 * vertices + 1] = cuts.north(place);
    xyz[3 * vertices + 2] = level;
    here.add(vertices);
    return vertices++;
  }

  private static double level(Coordinate[] r, Coordinate c) {
    double ux = r[1].x - r[0].x, uy = r[1].y - r[0].y;
    double wx = r[2].x - r[0].x, wy = r[2].y - r[0].y;
    double px = c.x - r[0].x, py = c.y - r[0].y;
    double det = ux * wy - uy * wx;
    double s = (px * wy - py * wx) / det, q = (ux * py - uy * px) / det;
    return r[0].getZ() + s * (r[1].getZ() - r[0].getZ()) + q * (r[2].getZ() - r[0].getZ());
  }

  private void take(int a, int b, int c) {
    if (a == b || b == c || c == a) {
      return;
    }
    if (corners == triangles.length) {
      triangles = Arrays.copyOf(triangles, 2 * triangles.length);
    }
    triangles[corners++] = a;
    triangles[corners++] = b;
    triangles[corners++] = c;
  }
}
