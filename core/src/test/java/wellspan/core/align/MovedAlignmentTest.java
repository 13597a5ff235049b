package wellspan.core.align;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Position;
import wellspan.core.geom.Similarity;

class MovedAlignmentTest {
  private static final Position FROM = new Position(412_000, 6_534_500, 0);

  private static Alignment road() {
    PlanElement line = new PlanElement.Line(new PlanPoint(412_010, 6_534_520, 0.4), 80);
    PlanElement in = new PlanElement.Spiral(line.end(), 50, 0, 1 / 180.0, SpiralLaw.CLOTHOID);
    PlanElement arc = new PlanElement.Arc(in.end(), 120, 180);
    PlanElement out = new PlanElement.Spiral(arc.end(), 60, 1 / 180.0, -1 / 300.0, SpiralLaw.BLOSS);
    Pvi.Rounding none = new Pvi.Rounding.None();
    Profile profile =
        Profile.through(
            "p",
            List.of(
                new Pvi(0, 20, none),
                new Pvi(100, 26, new Pvi.Rounding.Parabola(30, 30)),
                new Pvi(200, 21, new Pvi.Rounding.Circle(1500)),
                new Pvi(310, 24, none)));
    return new Alignment(
        "Road",
        List.of(line, in, arc, out),
        new Chainages(200, List.of(new Chainages.Equation(150, 350, 1000, true))),
        Optional.of(profile));
  }

  @Property(tries = 50)
  void turnedAndShiftedItIsTheSameCurvePointByPoint(
      @ForAll @DoubleRange(min = -6, max = 6) double turn,
      @ForAll @DoubleRange(min = -500, max = 500) double up) {
    Similarity s = new Similarity(FROM, new Position(1000, 2000, up), turn, 1);
    Alignment moved = MovedAlignment.by(s, road());
    for (AlignmentPoint p : road().everyWithEnds(5)) {
      Position expected = s.apply(new Position(p.east(), p.north(), p.level()));
      AlignmentPoint q = moved.at(p.distance());
      assertThat(expected.distanceTo(new Position(q.east(), q.north(), q.level())))
          .isLessThan(1e-8);
      assertThat(q.chainage()).isCloseTo(p.chainage(), within(1e-9));
    }
  }

  /** A vertical circle becomes an ellipse; the circle that stands for it departs by micrometres. */
  @Property(tries = 50)
  void scaledToTheGroundItStaysWithinMicrometres(
      @ForAll @DoubleRange(min = 0.9990, max = 1.0010) @net.jqwik.api.constraints.Scale(6)
          double scale) {
    Similarity s = new Similarity(FROM, new Position(0, 0, 0), 0.3, scale);
    Alignment moved = MovedAlignment.by(s, road());
    assertThat(moved.length()).isCloseTo(road().length() * scale, within(1e-9));
    for (AlignmentPoint p : road().everyWithEnds(5)) {
      Position expected = s.apply(new Position(p.east(), p.north(), p.level()));
      AlignmentPoint q = moved.at(p.distance() * scale);
      assertThat(expected.distanceTo(new Position(q.east(), q.north(), q.level())))
          .isLessThan(1e-5);
    }
    assertThat(moved.startChainage()).as("the label at the start stays").isEqualTo(200);
    assertThat(moved.chainages().equations().getFirst().ahead()).isEqualTo(1000);
  }

  @Test
  void inAnotherUnitEverythingScalesTheGradesStay() {
    Alignment feet = MovedAlignment.inUnit(0.3048, road());
    Profile before = road().profile().orElseThrow();
    Profile after = feet.profile().orElseThrow();
    for (double d = 0; d <= 310; d += 7.3) {
      assertThat(after.levelAt(d * 0.3048)).isCloseTo(before.levelAt(d) * 0.3048, within(1e-9));
      assertThat(after.gradeAt(d * 0.3048)).isCloseTo(before.gradeAt(d), within(1e-9));
    }
    assertThat(feet.chainages().at(160 * 0.3048)).isCloseTo(1010 * 0.3048, within(1e-9));
  }

  @Test
  void exchangedTwiceItIsAsBefore() {
    Alignment twice = MovedAlignment.swapped(MovedAlignment.swapped(road()));
    for (AlignmentPoint p : road().everyWithEnds(9)) {
      AlignmentPoint q = twice.at(p.distance());
      assertThat(Math.hypot(p.east() - q.east(), p.north() - q.north())).isLessThan(1e-9);
    }
    assertThat(MovedAlignment.swapped(road()).elements().get(2).startCurvature())
        .as("left becomes right")
        .isEqualTo(-1 / 180.0);
  }
}
