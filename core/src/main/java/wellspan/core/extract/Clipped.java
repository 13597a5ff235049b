package wellspan.core.extract;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.Polygon;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentCut;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.attribute.Finish;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Box;
import wellspan.core.geom.FaceTriangulator;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshWeld;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.reshape.PlanClip;
import wellspan.core.shape.FaceFinishes;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.solid.SolidBoolean;

/** What of an item lies within an outline in plan. */
final class Clipped {
  private static final double STEP = 0.5;

  private Clipped() {}

  static List<Item> of(Item i, Geometry area, List<Finding> findings) {
    Envelope e = area.getEnvelopeInternal();
    Box b = i.bounds();
    if (b.maxE() < e.getMinX()
        || b.minE() > e.getMaxX()
        || b.maxN() < e.getMinY()
        || b.minN() > e.getMaxY()) {
      return List.of();
    }
    if (i.shape() instanceof Shape.Faces f) {
      return i.kind().surface() ? surface(i, f, area) : body(i, f, area, findings);
    }
    if (i.shape().follows().isPresent()) {
      return axis(i, i.shape().follows().get(), area);
    }
    if (!i.shape().points().isEmpty()) {
      return points(i, i.shape().points(), area);
    }
    return i.shape().lines().isEmpty() ? List.of(i) : lines(i, i.shape().lines(), area);
  }

  private static List<Item> surface(Item i, Shape.Faces f, Geometry area) {
    if (f.finishes().isPresent()) {
      return parts(i, f, area);
    }
    Mesh m = PlanClip.inside(f.mesh(), area, Progress.NONE);
    return m.triangleCount() == 0 ? List.of() : List.of(i.with(new Shape.Faces(m)));
  }

  /** Each part of one finish on its own, and all of them together again. */
  private static List<Item> parts(Item i, Shape.Faces f, Geometry area) {
    MeshWeld weld = new MeshWeld();
    List<Finish> each = new ArrayList<>();
    for (FaceFinishes.Part p : f.finishes().get().parts(f.mesh())) {
      Mesh m = PlanClip.inside(p.mesh(), area, Progress.NONE);
      int before = weld.mesh().triangleCount();
      weld.add(m.xyz(), m.triangles());
      int added = weld.mesh().triangleCount() - before;
      each.addAll(Collections.nCopies(added, p.finish().orElse(null)));
    }
    Mesh whole = weld.mesh();
    return whole.triangleCount() == 0
        ? List.of()
        : List.of(i.with(new Shape.Faces(whole, FaceFinishes.of(each.toArray(Finish[]::new)))));
  }

  private static List<Item> body(Item i, Shape.Faces f, Geometry area, List<Finding> findings) {
    Mesh m = f.mesh();
    IndexedPointInAreaLocator in = new IndexedPointInAreaLocator(area);
    boolean all = true;
    for (int v = 0; v < m.vertexCount() && all; v++) {
      all = in.locate(new Coordinate(m.east(v), m.north(v))) != Location.EXTERIOR;
    }
    Box b = i.bounds();
    if (all && area.covers(new GeometryFactory().toGeometry(envelope(b)))) {
      return List.of(i);
    }
    if (!m.isClosed()) {
      return surface(i, f, area);
    }
    try {
      Mesh cut = SolidBoolean.intersection(m, prism(area, b));
      if (f.finishes().isPresent()) {
        findings.add(
            Finding.warning(
                Stop.DELIVER,
                "extract.finishes",
                i.name(),
                i.name()
                    + " is cut at the outline and has one colour from there on, where its faces had several."));
      }
      return cut.triangleCount() == 0 ? List.of() : List.of(i.with(new Shape.Faces(cut)));
    } catch (IllegalArgumentException tooLarge) {
      findings.add(
          Finding.error(
              Stop.DELIVER,
              "extract.clip",
              i.name(),
              i.name() + " has too many faces to be cut at the outline; it goes whole."));
      return List.of(i);
    }
  }

  private static Envelope envelope(Box b) {
    return new Envelope(b.minE(), b.maxE(), b.minN(), b.maxN());
  }

