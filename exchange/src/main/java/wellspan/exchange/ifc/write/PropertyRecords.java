package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.flag;
import static wellspan.exchange.ifc.write.StepValue.literal;
import static wellspan.exchange.ifc.write.StepValue.real;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;
import static wellspan.exchange.ifc.write.StepValue.text;
import static wellspan.exchange.ifc.write.StepValue.typed;
import static wellspan.exchange.ifc.write.StepValue.whole;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.deliver.Parcel;
import wellspan.core.schema.IfcSchema;

/** Writes property sets as single values with their measures. */
final class PropertyRecords {
  private static final int LABEL_LIMIT = 255;

  /** Lengths beside the plain one; all of them count in the file's length unit. */
  private static final Set<String> LENGTHS =
      Set.of("IfcPositiveLengthMeasure", "IfcNonNegativeLengthMeasure");

  private final StepWriter step;
  private final Parcel parcel;

  PropertyRecords(StepWriter step, Parcel parcel) {
    this.step = step;
    this.parcel = parcel;
  }

  /** Writes the sets and ties them to an object. */
  void attach(String key, int object, List<PropertySet> sets) throws IOException {
    for (PropertySet set : sets) {
      List<Integer> properties = new ArrayList<>();
      for (Map.Entry<String, PropertyValue> p : set.values().entrySet()) {
        properties.add(
            record(set.quantities(), p.getKey(), p.getValue(), note(set.notes(), p.getKey())));
      }
      if (!properties.isEmpty()) {
        String id = parcel.ids().of(key, "set " + set.name());
        StepValue description = set.description().isEmpty() ? UNSET : text(set.description());
        int written =
            set.quantities()
                ? step.root(
                    "IfcElementQuantity",
                    id,
                    text(set.name()),
                    description,
                    UNSET,
                    refs(properties))
                : step.root("IfcPropertySet", id, text(set.name()), description, refs(properties));
        step.root(
            "IfcRelDefinesByProperties",
            parcel.ids().of(key, "sets " + set.name()),
            UNSET,
            UNSET,
            refs(List.of(object)),
            ref(written));
      }
    }
  }

  private static StepValue note(Map<String, String> notes, String name) {
    String said = notes.getOrDefault(name, "");
    return said.isEmpty() ? UNSET : text(said);
  }

  private int record(boolean quantity, String name, PropertyValue v, StepValue note)
      throws IOException {
    return quantity ? quantity(name, v, note) : property(name, v, note);
  }

  private int property(String name, PropertyValue v, StepValue note) throws IOException {
    StepValue n = text(name);
    return switch (v) {
      case PropertyValue.Several(boolean enumerated, List<PropertyValue> all) ->
          enumerated
              ? step.add("IfcPropertyEnumeratedValue", n, note, values(all), UNSET)
              : step.add("IfcPropertyListValue", n, note, values(all), UNSET);
      case PropertyValue.Bounded b -> bounded(n, b, note);
      case PropertyValue.Table t ->
          step.attributeCount("IfcPropertyTableValue") == 7
              ? step.add(
                  "IfcPropertyTableValue",
                  n,
                  note,
                  values(t.defining()),
                  values(t.defined()),
                  UNSET,
                  UNSET,
                  UNSET)
              : step.add(
                  "IfcPropertyTableValue",
                  n,
                  note,
                  values(t.defining()),
                  values(t.defined()),
                  UNSET,
                  UNSET,
                  UNSET,
                  UNSET);
      case PropertyValue.Complex c ->
          step.add("IfcComplexProperty", n, note, text(c.usage()), refs(parts(false, c)));
      default -> step.add("IfcPropertySingleValue", n, note, value(v), UNSET);
    };
  }

  private List<Integer> parts(boolean quantities, PropertyValue.Complex c) throws IOException {
    List<Integer> out = new ArrayList<>();
    for (Map.Entry<String, PropertyValue> e : c.values().entrySet()) {
      out.add(record(quantities, e.getKey(), e.getValue(), note(c.notes(), e.getKey())));
    }
    return out;
  }

