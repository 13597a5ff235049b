package wellspan.app.describe;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import wellspan.app.session.RuleDesk;
import wellspan.app.session.Session;
import wellspan.app.theme.Choices;
import wellspan.app.theme.Parts;
import wellspan.core.build.Build;
import wellspan.core.describe.StandardSets;
import wellspan.core.rulebook.Cell;
import wellspan.core.rulebook.Lookup;
import wellspan.core.rulebook.PropertyRule;
import wellspan.core.rulebook.Ruled;
import wellspan.core.schema.IfcSchema;

/** What one property says: where it stands, what goes into it, for which items. */
final class PropertyRuleEditor extends VBox {
  private final PropertyRule rule;
  private final Consumer<PropertyRule> changed;
  private final Session session;
  private final RuleDesk desk;

  PropertyRuleEditor(
      PropertyRule rule, List<String> attributes, Consumer<PropertyRule> changed, Session session) {
    super(7);
    this.rule = rule;
    this.changed = changed;
    this.session = session;
    desk = session.rules();
    target();
    getChildren().addAll(Parts.line(), Parts.label("takes", "muted"));
    getChildren()
        .add(
            new PartsEditor(
                rule.value(),
                attributes,
                desk.book().lookups(),
                v -> changed.accept(rule.withValue(v)),
                session::complain));
    if (rule.value().size() > 1) {
      TextField separator = field("rule-separator", rule.separator(), "\u201c \u2013 \u201d");
      onDone(separator, rule.separator(), rule::withSeparator);
      getChildren().add(Parts.row(Parts.label("joined with", "muted"), separator));
    }
    lookups();
    getChildren()
        .addAll(
            Parts.line(),
            new ConditionsEditor(
                rule.when(), attributes, w -> changed.accept(rule.withWhen(w)), session::complain),
            Parts.line(),
            missing(),
            effect());
  }

  private static TextField field(String id, String text, String example) {
    TextField f = new TextField(text);
    f.setId(id);
    f.getStyleClass().add("field");
    f.setPromptText(example);
    return f;
  }

  private interface Made {
    PropertyRule of(String text);
  }