  /** The space over an outline, from below a box to above it. */
  private static Mesh prism(Geometry area, Box b) {
    Coordinate[] ring = ((Polygon) area).getExteriorRing().getCoordinates();
    boolean left = org.locationtech.jts.algorithm.Orientation.isCCW(ring);
    int n = ring.length - 1;
    double[] xyz = new double[6 * n];
    int[] loop = new int[n];
    for (int k = 0; k < n; k++) {
      Coordinate c = ring[left ? k : n - k];
      for (int top = 0; top < 2; top++) {
        int v = 3 * (k + top * n);
        xyz[v] = c.x;
        xyz[v + 1] = c.y;
        xyz[v + 2] = top == 0 ? b.minH() - 1 : b.maxH() + 1;
      }
      loop[k] = k + n;
    }
    int[] cap = FaceTriangulator.triangles(xyz, List.of(loop));
    int[] t = new int[2 * cap.length + 6 * n];
    int k = 0;
    for (int c = 0; c < cap.length; c += 3) {
      t[k++] = cap[c];
      t[k++] = cap[c + 1];
      t[k++] = cap[c + 2];
      t[k++] = cap[c] - n;
      t[k++] = cap[c + 2] - n;
      t[k++] = cap[c + 1] - n;
    }
    for (int s = 0; s < n; s++) {
      int j = (s + 1) % n;
      int[] wall = {s, j, j + n, s, j + n, s + n};
      for (int w : wall) {
        t[k++] = w;
      }
    }
    return new Mesh(xyz, t);
  }

  private static List<Item> lines(Item i, List<Polyline> lines, Geometry area) {
    GeometryFactory factory = new GeometryFactory();
    List<Polyline> out = new ArrayList<>();
    for (Polyline p : lines) {
      Coordinate[] c = new Coordinate[p.pointCount()];
      for (int k = 0; k < c.length; k++) {
        c[k] = new Coordinate(p.xyz()[3 * k], p.xyz()[3 * k + 1], p.xyz()[3 * k + 2]);
      }
      Geometry cut = factory.createLineString(c).intersection(area);
      for (int g = 0; g < cut.getNumGeometries(); g++) {
        if (cut.getGeometryN(g) instanceof LineString part && part.getNumPoints() > 1) {
          double[] xyz = new double[3 * part.getNumPoints()];
          for (int k = 0; k < part.getNumPoints(); k++) {
            Coordinate q = part.getCoordinateN(k);
            xyz[3 * k] = q.x;
            xyz[3 * k + 1] = q.y;
            xyz[3 * k + 2] = q.getZ();
          }
          out.add(new Polyline(xyz));
        }
      }
    }
    return out.isEmpty() ? List.of() : List.of(i.with(new Shape.Lines(out)));
  }

  private static List<Item> points(Item i, List<NamedPoint> points, Geometry area) {
    IndexedPointInAreaLocator in = new IndexedPointInAreaLocator(area);
    List<NamedPoint> kept =
        points.stream()
            .filter(
                q ->
                    in.locate(new Coordinate(q.position().east(), q.position().north()))
                        != Location.EXTERIOR)
            .toList();
    return kept.isEmpty() ? List.of() : List.of(i.with(new Shape.Points(kept)));
  }

  /** Stretches of an alignment within the outline, ends found to a tenth of a millimetre. */
  private static List<Item> axis(Item i, Alignment a, Geometry area) {
    IndexedPointInAreaLocator in = new IndexedPointInAreaLocator(area);
    List<Item> out = new ArrayList<>();
    double length = a.length();
    int n = Math.max(1, (int) Math.ceil(length / STEP));
    double start = Double.NaN;
    boolean was = false;
    double before = 0;
    for (int k = 0; k <= n; k++) {
      double d = length * k / n;
      boolean is = within(a, d, in);
      if (is != was) {
        double edge = k == 0 ? 0 : edge(a, before, d, was, in);
        if (is) {
          start = edge;
        } else {
          stretch(i, a, start, edge, out);
        }
      }
      was = is;
      before = d;
    }
    if (was) {
      stretch(i, a, start, length, out);
    }
    return out;
  }

  private static void stretch(Item i, Alignment a, double from, double to, List<Item> out) {
    if (to - from > 1e-4) {
      Item part = i.with(new Shape.Axis(AlignmentCut.between(a, from, to)));
      out.add(out.isEmpty() ? part : part.named(i.name() + " (" + (out.size() + 1) + ")"));
    }
  }

  private static boolean within(Alignment a, double d, IndexedPointInAreaLocator in) {
    AlignmentPoint p = a.at(d);
    return in.locate(new Coordinate(p.east(), p.north())) != Location.EXTERIOR;
  }

  private static double edge(
      Alignment a, double low, double high, boolean was, IndexedPointInAreaLocator in) {
    double from = low;
    double to = high;
    while (to - from > 1e-5) {
      double m = (from + to) / 2;
      if (within(a, m, in) == was) {
        from = m;
      } else {
        to = m;
      }
    }
    return (from + to) / 2;
  }
}
