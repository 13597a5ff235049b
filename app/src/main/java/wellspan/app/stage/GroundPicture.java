package wellspan.app.stage;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.scene.canvas.GraphicsContext;
import wellspan.app.session.Session;
import wellspan.app.session.ShapeDesk;
import wellspan.app.theme.Theme;
import wellspan.core.attribute.Finish;
import wellspan.core.build.Build;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.picture.Texture;
import wellspan.core.shape.Shape;

/** The ground in the plan: pictures, surfaces, covers and bodies, in the style that was chosen. */
final class GroundPicture {
  private Build levelsOf;
  private Box levels = Box.EMPTY;
  private final Session session;
  private final PictureLayer pictures = new PictureLayer();
  private final Map<Mesh, Box> boxes = new HashMap<>();
  private SurfaceStyle style = SurfaceStyle.CONTOURS;
  private double contourInterval;
  private boolean runOff;

  GroundPicture(Session session) {
    this.session = session;
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

  void legend(PlanInk ink) {
    new SurfaceLegend(ink).draw(style, levels());
  }

  /** At the stop Shape a comparison takes the place of the surfaces. */
  void draw(
      GraphicsContext g, PlanWindow window, Theme theme, TerrainLayer terrain, SeenItems seen) {
    Build b = session.build();
    ItemColour colours = new ItemColour(session.colours().colouring());
    Optional<ShapeDesk.Comparison> compared =
        session.stopProperty().get() == Stop.SHAPE
            ? session.shape().comparisonProperty().get()
            : Optional.empty();
    seen.textured()
        .forEach(
            i -> texture(i.item()).ifPresent(t -> pictures.draw(g, window, t.pixels(), t.place())));
    if (compared.isEmpty()) {
      SmallBodies bodies = new SmallBodies(g, window, theme, colours);
      Set<ItemId> chosen = session.selection().ids();
      seen.inSight(
          window,
          g.getCanvas().getHeight(),
          i -> {
            if (SmallBodies.takes(i.item(), seen.crowded())) {
              bodies.draw(i, chosen.contains(i.id()));
            }
          });
    }
    for (Build.BuiltItem i : seen.large()) {
      if (compared.isEmpty()) {
        boolean cover = i.item().kind().is(Kind.COVER);
        i.item()
            .triangles()
            .ifPresent(
                m -> {
                  if (colours.asked(i).isPresent()) {
                    terrain.draw(m, new SurfaceLook.Tint(colours.rgb(i)));
                  } else if (cover) {
                    int rgb = Finish.colour(i.item().attributes().material());
                    terrain.draw(m, new SurfaceLook.Tint(rgb));
                  } else if (!i.item().kind().surface()) {
                    terrain.draw(m, new SurfaceLook.Tint(colours.rgb(i)));
                    return;
                  }
                  terrain.draw(m, look(theme));
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
