package wellspan.app.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import wellspan.core.build.Build;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Position;
import wellspan.core.item.Kind;
import wellspan.core.place.Control;
import wellspan.core.place.ControlTally;
import wellspan.core.place.Hypotheses;
import wellspan.core.place.PointPair;
import wellspan.core.place.SourcePlacement;
import wellspan.core.place.SpotMark;
import wellspan.core.shape.Shape;

/** What the stop Place does to a job, without its window. */
class PlaceDeskTest extends SessionFixture {
  private static final Path SURVEY = Path.of("..", "demo", "survey", "control.csv");
  private static final Path YARD = Path.of("..", "demo", "yard", "yard-layout.dxf");

  @BeforeEach
  void place() throws Exception {
    receive(ROAD);
    receive(SURVEY);
    session
        .place()
        .changeFrame(
            "Set up", f -> f.withBasePoint(new Position(412_000, 6_534_500, 0)).withRotation(21.5));
  }

  @Test
  void theTallyOfTheWorstSourceIsShownUntilAnotherIsWanted() throws Exception {
    assertThat(session.place().tallyShown()).isEmpty();
    session.place().takeControl("control");
    assertThat(session.place().tallyShown().orElseThrow().where()).isEqualTo("quay-road");
    receive(YARD);
    session.place().sources().openProperty().set("yard-layout");
    session.place().sources().place("yard-layout", SourcePlacement.SHARED.withUnitFactor(0.001));
    session.place().sources().matchByName();
    session.place().talliedProperty().set("yard-layout");
    ControlTally shown = session.place().tallyShown().orElseThrow();
    assertThat(shown.where()).isEqualTo("yard-layout");
    assertThat(shown.isWithin()).isTrue();
    session.place().takeControl("none");
    assertThat(session.messages().sentenceProperty().get()).contains("none is not read yet");
    session.place().changeControl("Nonsense", c -> c.withTolerance(-1));
    assertThat(session.messages().sentenceProperty().get()).contains("above 0");
  }

  @Test
  void theMeaningsOfASourceAreThoseNearTheOthers() throws Exception {
    assertThat(session.place().sources().hypotheses()).as("none is open").isEmpty();
    receive(YARD);
    session.place().sources().openProperty().set("yard-layout");
    List<Hypotheses.Hypothesis> all = session.place().sources().hypotheses();
    assertThat(all.getFirst().fits()).isTrue();
    assertThat(all.getFirst().title()).startsWith("millimetre, local");
    assertThat(session.place().sources().matchable()).isFalse();
    session.place().sources().matchByName();
    assertThat(session.messages().sentenceProperty().get())
        .contains("no control points to match with");
    session.place().takeControl("control");
    assertThat(session.place().sources().matchable()).isTrue();
  }

  @Test
  void pairsAreSwitchedAndTheScaleHeld() throws Exception {
    session.place().takeControl("control");
    receive(YARD);
    SourceDesk desk = session.place().sources();
    desk.openProperty().set("yard-layout");
    desk.place("yard-layout", SourcePlacement.SHARED.withUnitFactor(0.001));
    desk.matchByName();
    double before = desk.fit().fit().orElseThrow().planDeviation();
    List<PointPair> off =
        desk.pairs().stream().map(p -> p.withUsed(!p.name().equals("BN-1"))).toList();
    desk.setPairs(off, true);
    assertThat(desk.scaleFree()).isTrue();
    assertThat(desk.fit().fit().orElseThrow().planDeviation()).isNotEqualTo(before);
    desk.addPair("X", new Position(0, 0, 0), new Position(412_928.96, 6_534_749.19, 0));
    assertThat(desk.pairs()).hasSize(5);
    assertThat(desk.fit().fit().orElseThrow().residuals().getLast().plan()).isLessThan(0.01);
    desk.setPairs(List.of(), false);
    assertThat(desk.fit().why()).contains("none is");
    assertThat(session.findingsProperty().get()).extracting(Finding::code).contains("place.failed");
    session.undo();
    assertThat(desk.pairs()).hasSize(5);
  }

