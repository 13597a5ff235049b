package wellspan.core.crs;

/**
 * How well the way from a system's datum to WGS 84 is known here.
 *
 * @param accuracy of the seven parameters used, metres, as the EPSG dataset states it; NaN where it
 *     states none
 * @param grid name of a grid file that would do better, empty if there is none; such files are not
 *     shipped
 * @param gridAccuracy accuracy with that file, metres, NaN if there is none
 */
public record DatumShift(double accuracy, String grid, double gridAccuracy) {
  public static final DatumShift UNKNOWN = new DatumShift(Double.NaN, "", Double.NaN);
  public static final DatumShift EXACT = new DatumShift(0, "", Double.NaN);
}
