package wellspan.core.flaw;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.index.strtree.STRtree;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshEdges;

/**
 * A hole of a surface: an outline within it that touches itself nowhere, and the pieces of surface
 * that lie loose within. Outlines are vertex numbers; the hole's own runs clockwise in plan, those
 * of the pieces run counter-clockwise.
 */
public record Hole(int[] outline, List<int[]> islands) {

  /** Area that is open in plan, square metres. */
  public double area(Mesh mesh) {
    double area = -SurfaceFlaws.planArea(mesh, outline);
    for (int[] island : islands) {
      area -= SurfaceFlaws.planArea(mesh, island);
    }
    return area;
  }

  /** The holes of a surface. Time grows as n log n with the vertices on its outlines. */
  static List<Hole> of(Mesh mesh, MeshEdges edges) {
    List<int[]> clockwise = new ArrayList<>();
    STRtree pieces = new STRtree();
    for (int[] loop : edges.outlines()) {
      double area = SurfaceFlaws.planArea(mesh, loop);
      if (area < 0) {
        clockwise.add(loop);
      } else if (area > 0) {
        pieces.insert(extent(mesh, loop), loop);
      }
    }
    clockwise.sort(
        (a, b) ->
            Double.compare(
                SurfaceFlaws.planArea(mesh, b),
                SurfaceFlaws.planArea(mesh, a))); // the smallest first
    List<Hole> out = new ArrayList<>();
    for (int[] loop : clockwise) {
      out.addAll(within(mesh, loop, pieces));
    }
    return out;
  }

  /** The holes that an outline and the pieces within make. */
  private static List<Hole> within(Mesh mesh, int[] loop, STRtree pieces) {
    List<int[]> touching = new ArrayList<>(List.of(loop));
    List<int[]> loose = new ArrayList<>();
    for (Object o : pieces.query(extent(mesh, loop))) {
      int[] piece = (int[]) o;
      if (isWithin(mesh, piece, loop)) {
        pieces.remove(extent(mesh, piece), piece);
        loose.add(piece);
      }
    }
    Set<Integer> corners = new HashSet<>();
    for (int i = 0; i < touching.size(); i++) { // what touches a piece that touches, and so on
      Arrays.stream(touching.get(i)).forEach(corners::add);
      List<int[]> more =
          loose.stream().filter(p -> Arrays.stream(p).anyMatch(corners::contains)).toList();
      touching.addAll(more);
      loose.removeAll(more);
    }
    List<int[]> outlines =
        touching.size() == 1 && corners.size() == loop.length ? touching : apart(mesh, touching);
    return outlines.stream()
        .map(line -> new Hole(line, loose.stream().filter(p -> isWithin(mesh, p, line)).toList()))
        .toList();
  }

  /**
   * Outlines that touch in vertices, as outlines of the open parts between them: at a vertex one
   * goes on along the edge that comes first, counted left about from where one came.
   */
  private static List<int[]> apart(Mesh mesh, List<int[]> outlines) {
    Map<Integer, List<Integer>> onward = new HashMap<>();
    for (int[] line : outlines) {
      for (int i = 0; i < line.length; i++) {
        onward.computeIfAbsent(line[i], v -> new ArrayList<>(1)).add(line[(i + 1) % line.length]);
      }
    }
    List<int[]> out = new ArrayList<>();
    for (int[] line : outlines) {
      for (int start : line) {
        while (!onward.get(start).isEmpty()) {
          int[] open = chain(mesh, start, onward);
          if (SurfaceFlaws.planArea(mesh, open) < 0) {
            out.add(open);
          }
        }
      }
    }
    return out;
  }

  private static int[] chain(Mesh mesh, int start, Map<Integer, List<Integer>> onward) {
    List<Integer> chain = new ArrayList<>();
    int at = start;
    int next = onward.get(start).removeLast();
    while (true) {
      chain.add(at);
      int from = at;
      at = next;
      if (at == start) {
        List<Integer> here = onward.get(at);
        // through the start and on, where the first edge is not the one that comes first
        if (here.isEmpty() || isFirst(mesh, from, at, chain.size() > 1 ? chain.get(1) : at, here)) {
          return chain.stream().mapToInt(Integer::intValue).toArray();
        }
      }
      next = first(mesh, from, at, onward.get(at));
      onward.get(at).remove(Integer.valueOf(next));
    }
  }

  private static boolean isFirst(Mesh mesh, int from, int at, int to, List<Integer> others) {
    double turn = turn(mesh, from, at, to);
    return others.stream().allMatch(o -> turn <= turn(mesh, from, at, o));
  }

  private static int first(Mesh mesh, int from, int at, List<Integer> ways) {
    int best = ways.getFirst();
    for (int w : ways) {
      best = turn(mesh, from, at, w) < turn(mesh, from, at, best) ? w : best;
    }
    return best;
  }

  /** Angle at a vertex from the way back to a way onward, left about, above 0 to a full turn. */
  private static double turn(Mesh m, int from, int at, int to) {
    double back = Math.atan2(m.north(from) - m.north(at), m.east(from) - m.east(at));
    double on = Math.atan2(m.north(to) - m.north(at), m.east(to) - m.east(at));
    double turn = on - back;
    return turn <= 0 ? turn + 2 * Math.PI : turn;
  }

  /** Whether a piece lies within an outline that it does not cross: one of its sides tells. */
  private static boolean isWithin(Mesh m, int[] piece, int[] outline) {
    double e = (m.east(piece[0]) + m.east(piece[1])) / 2;
    double n = (m.north(piece[0]) + m.north(piece[1])) / 2;
    boolean in = false;
    for (int i = 0, j = outline.length - 1; i < outline.length; j = i++) {
      double ni = m.north(outline[i]), nj = m.north(outline[j]);
      if (ni > n != nj > n) {
        double ei = m.east(outline[i]), ej = m.east(outline[j]);
        in ^= e < ei + (n - ni) / (nj - ni) * (ej - ei);
      }
    }
    return in;
  }

  private static Envelope extent(Mesh m, int[] loop) {
    Envelope box = new Envelope();
    for (int v : loop) {
      box.expandToInclude(m.east(v), m.north(v));
    }
    return box;
  }
}
