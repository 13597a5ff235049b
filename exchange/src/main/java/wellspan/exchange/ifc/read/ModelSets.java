package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.model.ModelProperty;
import wellspan.core.model.ModelProperty.Kind;
import wellspan.core.model.ModelSet;
import wellspan.core.model.ModelValue;
import wellspan.core.schema.Attribute;

/** The sets of objects with those of their types, property by property. */
final class ModelSets {
  private static final int DEEPEST = 16;

  private static final ModelValue NONE = new ModelValue.Unknown("");

  private final IfcModel model;
  private final ModelValues values;
  private final Soundness soundness;
  private final List<Finding> findings;
  private final Map<Integer, List<Instance>> byObject = new HashMap<>();
  private final Map<Integer, ModelSet> known = new HashMap<>();

  ModelSets(IfcModel model, ModelValues values, Soundness soundness, List<Finding> findings) {
    this.model = model;
    this.values = values;
    this.soundness = soundness;
    this.findings = findings;
    for (Instance rel : model.all("IFCRELDEFINESBYPROPERTIES")) {
      Optional<Instance> one = rel.ref("RelatingPropertyDefinition");
      List<Instance> sets =
          one.map(List::of).orElseGet(() -> definitionSet(rel.get("RelatingPropertyDefinition")));
      for (Instance o : rel.refs("RelatedObjects")) {
        byObject.computeIfAbsent(o.id(), k -> new ArrayList<>()).addAll(sets);
      }
    }
  }

  /** Several definitions at once, as IFC4 allows. */
  private List<Instance> definitionSet(Value v) {
    List<Instance> out = new ArrayList<>();
    Value inner = v instanceof Value.Typed(String type, Value of) ? of : v;
    if (inner instanceof Value.Many(List<Value> all)) {
      for (Value one : all) {
        if (one instanceof Value.Ref(int id)) {
          model.find(id).ifPresent(out::add);
        }
      }
    }
    return out;
  }

  List<ModelSet> of(Instance object, Optional<Instance> type) {
    Map<String, ModelSet> out = new LinkedHashMap<>();
    List<Instance> own =
        object.isA("IFCTYPEOBJECT")
            ? object.refs("HasPropertySets")
            : byObject.getOrDefault(object.id(), List.of());
    for (Instance set : own) {
      add(out, set);
    }
    type.ifPresent(t -> t.refs("HasPropertySets").forEach(set -> add(out, set)));
    return List.copyOf(out.values());
  }

  /** What was there before goes before, property by property. */
  private void add(Map<String, ModelSet> out, Instance definition) {
    ModelSet set = known.computeIfAbsent(definition.id(), k -> read(definition));
    out.merge(
        set.name(),
        set,
        (before, more) -> {
          Map<String, ModelProperty> all = new LinkedHashMap<>(before.properties());
          more.properties().forEach(all::putIfAbsent);
          return new ModelSet(before.name(), before.quantities(), all);
        });
  }

  private ModelSet read(Instance set) {
    Map<String, ModelProperty> out = new LinkedHashMap<>();
    boolean quantities = set.isA("IFCELEMENTQUANTITY");
    Optional<String> fault = soundness.ofItself(set);
    if (fault.isPresent()) {
      findings.add(
          Finding.error(
              Stop.RECEIVE, "ifc.set", set.text("Name"), fault.get() + ". The set is left out."));
      return new ModelSet(set.text("Name"), quantities, out);
    }
    if (quantities) {
      for (Instance q : set.refs("Quantities")) {
        sound(set, q).ifPresent(p -> out.putIfAbsent(p.text("Name"), quantity(p, 0)));
      }
    } else if (set.isA("IFCPROPERTYSET")) {
      for (Instance q : set.refs("HasProperties")) {
        sound(set, q).ifPresent(p -> out.putIfAbsent(p.text("Name"), property(p, 0)));
      }
    } else { // predefined sets hold their values as attributes
      List<Attribute> all = set.entity().attributes();
      for (int i = 4; i < all.size(); i++) {
        String name = all.get(i).name();
        values
            .attribute(set, all.get(i))
            .ifPresent(v -> out.put(name, new ModelProperty(name, Kind.SINGLE, List.of(v))));
      }
    }
    String name = set.text("Name").isEmpty() ? set.entity().name() : set.text("Name");
    return new ModelSet(name, quantities, out);
  }

