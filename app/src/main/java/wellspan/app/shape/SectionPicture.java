package wellspan.app.shape;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Cursor;
import javafx.scene.canvas.Canvas;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import wellspan.app.session.SectionDesk;
import wellspan.app.session.Session;
import wellspan.app.theme.FigureField;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Theme;
import wellspan.core.typical.Strip;
import wellspan.core.typical.TypicalSection;

/**
 * The drawing of the typical section: widths are typed under their strips, or drawn at the rings on
 * the dimension line; a click chooses a strip.
 */
final class SectionPicture extends Pane {
  private static final double FIELD = 58;

  private final Session session;
  private final SectionDesk desk;
  private final Canvas canvas = new Canvas();
  private final List<FigureField> widths = new ArrayList<>();
  private final ObjectProperty<Optional<SectionSketch.At>> chosen =
      new SimpleObjectProperty<>(Optional.empty());
  private Theme theme = Theme.LIGHT;
  private Optional<SectionSketch.At> drawn = Optional.empty();

  SectionPicture(Session session) {
    this.session = session;
    desk = session.sections();
    setId("section-picture");
    setMinSize(0, 0);
    getChildren().add(canvas);
    desk.sectionProperty().addListener((o, was, is) -> changed(was, is));
    chosen.addListener((o, a, b) -> requestLayout());
    setOnMousePressed(this::press);
    setOnMouseDragged(this::drag);
    setOnMouseReleased(e -> drawn = Optional.empty());
    setOnMouseMoved(e -> setCursor(edge(e).isPresent() ? Cursor.H_RESIZE : Cursor.DEFAULT));
    fields();
  }

  /** The strip in hand. */
  ObjectProperty<Optional<SectionSketch.At>> chosenProperty() {
    return chosen;
  }

  void setTheme(Theme t) {
    theme = t;
    requestLayout();
  }

  private SectionSketch sketch() {
    return new SectionSketch(desk.section(), theme, getWidth(), getHeight());
  }

  private void changed(TypicalSection was, TypicalSection is) {
    chosen
        .get()
        .filter(a -> a.number() >= is.side(a.side()).size())
        .ifPresent(a -> chosen.set(Optional.empty()));
    if (was.left().size() != is.left().size() || was.right().size() != is.right().size()) {
      fields();
    }
    requestLayout();
  }

  /** A field for each strip's width. */
  private void fields() {
    getChildren().removeAll(widths);
    widths.clear();
    for (int side : new int[] {-1, 1}) {
      for (int n = 0; n < desk.section().side(side).size(); n++) {
        int s = side;
        int number = n;
        FigureField f =
            new FigureField(
                "width-" + (s < 0 ? "left-" : "right-") + (n + 1),
                "Width of strip " + (n + 1) + " on the " + (s < 0 ? "left" : "right") + ", metres",
                FIELD,
                text -> typed(s, number, text));
        widths.add(f);
        getChildren().add(f);
      }
    }
  }

  private void typed(int side, int number, String text) {
    double w = Figures.typed(text.replaceAll("\\s*m$", "")).orElse(0);
    if (!(w > 0)) {
      session.complain("\u201c" + text + "\u201d is no width in metres, for example 3.25.");
      requestLayout();
      return;
    }
    desk.changeStrip(side, number, s -> s.withWidth(w));
  }

  @Override
  protected void layoutChildren() {
    canvas.setWidth(getWidth());
    canvas.setHeight(getHeight());
    SectionSketch sketch = sketch();
    sketch.draw(canvas.getGraphicsContext2D(), chosen.get());
    int i = 0;
    double last = Double.NEGATIVE_INFINITY;
    for (int side : new int[] {-1, 1}) {
      for (int n = 0; n < desk.section().side(side).size(); n++) {
        Strip s = desk.section().side(side).get(n);
        SectionSketch.At at = new SectionSketch.At(side, n);
        double middle = sketch.x(side * (sketch.outer(at) - s.width() / 2));
        FigureField f = widths.get(i++);
        f.show(Figures.number(s.width(), 2));
        double room = Math.abs(sketch.x(s.width()) - sketch.x(0));
        boolean low = room < FIELD + 4 && n % 2 == 1; // narrow strips take turns in two rows
        f.resizeRelocate(
            Math.rint(middle - FIELD / 2), sketch.dimensionLine() + (low ? 36 : 9), FIELD, 24);
      }
    }
  }

  private Optional<SectionSketch.At> edge(MouseEvent e) {
    return Math.abs(e.getY() - sketch().dimensionLine()) < 10
        ? sketch().edgeAt(e.getX())
        : Optional.empty();
  }

  private void press(MouseEvent e) {
    requestFocus();
    drawn = edge(e);
    chosen.set(drawn.or(() -> sketch().stripAt(e.getX())));
  }

  /**
   * The scale stays while an edge is drawn only as far as the picture does; so it is asked anew.
   */
  private void drag(MouseEvent e) {
    drawn.ifPresent(
        at -> {
          double w = sketch().widthTo(at, e.getX());
          desk.changeStrip(at.side(), at.number(), s -> s.withWidth(w));
        });
  }
}
