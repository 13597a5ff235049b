package wellspan.app.stage;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Rectangle2D;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;
import javafx.scene.text.TextAlignment;
import wellspan.app.theme.Theme;
import wellspan.core.geom.Polyline;

/**
 * What the plan is drawn with: canvas, window, colours, and words that keep clear of each other.
 */
record PlanInk(
    GraphicsContext g,
    PlanWindow window,
    Theme theme,
    List<Rectangle2D> taken,
    List<PlanInk.Word> words) {
  /** A label that has its place and is written once everything is drawn. */
  record Word(String text, double x, double y, Font font, Color colour, TextAlignment align) {}

  static final Font FIGURE = Font.font("JetBrains Mono", 11);
  static final Font NAME = Font.font("Manrope", FontWeight.BOLD, 12);

  /** Where letters are written in the colour of the paper first, pixels beside their place. */
  private static final double[][] HALO = {
    {1.5, 0}, {1, 1}, {0, 1.5}, {-1, 1}, {-1.5, 0}, {-1, -1}, {0, -1.5}, {1, -1}
  };

  PlanInk(GraphicsContext g, PlanWindow window, Theme theme) {
    this(g, window, theme, new ArrayList<>(), new ArrayList<>());
  }

  /** Keeps a part of the picture free of labels. */
  void keepFree(double x, double y, double width, double height) {
    taken.add(new Rectangle2D(x, y, width, height));
  }

  /** Finds a place for a label, unless it would cover another one or what is kept free. */
  boolean label(String s, double x, double y, Font font, Color colour, TextAlignment align) {
    double width = s.length() * font.getSize() * 0.62;
    double left =
        align == TextAlignment.LEFT ? x : align == TextAlignment.RIGHT ? x - width : x - width / 2;
    Rectangle2D place =
        new Rectangle2D(left - 2, y - font.getSize() * 0.6, width + 4, font.getSize() * 1.2);
    if (taken.stream().anyMatch(place::intersects)) {
      return false;
    }
    taken.add(place);
    words.add(new Word(s, x, y, font, colour, align));
    return true;
  }

  /**
   * Finds a place for a label beside a mark: right, left, above or below it. What is written of the
   * mark already is not written again.
   */
  boolean labelBeside(String s, double x, double y, double away, Font font, Color colour) {
    for (Word w : words) {
      boolean said = w.text().equals(s) || w.text().startsWith(s + " ");
      if (said && Math.hypot(w.x() - x, w.y() - y) < 2 * away) {
        return true;
      }
    }
    double line = font.getSize() * 0.9;
    return label(s, x + away, y, font, colour, TextAlignment.LEFT)
        || label(s, x - away, y, font, colour, TextAlignment.RIGHT)
        || label(s, x, y - away - line / 2, font, colour, TextAlignment.CENTER)
        || label(s, x, y + away + line / 2, font, colour, TextAlignment.CENTER);
  }

  /** Writes all labels over what is drawn. */
  void write() {
    words.forEach(w -> text(w.text(), w.x(), w.y(), w.font(), w.colour(), w.align()));
    words.clear();
  }

  void text(String s, double x, double y, Font font, Color colour, TextAlignment align) {
    g.setFont(font);
    g.setTextAlign(align);
    g.setTextBaseline(VPos.CENTER);
    g.setFill(theme.paper());
    for (double[] beside : HALO) { // letters that are kept are drawn faster than their outlines
      g.fillText(s, x + beside[0], y + beside[1]);
    }
    g.setFill(colour);
    g.fillText(s, x, y);
  }

  /** Strokes a line in the colour and width at hand. */
  void line(Polyline line) {
    int n = line.pointCount();
    double[] x = new double[n];
    double[] y = new double[n];
    for (int i = 0; i < n; i++) {
      x[i] = window.x(line.xyz()[3 * i]);
      y[i] = window.y(line.xyz()[3 * i + 1]);
    }
    g.strokePolyline(x, y, n);
  }

  /** A surveyed point: a triangle with a dot in it. */
  void surveyPoint(double x, double y, Color c) {
    g.setStroke(c);
    g.setLineWidth(1.6);
    g.setFill(theme.panel());
    double[] px = {x, x + 7, x - 7};
    double[] py = {y - 8, y + 5, y + 5};
    g.fillPolygon(px, py, 3);
    g.strokePolygon(px, py, 3);
    g.setFill(c);
    g.fillOval(x - 1.5, y - 1.5, 3, 3);
  }

  /** A colour for pictures that are painted beside the window. */
  static java.awt.Color awt(Color c) {
    return new java.awt.Color((float) c.getRed(), (float) c.getGreen(), (float) c.getBlue());
  }
}
