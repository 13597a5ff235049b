package wellspan.core.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.job.Revision;
import wellspan.core.job.Source;
import wellspan.core.place.SourcePlacement;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.recipe.Copy;
import wellspan.core.replay.RecordedStep;
import wellspan.core.step.Raise;
import wellspan.core.terrain.Grounds;

/** What is taken from the cache when a job opens, and what is not. */
class KeptResultsTest {
  private static final ItemId GROUND = new ItemId("survey/terrain-surface/Ground");

  /** Counts what is asked for and not there. */
  private static final class Counting implements ResultCache {
    final Map<String, Object> kept = new HashMap<>();
    int found;
    int missed;

    @Override
    public <T> Optional<T> find(String key, Class<T> type) {
      Optional<T> it = Optional.ofNullable(kept.get(key)).map(type::cast);
      found += it.isPresent() ? 1 : 0;
      missed += it.isPresent() ? 0 : 1;
      return it;
    }

    @Override
    public void keep(String key, Object result, long nanos, Progress progress) {
      kept.put(key, result);
    }
  }

  private final Counting cache = new Counting();

  private static Job job(String content) {
    Revision r = new Revision("Rev A", "survey.xml", "x", content, 1, Instant.EPOCH, Map.of());
    return Job.named("j")
        .withSource(Source.of("survey", r))
        .withSteps(GROUND, List.of(RecordedStep.of(new Raise(1)), RecordedStep.of(new Raise(2))))
        .withRecipe(new Copy("Twin", GROUND));
  }

  private static Map<String, Received> raw() {
    return Map.of(
        "survey",
        new Received(
            "LandXML 1.2",
            "",
            "metre",
            List.of(Item.surface("Ground", Grounds.grid(4, 4, 1, (x, y) -> x))),
            Map.of(),
            List.of(),
            List.of()));
  }

  private Build open(Job job) {
    cache.found = 0;
    cache.missed = 0;
    return Build.of(job, raw(), cache, Progress.NONE);
  }

  @BeforeEach
  void openOnce() {
    open(job("abc"));
    assertThat(cache.missed).as("two steps and a recipe").isEqualTo(3);
  }

  @Test
  void aJobThatDidNotChangeOpensWithoutWork() {
    Build again = open(job("abc"));
    assertThat(cache.missed).isZero();
    assertThat(cache.found).isEqualTo(3);
    Item twin = again.items().get(new ItemId("job/terrain-surface/Twin")).item();
    assertThat(twin.bounds().minH()).isEqualTo(3);
  }

  @Test
  void whatHangsOnAnotherFileIsMadeAnew() {
    open(job("abd"));
    assertThat(cache.missed).isEqualTo(3);
  }

  @Test
  void whatHangsOnAnotherPlaceIsMadeAnew() {
    SourcePlacement moved =
        SourcePlacement.SHARED.withWhere(
            new SourcePlacement.Where.Local(new Position(5, 0, 0), 0, 1));
    Job j = job("abc");
    open(j.withSource(j.sources().getFirst().withPlacement(moved)));
    assertThat(cache.missed).isEqualTo(3);
  }

  @Test
  void theFirstStepsStayWhereALaterOneChanges() {
    Job other =
        job("abc")
            .withSteps(
                GROUND, List.of(RecordedStep.of(new Raise(1)), RecordedStep.of(new Raise(3))));
    Build b = open(other);
    assertThat(cache.found).as("the first step").isEqualTo(1);
    assertThat(cache.missed).as("the second, and what is made of it").isEqualTo(2);
    assertThat(b.items().get(GROUND).item().bounds().minH()).isEqualTo(4);
    assertThat(b.items().get(new ItemId("job/terrain-surface/Twin")).item().bounds().minH())
        .isEqualTo(4);
  }

  @Test
  void aRecipeThatIsAddedIsAllThatIsMade() {
    open(job("abc").withRecipe(new Copy("Second", GROUND)));
    assertThat(cache.missed).isEqualTo(1);
  }

  /** However short a step is, and whether or not it looks: who cancelled wants none of it. */
  @Test
  void nothingIsKeptOfABuildThatWasCancelled() {
    Progress cancelled =
        new Progress() {
          @Override
          public void report(double fraction, String sentence) {}

          @Override
          public boolean isCancelled() {
            return true;
          }
        };
    Map<String, Object> before = Map.copyOf(cache.kept);
    assertThatThrownBy(() -> Build.of(job("abd"), raw(), cache, cancelled))
        .isInstanceOf(CancellationException.class);
    assertThat(cache.kept).isEqualTo(before);
  }

  @Test
  void anotherReadingUnderTheSameNameIsNotMistaken() {
    Build first = open(job("abc"));
    cache.found = 0;
    first.next(job("abc"), raw(), Progress.NONE);
    assertThat(cache.found).isZero();
  }
}
