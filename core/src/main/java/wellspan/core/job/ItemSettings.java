package wellspan.core.job;

import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import wellspan.core.attribute.EntityClass;

/**
 * What was decided about an item; it stays through every revision of the source.
 *
 * @param visible on the stage
 * @param entityClass chosen class, empty for the standard one
 * @param attributes said of it by hand: {@code Set.Property}, or a name without a set
 */
public record ItemSettings(
    boolean visible, Optional<EntityClass> entityClass, Map<String, String> attributes) {
  public static final ItemSettings STANDARD = new ItemSettings(true, Optional.empty(), Map.of());

  public ItemSettings {
    attributes = Collections.unmodifiableMap(new TreeMap<>(attributes));
  }

  public ItemSettings withVisible(boolean shown) {
    return new ItemSettings(shown, entityClass, attributes);
  }

  /** Another class; empty for the standard one. */
  public ItemSettings withClass(Optional<EntityClass> chosen) {
    return new ItemSettings(visible, chosen, attributes);
  }

  /** Says something of it; an empty text takes it back. */
  public ItemSettings withAttribute(String name, String value) {
    Map<String, String> all = new TreeMap<>(attributes);
    if (value.isEmpty()) {
      all.remove(name);
    } else {
      all.put(name, value);
    }
    return new ItemSettings(visible, entityClass, all);
  }
}
