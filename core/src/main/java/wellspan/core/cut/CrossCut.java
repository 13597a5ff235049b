package wellspan.core.cut;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.geom.Mesh;

/**
 * A vertical cut through meshes, square to an alignment at one place. Offsets are positive to the
 * right. Cost: one look at each triangle of what is cut.
 */
public final class CrossCut {
  private final AlignmentPoint at;
  private final double reach;
  private final double ex;
  private final double ey;

  /**
   * @param distance from the alignment's start, metres
   * @param reach how far the cut goes to both sides, metres
   */
  public CrossCut(Alignment axis, double distance, double reach) {
    at = axis.at(Math.clamp(distance, 0, axis.length()));
    this.reach = reach;
    ex = Math.sin(at.direction()); // to the right
    ey = -Math.cos(at.direction());
  }

  /** The place on the alignment. */
  public AlignmentPoint at() {
    return at;
  }

  /** How far a place lies ahead of the cut, metres. */
  private double ahead(Mesh m, int v) {
    return -(m.east(v) - at.east()) * ey + (m.north(v) - at.north()) * ex;
  }

  private double offset(Mesh m, int v) {
    return (m.east(v) - at.east()) * ex + (m.north(v) - at.north()) * ey;
  }

  /**
   * Lines in which the cut meets a mesh, offset and level in turn; closed ones end where they
   * start.
   */
  public List<double[]> of(Mesh m) {
    int n = m.vertexCount();
    double[] side = new double[n];
    for (int v = 0; v < n; v++) {
      double d = ahead(m, v);
      side[v] = d == 0 ? 1e-12 : d; // no corner lies in the cut: each edge is cut or it is not
    }
    Map<Long, double[]> crossings = new HashMap<>();
    Map<Long, List<Long>> joined = new HashMap<>();
    int[] t = m.triangles();
    for (int k = 0; k < t.length; k += 3) {
      double a = side[t[k]];
      double b = side[t[k + 1]];
      double c = side[t[k + 2]];
      if (a > 0 == b > 0 && b > 0 == c > 0) {
        continue;
      }
      List<Long> ends = new ArrayList<>(2);
      for (int i = 0; i < 3; i++) {
        int p = t[k + i];
        int q = t[k + (i + 1) % 3];
        if (side[p] > 0 != side[q] > 0) {
          long edge = (long) Math.min(p, q) << 32 | Math.max(p, q);
          crossings.computeIfAbsent(edge, e -> crossing(m, side, p, q));
          ends.add(edge);
        }
      }
      if (ends.size() == 2 && near(crossings.get(ends.get(0)), crossings.get(ends.get(1)))) {
        joined.computeIfAbsent(ends.get(0), e -> new ArrayList<>(2)).add(ends.get(1));
        joined.computeIfAbsent(ends.get(1), e -> new ArrayList<>(2)).add(ends.get(0));
      }
    }
    return chains(crossings, joined);
  }

  private boolean near(double[] a, double[] b) {
    return Math.min(Math.abs(a[0]), Math.abs(b[0])) <= reach;
  }

  private double[] crossing(Mesh m, double[] side, int p, int q) {
    double t = side[p] / (side[p] - side[q]);
    return new double[] {
      offset(m, p) + t * (offset(m, q) - offset(m, p)), m.level(p) + t * (m.level(q) - m.level(p))
    };
  }

  /** Pieces put together: open chains first, then rings. */
  private static List<double[]> chains(
      Map<Long, double[]> crossings, Map<Long, List<Long>> joined) {
    List<double[]> out = new ArrayList<>();
    Collection<Long> ends =
        joined.entrySet().stream()
            .filter(e -> e.getValue().size() == 1)
            .map(Map.Entry::getKey)
            .sorted()
            .toList();
    ends.forEach(e -> chain(e, crossings, joined, out));
    joined.keySet().stream().sorted().toList().forEach(e -> chain(e, crossings, joined, out));
    return out;
  }

  private static void chain(
      long from, Map<Long, double[]> crossings, Map<Long, List<Long>> joined, List<double[]> out) {
    List<double[]> line = new ArrayList<>();
    long at = from;
    while (true) {
      List<Long> next = joined.getOrDefault(at, List.of());
      if (next.isEmpty()) {
        break;
      }
      if (line.isEmpty()) {
        line.add(crossings.get(at));
      }
      long to = next.removeLast();
      joined.get(to).remove(at);
      line.add(crossings.get(to));
      at = to;
    }
    if (line.size() > 1) {
      double[] flat = new double[2 * line.size()];
      for (int i = 0; i < line.size(); i++) {
        flat[2 * i] = line.get(i)[0];
        flat[2 * i + 1] = line.get(i)[1];
      }
      out.add(flat);
    }
  }
}
