package wellspan.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.build.Build;
import wellspan.core.build.ResultCache;
import wellspan.core.item.Item;
import wellspan.core.job.JobStore;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Shape;
import wellspan.exchange.cache.CacheFolder;
import wellspan.exchange.intake.SourceIntake;

/** A job that opens from its cache is the job that opens without. */
class DemoFromItsCacheTest {
  @TempDir Path dir;

  private static void copy(Path from, Path to) throws IOException {
    try (Stream<Path> all = Files.walk(from)) {
      for (Path p : all.filter(f -> !f.toString().contains("cache")).toList()) {
        Path there = to.resolve(from.relativize(p).toString());
        if (Files.isDirectory(p)) {
          Files.createDirectories(there);
        } else {
          Files.copy(p, there);
        }
      }
    }
  }

  @Test
  void itemsFindingsAndReadingsAreTheSame() throws IOException {
    Path folder = dir.resolve("job");
    copy(Path.of("../demo/job"), folder);
    JobStore store = new JobStore(folder);
    Build first = SourceIntake.build(store, store.open(), Progress.NONE);
    assertThat(folder.resolve("cache")).isNotEmptyDirectory();
    Build second = SourceIntake.build(store, store.open(), Progress.NONE);
    assertThat(second.items().keySet()).containsExactlyElementsOf(first.items().keySet());
    second.items().forEach((id, b) -> same(b.item(), first.items().get(id).item()));
    assertThat(second.findings()).containsExactlyElementsOf(first.findings());
    second
        .received()
        .forEach(
            (name, r) -> assertThat(r.counts()).isEqualTo(first.received().get(name).counts()));
  }

  /** However quickly a thing was made on this machine: on another one it is kept. */
  @Test
  void whateverIsMadeCanBeKept() throws IOException {
    Path folder = dir.resolve("job");
    copy(Path.of("../demo/job"), folder);
    JobStore store = new JobStore(folder);
    Build build = SourceIntake.build(store, store.open(), Progress.NONE);
    ResultCache cache = new CacheFolder(dir.resolve("kept"), 1L << 30);
    build
        .items()
        .forEach(
            (id, b) -> {
              cache.keep(id.value(), b.item(), Long.MAX_VALUE, Progress.NONE);
              Optional<Item> kept = cache.find(id.value(), Item.class);
              assertThat(kept).as(id.value()).isPresent();
              same(kept.get(), b.item());
              assertThat(kept.get().shape().facts()).isEqualTo(b.item().shape().facts());
            });
  }

  private static void same(Item kept, Item made) {
    assertThat(kept.kind()).isSameAs(made.kind());
    assertThat(kept.attributes()).isEqualTo(made.attributes());
    assertThat(kept.shape()).hasSameClassAs(made.shape());
    assertThat(kept.shape().bounds()).isEqualTo(made.shape().bounds());
    List<double[]> vertices = made.shape().vertices();
    for (int i = 0; i < vertices.size(); i++) {
      assertThat(kept.shape().vertices().get(i)).containsExactly(vertices.get(i));
    }
    made.triangles()
        .ifPresent(
            m ->
                assertThat(kept.triangles().orElseThrow().triangles())
                    .containsExactly(m.triangles()));
    if (made.shape() instanceof Shape.Axis || made.shape() instanceof Shape.Points) {
      assertThat(kept.shape()).isEqualTo(made.shape());
    }
  }
}
