package wellspan.app.stage;

import java.util.Locale;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import wellspan.app.theme.Figures;
import wellspan.core.geom.Box;
import wellspan.core.overlay.LevelDifference;

/**
 * What the colours of the ground mean: in the plan below the sign of north, or beside it where the
 * plan is too low for that.
 */
final class SurfaceLegend {
  private static final double ROW = 16;
  private static final double WIDTH = 92;
  private static final double MARGIN = 16;

  /** Height of a plan that has room for a legend below the sign of north, pixels. */
  private static final double TALL = 430;

  private final PlanInk ink;
  private final GraphicsContext g;

  SurfaceLegend(PlanInk ink) {
    this.ink = ink;
    g = ink.g();
  }

  /** What a legend takes of a picture at the right, pixels. */
  static double room(double height) {
    return height < TALL ? 2 * (WIDTH + MARGIN) : WIDTH + MARGIN;
  }

  /** Whether a style has colours that need words. */
  static boolean explains(SurfaceStyle style) {
    return switch (style) {
      case CONTOURS, SHADE, TRIANGLES -> false;
      case LEVELS, SLOPE, ASPECT -> true;
    };
  }

  void draw(SurfaceStyle style, Box levels) {
    switch (style) {
      case CONTOURS, SHADE, TRIANGLES -> {}
      case LEVELS -> {
        if (levels.hasLevels()) {
          levels(levels.minH(), levels.maxH());
        }
      }
      case SLOPE -> slope();
      case ASPECT -> aspect();
    }
  }

  private void levels(double low, double high) {
    frame("level, m", 7);
    for (int i = 0; i < 7; i++) {
      double level = high - (high - low) * i / 6;
      row(i, SurfaceColours.level(level, low, high), Figures.number(level, 1));
    }
  }

  private void slope() {
    int n = SurfaceColours.SLOPES.length;
    frame("slope, %", n + 1);
    for (int i = 0; i <= n; i++) {
      String text =
          i == n
              ? "over " + Figures.number(SurfaceColours.SLOPES[n - 1], 0)
              : "to " + Figures.number(SurfaceColours.SLOPES[i], 0);
      row(i, SurfaceColours.slopeClass(i), text);
    }
  }

  private void aspect() {
    String[] names = {"north", "east", "south", "west"};
    frame("falls to", 5);
    for (int i = 0; i < 4; i++) {
      row(i, SurfaceColours.aspect(i * Math.PI / 2), names[i]);
    }
    row(4, 0xE4E0D4, "level");
  }

  /** The bands of a comparison's colours, each with the differences between which it lies. */
  void differences() {
    int bands = LevelDifference.EDGES.size() + 1;
    frame("higher by, m", bands);
    for (int i = 0; i < bands; i++) {
      double y = top() + 26 + ROW * (bands - 1 - i);
      g.setFill(DifferenceColours.band(i));
      g.fillRect(x() + 8, y, 18, ROW);
      if (i > 0) {
        String edge = String.format(Locale.ROOT, "%+.2f", LevelDifference.EDGES.get(i - 1));
        ink.text(edge, x() + 34, y + ROW, PlanInk.FIGURE, ink.theme().ink(), TextAlignment.LEFT);
      }
    }
  }

  private double x() {
    return ink.window().width() - room(ink.window().height());
  }

  private double top() {
    return ink.window().height() < TALL ? 56 : 196;
  }

  private void frame(String title, int rows) {
    double h = ROW * (rows + 1) + 16;
    g.setFill(ink.theme().panel());
    g.fillRect(x(), top(), WIDTH, h);
    g.setStroke(ink.theme().line());
    g.setLineWidth(1);
    g.strokeRect(x() + 0.5, top() + 0.5, WIDTH - 1, h - 1);
    ink.text(title, x() + 8, top() + 15, PlanInk.NAME, ink.theme().ink(), TextAlignment.LEFT);
  }

  private void row(int i, int rgb, String text) {
    double y = top() + 14 + ROW * (i + 1);
    g.setFill(Color.rgb(rgb >> 16 & 0xFF, rgb >> 8 & 0xFF, rgb & 0xFF));
    g.fillRect(x() + 8, y - 4, 18, 11);
    ink.text(text, x() + 34, y + 1.5, PlanInk.FIGURE, ink.theme().ink(), TextAlignment.LEFT);
  }
}
