package wellspan.app.theme;

import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;

/** The column of cards beside the stage. */
public class CardColumn extends ScrollPane {
  private static final double BETWEEN = 12;

  protected final VBox cards = new VBox(BETWEEN);

  @SuppressWarnings("this-escape") // only what every node of the toolkit is set up with
  protected CardColumn(String id) {
    setId(id);
    setContent(cards);
    setFitToWidth(true);
    setHbarPolicy(ScrollBarPolicy.NEVER);
    getStyleClass().add("card-scroll");
  }

  /** Scrolls so far that a part of a card stands at the top, or as near to it as there is room. */
  protected final void bringToTheTop(Node part) {
    applyCss();
    layout();
    double top = cards.sceneToLocal(part.localToScene(0, 0)).getY();
    double beyond = cards.getHeight() - getViewportBounds().getHeight();
    setVvalue(beyond <= 0 ? 0 : Math.clamp(top / beyond, 0, 1));
  }
}
