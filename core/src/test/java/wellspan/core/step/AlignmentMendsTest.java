package wellspan.core.step;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Scale;
import org.junit.jupiter.api.Test;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.Cant;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.align.ReversedAlignment;
import wellspan.core.align.SpiralLaw;
import wellspan.core.attribute.Description;
import wellspan.core.flaw.AlignmentChecks;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Step;
import wellspan.core.progress.Progress;
import wellspan.core.replay.RecordedStep;
import wellspan.core.replay.StepOutcome;
import wellspan.core.replay.StepRun;
import wellspan.core.shape.Shape;

/** Small mends of alignments: nothing but what they say changes. */
class AlignmentMendsTest {
  private static final double E = 412_000;
  private static final double N = 6_534_500;

  /** Straight, transition, arc, transition of another law back, straight; with a profile. */
  private static Alignment road(SpiralLaw law) {
    List<PlanElement> out = new ArrayList<>();
    out.add(new PlanElement.Line(new PlanPoint(E, N, 0.3), 80));
    out.add(new PlanElement.Spiral(out.getLast().end(), 60, 0, 1 / 200.0, law));
    out.add(new PlanElement.Arc(out.getLast().end(), 90, 200));
    out.add(new PlanElement.Spiral(out.getLast().end(), 60, 1 / 200.0, 0, law));
    out.add(new PlanElement.Irregular(pieces(out.getLast().end())));
    Profile p =
        Profile.through(
            "design",
            List.of(
                new Pvi(0, 12, new Pvi.Rounding.None()),
                new Pvi(100, 15, new Pvi.Rounding.Parabola(30, 50)),
                new Pvi(220, 14, new Pvi.Rounding.Circle(2000)),
                new Pvi(330, 18, new Pvi.Rounding.None())));
    return new Alignment(
        "Road",
        out,
        new Chainages(500, List.of(new Chainages.Equation(100, 600, 650, true))),
        Optional.of(p));
  }

  private static double[] pieces(PlanPoint p) {
    double c = Math.cos(p.direction());
    double s = Math.sin(p.direction());
    return new double[] {
      p.east(),
      p.north(),
      p.east() + 20 * c,
      p.north() + 20 * s,
      p.east() + 40 * c - 3 * s,
      p.north() + 40 * s + 3 * c
    };
  }

  private static final Inputs NOTHING =
      id -> {
        throw new IllegalArgumentException(id + " is not there.");
      };

  private static StepOutcome on(Item item, Step step) {
    return StepRun.of(RecordedStep.of(step), item, NOTHING, Progress.NONE);
  }

  private static Alignment axis(StepOutcome o) {
    assertThat(o.failed()).as(o.told()).isFalse();
    return ((Shape.Axis) o.item().shape()).alignment();
  }

  @Property(tries = 200)
  void theOtherWayItIsTheSameLine(
      @ForAll @IntRange(min = 0, max = 10) int law,
      @ForAll @Scale(4) @DoubleRange(min = 0, max = 1) double t) {
    Alignment a = road(SpiralLaw.values()[law]);
    Alignment b = ReversedAlignment.of(a, 0);
    double length = a.length();
    AlignmentPoint p = a.at(t * length);
    AlignmentPoint q = b.at(length - t * length);
    assertThat(Math.hypot(p.east() - q.east(), p.north() - q.north())).isLessThan(1e-8);
    if (!Double.isNaN(p.level()) && t > 0.001 && t < 0.96) {
      assertThat(q.level()).isCloseTo(p.level(), within(1e-9));
    }
    assertThat(Math.cos(q.direction() - p.direction()))
        .as("unless it lies where straight pieces meet")
        .satisfiesAnyOf(
            c -> assertThat(c).isLessThan(-1 + 1e-12), c -> assertThat(c).isLessThan(-0.98));
  }

  @Test
  void twiceTheOtherWayItIsItself() {
    Alignment a = road(SpiralLaw.BLOSS);
    Alignment twice = ReversedAlignment.of(ReversedAlignment.of(a, 0), 500);
    for (double d = 0; d <= a.length(); d += 7.3) {
      assertThat(twice.at(d).east()).isCloseTo(a.at(d).east(), within(1e-8));
      assertThat(twice.at(d).north()).isCloseTo(a.at(d).north(), within(1e-8));
    }
  }

  @Test
  void linesRunTheOtherWayToo() {
    Item line = Item.string("Kerb", new Polyline(new double[] {1, 2, 3, 4, 5, 6, 7, 8, 9}));
    Shape.Lines l = (Shape.Lines) on(line, new ReverseDirection(0)).item().shape();
    assertThat(l.lines().getFirst().xyz()).containsExactly(7, 8, 9, 4, 5, 6, 1, 2, 3);
  }

  @Test
  void equationsThatNoLongerHoldAreSaid() {
    StepOutcome o =
        on(Item.alignment("Road", road(SpiralLaw.CLOTHOID)), new ReverseDirection(1000));
    assertThat(axis(o).startChainage()).isEqualTo(1000);
    assertThat(o.told()).contains("equations, 1, are left out");
  }

  @Test
  void chainagesCountFromAnotherNumberAndKeepTheirSteps() {
    Alignment was = road(SpiralLaw.CLOTHOID);
    Alignment a = axis(on(Item.alignment("Road", was), new ChainageAtStart(0)));
    for (double d = 0; d <= was.length(); d += 11) {
      assertThat(a.chainages().at(d)).isCloseTo(was.chainages().at(d) - 500, within(1e-9));
    }
  }

