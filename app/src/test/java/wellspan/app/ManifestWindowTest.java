package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollBar;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import org.junit.jupiter.api.Test;

/** The table of what goes into which delivery. */
class ManifestWindowTest extends WindowTest {
  private static double middle(Node n) {
    return n.localToScene(n.getBoundsInLocal()).getCenterX();
  }

  private boolean isScrolled() {
    return lookup("#manifest-list").query().lookupAll(".scroll-bar").stream()
        .anyMatch(
            n ->
                n instanceof ScrollBar b
                    && b.getOrientation() == Orientation.VERTICAL
                    && b.isVisible());
  }

  private void headsStandOverTheirCells() {
    List<Node> heads = List.copyOf(lookup(".manifest-head").queryAll());
    Set<HBox> rows = lookup("#manifest-list .manifest-row").queryAllAs(HBox.class);
    assertThat(heads).isNotEmpty();
    assertThat(rows).isNotEmpty();
    for (HBox row : rows) {
      List<Node> cells = row.getChildren().stream().filter(StackPane.class::isInstance).toList();
      assertThat(cells).hasSameSizeAs(heads);
      for (int i = 0; i < cells.size(); i++) {
        assertThat(middle(cells.get(i))).isCloseTo(middle(heads.get(i)), within(1.0));
      }
    }
  }

  @Test
  void headsStandOverTheirCellsWhetherTheListIsScrolledOrNot() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    push(KeyCode.CONTROL, KeyCode.DIGIT6);
    settle(this::isScrolled);
    headsStandOverTheirCells();
    for (int i = 0; i < 12 && isScrolled(); i++) { // closes one stratum after the other
      lookup("#manifest-list .label").queryAllAs(Label.class).stream()
          .filter(l -> l.getText().startsWith("\u25be"))
          .findFirst()
          .ifPresent(this::clickOn);
    }
    assertThat(isScrolled()).isFalse();
    headsStandOverTheirCells();
  }
}
