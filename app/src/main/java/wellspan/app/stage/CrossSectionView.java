package wellspan.app.stage;

import static wellspan.app.stage.SectionInk.FIGURE;
import static wellspan.app.stage.SectionInk.NAME;
import static wellspan.app.stage.SectionInk.step;
import static wellspan.app.stage.SectionInk.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Slider;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Theme;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.Chainages;
import wellspan.core.align.Footpoint;
import wellspan.core.geom.Position;
import wellspan.core.item.Band;
import wellspan.core.item.ItemId;
import wellspan.core.shape.Shape;

/** The cross section of the alignment in hand: courses filled, ground as a line, levels above. */
public final class CrossSectionView extends Pane {
  private static final Font WORD = Font.font("Manrope", 12);
  private static final double LEFT = 74;
  private static final double RIGHT = 30;
  private static final double TOP = 54;
  private static final double BOTTOM = 64;
  private static final double PALER = 0.16;
  private static final double[] EXAGGERATIONS = {1, 2, 5, 10};

  private final Session session;
  private final Canvas canvas = new Canvas();
  private final Slider along = new Slider();
  private final ObjectProperty<Optional<AlignmentPoint>> place =
      new SimpleObjectProperty<>(Optional.empty());
  private Theme theme = Theme.LIGHT;
  private CrossSection section;
  private Optional<ItemId> axis = Optional.empty();
  private double exaggeration = 2;

  public CrossSectionView(Session session) {
    this.session = session;
    setId("cross-section");
    setFocusTraversable(true);
    setAccessibleText("Cross section");
    setMinSize(0, 120);
    along.setId("section-along");
    along.setAccessibleText("Chainage of the cross section");
    along.setBlockIncrement(10);
    getChildren().addAll(canvas, along);
    session.buildProperty().addListener((o, a, b) -> refresh());
    session.selectedProperty().addListener((o, a, b) -> refresh());
    visibleProperty().addListener((o, a, b) -> refresh());
    along.valueProperty().addListener((o, a, b) -> cut());
    addEventHandler(KeyEvent.KEY_PRESSED, this::key);
    setOnMouseMoved(this::point);
    setOnMouseExited(e -> session.pointerProperty().set(Optional.empty()));
    setOnMouseClicked(this::pick);
  }

  public void setTheme(Theme t) {
    theme = t;
    draw();
  }

  /** Levels drawn so many times higher than widths. */
  void setExaggeration(double factor) {
    exaggeration = factor;
    draw();
  }

  static double[] exaggerations() {
    return EXAGGERATIONS.clone();
  }

  /** Where the section is cut; empty where there is no alignment. */
  ObjectProperty<Optional<AlignmentPoint>> placeProperty() {
    return place;
  }

  /** Cuts at the foot of a place on the alignment, if it lies beside it. */
  void cutAt(Position p) {
    alignment()
        .flatMap(a -> Footpoint.of(a, p.east(), p.north()))
        .ifPresent(f -> along.setValue(f.distance()));
  }

  private Optional<Alignment> alignment() {
    return axis.map(session.build().items()::get)
        .map(i -> i.item().shape())
        .filter(Shape.Axis.class::isInstance)
        .map(s -> ((Shape.Axis) s).alignment());
  }

  private void key(KeyEvent e) {
    double step = e.isShiftDown() ? 10 : 1;
    if (e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.RIGHT) {
      along.setValue(along.getValue() + (e.getCode() == KeyCode.LEFT ? -step : step));
      e.consume();
    }
  }

  @Override
  protected void layoutChildren() {
    along.resizeRelocate(
        LEFT - 8, getHeight() - 30, Math.max(60, getWidth() - LEFT - RIGHT + 16), 24);
    if (canvas.getWidth() != getWidth() || canvas.getHeight() != getHeight()) {
      canvas.setWidth(getWidth());
      canvas.setHeight(getHeight());
      draw();
    }
  }

