package wellspan.core.triangulate;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.index.hprtree.HPRtree;
import wellspan.core.geom.PlanVertices;
import wellspan.core.geom.Position;
import wellspan.core.progress.Progress;
import wellspan.core.terrain.PointIndex;

/**
 * Cuts line pieces where they cross each other or pass over a vertex, so that they meet in vertices
 * only. A library that triangulates drops crossing lines in silence; lines that went through here
 * do not cross.
 */
final class Noding {
  /** Rounds after which cutting must have come to rest. */
  private static final int ROUNDS = 12;

  private final PlanVertices vertices;
  private final double tolerance;
  private final LevelRule rule;
  private final double levelTolerance;
  private final List<LevelConflict> conflicts = new ArrayList<>();

  /** A straight piece from vertex to vertex, and whether it bounds the surface. */
  record Piece(int from, int to, boolean bounds) {}

  private record Cut(double along, int vertex) {}

  Noding(PlanVertices vertices, double tolerance, LevelRule rule, double levelTolerance) {
    this.vertices = vertices;
    this.tolerance = tolerance;
    this.rule = rule;
    this.levelTolerance = levelTolerance;
  }

  List<LevelConflict> conflicts() {
    return conflicts;
  }

  /**
   * @return the same lines in pieces that meet in vertices only
   * @throws IllegalStateException if the pieces do not come to rest, which points at a line that is
   *     folded within the tolerance
   */
  List<Piece> node(List<Piece> lines, Progress progress) {
    List<Piece> now = overVertices(lines, 0);
    int settled = vertices.size();
    for (int round = 0; round < ROUNDS; round++) {
      progress.advance(0.02 * round, "Cutting lines where they cross");
      List<Piece> next = overVertices(crossed(now), settled);
      if (next.size() == now.size()) {
        return next;
      }
      settled = vertices.size();
      now = next;
    }
    throw new IllegalStateException(
        "The breaklines cross each other again and again within a millimetre. Thin or clean them first.");
  }

  /** Cuts pieces at vertices that lie on them. */
  private List<Piece> overVertices(List<Piece> pieces, int known) {
    if (known == vertices.size()) {
      return pieces;
    }
    PointIndex index = new PointIndex(vertices.coordinates());
    List<Piece> out = new ArrayList<>(pieces.size());
    for (Piece p : pieces) {
      double ax = vertices.east(p.from), ay = vertices.north(p.from);
      double bx = vertices.east(p.to), by = vertices.north(p.to);
      double dx = bx - ax, dy = by - ay, square = dx * dx + dy * dy;
      List<Cut> cuts = new ArrayList<>(0);
      index.forEachIn(
          Math.min(ax, bx) - tolerance,
          Math.min(ay, by) - tolerance,
          Math.max(ax, bx) + tolerance,
          Math.max(ay, by) + tolerance,
          v -> {
            if (v == p.from || v == p.to) {
              return;
            }
            double px = vertices.east(v) - ax, py = vertices.north(v) - ay;
            double t = (px * dx + py * dy) / square;
            double off = px * dy - py * dx;
            if (t > 0 && t < 1 && off * off <= tolerance * tolerance * square) {
              cuts.add(new Cut(t, v));
            }
          });
      cuts.forEach(c -> meet(p, c));
      cut(p, cuts, out);
    }
    return out;
  }

  /** A vertex on a line: the vertex's own level holds; a difference is told. */
  private void meet(Piece p, Cut c) {
    double line = level(p, c.along);
    double own = vertices.level(c.vertex);
    if (Math.abs(line - own) > levelTolerance) {
      note(LevelConflict.Kind.ON_LINE, c.vertex, Math.min(line, own), Math.max(line, own));
    }
  }

  private void note(LevelConflict.Kind kind, int vertex, double lowest, double highest) {
    conflicts.add(
        new LevelConflict(
            kind,
            new Position(vertices.east(vertex), vertices.north(vertex), vertices.level(vertex)),
            lowest,
            highest));
  }

  private double level(Piece p, double along) {
    return vertices.level(p.from) + along * (vertices.level(p.to) - vertices.level(p.from));
  }

  private static void cut(Piece p, List<Cut> cuts, List<Piece> out) {
    if (cuts.isEmpty()) {
      out.add(p);
      return;
    }
    cuts.sort(Comparator.comparingDouble(Cut::along));
    int from = p.from;
    for (Cut c : cuts) {
      if (c.vertex != from) {
        out.add(new Piece(from, c.vertex, p.bounds));
        from = c.vertex;
      }
    }
    if (from != p.to) {
      out.add(new Piece(from, p.to, p.bounds));
    }
  }

