package wellspan.app.describe;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.theme.Choices;
import wellspan.app.theme.Parts;
import wellspan.core.rulebook.ClassRule;
import wellspan.core.rulebook.Condition;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.ProductClasses;
import wellspan.core.schema.Schema;

/** Which class items get in each schema and where they stand, or that they stay here. */
final class ClassRuleEditor extends VBox {
  private final ClassRule rule;
  private final Consumer<ClassRule> changed;
  private final Session session;

  ClassRuleEditor(
      ClassRule rule, List<String> attributes, Consumer<ClassRule> changed, Session session) {
    super(7);
    this.rule = rule;
    this.changed = changed;
    this.session = session;
    TextField name = new TextField(rule.name());
    name.setId("class-rule-name");
    name.getStyleClass().add("field");
    Runnable named =
        () -> {
          if (!name.getText().equals(rule.name())) {
            take(name.getText().strip(), rule.when(), rule.as(), rule.partOf(), rule.heldBack());
          }
        };
    name.setOnAction(e -> named.run());
    name.focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (was && !is) {
                named.run();
              }
            });
    getChildren().addAll(Parts.label("Name", "muted"), name);
    for (IfcSchema s : IfcSchema.values()) {
      getChildren().add(schema(s));
    }
    CheckBox held = new CheckBox("Such items stay here");
    held.setId("class-rule-held");
    held.setSelected(rule.heldBack());
    held.setOnAction(
        e -> take(rule.name(), rule.when(), rule.as(), rule.partOf(), held.isSelected()));
    getChildren()
        .addAll(
            new PartOfEditor(
                rule.partOf(), p -> take(rule.name(), rule.when(), rule.as(), p, rule.heldBack())),
            held,
            Parts.line(),
            new ConditionsEditor(
                rule.when(),
                attributes,
                w -> take(rule.name(), w, rule.as(), rule.partOf(), rule.heldBack()),
                session::complain));
  }

  private VBox schema(IfcSchema schema) {
    Schema tables = Schema.forFile(schema.id()).orElseThrow();
    ClassRule.Named now = rule.as().getOrDefault(schema.name(), new ClassRule.Named("", ""));
    ComboBox<String> entity = list("class-in-" + schema.name(), "by its kind");
    entity.getItems().add("");
    entity.getItems().addAll(ProductClasses.names(tables));
    entity.setValue(now.entity());
    Choices.onChosen(entity, e -> put(schema, entity.getValue(), ""));
    VBox v = new VBox(3, Parts.label(schema.title(), "muted"), entity);
    if (!now.entity().isEmpty()) {
      ComboBox<String> type = list("type-in-" + schema.name(), "no predefined type");
      type.setEditable(true);
      type.getItems().setAll(ProductClasses.types(tables, now.entity()));
      type.setValue(now.predefinedType());
      Choices.onChosen(
          type,
          e ->
              put(
                  schema,
                  now.entity(),
                  type.getConverter().fromString(type.getEditor().getText().strip())));
      HBox.setHgrow(type, javafx.scene.layout.Priority.ALWAYS);
      v.getChildren().add(type);
    }
    return v;
  }

  private static ComboBox<String> list(String id, String nothing) {
    ComboBox<String> c = new ComboBox<>();
    c.setId(id);
    c.setMaxWidth(Double.MAX_VALUE);
    c.setVisibleRowCount(14);
    c.setConverter(Choices.orNothing(nothing));
    return c;
  }

  private void put(IfcSchema schema, String entity, String type) {
    Map<String, ClassRule.Named> all = new LinkedHashMap<>(rule.as());
    if (entity == null || entity.isEmpty()) {
      all.remove(schema.name());
    } else {
      all.put(schema.name(), new ClassRule.Named(entity, type));
    }
    take(rule.name(), rule.when(), all, rule.partOf(), rule.heldBack());
  }

  private void take(
      String name,
      List<Condition> when,
      Map<String, ClassRule.Named> as,
      ClassRule.PartOf partOf,
      boolean held) {
    try {
      changed.accept(new ClassRule(name, when, as, partOf, held, rule.off()));
    } catch (IllegalArgumentException e) {
      session.complain("This cannot stand: " + e.getMessage() + ".");
    }
  }
}
