package wellspan.core.measure;

import java.util.List;
import wellspan.core.geom.Position;

/**
 * Figures of a line of places, metres.
 *
 * @param planLength along the places in plan
 * @param spaceLength along them in space; NaN where one has no level
 * @param rise from the first to the last, up positive; NaN where one of the two has no level
 * @param bearing from the first to the last, degrees clockwise from grid north, 0 to 360; NaN where
 *     they are the same
 * @param planArea inside of the places in plan, closed of itself, m²; 0 below three
 * @param spaceArea of the fan of triangles from the first place, m²; NaN where one has no level
 */
public record Measured(
    double planLength,
    double spaceLength,
    double rise,
    double bearing,
    double planArea,
    double spaceArea) {

  /**
   * @param places two or more
   */
  public static Measured of(List<Position> places) {
    Position first = places.getFirst();
    Position last = places.getLast();
    double plan = 0;
    double space = 0;
    double twice = 0;
    double inSpace = 0;
    for (int i = 1; i < places.size(); i++) {
      Position p = places.get(i - 1);
      Position q = places.get(i);
      double d = Math.hypot(q.east() - p.east(), q.north() - p.north());
      plan += d;
      space += Math.hypot(d, q.level() - p.level());
      double[] a = from(first, p);
      double[] b = from(first, q);
      twice += a[0] * b[1] - a[1] * b[0];
      inSpace +=
          Math.hypot(
                  Math.hypot(a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2]),
                  a[0] * b[1] - a[1] * b[0])
              / 2;
    }
    double e = last.east() - first.east();
    double n = last.north() - first.north();
    double bearing = e == 0 && n == 0 ? Double.NaN : (Math.toDegrees(Math.atan2(e, n)) + 360) % 360;
    return new Measured(
        plan, space, last.level() - first.level(), bearing, Math.abs(twice) / 2, inSpace);
  }

  private static double[] from(Position zero, Position p) {
    return new double[] {
      p.east() - zero.east(), p.north() - zero.north(), p.level() - zero.level()
    };
  }

  /** Rise for each metre along the plan, percent; NaN where there is none. */
  public double slope() {
    return planLength == 0 ? Double.NaN : 100 * rise / planLength;
  }
}
