package wellspan.demo;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import javax.imageio.ImageIO;

/**
 * The country around the work as others sell it: a grid of levels every 5 m with a block of cells
 * without a level, and a painted picture of the same ground that reaches farther than the grid.
 */
final class Hinterland {
  private static final double WEST = 411_300;
  private static final double SOUTH = 6_533_800;
  private static final int CELLS = 401;
  private static final double CELL = 5;
  private static final double BEYOND = 150;
  private static final double PIXEL = 4;
  private static final int NO_DATA = -9999;

  private Hinterland() {}

  static void write(Ground ground, Path folder) throws IOException {
    Files.writeString(folder.resolve("hinterland.asc"), grid(ground));
    Path picture = folder.resolve("hinterland.png");
    if (!ImageIO.write(picture(ground), "png", picture.toFile())) {
      throw new IOException(picture + " cannot be written: there is no writer of PNG files.");
    }
    Files.writeString(
        folder.resolve("hinterland.pgw"),
        String.format(
            Locale.ROOT,
            "%.1f\n0.0\n0.0\n%.1f\n%.1f\n%.1f\n",
            PIXEL,
            -PIXEL,
            WEST - BEYOND + PIXEL / 2,
            SOUTH + CELLS * CELL + BEYOND - PIXEL / 2));
  }

  private static String grid(Ground ground) {
    StringBuilder s = new StringBuilder(CELLS * CELLS * 7);
    s.append("ncols ").append(CELLS).append("\nnrows ").append(CELLS);
    s.append("\nxllcorner ").append(WEST).append("\nyllcorner ").append(SOUTH);
    s.append("\ncellsize ").append(CELL).append("\nNODATA_value ").append(NO_DATA).append('\n');
    for (int row = CELLS - 1; row >= 0; row--) {
      for (int column = 0; column < CELLS; column++) {
        boolean none = column >= 50 && column < 59 && row >= 320 && row < 327;
        double level = ground.level(WEST + (column + 0.5) * CELL, SOUTH + (row + 0.5) * CELL);
        s.append(column == 0 ? "" : " ");
        s.append(none ? Integer.toString(NO_DATA) : String.format(Locale.ROOT, "%.1f", level));
      }
      s.append('\n');
    }
    return s.toString();
  }

  private static BufferedImage picture(Ground ground) {
    int n = (int) Math.round((CELLS * CELL + 2 * BEYOND) / PIXEL);
    BufferedImage image = new BufferedImage(n, n, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < n; y++) {
      for (int x = 0; x < n; x++) {
        double e = WEST - BEYOND + (x + 0.5) * PIXEL;
        double north = SOUTH + CELLS * CELL + BEYOND - (y + 0.5) * PIXEL;
        image.setRGB(x, y, colour(ground, e, north));
      }
    }
    return image;
  }

  /** Water, shore, meadow, heath and rock by level and slope, lit from the north-west. */
  private static int colour(Ground ground, double e, double n) {
    double level = ground.level(e, n);
    double east = (ground.level(e + 4, n) - ground.level(e - 4, n)) / 8;
    double north = (ground.level(e, n + 4) - ground.level(e, n - 4)) / 8;
    double slope = Math.hypot(east, north);
    int base =
        level <= 0
            ? 0x5F8FA6
            : level < 1.5 ? 0xCDBE94 : slope > 0.3 ? 0x8B857B : level > 38 ? 0x93875F : 0x7F9A5B;
    double light =
        level <= 0 ? 1 : Math.clamp(0.95 + 0.9 * (east - north) / Math.sqrt(2), 0.6, 1.25);
    int out = 0;
    for (int shift = 16; shift >= 0; shift -= 8) {
      out |= (int) Math.min(255, light * (base >> shift & 0xFF)) << shift;
    }
    return out;
  }
}
