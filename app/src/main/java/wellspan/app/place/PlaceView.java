package wellspan.app.place;

import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.crs.Crs;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.crs.GridNorth;
import wellspan.core.crs.Transformation;
import wellspan.core.frame.BasePoints;
import wellspan.core.frame.Frame;
import wellspan.core.frame.SinglePrecision;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;

/**
 * The frame beside the plan: system, heights, base point, site north, lock; and what the distance
 * costs.
 */
public final class PlaceView extends ScrollPane {
  private final Session session;
  private final VBox cards = new VBox(12);
  private final SystemSearch search;
  private boolean searching;

  public PlaceView(Session session) {
    this.session = session;
    setId("place");
    setContent(cards);
    setFitToWidth(true);
    getStyleClass().add("card-scroll");
    search =
        new SystemSearch(
            c -> {
              searching = false;
              session.editFrame("Choose " + c.id(), f -> f.withCrs(c.id()));
              refresh();
            });
    session.buildProperty().addListener((o, a, b) -> refresh());
    session.pickingBasePointProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  private void refresh() {
    Frame f = session.job().frame();
    cards.getChildren().setAll(frameCard(f), basePointCard(f), extentCard(f));
  }

  private static VBox card(javafx.scene.Node... nodes) {
    VBox v = new VBox(nodes);
    v.getStyleClass().add("card");
    return v;
  }

  private VBox frameCard(Frame f) {
    Optional<Crs> crs = f.crs().isEmpty() ? Optional.empty() : CrsCatalogue.shipped().find(f.crs());
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
    VBox v =
        card(
            Parts.row(
                Parts.label("Frame", "title"),
                Parts.label(f.isLocked() ? "locked: " + f.lock() : "open", "muted")));
    v.getChildren()
        .add(
            Parts.row(
                Parts.label(f.crs().isEmpty() ? "no system yet" : f.crs(), "figure"), choose));
    crs.ifPresent(c -> v.getChildren().add(Parts.wrapped(c.name() + ". " + c.area(), "muted")));
    if (searching) {
      v.getChildren().add(search);
    }
    v.getChildren()
        .add(
            Parts.row(
                Parts.label("Heights", "muted"),
                field(
                    "heights",
                    f.verticalDatum(),
                    f,
                    text -> text,
                    (frame, text) -> frame.withVerticalDatum(text),
                    "Name the height system")));
    v.getChildren()
        .add(
            Parts.row(
                Parts.label("Site north", "muted"),
                field(
                    "rotation",
                    Figures.number(f.rotationDegrees(), 4) + "°",
                    f,
                    Figures::parse,
                    Frame::withRotation,
                    "Turn site north")));
    crs.ifPresent(c -> convergence(v, c, f));
    v.getChildren().add(lock(f));
    return v;
  }

  private static void convergence(VBox v, Crs c, Frame f) {
    try {
      GridNorth g = GridNorth.at(c, f.basePoint());
      v.getChildren()
          .add(Parts.row("Grid from true north", Figures.number(g.convergenceDegrees(), 4) + "°"));
      v.getChildren().add(Parts.row("Scale grid / ellipsoid", Figures.number(g.scaleFactor(), 7)));
      v.getChildren()
          .add(
              Parts.row(
                  "Base point",
                  Figures.number(g.latitude(), 5)
                      + "° N  "
                      + Figures.number(g.longitude(), 5)
                      + "° E"));
    } catch (Transformation.OutsideAreaException | IllegalArgumentException e) {
      v.getChildren()
          .add(
              Parts.wrapped(
                  "The base point does not lie in this system's area of use.", "warning"));
    }
  }

  private HBox lock(Frame f) {
    if (f.isLocked()) {
      Button unlock =
          Parts.button(
              "Unlock", "plain", () -> session.editFrame("Unlock the frame", x -> x.withLock("")));
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
              session.editFrame("Lock the frame", x -> x.withLock(why.isEmpty() ? "agreed" : why));
            });
    lock.setId("lock");
    reason.setOnAction(e -> lock.fire());
    reason.setPrefWidth(190);
    return Parts.row(reason, lock);
  }

  /** A figure that can be edited where it stands: Enter takes it, Escape puts the old one back. */
  private <T> TextField field(
      String id,
      String text,
      Frame now,
      Function<String, T> parse,
      BiFunction<Frame, T, Frame> change,
      String what) {
    TextField t = new TextField(text);
    t.setId(id);
    t.getStyleClass().add("field");
    t.setPrefWidth(150);
    t.setDisable(now.isLocked());
    t.setOnAction(e -> take(t, parse, change, what));
    t.focusedProperty()
        .addListener(
            (o, a, focused) -> {
              if (!focused && !t.getText().equals(text)) {
                take(t, parse, change, what);
              }
            });
    t.setOnKeyPressed(
        e -> {
          if (e.getCode() == javafx.scene.input.KeyCode.ESCAPE) {
            t.setText(text);
            e.consume();
          }
        });
    return t;
  }

