package wellspan.app.stage;

import static wellspan.app.stage.SectionInk.FIGURE;
import static wellspan.app.stage.SectionInk.NAME;
import static wellspan.app.stage.SectionInk.line;
import static wellspan.app.stage.SectionInk.spacing;
import static wellspan.app.stage.SectionInk.text;

import java.util.Optional;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Theme;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.Chainages;
import wellspan.core.align.ProfileSegment;
import wellspan.core.earthwork.MassHaul;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Band;
import wellspan.core.item.ItemId;
import wellspan.core.network.PipeRun;

/**
 * The long section of what is in hand: of an alignment its design line, the ground under it,
 * grades; of a pipe or chamber the run it belongs to.
 */
public final class SectionView extends Pane {
  private static final double LEFT = 74;
  private static final double RIGHT = 30;
  private static final double TOP = 76;

  /** Where name and legend stand, under the switches. */
  private static final double HEAD = 58;

  private static final double BOTTOM = 44;
  private static final double MASSES = 210;

  /** As many stretches, about. */
  private static final double BARS = 60;

  private final Session session;
  private final Canvas canvas = new Canvas();
  private Theme theme = Theme.LIGHT;
  private final ReadOnlyBooleanWrapper alongLine = new ReadOnlyBooleanWrapper();
  private LongSection section;
  private Optional<RunSection> run = Optional.empty();
  private Optional<ItemId> existing = Optional.empty();
  private Optional<ItemId> proposed = Optional.empty();
  private Optional<MassHaul> haul = Optional.empty();

  public SectionView(Session session) {
    this.session = session;
    setId("section");
    setFocusTraversable(true);
    setAccessibleText("Long section");
    setMinSize(0, 0);
    getChildren().add(canvas);
    session.buildProperty().addListener((o, a, b) -> refresh());
    session.selectedProperty().addListener((o, a, b) -> refresh());
    visibleProperty().addListener((o, a, b) -> refresh());
    setOnMouseMoved(this::point);
    setOnMouseExited(e -> session.aim().pointerProperty().set(Optional.empty()));
    setOnMouseClicked(
        e -> {
          if (e.isShiftDown()) {
            point(e);
            session.place().probeProperty().set(session.aim().pointerProperty().get());
          }
        });
  }

  public void setTheme(Theme t) {
    theme = t;
    draw();
  }

  @Override
  protected void layoutChildren() {
    if (canvas.getWidth() != getWidth() || canvas.getHeight() != getHeight()) {
      canvas.setWidth(getWidth());
      canvas.setHeight(getHeight());
      draw();
    }
  }

  private void refresh() {
    if (isVisible()) {
      Optional<ItemId> chosen = session.selectedProperty().get();
      run = RunSection.of(session.build(), chosen);
      section = run.isPresent() ? null : LongSection.of(session.build(), chosen).orElse(null);
      alongLine.set(section != null);
      haul = Optional.empty();
      draw();
      measure();
    }
  }

  /** Whether a line is shown, along which masses can be measured; not so for a run of pipes. */
  ReadOnlyBooleanProperty alongLineProperty() {
    return alongLine.getReadOnlyProperty();
  }

  /** Measures what is cut and filled along the line between two surfaces; nothing without them. */
  public void setMasses(Optional<ItemId> from, Optional<ItemId> to) {
    existing = from;
    proposed = to;
    refresh();
  }

  private void measure() {
    Optional<Mesh> from = ground(existing);
    Optional<Mesh> to = ground(proposed);
    if (section == null || from.isEmpty() || to.isEmpty()) {
      return;
    }
    LongSection of = section;
    double every = Math.max(1, spacing(of.length() / BARS));
    session.masses().measure(of.alignment(), from.get(), to.get(), every, h -> show(of, h));
  }

  @SuppressWarnings("ReferenceEquality") // another section was cut meanwhile
  private void show(LongSection of, MassHaul h) {
    if (section == of && !h.rows().isEmpty()) {
      haul = Optional.of(h);
      draw();
    }
  }

  private Optional<Mesh> ground(Optional<ItemId> id) {
    return id.map(i -> session.build().items().get(i)).flatMap(i -> i.item().ground());
  }

  /** Room under the section, for chainages and for masses. */
  private double below() {
    return haul.isPresent() ? BOTTOM + MASSES : BOTTOM;
  }

  private double x(double distance) {
    return LEFT + distance / section.length() * (canvas.getWidth() - LEFT - RIGHT);
  }

  private double y(double level) {
    double span = section.high() - section.low();
    return canvas.getHeight()
        - below()
        - (level - section.low()) / span * (canvas.getHeight() - TOP - below());
  }

