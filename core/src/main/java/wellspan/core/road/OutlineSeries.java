package wellspan.core.road;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Reads outlines of one name and side as a series, because one alone does not tell all. Where a
 * course runs out to nothing at the corner where its outline begins, the last point lies on the
 * first without being its repetition; and an edge, in which a course ends, has no way round. The
 * others of the series tell.
 */
final class OutlineSeries {
  private static final double SAME = 1e-9;

  /** Numbers of points of outlines that do not end where they begin. */
  private final Set<Integer> open = new HashSet<>();

  /** Sum of areas, positive where they run counter-clockwise seen along the alignment. */
  private double area;

  private OutlineSeries() {}

  private record Key(String title, String side) {
    static Key of(DesignArea a) {
      return new Key(a.title(), a.side());
    }
  }

  /** The same sections, no outline with its first point repeated, edges turned as the others. */
  static List<CrossSection> alike(List<CrossSection> sections) {
    Map<Key, OutlineSeries> all = new HashMap<>();
    for (CrossSection c : sections) {
      c.areas().stream()
          .filter(a -> a.form() == DesignArea.Form.AREA)
          .forEach(a -> all.computeIfAbsent(Key.of(a), k -> new OutlineSeries()).take(a));
    }
    List<CrossSection> out = new ArrayList<>();
    for (CrossSection c : sections) {
      List<DesignArea> areas =
          c.areas().stream()
              .map(a -> a.form() == DesignArea.Form.AREA ? all.get(Key.of(a)).read(a) : a)
              .toList();
      out.add(new CrossSection(c.distance(), c.skew(), areas));
    }
    return out;
  }

  private void take(DesignArea a) {
    area += area(a.points());
    if (!endsWhereItBegins(a)) {
      open.add(a.points().size());
    }
  }

  private DesignArea read(DesignArea a) {
    List<SectionPoint> points = new ArrayList<>(a.points());
    if (endsWhereItBegins(a) && !open.contains(points.size())) {
      points.removeLast();
    }
    if (area < 0 && points.size() > 2 && Math.abs(area(points)) < SectionRing.NO_AREA) {
      points = turned(points);
    }
    return points.equals(a.points()) ? a : a.with(points);
  }

  /** The other way round from the same point on. */
  static List<SectionPoint> turned(List<SectionPoint> points) {
    List<SectionPoint> out = new ArrayList<>(points.subList(1, points.size()).reversed());
    out.addFirst(points.getFirst());
    return out;
  }

  private static double area(List<SectionPoint> points) {
    double sum = 0;
    for (int i = 1; i + 1 < points.size(); i++) {
      SectionPoint o = points.getFirst();
      SectionPoint p = points.get(i);
      SectionPoint q = points.get(i + 1);
      sum +=
          (p.offset() - o.offset()) * (q.level() - o.level())
              - (q.offset() - o.offset()) * (p.level() - o.level());
    }
    return Double.isFinite(sum) ? sum / 2 : 0; // what is not finite is refused later
  }

  private static boolean endsWhereItBegins(DesignArea a) {
    if (a.points().size() < 4) {
      return false;
    }
    SectionPoint first = a.points().getFirst();
    SectionPoint last = a.points().getLast();
    return Math.abs(first.offset() - last.offset()) < SAME
        && Math.abs(first.level() - last.level()) < SAME;
  }
}
