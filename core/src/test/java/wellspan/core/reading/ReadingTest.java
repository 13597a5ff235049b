package wellspan.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.Chainages;
import wellspan.core.align.Footpoint;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.SpiralLaw;
import wellspan.core.build.Build;
import wellspan.core.frame.Frame;
import wellspan.core.frame.PositionFormat;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.job.Revision;
import wellspan.core.job.Source;
import wellspan.core.place.SourcePlacement;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.unit.LinearUnit;

class ReadingTest {
  private static final Alignment ROAD = road();

  private static Alignment road() {
    PlanElement line = new PlanElement.Line(new PlanPoint(412_000, 6_534_500, 0.3), 100);
    PlanElement spiral = new PlanElement.Spiral(line.end(), 60, 0, 1 / 150.0, SpiralLaw.CLOTHOID);
    PlanElement arc = new PlanElement.Arc(spiral.end(), 120, 150);
    return new Alignment(
        "Road", List.of(line, spiral, arc), new Chainages(500, List.of()), Optional.empty());
  }

  @Property(tries = 300)
  void theFootOfAPointBesideTheAlignmentIsFoundAgain(
      @ForAll @DoubleRange(min = 1, max = 279) double distance,
      @ForAll @DoubleRange(min = -60, max = 60) double offset) {
    AlignmentPoint p = ROAD.at(distance);
    double e = p.east() + offset * Math.sin(p.direction());
    double n = p.north() - offset * Math.cos(p.direction());
    Footpoint f = Footpoint.of(ROAD, e, n).orElseThrow();
    assertThat(f.distance()).isCloseTo(distance, within(1e-4));
    assertThat(f.offset()).isCloseTo(offset, within(1e-4));
    assertThat(f.chainage()).isCloseTo(500 + distance, within(1e-4));
  }

  @Property(tries = 300)
  void aPointOnTheLineIsFollowedToItsDistance(
      @ForAll @DoubleRange(min = 0, max = 280) double distance,
      @ForAll @DoubleRange(min = -5, max = 5) double off) {
    AlignmentPoint p = ROAD.at(distance);
    double found = Footpoint.follow(ROAD, p.east(), p.north(), distance + off, 0, 280);
    assertThat(found).isCloseTo(distance, within(1e-8));
  }

  @Test
  void beforeTheStartAndBeyondTheEndThereIsNoFoot() {
    AlignmentPoint start = ROAD.at(0);
    AlignmentPoint end = ROAD.at(280);
    assertThat(
            Footpoint.of(
                ROAD,
                start.east() - 5 * Math.cos(start.direction()),
                start.north() - 5 * Math.sin(start.direction())))
        .isEmpty();
    assertThat(
            Footpoint.of(
                ROAD,
                end.east() + 5 * Math.cos(end.direction()),
                end.north() + 5 * Math.sin(end.direction())))
        .isEmpty();
    assertThat(Footpoint.of(ROAD, start.east(), start.north()).orElseThrow().distance())
        .isCloseTo(0, within(1e-4));
  }

  private static Build build(SourcePlacement placement) {
    Item ground =
        Item.surface(
            "Ground",
            new Mesh(
                new double[] {412_000, 6_534_500, 1, 412_100, 6_534_500, 2, 412_000, 6_534_600, 3},
                new int[] {0, 1, 2}));
    Item points =
        Item.points(
            "Pegs",
            List.of(
                new NamedPoint("K1", new Position(412_050, 6_534_520, 9), "peg"),
                new NamedPoint("K2", new Position(412_001.5, 6_534_500, 9), "peg")));
    Received r =
        new Received(
            "t",
            "",
            "",
            List.of(ground, points, Item.alignment("Road", ROAD)).stream().map(i -> i).toList(),
            Map.of(),
            List.of(),
            List.of());
    Job job =
        Job.named("j")
            .withFrame(Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 0), 0))
            .withSource(
                Source.of(
                        "s",
                        new Revision("Rev A", "f", "f", "x", 1, Instant.EPOCH, java.util.Map.of()))
                    .withPlacement(placement));
    return Build.of(job, Map.of("s", r));
  }

  @Test
  void everythingAtAPlaceIsRead() {
    Build b = build(SourcePlacement.SHARED);
    Reading r =
        Reading.at(
            b,
            new Position(412_030, 6_534_520, Double.NaN),
            Optional.empty(),
            (id, e, n) ->
                id.equals(ItemId.of("s", "terrain surface", "Ground")) ? 1.7 : Double.NaN);
    assertThat(r.shared().level()).isEqualTo(1.7);
    assertThat(r.local()).isEqualTo(new Position(30, 20, 1.7));
    assertThat(r.levels()).containsExactly(new Reading.Level("Ground", 1.7));
    assertThat(r.along().orElseThrow().alignment()).isEqualTo("Road");
    assertThat(r.geographic().orElseThrow().latitude()).isCloseTo(58.9413, within(1e-3));
    assertThat(
            Reading.at(
                    build(SourcePlacement.SHARED),
                    new Position(0, 0, 5),
                    Optional.empty(),
                    (id, e, n) -> Double.NaN)
                .geographic())
        .isEmpty();
  }

  @Test
  void nearbyPointsAreCaughtWithTheirOwnCoordinates() {
    SourcePlacement millimetres =
        SourcePlacement.SHARED.withWhere(
            new SourcePlacement.Where.Local(new Position(-1000, -2000, 0), 0, 1));
    Build b = build(millimetres);
    Snap s = Snap.nearest(b, new Position(411_050.4, 6_532_520.3, 0), 2, "").orElseThrow();
    assertThat(s.name()).isEqualTo("K1");
    assertThat(s.shared()).isEqualTo(new Position(411_050, 6_532_520, 9));
    assertThat(s.raw()).isEqualTo(new Position(412_050, 6_534_520, 9));
    Snap vertex = Snap.nearest(b, new Position(411_099.5, 6_532_500, 0), 2, "s").orElseThrow();
    assertThat(vertex.name()).isEqualTo("Ground");
    assertThat(vertex.raw().east()).isEqualTo(412_100);
    assertThat(Snap.nearest(b, new Position(0, 0, 0), 2, "")).isEmpty();
    assertThat(Snap.nearest(b, new Position(411_050, 6_532_520, 0), 2, "other")).isEmpty();
    assertThat(Snap.nearest(b, new Position(411_000.6, 6_532_500, 0), 2, "").orElseThrow().name())
        .as("a named point is meant, though a vertex lies nearer")
        .isEqualTo("K2");
    AlignmentPoint end = ROAD.at(280);
    assertThat(
            Snap.nearest(b, new Position(end.east() - 1000, end.north() - 2000, 0), 1, "")
                .orElseThrow()
                .name())
        .isEqualTo("Road");
  }

  @Test
  void positionsAreWrittenAsWanted() {
    Position p = new Position(412_000.1234, 6_534_500.5, -0.0001);
    assertThat(PositionFormat.STANDARD.text(p)).isEqualTo("412000.123 6534500.500 0.000");
    assertThat(new PositionFormat(LinearUnit.MILLIMETRE, 0, true, true, "; ").text(p))
        .isEqualTo("6534500500 mm; 412000123 mm; 0 mm");
    assertThat(PositionFormat.STANDARD.text(new Position(1, 2, Double.NaN)))
        .isEqualTo("1.000 2.000");
    assertThatThrownBy(() -> new PositionFormat(LinearUnit.METRE, 7, false, false, " "))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
