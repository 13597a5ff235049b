package wellspan.app.shape;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;
import javafx.scene.text.TextAlignment;
import wellspan.app.theme.Theme;
import wellspan.core.attribute.Finish;
import wellspan.core.road.DesignArea;
import wellspan.core.road.SectionPoint;
import wellspan.core.typical.SectionLayout;
import wellspan.core.typical.Strip;
import wellspan.core.typical.TypicalSection;

/**
 * A typical section as it is drawn: bodies filled, strips with their widths below, falls above.
 *
 * @param width of the picture, pixels
 * @param height of the picture, pixels
 */
record SectionSketch(TypicalSection section, Theme theme, double width, double height) {
  /** Levels are drawn so many times higher than widths, so that courses can be seen. */
  static final double HIGHER = 3;

  private static final double SIDE = 40;
  private static final double DIMENSIONS = 70;
  private static final Font WORD = Font.font("Manrope", 12);
  private static final Font BOLD = Font.font("Manrope", FontWeight.BOLD, 12);
  private static final Font FIGURE = Font.font("JetBrains Mono", 11);

  /** A strip of a side; {@code -1} is the left one. */
  record At(int side, int number) {}

  private double reach(int side) {
    return section.side(side).stream().mapToDouble(Strip::width).sum();
  }

  private double scale() {
    return (width - 2 * SIDE) / Math.max(1, reach(-1) + reach(1));
  }

  double x(double offset) {
    return SIDE + (offset + reach(-1)) * scale();
  }

  private double y(double level) {
    return height * 0.42 - level * HIGHER * scale();
  }

  double dimensionLine() {
    return height - DIMENSIONS;
  }

  /** Distance of a strip's outer edge from the axis, metres. */
  double outer(At at) {
    double o = 0;
    for (int i = 0; i <= at.number(); i++) {
      o += section.side(at.side()).get(i).width();
    }
    return o;
  }

  /** The strip whose outer edge stands at a place, within a few pixels. */
  Optional<At> edgeAt(double px) {
    return all().filter(a -> Math.abs(x(a.side() * outer(a)) - px) < 6).findFirst();
  }

  /** The strip over which a place lies. */
  Optional<At> stripAt(double px) {
    return all()
        .filter(
            a -> {
              double o = outer(a);
              double i = o - section.side(a.side()).get(a.number()).width();
              double p = a.side() * ((px - SIDE) / scale() - reach(-1));
              return p >= i && p <= o;
            })
        .findFirst();
  }

  private java.util.stream.Stream<At> all() {
    return java.util.stream.IntStream.of(-1, 1)
        .boxed()
        .flatMap(
            side ->
                java.util.stream.IntStream.range(0, section.side(side).size())
                    .mapToObj(n -> new At(side, n)));
  }

  /** Width of a strip whose outer edge is drawn to a place, on five centimetres. */
  double widthTo(At at, double px) {
    double p = at.side() * ((px - SIDE) / scale() - reach(-1));
    double inner = outer(at) - section.side(at.side()).get(at.number()).width();
    return Math.max(0.05, Math.rint((p - inner) / 0.05) * 0.05);
  }

  void draw(GraphicsContext g, Optional<At> chosen) {
    g.setFill(theme.panel());
    g.fillRect(0, 0, width, height);
    g.setTextBaseline(VPos.CENTER);
    chosen.ifPresent(a -> band(g, a));
    SectionLayout layout = new SectionLayout(section, 0);
    int number = 0;
    for (DesignArea a : layout.bodies()) {
      body(g, a, number++);
    }
    for (int side : new int[] {-1, 1}) {
      surface(g, layout.surface(side));
    }
    g.setStroke(theme.muted());
    g.setLineWidth(1);
    g.setLineDashes(6, 3, 1, 3);
    g.strokeLine(x(0), 26, x(0), dimensionLine() + 8);
    g.setLineDashes();
    text(g, "axis", x(0), 14, FIGURE, theme.muted(), TextAlignment.CENTER);
    all().forEach(a -> dimension(g, a, chosen.equals(Optional.of(a))));
    courses(g);
  }

