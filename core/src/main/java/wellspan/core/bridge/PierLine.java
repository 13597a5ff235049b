package wellspan.core.bridge;

import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;

/**
 * The line on which a pier or an abutment stands.
 *
 * @param distance along the alignment at which it crosses the axis, metres
 * @param east and {@code north} of that place
 * @param along east and north of its direction to the right of the axis, of length 1
 * @param stretch how much longer it is than the square to the axis: 1 / cos of the skew
 */
record PierLine(double distance, double east, double north, double[] along, double stretch) {
  /** A line that runs more along the axis than this cannot bear a deck. */
  private static final double MOST = Math.toRadians(75);

  /**
   * @param skew clockwise from the square to the alignment, radians
   * @throws IllegalArgumentException with a sentence, if it runs along the axis
   */
  static PierLine of(Alignment a, double distance, double skew) {
    if (!(Math.abs(skew) <= MOST)) {
      throw new IllegalArgumentException(
          String.format(
              java.util.Locale.ROOT,
              "a pier line at %.1f° from the square to the alignment runs along it; at most 75° can be built.",
              Math.toDegrees(skew)));
    }
    AlignmentPoint p = a.at(distance);
    double direction = p.direction() - Math.PI / 2 - skew;
    return new PierLine(
        distance,
        p.east(),
        p.north(),
        new double[] {Math.cos(direction), Math.sin(direction)},
        1 / Math.cos(skew));
  }

  /** Skew of a direction against the alignment, clockwise from its square, radians. */
  static double skewTo(Alignment a, double distance, double east, double north) {
    double skew = a.at(distance).direction() - Math.PI / 2 - Math.atan2(north, east);
    return Math.atan(Math.tan(skew)); // either way along a line is the same
  }

  double[] at(double across) {
    return new double[] {east + across * along[0], north + across * along[1]};
  }
}
