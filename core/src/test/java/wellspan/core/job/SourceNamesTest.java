package wellspan.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import org.junit.jupiter.api.Test;

class SourceNamesTest {
  private static Job with(Job job, String name, String file) {
    return job.withSource(
        Source.of(
            name, new Revision("Rev A", file, "x", "sha", 1, Instant.EPOCH, java.util.Map.of())));
  }

  @Test
  void aMarkOfTheRevisionMakesNoOtherSource() {
    Job job = with(Job.named("j"), "shore-survey", "shore-survey.csv");
    assertThat(SourceNames.of(job, "shore-survey_RevB.csv")).isEqualTo("shore-survey");
    assertThat(SourceNames.of(job, "Shore-Survey RevC.txt")).isEqualTo("shore-survey");
    assertThat(SourceNames.of(job, "yard.csv")).isEqualTo("yard");
  }

  @Test
  void aGridAndThePictureOfTheSameGroundAreTwo() {
    Job job = with(Job.named("j"), "hinterland", "hinterland.asc");
    assertThat(SourceNames.of(job, "hinterland.png")).isEqualTo("hinterland-png");
    Job both = with(job, "hinterland-png", "hinterland.png");
    assertThat(SourceNames.of(both, "hinterland-RevB.png")).isEqualTo("hinterland-png");
    assertThat(SourceNames.of(both, "hinterland-RevB.asc")).isEqualTo("hinterland");
  }
}
