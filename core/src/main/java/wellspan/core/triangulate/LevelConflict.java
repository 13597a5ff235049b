package wellspan.core.triangulate;

import wellspan.core.geom.Position;

/**
 * A place where two levels meet.
 *
 * @param place with the level that was taken
 * @param lowest and {@code highest} of the levels there, metres
 */
public record LevelConflict(Kind kind, Position place, double lowest, double highest) {
  /** How the levels came together. */
  public enum Kind {
    /** Points at one place. */
    DUPLICATE,
    /** Lines that cross. */
    CROSSING,
    /** A point on a line; its own level holds. */
    ON_LINE
  }

  public double difference() {
    return highest - lowest;
  }
}