  private void draw() {
    GraphicsContext g = canvas.getGraphicsContext2D();
    g.setFill(theme.panel());
    g.fillRect(0, 0, canvas.getWidth(), canvas.getHeight());
    g.setTextBaseline(VPos.CENTER);
    if (run.isPresent()) {
      String chosen = session.selectedItem().map(i -> i.item().name()).orElse("");
      new RunPicture(run.get(), chosen, theme, g, canvas.getWidth(), canvas.getHeight()).draw();
      return;
    }
    if (section == null) {
      text(
          g,
          "There is no alignment to cut along. Receive a road design, or select a pipe.",
          canvas.getWidth() / 2,
          canvas.getHeight() / 2,
          NAME,
          theme.muted(),
          TextAlignment.CENTER);
      return;
    }
    double exaggeration =
        (canvas.getHeight() - TOP - below())
            / (section.high() - section.low())
            / ((canvas.getWidth() - LEFT - RIGHT) / section.length());
    grid(g);
    line(g, section.ground(), this::x, this::y, Theme.of(Band.GROUND), 2);
    line(g, section.design(), this::x, this::y, theme.accent(), 2.5);
    segments(g);
    double bottom = canvas.getHeight();
    haul.ifPresent(
        h ->
            new MassPicture(
                    h,
                    theme,
                    this::x,
                    LEFT,
                    canvas.getWidth() - RIGHT,
                    bottom - MASSES + 34,
                    bottom - 16)
                .draw(g));
    text(g, section.name(), LEFT, HEAD, NAME, theme.ink(), TextAlignment.LEFT);
    text(
        g,
        "levels × " + Figures.number(exaggeration, 1),
        canvas.getWidth() - RIGHT,
        HEAD,
        FIGURE,
        theme.muted(),
        TextAlignment.RIGHT);
    double x = LEFT + 170;
    legend(g, x, "design line", theme.accent());
    legend(g, x + 110, "ground: " + section.surface(), Theme.of(Band.GROUND));
  }

  private void legend(GraphicsContext g, double x, String what, Color c) {
    g.setStroke(c);
    g.setLineWidth(2.5);
    g.strokeLine(x, HEAD, x + 18, HEAD);
    text(g, what, x + 24, HEAD, FIGURE, theme.ink(), TextAlignment.LEFT);
  }

  private void grid(GraphicsContext g) {
    double levelStep =
        spacing(
            (section.high() - section.low())
                / Math.max(2, (canvas.getHeight() - TOP - below()) / 60));
    g.setLineWidth(1);
    for (double level = Math.ceil(section.low() / levelStep) * levelStep;
        level <= section.high();
        level += levelStep) {
      g.setStroke(theme.line());
      g.strokeLine(LEFT, y(level), canvas.getWidth() - RIGHT, y(level));
      text(
          g,
          Figures.number(level, levelStep < 1 ? 1 : 0) + " m",
          LEFT - 8,
          y(level),
          FIGURE,
          theme.muted(),
          TextAlignment.RIGHT);
    }
    double along = spacing(section.length() / Math.max(2, (canvas.getWidth() - LEFT - RIGHT) / 62));
    for (double d = 0; d <= section.length(); d += along) {
      g.setStroke(theme.line());
      g.strokeLine(x(d), TOP, x(d), canvas.getHeight() - below());
      text(
          g,
          Chainages.format(section.alignment().chainages().at(d)),
          x(d),
          canvas.getHeight() - below() + 16,
          FIGURE,
          theme.muted(),
          TextAlignment.CENTER);
    }
  }

  /** Grades over straight pieces and marks where pieces of the profile meet. */
  private void segments(GraphicsContext g) {
    section
        .alignment()
        .profile()
        .ifPresent(
            p -> {
              for (ProfileSegment s : p.segments()) {
                g.setFill(theme.panel());
                g.setStroke(theme.accent());
                g.setLineWidth(1.2);
                g.fillOval(x(s.startDistance()) - 3, y(s.startLevel()) - 3, 6, 6);
                g.strokeOval(x(s.startDistance()) - 3, y(s.startLevel()) - 3, 6, 6);
                if (s instanceof ProfileSegment.Grade grade
                    && x(s.endDistance()) - x(s.startDistance()) > 46) {
                  double middle = grade.startDistance() + grade.length() / 2;
                  boolean rises = grade.startGrade() > 0; // the word keeps off the line
                  text(
                      g,
                      Figures.number(100 * grade.startGrade(), 2) + " %",
                      x(middle) + (rises ? -8 : 8),
                      y(grade.levelAt(grade.length() / 2)) - 12,
                      FIGURE,
                      theme.ink(),
                      rises ? TextAlignment.RIGHT : TextAlignment.LEFT);
                }
              }
            });
  }

  private void point(MouseEvent e) {
    run.ifPresent(r -> pointAlong(r.run(), e.getX()));
    if (section == null) {
      return;
    }
    double d = (e.getX() - LEFT) / (canvas.getWidth() - LEFT - RIGHT) * section.length();
    if (d >= 0 && d <= section.length()) {
      AlignmentPoint p = section.alignment().at(d);
      session
          .aim()
          .pointerProperty()
          .set(Optional.of(new Position(p.east(), p.north(), p.level())));
    }
  }

  private void pointAlong(PipeRun pipes, double at) {
    double room = canvas.getWidth() - RunPicture.LEFT - RunPicture.RIGHT;
    double d = (at - RunPicture.LEFT) / room * pipes.length();
    if (d >= 0 && d <= pipes.length()) {
      session.aim().pointerProperty().set(Optional.of(pipes.at(d)));
    }
  }
}
