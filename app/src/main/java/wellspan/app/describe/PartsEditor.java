package wellspan.app.describe;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import wellspan.app.theme.Choices;
import wellspan.app.theme.Parts;
import wellspan.core.rulebook.Lookup;
import wellspan.core.rulebook.ValuePart;

/** Where a value comes from: one part, or several that are joined. */
final class PartsEditor extends VBox {
  private static final List<String> UNITS =
      List.of("", "mm", "cm", "m", "km", "m2", "ha", "m3", "l", "kg", "t", "deg", "%", "\u2030");

  private final List<ValuePart> now;
  private final List<String> attributes;
  private final List<Lookup> lookups;
  private final Consumer<List<ValuePart>> changed;
  private final Consumer<String> complain;

  PartsEditor(
      List<ValuePart> now,
      List<String> attributes,
      List<Lookup> lookups,
      Consumer<List<ValuePart>> changed,
      Consumer<String> complain) {
    super(5);
    this.now = now;
    this.attributes = attributes;
    this.lookups = lookups;
    this.changed = changed;
    this.complain = complain;
    for (int i = 0; i < now.size(); i++) {
      getChildren().add(part(i));
    }
    Button fact =
        Parts.button("+ value", "small", () -> with(this.now.size(), ValuePart.fact("name")));
    fact.setId("add-part");
    Button text =
        Parts.button("+ fixed text", "small", () -> with(this.now.size(), ValuePart.text("text")));
    text.setId("add-text");
    getChildren().add(new HBox(6, fact, text));
  }

  private VBox part(int index) {
    ValuePart p = now.get(index);
    Node drop = Parts.icon(Feather.X, "Without this part", () -> without(index));
    drop.setDisable(now.size() == 1);
    if (p.text() != null) {
      TextField words = new TextField(p.text());
      words.getStyleClass().add("field");
      words.setAccessibleText("Fixed text");
      HBox.setHgrow(words, Priority.ALWAYS);
      Runnable take = () -> take(index, () -> ValuePart.text(words.getText()));
      words.setOnAction(e -> take.run());
      words
          .focusedProperty()
          .addListener(
              (o, was, is) -> {
                if (was && !words.getText().equals(p.text())) {
                  take.run();
                }
              });
      return new VBox(new HBox(4, words, drop));
    }
    ComboBox<Sources.Source> of =
        Sources.choice(new Sources.Source(p.fact(), p.attribute()), attributes);
    HBox.setHgrow(of, Priority.ALWAYS);
    ComboBox<String> unit = list(UNITS, p.unit(), "as it is");
    ComboBox<String> decimals =
        list(
            List.of("", "0", "1", "2", "3"),
            p.decimals() == null ? "" : p.decimals().toString(),
            "decimals");
    List<String> tables = new ArrayList<>(List.of(""));
    lookups.forEach(l -> tables.add(l.name()));
    if (!tables.contains(p.lookup())) {
      tables.add(p.lookup());
    }
    ComboBox<String> lookup = list(tables, p.lookup(), "no lookup");
    Runnable take =
        () ->
            take(
                index,
                () ->
                    new ValuePart(
                        of.getValue().fact(),
                        of.getValue().attribute(),
                        null,
                        lookup.getValue(),
                        unit.getValue(),
                        decimals.getValue().isEmpty()
                            ? null
                            : Integer.valueOf(decimals.getValue())));
    for (ComboBox<?> c : List.of(of, unit, decimals, lookup)) {
      Choices.onChosen(c, e -> take.run());
    }
    HBox second = new HBox(4, Parts.label("in", "muted"), unit, decimals);
    second.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
    unit.setMinWidth(84);
    decimals.setMinWidth(92);
    if (!p.lookup().isEmpty()) {
      return new VBox(
          3,
          new HBox(4, of, drop),
          second,
          Parts.row(Parts.label("through the lookup", "muted"), lookup));
    }
    return new VBox(3, new HBox(4, of, drop), second);
  }

  private static ComboBox<String> list(List<String> all, String now, String nothing) {
    ComboBox<String> c = new ComboBox<>();
    c.getItems().setAll(all);
    c.setConverter(Choices.orNothing(nothing));
    c.setValue(now);
    return c;
  }

  private interface Made {
    ValuePart make();
  }

  private void take(int index, Made made) {
    try {
      with(index, made.make());
    } catch (IllegalArgumentException e) {
      complain.accept("This cannot stand: " + e.getMessage() + ".");
    }
  }

  private void with(int index, ValuePart p) {
    List<ValuePart> all = new ArrayList<>(now);
    if (index < all.size()) {
      all.set(index, p);
    } else {
      all.add(p);
    }
    changed.accept(all);
  }

  private void without(int index) {
    List<ValuePart> all = new ArrayList<>(now);
    all.remove(index);
    changed.accept(all);
  }
}
