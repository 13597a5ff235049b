package wellspan.app.receive;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.job.Source;
import wellspan.core.receive.Layer;
import wellspan.core.receive.ReadingRule;

/**
 * The layers of a drawing: colour, name, what is drawn on each, and whether it is switched off; and
 * which of them are taken.
 */
final class LayerList extends VBox {
  private static final double SWATCH = 9;

  private final Map<String, CheckBox> picked = new LinkedHashMap<>();

  LayerList(Session session, Source source, List<Layer> layers) {
    setSpacing(2);
    getStyleClass().add("layer-list");
    getChildren().add(Parts.label("Layers that are taken", "muted"));
    layers.forEach(l -> getChildren().add(row(l, source.reading())));
    Button take = Parts.button("Take these layers", "small", () -> take(session, source));
    take.setId("layers-take");
    getChildren().add(take);
  }

  private void take(Session session, Source source) {
    TreeSet<String> names = new TreeSet<>();
    picked.forEach(
        (name, box) -> {
          if (box.isSelected()) {
            names.add(name);
          }
        });
    if (names.isEmpty()) {
      session.complain("Pick at least one layer.");
      return;
    }
    boolean all = names.size() == picked.size(); // also those that a later revision may bring
    session
        .receiving()
        .read(source.name(), all ? ReadingRule.AS_FOUND : new ReadingRule.Layers(names));
  }

  private HBox row(Layer l, ReadingRule now) {
    Rectangle swatch = new Rectangle(SWATCH, SWATCH, colour(l.rgb()));
    swatch.getStyleClass().add("swatch");
    Label words = Parts.label(l.name(), l.shown() ? "figure" : "muted");
    CheckBox box = new CheckBox();
    box.setId("layer-" + l.name());
    box.setAccessibleText("Take the layer " + l.name());
    box.setSelected(!(now instanceof ReadingRule.Layers some) || some.names().contains(l.name()));
    picked.put(l.name(), box);
    HBox name = new HBox(7, box, swatch, words);
    name.setAlignment(Pos.CENTER_LEFT);
    name.setMinWidth(USE_PREF_SIZE);
    String contents = contents(l);
    Label what = Parts.label(contents, "muted");
    what.setTooltip(new Tooltip(l.name() + ": " + contents));
    return Parts.row(name, what);
  }

  private static Color colour(int rgb) {
    return Color.rgb(rgb >> 16 & 0xFF, rgb >> 8 & 0xFF, rgb & 0xFF);
  }

  private static String contents(Layer l) {
    String what =
        l.contents().entrySet().stream()
            .map(e -> Figures.count(e.getValue()) + " " + e.getKey())
            .collect(Collectors.joining(", "));
    return (what.isEmpty() ? "empty" : what) + (l.shown() ? "" : ", off");
  }
}
