package wellspan.app.stage;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import wellspan.app.session.Session;
import wellspan.app.theme.Parts;
import wellspan.core.job.SavedView;

/** The views that were kept by name, and the one to be kept now. */
final class ViewsCard extends VBox {
  private static final double WIDTH = 250;

  private final Session session;
  private final Function<String, SavedView> now;
  private final Consumer<SavedView> go;
  private final TextField name = new TextField();
  private final Label wrong = Parts.wrapped("", "error");

  /**
   * @param now the view on the stage, under a name
   * @param go shows a view
   */
  ViewsCard(Session session, Function<String, SavedView> now, Consumer<SavedView> go) {
    super(6);
    this.session = session;
    this.now = now;
    this.go = go;
    setId("views");
    getStyleClass().add("card");
    setPrefWidth(WIDTH);
    setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    name.setId("view-name");
    name.getStyleClass().add("field");
    name.setAccessibleText("Name of the view");
    name.setPromptText("bridge from the shore");
    name.setOnAction(e -> keep());
    visibleProperty().bind(session.aim().viewsProperty());
    managedProperty().bind(visibleProperty());
    session.historyProperty().addListener((o, a, b) -> refresh());
    visibleProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  private void refresh() {
    if (!isVisible()) {
      return;
    }
    List<SavedView> views = session.job().views();
    Button close = Parts.icon(Feather.X, "Close", () -> session.aim().viewsProperty().set(false));
    getChildren().setAll(Parts.row(Parts.label("Views", "title"), close));
    if (views.isEmpty()) {
      getChildren().add(Parts.wrapped("None is kept yet. Name what you see now.", "muted"));
    }
    views.forEach(v -> getChildren().add(row(v)));
    Button keep = Parts.button("Keep it", "small", this::keep);
    keep.setId("keep-view");
    HBox.setHgrow(name, Priority.ALWAYS);
    HBox entry = new HBox(6, name, keep);
    entry.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(Parts.label("Keep this view as", "muted"), entry, wrong);
    wrong.setManaged(!wrong.getText().isEmpty());
  }

  private HBox row(SavedView v) {
    Button look = Parts.button(v.name(), "plain", () -> go.accept(v));
    look.setMaxWidth(Double.MAX_VALUE);
    look.setAlignment(Pos.CENTER_LEFT);
    HBox.setHgrow(look, Priority.ALWAYS);
    Button remove =
        Parts.icon(
            Feather.X,
            "Remove the view " + v.name(),
            () -> session.edit("Remove the view " + v.name(), j -> j.withoutView(v.name())));
    HBox row = new HBox(6, look, Parts.label(v.picture().word(), "muted"), remove);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private void keep() {
    String called = name.getText().strip();
    wrong.setText(called.isEmpty() ? "Give it a name first." : "");
    if (!called.isEmpty()) {
      name.clear();
      session.edit("Keep the view " + called, j -> j.withView(now.apply(called)));
    }
    refresh();
  }
}
