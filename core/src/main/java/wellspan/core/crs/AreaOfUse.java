package wellspan.core.crs;

/**
 * Where a coordinate reference system is meant to be used, in degrees.
 *
 * @param name of the area in words
 * @param west western limit; it may be greater than {@code east} across the 180th meridian
 */
public record AreaOfUse(String name, double west, double south, double east, double north) {
  public static final AreaOfUse WORLD = new AreaOfUse("World", -180, -90, 180, 90);

  public boolean covers(double longitude, double latitude) {
    return covers(longitude, latitude, 0);
  }

  /**
   * @param margin degrees by which the area is widened on each side
   */
  public boolean covers(double longitude, double latitude, double margin) {
    if (!(latitude >= south - margin && latitude <= north + margin)) {
      return false;
    }
    double width = west <= east ? east - west : east - west + 360;
    double fromWest = (longitude - west + margin) % 360;
    return (fromWest < 0 ? fromWest + 360 : fromWest) <= width + 2 * margin;
  }

  /** Size for comparing areas, square degrees. */
  double size() {
    return (west <= east ? east - west : east - west + 360) * (north - south);
  }
}
