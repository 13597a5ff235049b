package wellspan.core.build;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Box;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.job.Job;
import wellspan.core.job.Revision;
import wellspan.core.job.Source;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;

class SourceExtentsTest {
  private static Source source(String name) {
    return Source.of(
        name, new Revision("Rev A", name + ".dxf", name, "1", 1, Instant.EPOCH, Map.of()));
  }

  private static Box at(double e) {
    return new Box(e, 0, 0, e + 10, 10, 0);
  }

  @Test
  void theMiddleComesFirstAndWhatIsNotKnownLast() {
    List<Source> all = List.of(source("new"), source("west"), source("east"), source("middle"));
    SourceExtents kept =
        new SourceExtents(Map.of("west", at(0), "east", at(300), "middle", at(140)));
    assertThat(kept.nearestFirst(all))
        .extracting(Source::name)
        .containsExactly("middle", "west", "east", "new");
    assertThat(new SourceExtents(Map.of()).nearestFirst(all)).isEqualTo(all);
  }

  /** A drawing of its own zero does not draw the middle away from the work. */
  @Test
  void whatLiesFarFromTheRestIsNotTheMiddle() {
    List<Source> all = List.of(source("far"), source("a"), source("b"), source("c"));
    Map<String, Box> byName = new HashMap<>();
    byName.put("far", at(-6_000_000));
    byName.put("a", at(0));
    byName.put("b", at(20));
    byName.put("c", at(40));
    assertThat(new SourceExtents(byName).nearestFirst(all))
        .extracting(Source::name)
        .containsExactly("b", "a", "c", "far");
  }

  @Test
  void whereSourcesLieIsKeptForTheJobAlone() {
    Map<String, Object> kept = new HashMap<>();
    ResultCache cache =
        new ResultCache() {
          @Override
          public <T> Optional<T> find(String key, Class<T> type) {
            return Optional.ofNullable(kept.get(key)).map(type::cast);
          }

          @Override
          public void keep(String key, Object result, long nanos, Progress progress) {
            kept.put(key, result);
          }
        };
    Job job = Job.named("j").withSource(source("s"));
    Item line = Item.string("l", new Polyline(new double[] {1, 2, 3, 4, 5, 6}));
    Build build =
        Build.of(
            job,
            Map.of(
                "s",
                new Received("x", "", "metre", List.of(line), Map.of(), List.of(), List.of())));
    SourceExtents.keep(build, cache);
    assertThat(SourceExtents.kept(job, cache).byName())
        .containsExactly(Map.entry("s", new Box(1, 2, 3, 4, 5, 6)));
    assertThat(SourceExtents.kept(Job.named("other"), cache).byName()).isEmpty();
    assertThat(kept).hasSize(1);
    SourceExtents.keep(build, cache);
    assertThat(kept).as("nothing new is nothing to keep").hasSize(1);
  }
}
