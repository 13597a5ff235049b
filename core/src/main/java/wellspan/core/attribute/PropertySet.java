package wellspan.core.attribute;

import java.util.Collections;
import java.util.LinkedHashMap;
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

  /** A set of properties. */
  public PropertySet(String name, Map<String, PropertyValue> values) {
    this(name, values, false);
  }
}
