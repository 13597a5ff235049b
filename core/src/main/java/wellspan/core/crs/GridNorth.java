package wellspan.core.crs;

import org.locationtech.proj4j.BasicCoordinateTransform;
import org.locationtech.proj4j.CoordinateReferenceSystem;
import org.locationtech.proj4j.Proj4jException;
import org.locationtech.proj4j.ProjCoordinate;
import wellspan.core.geom.Position;

/**
 * What a projection does to directions and lengths at a place, found by differences of the
 * projection itself on the ellipsoid of its own datum.
 *
 * @param convergenceDegrees meridian convergence: the angle from true north clockwise to grid north
 * @param scaleFactor point scale factor: a length on the grid over the same on the ellipsoid, along
 *     the meridian
 * @param longitude of the place on the system's own datum, degrees
 * @param latitude of the place on the system's own datum, degrees
 */
public record GridNorth(
    double convergenceDegrees, double scaleFactor, double longitude, double latitude) {
  /** Mean radius of the earth, metres. */
  public static final double EARTH_RADIUS = 6_371_000;

  private static final double STEP = 1e-4;

  /**
   * @param shared a place in metres in a projected system
   * @throws Transformation.OutsideAreaException if the place is far outside the area of use
   * @throws IllegalArgumentException if the projection is not known to the library
   */
  public static GridNorth at(Crs crs, Position shared) throws Transformation.OutsideAreaException {
    double unit = crs.metresPerUnit();
    // checks the area of use, which differences alone would not
    double[] xy = {shared.east() / unit, shared.north() / unit};
    new Transformation(crs, crs).apply(xy, 0);
    CoordinateReferenceSystem grid = Leg.system(crs, true);
    CoordinateReferenceSystem own = grid.createGeographic();
    ProjCoordinate place = new ProjCoordinate();
    ProjCoordinate low = new ProjCoordinate();
    ProjCoordinate high = new ProjCoordinate();
    try {
      new BasicCoordinateTransform(grid, own)
          .transform(new ProjCoordinate(shared.east() / unit, shared.north() / unit), place);
      BasicCoordinateTransform forward = new BasicCoordinateTransform(own, grid);
      forward.transform(new ProjCoordinate(place.x, place.y - STEP), low);
      forward.transform(new ProjCoordinate(place.x, place.y + STEP), high);
    } catch (Proj4jException | IllegalStateException e) {
      throw new Transformation.OutsideAreaException(
          "The projection of " + crs.id() + " has no direction of north at this place.");
    }
    double de = high.x - low.x;
    double dn = high.y - low.y;
    double a = grid.getDatum().getEllipsoid().getEquatorRadius();
    double e2 = grid.getDatum().getEllipsoid().getEccentricitySquared();
    double s = Math.sin(Math.toRadians(place.y));
    double meridianRadius = a * (1 - e2) / Math.pow(1 - e2 * s * s, 1.5);
    return new GridNorth(
        -Math.toDegrees(Math.atan2(de, dn)),
        Math.hypot(de, dn) * unit / (meridianRadius * Math.toRadians(2 * STEP)),
        place.x,
        place.y);
  }

  /**
   * Combined factor k·R/(R + h): a length on the grid over the same on the ground.
   *
   * @param ellipsoidalHeight metres
   */
  public double combinedFactor(double ellipsoidalHeight) {
    return scaleFactor * EARTH_RADIUS / (EARTH_RADIUS + ellipsoidalHeight);
  }
}
