package wellspan.core.colouring;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.build.Build;
import wellspan.core.item.ItemId;
import wellspan.core.schema.IfcSchema;

/** By what items are coloured. Immutable; safe in any thread. */
public sealed interface ColourBy {
  /** For people, without the name of what it chooses from. */
  String title();

  /** What an item says; empty where it says nothing. */
  Optional<PropertyValue> of(Build build, Build.BuiltItem item);

  /** The class in which it would be delivered. */
  record EntityClass(IfcSchema schema) implements ColourBy {
    @Override
    public String title() {
      return "class in " + schema.title();
    }

    @Override
    public Optional<PropertyValue> of(Build build, Build.BuiltItem item) {
      return text(build.classOf(item, schema).entity());
    }
  }

  /** The source it came from, or that it was made here. */
  record Source() implements ColourBy {
    @Override
    public String title() {
      return "source";
    }

    @Override
    public Optional<PropertyValue> of(Build build, Build.BuiltItem item) {
      return text(item.source());
    }
  }

  record Layer() implements ColourBy {
    @Override
    public String title() {
      return "layer";
    }

    @Override
    public Optional<PropertyValue> of(Build build, Build.BuiltItem item) {
      return text(item.item().layer());
    }
  }

  record Kind() implements ColourBy {
    @Override
    public String title() {
      return "kind";
    }

    @Override
    public Optional<PropertyValue> of(Build build, Build.BuiltItem item) {
      return text(item.item().kind().title());
    }
  }

  record Material() implements ColourBy {
    @Override
    public String title() {
      return "material";
    }

    @Override
    public Optional<PropertyValue> of(Build build, Build.BuiltItem item) {
      return text(item.item().attributes().material());
    }
  }

  /** A property as received or as a rule says it in a schema. */
  record Property(String set, String name, IfcSchema schema) implements ColourBy {
    @Override
    public String title() {
      return set + " · " + name;
    }

    @Override
    public Optional<PropertyValue> of(Build build, Build.BuiltItem item) {
      return sets(build, item, schema).stream()
          .filter(s -> s.name().equals(set))
          .map(s -> s.values().get(name))
          .filter(v -> v != null && !(v instanceof PropertyValue.Empty))
          .findFirst();
    }
  }

  /** What somebody found out of each item, such as what becomes of it in another schema. */
  record Told(String title, Map<ItemId, String> says) implements ColourBy {
    public Told {
      says = Map.copyOf(says);
    }

    @Override
    public Optional<PropertyValue> of(Build build, Build.BuiltItem item) {
      return text(says.getOrDefault(item.id(), ""));
    }
  }

  private static Optional<PropertyValue> text(String s) {
    return s.isEmpty() ? Optional.empty() : Optional.of(new PropertyValue.Label(s));
  }

  private static List<PropertySet> sets(Build build, Build.BuiltItem item, IfcSchema schema) {
    return build.ruled(item.id(), schema).over(item.item().said().propertySets());
  }

  /** Everything that the items of a build can be coloured by. Time of the number of items. */
  static List<ColourBy> offered(Build build, IfcSchema schema) {
    List<ColourBy> out =
        new ArrayList<>(
            List.of(
                new Material(), new EntityClass(schema), new Kind(), new Source(), new Layer()));
    Set<Property> properties = new LinkedHashSet<>();
    for (Build.BuiltItem i : build.items().values()) {
      for (PropertySet s : sets(build, i, schema)) {
        s.values().keySet().forEach(p -> properties.add(new Property(s.name(), p, schema)));
      }
    }
    properties.stream()
        .sorted(java.util.Comparator.comparing(Property::set).thenComparing(Property::name))
        .forEach(out::add);
    return out;
  }
}
