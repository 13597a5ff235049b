package wellspan.core.geom;

/**
 * A plane that is not upright.
 *
 * @param east and {@code north} a place on it, metres
 * @param level there, metres
 * @param riseEast metres up for each metre to the east, and {@code riseNorth} to the north
 */
public record Plane(double east, double north, double level, double riseEast, double riseNorth) {

  /**
   * A plane that falls.
   *
   * @param through a place on it
   * @param fall metres down for each metre, 0 for a level one
   * @param bearing in which it falls, degrees clockwise from grid north
   */
  public static Plane falling(Position through, double fall, double bearing) {
    double b = Math.toRadians(bearing);
    return new Plane(
        through.east(), through.north(), through.level(), -fall * Math.sin(b), -fall * Math.cos(b));
  }

  public double levelAt(double e, double n) {
    return level + riseEast * (e - east) + riseNorth * (n - north);
  }

  /** The same plane written from another zero. */
  public Plane from(double zeroEast, double zeroNorth) {
    return new Plane(east - zeroEast, north - zeroNorth, level, riseEast, riseNorth);
  }
}
