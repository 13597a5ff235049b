package wellspan.app.describe;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.theme.Choices;
import wellspan.app.theme.Parts;
import wellspan.core.attribute.EntityClass;
import wellspan.core.build.Build;
import wellspan.core.describe.ClassRules;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.ProductClasses;
import wellspan.core.schema.Schema;

/** The class of one item in the delivery in hand: as it comes, or chosen here. */
final class ClassChoice extends VBox {
  private static final double GAP = 6;
  private final Session session;
  private final Build.BuiltItem item;
  private final IfcSchema schema;

  ClassChoice(Session session, Build.BuiltItem item) {
    super(GAP);
    this.session = session;
    this.item = item;
    schema = session.deliveries().schema();
    Schema of = Schema.forFile(schema.id()).orElseThrow();
    EntityClass now = session.build().classOf(item, schema);
    Optional<EntityClass> chosen = session.job().settingsOf(item.id()).entityClass();
    EntityClass own = ClassRules.of(item.item(), item.item().said().entityClass(), schema);

    getChildren().add(Parts.row("Class", now.entity()));
    ComboBox<String> classes = list("class-choice", "as it comes: " + own.entity());
    classes.getItems().add("");
    ProductClasses.names(of).stream()
        .filter(name -> fits(of, name))
        .forEach(classes.getItems()::add);
    classes.setValue(chosen.map(EntityClass::entity).orElse(""));
    Choices.onChosen(
        classes,
        e -> {
          String name = classes.getValue();
          choose(
              name.isEmpty()
                  ? Optional.empty()
                  : Optional.of(new EntityClass(name, ProductClasses.types(of, name).getFirst())));
        });
    getChildren().addAll(Parts.label("Deliver as", "muted"), classes);

    List<String> literals = new ArrayList<>(ProductClasses.types(of, now.entity()));
    if (chosen.isPresent() && literals.size() > 1) {
      ComboBox<String> types = list("type-choice", "none said");
      types.getItems().setAll(literals);
      types.setValue(now.predefinedType());
      Choices.onChosen(
          types, e -> choose(Optional.of(new EntityClass(now.entity(), types.getValue()))));
      getChildren().addAll(Parts.label("Predefined type", "muted"), types);
    } else if (!now.predefinedType().isEmpty()) {
      getChildren().add(Parts.row("Predefined type", now.type()));
    }
  }

  private boolean fits(Schema of, String name) {
    return ProductClasses.types(of, name).stream()
        .anyMatch(t -> ClassRules.fits(new EntityClass(name, t), item.item(), schema));
  }

  /**
   * @param nothing what stands for the empty text
   */
  private static ComboBox<String> list(String id, String nothing) {
    ComboBox<String> out = new ComboBox<>();
    out.setId(id);
    out.setMaxWidth(Double.MAX_VALUE);
    out.setConverter(Choices.orNothing(nothing));
    return out;
  }

  private void choose(Optional<EntityClass> chosen) {
    session.edit(
        "Class of " + item.item().name(),
        j -> j.withSettings(List.of(item.id()), s -> s.withClass(chosen)));
  }
}
