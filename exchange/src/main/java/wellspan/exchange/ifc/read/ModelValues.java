package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.model.ModelValue;
import wellspan.core.schema.Attribute;
import wellspan.core.schema.TypeRef;

/** Values of a model with their types, measures in SI units. */
final class ModelValues {
  private final IfcModel model;
  private final Units units;

  ModelValues(IfcModel model, Units units) {
    this.model = model;
    this.units = units;
  }

  /** An explicit attribute; empty where it has no value. */
  Optional<ModelValue> attribute(Instance i, Attribute a) {
    Value v = i.get(a.name());
    String type = a.type() instanceof TypeRef.Named(String name) ? name : "";
    return switch (v) {
      case Value.Unset u -> Optional.empty();
      case Value.Derived d -> Optional.empty();
      case Value.Ref r -> Optional.of(new ModelValue.Thing());
      case Value.Many(List<Value> all) ->
          all.isEmpty() ? Optional.empty() : Optional.of(new ModelValue.Thing());
      case Value.Numbers n ->
          n.values().length == 0 ? Optional.empty() : Optional.of(new ModelValue.Thing());
      case Value.Table t -> Optional.of(new ModelValue.Thing());
      case Value.Typed(String of, Value inner) -> simple(of, inner, Optional.empty());
      default -> simple(type, v, Optional.empty());
    };
  }

  /** A typed value as in a property; empty where there is none. */
  Optional<ModelValue> typed(Value v, Optional<Instance> unit) {
    return v instanceof Value.Typed(String type, Value inner)
        ? simple(type, inner, unit)
        : Optional.empty();
  }

  /** The values of a list as in a property. */
  List<ModelValue> typedAll(Value v, Optional<Instance> unit) {
    List<ModelValue> out = new ArrayList<>();
    if (v instanceof Value.Many(List<Value> all)) {
      all.forEach(one -> typed(one, unit).ifPresent(out::add));
    }
    return out;
  }

  /** A number of a measure, in SI units. */
  ModelValue measure(String type, double number, Optional<Instance> unit) {
    return new ModelValue.Num(standard(type), si(type, number, unit));
  }

  private Optional<ModelValue> simple(String type, Value v, Optional<Instance> unit) {
    String name = standard(type);
    return switch (v) {
      case Value.Text(String s) -> Optional.of(new ModelValue.Text(name, s));
      case Value.Literal(String l) when isLogical(type) && (l.equals("T") || l.equals("F")) ->
          Optional.of(new ModelValue.Flag(name, l.equals("T")));
      case Value.Literal(String l) when isLogical(type) ->
          Optional.of(new ModelValue.Unknown(name));
      case Value.Literal(String l) -> Optional.of(new ModelValue.Text(name, l));
      case Value.Num(double d, boolean whole) ->
          Optional.of(
              isInteger(type)
                  ? new ModelValue.Whole(name, Math.round(d))
                  : new ModelValue.Num(name, si(type, d, unit)));
      case Value.Numbers n -> Optional.of(new ModelValue.Thing());
      default -> Optional.empty();
    };
  }

  private boolean isLogical(String type) {
    String simple = model.schema().simpleType(type.toUpperCase(Locale.ROOT)).orElse("");
    return simple.equals("BOOLEAN") || simple.equals("LOGICAL");
  }

  private boolean isInteger(String type) {
    return model
        .schema()
        .simpleType(type.toUpperCase(Locale.ROOT))
        .map("INTEGER"::equals)
        .orElse(false);
  }

  private double si(String type, double number, Optional<Instance> unit) {
    if (unit.isPresent()) {
      double si = Units.si(unit.get(), number);
      return Double.isFinite(si) ? si : number;
    }
    return units.si(type, number).orElse(number);
  }

  private String standard(String type) {
    return model.schema().type(type.toUpperCase(Locale.ROOT)).map(t -> t.name()).orElse(type);
  }
}
