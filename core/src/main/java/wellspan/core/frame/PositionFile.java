package wellspan.core.frame;

import java.util.Locale;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;

/**
 * What lies beside a delivered file that cannot say itself where it is, or says it only by
 * convention: {@code position.json} for programs and {@code position.txt} for people.
 */
public final class PositionFile {
  private PositionFile() {}

  /**
   * @param file name of the file whose position it is
   * @param frame of that file
   */
  public static String json(String file, Frame frame, Box work) {
    return FrameSheetJson.node(FrameSheet.of(file, frame, java.util.List.of(), work))
            .toPrettyString()
        + "\n";
  }

  public static String text(String file, Frame f) {
    Position b = f.basePoint();
    return String.format(
        Locale.ROOT,
        """
        Position of %s

        System                 %s
        Heights                %s
        Zero of the file       E %.4f   N %.4f   H %.4f (metres)
        Turn the file by       %.8f degrees clockwise; its y axis then points to site north
        Horizontal scale       %.9f (file over grid)
        Unit of the file       %s
        """,
        file,
        f.crs(),
        f.verticalDatum().isEmpty() ? "not named" : f.verticalDatum(),
        b.east(),
        b.north(),
        b.level(),
        f.rotationDegrees(),
        f.scale(),
        f.unit().title());
  }
}
