package wellspan.core.place;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.geom.Position;

/**
 * The control points of a job: what is known.
 *
 * @param tolerance difference up to which a point tallies, metres, in plan and in height
 * @param takenFrom name of the source that the points came from, which is not tallied against
 *     itself; empty if they were typed or picked
 */
public record Control(List<Point> points, double tolerance, String takenFrom) {
  public static final double USUAL_TOLERANCE = 0.015;
  public static final Control NONE = new Control(List.of(), USUAL_TOLERANCE, "");

  /** A point with known shared coordinates; its height may be NaN. */
  public record Point(String name, Position known) {}

  /**
   * @throws IllegalArgumentException if the tolerance is not above 0
   */
  public Control {
    points = List.copyOf(points);
    if (!(tolerance > 0)) {
      throw new IllegalArgumentException("A tolerance must be above 0.");
    }
  }

  /** Adds a point or replaces the one of its name. */
  public Control with(Point p) {
    List<Point> all = new ArrayList<>(points);
    all.removeIf(q -> q.name().equals(p.name()));
    all.add(p);
    return new Control(all, tolerance, takenFrom);
  }

  public Control without(String name) {
    return new Control(
        points.stream().filter(p -> !p.name().equals(name)).toList(), tolerance, takenFrom);
  }

  public Control withTolerance(double metres) {
    return new Control(points, metres, takenFrom);
  }
}
