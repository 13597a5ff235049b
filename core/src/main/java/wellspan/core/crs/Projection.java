package wellspan.core.crs;

/** A map projection of our own; angles in radians, coordinates in the system's own unit. */
interface Projection {
  /**
   * @param xy takes easting and northing
   */
  void project(double longitude, double latitude, double[] xy);

  /**
   * @param lonLat takes longitude and latitude
   */
  void inverse(double x, double y, double[] lonLat);
}
