package wellspan.app.shape;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.build.Build;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Outline;
import wellspan.core.operation.OutlineArea;
import wellspan.core.operation.Recipe;

/** Rows in which parameters are filled in. */
class Form extends VBox {
  private static final String DRAWN = "drawn on the plan";

  /** Names and choices end at one line on both sides, pixels. */
  private static final double WIDE = 190;

  private static final Pattern EXAMPLE =
      Pattern.compile("(?<means>.*?)(?:(?:^|, )(?:for example|such as) (?<example>.*))?");

  final Session session;
  private final String prefix;
  private final Map<String, String> filled;
  private final Label problem = Parts.wrapped("", "error");

  /**
   * @param prefix of the identities of its fields
   * @param filled what was filled in before, by the fields' identities; it is kept up to date
   */
  Form(Session session, String prefix, Map<String, String> filled) {
    super(6);
    this.session = session;
    this.prefix = prefix;
    this.filled = filled;
  }

  /**
   * @param unit as a parameter declares it: the unit, and behind a comma or semicolon an example or
   *     what some values mean
   */
  final TextField number(String name, String unit, String start) {
    return entry(name, unit, field(start, 74));
  }

  /**
   * @param unit as of a number; may be empty
   */
  final TextField text(String name, String unit, String start) {
    return entry(name, unit, field(start, unit.isEmpty() ? WIDE : 130));
  }

  /** The example stands in the empty field, what values mean beneath it. */
  private TextField entry(String name, String declared, TextField f) {
    f.setAccessibleText((name + " " + declared).strip());
    keep(f, name);
    String[] parts = declared.split("[,;] ", 2);
    Label unit = Parts.label(parts[0], "muted");
    unit.setMinWidth(Region.USE_PREF_SIZE);
    HBox value = parts[0].isEmpty() ? new HBox(f) : new HBox(6, f, unit);
    value.setAlignment(Pos.CENTER_RIGHT);
    Label label = Parts.wrapped(name, "muted");
    getChildren().add(Parts.row(label, value));
    Matcher more = EXAMPLE.matcher(parts.length > 1 ? parts[1] : "");
    if (more.matches()) {
      f.setPromptText(Objects.requireNonNullElse(more.group("example"), ""));
      if (!more.group("means").isEmpty()) {
        Label means = Parts.label(more.group("means"), "hint");
        means.setMaxWidth(Double.MAX_VALUE);
        getChildren().add(means);
      }
    }
    return f;
  }

  /** What was filled in, by the fields' identities. */
  final Map<String, String> filled() {
    return filled;
  }

  /** Identity of the field of a label. */
  final String id(String label) {
    return prefix + label.replaceAll("[^A-Za-z0-9]+", "-").replaceAll("-$", "");
  }

  private void keep(TextField f, String name) {
    String id = id(name);
    f.setId(id);
    f.setText(filled.getOrDefault(id, f.getText()));
    f.textProperty().addListener((o, a, b) -> filled.put(id, b));
  }

  private static TextField field(String start, double width) {
    TextField f = new TextField(start);
    f.getStyleClass().add("field");
    f.setPrefWidth(width);
    return f;
  }

  final ComboBox<String> choice(String name, List<String> titles) {
    return choice(name, titles, 0);
  }

  /**
   * @param start index of what is chosen where nothing was before
   */
  final ComboBox<String> choice(String name, List<String> titles, int start) {
    ComboBox<String> c = new ComboBox<>();
    String id = prefix + name.replace(' ', '-');
    c.setId(id);
    c.getItems().addAll(titles);
    c.getSelectionModel().select(start);
    if (titles.contains(filled.get(id))) {
      c.setValue(filled.get(id));
    }
    c.valueProperty().addListener((o, a, b) -> filled.put(id, b));
    c.setPrefWidth(WIDE);
    c.setMinWidth(90);
    Label label = Parts.label(name, "muted");
    label.setMinWidth(Region.USE_PREF_SIZE);
    getChildren().add(Parts.row(label, c));
    return c;
  }

  static int index(ComboBox<String> c) {
    int i = c.getSelectionModel().getSelectedIndex();
    if (i < 0) {
      throw new IllegalArgumentException("Nothing is chosen. Choose one of the list first.");
    }
    return i;
  }

  /**
   * The button that makes what was filled in; what is wrong with it is said beneath it.
   *
   * @param done runs before it is made
   */
  final void makes(String title, Supplier<Recipe> recipe, Runnable done) {
    Button go =
        Parts.button(
            title,
            "primary",
            () -> {
              try {
                Recipe made = recipe.get();
                done.run();
                session.shape().making().make(made);
              } catch (IllegalArgumentException e) {
                problem(e.getMessage());
                session.complain(e.getMessage());
              }
            });
    go.setId(prefix + "go");
    problem.setId(prefix + "problem");
    problem("");
    getChildren().addAll(go, problem);
  }

  /** Says where the hand is what is wrong with what was filled in; nothing if it is empty. */
  final void problem(String sentence) {
    problem.setText(sentence);
    problem.setVisible(!sentence.isEmpty());
    problem.setManaged(!sentence.isEmpty());
  }

  /**
   * @throws IllegalArgumentException with a sentence, if nothing is filled in
   */
  static String filledIn(TextField f, String otherwise) {
    String text = f.getText().strip();
    if (text.isEmpty()) {
      throw new IllegalArgumentException(otherwise);
    }
    return text;
  }

  static double value(TextField f) {
    try {
      return Figures.parse(f.getText().replace(',', '.'));
    } catch (NumberFormatException e) {
      throw new IllegalArgumentException(
          "\"" + f.getText() + "\" is not a number. Type it as 0.250.", e);
    }
  }

  final String name(ItemId id) {
    return session.build().items().get(id).item().name();
  }

  /** Surfaces with triangles. */
  final List<ItemId> surfaces(Optional<ItemId> but) {
    return session.build().items().values().stream()
        .filter(i -> i.item().ground().isPresent())
        .map(Build.BuiltItem::id)
        .filter(id -> but.filter(id::equals).isEmpty())
        .toList();
  }

  /**
   * Items that enclose an area, and what was drawn.
   *
   * @param was what the form begins with
   */
  final Supplier<Outline> outline(Optional<ItemId> but, Optional<Outline> was) {
    List<Optional<ItemId>> from = new ArrayList<>();
    List<String> titles = new ArrayList<>();
    if (session.shape().outlineProperty().get().size() >= 3) {
      from.add(Optional.empty());
      titles.add(DRAWN);
    }
    for (Map.Entry<ItemId, Build.BuiltItem> e : session.build().items().entrySet()) {
      if (OutlineArea.encloses(e.getValue().item()) && but.filter(e.getKey()::equals).isEmpty()) {
        from.add(Optional.of(e.getKey()));
        titles.add(e.getValue().item().name());
      }
    }
    int first = was.map(o -> from.indexOf(o.item())).orElse(0);
    ComboBox<String> c = choice("outline", titles, Math.max(0, first));
    String start =
        was.filter(Outline.Of.class::isInstance)
            .map(o -> Double.toString(((Outline.Of) o).offset()))
            .orElse("0");
    TextField offset = number("offset to the outside", "m", start);
    return () -> {
      Optional<ItemId> id = from.get(index(c));
      return id.isPresent() ? new Outline.Of(id.get(), value(offset)) : session.shape().drawn();
    };
  }
}
