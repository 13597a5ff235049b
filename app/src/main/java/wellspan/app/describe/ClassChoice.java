package wellspan.app.describe;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
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

/** The class of items in the delivery in hand: as it comes, or chosen here for all of them. */
final class ClassChoice extends VBox {
  private static final double GAP = 6;
  private final Session session;
  private final List<Build.BuiltItem> items;
  private final IfcSchema schema;

  /**
   * @param items at least one
   */
  ClassChoice(Session session, List<Build.BuiltItem> items) {
    super(GAP);
    this.session = session;
    this.items = items;
    schema = session.deliveries().schema();
    Schema of = Schema.forFile(schema.id()).orElseThrow();
    List<EntityClass> now = each(i -> session.build().classOf(i, schema));
    List<Optional<EntityClass>> chosen = each(i -> session.job().settingsOf(i.id()).entityClass());
    List<String> own =
        each(i -> ClassRules.of(i.item(), i.item().said().entityClass(), schema).entity());

    List<String> names = now.stream().map(EntityClass::entity).distinct().toList();
    getChildren()
        .add(Parts.row("Class", names.size() == 1 ? names.getFirst() : names.size() + " classes"));
    ComboBox<String> classes =
        list("class-choice", "as it comes" + (own.size() == 1 ? ": " + own.getFirst() : ""));
    classes.getItems().add("");
    ProductClasses.names(of).stream()
        .filter(name -> fits(of, name))
        .forEach(classes.getItems()::add);
    classes.setValue(
        chosen.size() == 1 ? chosen.getFirst().map(EntityClass::entity).orElse("") : "");
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
    if (now.size() == 1) {
      type(of, now.getFirst(), chosen.equals(List.of(Optional.empty())));
    }
  }

  /** The predefined type that all have, to be chosen where the class was. */
  private void type(Schema of, EntityClass now, boolean comes) {
    List<String> literals = new ArrayList<>(ProductClasses.types(of, now.entity()));
    if (!comes && literals.size() > 1) {
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

  /** The different answers of the items. */
  private <T> List<T> each(Function<Build.BuiltItem, T> ask) {
    return items.stream().map(ask).distinct().toList();
  }

  /** Whether a class suits every item. */
  private boolean fits(Schema of, String name) {
    List<String> types = ProductClasses.types(of, name);
    return items.stream()
        .allMatch(
            i ->
                types.stream()
                    .anyMatch(t -> ClassRules.fits(new EntityClass(name, t), i.item(), schema)));
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
        "Class of "
            + (items.size() == 1 ? items.getFirst().item().name() : items.size() + " items"),
        j ->
            j.withSettings(
                items.stream().map(Build.BuiltItem::id).toList(), s -> s.withClass(chosen)));
  }
}
