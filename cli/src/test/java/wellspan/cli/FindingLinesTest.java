package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;

class FindingLinesTest {
  private static Finding note(String item, String sentence) {
    return Finding.note(Stop.DELIVER, "delivery.loss", item, item + ": " + sentence);
  }

  @Test
  void whatIsSaidOfManyIsOneLine() {
    List<Finding> all = new ArrayList<>();
    for (int i = 1; i <= 40; i++) {
      all.add(note("P" + i, "it goes as a mesh."));
    }
    all.add(2, note("Axis", "it goes as a line."));
    assertThat(FindingLines.of(all))
        .containsExactly(
            "  note  P1, P2, P3 and 37 others: it goes as a mesh.",
            "  note  Axis: it goes as a line.");
  }

  @Test
  void aFewAreToldOneByOne() {
    List<Finding> all = List.of(note("A", "x."), note("B", "x."), note("C", "x."));
    assertThat(FindingLines.of(all))
        .containsExactly("  note  A: x.", "  note  B: x.", "  note  C: x.");
  }

  @Test
  void errorsAndWhatNamesNoItemAreAllThere() {
    List<Finding> all = new ArrayList<>();
    for (int i = 0; i < 9; i++) {
      all.add(Finding.error(Stop.DELIVER, "proof.missing", "P", "P: sent and not arrived."));
      all.add(Finding.note(Stop.DELIVER, "x", "", "The same words."));
    }
    assertThat(FindingLines.of(all)).hasSize(18);
  }
}
