package wellspan.app.place;

import java.util.List;
import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.geometry.Rectangle2D;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import wellspan.app.session.Pick;
import wellspan.app.session.Session;
import wellspan.app.stage.PlanView;
import wellspan.app.theme.FigureField;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.finding.Stop;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;

/**
 * The frame's figures where they belong in the plan: coordinates at the base point, the angle at
 * site north, the scale at the site's x axis. Each is a line that unfolds to be edited in place.
 */
public final class PlaceOverlay extends Pane {
  private static final double AXIS = 120;

  private final Session session;
  private final PlanView plan;
  private final FigureField east;
  private final FigureField north;
  private final FigureField height;
  private final FigureField rotation;
  private final FigureField scale;
  private final FoldedFigures base;
  private final FoldedFigures turn;
  private final FoldedFigures stretch;

  public PlaceOverlay(Session session, PlanView plan) {
    this.session = session;
    this.plan = plan;
    FrameEdits edits = new FrameEdits(session);
    setId("place-overlay");
    setPickOnBounds(false);
    east = new FigureField("base-e", "Base point easting", 104, edits::east);
    north = new FigureField("base-n", "Base point northing", 108, edits::north);
    height = new FigureField("base-h", "Base point height", 108, edits::height);
    rotation = new FigureField("rotation", "Site north from grid north", 96, edits::rotation);
    scale = new FigureField("scale", "Horizontal scale", 96, edits::scale);
    Button pick = small("Pick in the plan", () -> toggle(Pick.BASE_POINT));
    pick.setId("pick-base-point");
    base =
        new FoldedFigures(
            "fold-base",
            "Base point",
            figure("E, m", east),
            figure("N, m", north),
            figure("H, m", height),
            Parts.row(Parts.label("", "muted"), pick));
    Button trueNorth = small("True north", () -> session.place().turnToTrueNorth());
    trueNorth.setId("true-north");
    Button bearing = small("Two points", () -> toggle(Pick.BEARING));
    bearing.setId("bearing");
    turn =
        new FoldedFigures(
            "fold-north",
            "Site north",
            figure("from grid north", rotation),
            new HBox(4, trueNorth, bearing));
    Button grid =
        small("Grid", () -> session.place().changeFrame("Scale of the grid", f -> f.withScale(1)));
    grid.setId("scale-grid");
    Button ground = small("Ground", () -> session.place().scaleToGround());
    ground.setId("scale-ground");
    stretch =
        new FoldedFigures(
            "fold-scale", "Scale", figure("in plan", scale), new HBox(4, grid, ground));
    getChildren().addAll(base, turn, stretch);
    for (FoldedFigures f : List.of(base, turn, stretch)) {
      f.openProperty().addListener((o, was, is) -> folded(f, is));
    }
    session.buildProperty().addListener((o, a, b) -> refresh());
    session.stopProperty().addListener((o, a, b) -> refresh());
    session.place().pickProperty().addListener((o, a, b) -> refresh());
    plan.movedProperty().addListener((o, a, b) -> layoutGroups());
    plan.visibleProperty().addListener((o, a, b) -> refresh());
    session
        .place()
        .proposalProperty()
        .addListener(
            (o, a, b) -> {
              if (b.isEmpty()) {
                reset();
              }
            });
    refresh();
  }

  /** One is open at a time, above the others. */
  private void folded(FoldedFigures f, boolean open) {
    if (open) {
      f.toFront();
      for (FoldedFigures other : List.of(base, turn, stretch)) {
        if (other != f) {
          other.openProperty().set(false);
        }
      }
    }
    layoutGroups();
  }

  private static HBox figure(String name, FigureField field) {
    HBox h = Parts.row(Parts.label(name, "muted"), field);
    h.setAlignment(Pos.CENTER_LEFT);
    return h;
  }

  private static Button small(String text, Runnable action) {
    return Parts.button(text, "small", action);
  }

  private void toggle(Pick p) {
    boolean on = session.place().pickProperty().get() == p;
    session.place().pickProperty().set(on ? Pick.NONE : p);
  }

  private void refresh() {
    boolean picking = session.place().pickProperty().get() != Pick.NONE; // anywhere in the plan
    setVisible(session.stopProperty().get() == Stop.PLACE && plan.isVisible() && !picking);
    Frame f = session.job().frame();
    east.show(Figures.number(f.basePoint().east(), 3));
    north.show(Figures.number(f.basePoint().north(), 3));
    height.show(Figures.number(f.basePoint().level(), 3));
    rotation.show(Figures.number(f.rotationDegrees(), 4) + "°");
    scale.show(Figures.number(f.scale(), 7));
    base.show(
        "E "
            + Figures.number(f.basePoint().east(), 0)
            + "  N "
            + Figures.number(f.basePoint().north(), 0));
    turn.show(Figures.number(f.rotationDegrees(), 4) + "°");
    stretch.show(Figures.number(f.scale(), 7));
    getChildren().forEach(g -> g.setDisable(f.isLocked()));
    layoutGroups();
  }

  private void reset() {
    Frame f = session.job().frame();
    east.reset(Figures.number(f.basePoint().east(), 3));
    north.reset(Figures.number(f.basePoint().north(), 3));
    height.reset(Figures.number(f.basePoint().level(), 3));
    rotation.reset(Figures.number(f.rotationDegrees(), 4) + "°");
    scale.reset(Figures.number(f.scale(), 7));
  }

  @Override
  protected void layoutChildren() {
    layoutGroups();
  }

  private void layoutGroups() {
    Frame f = session.job().frame();
    Position b = f.basePoint();
    Point2D at = plan.onScreen(b);
    double r = Math.toRadians(f.rotationDegrees());
    CardPlaces free = // clear of the tools above and below
        new CardPlaces(
            new Rectangle2D(8, 52, Math.max(0, getWidth() - 16), Math.max(0, getHeight() - 104)));
    Rectangle2D below = put(base, free, at.getX() - base.prefWidth(-1) / 2, at.getY() + 18);
    Rectangle2D above =
        put(turn, free, at.getX() + AXIS * Math.sin(r) + 34, at.getY() - AXIS * Math.cos(r) - 40);
    Rectangle2D beside =
        put(
            stretch,
            free,
            at.getX() + AXIS * Math.cos(r) + 24,
            at.getY() + AXIS * Math.sin(r) + 14);
    plan.setCovered(isVisible() ? List.of(below, above, beside) : List.of());
  }

  private static Rectangle2D put(FoldedFigures group, CardPlaces free, double x, double y) {
    Rectangle2D r = free.next(x, y, group.prefWidth(-1), group.prefHeight(-1));
    group.resizeRelocate(r.getMinX(), r.getMinY(), r.getWidth(), r.getHeight());
    return r;
  }
}
