package wellspan.core.build;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.job.Revision;
import wellspan.core.job.Source;
import wellspan.core.operation.Outline;
import wellspan.core.place.SourcePlacement;
import wellspan.core.receive.Received;
import wellspan.core.recipe.Copy;
import wellspan.core.replay.RecordedStep;
import wellspan.core.step.Clip;
import wellspan.core.step.Raise;

/** Which items are not as a later state of the job has them. */
class StaleItemsTest {
  private static final ItemId GROUND = new ItemId("a/terrain-surface/Ground");
  private static final ItemId EDGE = new ItemId("b/string/Edge");
  private static final ItemId COPY = new ItemId("job/terrain-surface/Copy");
  private static final ItemId SECOND = new ItemId("job/terrain-surface/Second");

  private static Source source(String name, String content) {
    return Source.of(
        name, new Revision("Rev A", name + ".xml", name, content, 1, Instant.EPOCH, Map.of()));
  }

  private static Received holding(Item item) {
    return new Received("x", "", "metre", List.of(item), Map.of(), List.of(), List.of());
  }

  private static final Map<String, Received> RAW =
      Map.of(
          "a",
          holding(
              Item.surface(
                  "Ground",
                  new Mesh(
                      new double[] {0, 0, 0, 10, 0, 1, 10, 10, 2, 0, 10, 1},
                      new int[] {0, 1, 2, 0, 2, 3}))),
          "b",
          holding(
              Item.string(
                  "Edge",
                  new Polyline(new double[] {2, 2, 0, 8, 2, 0, 8, 8, 0, 2, 8, 0, 2, 2, 0}))));

  /** A copy of the ground clipped by the edge, and a copy of that. */
  private static Job job() {
    return Job.named("j")
        .withSource(source("a", "1"))
        .withSource(source("b", "1"))
        .withRecipe(new Copy("Copy", GROUND))
        .withSteps(COPY, List.of(RecordedStep.of(new Clip(new Outline.Of(EDGE, 0), true))))
        .withRecipe(new Copy("Second", COPY));
  }

  private static final Build BUILD = Build.of(job(), RAW);

  @Test
  void whatIsShownAsTheJobHasItIsNotStale() {
    assertThat(BUILD.stale(job())).isEmpty();
    assertThat(BUILD.stale(job().withSettings(List.of(GROUND), s -> s.withVisible(false))))
        .isEmpty();
  }

  @Test
  void aStepMakesItsItemStaleAndWhatIsMadeOfIt() {
    Job raised = BUILD.job().withSteps(GROUND, List.of(RecordedStep.of(new Raise(1))));
    assertThat(BUILD.stale(raised)).containsExactlyInAnyOrder(GROUND, COPY, SECOND);
    Job copyRaised = BUILD.job().withSteps(SECOND, List.of(RecordedStep.of(new Raise(1))));
    assertThat(BUILD.stale(copyRaised)).containsExactly(SECOND);
  }

  @Test
  void anotherRevisionOrPlacementMakesAllOfItStaleAndWhatLooksAtIt() {
    assertThat(BUILD.stale(BUILD.job().withSource(source("b", "2"))))
        .containsExactlyInAnyOrder(EDGE, COPY, SECOND);
    Source moved =
        BUILD
            .job()
            .source("a")
            .orElseThrow()
            .withPlacement(new SourcePlacement(true, 1, new SourcePlacement.Where.AlreadyShared()));
    assertThat(BUILD.stale(BUILD.job().withSource(moved)))
        .containsExactlyInAnyOrder(GROUND, COPY, SECOND);
  }

  @Test
  void whatNoRecipeMakesAnyMoreIsStale() {
    assertThat(BUILD.stale(BUILD.job().withoutRecipe("Second"))).containsExactly(SECOND);
    assertThat(BUILD.stale(BUILD.job().withRecipe(new Copy("Copy", EDGE))))
        .containsExactlyInAnyOrder(COPY, SECOND);
  }

  @Test
  void aJobWithoutOperationsKeepsItsSources() {
    Job bare = BUILD.job().withoutOperations();
    assertThat(bare.sources()).isEqualTo(BUILD.job().sources());
    assertThat(Build.of(bare, RAW).items()).containsOnlyKeys(GROUND, EDGE);
    assertThat(BUILD.stale(bare)).containsExactlyInAnyOrder(COPY, SECOND);
  }

  @Test
  void resultsOfRecipesCarryFiguresBeforeAndAfter() {
    OperationResults.MadeItems m = BUILD.results().maker(COPY).orElseThrow();
    assertThat(m.before().words()).isEqualTo("2 triangles");
    assertThat(m.after().words()).isEqualTo("2 triangles");
    assertThat(m.after().area()).isEqualTo(100);
    OperationResults.MadeItems second = BUILD.results().maker(SECOND).orElseThrow();
    assertThat(second.before().area()).isCloseTo(36, org.assertj.core.data.Offset.offset(1e-9));
    assertThat(second.before().highest()).isCloseTo(1.6, org.assertj.core.data.Offset.offset(1e-9));
  }
}
