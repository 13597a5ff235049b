package wellspan.core.model;

import java.util.List;

/**
 * A property or a quantity.
 *
 * @param kind how its values are meant
 * @param values of a single one none or one; of a bounded one lower, upper and set point, where
 *     {@link ModelValue.Unknown} of an empty type stands for one that is not given; of a table
 *     defining and defined values in turn
 * @param parts what it is made of, if it is made of others
 */
public record ModelProperty(
    String name, Kind kind, List<ModelValue> values, List<ModelProperty> parts) {

  /** How values of a property are meant. */
  public enum Kind {
    /** One value. */
    SINGLE,
    /** Chosen out of an enumeration. */
    ENUMERATED,
    /** Several. */
    LIST,
    /** A range. */
    BOUNDED,
    /** Pairs. */
    TABLE,
    /** A quantity. */
    QUANTITY,
    /** A reference, or made of others: it is there and not compared. */
    OTHER
  }

  public ModelProperty {
    values = List.copyOf(values);
    parts = List.copyOf(parts);
  }

  /** One that is not made of others. */
  public ModelProperty(String name, Kind kind, List<ModelValue> values) {
    this(name, kind, values, List.of());
  }

  /** One that is made of others. */
  public static ModelProperty madeOf(String name, List<ModelProperty> parts) {
    return new ModelProperty(name, Kind.OTHER, List.of(), parts);
  }

  /** Whether there is anything to compare, or a value that cannot be compared. */
  public boolean isGiven() {
    if (kind == Kind.OTHER) {
      return true;
    }
    for (ModelValue v : values) {
      if (v.isGiven()) {
        return true;
      }
    }
    return false;
  }

  /** The values that are given. */
  public List<ModelValue> given() {
    return values.stream().filter(ModelValue::isGiven).toList();
  }
}
