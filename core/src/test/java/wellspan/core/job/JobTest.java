package wellspan.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.RecordComponent;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import wellspan.core.deliver.ProjectInfo;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.place.Control;
import wellspan.core.place.SpotMark;
import wellspan.core.recipe.Copy;
import wellspan.core.replay.RecordedStep;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.rulebook.RulebookJson;
import wellspan.core.step.Raise;

/** An edit of a job changes one part of it and leaves all others as they are. */
class JobTest {
  private static final ItemId ITEM = new ItemId("s/terrain-surface/G");

  private static Source source(String name) {
    return Source.of(
        name, new Revision("Rev A", name + ".xml", name, "abc", 1, Instant.EPOCH, Map.of()));
  }

  /** A job with something in every part. */
  private static Job full() throws Exception {
    Rulebook book =
        RulebookJson.read(
            new com.fasterxml.jackson.databind.ObjectMapper()
                .readTree("{\"wellspan-rulebook\":1,\"name\":\"Client\",\"version\":\"1\"}"));
    return Job.named("Full")
        .withFrame(Job.named("x").frame().withVerticalDatum("NN2000"))
        .withSource(source("s"))
        .withSettings(List.of(ITEM), s -> s.withVisible(false))
        .withControl(
            new Control(
                List.of(new Control.Point("P", new Position(1, 2, 3))),
                Control.USUAL_TOLERANCE,
                ""))
        .withMarks(List.of(new SpotMark("M", new Position(4, 5, 6))))
        .withRecipe(new Copy("C", ITEM))
        .withSteps(ITEM, List.of(RecordedStep.of(new Raise(1))))
        .withRulebook(book)
        .withProject(ProjectInfo.entries().getFirst().with().of(ProjectInfo.NONE, "Author"))
        .withView(view("Bridge", SavedView.Picture.SPACE));
  }

  private static SavedView view(String name, SavedView.Picture picture) {
    return new SavedView(name, picture, new Position(412_300, 6_534_800, 12), 250, -28, 58, 2);
  }

  private static List<String> changed(Job a, Job b) throws ReflectiveOperationException {
    List<String> out = new ArrayList<>();
    for (RecordComponent c : Job.class.getRecordComponents()) {
      if (!c.getAccessor().invoke(a).equals(c.getAccessor().invoke(b))) {
        out.add(c.getName());
      }
    }
    return out;
  }

  private static Arguments edit(String part, UnaryOperator<Job> change) {
    return Arguments.of(part, change);
  }

  static Stream<Arguments> edits() {
    return Stream.of(
        edit("frame", j -> j.withFrame(j.frame().withRotation(12))),
        edit("sources", j -> j.withSource(source("t"))),
        edit("sources", j -> j.withSource(source("s").withRevision(source("u").current()))),
        edit("settings", j -> j.withSettings(List.of(ITEM), s -> s.withVisible(true))),
        edit("deliveries", j -> j.withoutDelivery("BIM handover")),
        edit("control", j -> j.withControl(Control.NONE)),
        edit("marks", j -> j.withMarks(List.of())),
        edit("recipes", j -> j.withoutRecipe("C")),
        edit("recipes", j -> j.withRecipe(new Copy("D", ITEM))),
        edit("steps", j -> j.withSteps(ITEM, List.of())),
        edit("rulebook", j -> j.withRulebook(Rulebook.NONE)),
        edit("project", j -> j.withProject(ProjectInfo.NONE)),
        edit("views", j -> j.withView(view("Bridge", SavedView.Picture.PLAN))),
        edit("views", j -> j.withView(view("Quay", SavedView.Picture.PLAN))),
        edit("views", j -> j.withoutView("Bridge")));
  }

  @ParameterizedTest
  @MethodSource("edits")
  void changesOnePart(String part, UnaryOperator<Job> change) throws Exception {
    Job before = full();
    assertThat(changed(before, change.apply(before))).containsExactly(part);
  }

  @Test
  void everyPartIsWrittenAndReadAgain() throws Exception {
    Job job = full();
    Job back = JobReading.read(JobJson.write(job), "job.json").job();
    assertThat(changed(job, back)).isEmpty();
    assertThat(JobReading.read(JobJson.write(job), "job.json").notUnderstood()).isEmpty();
  }

  @Test
  void theSameNameReplacesAndKeepsThePlace() throws Exception {
    Job two = full().withSource(source("t"));
    Job other = two.withSource(source("s").withRevision(source("v").current()));
    assertThat(other.sources()).extracting(Source::name).containsExactly("s", "t");
    assertThat(other.source("s").orElseThrow().revisions()).hasSize(2);
  }

  @Test
  void withoutOperationsNothingIsMadeAndTheRestStays() throws Exception {
    Job job = full();
    assertThat(changed(job, job.withoutOperations())).containsExactlyInAnyOrder("recipes", "steps");
  }
}
