package wellspan.core.align;

import java.util.ArrayList;
import java.util.List;

/**
 * The parts of an alignment between its jumps. At a jump the alignment is in two places at the same
 * distance, and going along it from one side to the other leads nowhere: the foot of a point is
 * looked for on each part by itself. All lengths are in the unit of the alignment.
 */
public final class UnbrokenStretches {
  private record Stretch(double from, double to) {}

  private final Alignment alignment;
  private final List<Stretch> stretches = new ArrayList<>();

  /**
   * @param jump elements that end within this of the next one's start hang together
   * @param aside so far from a jump a place is on one side of it
   */
  public UnbrokenStretches(Alignment alignment, double jump, double aside) {
    this.alignment = alignment;
    double from = 0;
    List<PlanElement> e = alignment.elements();
    double[] ends = Lengths.of(e).ends();
    for (int i = 0; i < e.size() - 1; i++) {
      PlanPoint here = e.get(i).end();
      PlanPoint next = e.get(i + 1).start();
      if (Math.hypot(here.east() - next.east(), here.north() - next.north()) > jump) {
        stretches.add(new Stretch(from, ends[i] - aside));
        from = ends[i] + aside;
      }
    }
    stretches.add(new Stretch(from, alignment.length()));
  }

  /**
   * The distance along of the foot that is nearest to a point, on any part near a place.
   *
   * @param near the place to begin at
   * @param reach parts farther than this from it are not looked at
   * @param least smallest distance that is looked at; it is the answer where there is no part
   * @param most largest one
   */
  public double foot(
      double east, double north, double near, double reach, double least, double most) {
    double best = Double.POSITIVE_INFINITY;
    double foot = least;
    for (Stretch s : stretches) {
      double from = Math.max(s.from, least);
      double to = Math.min(s.to, most);
      if (from <= to && near + reach >= from && near - reach <= to) {
        double d = Footpoint.follow(alignment, east, north, near, from, to);
        AlignmentPoint p = alignment.at(d);
        double off = Math.hypot(p.east() - east, p.north() - north);
        if (off < best) {
          best = off;
          foot = d;
        }
      }
    }
    return foot;
  }
}
