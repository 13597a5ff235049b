package wellspan.app.stage;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.TextAlignment;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Theme;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.Chainages;
import wellspan.core.geom.Box;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Band;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;

/** Draws everything of the plan that is not terrain and not the place: lines, points, scale. */
final class PlanFurniture {
  /** More points than this are drawn as dots, without names. */
  private static final int FEW_POINTS = 200;

  private final PlanInk ink;
  private final boolean chainages;
  private final GraphicsContext g;
  private final PlanWindow w;
  private final Theme theme;

  /**
   * @param chainages whether alignments say their chainages
   */
  PlanFurniture(PlanInk ink, boolean chainages) {
    this.ink = ink;
    this.chainages = chainages;
    g = ink.g();
    w = ink.window();
    theme = ink.theme();
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
      if (ink.label(name, x, y, PlanInk.NAME, chosen ? theme.accent() : theme.ink(), align)) {
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
      if (!chainages) {
        continue;
      }
      String label = Chainages.format(p.chainage());
      ink.label(
          label.endsWith(".000") ? label.substring(0, label.length() - 4) : label,
          x + 14 * nx,
          y + 14 * ny,
          PlanInk.FIGURE,
          theme.ink(),
          nx > 0.3 ? TextAlignment.LEFT : nx < -0.3 ? TextAlignment.RIGHT : TextAlignment.CENTER);
    }
  }

  void string(String name, Shape.Lines string, boolean chosen) {
    g.setLineCap(StrokeLineCap.ROUND);
    boolean contours = string.isContours(); // they would cover everything in a string's weight
    Color plain = contours ? theme.majorContour() : Theme.of(Band.LINES_AND_POINTS);
    g.setStroke(chosen ? theme.accent() : plain);
    g.setLineWidth(contours ? chosen ? 1.4 : 0.9 : chosen ? 3 : 1.6);
    string.lines().forEach(ink::line);
    if (chosen) {
      Polyline first = string.lines().getFirst();
      Position middle = first.point(first.pointCount() / 2);
      ink.label(
          name,
          w.x(middle.east()) + 8,
          w.y(middle.north()) - 10,
          PlanInk.NAME,
          theme.accent(),
          TextAlignment.LEFT);
    }
  }

  /** Whether a group is drawn as dots. */
  static boolean isSurvey(Shape.Points group) {
    return group.points().size() > FEW_POINTS;
  }

  void points(Shape.Points group, boolean chosen) {
    if (isSurvey(group)) {
      dots(group, chosen);
      return;
    }
    Color c = chosen ? theme.accent() : Theme.of(Band.LINES_AND_POINTS);
    for (NamedPoint p : group.points()) {
      double x = w.x(p.position().east());
      double y = w.y(p.position().north());
      if (x < -20 || y < -20 || x > w.width() + 20 || y > w.height() + 20) {
        continue;
      }
      ink.surveyPoint(x, y, c);
      ink.labelBeside(p.name(), x, y, 12, PlanInk.NAME, theme.ink());
    }
  }

  /**
   * A survey: a dot for each point, its level beside it where there is room for it. Where points
   * lie closer than dots one dot shows them all: the time to draw grows with the picture, not with
   * them.
   */
  private void dots(Shape.Points group, boolean chosen) {
    g.setFill(chosen ? theme.accent() : Theme.of(Band.LINES_AND_POINTS));
    double size = chosen ? 2.4 : 1.6;
    int across = (int) (w.width() / size) + 1;
    BitSet drawn = new BitSet();
    double[] xyz = group.coordinates();
    List<NamedPoint> inView = new ArrayList<>();
    for (int i = 0; i + 2 < xyz.length; i += 3) {
      double x = w.x(xyz[i]), y = w.y(xyz[i + 1]);
      if (x >= 0 && y >= 0 && x <= w.width() && y <= w.height()) {
        int row = (int) (y / size);
        int cell = row * across + (int) (x / size);
        if (!drawn.get(cell)) {
          drawn.set(cell);
          g.fillRect(x - size / 2, y - size / 2, size, size);
        }
        if (inView.size() <= FEW_POINTS) {
          inView.add(group.points().get(i / 3));
        }
      }
    }
    if (inView.size() <= FEW_POINTS) {
      for (NamedPoint p : inView) {
        ink.label(
            Figures.number(p.position().level(), 2),
            w.x(p.position().east()) + 5,
            w.y(p.position().north()),
            PlanInk.FIGURE,
            theme.muted(),
            TextAlignment.LEFT);
      }
    }
  }

  /** A length to compare with. */
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
    ink.text("0", x, y - 12, PlanInk.FIGURE, theme.ink(), TextAlignment.CENTER);
    String label =
        length >= 1000
            ? Figures.number(length / 1000, 0) + " km"
            : Figures.number(length, length < 1 ? 2 : 0) + " m";
    ink.text(label, x + px, y - 12, PlanInk.FIGURE, theme.ink(), TextAlignment.CENTER);
  }
}
