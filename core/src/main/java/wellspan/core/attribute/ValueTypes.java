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
  private static final String LABEL = "IfcLabel";
  private static final String TEXT = "IfcText";

  private ValueTypes() {}

  /**
   * The set as a schema can hold it: values of types that it does not have go as plain ones, texts
   * that are too long for their type as {@code IfcText}, set points of ranges and lists without
   * values not at all where it has none. {@link ValueLosses} says what is lost by that.
   */
  public static PropertySet fitting(PropertySet set, IfcSchema schema) {
    Schema tables = Schema.forFile(schema.id()).orElseThrow();
    return set.with(fitting(set.values(), tables));
  }

  private static Map<String, PropertyValue> fitting(
      Map<String, PropertyValue> values, Schema tables) {
    Map<String, PropertyValue> out = new LinkedHashMap<>();
    values.forEach((name, v) -> out.put(name, fitting(v, tables)));
    return out;
  }

  private static PropertyValue fitting(PropertyValue v, Schema tables) {
    return switch (v) {
      case PropertyValue.Words(String type, String text) ->
          text(has(tables, type) ? v : new PropertyValue.Label(text), text, tables, type);
      case PropertyValue.Measure(String type, double number) ->
          has(tables, type) ? v : new PropertyValue.Real(number);
      case PropertyValue.Several(boolean e, List<PropertyValue> all)
          when all.isEmpty() && !hasEmptyLists(tables) ->
          new PropertyValue.Empty();
      case PropertyValue.Table t when t.defining().isEmpty() && !hasEmptyLists(tables) ->
          new PropertyValue.Empty();
      case PropertyValue.Several s ->
          new PropertyValue.Several(s.enumerated(), ofOneType(fitting(s.values(), tables)));
      case PropertyValue.Bounded b ->
          new PropertyValue.Bounded(
              fitting(b.lower(), tables),
              fitting(b.upper(), tables),
              hasSetPoints(tables) ? fitting(b.setPoint(), tables) : Optional.empty());
      case PropertyValue.Table t ->
          new PropertyValue.Table(fitting(t.defining(), tables), fitting(t.defined(), tables));
      case PropertyValue.Complex c ->
          new PropertyValue.Complex(c.usage(), fitting(c.values(), tables), c.notes());
      case PropertyValue.Label l -> text(l, l.text(), tables, LABEL);
      case PropertyValue.Length l -> l;
      case PropertyValue.Area a -> a;
      case PropertyValue.Count c -> c;
      case PropertyValue.Real r -> r;
      case PropertyValue.Flag f -> f;
      case PropertyValue.Unknown u -> u;
      case PropertyValue.Empty e -> e;
    };
  }

  /** A value, or the same words without a limit where its type has one that they exceed. */
  private static PropertyValue text(PropertyValue v, String words, Schema tables, String type) {
    String limited = has(tables, type) ? type : LABEL;
    int most =
        tables.type(limited.toUpperCase(Locale.ROOT)).map(Schema.DefinedType::maxLength).orElse(0);
    return most > 0 && words.codePointCount(0, words.length()) > most
        ? new PropertyValue.Words(TEXT, words)
        : v;
  }

  /** The values of a list are of one type: where one of them is a long text, all are. */
  private static List<PropertyValue> ofOneType(List<PropertyValue> all) {
    boolean longs =
        all.stream().anyMatch(v -> v instanceof PropertyValue.Words w && w.type().equals(TEXT));
    return all.stream()
        .map(
            v ->
                longs && v instanceof PropertyValue.Label(String words)
                    ? new PropertyValue.Words(TEXT, words)
                    : v)
        .toList();
  }

  private static List<PropertyValue> fitting(List<PropertyValue> all, Schema tables) {
    return all.stream().map(v -> fitting(v, tables)).toList();
  }

  private static Optional<PropertyValue> fitting(Optional<PropertyValue> v, Schema tables) {
    return v.map(x -> fitting(x, tables));
  }

  /** Whether lists of values may be left out. */
  private static boolean hasEmptyLists(Schema tables) {
    return hasSetPoints(tables); // both came with IFC4
  }

  static boolean hasSetPoints(Schema tables) {
    return tables.entity("IFCPROPERTYBOUNDEDVALUE").orElseThrow().attributes().stream()
        .anyMatch(a -> a.name().equals("SetPointValue"));
  }

  static boolean has(Schema tables, String type) {
    return tables.selectMembers(VALUE).contains(type.toUpperCase(Locale.ROOT));
  }
}
