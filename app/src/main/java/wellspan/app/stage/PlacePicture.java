package wellspan.app.stage;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Theme;
import wellspan.core.crs.GridNorth;
import wellspan.core.frame.Frame;
import wellspan.core.frame.SinglePrecision;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;
import wellspan.core.place.Control;
import wellspan.core.place.ControlTally;
import wellspan.core.place.Hypotheses;
import wellspan.core.place.PointPair;
import wellspan.core.receive.Received;

/** Draws where the job lies: rings, axes, extents of sources, tally vectors, norths, the area. */
final class PlacePicture {
  private static final double AXIS = 120;

  /** Half the size of a mark, pixels. */
  private static final double MARK = 9;

  private static final double[] RINGS = {
    100, 200, 500, 1000, 2000, 5000, 10_000, 20_000, 50_000, 100_000, 200_000, 500_000, 1_000_000
  };

  private final PlanInk ink;
  private final GraphicsContext g;
  private final PlanWindow w;
  private final Theme theme;
  private final Frame frame;

  PlacePicture(PlanInk ink, Frame frame) {
    this.ink = ink;
    g = ink.g();
    w = ink.window();
    theme = ink.theme();
    this.frame = frame;
  }

  /** Distance rings around the base point with what single precision costs there. */
  void rings(Box work) {
    Position p = frame.basePoint();
    double x = w.x(p.east());
    double y = w.y(p.north());
    double reach = work.isEmpty() ? 1000 : work.farthestPlanDistance(p);
    for (double r : RINGS) {
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
              + Figures.distance(SinglePrecision.resolution(r));
      for (double degrees : new double[] {60, 30, 80, 110, 10, 140}) {
        double angle = Math.toRadians(degrees);
        double lx = x + px * Math.cos(angle);
        double ly = y - px * Math.sin(angle);
        if (lx > 60
            && lx < w.width() - 60
            && ly > 60
            && ly < w.height() - 20
            && ink.label(label, lx, ly, PlanInk.FIGURE, theme.accent(), TextAlignment.CENTER)) {
          break;
        }
      }
    }
  }

  /** The base point with the site's axes. */
  void basePoint() {
    Position p = frame.basePoint();
    double x = w.x(p.east());
    double y = w.y(p.north());
    double r = Math.toRadians(frame.rotationDegrees());
    axis(x, y, x + AXIS * Math.cos(r), y + AXIS * Math.sin(r), "x site");
    axis(x, y, x + AXIS * Math.sin(r), y - AXIS * Math.cos(r), "y site");
    g.setStroke(theme.accent());
    g.setLineWidth(2);
    g.setFill(theme.panel());
    g.fillOval(x - 7, y - 7, 14, 14);
    g.strokeOval(x - 7, y - 7, 14, 14);
    g.setFill(theme.accent());
    g.fillOval(x - 2.5, y - 2.5, 5, 5);
  }

  private void axis(double x0, double y0, double x1, double y1, String name) {
    g.setStroke(theme.accent());
    g.setLineWidth(2);
    g.strokeLine(x0, y0, x1, y1);
    double dx = (x1 - x0) / AXIS;
    double dy = (y1 - y0) / AXIS;
    ink.text(name, x1 + 14 * dx, y1 + 10 * dy, PlanInk.NAME, theme.accent(), TextAlignment.CENTER);
  }

  /** A named frame around each source. */
  void extents(Map<String, Received> received, String open) {
    received.forEach(
        (name, r) -> {
          Box b = r.bounds();
          if (!b.isEmpty()) {
            boolean chosen = name.equals(open);
            box(b, name, chosen ? theme.accent() : theme.muted(), chosen ? 2 : 1);
          }
        });
  }

  private void box(Box b, String name, Color colour, double width) {
    double x = w.x(b.minE());
    double y = w.y(b.maxN());
    double bw = Math.max(6, b.width() / w.metresPerPixel());
    double bh = Math.max(6, b.depth() / w.metresPerPixel());
    g.setStroke(colour);
    g.setLineWidth(width);
    g.setLineDashes(8, 4);
    g.strokeRect(x, y, bw, bh);
    g.setLineDashes();
    for (double ly : new double[] {y - 8, y + bh + 9, y + 10}) {
      double lx = Math.max(10, x + 2);
      if (ly > 46
          && ly < w.height() - 10
          && ink.label(name, lx, ly, PlanInk.NAME, colour, TextAlignment.LEFT)) {
        return;
      }
    }
  }

