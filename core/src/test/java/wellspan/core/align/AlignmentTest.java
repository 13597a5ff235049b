package wellspan.core.align;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class AlignmentTest {
  private static Alignment bend(Chainages chainages) {
    PlanElement line = new PlanElement.Line(new PlanPoint(0, 0, 0), 100);
    PlanElement arc = new PlanElement.Arc(line.end(), 50 * Math.PI, 100);
    return new Alignment("bend", List.of(line, arc), chainages, Optional.empty());
  }

  @Test
  void pointsFollowTheElements() {
    Alignment a = bend(new Chainages(0, List.of()));
    assertThat(a.length()).isCloseTo(100 + 50 * Math.PI, within(1e-12));
    AlignmentPoint end = a.at(a.length());
    assertThat(end.east()).isCloseTo(200, within(1e-9));
    assertThat(end.north()).isCloseTo(100, within(1e-9));
    assertThat(a.bounds().maxE()).isCloseTo(200, within(1e-9));
    assertThat(a.largestGap()).isLessThan(1e-12);
  }

  @Test
  void stepsIncludeTheEndOnceAndEveryElementEnd() {
    Alignment a = bend(new Chainages(0, List.of()));
    assertThat(a.every(100))
        .extracting(AlignmentPoint::distance)
        .containsExactly(0.0, 100.0, 200.0, a.length());
    assertThat(a.everyWithEnds(60))
        .extracting(AlignmentPoint::distance)
        .containsExactly(0.0, 60.0, 100.0, 120.0, 180.0, 240.0, a.length());
  }

  @Test
  void anEquationChangesLabelsAndNothingElse() {
    Chainages c = new Chainages(1000, List.of(new Chainages.Equation(100, 1100, 1150, true)));
    Alignment a = bend(c);
    assertThat(a.at(99.5).chainage()).isEqualTo(1099.5);
    assertThat(a.at(100).chainage()).isEqualTo(1150);
    assertThat(a.at(110).chainage()).isEqualTo(1160);
    assertThat(a.at(110).east()).isEqualTo(bend(new Chainages(0, List.of())).at(110).east());
    assertThat(new Chainages(0, List.of(new Chainages.Equation(10, 10, 500, false))).at(12))
        .isEqualTo(498);
  }

  @Test
  void chainagesAreWrittenAsInTheTrade() {
    assertThat(Chainages.format(512.3)).isEqualTo("0+512.300");
    assertThat(Chainages.format(12_345.6789)).isEqualTo("12+345.679");
    assertThat(Chainages.format(-7.25)).isEqualTo("\u22120+007.250");
    assertThat(Chainages.format(-0.0001)).isEqualTo("0+000.000");
  }

  @Test
  void withoutElementsThereIsNoAlignment() {
    assertThatThrownBy(
            () -> new Alignment("x", List.of(), new Chainages(0, List.of()), Optional.empty()))
        .hasMessageContaining("at least one element");
  }
}
