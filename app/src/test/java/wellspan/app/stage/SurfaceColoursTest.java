package wellspan.app.stage;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import wellspan.core.geom.Mesh;
import wellspan.core.overlay.LevelDifference;

class SurfaceColoursTest {
  /** One triangle that rises by a grade to the east and another to the north. */
  private static Mesh plane(double east, double north) {
    return new Mesh(
        new double[] {0, 0, 0, 10, 0, 10 * east, 0, 10, 10 * north}, new int[] {0, 1, 2});
  }

  @Test
  void slopeIsToldInItsClass() {
    assertThat(SurfaceColours.slopeIndex(0)).isZero();
    assertThat(SurfaceColours.slopeIndex(2)).isEqualTo(1);
    assertThat(SurfaceColours.slopeIndex(99.9)).isEqualTo(6);
    assertThat(SurfaceColours.slopeIndex(500)).isEqualTo(7);
    // 3-4-5: 6 % and 8 % make 10 %, the beginning of the next class
    assertThat(SurfaceColours.slope(plane(0.06, 0.0801), 0))
        .isEqualTo(SurfaceColours.slopeClass(3));
    assertThat(SurfaceColours.slope(plane(0.06, 0.0799), 0))
        .isEqualTo(SurfaceColours.slopeClass(2));
  }

  @Test
  void aspectIsWhereWaterRuns() {
    int north = SurfaceColours.aspect(0), east = SurfaceColours.aspect(Math.PI / 2);
    assertThat(SurfaceColours.aspect(plane(0, -0.2), 0)).isEqualTo(north);
    assertThat(SurfaceColours.aspect(plane(-0.2, 0), 0)).isEqualTo(east);
    assertThat(SurfaceColours.aspect(plane(0, 0.2), 0)).isEqualTo(SurfaceColours.aspect(Math.PI));
    assertThat(SurfaceColours.aspect(plane(0.2, 0), 0))
        .isEqualTo(SurfaceColours.aspect(-Math.PI / 2));
    assertThat(SurfaceColours.aspect(plane(0.001, 0), 0)).isNotIn(north, east);
  }

  @Test
  void levelsRunFromLowestToHighest() {
    int low = SurfaceColours.level(-6, -6, 56), high = SurfaceColours.level(56, -6, 56);
    assertThat(low).isNotEqualTo(high);
    assertThat(SurfaceColours.level(-100, -6, 56)).isEqualTo(low);
    assertThat(SurfaceColours.level(100, -6, 56)).isEqualTo(high);
    assertThat(SurfaceColours.level(3, 3, 3)).isEqualTo(SurfaceColours.level(9, 9, 9));
  }

  @Test
  void differencesHaveTheColourOfTheirBand() {
    int bands = LevelDifference.EDGES.size() + 1;
    for (int i = 0; i < bands; i++) {
      double inside =
          i == 0
              ? LevelDifference.EDGES.getFirst() - 1
              : i == bands - 1
                  ? LevelDifference.EDGES.getLast() + 1
                  : (LevelDifference.EDGES.get(i - 1) + LevelDifference.EDGES.get(i)) / 2;
      javafx.scene.paint.Color c = DifferenceColours.band(i);
      int rgb =
          (int) Math.round(255 * c.getRed()) << 16
              | (int) Math.round(255 * c.getGreen()) << 8
              | (int) Math.round(255 * c.getBlue());
      assertThat(DifferenceColours.rgb(inside)).isEqualTo(rgb);
    }
  }
}
