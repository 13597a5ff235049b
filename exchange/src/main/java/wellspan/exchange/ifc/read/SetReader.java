package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.schema.Attribute;

/**
 * Reads single sets of properties and quantities, and sets that hold their values as attributes.
 * What cannot be read is left out and named, or counted.
 */
final class SetReader {
  /** Properties within properties are read down to this depth; what is deeper refers to itself. */
  private static final int DEEPEST = 16;

  /** Attributes that every definition of properties has. */
  private static final int OF_ROOT = 4;

  private final Soundness soundness;
  private final ValueReader values;
  private final List<Finding> findings;
  private final Map<String, Set<Integer>> unread = new TreeMap<>();

  /** References that are read as names. */
  private final Set<Integer> names = new HashSet<>();

  SetReader(Soundness soundness, ValueReader values, List<Finding> findings) {
    this.soundness = soundness;
    this.values = values;
    this.findings = findings;
  }

  /** Takes over the counts of another one of the same file. */
  void absorb(SetReader other) {
    other.unread.forEach((what, ids) -> ids(what).addAll(ids));
    names.addAll(other.names);
  }

  /** Names what was met and not read, once for the file. */
  void report() {
    unread.forEach(
        (what, ids) ->
            findings.add(
                Finding.warning(
                        RECEIVE,
                        "ifc.property.unread",
                        "",
                        ids.size() + " × " + what + " among the properties is not read.")
                    .withFigure(Figure.count(ids.size()))));
    if (!names.isEmpty()) {
      findings.add(
          Finding.note(
                  RECEIVE,
                  "ifc.property.reference",
                  "",
                  names.size()
                      + " × IfcPropertyReferenceValue is read as the name of what it refers to.")
              .withFigure(Figure.count(names.size())));
    }
  }

  private Set<Integer> ids(String what) {
    return unread.computeIfAbsent(what, k -> new HashSet<>());
  }

  private void error(String code, String item, String message) {
    findings.add(Finding.error(RECEIVE, code, item, message));
  }

  /** Empty if it cannot be read at all. */
  Optional<PropertySet> read(Instance set) {
    Optional<String> fault = soundness.ofItself(set);
    if (fault.isPresent()) {
      error("ifc.set", set.text("Name"), fault.get() + ". The set is left out.");
      return Optional.empty();
    }
    boolean quantities = set.isA("IFCELEMENTQUANTITY");
    if (!quantities && !set.isA("IFCPROPERTYSET")) {
      return ofAttributes(set);
    }
    Map<String, String> notes = new HashMap<>();
    Map<String, PropertyValue> read =
        parts(set, set.refs(quantities ? "Quantities" : "HasProperties"), quantities, notes, 0);
    return Optional.of(
        new PropertySet(set.text("Name"), read, quantities, set.text("Description"), notes));
  }

  /** What an instance is made of: properties or quantities of different names. */
  private Map<String, PropertyValue> parts(
      Instance of, List<Instance> all, boolean quantities, Map<String, String> notes, int depth) {
    Map<String, PropertyValue> out = new LinkedHashMap<>();
    for (Instance p : all) {
      Optional<String> wrong = soundness.ofItself(p);
      String name = p.text("Name");
      if (wrong.isPresent()) {
        error(
            "ifc.property",
            of.text("Name"),
            of.text("Name") + "." + name + " is left out: " + wrong.get() + ".");
      } else if (out.containsKey(name)) {
        error(
            "ifc.property.twice",
            of.text("Name"),
            "The set "
                + of.text("Name")
                + " (#"
                + of.id()
                + ") holds the property "
                + name
                + " twice; the first one is taken.");
      } else {
        (quantities ? quantity(p, depth) : property(p, depth)).ifPresent(v -> out.put(name, v));
        note(p).ifPresent(n -> notes.put(name, n));
      }
    }
    return out;
  }

  /** What is said of a property; IFC4.3 calls it its specification. */
  private static Optional<String> note(Instance p) {
    int second = 1;
    return p.values().size() > second && p.values().get(second) instanceof Value.Text(String said)
        ? Optional.of(said)
        : Optional.empty();
  }

  /** Linings of doors and their like: what they say by attributes are properties of their name. */
  private Optional<PropertySet> ofAttributes(Instance set) {
    Map<String, PropertyValue> out = new LinkedHashMap<>();
    List<Attribute> all = set.entity().attributes();
    for (Attribute a : all.subList(Math.min(OF_ROOT, all.size()), all.size())) {
      Optional<PropertyValue> v = values.attribute(set, a);
      v.ifPresent(x -> out.put(a.name(), x));
      if (v.isEmpty() && !(set.get(a.name()) instanceof Value.Unset)) {
        ids(set.entity().name() + "." + a.name()).add(set.id());
      }
    }
    if (out.isEmpty()) {
      ids(set.entity().name()).add(set.id());
      return Optional.empty();
    }
    String name = set.text("Name").isEmpty() ? set.entity().name() : set.text("Name");
    return Optional.of(new PropertySet(name, out).saying(set.text("Description"), Map.of()));
  }

