package wellspan.app.describe;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.theme.CardColumn;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Hint;
import wellspan.app.theme.Parts;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.MaterialSet;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.packing.Packing;
import wellspan.core.schema.IfcSchema;

/** What stands beside the rules: the rule in hand, requirements, attributes, schemas. */
public final class DescribeView extends CardColumn {
  /** Sets of properties shown; a layer of features may have thousands. */
  private static final int SHOWN = 12;

  private static final int ONE_LINE = 44;

  private final Session session;
  private final RequirementCard requirements;
  private final RuleCard rule;
  private final AttributeCard attributes;
  private final SchemaCard schemas;

  public DescribeView(Session session) {
    super("describe");
    this.session = session;
    requirements = new RequirementCard(session);
    rule = new RuleCard(session);
    attributes = new AttributeCard(session);
    schemas = new SchemaCard(session);
    session.buildProperty().addListener((o, a, b) -> refresh());
    session.selection().idsProperty().addListener((o, a, b) -> refresh());
    session.rules().cardProperty().addListener((o, a, b) -> refresh());
    session.rules().schemaProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  private void refresh() {
    switch (session.rules().cardProperty().get()) {
      case NONE -> cards.getChildren().clear();
      case RULE -> cards.getChildren().setAll(rule);
      case ATTRIBUTES -> cards.getChildren().setAll(attributes);
      case ITEM -> cards.getChildren().setAll(selected());
      case SCHEMAS -> cards.getChildren().setAll(schemas);
      case REQUIREMENTS -> cards.getChildren().setAll(requirements);
    }
  }

  /** What the selected item says. */
  private VBox selected() {
    VBox v = new VBox();
    v.getStyleClass().add("card");
    IfcFormat format = new IfcFormat(session.deliveries().schema());
    Optional<Build.BuiltItem> chosen = session.selectedItem();
    if (session.selection().ids().size() > 1) {
      several(v, format);
    } else if (chosen.isEmpty()) {
      v.getChildren()
          .addAll(
              Parts.label("What each item will say", "title"),
              Parts.wrapped(
                  "Select an item to see its class and properties as they will be delivered.",
                  "muted"));
    } else if (!format.carries(chosen.get().item())) {
      v.getChildren()
          .addAll(
              Parts.label(chosen.get().item().name(), "title"),
              Parts.wrapped("This item is not delivered as IFC, so it gets no class.", "muted"));
    } else {
      item(v, chosen.get());
    }
    return v;
  }

  /** The class of all that are selected, where a model can hold them. */
  private void several(VBox v, IfcFormat format) {
    List<Build.BuiltItem> all =
        session.selection().ids().stream()
            .map(session.build().items()::get)
            .filter(i -> i != null && format.carries(i.item()))
            .toList();
    v.getChildren()
        .add(Parts.label(Figures.count(session.selection().ids().size()) + " items", "title"));
    int left = session.selection().ids().size() - all.size();
    if (!all.isEmpty()) {
      v.getChildren().add(new ClassChoice(session, all));
    }
    if (left > 0) {
      v.getChildren()
          .add(
              Parts.wrapped(
                  Figures.count(left) + " of them are not delivered as IFC and get no class.",
                  "muted"));
    }
  }

  /** All that a delivery in the schema in hand says of it. */
  private void item(VBox v, Build.BuiltItem i) {
    IfcSchema schema = session.rules().schemaProperty().get();
    Description said = Packing.description(session.build(), i, Delivery.ofAll(schema));
    v.getChildren()
        .addAll(
            Parts.label(i.item().name(), "title"),
            new ClassChoice(session, List.of(i)),
            Parts.row("GlobalId", session.build().globalId(i)),
            Parts.row("Said in", schema.title()));
    if (!said.structure().isEmpty()) {
      String path = String.join(" ▸ ", said.structure().stream().map(Holder::name).toList());
      v.getChildren()
          .add(new VBox(Parts.label("Stands in", "muted"), Parts.wrapped(path, "docket-line")));
    }
    if (!said.groups().isEmpty()) {
      String all = String.join(", ", said.groups().stream().map(Holder::name).toList());
      v.getChildren().add(row("Member of", all));
    }
    said.type().ifPresent(t -> v.getChildren().add(row("Type", t.name())));
    said.attributes().entrySet().stream()
        .sorted(Map.Entry.comparingByKey())
        .forEach(
            a -> v.getChildren().add(row(a.getKey(), ShownValue.of(a.getKey(), a.getValue()))));
    said.finish()
        .filter(f -> !f.material().isEmpty())
        .ifPresent(f -> v.getChildren().add(Parts.row("Material", f.material())));
    said.materials().ifPresent(m -> v.getChildren().addAll(parts(m)));
    said.classification().forEach(c -> v.getChildren().add(row("Code", c.show())));
    Set<String> received = new HashSet<>();
    i.item().said().propertySets().forEach(s -> received.add(s.name()));
    sets(v, said.propertySets(), received);
    Stream.concat(said.structure().reversed().stream(), said.groups().stream())
        .filter(h -> !h.propertySets().isEmpty())
        .forEach(h -> ofHolder(v, h));
  }

  /** Layers and other parts with what is known of each. */
  private static List<Node> parts(MaterialSet set) {
    String kind = set.form() == MaterialSet.Form.LAYERS ? "Layer " : "Part ";
    List<Node> out = new ArrayList<>();
    for (MaterialSet.Part p : set.parts()) {
      String name = p.name().isEmpty() ? kind + (out.size() + 1) : p.name();
      out.add(row(name, (p.material() + " " + figure(set, p)).strip()));
    }
    return out;
  }

  private static String figure(MaterialSet set, MaterialSet.Part p) {
    return p.measure().isEmpty()
        ? ""
        : set.form() == MaterialSet.Form.LAYERS
            ? ShownValue.of(new PropertyValue.Length(p.measure().getAsDouble()))
            : Figures.number(100 * p.measure().getAsDouble(), 0) + " %";
  }

  /** What is said of something that the item stands in or is a member of. */
  private static void ofHolder(VBox v, Holder h) {
    for (PropertySet set : h.propertySets()) {
      v.getChildren().addAll(Parts.line(), Parts.label(h.name() + ": " + set.name(), "name"));
      set.values()
          .forEach((key, value) -> v.getChildren().add(row(key, ShownValue.of(key, value))));
    }
  }

  /** Long texts stand below their name. */
  private static Node row(String name, String text) {
    return name.length() + text.length() <= ONE_LINE
        ? Parts.row(name, text)
        : new VBox(Parts.label(name, "muted"), Parts.wrapped(text, "figure"));
  }

  private static void sets(VBox v, List<PropertySet> sets, Set<String> received) {
    for (PropertySet set : sets.subList(0, Math.min(SHOWN, sets.size()))) {
      String name = set.name() + (received.contains(set.name()) ? ", as received" : "");
      v.getChildren().addAll(Parts.line(), Parts.label(name, "name"));
      if (!set.description().isEmpty()) {
        v.getChildren().add(Parts.wrapped(set.description(), "muted"));
      }
      set.values()
          .forEach(
              (key, value) -> {
                Node shown = row(key, ShownValue.of(key, value));
                String note = set.notes().getOrDefault(key, "");
                if (!note.isEmpty()) {
                  Hint.say(shown, note);
                }
                v.getChildren().add(shown);
              });
    }
    if (sets.size() > SHOWN) {
      v.getChildren()
          .add(
              Parts.wrapped("and " + (sets.size() - SHOWN) + " sets more, all delivered", "muted"));
    }
  }
}
