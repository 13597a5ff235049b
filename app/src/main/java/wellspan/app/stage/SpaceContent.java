package wellspan.app.stage;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.DoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Point3D;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.paint.Color;
import javafx.scene.paint.PhongMaterial;
import javafx.scene.shape.DrawMode;
import javafx.scene.shape.MeshView;
import javafx.scene.shape.TriangleMesh;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Theme;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.Chainages;
import wellspan.core.build.Build;
import wellspan.core.cut.HalfSpace;
import wellspan.core.geom.Box;
import wellspan.core.geom.Gathering;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.shape.Shape;

/**
 * What is seen in 3D. Its zero is the middle of the work, subtracted in double precision before
 * anything becomes a float.
 */
final class SpaceContent {
  /** With more items small ones are put together, so that the picture can be turned fluently. */
  private static final int CROWD = 300;

  private static final int FEW_TRIANGLES = 2000;

  private final Session session;
  private final Group content;
  private final SpaceLabels labels;
  private final PictureLayer pictures = new PictureLayer();
  private final SpaceLines bars = new SpaceLines();
  private Position zero = new Position(0, 0, 0);
  private Map<ItemId, Integer> order = Map.of();
  private Theme theme = Theme.LIGHT;
  private boolean grid = true;
  private List<HalfSpace> planes = List.of();
  private SpaceCut cut = new SpaceCut(List.of(), List.of());
  private SpaceItems items;

  /** Nodes of items that have their own. */
  private final Map<ItemId, List<MeshView>> own = new HashMap<>();

  /** Bodies that share nodes, as they are seen. */
  private final Map<ItemId, Mesh> small = new HashMap<>();

  private final List<MeshView> crowd = new ArrayList<>();
  private final List<MeshView> chosenOfCrowd = new ArrayList<>();
  private Set<ItemId> chosen = Set.of();

  /**
   * @param content holds what is seen
   * @param labels chainages and names over it
   */
  SpaceContent(Session session, Group content, SpaceLabels labels) {
    this.session = session;
    this.content = content;
    this.labels = labels;
  }

  /** Makes the picture of what is visible anew; false if there is nothing. */
  boolean rebuild(Theme inks, boolean edges) {
    theme = inks;
    Build build = session.build();
    List<Build.BuiltItem> shown =
        build.items().values().stream().filter(i -> build.isVisible(i.id())).toList();
    cut = new SpaceCut(planes, shown);
    Box box = seen(shown);
    content.getChildren().clear();
    labels.clear();
    own.clear();
    small.clear();
    crowd.clear();
    chosenOfCrowd.clear();
    chosen = Set.of();
    if (box.isEmpty()) {
      return false;
    }
    Position c = box.centre();
    zero = new Position(c.east(), c.north(), Double.isNaN(c.level()) ? 0 : c.level());
    order = SpaceOrder.of(shown);
    bars.clear(Math.max(box.width(), box.depth()) / 700);
    ItemColour colours = new ItemColour(session.colours().colouring());
    items = new SpaceItems(new SpaceMeshes(zero), bars, pictures, cut, colours, theme, edges);
    GatheredBodies bodies = new GatheredBodies(zero);
    boolean crowded = shown.size() > CROWD;
    for (Build.BuiltItem i : shown) {
      if (crowded && i.item().shape() instanceof Shape.Faces f && isSmall(i, f)) {
        Mesh left = cut.of(i.id(), f.mesh());
        small.put(i.id(), left);
        bodies.add(i.id(), left, throughRoom(i, colours.of(i)));
      } else {
        show(i, false);
      }
    }
    together(bodies, crowd);
    shown.forEach(this::label);
    ground(box);
    measured();
    select();
    return true;
  }

  /** Whether a body may share a node with others: plain, light and not seen through. */
  private static boolean isSmall(Build.BuiltItem i, Shape.Faces f) {
    return f.finishes().isEmpty()
        && f.mesh().triangleCount() <= FEW_TRIANGLES
        && i.item().attributes().texture().isEmpty()
        && (SpaceItems.transparency(i.item()) == 0 || SpaceItems.isRoom(i.item()));
  }

