package wellspan.core.attribute;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.Schema;

/** Brings property values to the types that a schema has. */
public final class ValueTypes {
  private static final String VALUE = "IFCVALUE";

  private ValueTypes() {}

  /** The set as a schema can hold it: values of types that it does not have go as plain ones. */
  public static PropertySet fitting(PropertySet set, IfcSchema schema) {
    Schema tables = Schema.forFile(schema.id()).orElseThrow();
    Map<String, PropertyValue> out = new LinkedHashMap<>();
    set.values().forEach((name, v) -> out.put(name, fitting(v, tables)));
    return new PropertySet(set.name(), out, set.quantities());
  }

  private static PropertyValue fitting(PropertyValue v, Schema tables) {
    return switch (v) {
      case PropertyValue.Words(String type, String text) ->
          has(tables, type) ? v : new PropertyValue.Label(text);
      case PropertyValue.Measure(String type, double number) ->
          has(tables, type) ? v : new PropertyValue.Real(number);
      case PropertyValue.Several s ->
          new PropertyValue.Several(s.enumerated(), fitting(s.values(), tables));
      case PropertyValue.Bounded b ->
          new PropertyValue.Bounded(
              fitting(b.lower(), tables),
              fitting(b.upper(), tables),
              fitting(b.setPoint(), tables));
      case PropertyValue.Table t ->
          new PropertyValue.Table(fitting(t.defining(), tables), fitting(t.defined(), tables));
      case PropertyValue.Label l -> l;
      case PropertyValue.Length l -> l;
      case PropertyValue.Area a -> a;
      case PropertyValue.Count c -> c;
      case PropertyValue.Real r -> r;
      case PropertyValue.Flag f -> f;
      case PropertyValue.Unknown u -> u;
      case PropertyValue.Empty e -> e;
    };
  }

  private static List<PropertyValue> fitting(List<PropertyValue> all, Schema tables) {
    return all.stream().map(v -> fitting(v, tables)).toList();
  }

  private static Optional<PropertyValue> fitting(Optional<PropertyValue> v, Schema tables) {
    return v.map(x -> fitting(x, tables));
  }

  private static boolean has(Schema tables, String type) {
    return tables.selectMembers(VALUE).contains(type.toUpperCase(Locale.ROOT));
  }
}
