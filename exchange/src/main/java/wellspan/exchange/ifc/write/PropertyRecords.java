package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.flag;
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
import wellspan.core.deliver.Parcel;
import wellspan.core.describe.PropertySet;
import wellspan.core.describe.PropertyValue;

/** Writes property sets as single values with their measures. */
final class PropertyRecords {
  private static final int LABEL_LIMIT = 255;

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
            step.add(
                "IfcPropertySingleValue", text(p.getKey()), UNSET, value(p.getValue()), UNSET));
      }
      if (!properties.isEmpty()) {
        int written =
            step.root(
                "IfcPropertySet",
                parcel.ids().of(key, "set " + set.name()),
                text(set.name()),
                UNSET,
                refs(properties));
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

  private StepValue value(PropertyValue v) {
    return switch (v) {
      case PropertyValue.Label(String s) ->
          typed(s.codePointCount(0, s.length()) <= LABEL_LIMIT ? "IfcLabel" : "IfcText", text(s));
      case PropertyValue.Length(double m) ->
          typed("IfcLengthMeasure", real(m / parcel.unit().metres()));
      case PropertyValue.Area(double a) -> typed("IfcAreaMeasure", real(a));
      case PropertyValue.Count(long n) -> typed("IfcInteger", whole(n));
      case PropertyValue.Real(double d) -> typed("IfcReal", real(d));
      case PropertyValue.Flag(boolean b) -> typed("IfcBoolean", flag(b));
    };
  }
}
