package wellspan.app.receive;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Hint;
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

  private static final double ROW = 22;

  /** More of them stand in a list of their own, that builds only what is seen of it. */
  private static final int FEW = 40;

  private static final int SEEN = 12;

  private final List<Layer> layers;
  private final Set<String> picked = new HashSet<>();

  LayerList(Session session, Source source, List<Layer> layers) {
    this.layers = layers;
    setSpacing(2);
    getStyleClass().add("layer-list");
    layers.stream()
        .map(Layer::name)
        .filter(
            name ->
                !(source.reading() instanceof ReadingRule.Layers some)
                    || some.names().contains(name))
        .forEach(picked::add);
    getChildren().add(Parts.label("Layers that are taken", "muted"));
    if (layers.size() <= FEW) {
      layers.forEach(l -> getChildren().add(row(l)));
    } else {
      many();
    }
    Button take = Parts.button("Take these layers", "small", () -> take(session, source));
    take.setId("layers-take");
    getChildren().add(take);
  }

  /** A list to be searched, of which all that is found can be picked or left at once. */
  private void many() {
    ListView<Layer> list = new ListView<>();
    list.setId("layers-many");
    list.setFixedCellSize(ROW);
    list.setPrefHeight(SEEN * ROW);
    list.setMinHeight(SEEN * ROW);
    list.setCellFactory(
        v ->
            new ListCell<>() {
              @Override
              protected void updateItem(Layer l, boolean empty) {
                super.updateItem(l, empty);
                setPrefWidth(0); // as wide as the list
                setGraphic(empty || l == null ? null : row(l));
              }
            });
    TextField search = new TextField();
    search.setId("layers-search");
    search.getStyleClass().add("field");
    search.setPromptText("Search " + Figures.count(layers.size()) + " layers");
    search.setAccessibleText("Search layers");
    search
        .textProperty()
        .addListener((o, was, is) -> list.getItems().setAll(found(is.toLowerCase(Locale.ROOT))));
    list.getItems().setAll(layers);
    Button all = Parts.button("Pick all found", "small", () -> pick(list, true));
    all.setId("layers-all");
    Button none = Parts.button("Leave all found", "small", () -> pick(list, false));
    none.setId("layers-none");
    getChildren().addAll(search, list, new HBox(4, all, none));
  }

  private List<Layer> found(String words) {
    return layers.stream().filter(l -> l.name().toLowerCase(Locale.ROOT).contains(words)).toList();
  }

  private void pick(ListView<Layer> list, boolean taken) {
    for (Layer l : list.getItems()) {
      if (taken) {
        picked.add(l.name());
      } else {
        picked.remove(l.name());
      }
    }
    list.refresh();
  }

  private void take(Session session, Source source) {
    if (picked.isEmpty()) {
      session.complain("Pick at least one layer.");
      return;
    }
    boolean all = picked.size() == layers.size(); // also those that a later revision may bring
    session
        .receiving()
        .read(
            source.name(),
            all ? ReadingRule.AS_FOUND : new ReadingRule.Layers(new TreeSet<>(picked)));
  }

  private HBox row(Layer l) {
    Rectangle swatch = new Rectangle(SWATCH, SWATCH, colour(l.rgb()));
    swatch.getStyleClass().add("swatch");
    Label words = Parts.label(l.name(), l.shown() ? "figure" : "muted");
    CheckBox box = new CheckBox();
    box.setId("layer-" + l.name());
    box.setAccessibleText("Take the layer " + l.name());
    box.setSelected(picked.contains(l.name()));
    box.selectedProperty()
        .addListener(
            (o, was, is) -> {
              if (is) {
                picked.add(l.name());
              } else {
                picked.remove(l.name());
              }
            });
    HBox name = new HBox(7, box, swatch, words);
    name.setAlignment(Pos.CENTER_LEFT);
    name.setMinWidth(USE_PREF_SIZE);
    String contents = contents(l);
    Label what = Parts.label(contents, "muted");
    Hint.say(what, l.name() + ": " + contents);
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
