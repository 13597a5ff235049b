package wellspan.core.triangulate;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Location;
import org.tinfour.common.IConstraint;
import org.tinfour.common.IMonitorWithCancellation;
import org.tinfour.common.LinearConstraint;
import org.tinfour.common.Vertex;
import org.tinfour.standard.IncrementalTin;
import org.tinfour.utils.TriangleCollector;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshEdges;
import wellspan.core.geom.PlanPolygon;
import wellspan.core.geom.Position;
import wellspan.core.progress.Progress;

/**
 * Constrained Delaunay triangulation of points and lines. Time n log n, about 3 seconds for a
 * million points, for which a heap of 1.5 GB is enough (bench/README.md). One triangulation is for
 * one thread; the surface it gives is for any.
 */
public final class Triangulator {
  /** Points closer in plan than this count as one place, metres. */
  public static final double SAME_PLACE = 0.001;

  private final LevelRule duplicateRule;
  private final LevelRule crossingRule;
  private final double levelTolerance;

  /**
   * @param duplicateRule level of points at one place
   * @param crossingRule level where lines cross
   * @param levelTolerance levels that differ by less are no conflict, metres
   */
  public Triangulator(LevelRule duplicateRule, LevelRule crossingRule, double levelTolerance) {
    this.duplicateRule = duplicateRule;
    this.crossingRule = crossingRule;
    this.levelTolerance = levelTolerance;
  }

  /** The Delaunay triangulation of points alone. */
  public static Mesh delaunay(double[] xyz, Progress progress) {
    return new Triangulator(LevelRule.FIRST, LevelRule.FIRST, 0)
        .run(xyz, List.of(), progress)
        .mesh();
  }

  /**
   * @param xyz points in threes, shared coordinates; those without a place or level are passed over
   * @param constraints lines without levels are passed over, but boundaries without levels still
   *     say where the surface ends: the caller clips
   * @throws IllegalArgumentException with a sentence, if there are not three points off one line
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public Triangulated run(double[] xyz, List<Constraint> constraints, Progress progress) {
    Box box = Box.of(xyz);
    VertexTable table = new VertexTable(SAME_PLACE, box, xyz.length / 3);
    for (int i = 0; i + 2 < xyz.length; i += 3) {
      if (Double.isFinite(xyz[i]) && Double.isFinite(xyz[i + 1]) && Double.isFinite(xyz[i + 2])) {
        table.add(xyz[i], xyz[i + 1], xyz[i + 2]);
      }
      if (i % 300_000 == 0) {
        progress.advance(0.1 * i / xyz.length, "Settling points");
      }
    }
    int duplicates = table.duplicates();
    List<String> flat = new ArrayList<>();
    List<Constraint> used = new ArrayList<>();
    List<Noding.Piece> lines = new ArrayList<>();
    for (Constraint c : constraints) {
      if (c.hasLevels()) {
        used.add(c);
        pieces(c, table, lines);
      } else {
        flat.add(c.name());
      }
    }
    List<LevelConflict> conflicts = new ArrayList<>(table.settle(duplicateRule, levelTolerance));
    Noding noding = new Noding(table.vertices(), SAME_PLACE, crossingRule, levelTolerance);
    List<Noding.Piece> pieces = noding.node(lines, progress.part(0.1, 0.3));
    conflicts.addAll(noding.conflicts());
    double[] vertices = table.vertices().coordinates();
    Mesh whole = new Mesh(vertices, delaunay(vertices, Noding.chains(pieces), progress));
    progress.advance(0.9, pieces.isEmpty() ? "Looking over the triangles" : "Checking breaklines");
    Set<Long> drawn = edgesAlong(whole, pieces);
    List<Position> lost = new ArrayList<>();
    Set<Long> limits = new HashSet<>();
    for (Noding.Piece p : pieces) {
      if (!drawn.contains(key(p.from(), p.to()))) {
        lost.add(middle(whole, p));
      }
      if (p.bounds()) {
        limits.add(key(p.from(), p.to()));
      }
    }
    Mesh bounded = limits.isEmpty() ? whole : inside(whole, limits, used);
    return new Triangulated(bounded, duplicates, conflicts, lost, flat);
  }

  /** The edges of a mesh between vertices of lines; all other edges are of no interest here. */
  private static Set<Long> edgesAlong(Mesh mesh, List<Noding.Piece> pieces) {
    BitSet ofLines = new BitSet(mesh.vertexCount());
    for (Noding.Piece p : pieces) {
      ofLines.set(p.from());
      ofLines.set(p.to());
    }
    Set<Long> out = new HashSet<>(4 * pieces.size());
    int[] t = mesh.triangles();
    for (int h = 0; h < t.length; h++) {
      int a = t[h], b = t[h % 3 == 2 ? h - 2 : h + 1];
      if (ofLines.get(a) && ofLines.get(b)) {
        out.add(key(a, b));
      }
    }
    return out;
  }

  private static void pieces(Constraint c, VertexTable table, List<Noding.Piece> to) {
    double[] p = c.line().xyz();
    int first = -1;
    int last = -1;
    for (int i = 0; i < p.length; i += 3) {
      int v = table.add(p[i], p[i + 1], p[i + 2]);
      if (last >= 0 && v != last) {
        to.add(new Noding.Piece(last, v, c.kind().closed()));
      }
      first = i == 0 ? v : first;
      last = v;
    }
    if (c.kind().closed() && last != first) {
      to.add(new Noding.Piece(last, first, true));
    }
  }

