package wellspan.app.receive;

import java.util.List;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.receive.Layer;

/** The layers of a drawing: colour, name, what is drawn on each, and whether it is switched off. */
final class LayerList extends VBox {
  private static final double SWATCH = 9;

  LayerList(List<Layer> layers) {
    setSpacing(2);
    getStyleClass().add("layer-list");
    getChildren().add(Parts.label("Layers", "muted"));
    layers.forEach(l -> getChildren().add(row(l)));
  }

  private static HBox row(Layer l) {
    Rectangle swatch = new Rectangle(SWATCH, SWATCH, colour(l.rgb()));
    swatch.getStyleClass().add("swatch");
    Label words = Parts.label(l.name(), l.shown() ? "figure" : "muted");
    HBox name = new HBox(7, swatch, words);
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