  private Optional<Instance> sound(Instance set, Instance p) {
    Optional<String> fault = soundness.ofItself(p);
    fault.ifPresent(
        f ->
            findings.add(
                Finding.error(
                    Stop.RECEIVE,
                    "ifc.property",
                    set.text("Name"),
                    set.text("Name") + "." + p.text("Name") + " is left out: " + f + ".")));
    return fault.isEmpty() ? Optional.of(p) : Optional.empty();
  }

  private ModelProperty property(Instance p, int depth) {
    String name = p.text("Name");
    Optional<Instance> unit = p.ref("Unit");
    return switch (p.entity().name()) {
      case "IfcPropertySingleValue" ->
          new ModelProperty(
              name, Kind.SINGLE, values.typed(p.get("NominalValue"), unit).stream().toList());
      case "IfcPropertyEnumeratedValue" ->
          new ModelProperty(
              name,
              Kind.ENUMERATED,
              values.typedAll(
                  p.get("EnumerationValues"),
                  p.ref("EnumerationReference").flatMap(e -> e.ref("Unit"))));
      case "IfcPropertyListValue" ->
          new ModelProperty(name, Kind.LIST, values.typedAll(p.get("ListValues"), unit));
      case "IfcPropertyBoundedValue" ->
          new ModelProperty(
              name,
              Kind.BOUNDED,
              List.of(
                  values.typed(p.get("LowerBoundValue"), unit).orElse(NONE),
                  values.typed(p.get("UpperBoundValue"), unit).orElse(NONE),
                  values.typed(p.get("SetPointValue"), unit).orElse(NONE)));
      case "IfcPropertyTableValue" -> table(p, name);
      case "IfcComplexProperty" ->
          ModelProperty.madeOf(name, parts(p, "HasProperties", depth, x -> property(x, depth + 1)));
      default -> new ModelProperty(name, Kind.OTHER, List.of());
    };
  }

  /** What a property is made of; empty where it is deeper than any but one made of itself. */
  private List<ModelProperty> parts(
      Instance p, String attribute, int depth, Function<Instance, ModelProperty> read) {
    return depth >= DEEPEST
        ? List.of()
        : p.refs(attribute).stream().flatMap(x -> sound(p, x).stream()).map(read).toList();
  }

  private ModelProperty table(Instance p, String name) {
    List<ModelValue> from = values.typedAll(p.get("DefiningValues"), p.ref("DefiningUnit"));
    List<ModelValue> to = values.typedAll(p.get("DefinedValues"), p.ref("DefinedUnit"));
    List<ModelValue> all = new ArrayList<>();
    for (int i = 0; i < Math.min(from.size(), to.size()); i++) {
      all.add(from.get(i));
      all.add(to.get(i));
    }
    return new ModelProperty(name, Kind.TABLE, all);
  }

  private ModelProperty quantity(Instance q, int depth) {
    String name = q.text("Name");
    String[] of =
        switch (q.entity().name()) {
          case "IfcQuantityLength" -> new String[] {"LengthValue", "IfcLengthMeasure"};
          case "IfcQuantityArea" -> new String[] {"AreaValue", "IfcAreaMeasure"};
          case "IfcQuantityVolume" -> new String[] {"VolumeValue", "IfcVolumeMeasure"};
          case "IfcQuantityWeight" -> new String[] {"WeightValue", "IfcMassMeasure"};
          case "IfcQuantityTime" -> new String[] {"TimeValue", "IfcTimeMeasure"};
          case "IfcQuantityCount" -> new String[] {"CountValue", "IfcCountMeasure"};
          case "IfcQuantityNumber" -> new String[] {"NumberValue", "IfcNumericMeasure"};
          default -> new String[0];
        };
    if (q.isA("IFCPHYSICALCOMPLEXQUANTITY")) {
      return ModelProperty.madeOf(
          name, parts(q, "HasQuantities", depth, x -> quantity(x, depth + 1)));
    }
    if (of.length == 0) {
      return new ModelProperty(name, Kind.OTHER, List.of());
    }
    double number = q.number(of[0]);
    return new ModelProperty(
        name,
        Kind.QUANTITY,
        Double.isNaN(number) ? List.of() : List.of(values.measure(of[1], number, q.ref("Unit"))));
  }
}
