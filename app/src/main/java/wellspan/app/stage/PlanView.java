package wellspan.app.stage;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Point2D;
import javafx.geometry.Rectangle2D;
import javafx.scene.Cursor;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Pane;
import wellspan.app.session.Pick;
import wellspan.app.session.SentAndArrived;
import wellspan.app.session.Session;
import wellspan.app.session.ShapeDesk;
import wellspan.app.session.SourceDesk;
import wellspan.app.theme.Theme;
import wellspan.core.attribute.Finish;
import wellspan.core.build.Build;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.picture.Texture;
import wellspan.core.place.ControlTally;
import wellspan.core.shape.Shape;

/**
 * The plan: terrain in tiles, alignments, points, and the job's place. Drag to pan, wheel to zoom,
 * click to select.
 */
public final class PlanView extends Pane {
  private final Session session;
  private SeenItems seen;
  private Optional<Rectangle2D> rectangle = Optional.empty();
  private final Canvas canvas = new Canvas();
  private final TileCache tiles = new TileCache(this::redrawSoon);
  private final PlanPlaces places;
  private final Map<Mesh, Box> boxes = new HashMap<>();
  private PlanWindow window = new PlanWindow(0, 0, 1, 100, 100);
  private Theme theme = Theme.LIGHT;
  private SurfaceStyle style = SurfaceStyle.CONTOURS;
  private final ReadOnlyIntegerWrapper moved = new ReadOnlyIntegerWrapper();
  private final PictureLayer pictures = new PictureLayer();
  private double contourInterval;
  private boolean runOff;
  private boolean proofShown;
  private boolean fitted;
  private boolean redrawAsked;

  /** The ways to draw terrain that can be chosen. */
  public enum SurfaceStyle {
    CONTOURS("Contours"),
    SHADE("Shade"),
    TRIANGLES("Triangles"),
    LEVELS("Levels"),
    SLOPE("Slope"),
    ASPECT("Aspect");

    private final String title;

    SurfaceStyle(String title) {
      this.title = title;
    }

    public String title() {
      return title;
    }
  }

  public PlanView(Session session) {
    this.session = session;
    seen = new SeenItems(session.build());
    places = new PlanPlaces(session, tiles, this::seen);
    setId("plan");
    setFocusTraversable(true);
    setAccessibleText("Plan");
    setMinSize(0, 0);
    getChildren().add(canvas);
    ChangeListener<Object> redraw = (o, a, b) -> redrawSoon();
    session.buildProperty().addListener((o, a, b) -> buildChanged(b));
    session.selection().idsProperty().addListener(redraw);
    session.stopProperty().addListener(redraw);
    session.deliveries().runsProperty().addListener(redraw);
    session.deliveries().returnedProperty().addListener(redraw);
    session
        .place()
        .pickProperty()
        .addListener(
            (o, a, b) -> {
              setCursor(b == Pick.NONE ? Cursor.DEFAULT : Cursor.CROSSHAIR);
              redrawSoon();
            });
    session.place().firstClickProperty().addListener(redraw);
    session.shape().flawsProperty().addListener(redraw);
    session.shape().comparisonProperty().addListener(redraw);
    session.shape().outlineProperty().addListener(redraw);
    session.place().probeProperty().addListener(redraw);
    session.place().sources().openProperty().addListener(redraw);
    session.place().sources().shownProperty().addListener(redraw);
    session.setLevels(places::level);
    session
        .goToProperty()
        .addListener((o, a, b) -> b.ifPresent(p -> show(window.centred(p.east(), p.north()))));
    session.goToBoxProperty().addListener((o, a, b) -> b.ifPresent(this::fit));
    new PlanPointer(session, this, places);
  }

  public void setTheme(Theme t) {
    theme = t;
    redrawSoon();
  }

  /**
   * @param interval distance of drawn contours, metres; 0 for one that fits the scale
   */
  public void setContourInterval(double interval) {
    contourInterval = interval;
    redrawSoon();
  }

  /** Shows by arrows where water runs off. */
  public void setRunOff(boolean shown) {
    runOff = shown;
    redrawSoon();
  }

  public void setSurfaceStyle(SurfaceStyle s) {
    style = s;
    redrawSoon();
  }

  /** Shows what arrived over what was sent instead of the job's own surfaces. */
  public void setProofShown(boolean shown) {
    proofShown = shown;
    redrawSoon();
  }

  /** Shows everything. */
  public void fit() {
    fitted = true;
    show(PlanWindow.fit(visibleBounds(), getWidth(), getHeight()));
  }

  private Box visibleBounds() {
    return seen().bounds();
  }

  private void buildChanged(Build b) {
    Set<Mesh> alive = new HashSet<>();
    b.items().values().forEach(i -> i.item().triangles().ifPresent(alive::add));
    session
        .deliveries()
        .compared()
        .ifPresent(c -> c.items().forEach(i -> i.triangles().ifPresent(alive::add)));
    tiles.forgetMeshesBut(alive);
    places.forgetLines();
    boxes.keySet().retainAll(alive);
    if (!fitted && !visibleBounds().isEmpty()) {
      fit();
    }
    redrawSoon();
  }

