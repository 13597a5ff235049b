package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.CancellationException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.extract.Split;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.progress.Progress;
import wellspan.core.receipt.Receipt;
import wellspan.exchange.delivery.DeliveryRun;
import wellspan.exchange.intake.SourceIntake;

/** A delivery in several files that fit together, all proven or none kept. */
class SplitDeliveryTest extends CommandFixture {
  private static final Path DEMO = Path.of("../demo/job");
  private static final Pattern ROOT =
      Pattern.compile("#\\d+=\\s?(IFC\\w+)\\('([0-9A-Za-z_$]{22})'");

  /**
   * What several models of one project share: it is the same thing in each, with parts in several.
   */
  private static final Set<String> SHARED =
      Set.of(
          "IFCPROJECT",
          "IFCDISTRIBUTIONSYSTEM",
          "IFCPAVEMENT",
          "IFCSITE",
          "IFCBUILDING",
          "IFCROAD",
          "IFCROADPART",
          "IFCBRIDGE",
          "IFCBRIDGEPART");

  @TempDir static Path folder;
  private static Build build;

  @BeforeAll
  static void build() throws IOException {
    Path job = folder.resolve("job");
    try (Stream<Path> all = Files.walk(DEMO)) {
      for (Path p : all.toList()) {
        Files.copy(p, job.resolve(DEMO.relativize(p).toString()));
      }
    }
    JobStore store = new JobStore(job);
    build = SourceIntake.build(store, store.open(), Progress.NONE);
  }

  private DeliveryRun.Outcome deliver(Split split, Progress progress) throws IOException {
    Delivery d = build.job().delivery("BIM handover").orElseThrow().dealt(Optional.of(split));
    return DeliveryRun.run(build, d, dir, dir.resolve("receipts"), Clock.systemUTC(), progress);
  }

  private static Map<String, Set<String>> rooted(Path file) throws IOException {
    Map<String, Set<String>> out = new HashMap<>();
    Matcher m = ROOT.matcher(Files.readString(file));
    while (m.find()) {
      out.computeIfAbsent(m.group(1), k -> new TreeSet<>()).add(m.group(2));
    }
    return out;
  }

  private static void fitTogether(List<Path> files) throws IOException {
    Set<String> things = new HashSet<>();
    Map<String, Set<String>> shared = new HashMap<>();
    for (Path f : files) {
      for (Map.Entry<String, Set<String>> e : rooted(f).entrySet()) {
        if (SHARED.contains(e.getKey())) {
          shared.computeIfAbsent(e.getKey(), k -> new TreeSet<>()).addAll(e.getValue());
        } else if (!e.getKey().startsWith("IFCREL")) {
          for (String id : e.getValue()) {
            assertThat(things.add(id)).as(f + " has " + e.getKey() + " " + id + " again").isTrue();
          }
        }
      }
    }
    assertThat(shared.get("IFCPROJECT")).hasSize(1);
    assertThat(shared.get("IFCSITE")).hasSize(1);
    assertThat(shared.get("IFCROAD")).hasSize(1);
  }

  @Test
  void strataGoToFilesOfTheirOwn() throws IOException {
    DeliveryRun.Outcome whole =
        DeliveryRun.run(
            build,
            build.job().delivery("BIM handover").orElseThrow(),
            dir.resolve("whole"),
            dir.resolve("receipts"),
            Clock.systemUTC(),
            Progress.NONE);
    DeliveryRun.Outcome o = deliver(new Split.ByStratum(), Progress.NONE);
    assertThat(o.receipt().proof().pass()).isTrue();
    assertThat(o.files()).hasSizeGreaterThan(3).allSatisfy(f -> assertThat(f).exists());
    assertThat(o.receipt().proof().sent())
        .as("every item lies in one of the files")
        .isEqualTo(whole.receipt().proof().sent());
    assertThat(o.receipt().contents().keySet()).isEqualTo(whole.receipt().contents().keySet());
    assertThat(o.receipt().files())
        .extracting(Receipt.SentFile::name)
        .containsAll(o.files().stream().map(f -> f.getFileName().toString()).toList());
    fitTogether(o.files());
    Map<String, Set<String>> all = rooted(whole.file());
    for (Path f : o.files()) {
      rooted(f)
          .forEach(
              (entity, ids) -> {
                if (entity.equals("IFCCOURSE") || entity.equals("IFCROADPART")) {
                  assertThat(all.get(entity)).as(f + " " + entity).containsAll(ids);
                }
              });
    }
  }