  private static int[] delaunay(double[] xyz, List<int[]> chains, Progress progress) {
    Box box = Box.of(xyz);
    int n = xyz.length / 3;
    if (n < 3) {
      throw new IllegalArgumentException(
          "A surface needs three points with levels; there are " + n + ".");
    }
    Position zero = box.centre(); // small numbers keep the library's predicates sharp
    List<Vertex> vertices = new ArrayList<>(n);
    for (int i = 0; i < n; i++) {
      vertices.add(
          new Vertex(xyz[3 * i] - zero.east(), xyz[3 * i + 1] - zero.north(), xyz[3 * i + 2], i));
    }
    List<IConstraint> constraints = new ArrayList<>(chains.size());
    for (int[] chain : chains) {
      List<Vertex> of = new ArrayList<>(chain.length);
      for (int v : chain) {
        of.add(vertices.get(v));
      }
      LinearConstraint line = new LinearConstraint(of);
      line.complete();
      constraints.add(line);
    }
    // the library merges vertices closer than a 100 000th of the spacing it is told
    IncrementalTin tin = new IncrementalTin(Math.min(1, spacing(box, n)));
    List<Vertex> ordered = new ArrayList<>(n);
    for (int i : HilbertOrder.of(xyz)) {
      ordered.add(vertices.get(i));
    }
    tin.add(ordered, monitor(progress));
    progress.checkCancelled();
    if (!tin.isBootstrapped()) {
      throw new IllegalArgumentException(
          "All " + n + " points lie on one line in plan: no surface can be made of them.");
    }
    if (!constraints.isEmpty()) {
      tin.addConstraints(constraints, false);
    }
    progress.advance(0.8, "Gathering triangles");
    int[] out = new int[6 * n];
    int[] at = {0};
    TriangleCollector.visitSimpleTriangles(
        tin,
        t -> {
          if (!t.isGhost()) {
            out[at[0]++] = t.getVertexA().getIndex();
            out[at[0]++] = t.getVertexB().getIndex();
            out[at[0]++] = t.getVertexC().getIndex();
          }
        });
    return java.util.Arrays.copyOf(out, at[0]);
  }

  private static double spacing(Box box, int n) {
    double area = Math.max(box.width() * box.depth(), 1e-6);
    return Math.sqrt(area / n);
  }

  private static IMonitorWithCancellation monitor(Progress progress) {
    return new IMonitorWithCancellation() {
      @Override
      public int getReportingIntervalInPercent() {
        return 2;
      }

      @Override
      public void reportProgress(int percent) {
        progress.report(0.3 + 0.4 * percent / 100, "Triangulating");
      }

      @Override
      public void reportDone() {}

      @Override
      public void postMessage(String message) {}

      @Override
      public boolean isCanceled() {
        return progress.isCancelled();
      }
    };
  }

  private static Position middle(Mesh m, Noding.Piece p) {
    return new Position(
        (m.east(p.from()) + m.east(p.to())) / 2,
        (m.north(p.from()) + m.north(p.to())) / 2,
        (m.level(p.from()) + m.level(p.to())) / 2);
  }

  private static long key(int a, int b) {
    return (long) Math.min(a, b) << 32 | Math.max(a, b);
  }

  /** The parts of a mesh that lie within the boundaries and not in a hole. */
  private static Mesh inside(Mesh whole, Set<Long> limits, List<Constraint> constraints) {
    MeshEdges edges = new MeshEdges(whole);
    int[] part = edges.parts(h -> !limits.contains(key(edges.from(h), edges.to(h))));
    int parts = java.util.Arrays.stream(part).max().orElse(-1) + 1;
    int[] largest = new int[parts];
    double[] area = new double[parts];
    for (int t = 0; t < part.length; t++) {
      double a = Math.abs(whole.planArea(t));
      if (a > area[part[t]]) {
        area[part[t]] = a;
        largest[part[t]] = t;
      }
    }
    Geometry outer = area(constraints, Constraint.Kind.BOUNDARY);
    Geometry holes = area(constraints, Constraint.Kind.HOLE);
    IndexedPointInAreaLocator in = outer.isEmpty() ? null : new IndexedPointInAreaLocator(outer);
    IndexedPointInAreaLocator out = holes.isEmpty() ? null : new IndexedPointInAreaLocator(holes);
    boolean[] kept = new boolean[parts];
    for (int p = 0; p < parts; p++) {
      Coordinate c = centroid(whole, largest[p]);
      kept[p] =
          (in == null || in.locate(c) == Location.INTERIOR)
              && (out == null || out.locate(c) == Location.EXTERIOR);
    }
    return whole.only(t -> kept[part[t]]);
  }

  private static Geometry area(List<Constraint> constraints, Constraint.Kind kind) {
    return PlanPolygon.union(
        constraints.stream()
            .filter(c -> c.kind() == kind)
            .map(c -> PlanPolygon.of(c.line()))
            .toList());
  }

  private static Coordinate centroid(Mesh m, int t) {
    int[] v = m.triangles();
    int a = v[3 * t], b = v[3 * t + 1], c = v[3 * t + 2];
    return new Coordinate(
        (m.east(a) + m.east(b) + m.east(c)) / 3, (m.north(a) + m.north(b) + m.north(c)) / 3);
  }
}
