package wellspan.core.attribute;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.Schema;

/**
 * Says what of property values a schema cannot hold, as {@link ValueTypes} makes them fit. For one
 * thread: it remembers types that it met.
 */
public final class ValueLosses {
  private final Schema tables;
  private final boolean setPoints;
  private final Map<String, Boolean> known = new HashMap<>();

  public ValueLosses(IfcSchema schema) {
    tables = Schema.forFile(schema.id()).orElseThrow();
    setPoints = ValueTypes.hasSetPoints(tables);
  }

  /** What is lost, for people, such as {@code set points}; empty if all of it fits. */
  public Set<String> of(List<PropertySet> sets) {
    Set<String> out = new TreeSet<>();
    for (PropertySet s : sets) {
      s.values().values().forEach(v -> add(v, out));
    }
    return out;
  }

  private void add(PropertyValue v, Set<String> to) {
    switch (v) {
      case PropertyValue.Measure(String type, double number) -> type(type, to);
      case PropertyValue.Words(String type, String text) -> type(type, to);
      case PropertyValue.Several s -> s.values().forEach(x -> add(x, to));
      case PropertyValue.Complex c -> c.values().values().forEach(x -> add(x, to));
      case PropertyValue.Table t -> {
        t.defining().forEach(x -> add(x, to));
        t.defined().forEach(x -> add(x, to));
      }
      case PropertyValue.Bounded b -> {
        if (b.setPoint().isPresent() && !setPoints) {
          to.add("set points");
        }
        for (Optional<PropertyValue> x : List.of(b.lower(), b.upper(), b.setPoint())) {
          x.ifPresent(one -> add(one, to));
        }
      }
      case PropertyValue.Label l -> {}
      case PropertyValue.Length l -> {}
      case PropertyValue.Area a -> {}
      case PropertyValue.Count c -> {}
      case PropertyValue.Real r -> {}
      case PropertyValue.Flag f -> {}
      case PropertyValue.Unknown u -> {}
      case PropertyValue.Empty e -> {}
    }
  }

  private void type(String type, Set<String> to) {
    if (!known.computeIfAbsent(type, t -> ValueTypes.has(tables, t))) {
      to.add("the type " + type);
    }
  }
}
