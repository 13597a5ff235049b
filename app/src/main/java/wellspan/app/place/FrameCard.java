package wellspan.app.place;

import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.session.WindowActions;
import wellspan.app.theme.Choices;
import wellspan.app.theme.FigureField;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.crs.Crs;
import wellspan.core.crs.GridNorth;
import wellspan.core.frame.Frame;
import wellspan.core.frame.SinglePrecision;
import wellspan.core.geom.Box;
import wellspan.core.unit.LinearUnit;

/**
 * What of the frame has no place in the plan: system, heights, unit, lock, proposals, the sheet.
 */
final class FrameCard extends VBox {
  private final Session session;
  private final WindowActions actions;
  private final SystemSearch search;
  private boolean searching;

  FrameCard(Session session, WindowActions actions) {
    this.session = session;
    this.actions = actions;
    getStyleClass().add("card");
    search =
        new SystemSearch(
            session,
            (id, text) -> {
              searching = false;
              session.place().changeFrame("Choose " + id, f -> f.withCrs(id, text));
              refresh();
            });
    refresh();
  }

  void refresh() {
    Frame f = session.job().frame();
    Optional<Crs> crs = f.system();
    getChildren()
        .setAll(
            Parts.row(
                Parts.label("Frame", "title"),
                Parts.label(f.isLocked() ? "locked: " + f.lock() : "open", "muted")));
    getChildren()
        .add(
            Parts.row(
                Parts.label(f.crs().isEmpty() ? "no system yet" : f.crs(), "figure"), choose(f)));
    crs.ifPresent(
        c ->
            getChildren()
                .addAll(
                    Parts.wrapped(describe(c), "muted"),
                    new AreaPicture(c.area(), session.place().north())));
    if (searching) {
      getChildren().add(search);
    }
    heights(f);
    unit(f);
    session.place().north().ifPresent(g -> grid(f, g));
    distance(f);
    getChildren().add(lock(f));
    Button sheet =
        Parts.button(
            "Write the frame sheet",
            "plain",
            () -> session.place().writeSheet().ifPresent(actions::openOutside));
    sheet.setId("frame-sheet");
    sheet.setMaxWidth(Double.MAX_VALUE);
    getChildren().add(sheet);
  }

  private static String describe(Crs c) {
    return c.name()
        + ". "
        + (c.datum().isEmpty() ? "" : c.datum() + ". ")
        + c.area().name()
        + (c.axes().isEmpty()
            ? ""
            : ". Axes of the authority: " + c.axes().toLowerCase(java.util.Locale.ROOT))
        + ", "
        + c.unit()
        + ".";
  }

  private Button choose(Frame f) {
    Button choose =
        Parts.button(
            searching ? "Close the search" : "Choose",
            "plain",
            () -> {
              searching = !searching;
              refresh();
              if (searching) {
                search.start();
              }
            });
    choose.setId("choose-system");
    choose.setDisable(f.isLocked());
    return choose;
  }

  private void heights(Frame f) {
    FrameEdits edits = new FrameEdits(session);
    FigureField label =
        new FigureField(
                "heights",
                "Height system",
                150,
                t ->
                    session
                        .place()
                        .changeFrame("Name the height system", x -> x.withVerticalDatum(t)))
            .show(f.verticalDatum());
    label.setDisable(f.isLocked());
    FigureField offset =
        new FigureField(
                "ellipsoid-offset", "Ellipsoidal height minus level", 90, edits::ellipsoidOffset)
            .show(
                Double.isNaN(f.ellipsoidOffset())
                    ? "–"
                    : Figures.number(f.ellipsoidOffset(), 3) + " m");
    offset.setDisable(f.isLocked());
    getChildren()
        .addAll(
            Parts.row(Parts.label("Heights", "muted"), label),
            Parts.row(Parts.label("Ellipsoid above them", "muted"), offset));
  }

  private void unit(Frame f) {
    ComboBox<String> box = new ComboBox<>();
    box.setId("frame-unit");
    for (LinearUnit u :
        new LinearUnit[] {
          LinearUnit.METRE, LinearUnit.MILLIMETRE, LinearUnit.FOOT, LinearUnit.US_SURVEY_FOOT
        }) {
      box.getItems().add(u.title());
    }
    box.setValue(f.unit().title());
    box.setDisable(f.isLocked());
    Choices.onChosen(
        box,
        e ->
            LinearUnit.named(box.getValue())
                .ifPresent(
                    u -> session.place().changeFrame("Count in " + u.title(), x -> x.withUnit(u))));
    getChildren().add(Parts.row(Parts.label("Local unit", "muted"), box));
  }

  private void grid(Frame f, GridNorth g) {
    getChildren()
        .add(Parts.row("Grid from true north", Figures.number(g.convergenceDegrees(), 5) + "°"));
    getChildren().add(Parts.row("Point scale factor", Figures.number(g.scaleFactor(), 8)));
    double h = session.place().ellipsoidal(f.basePoint().level());
    getChildren().add(Parts.row("Combined factor", Figures.number(g.combinedFactor(h), 8)));
  }

  private void distance(Frame f) {
    Box work = session.build().bounds();
    if (work.isEmpty()) {
      return;
    }
    double far = work.farthestPlanDistance(f.basePoint());
    double step = SinglePrecision.resolution(far);
    getChildren()
        .addAll(
            Parts.row("Farthest from the base point", Figures.distance(far)),
            Parts.row(
                "Single-precision error there",
                "± " + Figures.distance(step / 2),
                step > 0.001 ? "warning" : "proven"));
  }

  private HBox lock(Frame f) {
    if (f.isLocked()) {
      Button unlock =
          Parts.button(
              "Unlock",
              "plain",
              () -> session.place().changeFrame("Unlock the frame", x -> x.withLock("")));
      unlock.setId("unlock");
      return Parts.row(Parts.label("", "muted"), unlock);
    }
    TextField reason = new TextField();
    reason.setId("lock-reason");
    reason.getStyleClass().add("field");
    reason.setPromptText("why, e.g. agreed 12 Nov");
    Button lock =
        Parts.button(
            "Lock",
            "plain",
            () -> {
              String why = reason.getText().strip();
              session
                  .place()
                  .changeFrame("Lock the frame", x -> x.withLock(why.isEmpty() ? "agreed" : why));
            });
    lock.setId("lock");
    reason.setOnAction(e -> lock.fire());
    reason.setPrefWidth(190);
    return Parts.row(reason, lock);
  }
}
