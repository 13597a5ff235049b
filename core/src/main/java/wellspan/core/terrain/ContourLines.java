package wellspan.core.terrain;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshEdges;
import wellspan.core.geom.Polyline;
import wellspan.core.operation.Step;
import wellspan.core.progress.Progress;

/**
 * Contours as lines that run on from triangle to triangle. Each piece lies exactly on the plane of
 * its triangle and nothing is smoothed, so no contour leaves the surface or crosses another.
 *
 * @param lines by level, lowest first
 * @param majors the levels of major contours among them
 */
public record ContourLines(Map<Double, List<Polyline>> lines, List<Double> majors) {
  /** More pieces than this are refused, as they would be of no use and fill the memory. */
  private static final int MOST = 4_000_000;

  /**
   * @throws IllegalArgumentException with a sentence, if there would be far too many
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static ContourLines of(Mesh mesh, ContourStyle style, Progress progress) {
    MeshEdges edges = new MeshEdges(mesh);
    Map<Long, Step> steps = new TreeMap<>();
    if (pieces(mesh, style) > MOST) {
      throw new IllegalArgumentException(
          "contours at this interval would be too many. Choose a larger one.");
    }
    for (int t = 0; t < mesh.triangleCount(); t++) {
      if (t % 4096 == 0) {
        progress.advance(0.7 * t / mesh.triangleCount(), "Drawing contours");
      }
      triangle(mesh, edges, t, style, steps);
    }
    Map<Double, List<Polyline>> lines = new TreeMap<>();
    List<Double> majors = new ArrayList<>();
    for (Map.Entry<Long, Step> e : steps.entrySet()) {
      progress.advance(0.9, "Joining contours");
      double level = style.level(e.getKey());
      lines.put(level, e.getValue().chains(mesh, edges, level));
      if (style.isMajor(e.getKey())) {
        majors.add(level);
      }
    }
    return new ContourLines(Collections.unmodifiableMap(lines), List.copyOf(majors));
  }

  /** About how many levels the triangles cross, all together. */
  private static double pieces(Mesh m, ContourStyle style) {
    int[] v = m.triangles();
    double heights = 0;
    for (int t = 0; t < v.length; t += 3) {
      double a = m.level(v[t]), b = m.level(v[t + 1]), c = m.level(v[t + 2]);
      heights += Math.max(a, Math.max(b, c)) - Math.min(a, Math.min(b, c));
    }
    return heights / style.interval();
  }

  /** Notes which edges the contours of a triangle join. */
  private static void triangle(
      Mesh m, MeshEdges edges, int t, ContourStyle style, Map<Long, Step> steps) {
    int[] v = m.triangles();
    double a = m.level(v[3 * t]), b = m.level(v[3 * t + 1]), c = m.level(v[3 * t + 2]);
    double low = Math.min(a, Math.min(b, c)), high = Math.max(a, Math.max(b, c));
    for (long k = (long) Math.floor((low - style.base()) / style.interval()) + 1;
        style.level(k) <= high;
        k++) {
      int first = -1;
      int second = -1;
      for (int h = 3 * t; h < 3 * t + 3; h++) {
        boolean crossed =
            m.level(edges.from(h)) >= style.level(k) != m.level(edges.to(h)) >= style.level(k);
        if (crossed) {
          int edge = edges.twin(h) >= 0 ? Math.min(h, edges.twin(h)) : h;
          second = first < 0 ? second : edge;
          first = first < 0 ? edge : first;
        }
      }
      if (second >= 0) {
        steps.computeIfAbsent(k, s -> new Step()).join(first, second);
      }
    }
  }

  /** The pieces at one level: each edge that is crossed leads to one or two others. */
  private static final class Step {
    private final Map<Integer, int[]> next = new HashMap<>();

    void join(int a, int b) {
      link(a, b);
      link(b, a);
    }

    private void link(int from, int to) {
      int[] n = next.computeIfAbsent(from, k -> new int[] {-1, -1});
      n[n[0] < 0 ? 0 : 1] = to;
    }

    List<Polyline> chains(Mesh m, MeshEdges edges, double level) {
      List<Polyline> out = new ArrayList<>();
      List<Integer> ends = new ArrayList<>();
      next.forEach(
          (edge, n) -> {
            if (n[1] < 0) {
              ends.add(edge);
            }
          });
      Collections.sort(ends);
      for (int end : ends) {
        chain(end, m, edges, level, out);
      }
      List<Integer> rest = new ArrayList<>(next.keySet());
      Collections.sort(rest);
      for (int edge : rest) {
        chain(edge, m, edges, level, out); // what is left are closed lines
      }
      return out;
    }

    private void chain(int start, Mesh m, MeshEdges edges, double level, List<Polyline> out) {
      List<Integer> on = new ArrayList<>();
      int before = -1;
      int now = start;
      while (next.containsKey(now)) {
        on.add(now);
        int[] n = next.remove(now);
        int onwards = n[0] == before ? n[1] : n[0];
        before = now;
        now = onwards;
      }
      if (on.size() > 2 && now == start) {
        on.add(start);
      }
      if (on.size() > 1) {
        double[] xyz = new double[3 * on.size()];
        for (int i = 0; i < on.size(); i++) {
          place(m, edges, on.get(i), level, xyz, 3 * i);
        }
        out.add(new Polyline(xyz));
      }
    }

    private static void place(
        Mesh m, MeshEdges edges, int edge, double level, double[] to, int at) {
      int a = edges.from(edge), b = edges.to(edge);
      double s = (level - m.level(a)) / (m.level(b) - m.level(a));
      to[at] = m.east(a) + s * (m.east(b) - m.east(a));
      to[at + 1] = m.north(a) + s * (m.north(b) - m.north(a));
      to[at + 2] = level;
    }
  }

  /** All lines at major levels, or all others. */
  public List<Polyline> lines(boolean major) {
    return lines.entrySet().stream()
        .filter(e -> majors.contains(e.getKey()) == major)
        .flatMap(e -> e.getValue().stream())
        .toList();
  }
}