  @Test
  void marksAreNumberedRenamedAndUndone() {
    session.place().mark(new Position(412_500, 6_534_700, 5));
    session.place().mark(new Position(412_600, 6_534_700, 6));
    assertThat(session.job().marks()).extracting(SpotMark::name).containsExactly("S1", "S2");
    session.place().renameMark(0, "S2");
    assertThat(session.messages().sentenceProperty().get()).contains("a mark S2 already");
    session.place().renameMark(0, "");
    assertThat(session.messages().sentenceProperty().get()).contains("needs a name");
    session.place().renameMark(0, "Gate");
    assertThat(session.job().marks()).extracting(SpotMark::name).containsExactly("Gate", "S2");
    session.undo();
    assertThat(session.job().marks()).extracting(SpotMark::name).containsExactly("S1", "S2");
    session.place().changeMarks("Remove", old -> old.subList(1, 2));
    session.place().mark(new Position(412_700, 6_534_700, 7));
    assertThat(session.job().marks()).extracting(SpotMark::name).containsExactly("S2", "S3");
    session.undo();
    session.undo();
    assertThat(session.job().marks()).hasSize(2);
  }

  @Test
  void clicksAreCaughtByPointsAndMeanWhatWasChosen() {
    session.place().clicked(new Position(1, 1, 1), 5);
    assertThat(session.job().frame().basePoint().east()).as("nothing is picked").isEqualTo(412_000);
    session.place().pickProperty().set(Pick.BASE_POINT);
    session.place().clicked(new Position(412_118.9, 6_534_792.2, 0), 5);
    assertThat(session.job().frame().basePoint().east()).isCloseTo(412_118.402, within(0.01));
    assertThat(session.job().frame().basePoint().level()).as("the height stays").isZero();
    session.place().pickProperty().set(Pick.MARK);
    session.place().clicked(new Position(400_000, 6_500_000, 9), 5);
    assertThat(session.job().marks().getFirst().position())
        .isEqualTo(new Position(400_000, 6_500_000, 9));
    session.place().pickProperty().set(Pick.CONTROL);
    session.place().clicked(new Position(400_100, 6_500_000, 9), 5);
    session.place().pickProperty().set(Pick.CONTROL);
    session.place().clicked(vertexOfGround(), 0.5);
    session.place().pickProperty().set(Pick.CONTROL);
    session.place().clicked(new Position(412_118.9, 6_534_792.2, 0), 5);
    assertThat(session.job().control().points())
        .extracting(Control.Point::name)
        .as("a vertex has no name of its own, a named point has")
        .containsExactly("K1", "K2", "BN-1");
  }

  @Test
  void aFileInDegreesIsTransformedByItself() throws Exception {
    Path degrees =
        Files.writeString(
            dir.resolve("gps.csv"),
            "id,lat,lon,h\nG1,58.9421,7.4763,12\nG2,58°56'33\",7°29'00\",13\n");
    receive(degrees);
    SourcePlacement p = session.job().source("gps").orElseThrow().placement();
    assertThat(p.where()).isEqualTo(new SourcePlacement.Where.InSystem("EPSG:4326", ""));
    assertThat(session.build().received().get("gps").bounds().minE())
        .isBetween(412_000.0, 413_500.0);
    assertThat(session.findingsProperty().get())
        .extracting(Finding::code)
        .doesNotContain("place.elsewhere", "place.failed");
  }

  private Position vertexOfGround() {
    return session.build().items().values().stream()
        .map(Build.BuiltItem::item)
        .filter(i -> i.kind().is(Kind.TERRAIN))
        .map(i -> ((Shape.Faces) i.shape()).mesh().vertex(17))
        .findFirst()
        .orElseThrow();
  }
}
