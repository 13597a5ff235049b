package wellspan.core.attribute;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A named set of properties in a fixed order.
 *
 * @param quantities whether the values are measured quantities, which models keep apart
 */
public record PropertySet(String name, Map<String, PropertyValue> values, boolean quantities) {

  public PropertySet {
    values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
  }

  /** Sets of both; where one of each has the same name the values of the first count. */
  public static List<PropertySet> merged(List<PropertySet> first, List<PropertySet> more) {
    Map<String, PropertySet> all = new LinkedHashMap<>();
    first.forEach(s -> all.put(s.name(), s));
    more.forEach(s -> all.merge(s.name(), s, PropertySet::over));
    return List.copyOf(all.values());
  }

  private PropertySet over(PropertySet other) {
    Map<String, PropertyValue> both = new LinkedHashMap<>(values);
    other.values.forEach(both::putIfAbsent);
    return new PropertySet(name, both, quantities);
  }

  /** A set of properties. */
  public PropertySet(String name, Map<String, PropertyValue> values) {
    this(name, values, false);
  }
}
