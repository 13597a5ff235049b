package wellspan.app.stage;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import wellspan.app.session.Pick;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.measure.Measured;

/** What was measured between the picked places, to be copied. */
final class MeasureCard extends VBox {
  /** A figure with its name. */
  private record Line(String name, String figure) {}

  private final Session session;

  MeasureCard(Session session) {
    super(6);
    this.session = session;
    setId("measured");
    getStyleClass().add("card");
    setPrefWidth(250);
    setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    session.measure().placesProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  private void refresh() {
    Optional<Measured> m = session.measure().measured();
    setVisible(m.isPresent());
    setManaged(m.isPresent());
    if (m.isEmpty()) {
      return;
    }
    List<Line> lines = lines(m.get(), session.measure().placesProperty().get().size());
    getChildren().setAll(Parts.label("Measured", "title"));
    lines.forEach(l -> getChildren().add(Parts.row(l.name(), l.figure())));
    getChildren()
        .add(
            new HBox(
                8,
                Parts.button("Copy", "small", () -> copy(lines)),
                Parts.button("Clear", "small", this::clear)));
  }

  private void clear() {
    session.measure().clear();
    if (session.place().pickProperty().get() == Pick.MEASURE) {
      session.place().pickProperty().set(Pick.NONE);
    }
  }

  private static List<Line> lines(Measured m, int places) {
    List<Line> out = new ArrayList<>();
    out.add(new Line("length in plan", Figures.number(m.planLength(), 3) + " m"));
    if (Double.isFinite(m.spaceLength())) {
      out.add(new Line("length in space", Figures.number(m.spaceLength(), 3) + " m"));
    }
    if (Double.isFinite(m.rise())) {
      out.add(new Line("rise, first to last", Figures.number(m.rise(), 3) + " m"));
    }
    if (places == 2 && Double.isFinite(m.slope())) {
      out.add(new Line("slope", Figures.number(m.slope(), 2) + " %"));
    }
    if (Double.isFinite(m.bearing())) {
      out.add(new Line("bearing, first to last", Figures.number(m.bearing(), 4) + "°"));
    }
    if (places > 2) {
      out.add(new Line("area in plan", Figures.number(m.planArea(), 2) + " m²"));
      if (Double.isFinite(m.spaceArea())) {
        out.add(new Line("area in space", Figures.number(m.spaceArea(), 2) + " m²"));
      }
    }
    return out;
  }

  private void copy(List<Line> lines) {
    ClipboardContent c = new ClipboardContent();
    c.putString(
        lines.stream().map(l -> l.name() + "\t" + l.figure()).collect(Collectors.joining("\n")));
    Clipboard.getSystemClipboard().setContent(c);
    session.say("The figures were copied.");
  }
}
