package wellspan.core.align;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class PlanElementTest {
  private static final PlanPoint ORIGIN = new PlanPoint(0, 0, 0);

  @Test
  void aQuarterArcEndsWhereGeometrySays() {
    PlanPoint end = new PlanElement.Arc(ORIGIN, Math.PI / 2 * 100, 100).end();
    assertThat(end.east()).isCloseTo(100, within(1e-10));
    assertThat(end.north()).isCloseTo(100, within(1e-10));
    assertThat(end.direction()).isCloseTo(Math.PI / 2, within(1e-12));
    PlanPoint right = new PlanElement.Arc(ORIGIN, Math.PI / 2 * 100, -100).end();
    assertThat(right.north()).isCloseTo(-100, within(1e-10));
    assertThat(right.azimuthDegrees()).isCloseTo(180, within(1e-9));
  }

  /** x = Σ (−1)ⁿ τ²ⁿ L/((4n+1)(2n)!), y = Σ (−1)ⁿ τ²ⁿ⁺¹ L/((4n+3)(2n+1)!), τ = L/2R. */
  @Property(tries = 200)
  void theClothoidEndsWhereItsSeriesSays(
      @ForAll @DoubleRange(min = 20, max = 2000) double radius,
      @ForAll @DoubleRange(min = 5, max = 300) double length) {
    double tau = length / (2 * radius);
    double x = 0;
    double y = 0;
    double term = 1; // τᵏ/k!
    for (int k = 0; k < 60; k++) {
      double signed = k / 2 % 2 == 0 ? term : -term;
      if (k % 2 == 0) {
        x += signed * length / (2 * k + 1);
      } else {
        y += signed * length / (2 * k + 1);
      }
      term *= tau / (k + 1);
    }
    PlanPoint end = new PlanElement.Spiral(ORIGIN, length, 0, 1 / radius, SpiralLaw.CLOTHOID).end();
    assertThat(end.east()).isCloseTo(x, within(1e-9));
    assertThat(end.north()).isCloseTo(y, within(1e-9));
    assertThat(end.direction()).isCloseTo(tau, within(1e-12));
  }

  @ParameterizedTest
  @EnumSource(SpiralLaw.class)
  void everyLawTurnsByTheMeanCurvatureAndMeetsItsEnds(SpiralLaw law) {
    PlanElement.Spiral s = new PlanElement.Spiral(ORIGIN, 80, 1 / 400.0, -1 / 150.0, law);
    assertThat(s.end().direction()).isCloseTo(80 * (1 / 400.0 - 1 / 150.0) / 2, within(1e-12));
    assertThat(s.curvatureAt(0)).isCloseTo(1 / 400.0, within(1e-15));
    assertThat(s.curvatureAt(80)).isCloseTo(-1 / 150.0, within(1e-15));
    double h = 1e-3;
    double numeric = (s.at(40 + h).direction() - s.at(40 - h).direction()) / (2 * h);
    assertThat(numeric).isCloseTo(s.curvatureAt(40), within(1e-9));
  }

  @ParameterizedTest
  @EnumSource(SpiralLaw.class)
  void aSpiralRunBackwardsComesHome(SpiralLaw law) {
    PlanElement.Spiral there =
        new PlanElement.Spiral(new PlanPoint(412_000, 6_534_500, 1.1), 65, 0, 1 / 120.0, law);
    PlanPoint end = there.end();
    PlanElement.Spiral back =
        new PlanElement.Spiral(
            new PlanPoint(end.east(), end.north(), end.direction() + Math.PI),
            65,
            -1 / 120.0,
            0,
            law);
    assertThat(back.end().east()).isCloseTo(412_000, within(1e-8));
    assertThat(back.end().north()).isCloseTo(6_534_500, within(1e-8));
  }
}
