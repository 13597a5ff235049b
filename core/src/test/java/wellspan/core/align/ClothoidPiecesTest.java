package wellspan.core.align;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ClothoidPiecesTest {
  private static final PlanPoint START = new PlanPoint(412_000, 6_534_500, 1.1);

  private static void standFor(PlanElement.Spiral s, double beside) {
    ClothoidPieces laid = ClothoidPieces.of(s);
    List<PlanElement.Spiral> pieces = laid.pieces();
    assertThat(laid.beside()).isLessThanOrEqualTo(beside);
    PlanPoint at = s.start();
    for (PlanElement.Spiral p : pieces) {
      assertThat(p.law()).isEqualTo(SpiralLaw.CLOTHOID);
      assertThat(p.start().east()).isCloseTo(at.east(), within(1e-8));
      assertThat(p.start().north()).isCloseTo(at.north(), within(1e-8));
      assertThat(Math.sin(p.start().direction() - at.direction())).isCloseTo(0, within(1e-9));
      assertThat(p.startCurvature() * p.endCurvature() >= 0).as("to one side").isTrue();
      at = p.end();
    }
    assertThat(at.east()).isCloseTo(s.end().east(), within(1e-5));
    assertThat(at.north()).isCloseTo(s.end().north(), within(1e-5));
    assertThat(Math.sin(at.direction() - s.end().direction())).isCloseTo(0, within(1e-9));
    boolean flatFirst = s.startCurvature() == 0;
    PlanElement.Spiral flat = flatFirst ? pieces.getFirst() : pieces.getLast();
    assertThat(flatFirst ? flat.startCurvature() : flat.endCurvature()).isZero();
  }

  @ParameterizedTest
  @EnumSource(
      value = SpiralLaw.class,
      names = {"CUBIC", "BIQUADRATIC_PARABOLA", "SINE_HALF_WAVE", "RADIOID", "CUBIC_PARABOLA"})
  void fewPiecesRunFromEndToEndToBothSidesAndFromBothEnds(SpiralLaw law) {
    for (double k : new double[] {1 / 250.0, -1 / 250.0}) {
      standFor(new PlanElement.Spiral(START, 80, 0, k, law), 1e-4);
      standFor(new PlanElement.Spiral(START, 80, k, 0, law), 1e-4);
    }
    assertThat(
            ClothoidPieces.of(new PlanElement.Spiral(START, 80, 0, 1 / 250.0, law)).pieces().size())
        .isLessThanOrEqualTo(16);
  }

  @Property
  void anyTransitionOfAnyRoadIsReached(
      @ForAll @DoubleRange(min = 5, max = 400) double length,
      @ForAll @DoubleRange(min = 0.02, max = 0.6) double turn) {
    for (SpiralLaw law : SpiralLaw.values()) {
      if (!law.hasLayoutType()) {
        standFor(new PlanElement.Spiral(START, length, 0, 2 * turn / length, law), 1e-4);
      }
    }
  }
}
