package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;

/**
 * Finds the property and quantity sets of objects, those of their types among them, with measures
 * in SI units. What cannot be read is left out and named.
 */
final class PropertyReader {
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

  /** Codes of what is said of sets and properties whoever has them. */
  private static final Set<String> OF_DEFINITIONS =
      Set.of("ifc.set", "ifc.property", "ifc.property.twice");

  private final Definitions definitions;
  private final IfcModel model;
  private final Soundness soundness;
  private final Units units;
  private final List<Finding> findings;
  private final Map<Integer, Optional<PropertySet>> known = new HashMap<>();
  private final Map<String, Set<Integer>> unread = new TreeMap<>();
  private final Set<String> guessed = new TreeSet<>();

  /**
   * @param findings takes what cannot be read
   */
  PropertyReader(
      Definitions definitions,
      IfcModel model,
      Units units,
      Soundness soundness,
      List<Finding> findings) {
    this.definitions = definitions;
    this.model = model;
    this.units = units;
    this.soundness = soundness;
    this.findings = findings;
  }

  /** Takes over what another reader of the same file met and did not read. */
  void absorb(PropertyReader other) {
    other.unread.forEach((what, ids) -> ids(what).addAll(ids));
    guessed.addAll(other.guessed);
  }

  /**
   * Whether something was said of a definition, which several objects may have, and not of one of
   * these.
   */
  static boolean isOfDefinition(Finding f) {
    return OF_DEFINITIONS.contains(f.code());
  }

  private Set<Integer> ids(String what) {
    return unread.computeIfAbsent(what, k -> new HashSet<>());
  }

  private void error(String code, String item, String message) {
    findings.add(Finding.error(RECEIVE, code, item, message));
  }

  /** The sets of an object; what it says itself goes before what its type says. */
  List<PropertySet> of(Instance object) {
    List<Instance> sets = new ArrayList<>(definitions.sets(object));
    int own = sets.size();
    definitions.typeOf(object).ifPresent(t -> sets.addAll(t.refs("HasPropertySets")));
    Map<String, PropertySet> out = new LinkedHashMap<>();
    for (int i = 0; i < sets.size(); i++) {
      Instance definition = sets.get(i);
      Optional<PropertySet> read = known.computeIfAbsent(definition.id(), k -> read(definition));
      if (read.isEmpty()) {
        continue;
      }
      PropertySet set = read.get();
      PropertySet before = out.get(set.name());
      if (before == null) {
        out.put(set.name(), set);
      } else if (i >= own) {
        out.put(set.name(), merged(before, set));
      } else {
        error(
            "ifc.set.twice",
            object.text("Name"),
            object.text("Name")
                + " (#"
                + object.id()
                + ") has the set "
                + set.name()
                + " twice; the second is kept under another name.");
        int n = 2;
        while (out.containsKey(set.name() + " (" + n + ")")) {
          n++;
        }
        String name = set.name() + " (" + n + ")";
        out.put(name, new PropertySet(name, set.values(), set.quantities()));
      }
    }
    return List.copyOf(out.values());
  }

  private static PropertySet merged(PropertySet own, PropertySet type) {
    Map<String, PropertyValue> values = new LinkedHashMap<>(own.values());
    type.values().forEach(values::putIfAbsent);
    return new PropertySet(own.name(), values, own.quantities());
  }

  private Optional<PropertySet> read(Instance set) {
    boolean quantities = set.isA("IFCELEMENTQUANTITY");
    if (!quantities && !set.isA("IFCPROPERTYSET")) {
      ids(set.entity().name()).add(set.id());
      return Optional.empty();
    }
    Optional<String> fault = soundness.ofItself(set);
    if (fault.isPresent()) {
      error("ifc.set", set.text("Name"), fault.get() + ". The set is left out.");
      return Optional.empty();
    }
    Map<String, PropertyValue> values = new LinkedHashMap<>();
    for (Instance p : set.refs(quantities ? "Quantities" : "HasProperties")) {
      Optional<String> wrong = soundness.ofItself(p);
      String name = p.text("Name");
      if (wrong.isPresent()) {
        error(
            "ifc.property",
            set.text("Name"),
            set.text("Name") + "." + name + " is left out: " + wrong.get() + ".");
      } else if (values.containsKey(name)) {
        error(
            "ifc.property.twice",
            set.text("Name"),
            "The set "
                + set.text("Name")
                + " (#"
                + set.id()
                + ") holds the property "
                + name
                + " twice; the first one is taken.");
      } else {
        (quantities ? quantity(p) : property(p)).ifPresent(v -> values.put(name, v));
      }
    }
    return Optional.of(new PropertySet(set.text("Name"), values, quantities));
  }

