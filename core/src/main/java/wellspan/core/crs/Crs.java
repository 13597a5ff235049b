package wellspan.core.crs;

/**
 * One coordinate reference system of the catalogue.
 *
 * @param code EPSG code, digits only
 * @param metresPerUnit 0 for geographic systems, whose unit is the degree
 * @param west western limit of the area of use in degrees; it may be greater than {@code east}
 *     across the 180th meridian
 * @param projText PROJ text, with datum shift to WGS 84 where one is known
 */
public record Crs(
    String code,
    boolean projected,
    String name,
    String unit,
    double metresPerUnit,
    String datum,
    String area,
    double west,
    double south,
    double east,
    double north,
    String projText) {

  /** Authority and code, as it stands in files. */
  public String id() {
    return "EPSG:" + code;
  }

  public boolean covers(double longitude, double latitude) {
    boolean inLongitude =
        west <= east
            ? longitude >= west && longitude <= east
            : longitude >= west || longitude <= east;
    return inLongitude && latitude >= south && latitude <= north;
  }

  /**
   * Whether the way from this system's datum to WGS 84 is known; without it places may be off by
   * hundreds of metres.
   */
  public boolean hasDatumShift() {
    return projText.contains("+towgs84") || projText.contains("+datum=WGS84");
  }
}
