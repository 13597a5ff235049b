package wellspan.app.stage;

import static wellspan.app.stage.SectionInk.FIGURE;
import static wellspan.app.stage.SectionInk.spacing;
import static wellspan.app.stage.SectionInk.text;

import java.util.function.DoubleUnaryOperator;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Theme;
import wellspan.core.earthwork.MassHaul;

/**
 * What is cut and filled along an alignment: bars by stretch, up for cut and down for fill, and the
 * curve of the mass that is carried along.
 *
 * @param x place of a distance on the picture
 */
record MassPicture(
    MassHaul haul,
    Theme theme,
    DoubleUnaryOperator x,
    double left,
    double right,
    double top,
    double bottom) {
  private static final Color CUT = Color.web("#B0654A");
  private static final Color FILL = Color.web("#5F8F8A");

  void draw(GraphicsContext g) {
    double high = 1;
    double low = -1;
    for (MassHaul.Row r : haul.rows()) {
      high = Math.max(high, Math.max(r.cut(), r.mass()));
      low = Math.min(low, Math.min(-r.fill(), r.mass()));
    }
    double span = high - low;
    double most = high;
    DoubleUnaryOperator y = v -> top + (most - v) / span * (bottom - top);
    g.setLineWidth(1);
    double every = spacing(span / Math.max(2, (bottom - top) / 34));
    for (double v = Math.ceil(low / every) * every; v <= high; v += every) {
      g.setStroke(theme.line());
      g.strokeLine(left, y.applyAsDouble(v), right, y.applyAsDouble(v));
      text(
          g,
          Figures.number(v, 0),
          left - 8,
          y.applyAsDouble(v),
          FIGURE,
          theme.muted(),
          TextAlignment.RIGHT);
    }
    double zero = y.applyAsDouble(0);
    for (MassHaul.Row r : haul.rows()) {
      double from = x.applyAsDouble(r.fromDistance());
      double width = Math.max(1, x.applyAsDouble(r.toDistance()) - from - 1);
      g.setFill(CUT);
      g.fillRect(from, y.applyAsDouble(r.cut()), width, zero - y.applyAsDouble(r.cut()));
      g.setFill(FILL);
      g.fillRect(from, zero, width, y.applyAsDouble(-r.fill()) - zero);
    }
    g.setStroke(theme.ink());
    g.strokeLine(left, zero, right, zero);
    g.setLineWidth(2);
    g.beginPath();
    g.moveTo(x.applyAsDouble(0), zero);
    haul.rows().forEach(r -> g.lineTo(x.applyAsDouble(r.toDistance()), y.applyAsDouble(r.mass())));
    g.setStroke(theme.accent());
    g.stroke();
    double at = top - 14;
    text(g, "m\u00b3", left - 8, at, FIGURE, theme.muted(), TextAlignment.RIGHT);
    entry(g, left, at, "cut " + Figures.number(haul.cut(), 0) + " m\u00b3", CUT);
    entry(g, left + 150, at, "fill " + Figures.number(haul.fill(), 0) + " m\u00b3", FILL);
    MassHaul.Row last = haul.rows().getLast();
    entry(
        g,
        left + 300,
        at,
        "mass carried along, "
            + (last.mass() >= 0 ? "left over " : "missing ")
            + Figures.number(Math.abs(last.mass()), 0)
            + " m\u00b3; within "
            + Figures.number(haul.reach(), 0)
            + " m",
        theme.accent());
  }

  private void entry(GraphicsContext g, double at, double y, String what, Color c) {
    g.setFill(c);
    g.fillRect(at, y - 4, 14, 8);
    text(g, what, at + 20, y, FIGURE, theme.ink(), TextAlignment.LEFT);
  }
}
