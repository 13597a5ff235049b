package wellspan.core.crs;

import java.util.Locale;

/**
 * One coordinate reference system, from the catalogue or from a text of its own.
 *
 * @param code EPSG code, digits only; for a system of its own its name
 * @param projected false for geographic systems
 * @param metresPerUnit 0 for geographic systems, whose unit is the degree
 * @param projText PROJ text, with datum shift to WGS 84 where one is known
 * @param axes the authority's axis order in words; this program always takes easting or longitude
 *     first
 * @param base code of the geographic system that it is based on, empty if not known
 */
public record Crs(
    String code,
    boolean projected,
    String name,
    String unit,
    double metresPerUnit,
    String datum,
    AreaOfUse area,
    String projText,
    String axes,
    String base,
    DatumShift shift) {

  /** WGS 84 with longitude first, the hub of transformations. */
  public static final Crs WGS84 =
      new Crs(
          "4326",
          false,
          "WGS 84",
          "degree",
          0,
          "World Geodetic System 1984",
          AreaOfUse.WORLD,
          "+proj=longlat +datum=WGS84",
          "Geodetic latitude Geodetic longitude",
          "4326",
          DatumShift.EXACT);

  /** Authority and code, as it stands in files; a system of its own has its name. */
  public String id() {
    return isOwn() ? code : "EPSG:" + code;
  }

  /** Whether it is defined by a text of the job and not by the EPSG dataset. */
  public boolean isOwn() {
    return code.isEmpty() || !code.chars().allMatch(c -> c >= '0' && c <= '9');
  }

  /** The same with another text. */
  Crs withProjText(String text) {
    return new Crs(
        code, projected, name, unit, metresPerUnit, datum, area, text, axes, base, shift);
  }

  /** The same with a way to WGS 84 that its text now names. */
  Crs withShift(String text, DatumShift way) {
    return new Crs(code, projected, name, unit, metresPerUnit, datum, area, text, axes, base, way);
  }

  public boolean covers(double longitude, double latitude) {
    return area.covers(longitude, latitude);
  }

  /**
   * Whether the way from this system's datum to WGS 84 is known; without it places may be off by
   * hundreds of metres.
   */
  public boolean hasDatumShift() {
    return projText.contains("+towgs84") || projText.contains("+datum=WGS84");
  }

  /** Whether first axis and second axis are swapped against easting, northing. */
  public boolean northingFirst() {
    String a = axes.toLowerCase(Locale.ROOT);
    return a.startsWith("north") || a.startsWith("geodetic latitude") || a.startsWith("latitude");
  }
}