  @Override
  protected void layoutChildren() {
    double w = getWidth();
    double h = getHeight();
    if (w != canvas.getWidth() || h != canvas.getHeight()) {
      canvas.setWidth(w);
      canvas.setHeight(h);
      window = window.sized(w, h);
      if (!fitted || canvas.getWidth() == 0) {
        window = PlanWindow.fit(visibleBounds(), w, h);
        fitted = !visibleBounds().isEmpty();
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
    redrawSoon();
    moved.set(moved.get() + 1);
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
    show(PlanWindow.fit(box, getWidth(), getHeight()));
  }

  private void redrawSoon() {
    if (!redrawAsked) {
      redrawAsked = true;
      javafx.application.Platform.runLater(
          () -> {
            redrawAsked = false;
            draw();
          });
    }
  }

  /** Whether pieces of terrain are still being painted. */
  public boolean isBusy() {
    return redrawAsked || tiles.isBusy();
  }

  // ---- drawing

  private void draw() {
    tiles.startPicture();
    GraphicsContext g = canvas.getGraphicsContext2D();
    g.setFill(theme.paper());
    g.fillRect(0, 0, canvas.getWidth(), canvas.getHeight());
    Build b = session.build();
    PlanInk ink = new PlanInk(g, window, theme);
    PlanFurniture furniture = new PlanFurniture(ink);
    PlacePicture place = new PlacePicture(ink, session.job().frame());
    TerrainLayer terrain = new TerrainLayer(g, tiles, window, this::box);
    Optional<SentAndArrived> compared =
        proofShown ? session.deliveries().compared() : Optional.empty();
    if (proofShown) {
      compared.ifPresent(c -> new ProofPicture(ink).ground(c, terrain, look()));
    } else {
      drawGround(terrain, b);
    }
    boolean placing = session.stopProperty().get() == Stop.PLACE;
    if (placing) {
      placeBehind(place, b);
    }
    List<Build.BuiltItem> shown = new ArrayList<>();
    inSight(
        i -> {
          if (!SmallBodies.takes(i.item(), seen().crowded())) {
            shown.add(i);
          }
        });
    shown.forEach(i -> furnish(furniture, i, false));
    shown.forEach(i -> furnish(furniture, i, true));
    drawRectangle();
    if (placing) {
      placeInFront(place, b);
    }
    if (session.stopProperty().get() == Stop.SHAPE) {
      ShapePicture shape = new ShapePicture(ink);
      shape.flaws(session.findingsProperty().get());
      shape.outline(session.shape().outlineProperty().get());
      if (session.shape().comparisonProperty().get().isPresent()) {
        shape.differenceLegend();
      }
    }
    if (!proofShown) {
      new SurfaceLegend(ink).draw(style, levels());
    }
    session.place().probeProperty().get().ifPresent(place::probe);
    compared.ifPresent(c -> new ProofPicture(ink).lines(c));
    furniture.scaleBar();
    place.north(placing ? session.place().north() : Optional.empty());
  }

  /** What reaches into the picture. */
  private void inSight(Consumer<Build.BuiltItem> each) {
    seen()
        .within(
            window.eastAt(0),
            window.northAt(getHeight()),
            window.eastAt(getWidth()),
            window.northAt(0),
            each);
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
    rectangle = r;
    redrawSoon();
  }

  boolean isDrawingRectangle() {
    return rectangle.isPresent();
  }

  private void drawRectangle() {
    rectangle.ifPresent(
        r -> {
          GraphicsContext g = canvas.getGraphicsContext2D();
          g.setFill(theme.accent().deriveColor(0, 1, 1, 0.12));
          g.fillRect(r.getMinX(), r.getMinY(), r.getWidth(), r.getHeight());
          g.setStroke(theme.accent());
          g.setLineWidth(1);
          g.strokeRect(r.getMinX(), r.getMinY(), r.getWidth(), r.getHeight());
        });
  }

  private boolean comparing() {
    return session.stopProperty().get() == Stop.SHAPE
        && session.shape().comparisonProperty().get().isPresent();
  }

  /** At the stop Shape a comparison takes the place of the surfaces. */
  private void drawGround(TerrainLayer terrain, Build b) {
    Optional<ShapeDesk.Comparison> compared =
        session.stopProperty().get() == Stop.SHAPE
            ? session.shape().comparisonProperty().get()
            : Optional.empty();
    for (Build.BuiltItem i : b.items().values()) {
      if (b.isVisible(i.id())) {
        texture(i.item())
            .ifPresent(
                t -> pictures.draw(canvas.getGraphicsContext2D(), window, t.pixels(), t.place()));
      }
    }
    if (compared.isEmpty()) {
      SmallBodies bodies = new SmallBodies(canvas.getGraphicsContext2D(), window, theme);
      Set<ItemId> chosen = session.selection().ids();
      inSight(
          i -> {
            if (SmallBodies.takes(i.item(), seen().crowded())) {
              bodies.draw(i.item(), chosen.contains(i.id()));
            }
          });
    }
    for (Build.BuiltItem i : b.items().values()) {
      if (b.isVisible(i.id())
          && compared.isEmpty()
          && !SmallBodies.takes(i.item(), seen().crowded())) {
        boolean cover = i.item().kind().is(Kind.COVER);
        i.item()
            .triangles()
            .ifPresent(
                m -> {
                  if (cover) {
                    int rgb = Finish.colour(i.item().attributes().material());
                    terrain.draw(m, new SurfaceLook.Tint(rgb));
                  } else if (!i.item().kind().surface()) {
                    terrain.draw(m, new SurfaceLook.Tint(ItemColour.rgb(i.item())));
                    return;
                  }
                  terrain.draw(m, look());
                });
      }
    }
    if (runOff && compared.isEmpty()) {
      b.items().values().stream()
          .filter(i -> b.isVisible(i.id()) && runsOff(i))
          .forEach(
              i ->
                  i.item()
                      .triangles()
                      .ifPresent(
                          m ->
                              terrain.draw(
                                  m, new SurfaceLook.RunOff(PlanInk.awt(theme.accent())))));
    }
    compared.ifPresent(c -> terrain.draw(c.one(), new SurfaceLook.Difference(c.other())));
  }

  private static Optional<Texture> texture(Item item) {
    return item.shape() instanceof Shape.Picture g
        ? Optional.of(new Texture(g.pixels(), g.place()))
        : item.attributes().texture();
  }

  /** The chosen surface, or every one if none is chosen, so that arrows do not lie over arrows. */
  private boolean runsOff(Build.BuiltItem i) {
    boolean chosen =
        session
            .selectedItem()
            .filter(c -> c.item().kind().is(Kind.TERRAIN))
            .map(c -> c.id().equals(i.id()))
            .orElse(true);
    return chosen && i.item().kind().is(Kind.TERRAIN);
  }

  private void placeBehind(PlacePicture place, Build b) {
    SourceDesk sources = session.place().sources();
    place.area(session.job().frame().system(), session.place().north());
    place.extents(b.received(), sources.openProperty().get());
    if (!sources.openProperty().get().isEmpty()) {
      place.hypotheses(sources.hypotheses(), sources.shownProperty().get());
    }
  }

  private void placeInFront(PlacePicture place, Build b) {
    Optional<ControlTally> tally = session.place().tallyShown();
    place.control(session.job().control().points());
    double enlarged = place.vectors(tally);
    place.vectorLegend(enlarged, tally.map(ControlTally::where).orElse(""));
    place.pairs(session.place().sources().pairs(), session.place().firstClickProperty().get());
    place.basePoint();
    place.rings(b.bounds());
  }

  private Box box(Mesh m) {
    return boxes.computeIfAbsent(m, Mesh::bounds);
  }

  /** Points first, so that their names get room before chainages do. */
  private void furnish(PlanFurniture furniture, Build.BuiltItem i, boolean lines) {
    boolean chosen = session.selection().ids().contains(i.id());
    switch (i.item().shape()) {
      case Shape.Axis a when lines ->
          furniture.alignment(i.item().name(), a.alignment(), places.line(a.alignment()), chosen);
      case Shape.Lines l when lines -> furniture.string(i.item().name(), l, chosen);
      case Shape.Points p when !lines && !(comparing() && PlanFurniture.isSurvey(p)) ->
          furniture.points(p, chosen);
      case Shape.Faces s when lines && chosen -> furniture.outline(box(s.mesh()));
      default -> {}
    }
  }

  private SurfaceLook look() {
    return switch (style) {
      case CONTOURS ->
          new SurfaceLook.ContourLines(
              PlanInk.awt(theme.contour()), PlanInk.awt(theme.majorContour()), contourInterval);
      case SHADE -> new SurfaceLook.Shade(theme == Theme.DARK);
      case TRIANGLES -> new SurfaceLook.Triangles(PlanInk.awt(theme.muted()), theme == Theme.DARK);
      case LEVELS -> new SurfaceLook.Levels(levels().minH(), levels().maxH());
      case SLOPE -> new SurfaceLook.Slope();
      case ASPECT -> new SurfaceLook.Aspect();
    };
  }

  /** What the colours of levels reach over: all visible ground. */
  private Box levels() {
    Build b = session.build();
    return b.items().values().stream()
        .filter(i -> b.isVisible(i.id()))
        .map(i -> i.item().triangles())
        .flatMap(Optional::stream)
        .map(this::box)
        .filter(Box::hasLevels)
        .reduce(Box.EMPTY, Box::union);
  }
}