  private void onDone(TextField f, String before, Made made) {
    Runnable take =
        () -> {
          if (!f.getText().equals(before)) {
            take(() -> made.of(f.getText()));
          }
        };
    f.setOnAction(e -> take.run());
    f.focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (was && !is) {
                take.run();
              }
            });
  }

  private void take(java.util.function.Supplier<PropertyRule> made) {
    try {
      changed.accept(made.get());
    } catch (IllegalArgumentException e) {
      session.complain("This cannot stand: " + e.getMessage() + ".");
    }
  }

  /** The set, the property and its type; standard sets of the classes in question are offered. */
  private void target() {
    IfcSchema schema = desk.schemaProperty().get();
    StandardSets standard = StandardSets.of(schema);
    Set<String> sets = new LinkedHashSet<>();
    desk.book().properties().forEach(p -> sets.add(p.set()));
    Set<String> classes = new LinkedHashSet<>();
    for (Build.BuiltItem i : touched()) {
      classes.add(session.build().classOf(i, schema).entity());
    }
    classes.forEach(c -> sets.addAll(standard.setsFor(c)));
    ComboBox<String> set = editable("rule-set", new ArrayList<>(sets), rule.set());
    ComboBox<String> property =
        editable("rule-property", standard.propertiesOf(rule.set()), rule.property());
    Choices.onChosen(set, e -> take(() -> rule.into(text(set), rule.property())));
    Choices.onChosen(property, e -> take(() -> rule.into(rule.set(), text(property))));
    getChildren()
        .addAll(
            Parts.label("Set", "muted"),
            set,
            Parts.label("Property", "muted"),
            property,
            type(standard));
  }

  private HBox type(StandardSets standard) {
    String standing = standard.type(rule.set(), rule.property());
    List<String> words = standard.allowed(rule.set(), rule.property());
    if (!words.isEmpty()) {
      return new HBox(
          Parts.wrapped("One of the standard's words: " + String.join(", ", words), "muted"));
    }
    ComboBox<String> type = new ComboBox<>();
    type.setId("rule-type");
    type.getItems().setAll(ValueTypeNames.all().keySet());
    if (!type.getItems().contains(rule.type())) {
      type.getItems().add(rule.type());
    }
    type.setConverter(
        new javafx.util.StringConverter<>() {
          @Override
          public String toString(String t) {
            return t == null
                ? ""
                : t.isEmpty() && !standing.isEmpty()
                    ? ValueTypeNames.of(standing) + ", by the standard"
                    : ValueTypeNames.of(t);
          }

          @Override
          public String fromString(String s) {
            return s;
          }
        });
    type.setValue(rule.type());
    Choices.onChosen(type, e -> take(() -> rule.withType(type.getValue())));
    return Parts.row(Parts.label("is a", "muted"), type);
  }

  private static ComboBox<String> editable(String id, List<String> offered, String now) {
    ComboBox<String> c = new ComboBox<>();
    c.setId(id);
    c.setEditable(true);
    c.getItems().setAll(offered);
    c.setValue(now);
    c.setMaxWidth(Double.MAX_VALUE);
    c.setVisibleRowCount(14);
    return c;
  }

  private static String text(ComboBox<String> c) {
    return c.getEditor().getText();
  }

  /** The tables that its parts go through, with the words that stand in the items. */
  private void lookups() {
    for (int i = 0; i < rule.value().size(); i++) {
      String name = rule.value().get(i).lookup();
      if (!name.isEmpty()) {
        getChildren().add(new LookupEditor(name, rule.value().get(i), session));
      }
    }
    if (rule.value().stream().allMatch(v -> v.lookup().isEmpty() && v.text() == null)) {
      var add =
          Parts.button(
              "Turn its words into others",
              "small",
              () -> {
                String name = rule.property();
                desk.edit(
                    "Lookup " + name,
                    b -> {
                      List<Lookup> all = new ArrayList<>(b.lookups());
                      if (b.lookup(name).isEmpty()) {
                        all.add(new Lookup(name, java.util.Map.of(), null));
                      }
                      return b.withLookups(all);
                    });
                List<wellspan.core.rulebook.ValuePart> parts = new ArrayList<>(rule.value());
                parts.set(0, parts.getFirst().through(name));
                changed.accept(rule.withValue(parts));
              });
      add.setId("add-lookup");
      getChildren().add(add);
    }
  }

  private CheckBox missing() {
    CheckBox box = new CheckBox("May be missing");
    box.setId("rule-may-be-missing");
    box.setSelected(rule.mayBeMissing());
    box.setOnAction(e -> changed.accept(rule.mayBeMissing(box.isSelected())));
    return box;
  }

  private List<Build.BuiltItem> touched() {
    int at = desk.book().properties().indexOf(rule);
    return desk.items().stream()
        .filter(
            i -> {
              Ruled r = desk.ruled(i);
              return at >= 0
                  && at < r.cells().size()
                  && r.cells().get(at).state() != Cell.State.NONE;
            })
        .toList();
  }

  /** What comes of it, so that it is seen without looking away. */
  private VBox effect() {
    VBox v = new VBox(2);
    int at = desk.book().properties().indexOf(rule);
    List<Build.BuiltItem> items = touched();
    v.getChildren()
        .add(
            Parts.label(
                items.isEmpty()
                    ? "It is for none of the items shown."
                    : "For " + items.size() + (items.size() == 1 ? " item:" : " items:"),
                "muted"));
    for (Build.BuiltItem i : items.subList(0, Math.min(3, items.size()))) {
      Cell c = desk.ruled(i).cells().get(at);
      String said =
          c.value()
              .map(ShownValue::of)
              .orElseGet(() -> c.message().substring(c.message().indexOf(": ") + 2));
      v.getChildren()
          .add(
              Parts.row(
                  i.item().name(),
                  said,
                  c.state() == Cell.State.SAID
                      ? "proven"
                      : c.state() == Cell.State.WRONG ? "error" : "warning"));
    }
    return v;
  }
}
