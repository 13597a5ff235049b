package wellspan.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.build.Build;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Position;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.job.Revision;
import wellspan.core.job.Source;
import wellspan.core.operation.Step;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.step.DropFalseLevels;
import wellspan.core.step.DropSpikes;
import wellspan.core.terrain.Grounds;

class ChecksTest {
  /** Codes of what this module looks for; what readers and proofs say is theirs. */
  private static final Pattern CODE =
      Pattern.compile("\"((?:terrain|frame|place|deliver|step|units)\\.[a-z-]+(?:\\.[a-z-]+)*)\"");

  @Test
  void everyCodeThatIsLookedForStandsInTheList() throws IOException {
    TreeSet<String> told = new TreeSet<>();
    try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
      files
          .filter(f -> f.toString().endsWith(".java"))
          .forEach(
              f -> {
                Matcher m = CODE.matcher(text(f));
                while (m.find()) {
                  told.add(m.group(1));
                }
              });
    }
    assertThat(told).hasSizeGreaterThan(30);
    assertThat(Check.all().stream().map(Check::code)).containsAll(told);
  }

  private static String text(Path f) {
    try {
      return Files.readString(f);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Test
  void everyRowSaysWhatItFindsAndEveryMendIsAStepForGround() {
    Item ground = Item.surface("G", Grounds.grid(2, 2, 5, (x, y) -> x));
    Item points = Item.points("P", List.of(new NamedPoint("1", new Position(0, 0, 0), "")));
    Item body = Item.body("B", Grounds.grid(2, 2, 5, (x, y) -> x), Band.STRUCTURES);
    Item axis =
        Item.alignment(
            "A",
            new Alignment(
                "A",
                List.of(new PlanElement.Line(new PlanPoint(0, 0, 0), 9)),
                new Chainages(0, List.of()),
                Optional.empty()));
    for (Check c : Check.all()) {
      assertThat(c.definition()).as(c.code()).isNotBlank();
      if (c.canMend()) {
        assertThat(c.mendFor(ground).or(() -> c.mendFor(points)).or(() -> c.mendFor(axis)))
            .as(c.code())
            .isPresent();
      }
      assertThat(c.mendFor(body)).isEmpty();
    }
    assertThat(Check.of("terrain.false-level").orElseThrow().mendFor(ground))
        .contains(new DropFalseLevels(true));
    assertThat(Check.of("terrain.false-level").orElseThrow().mendFor(points))
        .as("points have no gaps to close")
        .contains(new DropFalseLevels(false));
  }

  @Test
  void aCodeIsMendedOnEveryItemThatHasIt() {
    List<NamedPoint> survey = new ArrayList<>();
    for (int i = 0; i < 100; i++) {
      boolean spike = i == 44;
      survey.add(
          new NamedPoint("" + i, new Position(i % 10 * 5, i / 10.0 * 5, spike ? 40 : 5), ""));
    }
    Map<String, Received> raw =
        Map.of(
            "a", file(Item.points("P", survey)),
            "b", file(Item.points("P", survey)));
    Job job = Job.named("J");
    for (String name : List.of("a", "b")) {
      job =
          job.withSource(
              Source.of(
                  name,
                  new Revision("Rev A", "survey.csv", "x", "abc", 1, Instant.EPOCH, Map.of())));
    }
    Build build = Build.of(job, raw);
    List<Finding> found = JobFindings.of(build, Progress.NONE);
    assertThat(found)
        .filteredOn(f -> f.code().equals("terrain.spike"))
        .extracting(f -> f.subject().orElseThrow())
        .containsExactly(new ItemId("a/points/P"), new ItemId("b/points/P"));
    Map<ItemId, Step> steps = JobFindings.mends(build, found, "terrain.spike");
    assertThat(steps).hasSize(2).containsValue(new DropSpikes(0, false));
    Build mended = build.next(JobFindings.mended(job, steps), raw, Progress.NONE);
    assertThat(JobFindings.of(mended, Progress.NONE))
        .extracting(Finding::code)
        .doesNotContain("terrain.spike");
  }

  private static Received file(Item item) {
    return new Received("CSV", "", "metre", List.of(item), Map.of(), List.of(), List.of());
  }

  /** What is asked of some items is what all checks find in them, and nothing of the others. */
  @Test
  void findingsOfSomeItemsAreThoseOfAll() {
    Build build = twoLists();
    List<Finding> all = JobFindings.of(build, Progress.NONE);
    Set<ItemId> both = build.items().keySet();
    assertThat(both).hasSize(2);
    for (ItemId id : both) {
      assertThat(JobFindings.about(build, Set.of(id), Progress.NONE))
          .isNotEmpty()
          .containsExactlyInAnyOrderElementsOf(
              all.stream().filter(f -> f.subject().filter(id::equals).isPresent()).toList());
    }
    assertThat(JobFindings.about(build, Set.of(new ItemId("s/points/gone")), Progress.NONE))
        .isEmpty();
  }

  private static Build twoLists() {
    double[] xyz = Grounds.scatter(900, 100, 3, (x, y) -> 30 + x / 50);
    xyz[3 * 70 + 2] = -999;
    xyz[3 * 500 + 2] += 9;
    List<Item> items = new ArrayList<>();
    for (String name : List.of("first", "second")) {
      List<NamedPoint> points = new ArrayList<>();
      for (int i = 0; i < xyz.length; i += 3) {
        points.add(new NamedPoint("" + i, new Position(xyz[i], xyz[i + 1], xyz[i + 2]), ""));
      }
      items.add(Item.points(name, points));
    }
    Revision r = new Revision("Rev A", "s.csv", "x", "abc", 1, Instant.EPOCH, Map.of());
    return Build.of(
        Job.named("j").withSource(Source.of("s", r)),
        Map.of("s", new Received("x", "", "metre", items, Map.of(), List.of(), List.of())));
  }
}