  private Optional<PropertyValue> property(Instance p) {
    return switch (p.entity().name()) {
      case "IfcPropertySingleValue" -> Optional.of(value(p.get("NominalValue"), p, "Unit"));
      case "IfcPropertyEnumeratedValue" ->
          Optional.of(new PropertyValue.Several(true, values(p, "EnumerationValues", "")));
      case "IfcPropertyListValue" ->
          Optional.of(new PropertyValue.Several(false, values(p, "ListValues", "Unit")));
      case "IfcPropertyBoundedValue" ->
          Optional.of(
              new PropertyValue.Bounded(
                  bound(p, "LowerBoundValue"),
                  bound(p, "UpperBoundValue"),
                  bound(p, "SetPointValue")));
      case "IfcPropertyTableValue" -> {
        List<PropertyValue> from = values(p, "DefiningValues", "DefiningUnit");
        List<PropertyValue> to = values(p, "DefinedValues", "DefinedUnit");
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
      default -> {
        ids(p.entity().name()).add(p.id());
        yield Optional.empty();
      }
    };
  }

  private Optional<PropertyValue> bound(Instance p, String attribute) {
    Value v = p.get(attribute);
    return v instanceof Value.Unset ? Optional.empty() : Optional.of(value(v, p, "Unit"));
  }

  private List<PropertyValue> values(Instance p, String attribute, String unit) {
    return p.get(attribute) instanceof Value.Many(List<Value> all)
        ? all.stream().map(v -> value(v, p, unit)).toList()
        : List.of();
  }

  private Optional<PropertyValue> quantity(Instance q) {
    return switch (q.entity().name()) {
      case "IfcQuantityLength" -> measured(q, "LengthValue", "IfcLengthMeasure");
      case "IfcQuantityArea" -> measured(q, "AreaValue", "IfcAreaMeasure");
      case "IfcQuantityVolume" -> measured(q, "VolumeValue", "IfcVolumeMeasure");
      case "IfcQuantityWeight" -> measured(q, "WeightValue", "IfcMassMeasure");
      case "IfcQuantityTime" -> measured(q, "TimeValue", "IfcTimeMeasure");
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
    return Optional.of(measure(measure, q.number(attribute), q, "Unit"));
  }

  /** The schema was checked before: a value here is unset, or a typed one that fits its type. */
  private PropertyValue value(Value v, Instance p, String unit) {
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
              false,
              java.util.Arrays.stream(n).<PropertyValue>mapToObj(PropertyValue.Real::new).toList());
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

  private PropertyValue measure(String type, double d, Instance p, String unit) {
    double factor = factor(type, p, unit);
    String upper = type.toUpperCase(Locale.ROOT);
    if (upper.equals("IFCLENGTHMEASURE")) {
      return new PropertyValue.Length(d * factor);
    }
    return upper.equals("IFCAREAMEASURE")
        ? new PropertyValue.Area(d * factor)
        : new PropertyValue.Measure(type, d * factor);
  }

  /** By the property's own unit, else by the file's; SI units where neither says. */
  private double factor(String type, Instance p, String unit) {
    Optional<Instance> own = unit.isEmpty() ? Optional.empty() : p.ref(unit);
    if (own.isPresent()) {
      double si = Units.metres(own.get());
      if (Double.isFinite(si)) {
        return si;
      }
      guessed.add(type + " in #" + own.get().id());
      return 1;
    }
    String kind = Units.kindOf(type);
    Optional<Double> assigned = units.factor(kind);
    if (assigned.isEmpty() && GUESSED_UNITS.contains(kind)) {
      guessed.add(type);
    }
    return assigned.orElse(1.0);
  }

  private String asInStandard(String type) {
    return model.schema().type(type.toUpperCase(Locale.ROOT)).map(t -> t.name()).orElse(type);
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
    if (!guessed.isEmpty()) {
      boolean metric = units.saysLength() && units.length() == 1;
      String message =
          "The file does not say the unit of "
              + String.join(", ", guessed)
              + "; such properties are taken in SI units. Ask the sender for the units.";
      findings.add(
          metric
              ? Finding.warning(RECEIVE, "ifc.property.unit", "", message)
              : Finding.error(RECEIVE, "ifc.property.unit", "", message));
    }
  }
}
