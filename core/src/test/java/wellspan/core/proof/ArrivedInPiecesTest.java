package wellspan.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.LayoutElements;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.SpiralLaw;
import wellspan.core.item.Item;

/** What a receiver without a law's curve may be sent, and what is no such thing. */
class ArrivedInPiecesTest {
  private static final double TOLERANCE = 1e-6;

  private static Alignment line(List<PlanElement> elements) {
    return new Alignment("a", elements, new Chainages(0, List.of()), Optional.empty());
  }

  private static Alignment road(SpiralLaw law) {
    PlanElement first = new PlanElement.Line(new PlanPoint(412_000, 6_534_500, 0.3), 120);
    PlanElement in = new PlanElement.Spiral(first.end(), 80, 0, 1 / 250.0, law);
    PlanElement arc =
        new PlanElement.Arc(
            new PlanPoint(in.end().east(), in.end().north(), in.end().direction()), 60, 250);
    PlanElement out = new PlanElement.Spiral(arc.end(), 80, 1 / 250.0, 0, law);
    return line(List.of(first, in, arc, out, new PlanElement.Line(out.end(), 70)));
  }

  private static List<Difference> differences(Alignment sent, Alignment arrived) {
    return AlignmentComparison.compare(Item.alignment("a", sent), sent, arrived, TOLERANCE)
        .differences();
  }

  @Test
  void clothoidsMayStandForATransitionOverItsTangent() {
    Alignment sent = road(SpiralLaw.SINE_HALF_WAVE);
    Alignment arrived = line(LayoutElements.of(sent));
    assertThat(arrived.elements()).hasSizeGreaterThan(sent.elements().size());
    assertThat(differences(sent, arrived)).isEmpty();
  }

  /** Each set of pieces is some micrometres shorter; of hundreds that is more than a millimetre. */
  @Test
  void whatEachOfManyIsShorterByDoesNotAddUp() {
    List<PlanElement> all = new ArrayList<>();
    PlanPoint at = new PlanPoint(412_000, 6_534_500, 0.3);
    for (int i = 0; i < 250; i++) {
      double k = (i % 2 == 0 ? 1 : -1) / 300.0;
      all.add(new PlanElement.Spiral(at, 80, 0, k, SpiralLaw.CUBIC));
      all.add(new PlanElement.Spiral(all.getLast().end(), 80, k, 0, SpiralLaw.CUBIC));
      all.add(new PlanElement.Line(all.getLast().end(), 20));
      at = all.getLast().end();
    }
    Alignment sent = line(all);
    Alignment arrived = line(LayoutElements.of(sent));
    assertThat(sent.length() - arrived.length()).isGreaterThan(Alignment.SAME_END);
    assertThat(differences(sent, arrived)).isEmpty();
  }

  @Test
  void theyMayNotLieElsewhere() {
    Alignment sent = road(SpiralLaw.SINE_HALF_WAVE);
    List<PlanElement> moved = new ArrayList<>(LayoutElements.of(sent));
    PlanElement.Spiral s = (PlanElement.Spiral) moved.get(3);
    PlanPoint at = new PlanPoint(s.start().east(), s.start().north() + 2e-4, s.start().direction());
    moved.set(
        3, new PlanElement.Spiral(at, s.length(), s.startCurvature(), s.endCurvature(), s.law()));
    assertThat(differences(sent, line(moved))).hasSize(1);
  }

  @Test
  void straightsAndArcsMayNotBeInPiecesNorLessExact() {
    Alignment sent = road(SpiralLaw.SINE_HALF_WAVE);
    List<PlanElement> halved = new ArrayList<>(LayoutElements.of(sent));
    PlanElement.Line l = (PlanElement.Line) halved.removeFirst();
    halved.addFirst(new PlanElement.Line(l.at(60), 60));
    halved.addFirst(new PlanElement.Line(l.start(), 60));
    assertThat(differences(sent, line(halved))).isNotEmpty();
    List<PlanElement> moved = new ArrayList<>(LayoutElements.of(sent));
    PlanPoint beside =
        new PlanPoint(l.start().east(), l.start().north() + 2e-5, l.start().direction());
    moved.set(0, new PlanElement.Line(beside, l.length()));
    assertThat(differences(sent, line(moved))).hasSize(1);
  }

  @Test
  void aTransitionOfAKnownLawArrivesAsOne() {
    Alignment sent = road(SpiralLaw.CLOTHOID);
    List<PlanElement> halved = new ArrayList<>(sent.elements());
    PlanElement.Spiral s = (PlanElement.Spiral) halved.remove(1);
    halved.add(1, new PlanElement.Spiral(s.start(), 40, 0, 1 / 500.0, SpiralLaw.CLOTHOID));
    halved.add(2, new PlanElement.Spiral(s.at(40), 40, 1 / 500.0, 1 / 250.0, SpiralLaw.CLOTHOID));
    assertThat(differences(sent, line(halved))).hasSize(1);
  }
}
