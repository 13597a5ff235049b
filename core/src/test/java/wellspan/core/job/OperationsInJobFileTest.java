package wellspan.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Outline;
import wellspan.core.recipe.Copy;
import wellspan.core.recipe.Earth;
import wellspan.core.replay.RecordedStep;
import wellspan.core.step.Clip;
import wellspan.core.step.DropSpikes;
import wellspan.core.step.MergeDuplicates;
import wellspan.core.step.Raise;
import wellspan.core.triangulate.LevelRule;

/** Operations as they stand in a job file. */
class OperationsInJobFileTest {
  private static final ItemId POINTS = new ItemId("survey/points/Shore");
  private static final ItemId GROUND = new ItemId("survey/terrain-surface/Ground");

  private static Job raised() {
    Revision r = new Revision("Rev A", "survey.xml", "x", "abc", 1, Instant.EPOCH, Map.of());
    return Job.named("j")
        .withSource(Source.of("survey", r))
        .withSteps(GROUND, List.of(RecordedStep.of(new Raise(0.5))));
  }

  @Test
  void stepsAndRecipesSurviveTheJobFile() throws Exception {
    Job job =
        raised()
            .withSteps(
                POINTS,
                List.of(
                    new RecordedStep(new DropSpikes(2.5, false), false),
                    RecordedStep.of(new MergeDuplicates(LevelRule.LOWEST)),
                    RecordedStep.of(
                        new Clip(new Outline.Drawn(List.of(0.0, 0.0, 1.5, 0.0, 1.0, 1.0)), false))))
            .withRecipe(new Earth("Earth", GROUND, POINTS))
            .withRecipe(new Copy("Twin", GROUND));
    assertThat(JobReading.read(JobJson.write(job), "job.json").job()).isEqualTo(job);
  }

  @Test
  void aStepNobodyKnowsIsNamedAndTheRestOpens() throws Exception {
    String text = JobJson.write(raised()).replace("\"step\" : \"raise\"", "\"step\" : \"squash\"");
    JobReading.Opened opened = JobReading.read(text, "job.json");
    assertThat(opened.notUnderstood())
        .singleElement()
        .asString()
        .contains("steps")
        .contains("squash");
    assertThat(opened.job().sources()).isEqualTo(raised().sources());
  }

  @Test
  void aStepThatHasGainedAParameterOpensWithItsUsualValue() throws Exception {
    Job job = raised().withSteps(GROUND, List.of(RecordedStep.of(new DropSpikes(0, false))));
    String before = JobJson.write(job).replaceAll(",\\s*\"refill\" : false", "");
    assertThat(before).doesNotContain("refill");
    JobReading.Opened opened = JobReading.read(before, "job.json");
    assertThat(opened.notUnderstood()).isEmpty();
    assertThat(opened.job()).isEqualTo(job);
  }
}