  @Test
  void roadsAreCutByLengthAndTheirPartsAddUp() throws IOException {
    DeliveryRun.Outcome o = deliver(new Split.ByChainage(300), Progress.NONE);
    assertThat(o.receipt().proof().pass()).isTrue();
    assertThat(o.files())
        .extracting(f -> f.getFileName().toString())
        .contains("brindle-ness-0+000.ifc", "brindle-ness-0+300.ifc");
    fitTogether(o.files());
    double parts = 0;
    List<String> wholes = new ArrayList<>();
    for (Path f : o.files()) {
      assertThat(run("inspect", f.toString(), "--json")).as(err.toString()).isZero();
      for (JsonNode i : json().get(0).path("items")) {
        if (i.path("name").asText().contains("course")) {
          parts += i.path("volume").asDouble();
          wholes.add(f.getFileName().toString());
        }
      }
    }
    double whole =
        build.items().values().stream()
            .filter(i -> i.item().name().contains("course"))
            .mapToDouble(i -> i.item().triangles().orElseThrow().volume())
            .sum();
    assertThat(wholes.stream().distinct().count()).isGreaterThan(1);
    assertThat(whole).isPositive();
    assertThat(parts).isCloseTo(whole, within(1e-3 * whole));
  }

  @Test
  void cancelledAtTheLastFileNoneIsKept() throws IOException {
    List<Path> first = deliver(new Split.ByStratum(), Progress.NONE).files();
    Map<Path, String> before = new HashMap<>();
    for (Path f : first) {
      before.put(f, Files.readString(f));
    }
    Progress late =
        new Progress() {
          private volatile boolean far;

          @Override
          public void report(double fraction, String sentence) {
            far |= fraction > 0.8;
          }

          @Override
          public boolean isCancelled() {
            return far;
          }
        };
    assertThatThrownBy(() -> deliver(new Split.ByStratum(), late))
        .isInstanceOf(CancellationException.class);
    for (Map.Entry<Path, String> e : before.entrySet()) {
      assertThat(Files.readString(e.getKey())).isEqualTo(e.getValue());
    }
    try (Stream<Path> all = Files.list(dir)) {
      assertThat(all.filter(Files::isRegularFile).toList())
          .containsExactlyInAnyOrderElementsOf(first);
    }
  }

  @Test
  void theJobSaysHowItIsSplitAndTheCommandFollows() throws IOException {
    Path job = dir.resolve("job");
    try (Stream<Path> all = Files.walk(DEMO)) {
      for (Path p : all.toList()) {
        Files.copy(p, job.resolve(DEMO.relativize(p).toString()));
      }
    }
    JobStore store = new JobStore(job);
    Job opened = store.open();
    Delivery ground = opened.delivery("Ground to design").orElseThrow();
    store.save(opened.withDelivery(ground.dealt(Optional.of(new Split.ByRoad()))));
    assertThat(run("deliver", job.toString(), "Ground to design", "--json"))
        .as(err.toString())
        .isZero();
    assertThat(json().get(0).path("files").findValuesAsText("name"))
        .anySatisfy(n -> assertThat(n).startsWith("brindle-ness-ground-").endsWith(".xml"));
  }

  @Test
  void aPartNeverTakesTheFileOfAnotherDelivery() throws IOException {
    Delivery other = build.job().delivery("Model review").orElseThrow();
    Delivery named =
        new Delivery(
            other.name(),
            "",
            other.format(),
            other.unit(),
            other.zero(),
            "brindle-ness-ground.ifc",
            Set.of());
    Build clash = Build.of(build.job().withDelivery(named), build.received());
    Delivery d =
        build
            .job()
            .delivery("BIM handover")
            .orElseThrow()
            .dealt(Optional.of(new Split.ByStratum()));
    assertThatThrownBy(() -> DeliveryRun.run(clash, d, dir, dir, Clock.systemUTC(), Progress.NONE))
        .hasMessageContaining("Model review")
        .hasMessageContaining("brindle-ness-ground.ifc");
  }
}
