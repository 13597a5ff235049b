package wellspan.core.geom;

/**
 * A position in shared coordinates, metres.
 *
 * @param level level, NaN where only the plan position is known
 */
public record Position(double east, double north, double level) {

  public double planDistanceTo(Position other) {
    return Math.hypot(east - other.east, north - other.north);
  }

  public double distanceTo(Position other) {
    return Math.hypot(planDistanceTo(other), level - other.level);
  }
}
