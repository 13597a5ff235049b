package wellspan.app.describe;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import wellspan.app.theme.Choices;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.rulebook.Condition;

/** For which items a rule is: conditions, all of which have to hold. */
final class ConditionsEditor extends VBox {
  private static final List<String> TESTS =
      List.of("is", "is not", "reads like", "at least", "at most", "is given", "is not given");

  private final List<Condition> now;
  private final List<String> attributes;
  private final Consumer<List<Condition>> changed;
  private final Consumer<String> complain;

  ConditionsEditor(
      List<Condition> now,
      List<String> attributes,
      Consumer<List<Condition>> changed,
      Consumer<String> complain) {
    super(5);
    this.now = now;
    this.attributes = attributes;
    this.changed = changed;
    this.complain = complain;
    getChildren()
        .add(
            Parts.label(
                now.isEmpty() ? "For every item" : "For items of which all of this holds",
                "muted"));
    for (int i = 0; i < now.size(); i++) {
      getChildren().add(row(i));
    }
    Button add =
        Parts.button("+ condition", "small", () -> with(now.size(), Condition.like("layer", "*")));
    add.setId("add-condition");
    getChildren().add(add);
  }

  private VBox row(int index) {
    Condition c = now.get(index);
    ComboBox<Sources.Source> of =
        Sources.choice(new Sources.Source(c.fact(), c.attribute()), attributes);
    ComboBox<String> test = new ComboBox<>();
    test.getItems().setAll(TESTS);
    test.setValue(test(c));
    test.setMinWidth(98);
    TextField value = new TextField(value(c));
    value.getStyleClass().add("field");
    value.setPromptText(test(c).equals("reads like") ? "C-PV-*" : "course; kerb");
    HBox.setHgrow(value, Priority.ALWAYS);
    value.setDisable(test(c).endsWith("given"));
    Runnable take = () -> take(index, of.getValue(), test.getValue(), value.getText());
    Choices.onChosen(of, e -> take.run());
    Choices.onChosen(test, e -> take.run());
    value.setOnAction(e -> take.run());
    value
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (was && !value.getText().equals(value(c))) {
                take.run();
              }
            });
    HBox second =
        new HBox(
            4, test, value, Parts.icon(Feather.X, "Without this condition", () -> without(index)));
    return new VBox(3, of, second);
  }

  private static String test(Condition c) {
    return !c.is().isEmpty()
        ? "is"
        : !c.isNot().isEmpty()
            ? "is not"
            : !c.like().isEmpty()
                ? "reads like"
                : c.atLeast() != null
                    ? "at least"
                    : c.atMost() != null
                        ? "at most"
                        : Boolean.TRUE.equals(c.given()) ? "is given" : "is not given";
  }

  private static String value(Condition c) {
    return switch (test(c)) {
      case "is" -> String.join("; ", c.is());
      case "is not" -> String.join("; ", c.isNot());
      case "reads like" -> c.like();
      case "at least" -> c.atLeast().toString();
      case "at most" -> c.atMost().toString();
      default -> "";
    };
  }

  private void take(int index, Sources.Source of, String test, String text) {
    try {
      List<String> words =
          Arrays.stream(text.split(";")).map(String::strip).filter(w -> !w.isEmpty()).toList();
      boolean number = test.equals("at least") || test.equals("at most");
      Double d = number ? Figures.parse(text) : null;
      with(
          index,
          new Condition(
              of.fact(),
              of.attribute(),
              test.equals("is") ? words : List.of(),
              test.equals("is not") ? words : List.of(),
              test.equals("reads like") ? text.strip() : "",
              test.equals("at least") ? d : null,
              test.equals("at most") ? d : null,
              test.equals("is given") ? Boolean.TRUE : test.equals("is not given") ? false : null));
    } catch (NumberFormatException e) {
      complain.accept("Type a number, such as 0.10, in metres, square or cubic metres.");
    } catch (IllegalArgumentException e) {
      complain.accept("Say what is compared: " + e.getMessage() + ".");
    }
  }

  private void with(int index, Condition c) {
    List<Condition> all = new ArrayList<>(now);
    if (index < all.size()) {
      all.set(index, c);
    } else {
      all.add(c);
    }
    changed.accept(all);
  }

  private void without(int index) {
    List<Condition> all = new ArrayList<>(now);
    all.remove(index);
    changed.accept(all);
  }
}
