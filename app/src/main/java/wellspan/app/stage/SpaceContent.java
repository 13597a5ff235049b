package wellspan.app.stage;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleFunction;
import javafx.geometry.Point3D;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.image.Image;
import javafx.scene.paint.Color;
import javafx.scene.paint.PhongMaterial;
import javafx.scene.shape.CullFace;
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
import wellspan.core.item.Kind;
import wellspan.core.picture.Texture;
import wellspan.core.shape.Shape;

/**
 * What is seen in 3D. Its zero is the middle of the work, subtracted in double precision before
 * anything becomes a float.
 */
final class SpaceContent {
  /** With more items small ones are put together, so that the picture can be turned fluently. */
  private static final int CROWD = 300;

  private static final int FEW_TRIANGLES = 2000;

  /** More points than that are a survey, which must not hide what was made of it. */
  private static final int MANY_POINTS = 500;

  private final Session session;
  private final Group content;
  private final SpaceLabels labels;
  private final PictureLayer pictures = new PictureLayer();
  private Position zero = new Position(0, 0, 0);
  private Map<ItemId, Integer> order = Map.of();
  private Theme theme = Theme.LIGHT;
  private boolean edges;
  private boolean grid = true;
  private List<HalfSpace> cuts = List.of();
  private final Map<ItemId, Mesh> kept = new HashMap<>();
  private final SpaceLines bars = new SpaceLines();

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
  boolean rebuild(Theme inks, boolean withEdges) {
    theme = inks;
    edges = withEdges;
    Build build = session.build();
    List<Build.BuiltItem> shown =
        build.items().values().stream().filter(i -> build.isVisible(i.id())).toList();
    keep(shown);
    Box box = seen(shown);
    content.getChildren().clear();
    labels.clear();
    if (box.isEmpty()) {
      return false;
    }
    Position c = box.centre();
    zero = new Position(c.east(), c.north(), Double.isNaN(c.level()) ? 0 : c.level());
    order = SpaceOrder.of(shown);
    SpaceMeshes meshes = new SpaceMeshes(zero);
    bars.clear(Math.max(box.width(), box.depth()) / 700);
    GatheredBodies gathered = new GatheredBodies(zero);
    boolean crowded = shown.size() > CROWD;
    ItemColour colours = new ItemColour(session.colours().colouring());
    for (Build.BuiltItem i : shown) {
      boolean chosen = session.selection().ids().contains(i.id());
      switch (i.item().shape()) {
        case Shape.Faces f
            when crowded
                && f.finishes().isEmpty()
                && f.mesh().triangleCount() <= FEW_TRIANGLES
                && i.item().attributes().texture().isEmpty() ->
            gathered.add(i.id(), kept(i, f.mesh()), chosen ? theme.accent() : colours.of(i));
        case Shape.Faces f when isPainted(i, f, colours) ->
            f.finishes()
                .get()
                .parts(f.mesh())
                .forEach(
                    p ->
                        surface(
                            meshes,
                            i.id(),
                            p.mesh(),
                            p.finish()
                                .map(own -> ItemColour.color(own.rgb()))
                                .orElseGet(() -> colours.of(i)),
                            chosen,
                            !i.item().kind().surface(),
                            Optional.empty()));
        case Shape.Faces f ->
            surface(
                meshes,
                i.id(),
                kept(i, f.mesh()),
                i.item().kind().is(Kind.TERRAIN) && colours.asked(i).isEmpty()
                    ? Theme.of(i.item().kind().stratum())
                    : colours.of(i),
                chosen,
                !i.item().kind().surface(),
                colours.asked(i).isEmpty() ? i.item().attributes().texture() : Optional.empty());
        case Shape.Axis a when cuts.isEmpty() ->
            bar(
                i.id(),
                t -> meshes.line(a.alignment(), t * (chosen ? 1.6 : 1)),
                chosen ? theme.accent() : theme.ink());
        case Shape.Axis a -> lines(meshes, i, List.of(a.line()), theme.ink());
        case Shape.Lines l -> lines(meshes, i, l.lines(), Theme.of(i.item().kind().stratum()));
        case Shape.Picture g -> {} // it has no levels
        case Shape.Points p ->
            bar(
                i.id(),
                t -> meshes.points(kept(p), t * (p.pointCount() > MANY_POINTS ? 0.5 : 4)),
                chosen ? theme.accent() : Theme.of(i.item().kind().stratum()));
      }
    }
    for (GatheredBodies.Gathered g : gathered.all()) {
      add(g, g.mesh(), g.colour()).setCullFace(hiddenOf(g.solid()));
    }
    shown.forEach(this::label);
    ground(meshes, box);
    measured(meshes);
    return true;
  }

  /** Whether faces are seen in colours of their own; what is cut has other faces. */
  private boolean isPainted(Build.BuiltItem i, Shape.Faces f, ItemColour colours) {
    return f.finishes().isPresent()
        && cuts.isEmpty()
        && colours.asked(i).isEmpty()
        && i.item().attributes().texture().isEmpty();
  }

