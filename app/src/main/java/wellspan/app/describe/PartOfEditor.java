package wellspan.app.describe;

import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import wellspan.app.theme.Choices;
import wellspan.app.theme.Parts;
import wellspan.core.rulebook.ClassRule;
import wellspan.core.rulebook.FacilityClasses;

/** Where in the structure of a model the items of a rule stand. */
final class PartOfEditor extends VBox {
  private final TextField facility = field("part-of-facility", "its own road");
  private final ComboBox<String> facilityClass = new ComboBox<>();
  private final TextField part = field("part-of-part", "e.g. Footways");
  private final ComboBox<String> type = new ComboBox<>();
  private final ClassRule.PartOf before;
  private final Consumer<ClassRule.PartOf> changed;

  /**
   * @param now null where the rule says nothing of the structure
   * @param changed gets null where it is to say nothing
   */
  PartOfEditor(ClassRule.PartOf now, Consumer<ClassRule.PartOf> changed) {
    super(3);
    before = now;
    this.changed = changed;
    facilityClass.setId("part-of-class");
    facilityClass.getItems().setAll(FacilityClasses.names());
    type.setId("part-of-type");
    type.setEditable(true);
    type.setConverter(Choices.orNothing("no type"));
    for (ComboBox<String> c : List.of(facilityClass, type)) {
      c.setMinWidth(118);
      c.setPrefWidth(118);
    }
    String shown = now == null || now.facilityClass().isEmpty() ? "IfcRoad" : now.facilityClass();
    facilityClass.setValue(shown);
    type.getItems().add("");
    type.getItems().addAll(FacilityClasses.partTypes(shown));
    facility.setText(now == null ? "" : now.facility());
    part.setText(now == null ? "" : now.part());
    type.setValue(now == null ? "" : now.partType());
    Choices.onChosen(facilityClass, e -> take());
    Choices.onChosen(type, e -> take());
    HBox.setHgrow(facility, Priority.ALWAYS);
    HBox.setHgrow(part, Priority.ALWAYS);
    getChildren()
        .addAll(
            Parts.label("Stands in the road, bridge or building", "muted"),
            new HBox(5, facility, facilityClass),
            Parts.label("and there in the part", "muted"),
            new HBox(5, part, type));
  }

  private TextField field(String id, String prompt) {
    TextField f = new TextField();
    f.setId(id);
    f.setPromptText(prompt);
    f.getStyleClass().add("field");
    f.setOnAction(e -> take());
    f.focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (was && !is) {
                take();
              }
            });
    return f;
  }

  private void take() {
    String in = facility.getText().strip();
    String at = part.getText().strip();
    String typed = type.getConverter().fromString(type.getEditor().getText().strip());
    ClassRule.PartOf now =
        in.isEmpty() && at.isEmpty()
            ? null
            : new ClassRule.PartOf(in, facilityClass.getValue(), at, at.isEmpty() ? "" : typed);
    if (now == null ? before != null : !now.equals(before)) {
      changed.accept(now);
    }
  }
}