  private void band(GraphicsContext g, At a) {
    double o = outer(a);
    double i = o - section.side(a.side()).get(a.number()).width();
    g.setFill(theme.accent().deriveColor(0, 1, 1, 0.1));
    double left = Math.min(x(a.side() * i), x(a.side() * o));
    g.fillRect(left, 26, Math.abs(x(o) - x(i)), dimensionLine() - 18);
  }

  private void body(GraphicsContext g, DesignArea a, int number) {
    int rgb = Finish.colour(a.material());
    Color c = Color.rgb(rgb >> 16 & 0xFF, rgb >> 8 & 0xFF, rgb & 0xFF);
    g.setFill(c.interpolate(Color.WHITE, Math.min(0.45, 0.14 * number)));
    g.beginPath();
    List<SectionPoint> p = a.points();
    g.moveTo(x(p.getFirst().offset()), y(p.getFirst().level()));
    p.subList(1, p.size()).forEach(q -> g.lineTo(x(q.offset()), y(q.level())));
    g.closePath();
    g.fill();
    g.setStroke(theme.panel());
    g.setLineWidth(0.8);
    g.stroke();
  }

  private void surface(GraphicsContext g, List<SectionPoint> line) {
    g.setStroke(theme.ink());
    g.setLineWidth(2);
    for (int i = 1; i < line.size(); i++) {
      g.strokeLine(
          x(line.get(i - 1).offset()),
          y(line.get(i - 1).level()),
          x(line.get(i).offset()),
          y(line.get(i).level()));
    }
  }

  /** The line under a strip, its name over it, its fall on the surface. */
  private void dimension(GraphicsContext g, At a, boolean chosen) {
    Strip s = section.side(a.side()).get(a.number());
    double outer = x(a.side() * outer(a));
    double inner = x(a.side() * (outer(a) - s.width()));
    double line = dimensionLine();
    g.setStroke(chosen ? theme.accent() : theme.muted());
    g.setLineWidth(chosen ? 2 : 1);
    g.strokeLine(inner, line, outer, line);
    for (double end : new double[] {inner, outer}) {
      g.strokeLine(end - 4, line + 4, end + 4, line - 4);
    }
    g.setFill(theme.panel());
    g.setStroke(theme.accent());
    g.setLineWidth(1.5);
    g.fillOval(outer - 4, line - 4, 8, 8);
    g.strokeOval(outer - 4, line - 4, 8, 8);
    double middle = (inner + outer) / 2;
    double room = Math.abs(outer - inner);
    if (room > 44) {
      text(
          g,
          s.use().word(),
          middle,
          line - 14,
          chosen ? BOLD : WORD,
          theme.ink(),
          TextAlignment.CENTER);
      text(g, outwards(s.fall(), room), middle, 40, FIGURE, theme.ink(), TextAlignment.CENTER);
    }
  }

  /** In the words of the field beside it, where there is room. */
  private static String outwards(double fall, double room) {
    String percent = String.format(Locale.ROOT, "%.1f %%", Math.abs(fall));
    return room < 76 || fall == 0 ? percent : (fall > 0 ? "falls " : "rises ") + percent;
  }

  /** Names and thicknesses of the courses, under each other beside the axis. */
  private void courses(GraphicsContext g) {
    double y = height * 0.42 + section.thickness() * HIGHER * scale() + 34;
    for (var c : section.courses()) {
      if (y < dimensionLine() - 30) {
        text(
            g,
            String.format(Locale.ROOT, "%s  %.0f mm", c.name(), 1000 * c.thickness()),
            x(0) + 10,
            y,
            WORD,
            theme.ink(),
            TextAlignment.LEFT);
        y += 17;
      }
    }
  }

  private static void text(
      GraphicsContext g, String s, double x, double y, Font font, Color c, TextAlignment align) {
    g.setFont(font);
    g.setTextAlign(align);
    g.setFill(c);
    g.fillText(s, Math.rint(x), Math.rint(y));
  }
}
