package wellspan.core.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.align.SpiralLaw;
import wellspan.core.attribute.Attributes;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.picture.PicturePlace;
import wellspan.core.picture.Pixels;
import wellspan.core.picture.Texture;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;

class PlacerTest {
  private static final Frame JOB =
      Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 0), 21.5);

  static Alignment road() {
    PlanElement line = new PlanElement.Line(new PlanPoint(412_000, 6_534_500, 0.4), 80);
    PlanElement spiral = new PlanElement.Spiral(line.end(), 40, 0, -1 / 200.0, SpiralLaw.CLOTHOID);
    PlanElement arc = new PlanElement.Arc(spiral.end(), 90, -200);
    Profile profile =
        Profile.through(
            "p",
            List.of(
                new Pvi(0, 10, new Pvi.Rounding.None()),
                new Pvi(70, 14, new Pvi.Rounding.Circle(900)),
                new Pvi(140, 12, new Pvi.Rounding.Parabola(20, 30)),
                new Pvi(210, 13, new Pvi.Rounding.None())));
    return new Alignment(
        "Road",
        List.of(line, spiral, arc),
        new Chainages(1000, List.of(new Chainages.Equation(100, 1100, 2000, true))),
        Optional.of(profile));
  }

  static Received received(Item... items) {
    return new Received(
        "test",
        "",
        "metre",
        java.util.Arrays.stream(items).map(i -> i).toList(),
        Map.of(),
        List.of(),
        List.of());
  }

  private static Received all() {
    double[] xyz = {412_000, 6_534_500, 1, 412_010, 6_534_500, 2, 412_000, 6_534_510, 3};
    return received(
        Item.surface("Ground", new Mesh(xyz, new int[] {0, 1, 2})),
        Item.body("Block", new Mesh(xyz, new int[] {0, 1, 2}), Band.STRUCTURES),
        Item.string("Edge", new Polyline(xyz)),
        Item.points(
            "Points", List.of(new NamedPoint("A", new Position(412_005, 6_534_505, 4), "x"))),
        Item.alignment("Road", road()));
  }

  private static Position firstVertex(Received r) {
    return ((Shape.Faces) r.items().getFirst().shape()).mesh().vertex(0);
  }

  @Test
  void sharedSourcesAreNotTouched() {
    Received r = all();
    assertThat(Placer.place("s", r, SourcePlacement.SHARED, JOB)).isSameAs(r);
  }

  @Test
  void everyKindOfItemMovesTheSameWay() {
    SourcePlacement local =
        SourcePlacement.SHARED.withWhere(
            new SourcePlacement.Where.Local(new Position(1000, 2000, 5), 30, 1));
    Received placed = Placer.place("s", all(), local, JOB);
    assertThat(placed.findings()).isEmpty();
    Position expected =
        Frame.of("", "", new Position(1000, 2000, 5), 30)
            .toShared(new Position(412_000, 6_534_500, 1));
    assertThat(firstVertex(placed).distanceTo(expected)).isLessThan(1e-8);
    Position body = ((Shape.Faces) placed.items().get(1).shape()).mesh().vertex(0);
    Position string = ((Shape.Lines) placed.items().get(2).shape()).lines().getFirst().point(0);
    assertThat(body).isEqualTo(firstVertex(placed));
    assertThat(string).isEqualTo(firstVertex(placed));
    NamedPoint p = ((Shape.Points) placed.items().get(3).shape()).points().getFirst();
    assertThat(p.name()).isEqualTo("A");
    assertThat(p.position().distanceTo(firstVertex(placed)))
        .isCloseTo(
            new Position(412_005, 6_534_505, 4).distanceTo(new Position(412_000, 6_534_500, 1)),
            within(1e-8));
  }

  @Test
  void thePictureOverASurfaceMovesWithIt() {
    double[] xyz = {412_000, 6_534_500, 1, 412_010, 6_534_500, 2, 412_000, 6_534_510, 3};
    Texture texture =
        new Texture(
            new Pixels(2, 1, new int[2]),
            PicturePlace.ofWorld(new double[] {5, 0, 0, -10, 412_002.5, 6_534_505}, 2, 1));
    Item sent =
        Item.surface("Ground", new Mesh(xyz, new int[] {0, 1, 2}))
            .with(Attributes.NONE.withTexture(Optional.of(texture)));
    SourcePlacement local =
        SourcePlacement.SHARED.withWhere(
            new SourcePlacement.Where.Local(new Position(1000, 2000, 5), 30, 1));
    Received placed = Placer.place("s", received(sent), local, JOB);
    Shape.Faces s = (Shape.Faces) placed.items().getFirst().shape();
    Texture moved = placed.items().getFirst().attributes().texture().orElseThrow();
    for (int v = 0; v < 3; v++) {
      double e = s.mesh().east(v), n = s.mesh().north(v);
      assertThat(moved.across(e, n))
          .isCloseTo(texture.across(xyz[3 * v], xyz[3 * v + 1]), within(1e-9));
      assertThat(moved.down(e, n))
          .isCloseTo(texture.down(xyz[3 * v], xyz[3 * v + 1]), within(1e-9));
    }
  }

  @Test
  void anAlignmentPlacedLocallyIsTheSameCurveElsewhere() throws Exception {
    SourcePlacement local =
        SourcePlacement.SHARED.withWhere(
            new SourcePlacement.Where.Local(new Position(1000, 2000, 5), 30, 1));
    Alignment before = road();
    Alignment after =
        ((Shape.Axis) Placer.place("s", all(), local, JOB).items().get(4).shape()).alignment();
    for (AlignmentPoint p : before.everyWithEnds(3)) {
      Position expected = Placer.place(new Position(p.east(), p.north(), p.level()), local, JOB);
      AlignmentPoint q = after.at(p.distance());
      assertThat(expected.distanceTo(new Position(q.east(), q.north(), q.level())))
          .isLessThan(1e-8);
      assertThat(q.chainage()).isEqualTo(p.chainage());
    }
  }

  @Test
  void exchangedAxesMirrorAnAlignmentPointByPoint() {
    Alignment before = road();
    Received placed = Placer.place("s", all(), SourcePlacement.SHARED.withSwapped(true), JOB);
    Alignment after = ((Shape.Axis) placed.items().get(4).shape()).alignment();
    for (AlignmentPoint p : before.everyWithEnds(3)) {
      AlignmentPoint q = after.at(p.distance());
      assertThat(Math.hypot(q.east() - p.north(), q.north() - p.east())).isLessThan(1e-8);
      assertThat(q.level()).isEqualTo(p.level());
    }
    assertThat(firstVertex(placed)).isEqualTo(new Position(6_534_500, 412_000, 1));
  }

  @Test
  void anotherUnitScalesEverythingAndTheLabels() {
    double foot = LinearUnit.FOOT.metres();
    Received placed = Placer.place("s", all(), SourcePlacement.SHARED.withUnitFactor(foot), JOB);
    Alignment after = ((Shape.Axis) placed.items().get(4).shape()).alignment();
    assertThat(after.length()).isCloseTo(210 * foot, within(1e-9));
    assertThat(after.startChainage()).isCloseTo(1000 * foot, within(1e-9));
    AlignmentPoint p = road().at(130);
    AlignmentPoint q = after.at(130 * foot);
    assertThat(q.level()).isCloseTo(p.level() * foot, within(1e-9));
    assertThat(q.east()).isCloseTo(p.east() * foot, within(1e-6));
    assertThat(firstVertex(placed).level()).isCloseTo(foot, within(1e-12));
  }

  /** Expected place from the independent program cs2cs: EPSG:25833 to EPSG:25832. */
  @Test
  void anotherSystemIsTransformedPointByPoint() {
    Item point =
        Item.points(
            "p", List.of(new NamedPoint("A", new Position(67_278.2273, 6_557_903.5723, 12), "")));
    SourcePlacement from33 =
        SourcePlacement.SHARED.withWhere(new SourcePlacement.Where.InSystem("EPSG:25833", ""));
    Received placed = Placer.place("s", received(point), from33, JOB);
    Position p = ((Shape.Points) placed.items().getFirst().shape()).points().getFirst().position();
    assertThat(p.east()).isCloseTo(412_000, within(0.001));
    assertThat(p.north()).isCloseTo(6_534_500, within(0.001));
    assertThat(p.level()).isEqualTo(12);
    assertThat(placed.findings())
        .singleElement()
        .satisfies(
            f ->
                assertThat(f.message())
                    .contains("EPSG:25833 is made for")
                    .contains("12°E to 18°E"));
  }

  @Test
  void anAlignmentInAnotherSystemSaysHowFarItDeparts() {
    PlanElement line = new PlanElement.Line(new PlanPoint(67_278, 6_557_903, 0.4), 3000);
    Item road =
        Item.alignment(
            "Long",
            new Alignment("Long", List.of(line), new Chainages(0, List.of()), Optional.empty()));
    SourcePlacement from33 =
        SourcePlacement.SHARED.withWhere(new SourcePlacement.Where.InSystem("EPSG:25833", ""));
    Received placed = Placer.place("s", received(road), from33, JOB);
    assertThat(placed.findings())
        .anySatisfy(
            f -> {
              assertThat(f.code()).isEqualTo("place.alignment");
              assertThat(f.figure().orElseThrow().text()).endsWith(" mm");
            });
    assertThat(((Shape.Axis) placed.items().getFirst().shape()).alignment().at(0).east())
        .isBetween(411_000.0, 413_000.0);
  }

  @Test
  void degreesBecomeMetres() {
    Item point =
        Item.points("p", List.of(new NamedPoint("A", new Position(7.4708204, 58.9411039, 12), "")));
    SourcePlacement degrees =
        SourcePlacement.SHARED.withWhere(new SourcePlacement.Where.InSystem("EPSG:4326", ""));
    Received placed = Placer.place("s", received(point), degrees, JOB);
    Position p = ((Shape.Points) placed.items().getFirst().shape()).points().getFirst().position();
    assertThat(p.planDistanceTo(new Position(412_000, 6_534_500, 0))).isLessThan(0.02);
  }

  @Test
  void datumsWithoutAGridFileSayWhatIsLeft() {
    Item point =
        Item.points("p", List.of(new NamedPoint("A", new Position(530_000, 180_000, 0), "")));
    Frame british = Frame.of("EPSG:25830", "", new Position(0, 0, 0), 0);
    SourcePlacement grid =
        SourcePlacement.SHARED.withWhere(new SourcePlacement.Where.InSystem("EPSG:27700", ""));
    assertThat(Placer.place("s", received(point), grid, british).findings())
        .extracting(Finding::code)
        .contains("place.datum");
    assertThat(Placer.place("s", received(point), grid, british).findings())
        .anySatisfy(
            f ->
                assertThat(f.message())
                    .contains("OSTN15")
                    .contains("is not there")
                    .contains("2 m"));
  }

  @Test
  void whatCannotBePlacedStaysAndSaysWhy() {
    for (SourcePlacement.Where where :
        List.of(
            new SourcePlacement.Where.InSystem("EPSG:999999", ""),
            new SourcePlacement.Where.InSystem("own", "PROJCS[broken"),
            new SourcePlacement.Where.InSystem("EPSG:2154", ""),
            new SourcePlacement.Where.Fitted(List.of(), false))) {
      Received placed = Placer.place("survey", all(), SourcePlacement.SHARED.withWhere(where), JOB);
      assertThat(firstVertex(placed)).isEqualTo(firstVertex(all()));
      assertThat(placed.findings())
          .anySatisfy(
              f -> {
                assertThat(f.code()).isEqualTo("place.failed");
                assertThat(f.message()).startsWith("survey is not placed: ");
              });
    }
  }

  @Test
  void aFitWithAGrossErrorIsAFinding() {
    Position[] at = {
      new Position(0, 0, 0),
      new Position(100, 0, 0),
      new Position(100, 80, 0),
      new Position(0, 80, 0),
      new Position(50, 40, 0)
    };
    List<PointPair> pairs =
        java.util.stream.IntStream.range(0, 5)
            .mapToObj(
                i ->
                    new PointPair(
                        "P" + i,
                        at[i],
                        new Position(
                            at[i].east() + 412_000 + (i == 1 ? 0.3 : 0),
                            at[i].north() + 6_534_500,
                            0),
                        true))
            .toList();
    Received placed =
        Placer.place(
            "yard",
            received(Item.points("p", List.of(new NamedPoint("A", at[0], "")))),
            SourcePlacement.SHARED.withWhere(new SourcePlacement.Where.Fitted(pairs, false)),
            JOB);
    assertThat(placed.findings())
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("the pair P1 is out of line"));
  }

  @Test
  void summariesAreInWords() {
    assertThat(SourcePlacement.SHARED.summary()).isEqualTo("shared coordinates");
    assertThat(
            SourcePlacement.SHARED
                .withSwapped(true)
                .withUnitFactor(0.001)
                .withWhere(new SourcePlacement.Where.InSystem("EPSG:25833", ""))
                .summary())
        .isEqualTo("transformed from EPSG:25833, read as millimetre, axes exchanged");
    assertThat(
            SourcePlacement.SHARED
                .withWhere(new SourcePlacement.Where.Local(new Position(1, 2, 3), 21.5, 1))
                .summary())
        .isEqualTo("local, zero at E 1.000 N 2.000, turned 21.5000°");
  }
}
