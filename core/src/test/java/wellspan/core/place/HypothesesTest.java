package wellspan.core.place;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;

class HypothesesTest {
  private static final Frame JOB =
      Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 0), 21.5);
  private static final Box WORK = new Box(412_000, 6_534_500, 0, 413_200, 6_535_200, 60);

  private static Hypotheses.Hypothesis best(Box raw) {
    return Hypotheses.of(raw, "", JOB, WORK).getFirst();
  }

  private static Box scaled(double f) {
    return new Box(412_100 * f, 6_534_600 * f, 1 * f, 412_300 * f, 6_534_800 * f, 30 * f);
  }

  @ParameterizedTest
  @CsvSource({
    "1, shared coordinates as they stand",
    "1000, 'numbers are millimetre, not metre'",
    "0.001, 'numbers are kilometre, not metre'",
    "0.3048, 'numbers are metre, not foot'"
  })
  void unitsAreFoundByWhereTheSourceWouldLie(double factor, String title) {
    Hypotheses.Hypothesis h = best(scaled(factor));
    assertThat(h.fits()).isTrue();
    assertThat(h.title()).isEqualTo(title);
    assertThat(h.extent().centre().planDistanceTo(new Position(412_200, 6_534_700, 0)))
        .isLessThan(0.1);
  }

  @Test
  void feetThatWereTakenAsMetresAreFound() {
    List<Hypotheses.Hypothesis> all = Hypotheses.of(scaled(1 / 0.3048), "", JOB, WORK);
    // the two feet differ by 13 m there: both fit, and the figures say which is nearer
    assertThat(all.subList(0, 2))
        .extracting(Hypotheses.Hypothesis::title)
        .containsExactlyInAnyOrder(
            "numbers are foot, not metre", "numbers are US survey foot, not metre");
  }

  @Test
  void exchangedAxesAndLocalCoordinatesAreFound() {
    Box swapped = new Box(6_534_600, 412_100, 1, 6_534_800, 412_300, 30);
    assertThat(best(swapped).title()).isEqualTo("eastings and northings exchanged");
    Box local = new Box(-50, 10, 0, 300, 400, 20);
    assertThat(Hypotheses.of(local, "", JOB, WORK).stream().filter(Hypotheses.Hypothesis::fits))
        .extracting(Hypotheses.Hypothesis::title)
        .contains("local to the base point and site north");
    Box millimetres = new Box(-50_000, 10_000, 0, 300_000, 400_000, 20_000);
    assertThat(best(millimetres).title())
        .isEqualTo("millimetre, local to the base point and site north");
  }

  @Test
  void anotherZoneIsFoundWithoutBeingDeclared() {
    Box zone33 = new Box(67_378, 6_558_000, 0, 67_578, 6_558_200, 30);
    assertThat(best(zone33).title()).startsWith("coordinates of EPSG:").contains("33N");
    assertThat(Hypotheses.of(zone33, "EPSG:25833", JOB, WORK).getFirst().title())
        .isEqualTo("transformed from EPSG:25833, as declared");
  }

  @Test
  void withoutOtherContentTheAreaOfUseDecides() {
    List<Hypotheses.Hypothesis> all = Hypotheses.of(scaled(1000), "", JOB, Box.EMPTY);
    assertThat(all.getFirst().title()).isEqualTo("numbers are millimetre, not metre");
    assertThat(all.getFirst().gap()).isNaN();
    assertThat(Hypotheses.of(Box.EMPTY, "", JOB, WORK)).isEmpty();
  }

  private static Received points(Position... at) {
    List<NamedPoint> all =
        java.util.Arrays.stream(at).map(p -> new NamedPoint("p", p, "")).toList();
    return new Received(
        "point list", "", "", List.of(Item.points("g", all)), Map.of(), List.of(), List.of());
  }

  @Test
  void aSourceFarAwayIsAFindingWithItsMend() {
    Received far = points(new Position(6_534_700, 412_200, 3), new Position(6_534_750, 412_250, 3));
    assertThat(PlacementChecks.check("survey", far, SourcePlacement.SHARED, JOB, WORK))
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.code()).isEqualTo("place.elsewhere");
              assertThat(f.isError()).isTrue();
              assertThat(f.message())
                  .contains("km from the job's other content")
                  .contains("eastings and northings exchanged");
            });
    assertThat(
            PlacementChecks.check(
                "survey", far, SourcePlacement.SHARED.withSwapped(true), JOB, WORK))
        .isEmpty();
    Received nowhere = points(new Position(900_000, 7_900_000, 3));
    assertThat(PlacementChecks.check("survey", nowhere, SourcePlacement.SHARED, JOB, WORK))
        .extracting(Finding::message)
        .singleElement()
        .asString()
        .contains("No usual cause");
  }

  @Test
  void contradictionsInAFileAreFound() {
    PlaceStatement frame = PlaceStatement.ofFrame(50, "the map conversion", "A", JOB);
    PlaceStatement same = PlaceStatement.ofPlace(20, "the site", "B", 7.4708, 58.9411);
    PlaceStatement off = PlaceStatement.ofPlace(20, "the site", "C", 7.4708, 58.9511);
    PlaceStatement other =
        PlaceStatement.ofFrame(
            30, "the placement", "D", JOB.withBasePoint(new Position(412_000, 6_534_500.5, 0)));
    assertThat(Contradictions.check("f", List.of(frame, same))).isEmpty();
    assertThat(Contradictions.check("f", List.of(frame, off)))
        .singleElement()
        .satisfies(f -> assertThat(f.figure().orElseThrow().text()).isEqualTo("1.1 km"));
    assertThat(Contradictions.check("f", List.of(frame, other)))
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.figure().orElseThrow().text()).isEqualTo("0.500 m");
              assertThat(f.message()).contains("the map conversion says A, the placement says D");
            });
    assertThat(Contradictions.check("f", List.of(same, off))).hasSize(1);
  }
}
