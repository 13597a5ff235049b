package wellspan.app.place;

import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
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
 * site north, the scale at the site's x axis. Each is edited in place.
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
  private final VBox base;
  private final VBox turn;
  private final VBox stretch;

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
    Button pick = small("Pick", () -> toggle(Pick.BASE_POINT));
    pick.setId("pick-base-point");
    base =
        group(
            Parts.row(Parts.label("Base point", "name"), pick),
            figure("E", east),
            figure("N", north),
            figure("H", height));
    Button trueNorth = small("True north", () -> session.place().turnToTrueNorth());
    trueNorth.setId("true-north");
    Button bearing = small("Two points", () -> toggle(Pick.BEARING));
    bearing.setId("bearing");
    turn = group(figure("Site north", rotation), new HBox(4, trueNorth, bearing));
    Button grid =
        small("Grid", () -> session.place().changeFrame("Scale of the grid", f -> f.withScale(1)));
    grid.setId("scale-grid");
    Button ground = small("Ground", () -> session.place().scaleToGround());
    ground.setId("scale-ground");
    stretch = group(figure("Scale", scale), new HBox(4, grid, ground));
    getChildren().addAll(base, turn, stretch);
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

  private static VBox group(Node... nodes) {
    VBox v = new VBox(3, nodes);
    v.getStyleClass().add("place-figures");
    return v;
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
    // beside the axes; at the left edge, where they would be covered, below them
    boolean room = at.getX() > 176;
    put(base, at.getX() - 162, at.getY() + (room ? 12 : 18 + AXIS * Math.abs(Math.sin(r))));
    put(turn, at.getX() + AXIS * Math.sin(r) + 24, at.getY() - AXIS * Math.cos(r) - 66);
    put(stretch, at.getX() + AXIS * Math.cos(r) + 42, at.getY() + AXIS * Math.sin(r) - 12);
  }

  /** Keeps a group whole within the picture and clear of the inset, the bar and the card. */
  private void put(VBox group, double x, double y) {
    double w = group.prefWidth(-1);
    double h = group.prefHeight(-1);
    group.resizeRelocate(
        Math.rint(Math.clamp(x, 8, Math.max(8, getWidth() - w - 8))),
        Math.rint(Math.clamp(y, 52, Math.max(52, getHeight() - h - 52))),
        w,
        h);
  }
}
