package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import wellspan.core.item.ItemId;
import wellspan.core.recipe.Sweep;

/** What cannot be made is told where it was filled in, and nothing of it stays in the job. */
class MakeAgainWindowTest extends WindowTest {
  private static final ItemId QUAY = new ItemId("quay-road/alignment/Quay Road");

  private void withRoad() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    interact(() -> session.selectedProperty().set(Optional.of(QUAY)));
    push(KeyCode.CONTROL, KeyCode.DIGIT3);
    fire("#make-sweep");
  }

  private void fillIn(String field, String text) {
    TextField f = lookup(field).queryAs(TextField.class);
    interact(() -> f.setText(text));
  }

  private boolean isMade() {
    return session.build().items().keySet().stream()
        .anyMatch(id -> id.value().startsWith("job/") && id.value().contains("Rail"));
  }

  @Test
  void theFormStaysWithTheReasonUntilItIsRight() throws Exception {
    withRoad();
    fillIn("#sweep-from-chainage", "99000");
    fire("#sweep-go");
    settle(() -> lookup("#sweep-problem").tryQuery().filter(n -> n.isVisible()).isPresent());
    assertThat(session.job().recipes()).isEmpty();
    assertThat(text("#sweep-problem")).contains("nothing of it lies between the chainages");
    assertThat(text("#message")).contains("was not made");
    assertThat(lookup("#sweep-from-chainage").queryAs(TextField.class).getText())
        .isEqualTo("99000");
    assertThat(lookup("#sweep-name").query().isDisabled()).as("it is not there yet").isFalse();

    fillIn("#sweep-from-chainage", "100");
    fire("#sweep-go");
    settle(this::isMade);
    assertThat(session.job().recipes()).hasSize(1);
  }

  @Test
  void whatIsNotANumberIsSaidUnderTheButton() throws Exception {
    withRoad();
    fillIn("#sweep-from-chainage", "soon");
    fire("#sweep-go");
    assertThat(text("#sweep-problem")).contains("\"soon\" is not a number");
    assertThat(session.job().recipes()).isEmpty();
  }

  @Test
  void aSurfaceThatCannotBeMadeIsExplainedUnderItsButton() throws Exception {
    Path file = dir.resolve("on-one-line.csv");
    StringBuilder points = new StringBuilder("name,east,north,level\n");
    for (int i = 0; i < 8; i++) {
      points.append("P%d,%d,%d,%d%n".formatted(i, 412000 + 10 * i, 6534000 + 10 * i, i));
    }
    Files.writeString(file, points);
    receive(file);
    fire("#next-surface");
    settle(() -> session.shape().making().refusedProperty().get().isPresent());
    String why = session.shape().making().refusedProperty().get().orElseThrow().why();
    assertThat(card("#next")).contains(why);
    assertThat(session.job().recipes()).isEmpty();
  }

  @Test
  void whatCannotBeMadeAnyMoreIsTakenAwayWhereItIsTold() throws Exception {
    withRoad();
    fire("#sweep-go");
    settle(this::isMade);
    Sweep made = (Sweep) session.job().recipes().getFirst();
    interact(
        () ->
            session.edit( // as a revision that lacks the line does
                "Another line",
                j ->
                    j.withRecipe(
                        new Sweep(
                            made.name(),
                            new ItemId("gone/alignment/Old"),
                            made.section(),
                            made.drawn(),
                            made.offset(),
                            made.height(),
                            made.fall(),
                            made.from(),
                            made.to(),
                            made.ground(),
                            made.rounding(),
                            made.posts(),
                            made.material()))));
    settle(() -> card("#flaws").contains("could not be made"));
    assertThat(session.job().recipes()).as("it was not asked for now").hasSize(1);
    fire("#flaws-take-away-Rail");
    settle(() -> session.job().recipes().isEmpty());
    settle(() -> !card("#flaws").contains("could not be made"));
  }
}
