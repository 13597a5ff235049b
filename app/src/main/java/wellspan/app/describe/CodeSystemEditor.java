package wellspan.app.describe;

import java.io.File;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import org.kordamp.ikonli.feather.Feather;
import wellspan.app.session.Session;
import wellspan.app.theme.Choices;
import wellspan.app.theme.Parts;
import wellspan.core.rulebook.CodeSystem;
import wellspan.core.rulebook.CodeSystem.CodeProperty;
import wellspan.core.rulebook.CodeSystem.CodeRule;
import wellspan.core.rulebook.CodeSystem.Says;
import wellspan.core.rulebook.ValuePart;

/**
 * A classification: its codes, how items get theirs, and in which properties they stand besides.
 */
final class CodeSystemEditor extends VBox {
  private final CodeSystem system;
  private final Consumer<CodeSystem> changed;
  private final Session session;

  CodeSystemEditor(
      CodeSystem system, List<String> attributes, Consumer<CodeSystem> changed, Session session) {
    super(7);
    this.system = system;
    this.changed = changed;
    this.session = session;
    TextField name = new TextField(system.system());
    name.setId("code-system-name");
    name.getStyleClass().add("field");
    done(
        name,
        system.system(),
        t ->
            take(
                t, system.codes(), system.rules(), system.withoutReference(), system.properties()));
    Button codes = Parts.button("Codes from a file \u2026", "small", this::codes);
    codes.setId("take-codes");
    getChildren()
        .addAll(
            Parts.label("Name", "muted"),
            name,
            Parts.row(
                Parts.label(
                    system.codes().isEmpty()
                        ? "no list: any code is taken"
                        : system.codes().size() + " codes",
                    "muted"),
                codes));
    for (int i = 0; i < system.rules().size(); i++) {
      getChildren().addAll(Parts.line(), rule(i, attributes));
    }
    getChildren()
        .add(
            Parts.button(
                "+ rule",
                "small",
                () -> {
                  List<CodeRule> all = new ArrayList<>(system.rules());
                  all.add(new CodeRule(List.of(), List.of(ValuePart.attribute("Code")), false));
                  changed.accept(system.withRules(all));
                }));
    CheckBox reference = new CheckBox("as a classification reference");
    reference.setSelected(!system.withoutReference());
    reference.setOnAction(
        e ->
            take(
                system.system(),
                system.codes(),
                system.rules(),
                !reference.isSelected(),
                system.properties()));
    getChildren().addAll(Parts.line(), Parts.label("Delivered", "muted"), reference);
    for (int i = 0; i < system.properties().size(); i++) {
      getChildren().add(property(i));
    }
    Button add =
        Parts.button(
            "+ in a property",
            "small",
            () -> {
              List<CodeProperty> all = new ArrayList<>(system.properties());
              all.add(new CodeProperty("Client", "Code", List.of(Says.CODE, Says.TITLE), " "));
              properties(all);
            });
    add.setId("add-code-property");
    getChildren().add(add);
  }

  private static void done(TextField f, String before, Consumer<String> take) {
    Runnable run =
        () -> {
          if (!f.getText().equals(before)) {
            take.accept(f.getText());
          }
        };
    f.setOnAction(e -> run.run());
    f.focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (was && !is) {
                run.run();
              }
            });
  }

  private VBox rule(int index, List<String> attributes) {
    CodeRule r = system.rules().get(index);
    Consumer<CodeRule> put =
        x -> {
          List<CodeRule> all = new ArrayList<>(system.rules());
          all.set(index, x);
          changed.accept(system.withRules(all));
        };
    Button drop =
        Parts.icon(
            Feather.X,
            "Without this rule",
            () -> {
              List<CodeRule> all = new ArrayList<>(system.rules());
              all.remove(index);
              changed.accept(system.withRules(all));
            });
    return new VBox(
        5,
        Parts.row(Parts.label("Code " + (index + 1), "name"), drop),
        new PartsEditor(
            r.value(),
            attributes,
            session.rules().book().lookups(),
            v -> put.accept(new CodeRule(r.when(), v, r.off())),
            session::complain),
        new ConditionsEditor(
            r.when(),
            attributes,
            w -> put.accept(new CodeRule(w, r.value(), r.off())),
            session::complain));
  }

  private VBox property(int index) {
    CodeProperty p = system.properties().get(index);
    TextField set = new TextField(p.set());
    TextField name = new TextField(p.property());
    TextField between = new TextField(p.separator());
    for (TextField f : List.of(set, name, between)) {
      f.getStyleClass().add("field");
    }
    set.setPromptText("Client");
    name.setPromptText("Code");
    between.setPrefColumnCount(3);
    HBox.setHgrow(set, Priority.ALWAYS);
    HBox.setHgrow(name, Priority.ALWAYS);
    ComboBox<String> says = new ComboBox<>();
    says.getItems().setAll("code and title", "code", "title");
    says.setValue(
        p.says().size() > 1 ? "code and title" : p.says().contains(Says.TITLE) ? "title" : "code");
    Runnable take =
        () -> {
          List<CodeProperty> all = new ArrayList<>(system.properties());
          try {
            all.set(
                index,
                new CodeProperty(
                    set.getText(),
                    name.getText(),
                    switch (says.getValue()) {
                      case "code" -> List.of(Says.CODE);
                      case "title" -> List.of(Says.TITLE);
                      default -> List.of(Says.CODE, Says.TITLE);
                    },
                    between.getText()));
            properties(all);
          } catch (IllegalArgumentException e) {
            session.complain("This cannot stand: " + e.getMessage() + ".");
          }
        };
    done(set, p.set(), t -> take.run());
    done(name, p.property(), t -> take.run());
    done(between, p.separator(), t -> take.run());
    Choices.onChosen(says, e -> take.run());
    Button drop =
        Parts.icon(
            Feather.X,
            "Not in this property",
            () -> {
              List<CodeProperty> all = new ArrayList<>(system.properties());
              all.remove(index);
              properties(all);
            });
    HBox second = new HBox(4, says, Parts.label("joined with", "muted"), between, drop);
    second.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
    return new VBox(3, new HBox(4, set, name), second);
  }

  private void properties(List<CodeProperty> all) {
    take(system.system(), system.codes(), system.rules(), system.withoutReference(), all);
  }

  private void take(
      String name,
      List<CodeSystem.Code> codes,
      List<CodeRule> rules,
      boolean withoutReference,
      List<CodeProperty> properties) {
    try {
      changed.accept(
          new CodeSystem(name, codes, rules, withoutReference, properties, system.off()));
    } catch (IllegalArgumentException e) {
      session.complain("This cannot stand: " + e.getMessage() + ".");
    }
  }

  private void codes() {
    FileChooser c = new FileChooser();
    c.setTitle("Codes of " + system.system());
    c.getExtensionFilters()
        .add(
            new FileChooser.ExtensionFilter(
                "Codes (code, title, parent)", "*.csv", "*.xlsx", "*.json"));
    File file = c.showOpenDialog(getScene().getWindow());
    if (file != null) {
      session
          .rules()
          .readCodes(file.toPath())
          .ifPresent(codes -> changed.accept(system.withCodes(codes)));
    }
  }
}
