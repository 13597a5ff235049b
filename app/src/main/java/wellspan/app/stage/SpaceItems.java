package wellspan.app.stage;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;
import javafx.scene.image.Image;
import javafx.scene.paint.Color;
import javafx.scene.paint.PhongMaterial;
import javafx.scene.shape.CullFace;
import javafx.scene.shape.DrawMode;
import javafx.scene.shape.MeshView;
import javafx.scene.shape.TriangleMesh;
import wellspan.app.theme.Theme;
import wellspan.core.attribute.Finish;
import wellspan.core.build.Build;
import wellspan.core.describe.Finishes;
import wellspan.core.describe.Rooms;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.picture.Texture;
import wellspan.core.shape.Shape;

/**
 * Draws one item after the other in 3D, each as nodes of its own that tell its id ({@code
 * userData}).
 *
 * @param edges whether edges of faces are drawn too
 */
record SpaceItems(
    SpaceMeshes meshes,
    SpaceLines bars,
    PictureLayer pictures,
    SpaceCut cut,
    ItemColour colours,
    Theme theme,
    boolean edges) {
  /** More points than that are a survey, which must not hide what was made of it. */
  private static final int MANY_POINTS = 500;

  /** How much thicker a chosen line is. */
  private static final double CHOSEN = 1.6;

  /** How much is seen through a room, in which others stand. */
  private static final double ROOM = 0.8;

  List<MeshView> draw(Build.BuiltItem i, boolean chosen) {
    return switch (i.item().shape()) {
      case Shape.Faces f -> faces(i, f, chosen);
      case Shape.Axis a when cut.isWhole() ->
          List.of(
              bar(
                  i.id(),
                  t -> meshes.line(a.alignment(), t * (chosen ? CHOSEN : 1)),
                  chosen ? theme.accent() : theme.ink()));
      case Shape.Axis a -> lines(i, List.of(a.line()), theme.ink(), chosen);
      case Shape.Lines l -> lines(i, l.lines(), Theme.of(i.item().kind().stratum()), chosen);
      case Shape.Picture g -> List.of(); // it has no levels
      case Shape.Points p ->
          List.of(
              bar(
                  i.id(),
                  t -> meshes.points(cut.of(p), t * (p.pointCount() > MANY_POINTS ? 0.5 : 4)),
                  chosen ? theme.accent() : Theme.of(i.item().kind().stratum())));
    };
  }

  private List<MeshView> faces(Build.BuiltItem i, Shape.Faces f, boolean chosen) {
    boolean hard = !i.item().kind().surface();
    List<MeshView> out = new ArrayList<>();
    if (isPainted(i, f)) {
      for (var p : f.finishes().get().parts(f.mesh())) {
        Color own = p.finish().map(c -> ItemColour.color(c.rgb())).orElseGet(() -> colours.of(i));
        surface(out, i.id(), p.mesh(), seen(own, chosen), hard, Optional.empty());
      }
      return out;
    }
    boolean asked = colours.asked(i).isPresent();
    Color colour =
        i.item().kind().is(Kind.TERRAIN) && !asked
            ? Theme.of(i.item().kind().stratum())
            : colours.of(i);
    surface(
        out,
        i.id(),
        cut.of(i.id(), f.mesh()),
        through(seen(colour, chosen), asked && !isRoom(i.item()) ? 0 : transparency(i.item())),
        hard,
        asked ? Optional.empty() : i.item().attributes().texture());
    return out;
  }

  /** How much is seen through a thing, by its finish; through a room without one, most. */
  static double transparency(Item item) {
    return Finishes.standard(item)
        .map(Finish::transparency)
        .orElseGet(() -> isRoom(item) ? ROOM : 0.0);
  }

  /** Whether others stand in it, and it has no finish that says how it is seen. */
  static boolean isRoom(Item item) {
    return Rooms.isRoom(item) && Finishes.standard(item).isEmpty();
  }

  /** Materials in space take colours that are multiplied with their opacity before. */
  static Color through(Color c, double transparency) {
    double o = 1 - transparency;
    return transparency == 0
        ? c
        : Color.color(o * c.getRed(), o * c.getGreen(), o * c.getBlue(), o);
  }

  private Color seen(Color colour, boolean chosen) {
    return chosen
        ? colour.interpolate(theme.accent(), 0.12)
        : colour.interpolate(Color.WHITE, 0.25);
  }

  /** Whether faces are seen in colours of their own; what is cut has other faces. */
  private boolean isPainted(Build.BuiltItem i, Shape.Faces f) {
    return f.finishes().isPresent()
        && cut.isWhole()
        && colours.asked(i).isEmpty()
        && i.item().attributes().texture().isEmpty();
  }

  private List<MeshView> lines(
      Build.BuiltItem i, List<Polyline> whole, Color colour, boolean chosen) {
    List<Polyline> left = cut.of(whole);
    if (left.isEmpty()) {
      return List.of();
    }
    Shape.Lines seen = new Shape.Lines(left);
    return List.of(
        bar(
            i.id(),
            t -> meshes.string(seen, t * (chosen ? CHOSEN : 1)),
            chosen ? theme.accent() : colour));
  }

  private void surface(
      List<MeshView> out,
      ItemId id,
      Mesh mesh,
      Color colour,
      boolean hard,
      Optional<Texture> texture) {
    Optional<Image> picture = texture.map(t -> pictures.image(t.pixels()));
    CullFace hidden = hiddenOf(hard && SpaceMeshes.isSolid(mesh));
    for (TriangleMesh tile : meshes.tiles(mesh, hard, texture)) {
      MeshView view = view(id, tile, picture.isPresent() ? Color.WHITE : colour);
      view.setCullFace(hidden);
      picture.ifPresent(p -> ((PhongMaterial) view.getMaterial()).setDiffuseMap(p));
      out.add(view);
      if (edges) {
        MeshView net = view(id, tile, theme.ink());
        net.setDrawMode(DrawMode.LINE);
        net.setMouseTransparent(true);
        out.add(net);
      }
    }
  }

  /**
   * A line that stays fine.
   *
   * @param told the item, or what else the line shows
   */
  MeshView bar(Object told, DoubleFunction<TriangleMesh> of, Color colour) {
    MeshView view = view(told, of.apply(bars.thickness()), colour);
    bars.add(view, of);
    return view;
  }

  /** Faces that look away hide behind the others of a solid, and are half of the work. */
  static CullFace hiddenOf(boolean solid) {
    return solid ? CullFace.BACK : CullFace.NONE;
  }

  /**
   * @param told the item, or the items, that the mesh shows
   */
  static MeshView view(Object told, TriangleMesh mesh, Color colour) {
    MeshView view = new MeshView(mesh);
    view.setCullFace(CullFace.NONE);
    PhongMaterial material = new PhongMaterial(colour);
    material.setSpecularColor(Color.BLACK);
    view.setMaterial(material);
    view.setUserData(told);
    return view;
  }
}
