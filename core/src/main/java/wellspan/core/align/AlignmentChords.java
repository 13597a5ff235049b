package wellspan.core.align;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.geom.Polyline;

/** The straight pieces that stand for an alignment where a format has none. */
public final class AlignmentChords {
  /** Halvings of a metre; what is curved more is no curve. */
  private static final int DEEPEST = 16;

  private AlignmentChords() {}

  /**
   * Points at every metre and at every element end, and between them where a chord would lie
   * farther from the curve. Outside the profile the level is NaN; if there is a profile such points
   * are left out.
   *
   * @param chord largest distance of a chord from the curve, in plan and in level, metres
   */
  public static Polyline of(Alignment a, double chord) {
    List<AlignmentPoint> even = a.everyWithEnds(1);
    List<AlignmentPoint> points = new ArrayList<>(even.size());
    points.add(even.getFirst());
    for (int i = 1; i < even.size(); i++) {
      between(a, even.get(i - 1), even.get(i), chord, DEEPEST, points);
      points.add(even.get(i));
    }
    points.removeIf(p -> a.profile().isPresent() && !Double.isFinite(p.level()));
    double[] xyz = new double[3 * points.size()];
    for (int i = 0; i < points.size(); i++) {
      xyz[3 * i] = points.get(i).east();
      xyz[3 * i + 1] = points.get(i).north();
      xyz[3 * i + 2] = points.get(i).level();
    }
    return new Polyline(xyz);
  }

  private static void between(
      Alignment a,
      AlignmentPoint p,
      AlignmentPoint q,
      double chord,
      int deep,
      List<AlignmentPoint> out) {
    AlignmentPoint m = a.at((p.distance() + q.distance()) / 2);
    if (deep == 0 || off(p, m, q) * MARGIN <= chord) {
      return;
    }
    between(a, p, m, chord, deep - 1, out);
    out.add(m);
    between(a, m, q, chord, deep - 1, out);
  }

  /** The middle is not always the furthest point. */
  private static final double MARGIN = 1.1;

  /** How far a point between two others lies from their chord, in plan or in level, metres. */
  public static double off(AlignmentPoint p, AlignmentPoint m, AlignmentPoint q) {
    double plan = planOff(p, m, q);
    double level = Math.abs(m.level() - (p.level() + q.level()) / 2);
    return Double.isNaN(level) ? plan : Math.max(plan, level);
  }

  /** How far a point between two others lies from their chord in plan, metres. */
  public static double planOff(AlignmentPoint p, AlignmentPoint m, AlignmentPoint q) {
    double dx = q.east() - p.east();
    double dy = q.north() - p.north();
    double length = Math.hypot(dx, dy);
    return length == 0
        ? Math.hypot(m.east() - p.east(), m.north() - p.north())
        : Math.abs((m.east() - p.east()) * dy - (m.north() - p.north()) * dx) / length;
  }
}
