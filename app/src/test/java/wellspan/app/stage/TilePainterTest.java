package wellspan.app.stage;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.image.BufferedImage;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Mesh;
import wellspan.core.terrain.TriangleIndex;

class TilePainterTest {
  /** A square of 100 m, falling to the east. */
  private static final TriangleIndex SQUARE =
      new TriangleIndex(
          new Mesh(
              new double[] {
                412_000, 6_534_000, 20, 412_100, 6_534_000, 10, 412_100, 6_534_100, 10, 412_000,
                6_534_100, 20
              },
              new int[] {0, 1, 2, 0, 2, 3}));

  private static BufferedImage paint(SurfaceLook look) {
    return TilePainter.paint(SQUARE, look, 411_950, 6_534_150, 200.0 / TilePainter.SIZE);
  }

  @Test
  void shadeFillsTheSurfaceWithoutHolesAndNothingElse() {
    BufferedImage i = paint(new SurfaceLook.Shade(false));
    int filled = 0;
    for (int y = 0; y < TilePainter.SIZE; y++) {
      for (int x = 0; x < TilePainter.SIZE; x++) {
        boolean inside = x >= 64 && x < 192 && y >= 64 && y < 192;
        boolean painted = i.getRGB(x, y) != 0;
        assertThat(painted).as(x + " " + y).isEqualTo(inside);
        filled += painted ? 1 : 0;
      }
    }
    assertThat(filled).isEqualTo(128 * 128);
  }

  @Test
  void contoursRunAlongTheirLevel() {
    BufferedImage i = paint(new SurfaceLook.ContourLines(Color.BLUE, Color.RED, 0));
    int red = 0;
    for (int y = 70; y < 186; y++) {
      int x = 64 + 64; // level 15, the middle
      if (new Color(i.getRGB(x, y), true).getRed() > new Color(i.getRGB(x, y), true).getBlue() + 60
          || new Color(i.getRGB(x - 1, y), true).getRed()
              > new Color(i.getRGB(x - 1, y), true).getBlue() + 60) {
        red++;
      }
    }
    assertThat(red).isGreaterThan(110);
  }

  private static int pixels(BufferedImage i, java.util.function.Predicate<Color> wanted) {
    int n = 0;
    for (int y = 0; y < TilePainter.SIZE; y++) {
      for (int x = 0; x < TilePainter.SIZE; x++) {
        n += wanted.test(new Color(i.getRGB(x, y), true)) ? 1 : 0;
      }
    }
    return n;
  }

  @Test
  void aChosenIntervalIsDrawnUnlessItWouldBeAPatch() {
    java.util.function.Predicate<Color> blue = c -> c.getBlue() > c.getRed() + 60;
    int wide = pixels(paint(new SurfaceLook.ContourLines(Color.BLUE, Color.BLUE, 5)), blue);
    int fine = pixels(paint(new SurfaceLook.ContourLines(Color.BLUE, Color.BLUE, 1)), blue);
    assertThat(wide).isPositive();
    assertThat(fine).isGreaterThan(3 * wide);
    assertThat(pixels(paint(new SurfaceLook.ContourLines(Color.BLUE, Color.BLUE, 1e-3)), blue))
        .isZero();
  }

  @Test
  void runOffPointsDownTheSlope() {
    BufferedImage i = paint(new SurfaceLook.RunOff(Color.RED));
    int red = pixels(i, c -> c.getRed() > 128 && c.getAlpha() > 128);
    assertThat(red).isGreaterThan(100);
    // the ground rises to the east: heads of arrows, where ink is wider, lie west of the middle
    long west = 0, east = 0;
    for (int y = 64; y < 192; y++) {
      for (int k = 0; k < 3; k++) {
        int x = 80 + 32 * k;
        west += new Color(i.getRGB(x - 6, y), true).getAlpha();
        east += new Color(i.getRGB(x + 6, y), true).getAlpha();
      }
    }
    assertThat(west).isGreaterThan(east);
  }

  @Test
  void aCoverIsPaintedInItsColour() {
    BufferedImage i = paint(new SurfaceLook.Tint(0x7E9B5C));
    assertThat(i.getRGB(128, 128)).isEqualTo(0xFF7E9B5C);
  }

  @Test
  void deviationsStandOutByColour() {
    double[] off = {0, 0, 0.002, 0};
    BufferedImage i =
        paint(new SurfaceLook.Deviation(off, 1e-5, Color.GREEN, Color.RED, Color.GREEN));
    assertThat(new Color(i.getRGB(150, 150), true).getRed()).isGreaterThan(200);
    BufferedImage same =
        paint(new SurfaceLook.Deviation(new double[4], 1e-5, Color.GREEN, Color.RED, Color.GREEN));
    assertThat(new Color(same.getRGB(150, 150), true).getRed()).isZero();
    BufferedImage unknown =
        paint(new SurfaceLook.Deviation(new double[0], 1e-5, Color.GREEN, Color.RED, Color.GREEN));
    assertThat(new Color(unknown.getRGB(150, 150), true).getRed()).isGreaterThan(200);
  }
}
