package wellspan.app.stage;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Rectangle2D;
import javafx.scene.canvas.GraphicsContext;
import wellspan.app.session.SentAndArrived;
import wellspan.app.session.Session;
import wellspan.app.session.ShapeDesk;
import wellspan.app.theme.Theme;
import wellspan.core.attribute.Finish;
import wellspan.core.build.Build;
import wellspan.core.colouring.Colouring;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.picture.Texture;
import wellspan.core.shape.Shape;

/**
 * The ground in the plan: pictures, surfaces, covers and bodies, in the style that was chosen. It
 * is drawn anew only where something it is drawn from has changed. Window's thread.
 */
final class GroundPicture {
  private Build levelsOf;
  private Box levels = Box.EMPTY;
  private Optional<Source> drawn = Optional.empty();
  private final Session session;
  private final TileCache tiles;
  private final PictureLayer pictures = new PictureLayer();
  private final Map<Mesh, Box> boxes = new HashMap<>();
  private SurfaceStyle style = SurfaceStyle.CONTOURS;
  private double contourInterval;
  private boolean runOff;

  /**
   * All that the ground is drawn from.
   *
   * @param proof what arrived and was sent, where that takes the place of the job's items
   * @param runsOff where water is asked for, the surfaces that are chosen
   */
  private record Source(
      PlanWindow window,
      Theme theme,
      SurfaceStyle style,
      double contourInterval,
      Build build,
      Optional<Colouring> colouring,
      Optional<ShapeDesk.Comparison> compared,
      Optional<SentAndArrived> proof,
      Optional<Set<ItemId>> runsOff) {

    /** What never changes is large, and compared by being the same. */
    @SuppressWarnings({"ReferenceEquality", "OptionalEquality"})
    boolean gives(Source other) {
      return build == other.build
          && colouring == other.colouring
          && compared == other.compared
          && proof == other.proof
          && window.equals(other.window)
          && theme == other.theme
          && style == other.style
          && contourInterval == other.contourInterval
          && runsOff.equals(other.runsOff);
    }
  }

  /** As many parts take longer than the whole, as each is clipped. */
  private static final int MANY = 3;

  GroundPicture(Session session, TileCache tiles) {
    this.session = session;
    this.tiles = tiles;
  }

  /** The canvas that the ground was drawn on is empty again. */
  void forgetDrawn() {
    drawn = Optional.empty();
  }

  void setStyle(SurfaceStyle s) {
    style = s;
  }

  /** Distance of drawn contours, metres; 0 for one that fits the scale. */
  void setContourInterval(double interval) {
    contourInterval = interval;
  }

  /** Whether arrows show where water runs off. */
  void setRunOff(boolean shown) {
    runOff = shown;
  }

  void forgetMeshesBut(Set<Mesh> alive) {
    boxes.keySet().retainAll(alive);
  }

  Box box(Mesh m) {
    return boxes.computeIfAbsent(m, Mesh::bounds);
  }

  /** Whether its colours need words. */
  boolean hasLegend() {
    return SurfaceLegend.explains(style);
  }

  void legend(PlanInk ink) {
    new SurfaceLegend(ink).draw(style, levels());
  }

  /**
   * Draws the ground unless it stands there already.
   *
   * @param proof what arrived over what was sent, where that is shown instead of the job's items
   */
  void draw(
      GraphicsContext g,
      PlanWindow window,
      Theme theme,
      SeenItems seen,
      Optional<SentAndArrived> proof) {
    Source now = source(window, theme, proof);
    Rectangle2D whole = new Rectangle2D(0, 0, g.getCanvas().getWidth(), g.getCanvas().getHeight());
    if (tiles.isLacking() || drawn.filter(now::gives).isEmpty()) {
      tiles.startPicture();
      draw(g, now, seen, new TerrainLayer(g, window, whole, tiles::get, tiles::peek, this::box));
      drawn = Optional.of(now);
      return;
    }
    List<Rectangle2D> parts =
        tiles.takeArrived().stream()
            .map(k -> TerrainLayer.place(window, k))
            .filter(whole::intersects)
            .distinct()
            .toList();
    for (Rectangle2D part : parts.size() < MANY ? parts : List.of(whole)) {
      draw(g, now, seen, new TerrainLayer(g, window, part, tiles::peek, tiles::peek, this::box));
    }
  }

