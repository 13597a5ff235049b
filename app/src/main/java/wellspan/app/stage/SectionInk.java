package wellspan.app.stage;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;
import javafx.scene.text.TextAlignment;

/** What long and cross sections are written with, and how far apart their grid lines lie. */
final class SectionInk {
  static final Font FIGURE = Font.font("JetBrains Mono", 11);
  static final Font NAME = Font.font("Manrope", FontWeight.BOLD, 14);

  private SectionInk() {}

  /** The next 1, 2, 5 or 10 times a power of ten. */
  static double spacing(double wanted) {
    double power = Math.pow(10, Math.floor(Math.log10(wanted)));
    return wanted / power > 5
        ? 10 * power
        : wanted / power > 2 ? 5 * power : wanted / power > 1 ? 2 * power : power;
  }

  /** Draws points of distance and level as a line, interrupted where a level is NaN. */
  static void line(
      GraphicsContext g,
      List<double[]> points,
      DoubleUnaryOperator x,
      DoubleUnaryOperator y,
      Color c,
      double width) {
    g.setStroke(c);
    g.setLineWidth(width);
    g.beginPath();
    boolean pen = false;
    for (double[] p : points) {
      if (Double.isNaN(p[1])) {
        pen = false;
      } else if (pen) {
        g.lineTo(x.applyAsDouble(p[0]), y.applyAsDouble(p[1]));
      } else {
        g.moveTo(x.applyAsDouble(p[0]), y.applyAsDouble(p[1]));
        pen = true;
      }
    }
    g.stroke();
  }

  /** Writes on whole pixels, where letters are sharp. */
  static void text(
      GraphicsContext g, String s, double x, double y, Font font, Color c, TextAlignment align) {
    g.setFont(font);
    g.setTextAlign(align);
    g.setFill(c);
    g.fillText(s, Math.rint(x), Math.rint(y));
  }
}
