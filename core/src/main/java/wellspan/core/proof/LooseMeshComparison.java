package wellspan.core.proof;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.proof.Difference.What;

/**
 * Compares meshes of files that need not list vertices and triangles in the same order: vertices
 * pair by place, triangles by their corners.
 */
final class LooseMeshComparison {
  private final Item item;
  private final Mesh sent;
  private final Mesh arrived;
  private final double tolerance;
  private final double cell;
  private final Map<Long, List<Integer>> grid = new HashMap<>();

  private LooseMeshComparison(Item item, Mesh sent, Mesh arrived, double tolerance) {
    this.item = item;
    this.sent = sent.compact();
    this.arrived = arrived.compact();
    this.tolerance = tolerance;
    cell = Math.max(4 * tolerance, 1e-4);
  }

  static ItemComparison compare(Item item, Mesh sent, Mesh arrived, double tolerance) {
    if (sent.triangleCount() == arrived.triangleCount()) {
      ItemComparison inOrder = MeshComparison.compare(item, sent, arrived, tolerance);
      if (inOrder.differences().isEmpty()) {
        return inOrder;
      }
    }
    return new LooseMeshComparison(item, sent, arrived, tolerance).run();
  }

  private ItemComparison run() {
    List<Difference> found = new ArrayList<>();
    for (int v = 0; v < sent.vertexCount(); v++) {
      grid.computeIfAbsent(cell(sent.vertex(v), 0, 0), k -> new ArrayList<>()).add(v);
    }
    int[] partner = new int[arrived.vertexCount()];
    int[] first = new int[sent.vertexCount()]; // vertices at one place of what was sent are one
    for (int v = 0; v < first.length; v++) {
      first[v] = Math.min(v, nearest(sent.vertex(v)));
    }
    double max = 0;
    double worstLevel = 0;
    Position levelAt = null;
    int lost = 0;
    Position lostAt = null;
    for (int v = 0; v < partner.length; v++) {
      Position p = arrived.vertex(v);
      int n = nearest(p);
      if (n >= 0) {
        partner[v] = first[n];
        max = Math.max(max, distance(p, sent.vertex(n)));
        continue;
      }
      int below = inPlan(p);
      if (below >= 0) {
        partner[v] = first[below];
        double off = Math.abs(p.level() - sent.level(below));
        if (!(off <= worstLevel)) {
          worstLevel = off;
          levelAt = p;
        }
      } else {
        partner[v] = -1 - v;
        lost++;
        lostAt = lostAt == null ? p : lostAt;
      }
    }
    if (levelAt != null) {
      found.add(
          Difference.of(
                  What.LEVEL,
                  item.name(),
                  String.format(
                      Locale.ROOT, "%s: levels differ by up to %.4f m.", item.name(), worstLevel))
              .at(levelAt)
              .by(worstLevel));
      max = Math.max(max, worstLevel);
    }
    if (lost > 0) {
      double off = distance(lostAt, sent.vertex(closest(lostAt)));
      max = Math.max(max, off);
      found.add(
          Difference.of(
                  What.GEOMETRY,
                  item.name(),
                  item.name()
                      + ": "
                      + lost
                      + " of "
                      + partner.length
                      + " vertices arrived where none was sent.")
              .at(lostAt)
              .by(off));
    }
    boolean same = triangles(partner, first, found);
    return new ItemComparison(
        new Proof.ItemProof(
            item.name(),
            item.kind().title(),
            MeshComparison.counted(sent),
            max,
            same && found.isEmpty(),
            new double[0]),
        found);
  }

  private static double distance(Position a, Position b) {
    return Math.hypot(a.planDistanceTo(b), a.level() - b.level());
  }

  private long cell(Position p, int dx, int dy) {
    long x = (long) Math.floor(p.east() / cell) + dx;
    long y = (long) Math.floor(p.north() / cell) + dy;
    return x * 0x9E3779B97F4A7C15L ^ y;
  }

