package wellspan.core.align;

/**
 * A directed point in plan, shared coordinates in metres.
 *
 * @param direction angle from the easting axis counter-clockwise, radians
 */
public record PlanPoint(double east, double north, double direction) {

  /** Angle from grid north clockwise, degrees in [0, 360). */
  public double azimuthDegrees() {
    double a = 90 - Math.toDegrees(direction);
    a = a % 360;
    return a < 0 ? a + 360 : a;
  }
}
