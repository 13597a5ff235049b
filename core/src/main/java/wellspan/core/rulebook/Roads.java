package wellspan.core.rulebook;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;

/** Which road each thing is part of, by the name of its alignment in the same source. */
public final class Roads {
  private final Map<String, Item> byName = new HashMap<>();

  /** Notes an item if it is the alignment of a road. */
  public void add(String source, Item item) {
    if (item.kind().is(Kind.ALIGNMENT)) {
      byName.putIfAbsent(source + '\u0000' + item.name(), item);
    }
  }

  /** What an item is part of, the nearest first; those that were noted. */
  @SuppressWarnings("ReferenceEquality") // an alignment is not part of itself
  public List<Item> above(String source, Item item) {
    Item road = byName.get(source + '\u0000' + road(item));
    return road == null || road == item ? List.of() : List.of(road);
  }

  /** Name of the road that a thing says it is part of; its layer where it does not say. */
  private static String road(Item item) {
    return item.said().propertySets().stream()
        .map(s -> s.values().get("Road"))
        .filter(v -> v instanceof PropertyValue.Label)
        .map(PropertyValue::show)
        .findFirst()
        .orElse(item.layer());
  }
}