  private static Color throughRoom(Build.BuiltItem i, Color colour) {
    return SpaceItems.isRoom(i.item())
        ? SpaceItems.through(colour, SpaceItems.transparency(i.item()))
        : colour;
  }

  private void show(Build.BuiltItem i, boolean asChosen) {
    List<MeshView> nodes = items.draw(i, asChosen);
    own.put(i.id(), nodes);
    // what is seen through goes last: it hides what is drawn behind it later
    boolean through = SpaceItems.transparency(i.item()) > 0;
    content.getChildren().addAll(through ? content.getChildren().size() : 0, nodes);
  }

  private void together(GatheredBodies bodies, List<MeshView> into) {
    for (GatheredBodies.Gathered g : bodies.all()) {
      MeshView view = SpaceItems.view(g, g.mesh(), g.colour());
      view.setCullFace(SpaceItems.hiddenOf(g.solid()));
      into.add(view);
    }
    Map<Boolean, List<MeshView>> made =
        into.stream().collect(Collectors.partitioningBy(SpaceContent::isSeenThrough));
    content.getChildren().addAll(made.get(true)); // last, as it hides what is drawn behind it later
    List<Node> there = content.getChildren();
    int opaque = 0;
    while (opaque < there.size() && !isSeenThrough(there.get(opaque))) {
      opaque++;
    }
    there.addAll(opaque, made.get(false));
  }

  /**
   * Shows what is selected now, and draws nothing else anew. Bodies that share nodes are drawn once
   * more over themselves: of equal depth the later one is seen.
   */
  void select() {
    Set<ItemId> before = chosen;
    chosen = Set.copyOf(session.selection().ids());
    Build build = session.build();
    for (ItemId id : own.keySet().stream().filter(i -> isOther(i, before)).toList()) {
      List<MeshView> old = own.remove(id);
      bars.remove(old);
      content.getChildren().removeAll(old);
      show(build.items().get(id), chosen.contains(id));
    }
    content.getChildren().removeAll(chosenOfCrowd);
    chosenOfCrowd.clear();
    GatheredBodies bodies = new GatheredBodies(zero);
    chosen.stream()
        .filter(small::containsKey)
        .forEach(
            id ->
                bodies.add(id, small.get(id), throughRoom(build.items().get(id), theme.accent())));
    together(bodies, chosenOfCrowd);
  }

  private static boolean isSeenThrough(Node n) {
    return n instanceof MeshView v
        && v.getMaterial() instanceof PhongMaterial m
        && m.getDiffuseColor().getOpacity() < 1;
  }

  private boolean isOther(ItemId id, Set<ItemId> before) {
    return before.contains(id) != chosen.contains(id);
  }

  /**
   * Leaves out the smallest of many bodies while the picture is moved.
   *
   * @param most triangles to be drawn if that can be
   * @return triangles that are drawn
   */
  int showAtMost(int most) {
    int drawn = own.values().stream().flatMap(List::stream).mapToInt(SpaceContent::triangles).sum();
    for (MeshView v : Stream.concat(chosenOfCrowd.stream(), crowd.stream()).toList()) {
      boolean fits = drawn + triangles(v) <= most;
      v.setVisible(fits);
      drawn += fits ? triangles(v) : 0;
    }
    return drawn;
  }

  private static int triangles(MeshView v) {
    return ((TriangleMesh) v.getMesh()).getFaces().size() / 6;
  }

  /** Extent of what is left of the work, by which lines and the grid are measured. */
  private Box seen(List<Build.BuiltItem> shown) {
    Box left = cut.extent();
    return left.isEmpty() ? work(shown) : left;
  }

  /** Shows only what lies on the near side of some planes; false if it does so already. */
  boolean setCuts(List<HalfSpace> cuts) {
    boolean others = !planes.equals(cuts);
    planes = List.copyOf(cuts);
    return others;
  }

