package wellspan.core.describe;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/** A named set of properties in a fixed order. */
public record PropertySet(String name, Map<String, PropertyValue> values) {

  public PropertySet {
    values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
  }
}
