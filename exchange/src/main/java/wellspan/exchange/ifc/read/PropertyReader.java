package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.describe.PropertySet;
import wellspan.core.describe.PropertyValue;

/** Finds the property sets of objects; lengths and areas become metres and square metres. */
final class PropertyReader {
  private final Units units;
  private final Map<Integer, List<Instance>> byObject = new HashMap<>();
  private final Map<Integer, PropertySet> known = new HashMap<>();

  PropertyReader(IfcModel model, Units units) {
    this.units = units;
    for (Instance rel : model.all("IFCRELDEFINESBYPROPERTIES")) {
      rel.ref("RelatingPropertyDefinition")
          .filter(d -> d.isA("IFCPROPERTYSET"))
          .ifPresent(
              set ->
                  rel.refs("RelatedObjects")
                      .forEach(
                          o -> byObject.computeIfAbsent(o.id(), k -> new ArrayList<>()).add(set)));
    }
  }

  List<PropertySet> of(Instance object) {
    return byObject.getOrDefault(object.id(), List.of()).stream()
        .map(s -> known.computeIfAbsent(s.id(), k -> read(s)))
        .toList();
  }

  private PropertySet read(Instance set) {
    Map<String, PropertyValue> values = new LinkedHashMap<>();
    for (Instance p : set.refs("HasProperties")) {
      if (p.isA("IFCPROPERTYSINGLEVALUE")) {
        values.put(p.text("Name"), value(p.get("NominalValue")));
      } else if (p.isA("IFCPROPERTYENUMERATEDVALUE")
          && p.get("EnumerationValues") instanceof Value.Many(List<Value> all)) {
        values.put(
            p.text("Name"),
            new PropertyValue.Label(
                String.join(", ", all.stream().map(v -> value(v).show()).toList())));
      }
    }
    return new PropertySet(set.text("Name"), values);
  }

  private PropertyValue value(Value v) {
    if (!(v instanceof Value.Typed(String type, Value inner))) {
      return new PropertyValue.Label("");
    }
    return switch (inner) {
      case Value.Text(String s) -> new PropertyValue.Label(s);
      case Value.Literal(String l) when l.equals("T") || l.equals("F") ->
          new PropertyValue.Flag(l.equals("T"));
      case Value.Literal(String l) -> new PropertyValue.Label(l);
      case Value.Num(double d, boolean whole) ->
          switch (type.toUpperCase(java.util.Locale.ROOT)) {
            case "IFCLENGTHMEASURE", "IFCPOSITIVELENGTHMEASURE", "IFCNONNEGATIVELENGTHMEASURE" ->
                new PropertyValue.Length(d * units.length());
            case "IFCAREAMEASURE" -> new PropertyValue.Area(d * units.area());
            case "IFCINTEGER", "IFCCOUNTMEASURE", "IFCPOSITIVEINTEGER" ->
                new PropertyValue.Count((long) d);
            default -> new PropertyValue.Real(d);
          };
      default -> new PropertyValue.Label("");
    };
  }
}
