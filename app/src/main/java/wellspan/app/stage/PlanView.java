package wellspan.app.stage;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Point2D;
import javafx.geometry.Rectangle2D;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Background;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Rectangle;
import wellspan.app.session.Pick;
import wellspan.app.session.SentAndArrived;
import wellspan.app.session.Session;
import wellspan.app.theme.Theme;
import wellspan.core.build.Build;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.job.SavedView;
import wellspan.core.shape.Shape;

/**
 * The plan: terrain in tiles, alignments, points, and the job's place. Drag to pan, wheel to zoom,
 * click to select.
 */
public final class PlanView extends Pane {
  /** Height of the tools above the plan and below it, pixels. */
  private static final double TOOLS = 50;

  /** Width of the tools in the lower right corner, pixels. */
  private static final double CORNER = 300;

  private final Session session;
  private SeenItems seen;
  private final DragRectangle rectangle = new DragRectangle();
  private final FollowingPicture picture = new FollowingPicture(this::redrawSoon, this::painted);
  private final ChosenMarks marks;
  private final PlaceLayer placed;
  private final ShapeLayer shaped;
  private final TileCache tiles = new TileCache(this::piecesCame, picture::pause);
  private final PlanPlaces places;
  private PlanWindow window = new PlanWindow(0, 0, 1, 100, 100);
  private Theme theme = Theme.LIGHT;
  private final ReadOnlyIntegerWrapper moved = new ReadOnlyIntegerWrapper();
  private final GroundPicture ground;
  private List<Rectangle2D> covered = List.of();
  private final ReadOnlyBooleanWrapper complete = new ReadOnlyBooleanWrapper();
  private boolean proofShown;
  private boolean fitted;

  /** The window that showed everything; while nobody leaves it, it goes with the picture's size. */
  private PlanWindow whole = window;

  private final Soon redraw = new Soon(() -> picture.draw(window, this::draw));
  private final Soon groundOnly = new Soon(() -> picture.draw(window, this::drawGround));

  public PlanView(Session session) {
    this.session = session;
    seen = new SeenItems(session.build());
    ground = new GroundPicture(session, tiles);
    marks = new ChosenMarks(session, picture);
    placed = new PlaceLayer(session);
    shaped = new ShapeLayer(session);
    places = new PlanPlaces(session, tiles, this::seen);
    setId("plan");
    setFocusTraversable(true);
    setAccessibleText("Plan");
    setMinSize(0, 0);
    getChildren().add(picture);
    Rectangle clip = new Rectangle(); // a picture that is shifted stays within
    clip.widthProperty().bind(widthProperty());
    clip.heightProperty().bind(heightProperty());
    setClip(clip);
    ChangeListener<Object> redrawn = (o, a, b) -> redrawSoon();
    ChangeListener<Object> explained = (o, a, b) -> stayWhole();
    session.buildProperty().addListener((o, a, b) -> buildChanged(b));
    session.selection().idsProperty().addListener((o, a, b) -> selected(a, b));
    session.stopProperty().addListener(explained);
    session.colours().byProperty().addListener(redrawn);
    session.measure().placesProperty().addListener(redrawn);
    session.deliveries().runsProperty().addListener(redrawn);
    session.deliveries().returnedProperty().addListener(redrawn);
    session
        .place()
        .pickProperty()
        .addListener(
            (o, a, b) -> {
              setCursor(b == Pick.NONE ? Cursor.DEFAULT : Cursor.CROSSHAIR);
              redrawSoon();
            });
    session.place().firstClickProperty().addListener(redrawn);
    session.shape().flawsProperty().addListener(redrawn);
    session.shape().comparisonProperty().addListener(explained);
    session.shape().outlineProperty().addListener(redrawn);
    session.selection().outline().cornersProperty().addListener(redrawn);
    session.place().probeProperty().addListener(redrawn);
    session.place().sources().openProperty().addListener(redrawn);
    session.place().sources().shownProperty().addListener(redrawn);
    session.aim().setLevels(places::level);
    session
        .aim()
        .placeProperty()
        .addListener((o, a, b) -> b.ifPresent(p -> show(window.centred(p.east(), p.north()))));
    session.aim().extentProperty().addListener((o, a, b) -> b.ifPresent(this::fit));
    new PlanPointer(session, this, places);
  }

  public void setTheme(Theme t) {
    theme = t;
    setBackground(Background.fill(t.paper()));
    redrawSoon();
  }

  /**
   * @param interval distance of drawn contours, metres; 0 for one that fits the scale
   */
  public void setContourInterval(double interval) {
    ground.setContourInterval(interval);
    redrawSoon();
  }

