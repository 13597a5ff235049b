package wellspan.core.geom;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PolylineTest {
  private static final Polyline ANGLE = new Polyline(new double[] {0, 0, 1, 3, 0, 9, 3, 4, 9});

  @Test
  void lengthIsThatInPlan() {
    assertThat(ANGLE.planLength()).isCloseTo(7, within(1e-12));
    assertThat(ANGLE.pointCount()).isEqualTo(3);
    assertThat(ANGLE.point(1)).isEqualTo(new Position(3, 0, 9));
  }

  @ParameterizedTest
  @CsvSource({"1, 2, 2", "3, 0, 0", "5, 2, 2", "6, 8, 5", "-3, -4, 5", "2, 1, 1"})
  void distanceIsToTheNearestPlaceOfIt(double e, double n, double distance) {
    assertThat(ANGLE.planDistance(e, n)).isCloseTo(distance, within(1e-12));
  }

  @Test
  void closedMeansThatItsEndsMeetInSpaceOrPlan() {
    Polyline ring = new Polyline(new double[] {0, 0, 1, 3, 0, 1, 3, 4, 1, 0.004, 0, 1});
    assertThat(ring.isClosed(0.01)).isTrue();
    assertThat(ring.isClosed(0.001)).isFalse();
    assertThat(ANGLE.isClosed(0.01)).isFalse();
    assertThat(ring.open().pointCount()).isEqualTo(3);
  }

  @Test
  void coordinatesComeInThrees() {
    assertThatThrownBy(() -> new Polyline(new double[] {1, 2}))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
