package wellspan.app.stage;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.application.ConditionalFeature;
import javafx.application.Platform;
import javafx.geometry.Point3D;
import javafx.scene.AmbientLight;
import javafx.scene.DirectionalLight;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.SceneAntialiasing;
import javafx.scene.SubScene;
import javafx.scene.control.Label;
import javafx.scene.image.Image;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.PickResult;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import javafx.scene.paint.Color;
import javafx.scene.paint.PhongMaterial;
import javafx.scene.shape.CullFace;
import javafx.scene.shape.DrawMode;
import javafx.scene.shape.MeshView;
import javafx.scene.text.TextAlignment;
import javafx.scene.transform.Scale;
import javafx.scene.transform.Transform;
import javafx.scene.transform.TransformChangedEvent;
import wellspan.app.session.Session;
import wellspan.app.theme.Parts;
import wellspan.app.theme.Theme;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.Chainages;
import wellspan.core.build.Build;
import wellspan.core.geom.Box;
import wellspan.core.geom.Gathering;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.picture.Texture;
import wellspan.core.shape.Shape;

/**
 * The job in 3D: drag to orbit, drag with the secondary button or Shift to pan, wheel to zoom to
 * what lies under the cursor. The picture's zero is the middle of the work, subtracted in double
 * precision before anything becomes a float.
 */
public final class SpaceView extends StackPane {
  /** With more items small ones are put together, so that the picture can be turned fluently. */
  private static final int CROWD = 300;

  private static final int FEW_TRIANGLES = 2000;

  /** What lies farther from the rest is not in the picture, metres. */
  private static final double REACH = 100_000;

  private final Session session;
  private final PictureLayer pictures = new PictureLayer();
  private final Group world = new Group();
  private final Group content = new Group();
  private final Scale exaggeration = new Scale(1, 1, 1);
  private final OrbitCamera camera = new OrbitCamera(this::lift);
  private final SubScene scene;
  private final SpaceLabels labels = new SpaceLabels(content);
  private final boolean possible = Platform.isSupported(ConditionalFeature.SCENE3D);
  private Position zero = new Position(0, 0, 0);
  private Map<ItemId, Integer> order = Map.of();
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
    getChildren().addAll(holder, labels);
    List<Transform> moving = new ArrayList<>(camera.transforms());
    moving.add(exaggeration);
    for (Transform t : moving) {
      t.addEventHandler(TransformChangedEvent.TRANSFORM_CHANGED, e -> labels.follow());
    }
    session.buildProperty().addListener((o, a, b) -> changed());
    session.selection().idsProperty().addListener((o, a, b) -> changed());
    visibleProperty().addListener((o, a, b) -> rebuildIfShown());
    session.goToProperty().addListener((o, a, b) -> b.ifPresent(this::look));
    session.goToBoxProperty().addListener((o, a, b) -> b.ifPresent(x -> look(x.centre())));
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

  public void setExaggeration(double factor) {
    exaggeration.setZ(factor);
    lift();
  }

  private void changed() {
    stale = true;
    rebuildIfShown();
  }

  private void rebuildIfShown() {
    if (possible && stale && isVisible()) {
      stale = false;
      rebuild();
    }
  }

  private void rebuild() {
    Build build = session.build();
    List<Build.BuiltItem> shown =
        build.items().values().stream().filter(i -> build.isVisible(i.id())).toList();
    Box box = work(shown);
    content.getChildren().clear();
    labels.clear();
    if (box.isEmpty()) {
      return;
    }
    Position c = box.centre();
    zero = new Position(c.east(), c.north(), Double.isNaN(c.height()) ? 0 : c.height());
    order = SpaceOrder.of(shown);
    SpaceMeshes meshes = new SpaceMeshes(zero);
    double thickness = Math.max(box.width(), box.depth()) / 700;
    GatheredBodies gathered = new GatheredBodies(zero);
    boolean crowded = shown.size() > CROWD;
    for (Build.BuiltItem i : shown) {
      boolean chosen = session.selection().ids().contains(i.id());
      switch (i.item().shape()) {
        case Shape.Faces f
            when crowded
                && f.mesh().triangleCount() <= FEW_TRIANGLES
                && i.item().attributes().texture().isEmpty() ->
            gathered.add(i.id(), f.mesh(), chosen ? theme.accent() : ItemColour.of(i.item()));
        case Shape.Faces f ->
            surface(
                meshes,
                i.id(),
                f.mesh(),
                i.item().kind().is(Kind.TERRAIN)
                    ? Theme.of(i.item().kind().stratum())
                    : ItemColour.of(i.item()),
                chosen,
                i.item().attributes().texture());
        case Shape.Axis a ->
            add(
                i.id(),
                meshes.line(a.alignment(), thickness * (chosen ? 1.6 : 1)),
                chosen ? theme.accent() : theme.ink());
        case Shape.Lines l ->
            add(
                i.id(),
                meshes.string(l, thickness * (chosen ? 1.6 : 1)),
                chosen ? theme.accent() : Theme.of(i.item().kind().stratum()));
        case Shape.Picture g -> {} // it has no levels
        case Shape.Points p ->
            add(
                i.id(),
                meshes.points(p, thickness * 4),
                chosen ? theme.accent() : Theme.of(i.item().kind().stratum()));
      }
    }
    for (GatheredBodies.Gathered g : gathered.all()) {
      add(g, g.mesh(), g.colour());
    }
    shown.forEach(this::label);
    if (!fitted) {
      fit();
    }
    lift();
    Platform.runLater(labels::follow);
  }