  /** A vertex of what was sent within the tolerance, −1 if there is none. */
  private int nearest(Position p) {
    return find(p, false);
  }

  /** One within the tolerance in plan, the nearest in level. */
  private int inPlan(Position p) {
    return find(p, true);
  }

  private int find(Position p, boolean planOnly) {
    int best = -1;
    double nearest = Double.POSITIVE_INFINITY;
    for (int dx = -1; dx <= 1; dx++) {
      for (int dy = -1; dy <= 1; dy++) {
        for (int v : grid.getOrDefault(cell(p, dx, dy), List.of())) {
          Position q = sent.vertex(v);
          double plan = p.planDistanceTo(q);
          double space = Math.hypot(plan, p.level() - q.level());
          if ((planOnly ? plan : space) <= tolerance && space < nearest) {
            nearest = space;
            best = v;
          }
        }
      }
    }
    return best;
  }

  private int closest(Position p) {
    int best = 0;
    for (int v = 1; v < sent.vertexCount(); v++) {
      if (distance(p, sent.vertex(v)) < distance(p, sent.vertex(best))) {
        best = v;
      }
    }
    return best;
  }

  private record Corners(int a, int b, int c) {
    /** Turned so that the smallest number stands first; which way round stays. */
    static Corners of(int a, int b, int c) {
      return a <= b && a <= c
          ? new Corners(a, b, c)
          : b <= a && b <= c ? new Corners(b, c, a) : new Corners(c, a, b);
    }

    Corners turnedOver() {
      return of(a, c, b);
    }
  }

  /** Whether both have the same triangles; those without area count for nothing. */
  private boolean triangles(int[] partner, int[] first, List<Difference> found) {
    Map<Corners, Integer> open = new HashMap<>();
    int[] t = sent.triangles();
    int here = 0;
    for (int i = 0; i < t.length; i += 3) {
      int a = first[t[i]], b = first[t[i + 1]], c = first[t[i + 2]];
      if (a != b && b != c && c != a) {
        open.merge(Corners.of(a, b, c), 1, Integer::sum);
        here++;
      }
    }
    int[] u = arrived.triangles();
    int extra = 0;
    int there = 0;
    List<Corners> unmatched = new ArrayList<>();
    for (int i = 0; i < u.length; i += 3) {
      int a = partner[u[i]], b = partner[u[i + 1]], c = partner[u[i + 2]];
      if (a == b || b == c || c == a) {
        continue;
      }
      there++;
      Corners k = Corners.of(a, b, c);
      if (!take(open, k)) {
        unmatched.add(k);
      }
    }
    int turned = 0;
    for (Corners k : unmatched) {
      if (take(open, k.turnedOver())) {
        turned++;
      } else {
        extra++;
      }
    }
    int missing = open.values().stream().mapToInt(Integer::intValue).sum();
    if (turned > 0) {
      found.add(
          Difference.of(
              What.TRIANGLES,
              item.name(),
              item.name() + ": " + turned + " triangles arrived turned over."));
    }
    if (missing > 0 || extra > 0) {
      Position at =
          open.entrySet().stream()
              .filter(e -> e.getValue() > 0)
              .findFirst()
              .map(e -> sent.vertex(e.getKey().a()))
              .orElse(null);
      Difference d =
          Difference.of(
              What.TRIANGLES,
              item.name(),
              item.name()
                  + ": "
                  + here
                  + " triangles were sent, "
                  + there
                  + " arrived; "
                  + missing
                  + " of those sent are not among them, "
                  + extra
                  + " were not sent.");
      found.add(at == null ? d : d.at(at));
    }
    return turned + missing + extra == 0;
  }

  private static boolean take(Map<Corners, Integer> open, Corners k) {
    Integer n = open.get(k);
    if (n == null || n == 0) {
      return false;
    }
    open.put(k, n - 1);
    return true;
  }
}
