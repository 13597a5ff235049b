package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import javafx.event.Event;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.Test;
import wellspan.app.stage.PlanView;
import wellspan.app.theme.Theme;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;

/** Finding one's way among thousands of items: search, groups, several selected, rectangle. */
class ManyItemsWindowTest extends WindowTest {
  private static final int POSTS = 3000;

  /** A drawing of small faces, each on a layer of its own. */
  private Path posts() throws IOException {
    StringBuilder s = new StringBuilder("0\nSECTION\n2\nENTITIES\n");
    for (int i = 0; i < POSTS; i++) {
      double e = 412_300 + 5.0 * (i % 60), n = 6_534_800 + 5.0 * Math.floorDiv(i, 60);
      s.append("0\n3DFACE\n8\nPOST-").append(i).append('\n');
      double[][] corners = {{e, n, 3}, {e + 2, n, 3}, {e + 2, n + 2, 3.5}, {e, n + 2, 3.5}};
      for (int k = 0; k < 4; k++) {
        s.append(
            String.format(
                Locale.ROOT,
                "%d\n%.3f\n%d\n%.3f\n%d\n%.3f\n",
                10 + k,
                corners[k][0],
                20 + k,
                corners[k][1],
                30 + k,
                corners[k][2]));
      }
    }
    s.append("0\nENDSEC\n0\nEOF\n");
    return Files.writeString(dir.resolve("posts.dxf"), s);
  }

  private ListView<?> strata() {
    return lookup("#strata-list").queryListView();
  }

  @Test
  void onlyWhatIsInSightIsBuiltAndSearchFindsTheRest() throws Exception {
    receive(posts());
    assertThat(session.build().items()).hasSize(POSTS);
    assertThat(strata().getItems().size()).as("bands only").isLessThan(12);
    TextField search = lookup("#strata-search").query();
    interact(() -> search.setText("post-2999"));
    assertThat(
            lookup(
                    (Node n) ->
                        new ItemId("posts/terrain-surface/POST-2999").equals(n.getUserData()))
                .tryQuery())
        .isPresent();
    interact(() -> search.setText("layer:post-29"));
    long rows = strata().getItems().size();
    assertThat(rows).isGreaterThan(110); // 29, 290 to 299, 2900 to 2999 and the bands
    assertThat(lookup("#strata-list .strata-item").queryAll().size()).isLessThan(60);
    interact(search::clear);
    assertThat(strata().getItems().size()).isLessThan(12);
  }

  @Test
  void anotherChoiceMarksWhatIsChosenAndLeavesThePictureAsItIs() throws Exception {
    receive(posts());
    PlanView plan = shell.stage().plan();
    settle(() -> !plan.isBusy());
    for (int n : new int[] {100, 2950}) {
      ItemId id = new ItemId("posts/terrain-surface/POST-" + n);
      boolean[] drawnAnew = new boolean[1];
      Color[] marked = new Color[1];
      Canvas marks = lookup("#chosen-marks").query();
      interact(
          () -> {
            session.selection().choose(List.of(id));
            drawnAnew[0] = plan.isBusy();
            marked[0] =
                marks
                    .snapshot(null, null)
                    .getPixelReader()
                    .getColor((int) marks.getWidth() / 2, (int) marks.getHeight() / 2);
          });
      assertThat(drawnAnew[0]).isFalse();
      Position middle = session.build().items().get(id).item().bounds().centre();
      Point2D there = plan.onScreen(middle);
      assertThat(marks.isVisible()).isTrue();
      assertThat(marks.getBoundsInParent().contains(there)).isTrue();
      assertThat(marks.getWidth()).isLessThan(40);
      assertThat(marked[0]).isEqualTo(Theme.LIGHT.accent());
    }
    interact(() -> session.selection().choose(List.of()));
    assertThat(lookup("#chosen-marks").query().isVisible()).isFalse();
  }

  @Test
  void aRectangleOnThePlanSelectsAndTheDocketTellsWhatIsShared() throws Exception {
    receive(posts());
    settle(() -> !shell.stage().plan().isBusy());
    Node plan = lookup("#plan").query();
    var middle = plan.localToScreen(300, 250);
    moveTo(middle);
    press(KeyCode.SHIFT);
    press(MouseButton.PRIMARY);
    moveTo(middle.getX() + 90, middle.getY() + 80);
    release(MouseButton.PRIMARY);
    release(KeyCode.SHIFT);
    int chosen = session.selection().ids().size();
    assertThat(chosen).isBetween(2, POSTS - 1);
    assertThat(lookup("#docket .title").queryAll())
        .extracting(n -> ((Labeled) n).getText())
        .anyMatch(t -> t.replace("\u202f", "").replace(" ", "").equals(chosen + "items"));
    interact(() -> session.visibility().only(session.selection().ids()));
    assertThat(session.build().items().keySet().stream().filter(session.build()::isVisible))
        .hasSize(chosen);
    interact(session::undo);
    assertThat(session.build().items().keySet()).allMatch(session.build()::isVisible);
  }

  @Test
  void whateverCanBeDoneIsFoundByItsWords() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    push(KeyCode.CONTROL, KeyCode.K);
    TextField find = lookup("#find-field").query();
    assertThat(find.isFocused()).isTrue();
    interact(() -> find.setText("go to deliver"));
    push(KeyCode.ENTER);
    assertThat(session.stopProperty().get()).isEqualTo(Stop.DELIVER);
    assertThat(lookup("#find").query().isVisible()).isFalse();
    push(KeyCode.CONTROL, KeyCode.K);
    interact(() -> find.setText("yard link"));
    push(KeyCode.ENTER);
    assertThat(session.selectedItem().orElseThrow().item().name()).isEqualTo("Yard Link");
    push(KeyCode.CONTROL, KeyCode.K);
    interact(() -> find.setText("junction")); // an item's name begins so, actions only mention it
    push(KeyCode.ENTER);
    assertThat(session.selectedItem().orElseThrow().item().name()).startsWith("Junction");
    push(KeyCode.CONTROL, KeyCode.K);
    interact(() -> find.setText("zzzz"));
    assertThat(lookup("#find-list").queryListView().getItems()).isEmpty();
    push(KeyCode.ESCAPE);
    assertThat(lookup("#find").query().isVisible()).isFalse();
  }

  @Test
  void lettersThatFollowAtOnceAreNotLost() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    interact(
        () -> { // all of it before the window can draw the search, as where it is busy
          shell.showFind();
          for (String letter : List.of("y", "a", "r", "d")) {
            Node hand = shell.getScene().getFocusOwner();
            Event.fireEvent(
                hand,
                new KeyEvent(
                    KeyEvent.KEY_TYPED, letter, "", KeyCode.UNDEFINED, false, false, false, false));
          }
        });
    TextField find = lookup("#find-field").query();
    assertThat(find.getText()).isEqualTo("yard");
    interact(find::clear);
    push(KeyCode.ENTER);
    assertThat(lookup("#find").query().isVisible()).as("nothing was asked for").isTrue();
  }
}
