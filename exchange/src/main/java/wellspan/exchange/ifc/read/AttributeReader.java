package wellspan.exchange.ifc.read;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.EntityAttributes;
import wellspan.core.attribute.PropertyValue;

/** Reads what instances say by plain attributes of their own. Any thread may ask. */
final class AttributeReader {
  private AttributeReader() {}

  /** By their names in the schema, measures in SI units; what is not given is not there. */
  static Map<String, PropertyValue> of(Instance i, Units units) {
    Map<String, PropertyValue> out = null;
    for (EntityAttributes.Slot s : EntityAttributes.of(i.model().schema(), i.entity())) {
      if (s.index() < i.values().size()) {
        Optional<PropertyValue> v = value(i, s, i.values().get(s.index()), units);
        if (v.isPresent()) {
          out = out == null ? new LinkedHashMap<>() : out;
          out.put(s.name(), v.get());
        }
      }
    }
    return out == null ? Map.of() : out;
  }

  private static Optional<PropertyValue> value(
      Instance i, EntityAttributes.Slot s, Value v, Units units) {
    return switch (v) {
      case Value.Text(String t) when s.form() == EntityAttributes.Form.TEXT && !t.isEmpty() ->
          Optional.of(new PropertyValue.Label(t));
      case Value.Num(double d, boolean whole) -> number(s, d, units);
      case Value.Literal(String l)
          when s.form() == EntityAttributes.Form.FLAG && (l.equals("T") || l.equals("F")) ->
          Optional.of(new PropertyValue.Flag(l.equals("T")));
      case Value.Literal(String l)
          when s.form() == EntityAttributes.Form.LITERAL
              && EntityAttributes.says(s, l, i.literal("PredefinedType")) ->
          Optional.of(new PropertyValue.Words(s.type(), l));
      default -> Optional.empty();
    };
  }

  private static Optional<PropertyValue> number(EntityAttributes.Slot s, double d, Units units) {
    return switch (s.form()) {
      case LENGTH -> Optional.of(new PropertyValue.Length(d * units.length()));
      case WHOLE -> Optional.of(new PropertyValue.Count(Math.round(d)));
      case NUMBER -> Optional.of(new PropertyValue.Real(units.si(s.type(), d).orElse(d)));
      case TEXT, FLAG, LITERAL -> Optional.empty();
    };
  }
}
