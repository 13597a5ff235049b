package wellspan.core.model;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * A property or quantity set of an object.
 *
 * @param quantities whether it holds quantities
 */
public record ModelSet(String name, boolean quantities, Map<String, ModelProperty> properties) {
  public ModelSet {
    properties = Collections.unmodifiableMap(new LinkedHashMap<>(properties));
  }
}