  /** Shows by arrows where water runs off. */
  public void setRunOff(boolean shown) {
    ground.setRunOff(shown);
    redrawSoon();
  }

  public void setSurfaceStyle(SurfaceStyle s) {
    ground.setStyle(s);
    stayWhole();
  }

  /** Shows what arrived over what was sent instead of the job's own surfaces. */
  public void setProofShown(boolean shown) {
    proofShown = shown;
    stayWhole();
  }

  /** Shows everything that lies together. */
  public void fit() {
    fitted = true;
    whole = fitting(seen().bounds());
    show(whole);
  }

  /** What the legend of the ground's colours comes to cover moves aside, if all of it was seen. */
  private void stayWhole() {
    boolean left = !isWhole();
    whole = fitting(seen().bounds());
    show(left ? window : whole);
  }

  private PlanWindow fitting(Box box) {
    boolean legend = !proofShown && (ground.hasLegend() || shaped.isComparing());
    return PlanFit.of(seen(), box, getWidth(), getHeight(), legend);
  }

  private void painted() {
    if (!isBusy()) {
      session.aim().motion().drawn();
      complete.set(!session.opening().isUnderWay());
    }
  }

  private void buildChanged(Build b) {
    boolean opening = session.opening().isUnderWay();
    session.aim().motion().drawing();
    Set<Mesh> alive = new HashSet<>();
    b.items().values().forEach(i -> i.item().triangles().ifPresent(alive::add));
    session
        .deliveries()
        .compared()
        .ifPresent(c -> c.items().forEach(i -> i.triangles().ifPresent(alive::add)));
    tiles.forgetMeshesBut(alive);
    places.forgetLines();
    ground.forgetMeshesBut(alive);
    if (!fitted && !seen().bounds().isEmpty()) {
      fit();
      fitted = !opening; // what is still being read may reach farther
    }
    if (opening) { // the ground is painted while the rest of the window follows
      picture.draw(window, this::draw);
    } else {
      redrawSoon();
    }
  }

  @Override
  protected void layoutChildren() {
    double w = getWidth();
    double h = getHeight();
    if (w != picture.width() || h != picture.height()) {
      picture.size(w, h);
      ground.forgetDrawn();
      boolean left = !window.equals(whole);
      window = window.sized(w, h);
      if (!fitted || !left || picture.width() == 0) {
        whole = fitting(seen().bounds());
        window = whole;
        fitted = !seen().bounds().isEmpty() && !session.opening().isUnderWay();
      }
      moved.set(moved.get() + 1);
      redrawSoon();
    }
  }

  PlanWindow window() {
    return window;
  }

  void show(PlanWindow w) {
    window = w;
    fitted |= session.aim().motion().isMoving(); // the hand decides from now on
    if (!session.aim().motion().isMoving() || !picture.follow(w)) {
      redrawSoon();
    }
    moved.set(moved.get() + 1);
  }

  /** Where one looks now. */
  SavedView view(String name) {
    Position at = new Position(window.east(), window.north(), Double.NaN);
    double reach = window.metresPerPixel() * window.height();
    return new SavedView(name, SavedView.Picture.PLAN, at, reach, 0, 0, 1);
  }

  /** Looks at what one looked at. */
  void look(SavedView v) {
    fitted = true;
    show(window.centred(v.at().east(), v.at().north()).reaching(v.reach()));
  }

  /** What floats over the plan, pixels; labels keep off it. */
  public void setCovered(List<Rectangle2D> floating) {
    if (!floating.equals(covered)) {
      covered = List.copyOf(floating);
      redrawSoon();
    }
  }

  /** Whether the plan of the whole job has been seen: all is read, and drawn. */
  public ReadOnlyBooleanProperty completeProperty() {
    return complete.getReadOnlyProperty();
  }

  /** Whether everything that lies together is shown, as it is after opening. */
  public boolean isWhole() {
    return window.equals(whole);
  }

  /** Counts the changes of what is shown, so that others can move with the picture. */
  public ReadOnlyIntegerProperty movedProperty() {
    return moved.getReadOnlyProperty();
  }

  /** Where a position is in this view, pixels. */
  public Point2D onScreen(Position p) {
    return new Point2D(window.x(p.east()), window.y(p.north()));
  }

  /** Shows a part of the plan whole. */
  public void fit(Box box) {
    fitted = true;
    show(fitting(box));
  }

  private void redrawSoon() {
    redraw.ask();
  }

