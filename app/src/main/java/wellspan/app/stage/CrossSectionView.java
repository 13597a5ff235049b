package wellspan.app.stage;

import static wellspan.app.stage.SectionInk.NAME;
import static wellspan.app.stage.SectionInk.text;

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
import javafx.scene.text.TextAlignment;
import wellspan.app.session.Session;
import wellspan.app.theme.Theme;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.Footpoint;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.shape.Shape;

/** The cross section of the alignment in hand: courses filled, ground as a line, levels above. */
public final class CrossSectionView extends Pane {
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
    setOnMouseExited(e -> session.aim().pointerProperty().set(Optional.empty()));
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
        CrossSectionPicture.LEFT - 8,
        getHeight() - 30,
        Math.max(60, getWidth() - CrossSectionPicture.LEFT - CrossSectionPicture.RIGHT + 16),
        24);
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
    picture().draw(session.selectedProperty().get());
  }

  private CrossSectionPicture picture() {
    return new CrossSectionPicture(
        canvas.getGraphicsContext2D(),
        theme,
        section,
        exaggeration,
        canvas.getWidth(),
        canvas.getHeight());
  }

  private void point(MouseEvent e) {
    if (section != null) {
      AlignmentPoint p = section.at();
      double o = picture().offset(e.getX());
      session
          .aim()
          .pointerProperty()
          .set(
              Optional.of(
                  new Position(
                      p.east() + o * Math.sin(p.direction()),
                      p.north() - o * Math.cos(p.direction()),
                      picture().level(e.getY()))));
    }
  }

  private void pick(MouseEvent e) {
    requestFocus();
    if (section != null) {
      section
          .bodyAt(picture().offset(e.getX()), picture().level(e.getY()))
          .ifPresent(c -> session.selectedProperty().set(Optional.of(c.id())));
    }
  }
}
