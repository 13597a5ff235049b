package wellspan.core.geom;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class SimilarityTest {
  private static final Position FROM = new Position(412_000, 6_534_500, 7);
  private static final Position TO = new Position(10, -20, 3);

  @Test
  void aQuarterTurnIsCounterClockwise() {
    Similarity s = new Similarity(FROM, TO, Math.PI / 2, 2);
    Position p = s.apply(new Position(412_001, 6_534_500, 8));
    assertThat(p.east()).isCloseTo(10, within(1e-9));
    assertThat(p.north()).isCloseTo(-18, within(1e-9));
    assertThat(p.level()).as("levels shift and never scale").isEqualTo(4);
  }

  @Property(tries = 200)
  void theInverseBringsEveryPointBack(
      @ForAll @DoubleRange(min = -1e6, max = 1e6) double e,
      @ForAll @DoubleRange(min = -1e6, max = 1e6) double n,
      @ForAll @DoubleRange(min = -7, max = 7) double turn,
      @ForAll @DoubleRange(min = 0.2, max = 5) double scale) {
    Similarity s = new Similarity(FROM, TO, turn, scale);
    Position p = new Position(e, n, 12);
    Position back = s.inverse().apply(s.apply(p));
    assertThat(back.distanceTo(p)).isLessThan(1e-7);
  }

  @Property(tries = 200)
  void distancesScaleByTheFactor(
      @ForAll @DoubleRange(min = -1000, max = 1000) double dx,
      @ForAll @DoubleRange(min = -1000, max = 1000) double dy,
      @ForAll @DoubleRange(min = 0.2, max = 5) double scale) {
    Similarity s = new Similarity(FROM, TO, 1.1, scale);
    Position q = new Position(FROM.east() + dx, FROM.north() + dy, 0);
    assertThat(s.apply(FROM).planDistanceTo(s.apply(q)))
        .isCloseTo(scale * FROM.planDistanceTo(q), within(1e-7));
  }

  @Test
  void arraysMoveLikePointsIntoNewArrays() {
    Similarity s = new Similarity(FROM, TO, 0.4, 1.5);
    double[] in = {412_100, 6_534_600, 1, 412_050, 6_534_550, Double.NaN};
    double[] copy = in.clone();
    double[] out = s.apply(in);
    assertThat(in).isEqualTo(copy);
    Position p = s.apply(new Position(412_100, 6_534_600, 1));
    assertThat(out[0]).isEqualTo(p.east());
    assertThat(out[1]).isEqualTo(p.north());
    assertThat(out[2]).isEqualTo(p.level());
    assertThat(out[5]).isNaN();
    assertThat(Similarity.IDENTITY.apply(in)).isEqualTo(in);
  }

  @Test
  void numbersThatAreNoneAreRefused() {
    assertThatThrownBy(() -> new Similarity(FROM, TO, Double.NaN, 1))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Similarity(FROM, TO, 0, 0))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Similarity(FROM, new Position(1, 2, Double.NaN), 0, 1))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void linesKnowTheirLengthAndDistance() {
    Polyline l = new Polyline(new double[] {0, 0, 1, 3, 4, Double.NaN, 3, 10, 2});
    assertThat(l.pointCount()).isEqualTo(3);
    assertThat(l.planLength()).isEqualTo(11);
    assertThat(l.planDistance(5, 8)).isEqualTo(2);
    assertThat(l.planDistance(3, 12)).isEqualTo(2);
    assertThat(l.planDistance(0, 0)).isZero();
    assertThat(l.bounds().maxN()).isEqualTo(10);
    assertThat(l.bounds().maxH()).isEqualTo(2);
    assertThatThrownBy(() -> new Polyline(new double[] {1, 2, 3}))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Polyline(new double[7]))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
