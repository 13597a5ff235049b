package wellspan.app.stage;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.application.ConditionalFeature;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.Point3D;
import javafx.geometry.Pos;
import javafx.scene.AmbientLight;
import javafx.scene.DirectionalLight;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.SceneAntialiasing;
import javafx.scene.SubScene;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.PickResult;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import javafx.scene.paint.Color;
import javafx.scene.shape.MeshView;
import javafx.scene.text.TextAlignment;
import javafx.scene.transform.Scale;
import javafx.scene.transform.Transform;
import javafx.scene.transform.TransformChangedEvent;
import wellspan.app.session.Pick;
import wellspan.app.session.Session;
import wellspan.app.theme.Parts;
import wellspan.app.theme.Theme;
import wellspan.core.cut.HalfSpace;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.job.SavedView;

/**
 * The job in 3D: drag to orbit, drag with the secondary button or Shift to pan, wheel to zoom to
 * what lies under the cursor. The picture's zero is the middle of the work, subtracted in double
 * precision before anything becomes a float.
 */
public final class SpaceView extends StackPane {
  /** How near one goes to something small, metres. */
  private static final double CLOSE = 8;

  private final Session session;
  private final Group world = new Group();
  private final Group content = new Group();
  private final Scale exaggeration = new Scale(1, 1, 1);
  private final OrbitCamera camera = new OrbitCamera(this::lift);
  private final SubScene scene;
  private final SpaceLabels labels = new SpaceLabels(content);
  private final SpaceContent things;
  private final Label reduced =
      Parts.label("Small parts come back when the picture rests", "muted");
  private final SpaceMotion motion;
  private final boolean possible = Platform.isSupported(ConditionalFeature.SCENE3D);
  private Theme theme = Theme.LIGHT;
  private boolean edges;
  private boolean stale = true;
  private boolean fitted;
  private double lastX;
  private double lastY;
  private double pressX;
  private double pressY;

  public SpaceView(Session session) {
    this.session = session;
    things = new SpaceContent(session, content, labels);
    motion = new SpaceMotion(session.aim().motion(), things::showAtMost, this::tellReduced);
    setId("space");
    setFocusTraversable(true);
    setAccessibleText("3D");
    setMinSize(0, 0);
    scene = new SubScene(world, 100, 100, true, SceneAntialiasing.DISABLED);
    if (!possible) {
      getChildren().add(notPossible());
      return;
    }
    DirectionalLight sun = new DirectionalLight(Color.gray(0.75));
    sun.setDirection(new Point3D(0.55, -0.45, -0.75));
    world.getChildren().addAll(content, sun, new AmbientLight(Color.gray(0.58)));
    content.getTransforms().add(exaggeration);
    scene.setCamera(camera.camera());
    Pane holder = new Pane(scene);
    scene.widthProperty().bind(holder.widthProperty());
    scene.heightProperty().bind(holder.heightProperty());
    holder.setMinSize(0, 0);
    labels.prefWidthProperty().bind(holder.widthProperty());
    labels.prefHeightProperty().bind(holder.heightProperty());
    reduced.setId("space-reduced");
    reduced.setMouseTransparent(true);
    reduced.setVisible(false);
    setAlignment(reduced, Pos.TOP_CENTER);
    setMargin(reduced, new Insets(60, 0, 0, 0));
    getChildren().addAll(holder, labels, reduced);
    List<Transform> moving = new ArrayList<>(camera.transforms());
    moving.add(exaggeration);
    for (Transform t : moving) {
      t.addEventHandler(TransformChangedEvent.TRANSFORM_CHANGED, e -> labels.follow());
    }
    session.buildProperty().addListener((o, a, b) -> changed());
    session.selection().idsProperty().addListener((o, a, b) -> rebuildIfShown());
    session.colours().byProperty().addListener((o, a, b) -> changed());
    session.measure().placesProperty().addListener((o, a, b) -> changed());
    visibleProperty().addListener((o, a, b) -> rebuildIfShown());
    session.aim().placeProperty().addListener((o, a, b) -> b.ifPresent(this::look));
    session.aim().extentProperty().addListener((o, a, b) -> b.ifPresent(this::look));
    setOnMousePressed(this::press);
    setOnMouseDragged(this::drag);
    setOnMouseReleased(this::release);
    setOnMouseMoved(this::point);
    setOnScroll(this::zoom);
    addEventHandler(KeyEvent.KEY_PRESSED, this::key);
  }

  private static Label notPossible() {
    Label l =
        Parts.wrapped(
            "This machine cannot show 3D. The plan and the long section work; all figures and deliveries are the same.",
            "title");
    l.setMaxWidth(460);
    l.setTextAlignment(TextAlignment.CENTER);
    return l;
  }

  public boolean isPossible() {
    return possible;
  }

  public void setTheme(Theme t) {
    theme = t;
    scene.setFill(t.paper());
    changed();
  }

  public void setEdges(boolean shown) {
    edges = shown;
    changed();
  }

  void setGrid(boolean shown) {
    things.setGrid(shown);
    changed();
  }

  /** Shows only what lies on the near side of some planes. */
  void setCuts(List<HalfSpace> planes) {
    if (things.setCuts(planes)) {
      changed();
    }
  }

  public void setExaggeration(double factor) {
    exaggeration.setZ(factor);
    lift();
  }

  private void changed() {
    stale = true;
    rebuildIfShown();
  }

  private void rebuildIfShown() {
    if (!possible || !isVisible()) {
      return;
    }
    if (stale) {
      stale = false;
      rebuild();
    } else {
      things.select();
      lift();
    }
  }

