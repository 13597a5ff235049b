package wellspan.app.stage;

import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import wellspan.app.session.Pick;
import wellspan.app.session.PlaceDesk;
import wellspan.app.session.Session;
import wellspan.app.theme.Parts;

/** What to click next, shown on the picture where the clicks go while a pick is under way. */
final class PickPrompt extends VBox {
  private static final double ABOVE_SCALE_BAR = 40;

  PickPrompt(Session session) {
    setId("picking");
    getStyleClass().addAll("card", "pick-prompt");
    setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    setMouseTransparent(true);
    StackPane.setAlignment(this, Pos.BOTTOM_LEFT); // what is picked by is at the right
    StackPane.setMargin(this, new Insets(0, 0, ABOVE_SCALE_BAR, 16));
    PlaceDesk desk = session.place();
    desk.pickProperty().addListener((o, a, b) -> show(desk));
    desk.firstClickProperty().addListener((o, a, b) -> show(desk));
    show(desk);
  }

  private void show(PlaceDesk desk) {
    Pick pick = desk.pickProperty().get();
    setVisible(pick != Pick.NONE);
    getChildren()
        .setAll(
            Parts.label(
                desk.firstClickProperty().get().isPresent() ? pick.second() : pick.sentence(),
                "name"),
            Parts.label(
                (pick.catches() ? "Points and vertices nearby are caught. " : "")
                    + "Escape leaves it.",
                "muted"));
  }
}