  private void refresh() {
    if (!isVisible()) {
      return;
    }
    Optional<ItemId> now = CrossSection.axis(session.build(), session.selectedProperty().get());
    boolean other = !now.equals(axis);
    axis = now;
    Optional<Alignment> a = alignment();
    along.setVisible(a.isPresent());
    if (a.isPresent()) {
      along.setMax(a.get().length());
      if (other) {
        along.setValue(a.get().length() / 2);
      }
    }
    cut();
  }

  private void cut() {
    if (!isVisible()) {
      return;
    }
    Optional<Alignment> a = alignment();
    section =
        a.map(line -> CrossSection.of(session.build(), line.name(), line, along.getValue()))
            .orElse(null);
    place.set(Optional.ofNullable(section).map(CrossSection::at));
    draw();
  }

  private double scale() {
    double width = (canvas.getWidth() - LEFT - RIGHT) / (section.right() - section.left());
    double height =
        (canvas.getHeight() - TOP - BOTTOM)
            / Math.max(0.5, section.high() - section.low())
            / exaggeration;
    return Math.max(0.1, Math.min(width, height));
  }

  private double x(double offset) {
    double middle = (section.left() + section.right()) / 2;
    return (LEFT + canvas.getWidth() - RIGHT) / 2 + (offset - middle) * scale();
  }

  private double y(double level) {
    double middle = (section.low() + section.high()) / 2;
    return (TOP + canvas.getHeight() - BOTTOM) / 2 - (level - middle) * scale() * exaggeration;
  }

