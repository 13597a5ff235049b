package wellspan.core.frame;

import wellspan.core.geom.Position;

/**
 * Where a job lies. Shared coordinates are those of the CRS in metres (E, N, H); local coordinates
 * (x, y, z) have their zero at the base point and their y axis along site north.
 *
 * @param crs authority and code such as {@code EPSG:25832}, empty while not known
 * @param verticalDatum name of the height system as a label, may be empty
 * @param basePoint the shared position that becomes the local zero
 * @param rotationDegrees angle from grid north clockwise to site north
 * @param lock why the frame is locked, empty while it is open
 */
public record Frame(
    String crs, String verticalDatum, Position basePoint, double rotationDegrees, String lock) {

  public static final Frame UNPLACED = new Frame("", "", new Position(0, 0, 0), 0, "");

  /**
   * @throws IllegalArgumentException if the base point or rotation is not a finite number
   */
  public Frame {
    if (!Double.isFinite(basePoint.east() + basePoint.north() + basePoint.height())
        || !Double.isFinite(rotationDegrees)) {
      throw new IllegalArgumentException("Base point and rotation must be finite numbers.");
    }
  }

  public boolean isLocked() {
    return !lock.isEmpty();
  }

  /** Shared to local coordinates: a shift to the base point and a turn by the rotation. */
  public Position toLocal(Position shared) {
    double r = Math.toRadians(rotationDegrees);
    double dx = shared.east() - basePoint.east();
    double dy = shared.north() - basePoint.north();
    return new Position(
        dx * Math.cos(r) - dy * Math.sin(r),
        dx * Math.sin(r) + dy * Math.cos(r),
        shared.height() - basePoint.height());
  }

  /** Local to shared coordinates, the inverse of {@link #toLocal}. */
  public Position toShared(Position local) {
    double r = Math.toRadians(rotationDegrees);
    double x = local.east();
    double y = local.north();
    return new Position(
        basePoint.east() + x * Math.cos(r) + y * Math.sin(r),
        basePoint.north() - x * Math.sin(r) + y * Math.cos(r),
        basePoint.height() + local.height());
  }

  public Frame withCrs(String code) {
    return new Frame(code, verticalDatum, basePoint, rotationDegrees, lock);
  }

  public Frame withVerticalDatum(String label) {
    return new Frame(crs, label, basePoint, rotationDegrees, lock);
  }

  public Frame withBasePoint(Position point) {
    return new Frame(crs, verticalDatum, point, rotationDegrees, lock);
  }

  public Frame withRotation(double degrees) {
    return new Frame(crs, verticalDatum, basePoint, degrees, lock);
  }

  public Frame withLock(String reason) {
    return new Frame(crs, verticalDatum, basePoint, rotationDegrees, reason);
  }
}