  private void piecesCame() {
    boolean moves = session.aim().motion().isMoving() || picture.isBehind();
    (moves || picture.isOne() || redraw.isAsked() ? redraw : groundOnly).ask();
  }

  private void drawGround() {
    ground.draw(picture.ground(), window, theme, seen(), compared());
  }

  private Optional<SentAndArrived> compared() {
    return proofShown ? session.deliveries().compared() : Optional.empty();
  }

  /** Whether pieces of terrain are still being painted. */
  public boolean isBusy() {
    return redraw.isAsked() || groundOnly.isAsked() || picture.isBehind() || tiles.isBusy();
  }

  // ---- drawing

  private void draw() {
    boolean moving = session.aim().motion().isMoving(); // the ground is drawn anew anyway
    GraphicsContext g = picture.ink(moving);
    Build b = session.build();
    PlanInk ink = new PlanInk(g, window, theme);
    ink.keepFree(0, 0, getWidth(), TOOLS);
    ink.keepFree(getWidth() - CORNER, getHeight() - TOOLS, CORNER, TOOLS);
    covered.forEach(c -> ink.keepFree(c.getMinX(), c.getMinY(), c.getWidth(), c.getHeight()));
    PlacePicture place = new PlacePicture(ink, session.job().frame());
    Optional<SentAndArrived> compared = compared();
    drawGround();
    boolean other = compared.isPresent() || shaped.isComparing();
    if (moving) {
      ground.forgetDrawn(); // it will bear marks
      marks.drawOn(g, window, theme, seen(), other);
    } else {
      marks.draw(window, theme, seen(), other);
    }
    boolean placing = placed.isShown();
    place.keepNorthFree();
    PlanFurniture furniture = new PlanFurniture(ink, !placing);
    if (placing) {
      placed.behind(place, b);
    }
    List<Build.BuiltItem> shown = new ArrayList<>();
    Box sight = window.ground();
    for (Build.BuiltItem i : seen().large()) {
      if (i.item().bounds().overlapsPlan(sight)) {
        shown.add(i);
      }
    }
    shown.forEach(i -> furnish(furniture, i, false));
    shown.forEach(i -> furnish(furniture, i, true));
    rectangle.draw(g, theme);
    new ShapePicture(ink).outline(session.selection().outline().cornersProperty().get());
    if (placing) {
      placed.inFront(place, b);
    }
    shaped.inFront(ink);
    if (!proofShown) {
      ground.legend(ink);
    }
    session.place().probeProperty().get().ifPresent(place::probe);
    place.measured(session.measure().placesProperty().get());
    compared.ifPresent(c -> new ProofPicture(ink).lines(c));
    ink.write();
    furniture.scaleBar();
    place.north(placing ? session.place().north() : Optional.empty());
  }

  /** What is only marked is marked; for all else the picture is drawn anew. */
  private void selected(Set<ItemId> before, Set<ItemId> now) {
    SeenItems all = seen();
    if (redraw.isAsked()
        || proofShown
        || ground.isOfChosen()
        || session.aim().motion().isMoving()
        || picture.isBehind()
        || !marks.areOnlyMarked(before, all)
        || !marks.areOnlyMarked(now, all)) {
      redrawSoon();
    } else {
      marks.draw(window, theme, all, shaped.isComparing());
    }
  }

  /** The visible items of the build as it is now. */
  SeenItems seen() {
    if (!seen.isOf(session.build())) {
      seen = new SeenItems(session.build());
    }
    return seen;
  }

  /** Shows a rectangle that is being drawn; nothing to end it. */
  void setRectangle(Optional<Rectangle2D> r) {
    if (rectangle.set(r)) {
      redrawSoon();
    }
  }

  boolean isDrawingRectangle() {
    return rectangle.isDrawn();
  }

  /** Points first, so that their names get room before chainages do. */
  private void furnish(PlanFurniture furniture, Build.BuiltItem i, boolean lines) {
    boolean chosen = session.selection().ids().contains(i.id());
    switch (i.item().shape()) {
      case Shape.Axis a when lines ->
          furniture.alignment(i.item().name(), a.alignment(), places.line(a.alignment()), chosen);
      case Shape.Lines l when lines -> furniture.string(i.item().name(), l, chosen);
      case Shape.Points p when !lines && !(shaped.isComparing() && PlanFurniture.isSurvey(p)) ->
          furniture.points(p, chosen);
      case Shape.Faces s when lines && chosen -> furniture.outline(ground.box(s.mesh()));
      default -> {}
    }
  }
}