  private void draw() {
    GraphicsContext g = canvas.getGraphicsContext2D();
    g.setFill(theme.panel());
    g.fillRect(0, 0, canvas.getWidth(), canvas.getHeight());
    g.setTextBaseline(VPos.CENTER);
    if (section == null) {
      text(
          g,
          "There is no alignment to cut across. Receive a road design.",
          canvas.getWidth() / 2,
          canvas.getHeight() / 2,
          NAME,
          theme.muted(),
          TextAlignment.CENTER);
      return;
    }
    g.save();
    g.beginPath();
    g.rect(LEFT, TOP - 8, canvas.getWidth() - LEFT - RIGHT, canvas.getHeight() - TOP - BOTTOM + 18);
    g.clip();
    grid(g);
    section.cuts().forEach(c -> cut(g, c));
    axis(g);
    g.restore();
    scales(g);
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
        canvas.getWidth() - RIGHT,
        20,
        FIGURE,
        theme.muted(),
        TextAlignment.RIGHT);
    text(g, courses(), canvas.getWidth() - RIGHT, 38, WORD, theme.ink(), TextAlignment.RIGHT);
  }

  /** Names and thicknesses of what lies under the road's surface, from the top down. */
  private String courses() {
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
    return out.isEmpty() ? "" : String.join(" · ", out) + " mm";
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

  private void cut(GraphicsContext g, CrossSection.Cut c) {
    boolean chosen = session.selectedProperty().get().filter(c.id()::equals).isPresent();
    Color colour = shade(c);
    if (c.body()) {
      g.setFillRule(javafx.scene.shape.FillRule.EVEN_ODD);
      path(g, c.lines());
      g.setFill(colour);
      g.fill();
      g.setStroke(chosen ? theme.accent() : theme.panel());
      g.setLineWidth(chosen ? 2.5 : 0.8);
      g.stroke();
    } else {
      path(g, c.lines());
      g.setStroke(
          chosen ? theme.accent() : c.item().kind().surface() ? Theme.of(Band.GROUND) : colour);
      g.setLineWidth(chosen ? 3 : 2);
      g.stroke();
    }
  }

  /** Courses of one material get paler from the top down, so that they can be told apart. */
  private static Color shade(CrossSection.Cut c) {
    Color colour = ItemColour.of(c.item());
    return c.number() < 2
        ? colour
        : colour.interpolate(Color.WHITE, Math.min(0.5, PALER * (c.number() - 1)));
  }

  private void path(GraphicsContext g, List<double[]> lines) {
    g.beginPath();
    for (double[] l : lines) {
      g.moveTo(x(l[0]), y(l[1]));
      for (int i = 2; i < l.length; i += 2) {
        g.lineTo(x(l[i]), y(l[i + 1]));
      }
    }
  }

  /** The axis with its level, and how the surface falls to both sides. */
  private void axis(GraphicsContext g) {
    double level = section.top(0);
    if (Double.isNaN(level)) {
      level = section.at().level();
    }
    g.setStroke(theme.muted());
    g.setLineWidth(1);
    g.setLineDashes(4, 4);
    g.strokeLine(x(0), TOP - 6, x(0), canvas.getHeight() - BOTTOM);
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
    for (int side : new int[] {-1, 1}) {
      crossfall(g, side);
    }
  }

  private void crossfall(GraphicsContext g, int side) {
    double width = side > 0 ? section.right() - 3 : -section.left() - 3;
    double near = side * width * 0.1;
    double far = side * width * 0.6;
    double z1 = section.top(near);
    double z2 = section.top(far);
    if (width > 1 && Double.isFinite(z1) && Double.isFinite(z2)) {
      text(
          g,
          Figures.number(100 * (z2 - z1) / Math.abs(far - near), 1) + " %",
          x(side * width * 0.4),
          Math.max(TOP + 2, y(Math.max(z1, z2)) - 16),
          FIGURE,
          theme.ink(),
          TextAlignment.CENTER);
    }
  }

  private void grid(GraphicsContext g) {
    g.setLineWidth(1);
    g.setStroke(theme.line());
    for (double o : offsets()) {
      g.strokeLine(x(o), TOP - 6, x(o), canvas.getHeight() - BOTTOM + 6);
    }
    for (double z : levels()) {
      g.strokeLine(LEFT, y(z), canvas.getWidth() - RIGHT, y(z));
    }
  }

  private void scales(GraphicsContext g) {
    for (double o : offsets()) {
      text(
          g,
          Figures.number(Math.abs(o), 0) + (o < 0 ? " left" : o > 0 ? " right" : ""),
          x(o),
          canvas.getHeight() - BOTTOM + 18,
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
    double half = (canvas.getWidth() - LEFT - RIGHT) / scale() / 2;
    double middle = (section.left() + section.right()) / 2;
    return steps(middle - half, middle + half, step(90 / scale()));
  }

  private List<Double> levels() {
    double half = (canvas.getHeight() - TOP - BOTTOM) / (scale() * exaggeration) / 2;
    double middle = (section.low() + section.high()) / 2;
    return steps(middle - half, middle + half, step(40 / (scale() * exaggeration)));
  }

  private static List<Double> steps(double from, double to, double step) {
    List<Double> out = new ArrayList<>();
    for (double v = Math.ceil(from / step) * step; v <= to; v += step) {
      out.add(v);
    }
    return out;
  }

  private double offset(MouseEvent e) {
    double middle = (section.left() + section.right()) / 2;
    return middle + (e.getX() - (LEFT + canvas.getWidth() - RIGHT) / 2) / scale();
  }

  private double level(MouseEvent e) {
    double middle = (section.low() + section.high()) / 2;
    return middle - (e.getY() - (TOP + canvas.getHeight() - BOTTOM) / 2) / (scale() * exaggeration);
  }

  private void point(MouseEvent e) {
    if (section != null) {
      AlignmentPoint p = section.at();
      double o = offset(e);
      session
          .pointerProperty()
          .set(
              Optional.of(
                  new Session.Pointer(
                      new Position(
                          p.east() + o * Math.sin(p.direction()),
                          p.north() - o * Math.cos(p.direction()),
                          level(e)))));
    }
  }

  private void pick(MouseEvent e) {
    requestFocus();
    if (section != null) {
      section
          .bodyAt(offset(e), level(e))
          .ifPresent(c -> session.selectedProperty().set(Optional.of(c.id())));
    }
  }
}