  private <T> void take(
      TextField t, Function<String, T> parse, BiFunction<Frame, T, Frame> change, String what) {
    try {
      T value = parse.apply(t.getText().strip());
      session.editFrame(what, f -> change.apply(f, value));
    } catch (NumberFormatException e) {
      session.complain("\"" + t.getText() + "\" is not a number. Type it as 412000.000.");
    }
  }

  private VBox basePointCard(Frame f) {
    Position p = f.basePoint();
    Button pick =
        Parts.button(
            session.pickingBasePointProperty().get() ? "Click on the plan …" : "Pick on the plan",
            "plain",
            () ->
                session.pickingBasePointProperty().set(!session.pickingBasePointProperty().get()));
    pick.setId("pick-base-point");
    pick.setDisable(f.isLocked());
    VBox v =
        card(
            Parts.row(Parts.label("Base point", "title"), pick),
            Parts.row(
                Parts.label("E", "muted"),
                field(
                    "base-e",
                    Figures.number(p.east(), 3),
                    f,
                    Figures::parse,
                    (x, e) ->
                        x.withBasePoint(
                            new Position(e, x.basePoint().north(), x.basePoint().height())),
                    "Move the base point")),
            Parts.row(
                Parts.label("N", "muted"),
                field(
                    "base-n",
                    Figures.number(p.north(), 3),
                    f,
                    Figures::parse,
                    (x, n) ->
                        x.withBasePoint(
                            new Position(x.basePoint().east(), n, x.basePoint().height())),
                    "Move the base point")),
            Parts.row(
                Parts.label("H", "muted"),
                field(
                    "base-h",
                    Figures.number(p.height(), 3),
                    f,
                    Figures::parse,
                    (x, h) ->
                        x.withBasePoint(
                            new Position(x.basePoint().east(), x.basePoint().north(), h)),
                    "Move the base point")));
    Box work = session.build().bounds();
    if (!work.isEmpty()) {
      Position near = BasePoints.propose(work);
      if (work.farthestPlanDistance(near) < work.farthestPlanDistance(p)) {
        Button take =
            Parts.button(
                "Take",
                "plain",
                () ->
                    session.editFrame("Take the proposed base point", x -> x.withBasePoint(near)));
        take.setId("take-proposal");
        take.setDisable(f.isLocked());
        v.getChildren()
            .add(
                Parts.row(
                    Parts.wrapped(
                        "near the work: "
                            + Figures.number(near.east(), 0)
                            + ", "
                            + Figures.number(near.north(), 0)
                            + ", "
                            + Figures.number(near.height(), 0),
                        "muted"),
                    take));
      }
    }
    return v;
  }

  private VBox extentCard(Frame f) {
    Box b = session.build().bounds();
    VBox v = card(Parts.label("Extent of the work", "title"));
    if (b.isEmpty()) {
      v.getChildren().add(Parts.wrapped("Nothing is received yet.", "muted"));
      return v;
    }
    Position low = new Position(b.minE(), b.minN(), b.minH());
    Position high = new Position(b.maxE(), b.maxN(), b.maxH());
    v.getChildren()
        .addAll(
            Parts.label("shared", "muted"),
            Parts.label(Figures.shared(low), "figure"),
            Parts.label(Figures.shared(high), "figure"),
            Parts.label("local, of these two corners", "muted"),
            Parts.label(Figures.local(f.toLocal(low)), "figure"),
            Parts.label(Figures.local(f.toLocal(high)), "figure"));
    double far = b.farthestPlanDistance(f.basePoint());
    double step = SinglePrecision.step(far);
    v.getChildren().add(Parts.row("Farthest from the base point", Figures.distance(far)));
    v.getChildren()
        .add(
            Parts.row(
                "Single-precision error there",
                "± " + Figures.distance(step / 2),
                step > 0.001 ? "warning" : "proven"));
    double unmoved = SinglePrecision.step(Math.max(Math.abs(b.maxE()), Math.abs(b.maxN())));
    v.getChildren()
        .add(Parts.row("… without a base point", "± " + Figures.distance(unmoved / 2), "muted"));
    return v;
  }
}
