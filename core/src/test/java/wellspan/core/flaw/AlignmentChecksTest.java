package wellspan.core.flaw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;

class AlignmentChecksTest {
  private static List<Finding> check(PlanElement... elements) {
    return AlignmentChecks.of(
        Item.alignment(
            "A",
            new Alignment(
                "A", List.of(elements), new Chainages(100, List.of()), Optional.empty())));
  }

  private static PlanElement.Arc arc(PlanPoint from, double length, double radius) {
    return new PlanElement.Arc(from, length, radius);
  }

  @Test
  void linesAndSimpleArcsAreTakenEverywhere() {
    PlanElement line = new PlanElement.Line(new PlanPoint(0, 0, 0), 50);
    assertThat(check(line, arc(line.end(), 20, 100))).isEmpty();
  }

  @Test
  void aBreakIsFoundWithItsPlaceAndAngle() {
    PlanElement line = new PlanElement.Line(new PlanPoint(0, 0, 0), 50);
    PlanElement bent = new PlanElement.Line(new PlanPoint(50, 0, Math.toRadians(2)), 50);
    Finding f = check(line, bent).getFirst();
    assertThat(f.code()).isEqualTo("alignment.tangent");
    assertThat(f.message()).contains("2.000°").contains("150.000 m");
    assertThat(f.place().orElseThrow().east()).isEqualTo(50);
    PlanElement rounded = new PlanElement.Line(new PlanPoint(50, 0, 2 * Math.PI + 1e-5), 50);
    assertThat(check(line, rounded)).isEmpty();
  }

  @Test
  void manyBreaksAreOneFindingWithAllPlacesTheSharpestFirst() {
    List<PlanElement> all = new ArrayList<>();
    PlanPoint at = new PlanPoint(0, 0, 0);
    for (int i = 0; i < 40; i++) {
      double turn = Math.toRadians(i == 25 ? 3 : 1) * (i % 2 == 0 ? 1 : -1);
      PlanElement line =
          new PlanElement.Line(new PlanPoint(at.east(), at.north(), at.direction() + turn), 5);
      all.add(line);
      at = line.end();
    }
    List<Finding> found = check(all.toArray(PlanElement[]::new));
    assertThat(found).hasSize(1);
    Finding f = found.getFirst();
    assertThat(f.message()).contains("39 places").contains("3.000°").contains("225.000 m");
    assertThat(f.figure().orElseThrow().value()).isCloseTo(3, within(1e-6));
    assertThat(f.alsoAt()).hasSize(38);
    PlanPoint sharpest = all.get(25).start();
    assertThat(f.place().orElseThrow().east()).isCloseTo(sharpest.east(), within(1e-6));
  }

  @Test
  void compoundAndReverseCurvesAreCounted() {
    PlanElement a = arc(new PlanPoint(0, 0, 0), 20, 100);
    PlanElement b = arc(a.end(), 20, 60);
    PlanElement c = arc(b.end(), 20, -60);
    assertThat(check(a, b, c).getFirst().message())
        .contains("1 compound curve, 1 reverse curve")
        .contains("--thin");
  }

  @Test
  void manyElementsAreTold() {
    List<PlanElement> all = new ArrayList<>();
    PlanPoint at = new PlanPoint(0, 0, 0);
    for (int i = 0; i < 101; i++) {
      PlanElement line = new PlanElement.Line(at, 5);
      all.add(line);
      at = line.end();
    }
    assertThat(check(all.toArray(PlanElement[]::new)).getFirst().message())
        .contains("101 elements");
  }
}
