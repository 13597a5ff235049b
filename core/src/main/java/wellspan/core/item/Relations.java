package wellspan.core.item;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wellspan.core.attribute.Connection;
import wellspan.core.attribute.Reference;
import wellspan.core.attribute.RelationType;

/** Finds how items stand to each other by what their sources say. */
public final class Relations {
  private Relations() {}

  /**
   * Every relation once, in the order of the items. What names an item that is not there is none.
   * Time of the number of items and of what they say.
   */
  public static List<Relation> of(Map<ItemId, Item> items) {
    Set<Relation> out = new LinkedHashSet<>();
    Map<String, List<ItemId>> joined = new HashMap<>();
    items.forEach(
        (id, item) -> {
          String source = id.value().substring(0, Math.max(0, id.value().indexOf('/')));
          for (Reference r : item.attributes().references()) {
            ItemId other = ItemId.ofOrigin(source, r.kind(), r.name());
            if (items.containsKey(other) && !other.equals(id)) {
              add(out, new Relation(id, r.type(), other));
            }
          }
          for (Connection.Port p :
              item.attributes().connection().map(Connection::ports).orElse(List.of())) {
            joined.computeIfAbsent(source + "/" + p.link(), k -> new ArrayList<>(2)).add(id);
          }
        });
    for (List<ItemId> ends : joined.values()) {
      if (ends.size() == 2 && !ends.get(0).equals(ends.get(1))) {
        add(out, new Relation(ends.get(0), RelationType.CONNECTS, ends.get(1)));
      }
    }
    return List.copyOf(out);
  }

  /** Of two that are connected either may say so. */
  private static void add(Set<Relation> to, Relation r) {
    boolean there =
        r.type() == RelationType.CONNECTS && to.contains(new Relation(r.to(), r.type(), r.from()));
    if (!there) {
      to.add(r);
    }
  }
}
