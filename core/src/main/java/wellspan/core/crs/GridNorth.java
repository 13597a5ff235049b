package wellspan.core.crs;

import wellspan.core.geom.Position;

/**
 * What a projection does to directions and lengths at a place, found by differences of the
 * projection itself.
 */
public record GridNorth(
    double convergenceDegrees, double scaleFactor, double longitude, double latitude) {
  private static final double STEP = 1e-5;

  /**
   * Meridian convergence: the angle from true north clockwise to grid north, degrees; and the point
   * scale factor along the meridian (GRS 80 radius of curvature in the meridian).
   *
   * @param shared a place in metres in a projected system
   */
  public static GridNorth at(Crs crs, Position shared) throws Transformation.OutsideAreaException {
    Crs geographic =
        new Crs(
            "4326",
            false,
            "WGS 84",
            "degree",
            0,
            "",
            "",
            -180,
            -90,
            180,
            90,
            "+proj=longlat +datum=WGS84");
    double unit = crs.metresPerUnit();
    double[] lonLat =
        new Transformation(crs, geographic).apply(shared.east() / unit, shared.north() / unit);
    Transformation back = new Transformation(geographic, crs);
    double[] low = back.apply(lonLat[0], lonLat[1] - STEP);
    double[] high = back.apply(lonLat[0], lonLat[1] + STEP);
    double de = high[0] - low[0];
    double dn = high[1] - low[1];
    double a = 6378137.0;
    double e2 = 0.006694380022903416;
    double s = Math.sin(Math.toRadians(lonLat[1]));
    double meridianRadius = a * (1 - e2) / Math.pow(1 - e2 * s * s, 1.5);
    double onEllipsoid = meridianRadius * Math.toRadians(2 * STEP);
    return new GridNorth(
        -Math.toDegrees(Math.atan2(de, dn)),
        Math.hypot(de, dn) * unit / onEllipsoid,
        lonLat[0],
        lonLat[1]);
  }
}