  private int bounded(StepValue name, PropertyValue.Bounded b, StepValue note) throws IOException {
    StepValue upper = b.upper().map(this::value).orElse(UNSET);
    StepValue lower = b.lower().map(this::value).orElse(UNSET);
    return step.attributeCount("IfcPropertyBoundedValue") == 5 // IFC2x3 has no set point
        ? step.add("IfcPropertyBoundedValue", name, note, upper, lower, UNSET)
        : step.add(
            "IfcPropertyBoundedValue",
            name,
            note,
            upper,
            lower,
            UNSET,
            b.setPoint().map(this::value).orElse(UNSET));
  }

  private StepValue values(List<PropertyValue> all) {
    return all.isEmpty() ? UNSET : StepValue.many(all.stream().map(this::value).toList());
  }

  /** A measured quantity; numbers without a measure count something. */
  private int quantity(String name, PropertyValue v, StepValue note) throws IOException {
    return switch (v) {
      case PropertyValue.Length(double m) ->
          quantity("IfcQuantityLength", name, note, real(m / parcel.unit().metres()));
      case PropertyValue.Area(double a) -> quantity("IfcQuantityArea", name, note, real(a));
      case PropertyValue.Measure(String type, double d) ->
          switch (type) {
            case "IfcVolumeMeasure" -> quantity("IfcQuantityVolume", name, note, real(d));
            case "IfcMassMeasure" -> quantity("IfcQuantityWeight", name, note, real(d));
            case "IfcTimeMeasure" -> quantity("IfcQuantityTime", name, note, real(d));
            case "IfcNumericMeasure" ->
                quantity(
                    parcel.schema() == IfcSchema.IFC4X3 ? "IfcQuantityNumber" : "IfcQuantityCount",
                    name,
                    note,
                    real(d));
            default -> quantity("IfcQuantityCount", name, note, real(d));
          };
      case PropertyValue.Count(long n) ->
          quantity(
              "IfcQuantityCount",
              name,
              note,
              parcel.schema() == IfcSchema.IFC4X3 ? whole(n) : real((double) n));
      case PropertyValue.Real(double d) -> quantity("IfcQuantityCount", name, note, real(d));
      case PropertyValue.Complex c ->
          step.add(
              "IfcPhysicalComplexQuantity",
              text(name),
              note,
              refs(parts(true, c)),
              text(c.usage()),
              UNSET,
              UNSET);
      default -> throw new SchemaViolation(name + " is no quantity: " + v.show() + ".");
    };
  }

  private int quantity(String entity, String name, StepValue note, StepValue value)
      throws IOException {
    return step.attributeCount(entity) == 4 // IFC2x3 has no formula
        ? step.add(entity, text(name), note, UNSET, value)
        : step.add(entity, text(name), note, UNSET, value, UNSET);
  }

  private StepValue value(PropertyValue v) {
    return switch (v) {
      case PropertyValue.Label(String s) ->
          typed(s.codePointCount(0, s.length()) <= LABEL_LIMIT ? "IfcLabel" : "IfcText", text(s));
      case PropertyValue.Words(String type, String s) -> typed(type, text(s));
      case PropertyValue.Length(double m) ->
          typed("IfcLengthMeasure", real(m / parcel.unit().metres()));
      case PropertyValue.Area(double a) -> typed("IfcAreaMeasure", real(a));
      case PropertyValue.Measure(String type, double d) ->
          typed(type, LENGTHS.contains(type) ? real(d / parcel.unit().metres()) : real(d));
      case PropertyValue.Count(long n) -> typed("IfcInteger", whole(n));
      case PropertyValue.Real(double d) -> typed("IfcReal", real(d));
      case PropertyValue.Flag(boolean b) -> typed("IfcBoolean", flag(b));
      case PropertyValue.Unknown() -> typed("IfcLogical", literal("U"));
      case PropertyValue.Empty() -> UNSET;
      case PropertyValue.Several s -> throw nested(s);
      case PropertyValue.Bounded b -> throw nested(b);
      case PropertyValue.Table t -> throw nested(t);
      case PropertyValue.Complex c -> throw nested(c);
    };
  }

  private static SchemaViolation nested(PropertyValue v) {
    return new SchemaViolation("A list cannot stand within another one: " + v.show() + ".");
  }
}
