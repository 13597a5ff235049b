package wellspan.app.stage;

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

  /** Writes on whole pixels, where letters are sharp. */
  static void text(
      GraphicsContext g, String s, double x, double y, Font font, Color c, TextAlignment align) {
    g.setFont(font);
    g.setTextAlign(align);
    g.setFill(c);
    g.fillText(s, Math.rint(x), Math.rint(y));
  }
}
