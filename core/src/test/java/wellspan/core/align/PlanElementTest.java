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
  @EnumSource(
      value = SpiralLaw.class,
      names = {"CLOTHOID", "BLOSS", "COSINE", "SINE", "BIQUADRATIC", "VIENNESE"})
  void everyLawTurnsByTheMeanCurvatureAndMeetsItsEnds(SpiralLaw law) {
    PlanElement.Spiral s = new PlanElement.Spiral(ORIGIN, 80, 1 / 400.0, -1 / 150.0, law);
    assertThat(s.end().direction()).isCloseTo(80 * (1 / 400.0 - 1 / 150.0) / 2, within(1e-12));
    assertThat(s.curvatureAt(0)).isCloseTo(1 / 400.0, within(1e-15));
    assertThat(s.curvatureAt(80)).isCloseTo(-1 / 150.0, within(1e-15));
    double h = 1e-3;
    double numeric = (s.at(40 + h).direction() - s.at(40 - h).direction()) / (2 * h);
    assertThat(numeric).isCloseTo(s.curvatureAt(40), within(1e-9));
  }

  /** Not at the end only: where a formula changes half way, sums must not step across. */
  @ParameterizedTest
  @EnumSource(
      value = SpiralLaw.class,
      names = {"CLOTHOID", "BLOSS", "COSINE", "SINE", "BIQUADRATIC", "VIENNESE"})
  void placesWithinAreThoseOfFineSums(SpiralLaw law) {
    PlanElement.Spiral s = new PlanElement.Spiral(ORIGIN, 80, 1 / 400.0, -1 / 150.0, law);
    for (double at : new double[] {27, 41, 79}) {
      int n = 60_000;
      double x = 0;
      double y = 0;
      for (int i = 0; i < n; i++) {
        double direction = s.at((i + 0.5) * at / n).direction();
        x += Math.cos(direction) * at / n;
        y += Math.sin(direction) * at / n;
      }
      assertThat(s.at(at).east()).as(law + " at " + at).isCloseTo(x, within(1e-9));
      assertThat(s.at(at).north()).isCloseTo(y, within(1e-9));
    }
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

  /** Laws over the tangent against their formulas, integrated here by fine steps. */
  @ParameterizedTest
  @EnumSource(
      value = SpiralLaw.class,
      names = {"CUBIC", "CUBIC_PARABOLA", "BIQUADRATIC_PARABOLA", "SINE_HALF_WAVE"})
  void lawsOverTheTangentFollowTheirFormulas(SpiralLaw law) {
    double length = 80;
    double k = 1 / 150.0;
    PlanElement.Spiral s = new PlanElement.Spiral(ORIGIN, length, 0, k, law);
    double run = s.end().east();
    for (double at : new double[] {10, 39, 41, 63, 80}) {
      PlanPoint p = s.at(at);
      double u = p.east() / run;
      double y =
          switch (law) {
            case CUBIC -> k * Math.pow(p.east(), 3) / (6 * run);
            case CUBIC_PARABOLA -> k * Math.pow(p.east(), 3) / (6 * length);
            case BIQUADRATIC_PARABOLA ->
                k
                    * run
                    * run
                    * (u < 0.5
                        ? Math.pow(u, 4) / 6
                        : u * u / 2 - u / 2 - Math.pow(1 - u, 4) / 6 + 7 / 48.0);
            default ->
                k * run * run * (u * u / 4 - (1 - Math.cos(Math.PI * u)) / (2 * Math.PI * Math.PI));
          };
      assertThat(p.north()).isCloseTo(y, within(1e-10));
    }
    double sum = 0;
    PlanPoint last = s.at(0);
    for (int i = 1; i <= 400; i++) {
      PlanPoint p = s.at(length * i / 400);
      sum += Math.hypot(p.east() - last.east(), p.north() - last.north());
      last = p;
    }
    assertThat(sum).isCloseTo(length, within(1e-4)).isLessThan(length + 1e-9);
    double h = 1e-4;
    double direction =
        Math.atan2(
            s.at(50 + h).north() - s.at(50 - h).north(), s.at(50 + h).east() - s.at(50 - h).east());
    assertThat(s.at(50).direction()).isCloseTo(direction, within(1e-7));
  }

  /**
   * The lemniscate: three times the polar angle is the direction, curvature grows with the chord.
   */
  @Test
  void theRadioidIsALemniscate() {
    PlanElement.Spiral s = new PlanElement.Spiral(ORIGIN, 90, 0, 1 / 120.0, SpiralLaw.RADIOID);
    PlanPoint end = s.end();
    assertThat(end.direction()).isCloseTo(3 * Math.atan2(end.north(), end.east()), within(1e-9));
    double chord = Math.hypot(end.east(), end.north());
    PlanPoint mid = s.at(45);
    double h = 1e-3;
    double k = (s.at(45 + h).direction() - s.at(45 - h).direction()) / (2 * h);
    assertThat(k).isCloseTo(Math.hypot(mid.east(), mid.north()) / chord / 120, within(1e-7));
  }

  @Test
  void anIrregularLineIsOneElementOfStraightPieces() {
    PlanElement line = new PlanElement.Irregular(new double[] {0, 0, 3, 4, 3, 10});
    assertThat(line.length()).isEqualTo(11);
    assertThat(line.at(7)).isEqualTo(new PlanPoint(3, 6, Math.PI / 2));
    assertThat(line.at(5).east()).isCloseTo(3, within(1e-12));
  }
}
