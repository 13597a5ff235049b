package wellspan.app.shell;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import wellspan.app.session.Session;
import wellspan.app.session.WindowActions;
import wellspan.app.theme.Parts;
import wellspan.app.theme.Theme;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Severity;
import wellspan.core.finding.Stop;

/** The route: six stops on one line with the findings that belong to each. */
final class RouteView extends Pane {
  static final double HEIGHT = 72;
  private static final double LINE_Y = 26;

  private final Session session;
  private final Canvas canvas = new Canvas();
  private final VBox names;
  private final Label jobName = Parts.label("", "muted");
  private final Label notSaved = Parts.label("\u00b7 not saved", "muted");
  private final List<ToggleButton> stops = new ArrayList<>();
  private final List<Label> badges = new ArrayList<>();
  private final HBox tools;
  private Theme theme = Theme.LIGHT;

  /**
   * @param actions of the buttons at the right: undo, redo, findings, theme, shortcuts
   */
  RouteView(Session session, WindowActions actions) {
    this.session = session;
    setId("route");
    getStyleClass().add("route");
    setMinHeight(HEIGHT);
    setPrefHeight(HEIGHT);
    // a long name is cut, what says that it is not saved is not
    notSaved.setMinWidth(USE_PREF_SIZE);
    notSaved.managedProperty().bind(notSaved.visibleProperty());
    names = new VBox(1, Parts.label("Wellspan", "brand"), new HBox(4, jobName, notSaved));
    names.setLayoutX(18);
    names.setLayoutY(13);
    names.setMaxWidth(196);
    names.setPrefWidth(196);
    getChildren().addAll(canvas, names);
    for (Stop s : Stop.values()) {
      ToggleButton b = new ToggleButton();
      b.setId("stop-" + s.name().toLowerCase(java.util.Locale.ROOT));
      b.getStyleClass().setAll("toggle-button", "stop-button");
      b.setGraphic(Parts.label(s.title()));
      b.setAccessibleText(s.title());
      b.setOnAction(
          e -> {
            session.stopProperty().set(s);
            refresh();
          });
      Label badge = Parts.label("", "badge");
      badge.setMouseTransparent(true);
      stops.add(b);
      badges.add(badge);
      getChildren().addAll(b, badge);
    }
    Button undo = Parts.icon(Feather.CORNER_UP_LEFT, "Undo (Ctrl+Z)", session::undo);
    undo.setId("undo");
    Button redo = Parts.icon(Feather.CORNER_UP_RIGHT, "Redo (Ctrl+Shift+Z)", session::redo);
    redo.setId("redo");
    Button findings = Parts.icon(Feather.FLAG, "Findings (Ctrl+F)", actions::toggleFindings);
    findings.setId("findings-button");
    tools =
        new HBox(
            0,
            undo,
            redo,
            findings,
            Parts.icon(Feather.SEARCH, "Find anything (Ctrl+K)", actions::showFind),
            Parts.icon(Feather.MOON, "Light or dark (Ctrl+T)", actions::toggleTheme),
            Parts.icon(Feather.HELP_CIRCLE, "Keys (F1)", actions::showShortcuts));
    getChildren().add(tools);
    session.stopProperty().addListener((o, a, b) -> refresh());
    session.findingsProperty().addListener((o, a, b) -> refresh());
    session.historyProperty().addListener((o, a, b) -> refresh());
    session.unsavedProperty().addListener((o, a, b) -> refresh());
    undo.disableProperty()
        .bind(
            javafx.beans.binding.Bindings.createBooleanBinding(
                () -> !session.historyProperty().get().canUndo(), session.historyProperty()));
    redo.disableProperty()
        .bind(
            javafx.beans.binding.Bindings.createBooleanBinding(
                () -> !session.historyProperty().get().canRedo(), session.historyProperty()));
    refresh();
  }

  void setTheme(Theme t) {
    theme = t;
    requestLayout();
  }

  private void refresh() {
    jobName.setText(session.job().name());
    notSaved.setVisible(session.unsavedProperty().get());
    for (Stop s : Stop.values()) {
      stops.get(s.ordinal()).setSelected(s == session.stopProperty().get());
      List<Finding> here =
          session.findingsProperty().get().stream()
              .filter(f -> f.stop() == s && f.severity() != Severity.NOTE)
              .toList();
      Label badge = badges.get(s.ordinal());
      badge.setText(Integer.toString(here.size()));
      badge.setVisible(!here.isEmpty());
      boolean error = here.stream().anyMatch(Finding::isError);
      badge.getStyleClass().setAll("label", "badge", error ? "badge-error" : "badge-warning");
    }
    requestLayout();
  }

  @Override
  protected void layoutChildren() {
    super.layoutChildren();
    double w = getWidth();
    canvas.setWidth(w);
    canvas.setHeight(HEIGHT - 1);
    tools.autosize();
    tools.relocate(w - tools.getWidth() - 8, 12);
    GraphicsContext g = canvas.getGraphicsContext2D();
    g.clearRect(0, 0, w, HEIGHT);
    int now = session.stopProperty().get().ordinal();
    g.setLineWidth(4);
    g.setStroke(theme.line());
    g.strokeLine(RouteGrid.x(0, w), LINE_Y, RouteGrid.x(5, w), LINE_Y);
    g.setStroke(theme.accent());
    g.strokeLine(RouteGrid.x(0, w), LINE_Y, RouteGrid.x(now, w), LINE_Y);
    for (int i = 0; i < stops.size(); i++) {
      double x = RouteGrid.x(i, w);
      double r = i == now ? 10 : 7;
      g.setFill(i == now ? theme.accent() : theme.panel());
      g.setStroke(i <= now ? theme.accent() : theme.line());
      g.setLineWidth(3);
      g.fillOval(x - r, LINE_Y - r, 2 * r, 2 * r);
      g.strokeOval(x - r, LINE_Y - r, 2 * r, 2 * r);
      ToggleButton b = stops.get(i);
      b.resizeRelocate(x - 10, 8, 96, 56);
      b.setAlignment(javafx.geometry.Pos.BOTTOM_LEFT);
      Label badge = badges.get(i);
      if (badge.isVisible()) {
        badge.autosize();
        badge.relocate(x + 11, 6);
        g.setStroke(
            badge.getStyleClass().contains("badge-error") ? theme.error() : theme.warning());
        g.setLineWidth(1.5);
        g.strokeLine(x + 11.5, 8, x + 11.5, LINE_Y + 2);
      }
    }
  }
}
