package wellspan.app.stage;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Mesh;
import wellspan.core.terrain.TriangleIndex;

/** The pixels of a tile over a square that rises to the east. */
class SurfaceLooksTest {
  private static final double SIZE = TilePainter.SIZE;

  private static TriangleIndex square(double grade, double lift) {
    double[] xyz = {
      0, 0, lift, SIZE, 0, lift + SIZE * grade, SIZE, SIZE, lift + SIZE * grade, 0, SIZE, lift
    };
    return new TriangleIndex(new Mesh(xyz, new int[] {0, 1, 2, 0, 2, 3}));
  }

  private static BufferedImage paint(TriangleIndex index, SurfaceLook look) {
    return TilePainter.paint(index, look, 0, SIZE, 1);
  }

  private static int rgb(BufferedImage image, int x, int y) {
    return image.getRGB(x, y) & 0xFFFFFF;
  }

  @Test
  void slopeIsOneColourOverAPlane() {
    BufferedImage image = paint(square(0.15, 0), new SurfaceLook.Slope());
    assertThat(rgb(image, 20, 20)).isEqualTo(SurfaceColours.slopeClass(3));
    assertThat(rgb(image, 200, 230)).isEqualTo(SurfaceColours.slopeClass(3));
  }

  @Test
  void aspectOfARiseToTheEastIsWest() {
    BufferedImage image = paint(square(0.2, 0), new SurfaceLook.Aspect());
    assertThat(rgb(image, 128, 100)).isEqualTo(SurfaceColours.aspect(1.5 * Math.PI));
  }

  @Test
  void levelsColourEachTriangleByItsMiddle() {
    BufferedImage image = paint(square(0.1, 0), new SurfaceLook.Levels(0, 25.6));
    int lower = SurfaceColours.level(25.6 / 3, 0, 25.6);
    int upper = SurfaceColours.level(51.2 / 3, 0, 25.6);
    assertThat(rgb(image, 20, 30)).isEqualTo(lower); // north-west of the diagonal
    assertThat(rgb(image, 230, 220)).isEqualTo(upper);
  }

  @Test
  void differencesAreTakenPixelByPixel() {
    // the other one starts 1.28 m lower and rises 1 % more: they meet in the middle
    BufferedImage image = paint(square(0, 0), new SurfaceLook.Difference(square(0.01, -1.28)));
    assertThat(rgb(image, 2, 128)).isEqualTo(DifferenceColours.rgb(-1.26));
    assertThat(rgb(image, 127, 128)).isEqualTo(DifferenceColours.rgb(0));
    assertThat(rgb(image, 250, 128)).isEqualTo(DifferenceColours.rgb(1.2));
  }

  @Test
  void whereTheOtherSurfaceIsNotTheFirstStaysGrey() {
    TriangleIndex small =
        new TriangleIndex(
            new Mesh(new double[] {0, 0, 0, 40, 0, 0, 0, 40, 0}, new int[] {0, 1, 2}));
    BufferedImage image = paint(square(0, 0), new SurfaceLook.Difference(small));
    assertThat(rgb(image, 10, 250)).isEqualTo(DifferenceColours.rgb(0));
    int grey = image.getRGB(200, 50);
    assertThat(grey >>> 24).isEqualTo(0x60);
  }

  @Test
  void besideTheSurfaceNothingIsPainted() {
    BufferedImage image = TilePainter.paint(square(0.1, 0), new SurfaceLook.Slope(), 1000, 1000, 1);
    assertThat(image.getRGB(10, 10)).isZero();
  }
}
