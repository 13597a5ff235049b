package wellspan.app.stage;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Rectangle2D;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;
import javafx.scene.text.TextAlignment;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Theme;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.Chainages;
import wellspan.core.frame.Frame;
import wellspan.core.frame.SinglePrecision;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;
import wellspan.core.item.Band;
import wellspan.core.item.Item;

/**
 * Draws everything of the plan that is not terrain: lines, points, base point, rings, scale, north.
 */
final class PlanFurniture {
  private static final Font FIGURE = Font.font("JetBrains Mono", 11);
  private static final Font NAME = Font.font("Manrope", FontWeight.BOLD, 12);

  private final GraphicsContext g;
  private final PlanWindow w;
  private final Theme theme;
  private final Frame frame;
  private final List<Rectangle2D> taken = new ArrayList<>();

  PlanFurniture(GraphicsContext g, PlanWindow w, Theme theme, Frame frame) {
    this.g = g;
    this.w = w;
    this.theme = theme;
    this.frame = frame;
  }

  /** Writes a label unless it would cover another one. */
  private boolean label(
      String s, double x, double y, Font font, Color colour, TextAlignment align) {
    double width = s.length() * font.getSize() * 0.62;
    double left =
        align == TextAlignment.LEFT ? x : align == TextAlignment.RIGHT ? x - width : x - width / 2;
    Rectangle2D place =
        new Rectangle2D(left - 2, y - font.getSize() * 0.6, width + 4, font.getSize() * 1.2);
    if (taken.stream().anyMatch(place::intersects)) {
      return false;
    }
    taken.add(place);
    text(s, x, y, font, colour, align);
    return true;
  }

  private void text(String s, double x, double y, Font font, Color colour, TextAlignment align) {
    g.setFont(font);
    g.setTextAlign(align);
    g.setTextBaseline(VPos.CENTER);
    g.setLineWidth(3);
    g.setStroke(theme.paper());
    g.strokeText(s, x, y);
    g.setFill(colour);
    g.fillText(s, x, y);
  }

  void outline(Box box) {
    if (!box.isEmpty()) {
      g.setStroke(theme.accent());
      g.setLineWidth(1.5);
      g.setLineDashes(6, 4);
      g.strokeRect(
          w.x(box.minE()),
          w.y(box.maxN()),
          box.width() / w.metresPerPixel(),
          box.depth() / w.metresPerPixel());
      g.setLineDashes();
    }
  }

  void alignment(String name, Alignment a, List<AlignmentPoint> points, boolean chosen) {
    double[] x = new double[points.size()];
    double[] y = new double[points.size()];
    for (int i = 0; i < x.length; i++) {
      x[i] = w.x(points.get(i).east());
      y[i] = w.y(points.get(i).north());
    }
    g.setLineCap(StrokeLineCap.ROUND);
    g.setStroke(theme.paper());
    g.setLineWidth(chosen ? 8 : 5);
    g.strokePolyline(x, y, x.length);
    g.setStroke(chosen ? theme.accent() : theme.ink());
    g.setLineWidth(chosen ? 4 : 2.4);
    g.strokePolyline(x, y, x.length);
    name(name, points, chosen);
    ticks(a, chosen);
  }

  private void name(String name, List<AlignmentPoint> points, boolean chosen) {
    for (double share : new double[] {0.33, 0.5, 0.66, 0.2, 0.85}) {
      AlignmentPoint p = points.get((int) (share * (points.size() - 1)));
      double nx = -Math.sin(p.direction());
      double ny = -Math.cos(p.direction());
      boolean flat = Math.abs(ny) > 0.5;
      double x = w.x(p.east()) - 20 * nx;
      double y = w.y(p.north()) - 20 * ny;
      TextAlignment align =
          flat ? TextAlignment.CENTER : nx > 0 ? TextAlignment.RIGHT : TextAlignment.LEFT;
      if (label(name, x, y, NAME, chosen ? theme.accent() : theme.ink(), align)) {
        return;
      }
    }
  }