  /** Cuts pieces where they cross others away from their ends. */
  private List<Piece> crossed(List<Piece> pieces) {
    HPRtree tree = new HPRtree();
    Envelope[] boxes = new Envelope[pieces.size()];
    for (int i = 0; i < boxes.length; i++) {
      Piece p = pieces.get(i);
      boxes[i] =
          new Envelope(
              vertices.east(p.from),
              vertices.east(p.to),
              vertices.north(p.from),
              vertices.north(p.to));
      tree.insert(boxes[i], i);
    }
    tree.build();
    @SuppressWarnings({"unchecked", "rawtypes"})
    List<Cut>[] cuts = new List[boxes.length];
    for (int i = 0; i < boxes.length; i++) {
      int self = i;
      tree.query(
          boxes[i],
          o -> {
            int other = (Integer) o;
            if (other > self) {
              cross(pieces.get(self), pieces.get(other), self, other, cuts);
            }
          });
    }
    List<Piece> out = new ArrayList<>(pieces.size());
    for (int i = 0; i < boxes.length; i++) {
      cut(pieces.get(i), cuts[i] == null ? List.of() : cuts[i], out);
    }
    return out;
  }

  private void cross(Piece p, Piece q, int i, int j, List<Cut>[] cuts) {
    if (p.from == q.from || p.from == q.to || p.to == q.from || p.to == q.to) {
      return;
    }
    Coordinate a = place(p.from), b = place(p.to), c = place(q.from), d = place(q.to);
    int sa = Orientation.index(c, d, a), sb = Orientation.index(c, d, b);
    int sc = Orientation.index(a, b, c), sd = Orientation.index(a, b, d);
    if (sa == sb || sc == sd) {
      return;
    }
    double det = (b.x - a.x) * (d.y - c.y) - (b.y - a.y) * (d.x - c.x);
    if (det == 0) {
      return;
    }
    double t = ((c.x - a.x) * (d.y - c.y) - (c.y - a.y) * (d.x - c.x)) / det;
    double u = ((c.x - a.x) * (b.y - a.y) - (c.y - a.y) * (b.x - a.x)) / det;
    double za = level(p, Math.clamp(t, 0, 1)), zb = level(q, Math.clamp(u, 0, 1));
    double low = Math.min(za, zb), high = Math.max(za, zb);
    double taken = rule.level(za, za + zb, 2, low, high);
    int before = vertices.size();
    int v = vertices.at(a.x + t * (b.x - a.x), a.y + t * (b.y - a.y), taken);
    if (v == before && high - low > levelTolerance) {
      note(LevelConflict.Kind.CROSSING, v, low, high);
    }
    add(cuts, i, p, new Cut(t, v));
    add(cuts, j, q, new Cut(u, v));
  }

  private static void add(List<Cut>[] cuts, int i, Piece p, Cut c) {
    if (c.vertex == p.from || c.vertex == p.to) {
      return;
    }
    if (cuts[i] == null) {
      cuts[i] = new ArrayList<>(2);
    }
    cuts[i].add(c);
  }

  private Coordinate place(int v) {
    return new Coordinate(vertices.east(v), vertices.north(v));
  }

  /** The pieces without repetitions, as chains of vertices that run on as far as they can. */
  static List<int[]> chains(List<Piece> pieces) {
    java.util.Set<Long> seen = new java.util.HashSet<>(2 * pieces.size());
    List<int[]> out = new ArrayList<>();
    int[] chain = new int[16];
    int n = 0;
    for (Piece p : pieces) {
      if (!seen.add((long) Math.min(p.from, p.to) << 32 | Math.max(p.from, p.to))) {
        continue;
      }
      if (n > 0 && (chain[n - 1] != p.from || p.to == chain[0])) {
        out.add(Arrays.copyOf(chain, n));
        n = 0;
      }
      if (n == 0) {
        chain[n++] = p.from;
      }
      if (n == chain.length) {
        chain = Arrays.copyOf(chain, 2 * n);
      }
      chain[n++] = p.to;
    }
    if (n > 0) {
      out.add(Arrays.copyOf(chain, n));
    }
    return out;
  }
}
