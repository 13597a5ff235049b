package wellspan.core.attribute;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A named set of properties in a fixed order.
 *
 * @param quantities whether the values are measured quantities, which models keep apart
 * @param description of the set, for people; empty where there is none
 * @param notes what a property is, for people, by its name; those that need none are not there
 */
public record PropertySet(
    String name,
    Map<String, PropertyValue> values,
    boolean quantities,
    String description,
    Map<String, String> notes) {

  public PropertySet {
    values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
    notes = notes.isEmpty() ? Map.of() : ofKnown(notes, values);
  }

  private static Map<String, String> ofKnown(
      Map<String, String> notes, Map<String, PropertyValue> values) {
    Map<String, String> out = new LinkedHashMap<>(notes);
    out.keySet().retainAll(values.keySet());
    out.values().removeIf(String::isEmpty);
    return Collections.unmodifiableMap(out);
  }

  /** A set of properties. */
  public PropertySet(String name, Map<String, PropertyValue> values) {
    this(name, values, false);
  }

  /** A set that says nothing of itself. */
  public PropertySet(String name, Map<String, PropertyValue> values, boolean quantities) {
    this(name, values, quantities, "", Map.of());
  }

  /** The same set with other values; notes on those that are no longer there go. */
  public PropertySet with(Map<String, PropertyValue> other) {
    return new PropertySet(name, other, quantities, description, notes);
  }

  /** The same under another name. */
  public PropertySet named(String other) {
    return new PropertySet(other, values, quantities, description, notes);
  }

  /** With what is said of the set and of its properties, for people. */
  public PropertySet saying(String ofItself, Map<String, String> ofProperties) {
    return new PropertySet(name, values, quantities, ofItself, ofProperties);
  }

  /** The values of this set, and of another one what this has not. */
  public PropertySet over(PropertySet other) {
    Map<String, PropertyValue> both = new LinkedHashMap<>(values);
    other.values.forEach(both::putIfAbsent);
    Map<String, String> said = new LinkedHashMap<>(notes);
    other.notes.forEach(said::putIfAbsent);
    return with(both).saying(description.isEmpty() ? other.description : description, said);
  }

  /** Sets of both; where one of each has the same name the values of the first count. */
  public static List<PropertySet> merged(List<PropertySet> first, List<PropertySet> more) {
    Map<String, PropertySet> all = new LinkedHashMap<>();
    first.forEach(s -> all.put(s.name(), s));
    more.forEach(s -> all.merge(s.name(), s, PropertySet::over));
    return List.copyOf(all.values());
  }
}
