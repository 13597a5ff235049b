package wellspan.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.LocalZero;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.packing.Packing;
import wellspan.core.progress.Progress;
import wellspan.core.requirement.RequirementCheck;
import wellspan.core.requirement.RequirementReport;
import wellspan.core.rulebook.CodeSystem;
import wellspan.core.schema.IfcSchema;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.delivery.DeliveredModel;
import wellspan.exchange.ids.read.IdsReader;
import wellspan.exchange.intake.SourceIntake;

/** What the client of the demo asks for fails in three places, and passes once they are mended. */
class DemoRequirementsTest {
  private static final Path DEMO = Path.of("..", "demo");

  @TempDir Path folder;

  private static RequirementReport check(Build build) throws IOException {
    Delivery delivery =
        new Delivery(
            "x",
            "",
            IfcSchema.IFC4X3,
            LinearUnit.METRE,
            new LocalZero.BasePoint(),
            "x.ifc",
            Set.of());
    return RequirementCheck.run(
        IdsReader.read(DEMO.resolve("client/harbour-client.ids")),
        DeliveredModel.of(Packing.parcel(build, delivery), Progress.NONE),
        Progress.NONE);
  }

  private static List<String> failing(Build build) throws IOException {
    return check(build).results().stream()
        .filter(r -> !r.pass())
        .map(r -> r.specification().name())
        .toList();
  }

  @Test
  void threePlacesFailAndAreMended() throws IOException {
    try (Stream<Path> all = Files.walk(DEMO.resolve("job"))) {
      for (Path p : all.filter(f -> !f.toString().contains("cache")).toList()) {
        Files.copy(p, folder.resolve("job").resolve(DEMO.resolve("job").relativize(p).toString()));
      }
    }
    JobStore store = new JobStore(folder.resolve("job"));
    Build build = SourceIntake.build(store, store.open(), Progress.NONE);
    assertThat(failing(build))
        .containsExactly(
            "Chambers say who looks after them",
            "Courses have a code with its title",
            "Courses and kerbs say how far the work is");

    Job job = build.job();
    List<ItemId> chambers =
        build.items().values().stream()
            .filter(i -> i.item().kind().title().equals("chamber"))
            .map(Build.BuiltItem::id)
            .toList();
    job = job.withSettings(chambers, s -> s.withAttribute("Owner", "Harbour office"));
    job =
        job.withSettings(
            List.of(new ItemId("quay-road/course/Sub-base (2)")),
            s -> s.withAttribute("Status", "B"));
    CodeSystem works = job.rulebook().classification().getFirst();
    List<CodeSystem.Code> codes = new ArrayList<>(works.codes());
    codes.replaceAll(
        c -> c.code().equals("3.21") ? new CodeSystem.Code("3.21", "Base course", "1") : c);
    job = job.withRulebook(job.rulebook().with(works.withCodes(codes)));
    assertThat(failing(build.next(job, build.raw(), Progress.NONE))).isEmpty();
  }
}
