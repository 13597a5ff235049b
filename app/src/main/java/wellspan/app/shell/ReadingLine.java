package wellspan.app.shell;

import java.util.Optional;
import javafx.beans.binding.Bindings;
import javafx.collections.ListChangeListener;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import wellspan.app.session.RunningTask;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Hint;
import wellspan.app.theme.Parts;
import wellspan.core.align.Chainages;
import wellspan.core.align.Footpoint;
import wellspan.core.finding.Stop;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.place.Contradictions;
import wellspan.core.shape.Shape;

/**
 * The bottom edge: where the cursor is in both coordinates, what runs, what happened last, the
 * frame in short.
 */
final class ReadingLine extends HBox {
  static final double HEIGHT = 28;

  private final Session session;
  private final Label shared = Parts.label("", "figure");
  private final Label local = Parts.label("", "figure");
  private final Label along = Parts.label("", "figure");
  private final Label message = Parts.label("");
  private final Label frame = Parts.label("", "figure");
  private final HBox work;

  ReadingLine(Session session) {
    super(14);
    this.session = session;
    setId("reading");
    getStyleClass().add("reading");
    setAlignment(Pos.CENTER_LEFT);
    setPadding(new Insets(0, 18, 0, 18));
    setMinHeight(HEIGHT);
    setPrefHeight(HEIGHT);
    work = new HBox();
    work.setAlignment(Pos.CENTER_LEFT);
    session.work().tasks().addListener((ListChangeListener<RunningTask>) c -> task());
    task();
    work.visibleProperty().bind(session.work().runningProperty());
    work.managedProperty().bind(session.work().runningProperty());
    message.setId("message");
    message.textProperty().bind(session.messages().sentenceProperty());
    // what was said last holds until something else changes what is shown
    message.visibleProperty().bind(session.work().changingProperty().not());
    message.managedProperty().bind(session.work().changingProperty().not());
    message.setMinWidth(40);
    message.textProperty().addListener((o, a, said) -> Hint.say(message, said));
    Hint.say(message, message.getText());
    shared.setMinWidth(USE_PREF_SIZE);
    local.setMinWidth(USE_PREF_SIZE);
    along.setMinWidth(USE_PREF_SIZE);
    frame.setMinWidth(USE_PREF_SIZE);
    // at the right its button stays where it is, whatever is read or said beside it
    getChildren().addAll(shared, local, along, message, Parts.space(), work, frame);
    session.aim().pointerProperty().addListener((o, a, b) -> pointer());
    session.historyProperty().addListener((o, a, b) -> refresh());
    message
        .styleProperty()
        .bind(
            Bindings.when(session.messages().complaintProperty())
                .then("-fx-text-fill: #F7A08D;")
                .otherwise(""));
    refresh();
  }

  /** What runs longest; where several run, the list above tells of all. */
  private void task() {
    work.getChildren().clear();
    session.work().tasks().stream()
        .findFirst()
        .map(t -> TaskList.row(t, "bar-button"))
        .ifPresent(
            row -> {
              row.lookup(".bar-button").setId("cancel");
              work.getChildren().add(row);
            });
  }

  private void pointer() {
    Optional<Position> at = session.aim().pointerProperty().get();
    shared.setText(at.map(Figures::shared).orElse(""));
    local.setText(at.map(p -> Figures.local(session.job().frame().toLocal(p))).orElse(""));
    String words = at.map(this::along).orElse("");
    along.setText(words);
    along.setManaged(!words.isEmpty());
    shared.setManaged(at.isPresent());
    local.setManaged(at.isPresent());
  }

  /** Chainage and offset to the chosen alignment; at the stop Place latitude and longitude. */
  private String along(Position p) {
    if (session.stopProperty().get() == Stop.PLACE) {
      return Contradictions.geographic(session.job().frame().withBasePoint(flat(p)))
          .map(
              g ->
                  Figures.number(g.latitude(), 6)
                      + "° N  "
                      + Figures.number(g.longitude(), 6)
                      + "° E")
          .orElse("");
    }
    return session
        .selectedItem()
        .filter(i -> i.item().shape() instanceof Shape.Axis)
        .flatMap(
            i -> Footpoint.of(((Shape.Axis) i.item().shape()).alignment(), p.east(), p.north()))
        .map(
            f ->
                Chainages.format(f.chainage())
                    + "  "
                    + Figures.number(Math.abs(f.offset()), 3)
                    + (f.offset() >= 0 ? " m right" : " m left"))
        .orElse("");
  }

  private static Position flat(Position p) {
    return new Position(p.east(), p.north(), 0);
  }

  private void refresh() {
    Frame f = session.job().frame();
    frame.setText(
        (f.crs().isEmpty() ? "no system" : f.crs())
            + (f.verticalDatum().isEmpty() ? "" : " · " + f.verticalDatum())
            + (f.isLocked() ? " · locked" : ""));
    pointer();
  }
}
