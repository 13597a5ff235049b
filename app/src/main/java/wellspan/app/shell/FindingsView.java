package wellspan.app.shell;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.build.Build;
import wellspan.core.check.Check;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Severity;
import wellspan.core.finding.Stop;
import wellspan.core.operation.Step;

/** Everything the checks found, grouped by stop. A click brings the stage to the place. */
final class FindingsView extends BorderPane {
  private final Session session;
  private final VBox list = new VBox();

  FindingsView(Session session, Runnable close) {
    this.session = session;
    setId("findings");
    getStyleClass().add("findings");
    setPrefWidth(360);
    setMaxWidth(360);
    HBox head =
        new HBox(
            Parts.label("Findings", "title"),
            Parts.space(),
            Parts.icon(Feather.X, "Close the findings (Ctrl+F)", close));
    head.setPadding(new Insets(12, 8, 8, 14));
    setTop(head);
    ScrollPane scroll = new ScrollPane(list);
    scroll.setFitToWidth(true);
    scroll.getStyleClass().add("card-scroll");
    setCenter(scroll);
    session.findingsProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  private void refresh() {
    list.getChildren().clear();
    for (Stop stop : Stop.values()) {
      List<Finding> here =
          session.findingsProperty().get().stream().filter(f -> f.stop() == stop).toList();
      if (!here.isEmpty()) {
        var title = Parts.label(stop.title(), "docket-stop");
        title.setPadding(new Insets(10, 14, 2, 14));
        list.getChildren().add(title);
        here.forEach(f -> list.getChildren().add(row(f)));
      }
    }
    if (list.getChildren().isEmpty()) {
      var nothing = Parts.label("Nothing found.", "muted");
      nothing.setPadding(new Insets(14));
      list.getChildren().add(nothing);
    }
  }

  private HBox row(Finding f) {
    FontIcon icon =
        new FontIcon(
            f.severity() == Severity.ERROR
                ? Feather.X_CIRCLE
                : f.severity() == Severity.WARNING ? Feather.ALERT_TRIANGLE : Feather.INFO);
    String style =
        f.severity() == Severity.ERROR
            ? "error"
            : f.severity() == Severity.WARNING ? "warning" : "muted";
    VBox text = new VBox(2, Parts.wrapped(f.message()));
    f.place()
        .ifPresent(p -> text.getChildren().add(Parts.label(Figures.shared(p), "figure", "muted")));
    text.setMaxWidth(290);
    var word = Parts.label(f.severity().word(), style);
    text.getChildren().addFirst(word);
    mend(f)
        .ifPresent(
            step -> {
              Button b =
                  Parts.button(
                      "Mend", "small", () -> session.shape().add(f.subject().orElseThrow(), step));
              b.setTooltip(new Tooltip(step.title()));
              b.setAccessibleText(step.title());
              text.getChildren().add(b);
            });
    HBox row = new HBox(10, icon, text);
    row.getStyleClass().add("finding");
    row.setFocusTraversable(true);
    row.setAccessibleText(f.message());
    row.setOnMouseClicked(e -> go(session, f));
    row.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.SPACE) {
            go(session, f);
            e.consume();
          }
        });
    return row;
  }

  /** The step that mends what was found, where it is an item and there is one. */
  private Optional<Step> mend(Finding f) {
    return f.subject()
        .map(session.build().items()::get)
        .flatMap(i -> Check.of(f.code()).flatMap(c -> c.mendFor(i.item())));
  }

  /** Brings stop, selection and stage to what was found. */
  static void go(Session session, Finding f) {
    session.stopProperty().set(f.stop());
    f.subject()
        .or(
            () ->
                session.build().items().values().stream()
                    .filter(i -> i.item().name().equals(f.item()))
                    .findFirst()
                    .map(Build.BuiltItem::id))
        .ifPresent(id -> session.selectedProperty().set(Optional.of(id)));
    f.place()
        .ifPresent(
            p -> {
              session.goToProperty().set(Optional.empty());
              session.goToProperty().set(Optional.of(p));
            });
  }
}