  /** A grid under everything, its lines at round coordinates, and where north is. */
  private void ground(Box box) {
    double size = Math.max(box.width(), box.depth());
    if (!grid || size == 0) { // a single point gives no measure
      return;
    }
    double step = SectionInk.spacing(size / 12);
    double low = box.hasLevels() ? box.minH() - 0.02 * size : 0;
    double west = Math.floor(box.minE() / step) * step;
    double east = Math.ceil(box.maxE() / step) * step;
    double south = Math.floor(box.minN() / step) * step;
    double north = Math.ceil(box.maxN() / step) * step;
    List<Polyline> lines = new ArrayList<>();
    for (double e = west; e <= east + step / 2; e += step) {
      lines.add(new Polyline(new double[] {e, south, low, e, north, low}));
    }
    for (double n = south; n <= north + step / 2; n += step) {
      lines.add(new Polyline(new double[] {west, n, low, east, n, low}));
    }
    Shape.Lines squares = new Shape.Lines(lines);
    furniture("grid", t -> items.meshes().string(squares, t / 2), theme.line());
    double middle = (west + east) / 2;
    labels.add(inPicture(new Position(middle, north + step / 2, low)), "N ↑", "name");
    labels.add(
        inPicture(new Position(east, south - step / 3, low)),
        "grid " + Figures.number(step, step < 1 ? 1 : 0) + " m",
        "figure");
  }

  private void measured() {
    List<Position> places = session.measure().placesProperty().get();
    if (places.size() < 2) {
      return;
    }
    double[] xyz = new double[3 * places.size()];
    for (int i = 0; i < places.size(); i++) {
      xyz[3 * i] = places.get(i).east();
      xyz[3 * i + 1] = places.get(i).north();
      xyz[3 * i + 2] = places.get(i).level();
    }
    Shape.Lines between = new Shape.Lines(List.of(new Polyline(xyz)));
    furniture("measured", t -> items.meshes().string(between, t), theme.accent());
  }

  private void furniture(String what, DoubleFunction<TriangleMesh> of, Color colour) {
    MeshView view = items.bar(what, of, colour);
    view.setMouseTransparent(true);
    content.getChildren().addFirst(view); // before what it is seen through
  }

  void setGrid(boolean shown) {
    grid = shown;
  }

  /** Extent of what is seen. */
  Box extent() {
    Build build = session.build();
    return seen(build.items().values().stream().filter(i -> build.isVisible(i.id())).toList());
  }

  /** Extent of what lies together; a source that is not in its place yet would leave a blank. */
  private static Box work(List<Build.BuiltItem> items) {
    return Gathering.of(items.stream().map(i -> i.item().bounds()).toList(), Gathering.FAR);
  }

  /** Chainages along alignments, names of points. */
  private void label(Build.BuiltItem i) {
    switch (i.item().shape()) {
      case Shape.Axis a -> {
        for (double d = 0; d <= a.alignment().length(); d += SpaceMeshes.TICK_EVERY) {
          AlignmentPoint p = a.alignment().at(d);
          if (!cut.keeps(new Position(p.east(), p.north(), p.level()))) {
            continue;
          }
          String words = Chainages.format(p.chainage());
          labels.add(
              inPicture(new Position(p.east(), p.north(), p.level())),
              words.endsWith(".000") ? words.substring(0, words.length() - 4) : words,
              "figure");
        }
      }
      case Shape.Points g when g.points().size() <= 60 ->
          cut.of(g).points().forEach(p -> labels.add(inPicture(p.position()), p.name(), "name"));
      default -> {}
    }
  }

  Point3D inPicture(Position p) {
    double h = Double.isNaN(p.level()) ? 0 : p.level() - zero.level();
    return new Point3D(p.east() - zero.east(), p.north() - zero.north(), h);
  }

  Position shared(Point3D p) {
    return new Position(zero.east() + p.getX(), zero.north() + p.getY(), zero.level() + p.getZ());
  }

  /**
   * Sets apart what would speckle through each other at this distance, and keeps lines fine.
   *
   * @param metresPerPixel at the middle of the picture
   */
  void lift(double metresPerPixel, double exaggeration) {
    bars.follow(metresPerPixel);
    for (Node n : content.getChildren()) {
      if (n instanceof MeshView view && view.getUserData() instanceof ItemId id) {
        double rank = order.getOrDefault(id, 0) + (view.getDrawMode() == DrawMode.LINE ? 0.5 : 0);
        view.setTranslateZ(SpaceOrder.lift(rank, metresPerPixel) / exaggeration);
      }
    }
  }
}