  private void lines(SpaceMeshes meshes, Build.BuiltItem i, List<Polyline> whole, Color colour) {
    List<Polyline> cut = whole;
    for (HalfSpace c : cuts) {
      cut = cut.stream().flatMap(l -> c.of(l).stream()).toList();
    }
    List<Polyline> left = cut;
    boolean chosen = session.selection().ids().contains(i.id());
    if (!left.isEmpty()) {
      Shape.Lines seen = new Shape.Lines(left);
      bar(
          i.id(),
          t -> meshes.string(seen, t * (chosen ? 1.6 : 1)),
          chosen ? theme.accent() : colour);
    }
  }

  private Shape.Points kept(Shape.Points all) {
    return cuts.isEmpty()
        ? all
        : new Shape.Points(all.points().stream().filter(p -> keeps(p.position())).toList());
  }

  private boolean keeps(Position p) {
    return cuts.stream().allMatch(c -> c.keeps(p));
  }

  /** Cuts what is shown, once for each picture. */
  private void keep(List<Build.BuiltItem> shown) {
    kept.clear();
    for (Build.BuiltItem i : cuts.isEmpty() ? List.<Build.BuiltItem>of() : shown) {
      if (i.item().shape() instanceof Shape.Faces f) {
        Mesh m = f.mesh();
        for (HalfSpace c : cuts) {
          m = c.of(m);
        }
        kept.put(i.id(), m);
      }
    }
  }

  /** The part of a mesh that is not cut away. */
  private Mesh kept(Build.BuiltItem i, Mesh whole) {
    return kept.getOrDefault(i.id(), whole);
  }

  /** Extent of what is left of the work, by which lines and the grid are measured. */
  private Box seen(List<Build.BuiltItem> shown) {
    Box left =
        kept.values().stream()
            .filter(m -> m.triangleCount() > 0)
            .map(Mesh::bounds)
            .reduce(Box.EMPTY, Box::union);
    return left.isEmpty() ? work(shown) : left;
  }

  /** Shows only what lies on the near side of some planes; false if it does so already. */
  boolean setCuts(List<HalfSpace> planes) {
    boolean others = !cuts.equals(planes);
    cuts = List.copyOf(planes);
    return others;
  }

  /** A grid under everything, its lines at round coordinates, and where north is. */
  private void ground(SpaceMeshes meshes, Box box) {
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
    MeshView net = bar("grid", t -> meshes.string(squares, t / 2), theme.line());
    net.setMouseTransparent(true);
    double middle = (west + east) / 2;
    labels.add(inPicture(new Position(middle, north + step / 2, low)), "N ↑", "name");
    labels.add(
        inPicture(new Position(east, south - step / 3, low)),
        "grid " + Figures.number(step, step < 1 ? 1 : 0) + " m",
        "figure");
  }

  private void measured(SpaceMeshes meshes) {
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
    MeshView line = bar("measured", t -> meshes.string(between, t), theme.accent());
    line.setMouseTransparent(true);
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
          if (!keeps(new Position(p.east(), p.north(), p.level()))) {
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
          kept(g).points().forEach(p -> labels.add(inPicture(p.position()), p.name(), "name"));
      default -> {}
    }
  }

  Point3D inPicture(Position p) {
    double h = Double.isNaN(p.level()) ? 0 : p.level() - zero.level();
    return new Point3D(p.east() - zero.east(), p.north() - zero.north(), h);
  }

  private void surface(
      SpaceMeshes meshes,
      ItemId id,
      Mesh mesh,
      Color colour,
      boolean chosen,
      boolean hard,
      Optional<Texture> texture) {
    Optional<Image> picture = texture.map(t -> pictures.image(t.pixels()));
    CullFace hidden = hiddenOf(hard && SpaceMeshes.isSolid(mesh));
    for (TriangleMesh tile : meshes.tiles(mesh, hard, texture)) {
      MeshView view =
          add(
              id,
              tile,
              picture.isPresent()
                  ? Color.WHITE
                  : chosen
                      ? colour.interpolate(theme.accent(), 0.12)
                      : colour.interpolate(Color.WHITE, 0.25));
      view.setCullFace(hidden);
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
  private MeshView bar(Object told, DoubleFunction<TriangleMesh> of, Color colour) {
    MeshView view = add(told, of.apply(bars.thickness()), colour);
    bars.add(view, of);
    return view;
  }

  /** Faces that look away hide behind the others of a solid, and are half of the work. */
  private static CullFace hiddenOf(boolean solid) {
    return solid ? CullFace.BACK : CullFace.NONE;
  }

  private MeshView add(Object told, TriangleMesh mesh, Color colour) {
    MeshView view = new MeshView(mesh);
    view.setCullFace(CullFace.NONE);
    PhongMaterial material = new PhongMaterial(colour);
    material.setSpecularColor(Color.BLACK);
    view.setMaterial(material);
    view.setUserData(told);
    content.getChildren().add(view);
    return view;
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
