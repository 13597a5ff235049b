package wellspan.exchange.ifc.read;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.schema.Attribute;
import wellspan.core.schema.TypeRef;

/**
 * Reads the values of properties with their measures in SI units, by the unit of the property or of
 * the file.
 */
final class ValueReader {
  /** Numbers that are no measures of anything. */
  private static final Set<String> PLAIN =
      Set.of(
          "IFCREAL",
          "IFCNUMERICMEASURE",
          "IFCRATIOMEASURE",
          "IFCPOSITIVERATIOMEASURE",
          "IFCNORMALISEDRATIOMEASURE",
          "IFCCOUNTMEASURE",
          "IFCPOSITIVEINTEGER",
          "IFCPARAMETERVALUE",
          "IFCMONETARYMEASURE",
          "IFCCONTEXTDEPENDENTMEASURE",
          "IFCDESCRIPTIVEMEASURE",
          "IFCPHMEASURE",
          "IFCTIMESTAMP");

  /** Kinds of units that are customarily other than SI units, so that no unit is a doubt. */
  private static final Set<String> GUESSED_UNITS =
      Set.of("LENGTHUNIT", "AREAUNIT", "VOLUMEUNIT", "PLANEANGLEUNIT", "MASSUNIT");

  private final IfcModel model;
  private final Units units;
  private final Set<String> guessed = new TreeSet<>();

  ValueReader(IfcModel model, Units units) {
    this.model = model;
    this.units = units;
  }

  /** Measures whose unit neither property nor file says, or says so that it can be told. */
  Set<String> guessed() {
    return guessed;
  }

  /** The schema was checked before: a value here is unset, or a typed one that fits its type. */
  PropertyValue value(Value v, Instance p, String unit) {
    if (!(v instanceof Value.Typed(String type, Value inner))) {
      return new PropertyValue.Empty();
    }
    return switch (inner) {
      case Value.Text(String s) ->
          type.equalsIgnoreCase("IFCLABEL")
              ? new PropertyValue.Label(s)
              : new PropertyValue.Words(asInStandard(type), s);
      case Value.Literal(String l) when l.equals("T") || l.equals("F") ->
          new PropertyValue.Flag(l.equals("T"));
      case Value.Literal(String l) when l.equals("U") -> new PropertyValue.Unknown();
      case Value.Literal(String l) -> new PropertyValue.Label(l);
      case Value.Num(double d, boolean whole) -> number(type, d, p, unit);
      case Value.Numbers(double[] n, Value.Tokens _) ->
          new PropertyValue.Several(
              false, Arrays.stream(n).<PropertyValue>mapToObj(PropertyValue.Real::new).toList());
      default -> new PropertyValue.Empty();
    };
  }

  private PropertyValue number(String type, double d, Instance p, String unit) {
    String upper = type.toUpperCase(Locale.ROOT);
    if (upper.equals("IFCINTEGER")) {
      return new PropertyValue.Count((long) d);
    }
    if (upper.equals("IFCREAL")) {
      return new PropertyValue.Real(d);
    }
    return PLAIN.contains(upper)
        ? new PropertyValue.Measure(asInStandard(type), d)
        : measure(asInStandard(type), d, p, unit);
  }

  /**
   * A number of a measure.
   *
   * @param unit the attribute of the property that names its unit, empty if it has none
   */
  PropertyValue measure(String type, double d, Instance p, String unit) {
    double si = si(type, d, p, unit);
    String upper = type.toUpperCase(Locale.ROOT);
    if (upper.equals("IFCLENGTHMEASURE")) {
      return new PropertyValue.Length(si);
    }
    return upper.equals("IFCAREAMEASURE")
        ? new PropertyValue.Area(si)
        : new PropertyValue.Measure(type, si);
  }

  /** By the property's own unit, else by the file's; as it stands where neither says. */
  private double si(String type, double d, Instance p, String unit) {
    Optional<Instance> own = unit.isEmpty() ? Optional.empty() : p.ref(unit);
    if (own.isPresent()) {
      double si = Units.si(own.get(), d);
      if (Double.isFinite(si)) {
        return si;
      }
      guessed.add(type + " in #" + own.get().id());
      return d;
    }
    Optional<Double> si = units.si(type, d);
    String kind = Units.kindOf(type);
    if (si.isEmpty() && (GUESSED_UNITS.contains(kind) || units.unclear().contains(kind))) {
      guessed.add(type);
    }
    return si.orElse(d);
  }

  private String asInStandard(String type) {
    return model.schema().type(type.toUpperCase(Locale.ROOT)).map(t -> t.name()).orElse(type);
  }

  /** A plain attribute of an instance as a value; empty where it has none, or refers to others. */
  Optional<PropertyValue> attribute(Instance i, Attribute a) {
    Value v = i.get(a.name());
    return v instanceof Value.Text || v instanceof Value.Literal || v instanceof Value.Num
        ? a.type() instanceof TypeRef.Named(String type)
            ? Optional.of(value(new Value.Typed(type, v), i, ""))
            : Optional.empty()
        : v instanceof Value.Typed ? Optional.of(value(v, i, "")) : Optional.empty();
  }
}
