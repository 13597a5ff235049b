package wellspan.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class TextureFitTest {
  private static final double[] XYZ = {
    412_000,
    6_534_000,
    3,
    412_400,
    6_534_010,
    4,
    412_390,
    6_534_300,
    5,
    412_050,
    6_534_280,
    6,
    412_200,
    6_534_100,
    Double.NaN
  };

  private static TextureFit fit(PicturePlace place, double[] xyz) {
    Texture t = new Texture(new Pixels(1, 1, new int[1]), place);
    int n = xyz.length / 3;
    double[] across = new double[n], down = new double[n];
    for (int i = 0; i < n; i++) {
      across[i] = t.across(xyz[3 * i], xyz[3 * i + 1]);
      down[i] = t.down(xyz[3 * i], xyz[3 * i + 1]);
    }
    return TextureFit.of(xyz, across, down).orElseThrow();
  }

  @Property(tries = 200)
  void theCoordinatesOfAPictureGiveItsPlaceBack(
      @ForAll @DoubleRange(min = -3.1, max = 3.1) double turn,
      @ForAll @DoubleRange(min = 0.3, max = 2.8) double angle,
      @ForAll @DoubleRange(min = 20, max = 5000) double width,
      @ForAll @DoubleRange(min = 20, max = 5000) double height) {
    double e = 411_900, n = 6_534_350;
    PicturePlace place =
        new PicturePlace(
            new double[] {
              e,
              n,
              Double.NaN,
              e + width * Math.cos(turn),
              n + width * Math.sin(turn),
              Double.NaN,
              e + height * Math.cos(turn - angle),
              n + height * Math.sin(turn - angle),
              Double.NaN
            });
    TextureFit f = fit(place, XYZ);
    assertThat(f.worst()).isLessThan(1e-6);
    for (int i : new int[] {0, 1, 3, 4, 6, 7}) {
      assertThat(f.place().corners()[i]).isCloseTo(place.corners()[i], within(1e-5));
    }
  }

  @Test
  void whatIsNotLaidOnFromAboveIsToldByItsDistance() {
    // the third corner is pulled 10 % of the width aside: the fit can only share that out
    double[] square = {0, 0, 0, 100, 0, 0, 100, 100, 0, 0, 100, 0};
    TextureFit f =
        TextureFit.of(square, new double[] {0, 1, 1.1, 0}, new double[] {1, 1, 0, 0}).orElseThrow();
    assertThat(f.worst()).isBetween(2.0, 3.0);
  }

  @Test
  void verticesWithoutCoordinatesDoNotCount() {
    double[] xyz = {0, 0, 0, 100, 0, 0, 0, 50, 0, 77, 7, 7};
    TextureFit f =
        TextureFit.of(xyz, new double[] {0, 1, 0, Double.NaN}, new double[] {1, 1, 0, Double.NaN})
            .orElseThrow();
    assertThat(f.worst()).isLessThan(1e-9);
    assertThat(f.place().width()).isCloseTo(100, within(1e-9));
    assertThat(f.place().north(0, 0)).isCloseTo(50, within(1e-9));
  }

  @Test
  void aLineGivesNoPlace() {
    double[] line = {0, 0, 0, 1, 1, 0, 2, 2, 0};
    double[] free = {0, 0, 0, 1, 0, 0, 0, 1, 0};
    double[] ramp = {0, 0.5, 1};
    assertThat(TextureFit.of(line, new double[] {0, 1, 0}, new double[] {0, 0, 1})).isEmpty();
    assertThat(TextureFit.of(free, ramp, ramp)).isEmpty();
    assertThat(TextureFit.of(new double[0], new double[0], new double[0])).isEmpty();
  }
}
