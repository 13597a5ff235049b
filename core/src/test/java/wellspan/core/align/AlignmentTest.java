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

  /** Lengths in files are rounded, so that a profile's places lie a hair beside those in plan. */
  private static Alignment rounded() {
    PlanElement line = new PlanElement.Line(new PlanPoint(0, 0, 0), 99.9998);
    PlanElement next = new PlanElement.Line(line.end(), 100);
    Pvi.Rounding none = new Pvi.Rounding.None();
    Profile profile =
        Profile.through(
            "p",
            List.of(
                new Pvi(0.0004, 10, none),
                new Pvi(100, 12, none),
                new Pvi(150, 11, none),
                new Pvi(199.9992, 11, none)));
    return new Alignment(
        "r", List.of(line, next), new Chainages(0, List.of()), Optional.of(profile));
  }

  @Test
  void whatEndsInPlanAndInProfileAHairApartEndsOnce() {
    Alignment a = rounded();
    assertThat(a.elementEnds()).containsExactly(0.0, 99.9998, 150.0, a.length());
    assertThat(a.elementEnds(99.9991, 150.0005)).containsExactly(99.9991, 150.0005);
    assertThat(a.elementEnds(20, 160)).containsExactly(20.0, 99.9998, 150.0, 160.0);
  }

  @Test
  void aProfileReachesTheEndsThatItMissesByAHair() {
    Alignment a = rounded();
    assertThat(a.at(0).level()).isCloseTo(10, within(1e-4));
    assertThat(a.at(a.length()).level()).isCloseTo(11, within(1e-4));
    assertThat(AlignmentSamples.within(a, 0.01).pointCount()).isEqualTo(4);
  }
}
