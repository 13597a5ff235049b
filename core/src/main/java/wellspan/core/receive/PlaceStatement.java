package wellspan.core.receive;

import java.util.Optional;
import wellspan.core.frame.Frame;

/**
 * One thing a file says of where it lies on earth.
 *
 * @param level of georeferencing after Clemen and Görne 2019: 10 postal address, 20 latitude and
 *     longitude, 30 site placement, 40 context, 50 map conversion with reference system; files that
 *     only name their system count as 50 too, since nothing more can be said in them
 * @param where in the file it stands, for people
 * @param says what it says, for people
 * @param frame as far as one follows from it
 * @param geographic longitude and latitude in degrees, where that is what it says
 */
public record PlaceStatement(
    int level, String where, String says, Optional<Frame> frame, Optional<LonLat> geographic) {

  /** Degrees, WGS 84. */
  public record LonLat(double longitude, double latitude) {}

  public static PlaceStatement ofFrame(int level, String where, String says, Frame frame) {
    return new PlaceStatement(level, where, says, Optional.of(frame), Optional.empty());
  }

  public static PlaceStatement ofPlace(
      int level, String where, String says, double longitude, double latitude) {
    return new PlaceStatement(
        level, where, says, Optional.empty(), Optional.of(new LonLat(longitude, latitude)));
  }
}
