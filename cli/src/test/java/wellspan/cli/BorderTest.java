package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.job.JobLock;
import wellspan.core.job.Sha256;

/** The job's folder is a border, and a job is changed by one at a time. */
class BorderTest extends CommandFixture {
  private static final Path DEMO = Path.of("..", "demo", "job");
  private Path job;

  @BeforeEach
  void copy() throws IOException {
    job = dir.resolve("inner").resolve("job");
    Files.createDirectories(job.getParent());
    try (Stream<Path> all = Files.walk(DEMO)) {
      for (Path p : all.toList()) {
        Files.copy(p, job.resolve(DEMO.relativize(p).toString()));
      }
    }
  }

  private void edit(java.util.function.Consumer<ObjectNode> change) throws IOException {
    ObjectMapper json = new ObjectMapper();
    ObjectNode n = (ObjectNode) json.readTree(job.resolve("job.json").toFile());
    change.accept(n);
    json.writeValue(job.resolve("job.json").toFile(), n);
  }

  /** Digests of all files, out/, receipts/ and cache/ left aside. */
  private Map<String, String> state() throws IOException {
    Map<String, String> out = new TreeMap<>();
    try (Stream<Path> all = Files.walk(dir)) {
      for (Path p : all.filter(Files::isRegularFile).toList()) {
        String name = dir.relativize(p).toString();
        if (Stream.of("out", "receipts", "cache")
            .noneMatch(own -> name.startsWith("inner/job/" + own))) {
          out.put(name, Sha256.of(p));
        }
      }
    }
    return out;
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "../job.json",
        "../../away.ifc",
        "/tmp/away.ifc",
        "sub/a.ifc",
        "..",
        "",
        "a\\b.ifc"
      })
  void aDeliveryWritesItsOwnFileOnly(String file) throws IOException {
    edit(n -> ((ObjectNode) n.get("deliveries").get(0)).put("file", file));
    Map<String, String> before = state();
    assertThat(run("deliver", job.toString())).isEqualTo(2);
    assertThat(err.toString()).contains("own folder only").contains("\"" + file + "\"");
    assertThat(state()).isEqualTo(before);
  }

  @Test
  void twoDeliveriesDoNotShareAFile() throws IOException {
    edit(
        n -> {
          String first = n.get("deliveries").get(0).get("file").asText();
          ((ObjectNode) n.get("deliveries").get(1))
              .put("file", first.toUpperCase(java.util.Locale.ROOT));
        });
    assertThat(run("deliver", job.toString())).isEqualTo(2);
    assertThat(err.toString()).contains("would both write");
  }

  @Test
  void aLinkThatLeadsOutIsNotFollowed() throws IOException {
    Path away = Files.createDirectories(dir.resolve("away"));
    Path out = job.resolve("out");
    if (Files.exists(out)) {
      try (Stream<Path> all = Files.walk(out)) {
        for (Path p : all.sorted(java.util.Comparator.reverseOrder()).toList()) {
          Files.delete(p);
        }
      }
    }
    Files.createSymbolicLink(out, away);
    assertThat(run("deliver", job.toString())).isEqualTo(2);
    assertThat(err.toString()).contains("leads out of the job's folder");
    assertThat(away).isEmptyDirectory();
  }

  @Test
  void aCacheThatLeadsOutIsNotUsed() throws IOException {
    Path away = Files.createDirectories(dir.resolve("away"));
    Path cache = job.resolve("cache");
    if (Files.exists(cache)) {
      try (Stream<Path> all = Files.walk(cache)) {
        for (Path p : all.sorted(java.util.Comparator.reverseOrder()).toList()) {
          Files.delete(p);
        }
      }
    }
    Files.createSymbolicLink(cache, away);
    assertThat(run("check", job.toString())).isEqualTo(1);
    assertThat(away).isEmptyDirectory();
  }

  @Test
  void whoComesSecondIsToldAndMayLook() throws IOException {
    Map<String, String> before = state();
    try (JobLock _ = JobLock.take(job, "another window", Clock.systemUTC())) {
      assertThat(run("place", job.toString(), "yard-layout", "--unit", "mm")).isEqualTo(2);
      assertThat(err.toString()).contains("another window").contains("since");
      assertThat(run("place", job.toString(), "yard-layout")).isNotEqualTo(2);
      assertThat(run("frame", job.toString())).isZero();
    }
    Map<String, String> after = state();
    after.remove("inner/job/job.lock");
    assertThat(after).isEqualTo(before);
  }

  @Test
  void aRefusedFileNeverEmptiesTheAnswer() throws IOException {
    Path good = Files.writeString(dir.resolve("a.csv"), "P,E,N,H\nA,1000,2000,3\nB,1001,2001,4\n");
    Path bad = Files.writeString(dir.resolve("b.weird"), "nobody knows this");
    assertThat(run("inspect", "--json", bad.toString(), good.toString())).isEqualTo(2);
    assertThat(json()).hasSize(1);
    assertThat(json().get(0).path("items")).hasSize(1);
    assertThat(err.toString().lines()).singleElement().asString().startsWith(bad.toString());
  }

  @Test
  void aWrongCallSaysWhatIsWrong() {
    assertThat(run("convert", "--nonsense", "a", "b")).isEqualTo(2);
    assertThat(err.toString()).contains("There is no option --nonsense").contains("--zero");
    assertThat(run("place", job.toString(), "--wrong=3")).isEqualTo(2);
    assertThat(err.toString()).contains("--wrong=3").contains("--fit");
    assertThat(run("transform")).isEqualTo(2);
    assertThat(err.toString()).isNotBlank();
  }
}