  @Test
  void aRangeOfChainagesIsKeptAsDisplayed() {
    Alignment was = road(SpiralLaw.CLOTHOID);
    Item item = Item.alignment("Road", was);
    Alignment a = axis(on(item, new KeepChainages(550, 700)));
    assertThat(a.length()).as("the equation leaves out 50 m").isCloseTo(100, within(1e-6));
    assertThat(a.startChainage()).isCloseTo(550, within(1e-9));
    assertThat(a.endChainage()).isCloseTo(700, within(1e-6));
    assertThat(a.at(20).level()).isCloseTo(was.at(70).level(), within(1e-9));
    assertThat(on(item, new KeepChainages(5000, 6000)).failed()).isTrue();
  }

  @Test
  void aProfileIsRaisedAndWhereThereIsNoneItIsSaid() {
    Alignment was = road(SpiralLaw.CLOTHOID);
    Alignment a = axis(on(Item.alignment("Road", was), new Raise(0.25)));
    assertThat(a.at(123).level()).isCloseTo(was.at(123).level() + 0.25, within(1e-9));
    assertThat(a.at(123).east()).isEqualTo(was.at(123).east());
    Alignment flat = new Alignment("P", was.elements(), was.chainages(), Optional.empty());
    StepOutcome none = on(Item.alignment("P", flat), new Raise(0.25));
    assertThat(none.failed()).isTrue();
    assertThat(none.told()).contains("no profile");
  }

  @Property(tries = 100)
  void smallGapsAndAnglesAreClosedAndNothingElseChanges(
      @ForAll @Scale(6) @DoubleRange(min = -0.004, max = 0.004) double gap,
      @ForAll @Scale(6) @DoubleRange(min = -0.0002, max = 0.0002) double bend) {
    List<PlanElement> torn = new ArrayList<>();
    torn.add(new PlanElement.Line(new PlanPoint(E, N, 0.3), 80));
    PlanPoint end = torn.getLast().end();
    torn.add(
        new PlanElement.Arc(
            new PlanPoint(end.east() + gap, end.north() - gap, end.direction() + bend), 90, 200));
    end = torn.getLast().end();
    torn.add(new PlanElement.Spiral(end, 60, 1 / 200.0, 0, SpiralLaw.CLOTHOID));
    Alignment a = new Alignment("Road", torn, new Chainages(0, List.of()), Optional.empty());
    Alignment joined = axis(on(Item.alignment("Road", a), new JoinElements(0.05, 0.5, 0.1)));
    assertThat(joined.length()).isEqualTo(a.length());
    for (int i = 0; i + 1 < joined.elements().size(); i++) {
      PlanPoint from = joined.elements().get(i).end();
      PlanPoint to = joined.elements().get(i + 1).start();
      assertThat(Math.hypot(from.east() - to.east(), from.north() - to.north())).isLessThan(1e-8);
      assertThat(Math.sin(from.direction() - to.direction())).isCloseTo(0, within(1e-12));
    }
    assertThat(joined.elements().getFirst()).isEqualTo(a.elements().getFirst());
    assertThat(joined.elements().get(1))
        .isInstanceOfSatisfying(PlanElement.Arc.class, c -> assertThat(c.radius()).isEqualTo(200));
    assertThat(AlignmentChecks.of(Item.alignment("Road", joined)))
        .noneMatch(f -> f.code().equals("alignment.tangent"));
  }

  @Test
  void whatIsTooWideStaysAndWhatWouldMoveTooFarIsRefused() {
    List<PlanElement> bent = new ArrayList<>();
    bent.add(new PlanElement.Line(new PlanPoint(E, N, 0), 80));
    bent.add(new PlanElement.Line(new PlanPoint(E + 80, N, 0.3), 80));
    Item item =
        Item.alignment(
            "Road", new Alignment("Road", bent, new Chainages(0, List.of()), Optional.empty()));
    StepOutcome left = on(item, new JoinElements(0.05, 0.5, 0.1));
    assertThat(axis(left).elements()).isEqualTo(bent);
    assertThat(left.told()).contains("1 places are wider and stay");
    StepOutcome far = on(item, new JoinElements(0.05, 20, 0.1));
    assertThat(far.failed()).isTrue();
    assertThat(far.told()).contains("beside where it was designed");
  }

  @Test
  void whatTheAlignmentSaysByDistanceIsNotMadeUntrue() {
    Cant cant =
        new Cant(
            1.5,
            List.of(
                new Cant.Station(0, 0, 0, Cant.Law.LINEAR),
                new Cant.Station(50, 0.1, 0, Cant.Law.CONSTANT)));
    Item track = Item.alignment("Track", road(SpiralLaw.CLOTHOID));
    Item said = track.saying(Description.of(List.of(cant.set()), Optional.empty()));
    for (Step s :
        List.of(new ReverseDirection(0), new KeepChainages(0, 550), new ChainageAtStart(0))) {
      StepOutcome o = on(said, s);
      assertThat(o.failed()).as(s.toString()).isTrue();
      assertThat(o.told()).contains("cant").contains("no longer be true");
    }
  }
}
