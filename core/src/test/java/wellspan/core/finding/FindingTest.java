package wellspan.core.finding;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Position;

class FindingTest {
  @Test
  void findingsBecomeJsonWithoutEmptyFields() {
    Finding bare = Finding.note(Stop.RECEIVE, "x.note", "", "A note.");
    Finding full =
        Finding.error(Stop.DELIVER, "proof.moved", "Road", "It moved.")
            .at(new Position(1, 2, Double.NaN))
            .withFigure(Figure.of(2, 1, "mm"));
    JsonNode n = FindingJson.array(List.of(bare, full));
    assertThat(n.get(0).properties())
        .extracting(java.util.Map.Entry::getKey)
        .containsExactly("severity", "code", "message");
    assertThat(n.get(1).path("severity").asText()).isEqualTo("error");
    assertThat(n.get(1).path("item").asText()).isEqualTo("Road");
    assertThat(n.get(1).path("figure").asText()).isEqualTo("2.0 mm");
    assertThat(n.get(1).path("place")).hasSize(2);
    assertThat(FindingJson.array(List.of(full.at(new Position(1, 2, 3)))).get(0).path("place"))
        .hasSize(3);
  }

  @Test
  void severitiesAreOrderedAndNamed() {
    assertThat(Severity.NOTE).isLessThan(Severity.WARNING);
    assertThat(Severity.WARNING).isLessThan(Severity.ERROR);
    assertThat(Severity.ERROR.word()).isEqualTo("error");
    assertThat(Finding.warning(Stop.PLACE, "c", "", "m").isError()).isFalse();
  }
}
