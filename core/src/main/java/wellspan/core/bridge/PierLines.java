package wellspan.core.bridge;

import java.util.List;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;

/** Directions of pier lines that run along what passes below. */
public final class PierLines {
  private PierLines() {}

  /**
   * How far the direction of lines next to a place of the alignment is turned from its square,
   * clockwise, radians.
   *
   * @param distance along the alignment, metres
   */
  public static double skew(Alignment a, double distance, List<Polyline> lines) {
    AlignmentPoint at = a.at(distance);
    double nearest = Double.POSITIVE_INFINITY;
    double skew = 0;
    for (Polyline l : lines) {
      for (int i = 0; i + 1 < l.pointCount(); i++) {
        Position p = l.point(i);
        Position q = l.point(i + 1);
        double e = q.east() - p.east();
        double n = q.north() - p.north();
        double length2 = e * e + n * n;
        if (length2 == 0) {
          continue;
        }
        double t =
            Math.clamp(
                ((at.east() - p.east()) * e + (at.north() - p.north()) * n) / length2, 0.0, 1.0);
        double off = Math.hypot(p.east() + t * e - at.east(), p.north() + t * n - at.north());
        if (off < nearest) {
          nearest = off;
          skew = PierLine.skewTo(a, distance, e, n);
        }
      }
    }
    return skew;
  }
}
