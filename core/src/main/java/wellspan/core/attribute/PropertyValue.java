package wellspan.core.attribute;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** A property's value with its measure. Measures are in SI units. */
public sealed interface PropertyValue {
  /** The value as text, with unit where it is known, for people. */
  String show();

  /** A short text, IfcLabel. */
  record Label(String text) implements PropertyValue {
    @Override
    public String show() {
      return text;
    }
  }

  /**
   * A text of another type.
   *
   * @param type name of the type in ISO 16739-1, such as {@code IfcText} or {@code IfcDate}
   */
  record Words(String type, String text) implements PropertyValue {
    @Override
    public String show() {
      return text;
    }
  }

  record Length(double metres) implements PropertyValue {
    @Override
    public String show() {
      return String.format(Locale.ROOT, "%.3f m", metres);
    }
  }

  record Area(double squareMetres) implements PropertyValue {
    @Override
    public String show() {
      return String.format(Locale.ROOT, "%.2f m\u00b2", squareMetres);
    }
  }

  /**
   * A number of another measure.
   *
   * @param type name of the type in ISO 16739-1, such as {@code IfcVolumeMeasure}
   * @param number in the SI unit of the measure: m³, kg, s, K, radians …
   */
  record Measure(String type, double number) implements PropertyValue {
    @Override
    public String show() {
      return Double.toString(number);
    }
  }

  record Count(long number) implements PropertyValue {
    @Override
    public String show() {
      return Long.toString(number);
    }
  }

  record Real(double number) implements PropertyValue {
    @Override
    public String show() {
      return Double.toString(number);
    }
  }

  record Flag(boolean value) implements PropertyValue {
    @Override
    public String show() {
      return value ? "yes" : "no";
    }
  }

  /** A logical value that is neither true nor false. */
  record Unknown() implements PropertyValue {
    @Override
    public String show() {
      return "unknown";
    }
  }

  /** A property that is named and has no value. */
  record Empty() implements PropertyValue {
    @Override
    public String show() {
      return "no value";
    }
  }

  /**
   * Several values.
   *
   * @param enumerated chosen out of an enumeration; otherwise a list
   */
  record Several(boolean enumerated, List<PropertyValue> values) implements PropertyValue {
    public Several {
      values = List.copyOf(values);
    }

    @Override
    public String show() {
      return String.join(", ", values.stream().map(PropertyValue::show).toList());
    }
  }

  /** A range, open where a bound is not given. */
  record Bounded(
      Optional<PropertyValue> lower,
      Optional<PropertyValue> upper,
      Optional<PropertyValue> setPoint)
      implements PropertyValue {
    @Override
    public String show() {
      return lower.map(PropertyValue::show).orElse("")
          + " … "
          + upper.map(PropertyValue::show).orElse("")
          + setPoint.map(p -> ", " + p.show()).orElse("");
    }
  }

  /**
   * Values that belong together.
   *
   * @param usage what they are put together for, as the standard calls it
   * @param notes what a value is, for people, by its name; those that need none are not there
   */
  record Complex(String usage, Map<String, PropertyValue> values, Map<String, String> notes)
      implements PropertyValue {
    public Complex {
      values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
      notes = Map.copyOf(notes);
    }

    @Override
    public String show() {
      return String.join(
          ", ",
          values.entrySet().stream().map(e -> e.getKey() + ": " + e.getValue().show()).toList());
    }
  }

  /** Pairs of values, as many of the one as of the other. */
  record Table(List<PropertyValue> defining, List<PropertyValue> defined) implements PropertyValue {
    public Table {
      defining = List.copyOf(defining);
      defined = List.copyOf(defined);
    }

    @Override
    public String show() {
      StringBuilder s = new StringBuilder();
      for (int i = 0; i < defining.size(); i++) {
        s.append(i == 0 ? "" : ", ")
            .append(defining.get(i).show())
            .append(": ")
            .append(defined.get(i).show());
      }
      return s.toString();
    }
  }
}