  /** Chainages along alignments, names of points. */
  private void label(Build.BuiltItem i) {
    switch (i.item().shape()) {
      case Shape.Axis a -> {
        for (double d = 0; d <= a.alignment().length(); d += SpaceMeshes.TICK_EVERY) {
          AlignmentPoint p = a.alignment().at(d);
          String words = Chainages.format(p.chainage());
          labels.add(
              inPicture(new Position(p.east(), p.north(), p.level())),
              words.endsWith(".000") ? words.substring(0, words.length() - 4) : words,
              "figure");
        }
      }
      case Shape.Points g when g.points().size() <= 60 ->
          g.points().forEach(p -> labels.add(inPicture(p.position()), p.name(), "name"));
      default -> {}
    }
  }

  private Point3D inPicture(Position p) {
    double h = Double.isNaN(p.height()) ? 0 : p.height() - zero.height();
    return new Point3D(p.east() - zero.east(), p.north() - zero.north(), h);
  }

  private void surface(
      SpaceMeshes meshes,
      ItemId id,
      wellspan.core.geom.Mesh mesh,
      Color colour,
      boolean chosen,
      Optional<Texture> texture) {
    Optional<Image> picture = texture.map(t -> pictures.image(t.pixels()));
    for (javafx.scene.shape.TriangleMesh tile : meshes.tiles(mesh, texture)) {
      MeshView view =
          add(
              id,
              tile,
              picture.isPresent()
                  ? Color.WHITE
                  : chosen
                      ? colour.interpolate(theme.accent(), 0.12)
                      : colour.interpolate(Color.WHITE, 0.25));
      picture.ifPresent(p -> ((PhongMaterial) view.getMaterial()).setDiffuseMap(p));
      if (edges) {
        MeshView net = add(id, tile, theme.ink());
        net.setDrawMode(DrawMode.LINE);
        net.setMouseTransparent(true);
      }
    }
  }

  /**
   * @param told the item, or the items, that the mesh shows
   */
  private MeshView add(Object told, javafx.scene.shape.TriangleMesh mesh, Color colour) {
    MeshView view = new MeshView(mesh);
    view.setCullFace(CullFace.NONE);
    PhongMaterial material = new PhongMaterial(colour);
    material.setSpecularColor(Color.BLACK);
    view.setMaterial(material);
    view.setUserData(told);
    content.getChildren().add(view);
    return view;
  }

  /** Sets apart what would speckle through each other at this distance. */
  private void lift() {
    for (Node n : content.getChildren()) {
      if (n instanceof MeshView view && view.getUserData() instanceof ItemId id) {
        double rank = order.getOrDefault(id, 0) + (view.getDrawMode() == DrawMode.LINE ? 0.5 : 0);
        view.setTranslateZ(SpaceOrder.lift(rank, metresPerPixel()) / exaggeration.getZ());
      }
    }
  }

  // ---- camera

  /** At the middle of the picture. */
  private double metresPerPixel() {
    return camera.metresPerPixel(getHeight());
  }

  /** Shows everything. */
  public void fit() {
    Build build = session.build();
    Box box = work(build.items().values().stream().filter(i -> build.isVisible(i.id())).toList());
    if (box.isEmpty()) {
      return;
    }
    fitted = true;
    camera.lookAt(0, 0, 0);
    double size = Math.hypot(box.width(), box.depth());
    camera.goTo(size * 1.28 * Math.max(1, 1.25 * getHeight() / Math.max(1, getWidth())));
  }

  /** Extent of what lies together; a source that is not in its place yet would leave a blank. */
  private static Box work(List<Build.BuiltItem> items) {
    return Gathering.of(items.stream().map(i -> i.item().bounds()).toList(), REACH);
  }

  private void look(Position at) {
    camera.lookAt(
        at.east() - zero.east(),
        at.north() - zero.north(),
        (Double.isNaN(at.height()) ? 0 : at.height() - zero.height()) * exaggeration.getZ());
    camera.goTo(Math.min(camera.distance(), 300));
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
    session.stageMotion().moved();
    if (e.getButton() == MouseButton.SECONDARY
        || e.getButton() == MouseButton.MIDDLE
        || e.isShiftDown()) {
      camera.pan(dx, dy, getHeight());
    } else {
      camera.orbit(dx, dy);
    }
  }

  private void zoom(ScrollEvent e) {
    session.stageMotion().moved();
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
    session.pointerProperty().set(position(e.getPickResult()).map(Session.Pointer::new));
  }

  private Optional<Position> position(PickResult pick) {
    return hit(pick)
        .map(
            p ->
                new Position(
                    zero.east() + p.getX(),
                    zero.north() + p.getY(),
                    zero.height() + p.getZ() / exaggeration.getZ()));
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
    e.consume();
  }
}
