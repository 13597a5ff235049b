package wellspan.core.receive;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FileStemTest {
  @ParameterizedTest
  @CsvSource({
    "shore-survey.csv, shore-survey",
    "shore-survey-RevB.csv, shore-survey",
    "shore-survey_revision 12.csv, shore-survey",
    "Quay Road (Rev C).xml, Quay Road",
    "review.xml, review",
    "revA.dxf, revA",
    ".hidden, .hidden",
    "no-ending, no-ending",
    "two.dots.las, two.dots"
  })
  void endingAndRevisionAreLeftOut(String file, String stem) {
    assertThat(FileStem.of(file)).isEqualTo(stem);
  }
}
