package wellspan.app.place;

import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;
import wellspan.app.theme.Parts;

/** Figures in the plan that are one line until they are to be changed. */
final class FoldedFigures extends VBox {
  private final BooleanProperty open = new SimpleBooleanProperty();
  private final String title;
  private final Button heading;

  /**
   * @param id of the line that unfolds them
   */
  FoldedFigures(String id, String title, Node... figures) {
    super(3);
    this.title = title;
    getStyleClass().add("place-figures");
    heading = Parts.button(title, "fold", () -> open.set(!open.get()));
    heading.setId(id);
    heading.setMaxWidth(Double.MAX_VALUE);
    getChildren().add(heading);
    getChildren().addAll(figures);
    open.addListener((o, a, b) -> fold());
    fold();
  }

  private void fold() {
    for (Node n : getChildren().subList(1, getChildren().size())) {
      n.setVisible(open.get());
      n.setManaged(open.get());
    }
  }

  /** Whether the figures are to be seen and changed. */
  BooleanProperty openProperty() {
    return open;
  }

  /** What the line says of the figures. */
  void show(String summary) {
    heading.setText(title + "  " + summary);
  }
}
