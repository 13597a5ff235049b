package wellspan.app.stage;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import wellspan.app.theme.Theme;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Position;

/** What the stop Shape draws on the plan: flaws, an outline in the making, a legend. */
final class ShapePicture {
  private static final double RING = 9;

  private final PlanInk ink;
  private final GraphicsContext g;
  private final PlanWindow w;
  private final Theme theme;

  ShapePicture(PlanInk ink) {
    this.ink = ink;
    g = ink.g();
    w = ink.window();
    theme = ink.theme();
  }

  /** A ring at every place of the findings of this stop, with the figure at the first. */
  void flaws(List<Finding> findings) {
    for (Finding f : findings) {
      if (f.stop() == Stop.SHAPE && f.place().isPresent()) {
        Color colour = f.isError() ? theme.error() : theme.warning();
        f.places().forEach(p -> ring(p, colour));
        Position p = f.place().get();
        ink.label(
            f.figure().map(Figure::text).orElse(""),
            w.x(p.east()),
            w.y(p.north()) - RING - 6,
            PlanInk.FIGURE,
            colour,
            TextAlignment.CENTER);
      }
    }
  }

  private void ring(Position p, Color colour) {
    double x = w.x(p.east()), y = w.y(p.north());
    if (x < -RING || y < -RING || x > w.width() + RING || y > w.height() + RING) {
      return;
    }
    g.setStroke(colour);
    g.setLineWidth(2);
    g.strokeOval(x - RING, y - RING, 2 * RING, 2 * RING);
    g.setLineWidth(1);
    g.strokeLine(x - 3, y, x + 3, y);
    g.strokeLine(x, y - 3, x, y + 3);
  }

  void outline(List<Position> corners) {
    if (corners.isEmpty()) {
      return;
    }
    double[] x = corners.stream().mapToDouble(p -> w.x(p.east())).toArray();
    double[] y = corners.stream().mapToDouble(p -> w.y(p.north())).toArray();
    g.setStroke(theme.accent());
    g.setLineWidth(2);
    g.setLineDashes(6, 4);
    g.strokePolygon(x, y, x.length);
    g.setLineDashes();
    g.setFill(theme.accent());
    for (int i = 0; i < x.length; i++) {
      g.fillOval(x[i] - 3.5, y[i] - 3.5, 7, 7);
    }
  }
}