  private void ticks(Alignment a, boolean chosen) {
    double every = 10;
    for (double s : new double[] {10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10_000}) {
      every = s;
      if (s / w.metresPerPixel() >= 70) {
        break;
      }
    }
    g.setLineCap(StrokeLineCap.BUTT);
    for (double d = 0; d <= a.length(); d += every) {
      AlignmentPoint p = a.at(d);
      double x = w.x(p.east());
      double y = w.y(p.north());
      if (x < -50 || y < -50 || x > w.width() + 50 || y > w.height() + 50) {
        continue;
      }
      double nx = -Math.sin(p.direction()), ny = -Math.cos(p.direction());
      g.setStroke(chosen ? theme.accent() : theme.ink());
      g.setLineWidth(1.2);
      g.strokeLine(x - 6 * nx, y - 6 * ny, x + 6 * nx, y + 6 * ny);
      String label = Chainages.format(p.chainage());
      label(
          label.endsWith(".000") ? label.substring(0, label.length() - 4) : label,
          x + 14 * nx,
          y + 14 * ny,
          FIGURE,
          theme.ink(),
          nx > 0.3 ? TextAlignment.LEFT : nx < -0.3 ? TextAlignment.RIGHT : TextAlignment.CENTER);
    }
  }

  void points(Item.PointGroup group, boolean chosen) {
    boolean named = group.points().size() <= 200;
    Color c = chosen ? theme.accent() : Theme.of(Band.LINES_AND_POINTS);
    for (Item.NamedPoint p : group.points()) {
      double x = w.x(p.position().east());
      double y = w.y(p.position().north());
      if (x < -20 || y < -20 || x > w.width() + 20 || y > w.height() + 20) {
        continue;
      }
      g.setStroke(c);
      g.setLineWidth(1.6);
      g.setFill(theme.panel());
      double[] px = {x, x + 7, x - 7};
      double[] py = {y - 8, y + 5, y + 5};
      g.fillPolygon(px, py, 3);
      g.strokePolygon(px, py, 3);
      g.setFill(c);
      g.fillOval(x - 1.5, y - 1.5, 3, 3);
      if (named) {
        label(p.name(), x + 12, y - 1, NAME, theme.ink(), TextAlignment.LEFT);
      }
    }
  }

  /** Distance rings around the base point with what single precision costs there. */
  void rings(Box work) {
    Position p = frame.basePoint();
    double x = w.x(p.east());
    double y = w.y(p.north());
    double reach = work.isEmpty() ? 1000 : work.farthestPlanDistance(p);
    for (double r :
        new double[] {100, 200, 500, 1000, 2000, 5000, 10_000, 20_000, 50_000, 100_000}) {
      double px = r / w.metresPerPixel();
      if (px < 60 || px > 20_000 || r > 4 * reach) {
        continue;
      }
      g.setStroke(theme.accent());
      g.setLineWidth(1);
      g.setLineDashes(1.5, 5);
      g.strokeOval(x - px, y - px, 2 * px, 2 * px);
      g.setLineDashes();
      String label =
          (r < 1000 ? Figures.number(r, 0) + " m" : Figures.number(r / 1000, 0) + " km")
              + "  step "
              + Figures.distance(SinglePrecision.step(r));
      double angle = Math.toRadians(60);
      text(
          label,
          x + px * Math.cos(angle),
          y - px * Math.sin(angle),
          FIGURE,
          theme.accent(),
          TextAlignment.CENTER);
    }
  }