  private void tellReduced() {
    reduced.setVisible(motion.isReduced());
  }

  private void rebuild() {
    Position before = lookedAt();
    if (things.rebuild(theme, edges)) {
      if (fitted) { // the picture's zero may be another one
        lookAt(before);
      } else {
        fit();
        fitted = !session.opening().isUnderWay(); // what is still being read may reach farther
      }
      lift();
      Platform.runLater(labels::follow);
    }
  }

  private void lift() {
    things.lift(metresPerPixel(), exaggeration.getZ());
  }

  // ---- camera

  /** At the middle of the picture. */
  private double metresPerPixel() {
    return camera.metresPerPixel(getHeight());
  }

  /** Shows everything. */
  public void fit() {
    Box box = things.extent();
    if (!box.isEmpty()) {
      fitted = true;
      camera.lookAt(0, 0, 0);
      camera.goTo(distanceFor(box));
    }
  }

  /** Shows a part as large as it can. */
  private void look(Box box) {
    if (!box.isEmpty()) {
      look(box.centre());
      camera.goTo(Math.max(CLOSE, distanceFor(box)));
    }
  }

  private double distanceFor(Box box) {
    double tall = box.hasLevels() ? box.maxH() - box.minH() : 0;
    // seen from above at a slant, a height takes more of the picture than a width
    double size = Math.hypot(Math.hypot(box.width(), box.depth()), 1.6 * tall);
    return size * 1.28 * Math.max(1, 1.25 * getHeight() / Math.max(1, getWidth()));
  }

  private void look(Position at) {
    lookAt(at);
    camera.goTo(Math.min(camera.distance(), 300));
  }

  private Position lookedAt() {
    Point3D at = camera.aim();
    return things.shared(new Point3D(at.getX(), at.getY(), at.getZ() / exaggeration.getZ()));
  }

  private void lookAt(Position at) {
    Point3D p = things.inPicture(at);
    camera.lookAt(p.getX(), p.getY(), p.getZ() * exaggeration.getZ());
  }

  /** Where one looks now. */
  SavedView view(String name) {
    return new SavedView(
        name,
        SavedView.Picture.SPACE,
        lookedAt(),
        camera.distance(),
        camera.turned(),
        camera.tilted(),
        exaggeration.getZ());
  }

  /** Looks from where one looked. */
  void look(SavedView v) {
    setExaggeration(v.levels());
    lookAt(v.at());
    camera.face(v.turn(), v.tilt());
    fitted = true;
    camera.goTo(v.reach());
  }

  private void press(MouseEvent e) {
    requestFocus();
    lastX = pressX = e.getX();
    lastY = pressY = e.getY();
  }

  private void drag(MouseEvent e) {
    double dx = e.getX() - lastX;
    double dy = e.getY() - lastY;
    lastX = e.getX();
    lastY = e.getY();
    motion.moved();
    fitted = true; // the hand decides from now on
    if (e.getButton() == MouseButton.SECONDARY
        || e.getButton() == MouseButton.MIDDLE
        || e.isShiftDown()) {
      camera.pan(dx, dy, getHeight());
    } else {
      camera.orbit(dx, dy);
    }
  }

  private void zoom(ScrollEvent e) {
    motion.moved();
    camera.zoom(Math.pow(0.9985, e.getDeltaY()), hit(e.getPickResult()));
  }

  /** Where it was hit, in the picture's coordinates and without its lift. */
  private Optional<Point3D> hit(PickResult pick) {
    return pick.getIntersectedNode() instanceof MeshView
        ? Optional.of(content.localToParent(pick.getIntersectedPoint()))
        : Optional.empty();
  }

  private void release(MouseEvent e) {
    if (Math.hypot(e.getX() - pressX, e.getY() - pressY) <= 3
        && e.getButton() == MouseButton.PRIMARY) {
      Node n = e.getPickResult().getIntersectedNode();
      if (session.place().pickProperty().get() == Pick.MEASURE) {
        position(e.getPickResult()).ifPresent(session.measure()::add);
        return;
      }
      if (e.isShiftDown()) {
        session.place().probeProperty().set(position(e.getPickResult()));
        return;
      }
      Optional<ItemId> hit = item(n, e.getPickResult().getIntersectedFace());
      if (e.isControlDown()) {
        hit.ifPresent(session.selection()::toggle);
      } else {
        session.selectedProperty().set(hit);
      }
    }
  }

  /** The item that a picked face belongs to. */
  private static Optional<ItemId> item(Node picked, int face) {
    return switch (picked == null ? null : picked.getUserData()) {
      case ItemId id -> Optional.of(id);
      case GatheredBodies.Gathered g when face >= 0 -> Optional.of(g.of(face));
      case null, default -> Optional.empty();
    };
  }

  private void point(MouseEvent e) {
    session.aim().pointerProperty().set(position(e.getPickResult()));
  }

  private Optional<Position> position(PickResult pick) {
    return hit(pick)
        .map(p -> things.shared(new Point3D(p.getX(), p.getY(), p.getZ() / exaggeration.getZ())));
  }

  private void key(KeyEvent e) {
    switch (e.getCode()) {
      case LEFT -> camera.orbit(-20, 0);
      case RIGHT -> camera.orbit(20, 0);
      case UP -> camera.orbit(0, -20);
      case DOWN -> camera.orbit(0, 20);
      case PLUS, ADD, EQUALS -> camera.goTo(camera.distance() / 1.3);
      case MINUS, SUBTRACT -> camera.goTo(camera.distance() * 1.3);
      default -> {
        return;
      }
    }
    motion.moved();
    e.consume();
  }
}
