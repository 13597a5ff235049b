package wellspan.app.stage;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import wellspan.app.theme.Theme;
import wellspan.core.build.Build;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshEdges;
import wellspan.core.item.Item;

/**
 * Draws bodies of few triangles, and surfaces where there are thousands, straight onto the picture:
 * by their triangles where they are large enough to be told apart, by their extent where they are a
 * few pixels wide.
 */
final class SmallBodies {
  private static final int FEW_TRIANGLES = 400;

  /** Narrower ones are drawn as what they cover, pixels. */
  private static final double TINY = 8;

  /** Wider ones get an outline, pixels. */
  private static final double LARGE = 30;

  /** Opacity of a room, in which others stand. */
  private static final double ROOM = 0.15;

  private final GraphicsContext g;
  private final PlanWindow window;
  private final Theme theme;
  private final ItemColour colours;

  SmallBodies(GraphicsContext g, PlanWindow window, Theme theme, ItemColour colours) {
    this.g = g;
    this.window = window;
    this.theme = theme;
    this.colours = colours;
  }

  /**
   * Whether an item is drawn here and not as ground.
   *
   * @param crowded whether there are so many items that small surfaces too are drawn plainly
   */
  static boolean takes(Item item, boolean crowded) {
    return (crowded || !item.kind().surface())
        && item.triangles().filter(m -> m.triangleCount() <= FEW_TRIANGLES).isPresent();
  }

  void draw(Build.BuiltItem built, boolean chosen) {
    Item item = built.item();
    Mesh m = item.triangles().orElseThrow();
    Box b = item.bounds();
    Color colour = chosen ? theme.accent() : colours.of(built);
    g.setFill(SpaceItems.isRoom(item) ? colour.deriveColor(0, 1, 1, ROOM) : colour);
    double x = window.x(b.minE()), y = window.y(b.maxN());
    double w = b.width() / window.metresPerPixel(), h = b.depth() / window.metresPerPixel();
    if (Math.max(w, h) < TINY) {
      g.fillRect(x, y, Math.max(1, w), Math.max(1, h));
      return;
    }
    g.setStroke(chosen ? theme.ink() : colour.darker());
    g.setLineWidth(1);
    covered(m);
    if (Math.max(w, h) > LARGE) {
      silhouette(m);
    }
  }

  /**
   * Fills what a body covers, all at once: each shape that is filled costs a picture of its own,
   * and seams between triangles would show. All of them turn the same way, so that none takes
   * another away.
   */
  private void covered(Mesh m) {
    g.beginPath();
    for (int t = 0; t < m.triangleCount(); t++) {
      double area = m.planArea(t);
      if (area != 0) {
        int[] corners = m.triangles();
        corner(m, corners[3 * t], true);
        corner(m, corners[3 * t + (area > 0 ? 1 : 2)], false);
        corner(m, corners[3 * t + (area > 0 ? 2 : 1)], false);
        g.closePath();
      }
    }
    g.fill();
  }

  private void corner(Mesh m, int vertex, boolean first) {
    double x = window.x(m.east(vertex));
    double y = window.y(m.north(vertex));
    if (first) {
      g.moveTo(x, y);
    } else {
      g.lineTo(x, y);
    }
  }

  /** Edges at which the side that is seen from above ends. */
  private void silhouette(Mesh m) {
    MeshEdges edges = new MeshEdges(m);
    g.beginPath();
    for (int e = 0; e < edges.halfEdgeCount(); e++) {
      int other = edges.twin(e);
      if (m.planArea(e / 3) > 0 && (other < 0 || m.planArea(other / 3) <= 0)) {
        corner(m, edges.from(e), true);
        corner(m, edges.to(e), false);
      }
    }
    g.stroke();
  }
}
