package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.item.ItemId;

/** What is done to several items at once, or to all findings of a kind. */
class SeveralItemsWindowTest extends WindowTest {
  @Test
  @SuppressWarnings("unchecked")
  void theDocketHoldsBackAndClassesAllThatAreSelected() throws Exception {
    receive(DEMO.resolve("survey/breaklines.dxf"));
    List<ItemId> ids = List.copyOf(session.build().items().keySet());
    assertThat(ids.size()).isGreaterThan(2);
    interact(() -> session.selection().choose(ids.subList(0, 2)));
    assertThat(docketOfDelivery()).contains("BIM handover all");
    fire("#all-in-BIM-handover");
    assertThat(session.job().delivery("BIM handover").orElseThrow().heldBack())
        .containsExactlyInAnyOrderElementsOf(ids.subList(0, 2));
    interact(() -> session.selection().choose(ids.subList(1, 3)));
    assertThat(docketOfDelivery()).contains("BIM handover 1 of 2");
    fire("#all-in-BIM-handover");
    assertThat(session.job().delivery("BIM handover").orElseThrow().heldBack())
        .containsExactly(ids.getFirst());

    fire("#class-of-all");
    assertThat(session.stopProperty().get()).isEqualTo(Stop.DESCRIBE);
    ComboBox<String> box = lookup("#class-choice").queryAs(ComboBox.class);
    String other =
        box.getItems().stream().filter(c -> c.equals("IfcAnnotation")).findFirst().orElseThrow();
    interact(() -> box.setValue(other));
    calm();
    for (ItemId id : ids.subList(1, 3)) {
      assertThat(session.job().settingsOf(id).entityClass())
          .hasValueSatisfying(c -> assertThat(c.entity()).isEqualTo(other));
    }
    fire("#say-of-all");
    assertThat(lookup("#attribute-say").query().isVisible()).isTrue();
  }

  private String docketOfDelivery() {
    return lookup("#docket-deliver .hyperlink").queryAllAs(Labeled.class).stream()
        .map(Labeled::getText)
        .toList()
        .toString();
  }

  /** Three lists with false levels: what mending would do is said, and nothing is done before. */
  @Test
  void mendingAllShowsFirstWhatItWouldDo() throws Exception {
    for (int i = 1; i <= 4; i++) {
      receive(survey(i));
    }
    String code =
        session.findingsProperty().get().stream()
            .map(Finding::code)
            .filter(c -> c.startsWith("points.level") || c.contains("level"))
            .findFirst()
            .orElseThrow();
    push(KeyCode.CONTROL, KeyCode.F);
    fire("#mend-all-" + code.replace('.', '-'));
    settle(() -> session.mends().previewProperty().get().isPresent());
    assertThat(session.job().steps()).as("nothing is done yet").isEmpty();
    assertThat(card("#mend-preview"))
        .contains("leave 0 of 4 such findings")
        .contains("102 \u2192 100 points");
    fire("#mend-leave");
    assertThat(lookup("#mend-preview").tryQuery()).isEmpty();
    fire("#mend-all-" + code.replace('.', '-'));
    settle(() -> session.mends().previewProperty().get().isPresent());
    fire("#mend-take");
    settle(() -> !session.work().runningProperty().get());
    assertThat(session.findingsProperty().get()).extracting(Finding::code).doesNotContain(code);
    assertThat(session.job().steps()).hasSize(4);
    interact(session::undo);
    assertThat(session.job().steps()).as("one edit").isEmpty();
  }

  private static Path survey(int number) throws Exception {
    StringBuilder s = new StringBuilder("name,easting,northing,height\n");
    for (int i = 0; i < 100; i++) {
      s.append(
          String.format(
              Locale.ROOT,
              "%d,%d,%d,%.2f%n",
              i,
              412_300 + 5 * (i % 10) + 100 * number,
              6_534_800 + 5 * (i / 10),
              30 + 0.1 * (i % 7)));
    }
    s.append("F1,").append(412_303 + 100 * number).append(",6534803,-999\n");
    s.append("F2,").append(412_308 + 100 * number).append(",6534813,-999\n");
    return Files.writeString(dir.resolve("list-" + number + ".csv"), s);
  }
}
