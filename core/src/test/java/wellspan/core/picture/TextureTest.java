package wellspan.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Box;

class TextureTest {
  private static final double E = 412_000;
  private static final double N = 6_534_000;

  /** A chess board of single pixels, the first one black. */
  private static Pixels chess(int width, int height) {
    int[] argb = new int[width * height];
    for (int i = 0; i < argb.length; i++) {
      int row = i / width;
      argb[i] = (i % width + row) % 2 == 0 ? 0xFF000000 : 0xFFFFFFFF;
    }
    return new Pixels(width, height, argb);
  }

  private static Texture chessAt(double pixel, int width, int height) {
    return new Texture(
        chess(width, height),
        PicturePlace.ofWorld(
            new double[] {pixel, 0, 0, -pixel, E + pixel / 2, N - pixel / 2}, width, height));
  }

  @Property
  void textureCoordinatesAreTheInverseOfThePlace(
      @ForAll @DoubleRange(min = -3, max = 3) double a,
      @ForAll @DoubleRange(min = 0, max = 1) double u,
      @ForAll @DoubleRange(min = 0, max = 1) double v) {
    double[] six = {Math.cos(a), Math.sin(a), 2 * Math.sin(a), -2 * Math.cos(a), E, N};
    Texture t = new Texture(chess(30, 20), PicturePlace.ofWorld(six, 30, 20));
    double e = t.place().east(u, v), n = t.place().north(u, v);
    assertThat(t.across(e, n)).isCloseTo(u, within(1e-7));
    assertThat(t.down(e, n)).isCloseTo(v, within(1e-7));
  }

  @Test
  void theSamePixelSizeGivesTheSamePixels() {
    Texture t = chessAt(0.5, 40, 30);
    Box part = Box.of(new double[] {E + 5, N - 10, 0, E + 10, N - 5, 0});
    Texture crop = t.over(part, 0.5);
    assertThat(crop.pixels().width()).isEqualTo(10);
    assertThat(crop.pixels().height()).isEqualTo(10);
    for (int y = 0; y < 10; y++) {
      for (int x = 0; x < 10; x++) {
        assertThat(crop.pixels().argb()[y * 10 + x])
            .isEqualTo(t.pixels().argb()[(y + 10) * 40 + x + 10]);
      }
    }
  }

  @Test
  void coarserPixelsAreTheMeanAndOutsideIsClear() {
    Texture t = chessAt(0.5, 40, 40);
    Texture coarse = t.over(Box.of(new double[] {E, N - 20, 0, E + 24, N, 0}), 4);
    assertThat(coarse.pixels().width()).isEqualTo(6);
    int inside = coarse.pixels().argb()[2 * 6 + 2];
    assertThat(inside >>> 24).isEqualTo(255);
    assertThat(inside & 0xFF).isBetween(126, 129); // half black, half white
    assertThat(coarse.pixels().argb()[2 * 6 + 5]).isZero(); // beyond 20 m there is no picture
  }

  @Test
  void senselessSizesAreRefused() {
    Texture t = chessAt(1, 4, 4);
    Box b = t.place().bounds();
    assertThatThrownBy(() -> t.over(b, 0)).hasMessageContaining("greater than zero");
    assertThatThrownBy(() -> t.over(b, 1e-6)).hasMessageContaining("Choose larger ones");
    assertThatThrownBy(() -> new Pixels(2, 2, new int[3])).hasMessageContaining("has not 3 pixels");
  }
}
