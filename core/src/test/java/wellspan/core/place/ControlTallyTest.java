package wellspan.core.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import wellspan.core.build.Build;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Severity;
import wellspan.core.finding.Stop;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.job.ControlIntake;
import wellspan.core.job.Job;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;

class ControlTallyTest {
  private static final Control CONTROL =
      new Control(
          List.of(
              new Control.Point("BN-1", new Position(100, 200, 10)),
              new Control.Point("BN-2", new Position(300, 200, 12)),
              new Control.Point("BN-3", new Position(300, 400, 14)),
              new Control.Point("BN-9", new Position(9_000, 9_000, 0))),
          0.015,
          "");

  private static Received found(Item... items) {
    return PlacerTest.received(items);
  }

  private static Item points(NamedPoint... p) {
    return Item.points("g", List.of(p));
  }

  private static NamedPoint point(String name, double e, double n, double h) {
    return new NamedPoint(name, new Position(e, n, h), "");
  }

  @Test
  void differencesAreFoundMinusKnownAndWorstFirst() {
    ControlTally t =
        ControlTally.of(
            CONTROL,
            "road",
            found(
                points(
                    point("bn-1 ", 100.003, 199.998, 10.001),
                    point("BN-2", 299.998, 200.003, 11.962),
                    point("BN-3", 300, 400, Double.NaN))));
    assertThat(t.lines())
        .extracting(ControlTally.Line::name)
        .containsExactly("BN-2", "BN-1", "BN-3");
    ControlTally.Line worst = t.lines().getFirst();
    assertThat(worst.east()).isCloseTo(-0.002, within(1e-9));
    assertThat(worst.north()).isCloseTo(0.003, within(1e-9));
    assertThat(worst.height()).isCloseTo(-0.038, within(1e-9));
    assertThat(worst.plan()).isCloseTo(Math.hypot(0.002, 0.003), within(1e-9));
    assertThat(worst.space()).isCloseTo(Math.sqrt(4e-6 + 9e-6 + 0.038 * 0.038), within(1e-9));
    assertThat(worst.within(0.015)).isFalse();
    assertThat(t.isWithin()).isFalse();
    assertThat(t.lines().get(2).height()).isNaN();
    assertThat(t.lines().get(2).within(0.015)).isTrue();
    assertThat(t.findings(Stop.PLACE))
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.severity()).isEqualTo(Severity.ERROR);
              assertThat(f.message()).contains("ΔH -38 mm").endsWith("Look at its height first.");
              assertThat(f.place()).contains(new Position(300, 200, 12));
            });
  }

  @Test
  void neighboursAndVerticesAreReadWhereNoNameMatches() {
    Mesh mesh =
        new Mesh(
            new double[] {
              100.2, 200, 10.1, 150, 200, 9, 100, 250, 9, 300, 400.004, 14, 290, 390, 3
            },
            new int[] {0, 1, 2});
    ControlTally t =
        ControlTally.of(
            CONTROL,
            "ground",
            found(Item.surface("g", mesh), points(point("peg", 300.001, 200, 12))));
    assertThat(t.lines())
        .extracting(l -> l.name() + " " + l.by().title())
        .containsExactly("BN-1 nearest vertex", "BN-3 nearest vertex", "BN-2 nearest point");
    assertThat(t.findings(Stop.PLACE)).extracting(Finding::severity).containsOnly(Severity.NOTE);
    assertThat(t.notFound()).as("outside the extent nothing is missed").isEmpty();
  }

  @Test
  void whatLiesInTheExtentAndIsNotThereIsSaid() {
    ControlTally t =
        ControlTally.of(
            CONTROL,
            "road",
            found(
                points(
                    point("BN-1", 100, 200, 10), point("x", 400, 500, 0), point("y", 90, 100, 0))));
    assertThat(t.notFound()).containsExactly("BN-2", "BN-3");
    assertThat(t.findings(Stop.PLACE))
        .extracting(Finding::code)
        .containsExactly("place.tally.missing");
  }

  @Test
  void aSourceInTheWrongPlaceIsToldFromASinglePoint() {
    ControlTally t =
        ControlTally.of(
            CONTROL,
            "road",
            found(
                points(
                    point("BN-1", 101, 200, 10),
                    point("BN-2", 301, 200, 12),
                    point("BN-3", 300, 400, 14))));
    assertThat(t.findings(Stop.PLACE))
        .allSatisfy(
            f -> assertThat(f.message()).endsWith("Most points differ: check the source's place."));
  }

  @Test
  void controlIsTakenFromASourceAndEdited() {
    Received list = found(points(point("A", 1, 2, 3), point("B", 4, 5, Double.NaN)));
    Job job = ControlIntake.take(Job.named("j"), "list", list);
    assertThat(job.control().points()).extracting(Control.Point::name).containsExactly("A", "B");
    assertThat(job.control().takenFrom()).isEqualTo("list");
    Control c = job.control().with(new Control.Point("A", new Position(9, 9, 9)));
    assertThat(c.points()).hasSize(2);
    assertThat(c.without("A").points()).extracting(Control.Point::name).containsExactly("B");
    assertThatThrownBy(() -> c.withTolerance(0)).hasMessageContaining("above 0");
    assertThatThrownBy(() -> ControlIntake.take(job, "none", found()))
        .hasMessageContaining("holds no named points");
    assertThat(Build.of(job, java.util.Map.of()).tallies()).isEmpty();
  }

  @Test
  void pairsAreMatchedByNameWhateverItsWriting() {
    Received yard =
        found(
            points(
                point("bn 1", 1000, 2000, 3000), point("BN_3", 5000, 0, 0), point("C", 1, 1, 1)));
    SourcePlacement mm = SourcePlacement.SHARED.withUnitFactor(0.001);
    List<PointPair> pairs = PairMatching.byName(yard, mm, CONTROL);
    assertThat(pairs).extracting(PointPair::name).containsExactly("BN-1", "BN-3");
    assertThat(pairs.getFirst().source()).isEqualTo(new Position(1, 2, 3));
    assertThat(pairs.getFirst().shared()).isEqualTo(new Position(100, 200, 10));
    assertThat(PairMatching.prepared(new Position(1000, 2000, 3000), mm.withSwapped(true)))
        .isEqualTo(new Position(2, 1, 3));
  }

  @Test
  void theReferenceOfASourceIsControlAndTheOtherSources() {
    Job job =
        Job.named("j")
            .withFrame(Frame.of("EPSG:25832", "", new Position(0, 0, 0), 0))
            .withControl(CONTROL);
    assertThat(Build.of(job, java.util.Map.of()).reference("x").maxE()).isEqualTo(9_000);
  }
}
