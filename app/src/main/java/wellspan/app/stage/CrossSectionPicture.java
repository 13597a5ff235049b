package wellspan.app.stage;

import static wellspan.app.stage.SectionInk.FIGURE;
import static wellspan.app.stage.SectionInk.NAME;
import static wellspan.app.stage.SectionInk.spacing;
import static wellspan.app.stage.SectionInk.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Theme;
import wellspan.core.align.Chainages;
import wellspan.core.item.Band;
import wellspan.core.item.ItemId;

/**
 * A cross section as it is drawn: offsets to the right, levels up, in a picture of a size.
 *
 * @param exaggeration levels drawn so many times higher than widths
 * @param width of the picture, pixels
 * @param height of the picture, pixels
 */
record CrossSectionPicture(
    GraphicsContext g,
    Theme theme,
    CrossSection section,
    double exaggeration,
    double width,
    double height) {
  static final double LEFT = 74;
  static final double RIGHT = 30;
  private static final double TOP = 54;
  private static final double BOTTOM = 64;

  /** Room that the level at the axis takes to each side, and a crossfall to its own. */
  private static final double CLEAR = 62;

  private static final double PALER = 0.16;

  /** Width of a letter of a word, pixels; a little more than they need. */
  private static final double LETTER = 6.6;

  private static final Font WORD = Font.font("Manrope", 12);

  private double scale() {
    double across = (width - LEFT - RIGHT) / (section.right() - section.left());
    double up =
        (height - TOP - BOTTOM) / Math.max(0.5, section.high() - section.low()) / exaggeration;
    return Math.max(0.1, Math.min(across, up));
  }

  private double x(double offset) {
    double middle = (section.left() + section.right()) / 2;
    return (LEFT + width - RIGHT) / 2 + (offset - middle) * scale();
  }

  private double y(double level) {
    double middle = (section.low() + section.high()) / 2;
    return (TOP + height - BOTTOM) / 2 - (level - middle) * scale() * exaggeration;
  }

  void draw(Optional<ItemId> lead) {
    g.save();
    g.beginPath();
    g.rect(LEFT, TOP - 8, width - LEFT - RIGHT, height - TOP - BOTTOM + 18);
    g.clip();
    grid();
    section.cuts().forEach(c -> cut(c, lead));
    axis();
    g.restore();
    scales();
    text(
        g,
        section.road() + "  " + Chainages.format(section.at().chainage()),
        LEFT,
        20,
        NAME,
        theme.ink(),
        TextAlignment.LEFT);
    text(
        g,
        "levels × " + Figures.number(exaggeration, 0) + "   right is to the right, looking ahead",
        width - RIGHT,
        20,
        FIGURE,
        theme.muted(),
        TextAlignment.RIGHT);
    int letters = (int) ((width - LEFT - RIGHT) / LETTER);
    String outside = fitting(outside(), "", letters / 2);
    text(g, outside, LEFT, 38, WORD, theme.muted(), TextAlignment.LEFT);
    text(
        g,
        fitting(courses(), " mm", letters - outside.length()),
        width - RIGHT,
        38,
        WORD,
        theme.ink(),
        TextAlignment.RIGHT);
  }

  /** Ground that would make the road too small to be seen is told instead. */
  private List<String> outside() {
    return section.outside().stream()
        .map(
            o ->
                o.name()
                    + " "
                    + Figures.number(Math.abs(o.metres()), 1)
                    + (o.metres() < 0 ? " m below the picture" : " m above the picture"))
        .toList();
  }

  /** As many words as there is room for, with what is said behind them, and how many more. */
  static String fitting(List<String> words, String behind, int letters) {
    for (int n = words.size(); n > 0; n--) {
      int more = words.size() - n;
      String all =
          String.join(" · ", words.subList(0, n))
              + behind
              + (more == 0 ? "" : ", " + more + " more");
      if (all.length() <= letters) {
        return all;
      }
    }
    return "";
  }

  /** Names and thicknesses of what lies under the road's surface, from the top down. */
  private List<String> courses() {
    List<String> out = new ArrayList<>();
    section.cuts().stream()
        .filter(c -> c.body() && c.thickness() > 0 && c.item().kind().stratum() == Band.PAVEMENT)
        .sorted((a, b) -> Double.compare(highest(b), highest(a)))
        .forEach(
            c -> {
              String words =
                  c.item().name().replaceFirst(" \\(\\d+\\)$", "")
                      + " "
                      + Figures.number(1000 * c.thickness(), 0);
              if (!out.contains(words)) {
                out.add(words);
              }
            });
    return out;
  }

  private static double highest(CrossSection.Cut c) {
    double high = Double.NEGATIVE_INFINITY;
    for (double[] l : c.lines()) {
      for (int i = 1; i < l.length; i += 2) {
        high = Math.max(high, l[i]);
      }
    }
    return high;
  }

  private void cut(CrossSection.Cut c, Optional<ItemId> lead) {
    boolean chosen = lead.filter(c.id()::equals).isPresent();
    Color colour = shade(c);
    if (c.body()) {
      g.setFillRule(javafx.scene.shape.FillRule.EVEN_ODD);
      path(c.lines());
      g.setFill(colour);
      g.fill();
      g.setStroke(chosen ? theme.accent() : theme.panel());
      g.setLineWidth(chosen ? 2.5 : 0.8);
      g.stroke();
    } else {
      path(c.lines());
      g.setStroke(
          chosen ? theme.accent() : c.item().kind().surface() ? Theme.of(Band.GROUND) : colour);
      g.setLineWidth(chosen ? 3 : 2);
      g.stroke();
    }
  }

  /** Courses of one material get paler from the top down, so that they can be told apart. */
  private static Color shade(CrossSection.Cut c) {
    Color colour = ItemColour.ofItsOwn(c.item());
    return c.number() < 2
        ? colour
        : colour.interpolate(Color.WHITE, Math.min(0.5, PALER * (c.number() - 1)));
  }

  private void path(List<double[]> lines) {
    g.beginPath();
    for (double[] l : lines) {
      g.moveTo(x(l[0]), y(l[1]));
      for (int i = 2; i < l.length; i += 2) {
        g.lineTo(x(l[i]), y(l[i + 1]));
      }
    }
  }

  /** The axis with its level, and how the surface falls to both sides. */
  private void axis() {
    double level = section.top(0);
    if (Double.isNaN(level)) {
      level = section.at().level();
    }
    g.setStroke(theme.muted());
    g.setLineWidth(1);
    g.setLineDashes(4, 4);
    g.strokeLine(x(0), TOP - 6, x(0), height - BOTTOM);
    g.setLineDashes();
    if (Double.isFinite(level)) {
      text(
          g,
          Figures.number(level, 3),
          x(0),
          Math.max(TOP + 2, y(level) - 34),
          FIGURE,
          theme.ink(),
          TextAlignment.CENTER);
    }
    section.crossfall(-1).ifPresent(this::crossfall);
    section.crossfall(1).ifPresent(this::crossfall);
  }

  private void crossfall(CrossSection.Crossfall fall) {
    text(
        g,
        Figures.number(fall.percent(), 1) + " %",
        beside(fall.offset()),
        Math.max(TOP + 2, y(fall.level()) - 16),
        FIGURE,
        theme.ink(),
        TextAlignment.CENTER);
  }

  /** Where a word about an offset stands clear of the level at the axis. */
  private double beside(double offset) {
    double away = x(offset) - x(0);
    return x(0) + Math.copySign(Math.max(Math.abs(away), CLEAR), away);
  }

  private void grid() {
    g.setLineWidth(1);
    g.setStroke(theme.line());
    for (double o : offsets()) {
      g.strokeLine(x(o), TOP - 6, x(o), height - BOTTOM + 6);
    }
    for (double z : levels()) {
      g.strokeLine(LEFT, y(z), width - RIGHT, y(z));
    }
  }

  private void scales() {
    for (double o : offsets()) {
      text(
          g,
          Figures.number(Math.abs(o), 0) + (o < 0 ? " left" : o > 0 ? " right" : ""),
          x(o),
          height - BOTTOM + 18,
          FIGURE,
          theme.muted(),
          TextAlignment.CENTER);
    }
    for (double z : levels()) {
      text(
          g,
          Figures.number(z, 1) + " m",
          LEFT - 8,
          y(z),
          FIGURE,
          theme.muted(),
          TextAlignment.RIGHT);
    }
  }

  private List<Double> offsets() {
    double half = (width - LEFT - RIGHT) / scale() / 2;
    double middle = (section.left() + section.right()) / 2;
    return steps(middle - half, middle + half, spacing(90 / scale()));
  }

  private List<Double> levels() {
    double half = (height - TOP - BOTTOM) / (scale() * exaggeration) / 2;
    double middle = (section.low() + section.high()) / 2;
    return steps(middle - half, middle + half, spacing(40 / (scale() * exaggeration)));
  }

  private static List<Double> steps(double from, double to, double step) {
    List<Double> out = new ArrayList<>();
    for (double v = Math.ceil(from / step) * step; v <= to; v += step) {
      out.add(v);
    }
    return out;
  }

  /** The offset at a place of the picture, metres. */
  double offset(double x) {
    double middle = (section.left() + section.right()) / 2;
    return middle + (x - (LEFT + width - RIGHT) / 2) / scale();
  }

  /** The level at a place of the picture, metres. */
  double level(double y) {
    double middle = (section.low() + section.high()) / 2;
    return middle - (y - (TOP + height - BOTTOM) / 2) / (scale() * exaggeration);
  }
}