  /** Where a source would lie under other meanings of its numbers. */
  void hypotheses(List<Hypotheses.Hypothesis> all, Optional<Hypotheses.Hypothesis> shown) {
    for (int i = 0; i < all.size(); i++) {
      Hypotheses.Hypothesis h = all.get(i);
      boolean chosen = shown.filter(h::equals).isPresent();
      if (!h.extent().isEmpty() && (h.fits() || chosen)) {
        box(
            h.extent(),
            (i + 1) + "  " + h.title(),
            chosen ? theme.accent() : theme.warning(),
            chosen ? 2.5 : 1.2);
      }
    }
  }

  /** Pairs of a fit: from where the point lies now to where it belongs. */
  void pairs(List<PointPair> pairs, Optional<Position> first) {
    for (PointPair p : pairs) {
      double x = w.x(p.shared().east());
      double y = w.y(p.shared().north());
      g.setStroke(p.used() ? theme.accent() : theme.muted());
      g.setLineWidth(1.6);
      g.strokeLine(x - 7, y, x + 7, y);
      g.strokeLine(x, y - 7, x, y + 7);
      g.strokeOval(x - 9, y - 9, 18, 18);
    }
    first.ifPresent(
        p -> {
          double x = w.x(p.east());
          double y = w.y(p.north());
          g.setStroke(theme.accent());
          g.setLineWidth(2.4);
          g.strokeOval(x - 8, y - 8, 16, 16);
        });
  }

  /** The known places of the job's control points. */
  void control(List<Control.Point> points) {
    for (Control.Point p : points) {
      ink.surveyPoint(w.x(p.known().east()), w.y(p.known().north()), theme.accent());
    }
  }

  /** The names of control points and how far off each is found; they come before other words. */
  void controlWords(List<Control.Point> points, Optional<ControlTally> tally) {
    for (Control.Point p : points) {
      double x = w.x(p.known().east());
      double y = w.y(p.known().north());
      ink.keepFree(x - MARK, y - MARK, 2 * MARK, 2 * MARK);
      Optional<ControlTally.Line> line =
          tally.stream()
              .flatMap(t -> t.lines().stream())
              .filter(l -> l.name().equals(p.name()))
              .findFirst();
      boolean good = line.map(l -> l.within(tally.orElseThrow().tolerance())).orElse(true);
      String off =
          line.map(
                  l ->
                      (good ? "  " : "  ✕ ")
                          + (l.space() < 10
                              ? Figures.millimetres(l.space()) + " mm"
                              : Figures.distance(l.space())))
              .orElse("");
      ink.labelBeside(
          p.name() + off, x, y, MARK + 4, PlanInk.NAME, good ? theme.ink() : theme.error());
    }
  }

  /**
   * Differences as vectors, so much enlarged that the longest is about 60 pixels.
   *
   * @return how many times they are enlarged, NaN without any
   */
  double vectors(Optional<ControlTally> tally) {
    double longest =
        tally.stream()
            .flatMap(t -> t.lines().stream())
            .mapToDouble(ControlTally.Line::space)
            .max()
            .orElse(0);
    if (!(longest > 0)) {
      return Double.NaN;
    }
    double scale = 60 / longest; // pixels for a metre
    for (ControlTally.Line l : tally.orElseThrow().lines()) {
      double x = w.x(l.known().east());
      double y = w.y(l.known().north());
      boolean good = l.within(tally.get().tolerance());
      Color c = good ? theme.proven() : theme.error();
      g.setStroke(c);
      g.setLineWidth(2.2);
      g.strokeLine(x, y, x + scale * l.east(), y - scale * l.north());
      if (!Double.isNaN(l.height())) { // the difference in height stands upright beside the point
        g.setLineWidth(4);
        g.strokeLine(x - 10, y, x - 10, y - scale * l.height());
      }
    }
    return scale * w.metresPerPixel();
  }

