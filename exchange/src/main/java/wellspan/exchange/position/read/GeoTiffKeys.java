package wellspan.exchange.position.read;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import wellspan.core.crs.Crs;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.receive.PlaceStatement;
import wellspan.exchange.tiff.TiffTags;

/** The position that a TIFF image carries in its GeoTIFF keys (OGC 19-008). */
public final class GeoTiffKeys {
  private static final int RASTER_TYPE_KEY = 1025;
  private static final int GEOGRAPHIC_KEY = 2048;
  private static final int PROJECTED_KEY = 3072;
  private static final int PIXEL_IS_POINT = 2;
  private static final int USER_DEFINED = 32767;
  private static final int MODEL_KEY = 1024;
  private static final int LINEAR_UNIT_KEY = 3076;
  private static final int PROJECTED = 1;
  private static final int GEOGRAPHIC = 2;

  /** Metres of the units of length by their EPSG codes. */
  private static final Map<Integer, Double> UNITS =
      Map.of(9001, 1.0, 9002, 0.3048, 9003, 1200 / 3937.0);

  private static final String OWN =
      "The raster is in a system of its own without a code, which is not read; its numbers are taken as they stand. Name the system at the stop Place, or with --crs.";

  private GeoTiffKeys() {}

  /**
   * Where a raster lies.
   *
   * @param crs authority and code, empty if the keys do not say
   * @param six x and y of a step along a row, a step along a column, and the centre of the first
   *     pixel, as in world files; empty if the keys do not say
   * @param doubt why the keys do not give a system although they speak of one; empty if nothing is
   *     in doubt
   */
  public record RasterPlace(String crs, double[] six, String doubt) {
    /** What the keys say, as a statement of place. */
    public Optional<PlaceStatement> statement() {
      return six.length == 6
          ? Optional.of(PositionReader.raster("the GeoTIFF header", crs, six))
          : Optional.empty();
    }

    /** The doubt as a finding. */
    public Optional<Finding> finding(String item) {
      return doubt.isEmpty()
          ? Optional.empty()
          : Optional.of(Finding.error(Stop.RECEIVE, "grid.system", item, doubt));
    }
  }

  public static RasterPlace place(TiffTags tags) {
    Map<Integer, Integer> values = new HashMap<>();
    double[] keys = tags.numbers(TiffTags.KEYS);
    for (int i = 4; i + 3 < keys.length; i += 4) {
      if (keys[i + 1] == 0) { // the value itself, no place in another tag
        values.put((int) keys[i], (int) keys[i + 3]);
      }
    }
    double[] six = sixNumbers(tags, values.getOrDefault(RASTER_TYPE_KEY, 0) == PIXEL_IS_POINT);
    int projected = values.getOrDefault(PROJECTED_KEY, 0);
    int geographic = values.getOrDefault(GEOGRAPHIC_KEY, 0);
    int model = values.getOrDefault(MODEL_KEY, projected != 0 ? PROJECTED : GEOGRAPHIC);
    return switch (model) {
      case PROJECTED -> projected(projected, values.getOrDefault(LINEAR_UNIT_KEY, 0), six);
      case GEOGRAPHIC ->
          geographic == USER_DEFINED
              ? new RasterPlace("", six, OWN)
              : new RasterPlace(geographic == 0 ? "" : "EPSG:" + geographic, six, "");
      default ->
          new RasterPlace("", six, "The raster is in geocentric coordinates, which are not read.");
    };
  }

  /** A projection that is not named has a base of its own, which is not the raster's system. */
  private static RasterPlace projected(int code, int unit, double[] six) {
    if (code == 0 || code == USER_DEFINED) {
      return new RasterPlace("", six, OWN);
    }
    Optional<Crs> known = CrsCatalogue.shipped().find("EPSG:" + code);
    Double metres = UNITS.get(unit);
    boolean other =
        known.isPresent()
            && metres != null
            && Math.abs(metres / known.get().metresPerUnit() - 1) > 1e-9;
    return other || unit == USER_DEFINED
        ? new RasterPlace(
            "",
            six,
            "The raster names EPSG:"
                + code
                + ", which counts in "
                + known.map(Crs::unit).orElse("another unit")
                + ", and another unit of length; its system is taken as not declared. Name it at the stop Place, or with --crs.")
        : new RasterPlace("EPSG:" + code, six, "");
  }

  /** In the order of world files; the tie point is a pixel's corner unless pixels are points. */
  private static double[] sixNumbers(TiffTags tags, boolean point) {
    double[] m = tags.numbers(TiffTags.MATRIX);
    double[] scale = tags.numbers(TiffTags.PIXEL_SCALE);
    double[] tie = tags.numbers(TiffTags.TIE_POINTS);
    double[] v;
    if (m.length >= 16) {
      v = new double[] {m[0], m[4], m[1], m[5], m[3], m[7]};
    } else if (scale.length >= 2 && tie.length >= 6) {
      v =
          new double[] {
            scale[0], 0, 0, -scale[1], tie[3] - tie[0] * scale[0], tie[4] + tie[1] * scale[1]
          };
    } else {
      return new double[0];
    }
    if (!point) {
      v[4] += (v[0] + v[2]) / 2;
      v[5] += (v[1] + v[3]) / 2;
    }
    return v;
  }
}
