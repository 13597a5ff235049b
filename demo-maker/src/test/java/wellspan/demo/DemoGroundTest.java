package wellspan.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import wellspan.core.build.Build;
import wellspan.core.finding.Finding;
import wellspan.core.flaw.GroundChecks;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.JobStore;
import wellspan.core.job.SourceNames;
import wellspan.core.operation.Recipe;
import wellspan.core.picture.Pixels;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.recipe.TexturedGround;
import wellspan.core.replay.RecipeRun;
import wellspan.core.replay.StepOutcome;
import wellspan.core.shape.Shape;
import wellspan.core.terrain.TriangleIndex;
import wellspan.exchange.intake.Intake;
import wellspan.exchange.intake.SourceIntake;

/** The demo's survey becomes a clean surface, and exactly the planted flaws are found in it. */
class DemoGroundTest {
  private static final Path COMMITTED = Path.of("../demo");
  private static final ItemId SHORE = ItemId.of("shore-survey", "points", "shore-survey");
  private static final ItemId GROUND =
      ItemId.of(SourceNames.JOB, "terrain surface", "Existing ground");
  private static Build build;

  @BeforeAll
  static void build() throws Exception {
    JobStore store = new JobStore(COMMITTED.resolve("job"));
    build = SourceIntake.build(store, store.open(), Progress.NONE);
  }

  private static Map<String, Integer> codes(Iterable<Finding> findings) {
    Map<String, Integer> out = new TreeMap<>();
    findings.forEach(f -> out.merge(f.code(), 1, Integer::sum));
    return out;
  }

  @Test
  void exactlyThePlantedFlawsAreFound() {
    List<Finding> found =
        GroundChecks.of(build.results().shaped().get(SHORE).before(), Progress.NONE);
    assertThat(codes(found))
        .containsExactlyInAnyOrderEntriesOf(
            Map.of("terrain.false-level", 2, "terrain.spike", 3, "terrain.duplicate", 6));
    assertThat(found)
        .filteredOn(f -> f.code().equals("terrain.false-level"))
        .extracting(f -> f.figure().orElseThrow().text())
        .containsExactlyInAnyOrder("9 points", "8 points");
    assertThat(build.results().made().get("Existing ground").result().findings())
        .extracting(Finding::code)
        .containsExactly("terrain.crossing");
  }

  @Test
  void theStepsDropThemAndNothingElse() {
    List<StepOutcome> steps = build.results().shaped().get(SHORE).outcomes();
    assertThat(steps)
        .extracting(o -> o.before().points() - o.after().points())
        .containsExactly(17, 3, 6);
  }

  @Test
  void afterTheStepsNoItemOfTheJobHasAFlaw() {
    List<Finding> left = new ArrayList<>();
    build.items().values().forEach(i -> left.addAll(GroundChecks.of(i.item(), Progress.NONE)));
    assertThat(left).isEmpty();
  }

  @Test
  void theGroundFollowsTheShore() {
    Mesh m = ((Shape.Faces) build.items().get(GROUND).item().shape()).mesh();
    TriangleIndex index = new TriangleIndex(m);
    Ground ground = new Ground(7);
    for (double e = 412_100; e < 413_200; e += 137) {
      for (double n = 6_534_500; n < 6_534_900; n += 93) {
        assertThat(index.levelAt(e, n))
            .as("at %s %s", e, n)
            .isCloseTo(ground.level(e, n), org.assertj.core.api.Assertions.within(1.6));
      }
    }
  }

  @Test
  void revisionBReplaysAllSteps() throws Exception {
    Map<String, Received> raw = new java.util.LinkedHashMap<>(build.raw());
    raw.put(
        "shore-survey",
        Intake.read(COMMITTED.resolve("survey/shore-survey-RevB.csv"), Progress.NONE));
    Build next = build.next(build.job(), raw, Progress.NONE);
    assertThat(next.results().shaped().get(SHORE).outcomes())
        .extracting(o -> o.before().points() - o.after().points())
        .containsExactly(17, 3, 6);
    TriangleIndex before =
        new TriangleIndex(((Shape.Faces) build.items().get(GROUND).item().shape()).mesh());
    TriangleIndex after =
        new TriangleIndex(((Shape.Faces) next.items().get(GROUND).item().shape()).mesh());
    double settled = before.levelAt(413_150, 6_534_620) - after.levelAt(413_150, 6_534_620);
    assertThat(settled).isBetween(0.08, 0.13);
  }

  @Test
  void whatTheSurveyorSentStaysAndTheGroundLeaves() throws Exception {
    assertThat(Files.exists(COMMITTED.resolve("survey/breaklines.dxf"))).isTrue();
    build
        .job()
        .deliveries()
        .forEach(
            d ->
                assertThat(
                        build.items().values().stream()
                            .filter(i -> d.sends(i.id(), i.item()))
                            .map(Build.BuiltItem::source)
                            .collect(Collectors.toSet()))
                    .contains(SourceNames.JOB)
                    .doesNotContain("shore-survey", "breaklines"));
  }

  @Test
  void thePictureIsLaidOverTheHinterland() throws IOException {
    Received grid = Intake.read(COMMITTED.resolve("survey/hinterland.asc"), Progress.NONE);
    Received photo = Intake.read(COMMITTED.resolve("survey/hinterland.png"), Progress.NONE);
    assertThat(grid.findings()).extracting(Finding::message).anyMatch(m -> m.contains("63 cells"));
    Item ground = grid.items().getFirst(), picture = photo.items().getFirst();
    assertThat(picture.bounds().width()).isGreaterThan(ground.bounds().width() + 290);
    ItemId g = new ItemId("g"), p = new ItemId("p");
    Recipe.Made made =
        RecipeRun.of(
            new TexturedGround("Hinterland", g, p, 4, 0, 0.5),
            id -> id.equals(g) ? ground : picture,
            Progress.NONE);
    Shape.Faces s = (Shape.Faces) made.items().getFirst().shape();
    assertThat(s.mesh().triangleCount())
        .isLessThan(((Shape.Faces) ground.shape()).mesh().triangleCount() / 4);
    Pixels pixels = made.items().getFirst().attributes().texture().orElseThrow().pixels();
    assertThat(pixels.width()).isBetween(498, 502); // the picture was cut to the grid
    // the fjord in the south is painted as water, the hills in the north are not
    assertThat(pixels.argb()[(pixels.height() - 3) * pixels.width() + pixels.width() / 2])
        .isEqualTo(0xFF5F8FA6);
    assertThat(pixels.argb()[3 * pixels.width() + pixels.width() / 2]).isNotEqualTo(0xFF5F8FA6);
  }
}