  /** The base point with the site's axes. */
  void basePoint() {
    Position p = frame.basePoint();
    double x = w.x(p.east());
    double y = w.y(p.north());
    double r = Math.toRadians(frame.rotationDegrees());
    g.setStroke(theme.accent());
    g.setLineWidth(2);
    double l = 120;
    axis(x, y, x + l * Math.cos(r), y + l * Math.sin(r), "x site");
    axis(x, y, x + l * Math.sin(r), y - l * Math.cos(r), "y site");
    g.setFill(theme.panel());
    g.fillOval(x - 7, y - 7, 14, 14);
    g.strokeOval(x - 7, y - 7, 14, 14);
    g.setFill(theme.accent());
    g.fillOval(x - 2.5, y - 2.5, 5, 5);
    text("base point", x + 12, y + 60, NAME, theme.accent(), TextAlignment.LEFT);
    text(
        "E " + Figures.number(p.east(), 3),
        x + 12,
        y + 76,
        FIGURE,
        theme.ink(),
        TextAlignment.LEFT);
    text(
        "N " + Figures.number(p.north(), 3),
        x + 12,
        y + 91,
        FIGURE,
        theme.ink(),
        TextAlignment.LEFT);
    text(
        "H " + Figures.number(p.height(), 3) + " = local 0, 0, 0",
        x + 12,
        y + 106,
        FIGURE,
        theme.ink(),
        TextAlignment.LEFT);
  }

  private void axis(double x0, double y0, double x1, double y1, String name) {
    g.setStroke(theme.accent());
    g.setLineWidth(2);
    g.strokeLine(x0, y0, x1, y1);
    text(name, x1 + 4, y1, NAME, theme.accent(), TextAlignment.LEFT);
  }

  /** What the colours of the proof mean. */
  void proofLegend() {
    double x = w.width() / 2 - 120;
    double y = w.height() - 18;
    swatch(x, y, theme.proven(), "✓ arrived within 0.01 mm");
    swatch(x + 220, y, theme.error(), "✕ farther away");
  }

  private void swatch(double x, double y, Color c, String what) {
    g.setFill(c);
    g.fillRect(x, y - 6, 14, 12);
    text(what, x + 20, y, NAME, theme.ink(), TextAlignment.LEFT);
  }

  void scaleBar() {
    double wanted = 110 * w.metresPerPixel();
    double power = Math.pow(10, Math.floor(Math.log10(wanted)));
    double length = wanted / power >= 5 ? 5 * power : wanted / power >= 2 ? 2 * power : power;
    double px = length / w.metresPerPixel();
    double x = 20;
    double y = w.height() - 18;
    g.setStroke(theme.ink());
    g.setLineWidth(1.2);
    g.strokeLine(x, y, x + px, y);
    for (double t : new double[] {0, 0.5, 1}) {
      g.strokeLine(x + t * px, y - 4, x + t * px, y + 4);
    }
    text("0", x, y - 12, FIGURE, theme.ink(), TextAlignment.CENTER);
    String label =
        length >= 1000
            ? Figures.number(length / 1000, 0) + " km"
            : Figures.number(length, length < 1 ? 2 : 0) + " m";
    text(label, x + px, y - 12, FIGURE, theme.ink(), TextAlignment.CENTER);
  }

  /** Grid north, and site north where it differs. */
  void north() {
    double x = w.width() - 46;
    double y = 52;
    g.setFill(theme.panel());
    g.setStroke(theme.line());
    g.setLineWidth(1);
    g.fillOval(x - 24, y - 24, 48, 48);
    g.strokeOval(x - 24, y - 24, 48, 48);
    double r = Math.toRadians(frame.rotationDegrees());
    if (r != 0) {
      g.setStroke(theme.accent());
      g.setLineWidth(1.5);
      g.setLineDashes(3, 3);
      g.strokeLine(
          x - 18 * Math.sin(r), y + 18 * Math.cos(r), x + 18 * Math.sin(r), y - 18 * Math.cos(r));
      g.setLineDashes();
      text(
          "site " + Figures.number(frame.rotationDegrees(), 1) + "°",
          x + 24,
          y + 48,
          FIGURE,
          theme.accent(),
          TextAlignment.RIGHT);
    }
    g.setStroke(theme.ink());
    g.setLineWidth(1.6);
    g.strokeLine(x, y + 18, x, y - 18);
    g.strokeLine(x, y - 18, x - 4, y - 11);
    g.strokeLine(x, y - 18, x + 4, y - 11);
    text("grid N", x + 24, y + 34, FIGURE, theme.ink(), TextAlignment.RIGHT);
  }
}
