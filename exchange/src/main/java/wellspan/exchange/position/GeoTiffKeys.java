package wellspan.exchange.position;

import java.util.Optional;
import wellspan.core.receive.PlaceStatement;
import wellspan.exchange.tiff.TiffTags;

/** The position that a TIFF image carries in its GeoTIFF keys (OGC 19-008). */
public final class GeoTiffKeys {
  private static final int RASTER_TYPE_KEY = 1025;
  private static final int GEOGRAPHIC_KEY = 2048;
  private static final int PROJECTED_KEY = 3072;
  private static final int PIXEL_IS_POINT = 2;
  private static final int USER_DEFINED = 32767;

  private GeoTiffKeys() {}

  /**
   * Where a raster lies.
   *
   * @param crs authority and code, empty if the keys do not say
   * @param six x and y of a step along a row, a step along a column, and the centre of the first
   *     pixel, as in world files; empty if the keys do not say
   */
  public record RasterPlace(String crs, double[] six) {
    /** What the keys say, as a statement of place. */
    public Optional<PlaceStatement> statement() {
      return six.length == 6
          ? Optional.of(PositionReader.raster("the GeoTIFF header", crs, six))
          : Optional.empty();
    }
  }

  public static RasterPlace place(TiffTags tags) {
    String crs = "";
    boolean point = false;
    double[] keys = tags.numbers(TiffTags.KEYS);
    for (int i = 4; i + 3 < keys.length; i += 4) {
      int key = (int) keys[i];
      int value = (int) keys[i + 3];
      boolean inPlace = keys[i + 1] == 0;
      if (inPlace && (key == PROJECTED_KEY || key == GEOGRAPHIC_KEY && crs.isEmpty())) {
        crs = value == USER_DEFINED ? crs : "EPSG:" + value;
      }
      point |= inPlace && key == RASTER_TYPE_KEY && value == PIXEL_IS_POINT;
    }
    return new RasterPlace(crs, sixNumbers(tags, point));
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
