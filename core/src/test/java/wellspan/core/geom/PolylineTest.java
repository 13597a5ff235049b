package wellspan.core.geom;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
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

  private static final Box PART = new Box(0, 0, 0, 10, 10, 0);

  @Test
  void lengthWithinAPartOfThePlan() {
    assertThat(of(-5, 5, 15, 5).planLengthWithin(PART)).isCloseTo(10, within(1e-12));
    assertThat(of(-5, -5, 15, 15).planLengthWithin(PART))
        .isCloseTo(10 * Math.sqrt(2), within(1e-12));
    assertThat(of(2, 2, 5, 6, 5, 20).planLengthWithin(PART)).isCloseTo(5 + 4, within(1e-12));
    assertThat(of(-5, 11, 15, 11).planLengthWithin(PART)).isZero();
    assertThat(of(-5, 5, 5, 15.1).planLengthWithin(PART)).isZero();
    assertThat(of(3, 3, 3, 3).planLengthWithin(PART)).isZero();
  }

  @Property
  void aPlanCutInTwoHasTheWholeLengthInItsHalves(
      @ForAll @Size(min = 4, max = 12) List<@DoubleRange(min = -50, max = 50) Double> xy,
      @ForAll @DoubleRange(min = -40, max = 40) double at) {
    double[] flat = xy.subList(0, xy.size() / 2 * 2).stream().mapToDouble(d -> d).toArray();
    Polyline p = of(flat);
    Box left = new Box(-100, -100, 0, at, 100, 0);
    Box right = new Box(at, -100, 0, 100, 100, 0);
    double alongTheCut = 0;
    for (int i = 2; i + 1 < flat.length; i += 2) {
      if (flat[i] == at && flat[i - 2] == at) {
        alongTheCut += Math.abs(flat[i + 1] - flat[i - 1]);
      }
    }
    assertThat(p.planLengthWithin(left) + p.planLengthWithin(right) - alongTheCut)
        .isCloseTo(p.planLength(), within(1e-9));
  }

  private static Polyline of(double... xy) {
    double[] xyz = new double[xy.length / 2 * 3];
    for (int i = 0; i < xy.length / 2; i++) {
      xyz[3 * i] = xy[2 * i];
      xyz[3 * i + 1] = xy[2 * i + 1];
    }
    return new Polyline(xyz);
  }
}
