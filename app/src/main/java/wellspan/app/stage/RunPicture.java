package wellspan.app.stage;

import static wellspan.app.stage.SectionInk.FIGURE;
import static wellspan.app.stage.SectionInk.NAME;
import static wellspan.app.stage.SectionInk.line;
import static wellspan.app.stage.SectionInk.spacing;
import static wellspan.app.stage.SectionInk.text;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Theme;
import wellspan.core.item.Band;
import wellspan.core.network.Chamber;
import wellspan.core.network.LaidPipe;
import wellspan.core.network.PipeRun;
import wellspan.core.network.PipeSection;

/**
 * Draws a run of pipes from the side: chambers from floor to rim, the clear height of the pipes,
 * the ground, and under them a table of levels.
 *
 * @param chosen name of the pipe or chamber in hand
 */
record RunPicture(
    RunSection section,
    String chosen,
    Theme theme,
    GraphicsContext g,
    double width,
    double height) {
  static final double LEFT = 118;
  static final double RIGHT = 36;
  private static final double TOP = 84;
  private static final double HEAD = 58;
  private static final double ROW = 18;
  private static final List<String> ROWS =
      List.of("rim m", "invert in m", "invert out m", "distance m", "clear mm", "fall %");
  private static final double BELOW = ROW * ROWS.size() + 20;

  /** Room that a figure of the table takes. */
  private static final double FIGURE_WIDTH = 40;

  private static final double NARROW = 5;

  /** Width of a letter of the figures. */
  private static final double LETTER = 6.7;

  void draw() {
    PipeRun run = section.run();
    grid();
    line(g, section.ground(), this::x, this::y, Theme.of(Band.GROUND), 2);
    run.stretches().forEach(this::pipe);
    List<Chamber> chambers = run.chambers();
    double free = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < chambers.size(); i++) {
      double at = i == 0 ? 0 : run.stretches().get(i - 1).end();
      chamber(chambers.get(i), at);
      if (x(at) - FIGURE_WIDTH / 2 >= free) {
        column(i, at);
        free = x(at) + FIGURE_WIDTH / 2;
      }
    }
    head();
  }

  private void head() {
    PipeRun run = section.run();
    List<Chamber> c = run.chambers();
    text(
        g,
        c.getFirst().name() + " to " + c.getLast().name(),
        LEFT,
        HEAD,
        NAME,
        theme.ink(),
        TextAlignment.LEFT);
    double across = (width - LEFT - RIGHT) / run.length();
    double up = (height - TOP - BELOW) / (section.high() - section.low());
    String ground = section.surface().isEmpty() ? "" : "ground: " + section.surface() + "   ";
    text(
        g,
        ground
            + Figures.number(run.length(), 1)
            + " m   levels × "
            + Figures.number(up / across, 1),
        width - RIGHT,
        HEAD,
        FIGURE,
        theme.muted(),
        TextAlignment.RIGHT);
  }

  private double x(double distance) {
    return LEFT + distance / section.run().length() * (width - LEFT - RIGHT);
  }

  private double y(double level) {
    double share = (level - section.low()) / (section.high() - section.low());
    return height - BELOW - share * (height - TOP - BELOW);
  }

  private void grid() {
    double span = section.high() - section.low();
    double step = spacing(span / Math.max(2, (height - TOP - BELOW) / 60));
    g.setLineWidth(1);
    g.setStroke(theme.line());
    for (double v = Math.ceil(section.low() / step) * step; v <= section.high(); v += step) {
      g.strokeLine(LEFT, y(v), width - RIGHT, y(v));
      text(
          g,
          Figures.number(v, step < 1 ? 1 : 0) + " m",
          LEFT - 8,
          y(v),
          FIGURE,
          theme.muted(),
          TextAlignment.RIGHT);
    }
    for (int r = 0; r < ROWS.size(); r++) {
      g.strokeLine(LEFT, rowTop(r), width - RIGHT, rowTop(r));
      text(
          g,
          ROWS.get(r),
          LEFT - FIGURE_WIDTH / 2 - 6,
          rowTop(r) + ROW / 2,
          FIGURE,
          theme.muted(),
          TextAlignment.RIGHT);
    }
  }

  private double rowTop(int row) {
    return height - BELOW + 10 + row * ROW;
  }

  private void pipe(PipeRun.Stretch s) {
    LaidPipe laid = s.laid();
    double clear = laid.pipe().section().height();
    double from = laid.from().level();
    double to = laid.to().level();
    boolean inHand = laid.pipe().name().equals(chosen);
    double[] xs = {x(s.start()), x(s.end()), x(s.end()), x(s.start())};
    double[] ys = {y(from), y(to), y(to + clear), y(from + clear)};
    g.setFill(Theme.of(Band.DRAINAGE).deriveColor(0, 1, 1, 0.35));
    g.fillPolygon(xs, ys, 4);
    g.setStroke(inHand ? theme.accent() : Theme.of(Band.DRAINAGE));
    g.setLineWidth(inHand ? 3 : 1.4);
    g.strokePolygon(xs, ys, 4);
    double middle = (xs[0] + xs[1]) / 2;
    double below = Math.max(Math.max(ys[0], ys[1]), (ys[0] + ys[1]) / 2) + 14;
    String name = laid.pipe().name();
    if (xs[1] - xs[0] > FIGURE_WIDTH + LETTER * name.length()) {
      text(g, name, middle, below, FIGURE, theme.muted(), TextAlignment.CENTER);
    }
    String fall = Figures.number(100 * laid.slope(), 2);
    figure(size(laid.pipe().section()), middle, xs[1] - xs[0], 4);
    figure(fall, middle, xs[1] - xs[0], 5);
  }

  /** A figure of the table where there is room for it. */
  private void figure(String s, double at, double room, int row) {
    if (LETTER * s.length() < room - 4) {
      text(g, s, at, rowTop(row) + ROW / 2, FIGURE, theme.ink(), TextAlignment.CENTER);
    }
  }

  /** Clear measures in millimetres, as pipes are ordered. */
  private static String size(PipeSection s) {
    String high = Figures.number(1000 * s.height(), 0);
    return s instanceof PipeSection.Circle
        ? high
        : Figures.number(1000 * s.width(), 0) + "×" + high;
  }

  private void chamber(Chamber c, double at) {
    boolean inHand = c.name().equals(chosen);
    double top = Double.isFinite(c.rim()) ? y(c.rim()) : y(section.high());
    double bottom = Double.isFinite(c.sump()) ? y(c.sump()) : y(section.low());
    double half = Math.max(NARROW, clear(c.form()) / section.run().length() * width) / 2;
    g.setFill(theme.panel());
    g.fillRect(x(at) - half, top, 2 * half, bottom - top);
    g.setStroke(inHand ? theme.accent() : theme.ink());
    g.setLineWidth(inHand ? 3 : 1.4);
    g.strokeRect(x(at) - half, top, 2 * half, bottom - top);
    text(
        g,
        c.name(),
        x(at),
        top - 12,
        FIGURE,
        inHand ? theme.accent() : theme.ink(),
        TextAlignment.CENTER);
  }

  private static double clear(Chamber.Form form) {
    return switch (form) {
      case Chamber.Form.Round r -> r.diameter();
      case Chamber.Form.Rectangular r -> r.length();
      case Chamber.Form.Inlet i -> 0;
      case Chamber.Form.Outlet o -> 0;
      case Chamber.Form.None n -> 0;
    };
  }

  /** The figures of a chamber in the table. */
  private void column(int i, double at) {
    List<PipeRun.Stretch> s = section.run().stretches();
    double in = i == 0 ? Double.NaN : s.get(i - 1).laid().to().level();
    double out = i == s.size() ? Double.NaN : s.get(i).laid().from().level();
    double[] figures = {section.run().chambers().get(i).rim(), in, out, at};
    for (int r = 0; r < figures.length; r++) {
      if (Double.isFinite(figures[r])) {
        text(
            g,
            Figures.number(figures[r], r == figures.length - 1 ? 0 : 2),
            x(at),
            rowTop(r) + ROW / 2,
            FIGURE,
            theme.ink(),
            TextAlignment.CENTER);
      }
    }
  }
}
