package wellspan.core.rulebook;

import java.util.LinkedHashMap;
import java.util.Map;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.item.Item;

/** What was said of an item by hand, as sets of properties. */
public final class OwnAttributes {
  /** The set of attributes that name none. */
  public static final String SET = "Attributes";

  private OwnAttributes() {}

  /**
   * The item with its attributes; they go over what its source says.
   *
   * @param attributes by {@code Set.Property} or a name without a set
   */
  public static Item on(Item item, Map<String, String> attributes) {
    if (attributes.isEmpty()) {
      return item;
    }
    Map<String, Map<String, PropertyValue>> sets = new LinkedHashMap<>();
    attributes.forEach(
        (name, text) -> {
          int dot = name.indexOf('.');
          boolean ofSet = dot > 0 && dot < name.length() - 1;
          sets.computeIfAbsent(ofSet ? name.substring(0, dot) : SET, k -> new LinkedHashMap<>())
              .put(ofSet ? name.substring(dot + 1) : name, new PropertyValue.Label(text));
        });
    return item.saying(
        item.said()
            .withSets(
                Ruled.merged(
                    item.said().propertySets(),
                    sets.entrySet().stream()
                        .map(e -> new PropertySet(e.getKey(), e.getValue()))
                        .toList())));
  }
}