  private Optional<PropertyValue> property(Instance p, int depth) {
    return switch (p.entity().name()) {
      case "IfcPropertySingleValue" -> Optional.of(values.value(p.get("NominalValue"), p, "Unit"));
      case "IfcPropertyEnumeratedValue" ->
          Optional.of(new PropertyValue.Several(true, several(p, "EnumerationValues", "")));
      case "IfcPropertyListValue" ->
          Optional.of(new PropertyValue.Several(false, several(p, "ListValues", "Unit")));
      case "IfcPropertyBoundedValue" ->
          Optional.of(
              new PropertyValue.Bounded(
                  bound(p, "LowerBoundValue"),
                  bound(p, "UpperBoundValue"),
                  bound(p, "SetPointValue")));
      case "IfcPropertyTableValue" -> {
        List<PropertyValue> from = several(p, "DefiningValues", "DefiningUnit");
        List<PropertyValue> to = several(p, "DefinedValues", "DefinedUnit");
        if (from.size() != to.size()) {
          error(
              "ifc.property",
              p.text("Name"),
              "#"
                  + p.id()
                  + ": the table "
                  + p.text("Name")
                  + " has rows without a partner and is left out.");
          yield Optional.empty();
        }
        yield Optional.of(new PropertyValue.Table(from, to));
      }
      case "IfcComplexProperty" ->
          complex(p, p.text("UsageName"), p.refs("HasProperties"), false, depth);
      case "IfcPropertyReferenceValue" -> referred(p);
      default -> {
        ids(p.entity().name()).add(p.id());
        yield Optional.empty();
      }
    };
  }

  /** What is made of others. */
  private Optional<PropertyValue> complex(
      Instance p, String usage, List<Instance> parts, boolean quantities, int depth) {
    Map<String, String> notes = new HashMap<>();
    Map<String, PropertyValue> read =
        depth < DEEPEST ? parts(p, parts, quantities, notes, depth + 1) : Map.of();
    if (read.isEmpty()) {
      ids(p.entity().name()).add(p.id());
      return Optional.empty();
    }
    for (String more : List.of("Quality", "Usage")) {
      if (quantities && !p.text(more).isEmpty()) {
        ids(p.entity().name() + "." + more).add(p.id());
      }
    }
    return Optional.of(new PropertyValue.Complex(usage, read, notes));
  }

  /** A reference to something else is read as the name of that. */
  private Optional<PropertyValue> referred(Instance p) {
    Optional<Instance> to = p.ref("PropertyReference");
    Optional<String> name =
        to.flatMap(
            t ->
                List.of("Name", "Identification", "ItemReference", "FamilyName", "Location")
                    .stream()
                    .map(t::text)
                    .filter(n -> !n.isEmpty())
                    .findFirst());
    if (name.isEmpty()) {
      ids(p.entity().name()).add(p.id());
      return to.isEmpty() ? Optional.of(new PropertyValue.Empty()) : Optional.empty();
    }
    names.add(p.id());
    return name.map(PropertyValue.Label::new);
  }

  private Optional<PropertyValue> bound(Instance p, String attribute) {
    Value v = p.get(attribute);
    return v instanceof Value.Unset ? Optional.empty() : Optional.of(values.value(v, p, "Unit"));
  }

  private List<PropertyValue> several(Instance p, String attribute, String unit) {
    return p.get(attribute) instanceof Value.Many(List<Value> all)
        ? all.stream().map(v -> values.value(v, p, unit)).toList()
        : List.of();
  }

  private Optional<PropertyValue> quantity(Instance q, int depth) {
    return switch (q.entity().name()) {
      case "IfcQuantityLength" -> measured(q, "LengthValue", "IfcLengthMeasure");
      case "IfcQuantityArea" -> measured(q, "AreaValue", "IfcAreaMeasure");
      case "IfcQuantityVolume" -> measured(q, "VolumeValue", "IfcVolumeMeasure");
      case "IfcQuantityWeight" -> measured(q, "WeightValue", "IfcMassMeasure");
      case "IfcQuantityTime" -> measured(q, "TimeValue", "IfcTimeMeasure");
      case "IfcQuantityNumber" ->
          Optional.of(new PropertyValue.Measure("IfcNumericMeasure", q.number("NumberValue")));
      case "IfcPhysicalComplexQuantity" ->
          complex(q, q.text("Discrimination"), q.refs("HasQuantities"), true, depth);
      case "IfcQuantityCount" -> {
        double n = q.number("CountValue");
        yield Optional.of(
            n == Math.rint(n) && Math.abs(n) < 1L << 53
                ? new PropertyValue.Count((long) n)
                : new PropertyValue.Real(n));
      }
      default -> {
        ids(q.entity().name()).add(q.id());
        yield Optional.empty();
      }
    };
  }

  private Optional<PropertyValue> measured(Instance q, String attribute, String measure) {
    return Optional.of(values.measure(measure, q.number(attribute), q, "Unit"));
  }
}
