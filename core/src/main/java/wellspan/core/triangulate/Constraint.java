package wellspan.core.triangulate;

import wellspan.core.geom.Polyline;

/**
 * A line that the surface must follow.
 *
 * @param name of where it comes from, for messages
 * @param line shared coordinates; a boundary or hole is taken as closed
 */
public record Constraint(String name, Polyline line, Kind kind) {
  /** What a line means for the surface. */
  public enum Kind {
    BREAKLINE,
    BOUNDARY,
    HOLE;

    public boolean closed() {
      return this != BREAKLINE;
    }
  }

  /** Whether every point of the line has a level. */
  public boolean hasLevels() {
    for (int i = 2; i < line.xyz().length; i += 3) {
      if (!Double.isFinite(line.xyz()[i])) {
        return false;
      }
    }
    return true;
  }
}
