package wellspan.core.align;

import java.util.Optional;

/**
 * The place on an alignment that is nearest to a position, and how far that lies beside it.
 *
 * @param distance from the alignment's start in plan, metres
 * @param chainage its label
 * @param offset at a right angle, positive to the right in the direction of the alignment, metres
 * @param level of the profile there, NaN where there is none
 */
public record Footpoint(double distance, double chainage, double offset, double level) {
  private static final double STEP = 5;
  private static final int ROUNDS = 60;

  /**
   * The nearest foot of a perpendicular, to a tenth of a millimetre; empty where the position lies
   * before the start or beyond the end.
   */
  public static Optional<Footpoint> of(Alignment a, double east, double north) {
    double length = a.length();
    double best = Double.POSITIVE_INFINITY;
    double near = 0;
    for (AlignmentPoint p : a.everyWithEnds(Math.max(STEP, length / 20_000))) {
      double d = Math.hypot(p.east() - east, p.north() - north);
      if (d < best) {
        best = d;
        near = p.distance();
      }
    }
    double low = Math.max(0, near - 2 * STEP);
    double high = Math.min(length, near + 2 * STEP);
    // beside the alignment the way along it to the foot has opposite signs at the two ends
    if (along(a, low, east, north) < -1e-9 || along(a, high, east, north) > 1e-9) {
      return Optional.empty();
    }
    for (int i = 0; i < ROUNDS && high - low > 1e-7; i++) {
      double middle = (low + high) / 2;
      if (along(a, middle, east, north) > 0) {
        low = middle;
      } else {
        high = middle;
      }
    }
    AlignmentPoint p = a.at((low + high) / 2);
    double right =
        (east - p.east()) * Math.sin(p.direction()) - (north - p.north()) * Math.cos(p.direction());
    return Optional.of(new Footpoint(p.distance(), p.chainage(), right, p.level()));
  }

  /**
   * The distance along of the foot that is reached by going ahead and back from a place near it, as
   * exactly as the coordinates can say.
   *
   * @param from where to begin
   * @param least smallest distance that is looked at, metres
   * @param most largest one
   */
  public static double follow(
      Alignment a, double east, double north, double from, double least, double most) {
    // at coordinates of millions of metres a step below their last digit says nothing
    double enough = Math.max(1e-10, 2 * Math.ulp(Math.max(Math.abs(east), Math.abs(north))));
    double d = Math.clamp(from, least, most);
    for (int i = 0; i < ROUNDS; i++) {
      double ahead = along(a, d, east, north);
      d = Math.clamp(d + ahead, least, most);
      if (Math.abs(ahead) <= enough) {
        break;
      }
    }
    return d;
  }

  /** How far ahead of the alignment's point the position lies in its direction. */
  private static double along(Alignment a, double distance, double east, double north) {
    AlignmentPoint p = a.at(distance);
    return (east - p.east()) * Math.cos(p.direction())
        + (north - p.north()) * Math.sin(p.direction());
  }
}