  void vectorLegend(double enlarged, String source) {
    if (Double.isFinite(enlarged)) {
      ink.text(
          source + ": differences × " + Figures.factor(enlarged),
          160,
          w.height() - 18,
          PlanInk.FIGURE,
          theme.ink(),
          TextAlignment.LEFT);
    }
  }

  /** Keeps words off the norths. */
  void keepNorthFree() {
    ink.keepFree(w.width() - 104, 52, 100, 126);
  }

  /** Grid north, site north and true north. */
  void north(Optional<GridNorth> grid) {
    double x = w.width() - 58;
    double y = 90;
    int words = 1 + (grid.isPresent() ? 1 : 0) + (frame.rotationDegrees() != 0 ? 1 : 0);
    g.setFill(theme.panel());
    g.fillRect(x - 42, y - 34, 84, 76 + 14 * words);
    g.setStroke(theme.line());
    g.setLineWidth(1);
    g.strokeRect(x - 42, y - 34, 84, 76 + 14 * words);
    g.setStroke(theme.line());
    g.setLineWidth(1);
    g.fillOval(x - 28, y - 28, 56, 56);
    g.strokeOval(x - 28, y - 28, 56, 56);
    double line = y + 40;
    if (frame.rotationDegrees() != 0) {
      needle(x, y, frame.rotationDegrees(), theme.accent(), 3, 3);
      line =
          legend(
              x, line, "site " + Figures.number(frame.rotationDegrees(), 1) + "°", theme.accent());
    }
    if (grid.isPresent()) {
      double t = -grid.get().convergenceDegrees();
      needle(x, y, t, theme.warning(), 1.5, 3);
      line = legend(x, line, "true " + Figures.number(t, 2) + "°", theme.warning());
    }
    g.setStroke(theme.ink());
    g.setLineWidth(1.6);
    g.strokeLine(x, y + 20, x, y - 20);
    g.strokeLine(x, y - 20, x - 4, y - 13);
    g.strokeLine(x, y - 20, x + 4, y - 13);
    legend(x, line, "grid N", theme.ink());
  }

  private void needle(double x, double y, double degrees, Color c, double on, double off) {
    double r = Math.toRadians(degrees);
    g.setStroke(c);
    g.setLineWidth(1.6);
    g.setLineDashes(on, off);
    g.strokeLine(
        x - 21 * Math.sin(r), y + 21 * Math.cos(r), x + 21 * Math.sin(r), y - 21 * Math.cos(r));
    g.setLineDashes();
  }

  private double legend(double x, double y, String s, Color c) {
    g.setFont(PlanInk.FIGURE);
    g.setTextAlign(TextAlignment.CENTER);
    g.setTextBaseline(javafx.geometry.VPos.CENTER);
    g.setFill(c);
    g.fillText(s, x, y);
    return y + 14;
  }

  /** The places that are measured between, and the line through them. */
  void measured(List<Position> places) {
    g.setStroke(theme.accent());
    g.setLineWidth(2);
    for (int i = 0; i < places.size(); i++) {
      double x = w.x(places.get(i).east());
      double y = w.y(places.get(i).north());
      if (i > 0) {
        g.strokeLine(w.x(places.get(i - 1).east()), w.y(places.get(i - 1).north()), x, y);
      }
      g.setFill(theme.paper());
      g.fillOval(x - 4, y - 4, 8, 8);
      g.strokeOval(x - 4, y - 4, 8, 8);
    }
    if (places.size() > 2) {
      Position a = places.getFirst();
      Position z = places.getLast();
      g.setLineDashes(5, 5);
      g.strokeLine(w.x(z.east()), w.y(z.north()), w.x(a.east()), w.y(a.north()));
      g.setLineDashes();
    }
  }

  /** The place that is being read. */
  void probe(Position p) {
    double x = w.x(p.east());
    double y = w.y(p.north());
    g.setStroke(theme.accent());
    g.setLineWidth(1.6);
    g.strokeOval(x - 6, y - 6, 12, 12);
    g.strokeLine(x - 12, y, x - 3, y);
    g.strokeLine(x + 3, y, x + 12, y);
    g.strokeLine(x, y - 12, x, y - 3);
    g.strokeLine(x, y + 3, x, y + 12);
  }
}
