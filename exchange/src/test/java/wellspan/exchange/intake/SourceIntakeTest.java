package wellspan.exchange.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.build.Build;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.place.SourcePlacement;
import wellspan.core.progress.Progress;
import wellspan.core.receive.ReadingRule;
import wellspan.exchange.cache.CacheFolder;

/** What a received file does to the job besides becoming a source. */
class SourceIntakeTest {
  @TempDir Path dir;
  private JobStore store;
  private Job job;

  @BeforeEach
  void aJob() throws IOException {
    store = new JobStore(dir.resolve("job"));
    job = Job.named("J");
    store.create(job);
  }

  private SourceIntake.Taken take(Job into, String name, String epsg, String at)
      throws IOException {
    Path f = dir.resolve(name);
    Files.writeString(
        f,
        """
        {"type":"FeatureCollection","crs":{"type":"name","properties":{"name":"urn:ogc:def:crs:EPSG::%s"}},
         "features":[{"type":"Feature","properties":{},"geometry":{"type":"Point","coordinates":[%s]}}]}
        """
            .formatted(epsg, at));
    return SourceIntake.take(
        store, into, f, ReadingRule.AS_FOUND, Optional.empty(), Clock.systemUTC(), Progress.NONE);
  }

  @Test
  void theFirstProjectedSystemBecomesTheJobsAndLaterOnesDoNot() throws IOException {
    Job first = take(job, "a.geojson", "25832", "412000,6534500,1").job();
    assertThat(first.frame().crs()).isEqualTo("EPSG:25832");
    Job second = take(first, "b.geojson", "25833", "412000,6534500,1").job();
    assertThat(second.frame().crs()).isEqualTo("EPSG:25832");
    assertThat(second.sources()).hasSize(2);
  }

  @Test
  void degreesAreNoSystemForAJobAndAreTransformedAtOnce() throws IOException {
    SourceIntake.Taken t = take(job, "a.geojson", "4326", "7.5,58.9,1");
    assertThat(t.job().frame().crs()).isEmpty();
    assertThat(t.source().placement().where())
        .isEqualTo(new SourcePlacement.Where.InSystem("EPSG:4326", ""));
    SourceIntake.Taken metres = take(job, "b.geojson", "25832", "412000,6534500,1");
    assertThat(metres.source().placement()).isEqualTo(SourcePlacement.SHARED);
  }

  /** Who opens a job sees each source as soon as it is read, and the whole at the end. */
  @Test
  void sourcesAreShownAsTheyAreRead() throws IOException {
    Job all = take(job, "a.geojson", "25832", "412000,6534500,1").job();
    all = take(all, "b.geojson", "25832", "412010,6534500,1").job();
    all = take(all, "c.geojson", "25832", "412020,6534500,1").job();
    List<Build> seen = new ArrayList<>();
    Build whole = opened(all, seen);
    assertThat(seen).extracting(b -> b.items().size()).containsExactly(1, 2);
    assertThat(whole.items()).hasSize(3);
  }

  private Build opened(Job all, List<Build> seen) throws IOException {
    return SourceIntake.build(
        store,
        all,
        CacheFolder.of(store),
        new SourceIntake.SoFar() {
          @Override
          public boolean isWanted() {
            return true;
          }

          @Override
          public void show(Build early) {
            seen.add(early);
          }
        },
        Progress.NONE);
  }

  /** From the second time on it is known where they lie. */
  @Test
  void whatLiesInTheMiddleIsReadFirst() throws IOException {
    Job all = take(job, "west.geojson", "25832", "412000,6534500,1").job();
    all = take(all, "east.geojson", "25832", "412300,6534500,1").job();
    all = take(all, "middle.geojson", "25832", "412140,6534500,1").job();
    Build first = opened(all, new ArrayList<>());
    List<Build> seen = new ArrayList<>();
    Build second = opened(all, seen);
    assertThat(seen.getFirst().received()).containsOnlyKeys("middle");
    assertThat(seen.getLast().received()).containsOnlyKeys("middle", "west");
    assertThat(List.copyOf(second.items().keySet()))
        .as("their order in the job stays")
        .isEqualTo(List.copyOf(first.items().keySet()));
    assertThat(second.received().keySet()).containsExactly("west", "east", "middle");
  }
}