  /** Draws a part of the ground from the paper up. */
  private void draw(GraphicsContext g, Source now, SeenItems seen, TerrainLayer terrain) {
    Rectangle2D part = terrain.part();
    g.save();
    if (part.getWidth() < g.getCanvas().getWidth()
        || part.getHeight() < g.getCanvas().getHeight()) {
      g.beginPath(); // a clip makes all that is drawn slower
      g.rect(part.getMinX(), part.getMinY(), part.getWidth(), part.getHeight());
      g.clip();
    }
    g.setFill(now.theme().paper());
    g.fillRect(part.getMinX(), part.getMinY(), part.getWidth(), part.getHeight());
    if (now.proof().isPresent()) {
      ProofPicture.ground(now.proof().get(), now.theme(), terrain, look(now.theme()));
    } else if (now.compared().isPresent()) {
      textures(g, now.window(), seen);
      ShapeDesk.Comparison c = now.compared().get();
      terrain.draw(c.one(), new SurfaceLook.Difference(c.other()));
    } else {
      textures(g, now.window(), seen);
      items(g, now, terrain, seen);
    }
    g.restore();
  }

  private Source source(PlanWindow window, Theme theme, Optional<SentAndArrived> proof) {
    return new Source(
        window,
        theme,
        style,
        contourInterval,
        session.build(),
        session.colours().colouring(),
        compared(),
        proof,
        runOff ? Optional.of(session.selection().ids()) : Optional.empty());
  }

  /** At the stop Shape a comparison takes the place of the surfaces. */
  private Optional<ShapeDesk.Comparison> compared() {
    return session.stopProperty().get() == Stop.SHAPE
        ? session.shape().comparisonProperty().get()
        : Optional.empty();
  }

  /** Whether what is drawn depends on which surface is chosen. */
  boolean isOfChosen() {
    return runOff;
  }

  private void textures(GraphicsContext g, PlanWindow window, SeenItems seen) {
    seen.textured()
        .forEach(
            i -> texture(i.item()).ifPresent(t -> pictures.draw(g, window, t.pixels(), t.place())));
  }

  private void items(GraphicsContext g, Source now, TerrainLayer terrain, SeenItems seen) {
    ItemColour colours = new ItemColour(now.colouring());
    SmallBodies bodies = new SmallBodies(g, now.window(), now.theme(), colours);
    seen.within(
        now.window(),
        terrain.part(),
        i -> {
          if (SmallBodies.takes(i.item(), seen.crowded())) {
            bodies.draw(i, false);
          }
        });
    for (Build.BuiltItem i : seen.large()) {
      i.item().triangles().ifPresent(m -> surface(terrain, i, m, colours, now.theme()));
    }
    if (runOff) {
      SurfaceLook arrows = new SurfaceLook.RunOff(PlanInk.awt(now.theme().accent()));
      now.build().items().values().stream()
          .filter(i -> now.build().isVisible(i.id()) && runsOff(i))
          .forEach(i -> i.item().triangles().ifPresent(m -> terrain.draw(m, arrows)));
    }
  }

  private void surface(
      TerrainLayer terrain, Build.BuiltItem i, Mesh m, ItemColour colours, Theme theme) {
    Item item = i.item();
    if (colours.asked(i).isPresent()) {
      terrain.draw(m, new SurfaceLook.Tint(colours.rgb(i)));
    } else if (item.kind().is(Kind.COVER)) {
      terrain.draw(m, new SurfaceLook.Tint(Finish.colour(item.attributes().material())));
    } else if (!item.kind().surface()) {
      terrain.draw(m, new SurfaceLook.Tint(colours.rgb(i)));
      return;
    }
    terrain.draw(m, look(theme));
  }

  static Optional<Texture> texture(Item item) {
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

  SurfaceLook look(Theme theme) {
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

  /** What the colours of levels reach over: all visible ground; reckoned once for a build. */
  @SuppressWarnings("ReferenceEquality") // a build is never changed
  private Box levels() {
    Build b = session.build();
    if (levelsOf != b) {
      levelsOf = b;
      levels =
          b.items().values().stream()
              .filter(i -> b.isVisible(i.id()))
              .map(i -> i.item().triangles())
              .flatMap(Optional::stream)
              .map(this::box)
              .filter(Box::hasLevels)
              .reduce(Box.EMPTY, Box::union);
    }
    return levels;
  }
}
