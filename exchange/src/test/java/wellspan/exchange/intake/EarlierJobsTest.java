package wellspan.exchange.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.job.JobStore;
import wellspan.core.job.Sha256;
import wellspan.core.progress.Progress;
import wellspan.exchange.delivery.DeliveryRun;

/**
 * Jobs saved by earlier versions deliver the very bytes that they did then. The digests are those
 * of files that the program wrote before items got kinds, shapes and attributes; a change that is
 * meant to change files changes them with a word of why.
 */
class EarlierJobsTest {
  private static final Clock CLOCK =
      Clock.fixed(Instant.parse("2026-11-24T10:00:00Z"), ZoneOffset.UTC);

  @TempDir Path dir;

  private static byte[] bytes(String name) throws IOException {
    try (InputStream in =
        EarlierJobsTest.class.getResourceAsStream("/wellspan/exchange/jobs/" + name)) {
      return in.readAllBytes();
    }
  }

  private Build open(int version) throws IOException {
    Path folder = dir.resolve("job");
    for (String name : List.of("landing.xml", "control.csv", "yard.csv", "survey.csv")) {
      Path file = Files.write(dir.resolve(name), bytes(name));
      String digest = Sha256.of(file, Progress.NONE);
      Path stored = folder.resolve("sources").resolve(digest.substring(0, 12)).resolve(name);
      Files.createDirectories(stored.getParent());
      Files.copy(file, stored);
    }
    Files.write(folder.resolve("job.json"), bytes("version-" + version + ".json"));
    JobStore store = new JobStore(folder);
    return SourceIntake.build(store, store.open(), Progress.NONE);
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3})
  void aJobOfAnEarlierVersionDeliversTheSameBytes(int version) throws IOException {
    Build build = open(version);
    List<String> delivered = new ArrayList<>();
    for (Delivery d : build.job().deliveries()) {
      DeliveryRun.Outcome o =
          DeliveryRun.run(
              build, d, dir.resolve("out"), dir.resolve("receipts"), CLOCK, Progress.NONE);
      assertThat(o.receipt().proof().pass()).as(d.name()).isTrue();
      delivered.add(version + "\t" + d.fileName() + "\t" + Sha256.of(o.file(), Progress.NONE));
    }
    assertThat(delivered)
        .containsExactlyElementsOf(
            new String(bytes("deliveries.tsv"), StandardCharsets.UTF_8)
                .lines()
                .filter(l -> l.startsWith(version + "\t"))
                .toList());
  }
}
