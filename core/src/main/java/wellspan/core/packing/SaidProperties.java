package wellspan.core.packing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.Parcel;
import wellspan.core.item.ItemId;

/**
 * All that the items of a job would say in a delivery, as a table of items × properties: what rules
 * say, what is known of them, and what they were received with.
 *
 * @param columns set by set, in the order in which they occur first
 * @param rows sets of each item, by its identity; what is held back is there too
 */
public record SaidProperties(List<Column> columns, Map<String, List<PropertySet>> rows) {

  /** A property of a set. */
  public record Column(String set, String property) {}

  /** As long as a delivery takes to be packed. */
  public static SaidProperties of(Build build, Delivery delivery) {
    Map<String, Set<String>> sets = new LinkedHashMap<>();
    Map<String, List<PropertySet>> rows = new HashMap<>();
    for (Parcel.Piece p : Packing.whole(build, delivery).pieces()) {
      List<PropertySet> said = p.description().propertySets();
      rows.putIfAbsent(p.itemKey(), said);
      for (PropertySet s : said) {
        sets.computeIfAbsent(s.name(), n -> new LinkedHashSet<>()).addAll(s.values().keySet());
      }
    }
    List<Column> columns = new ArrayList<>();
    sets.forEach((set, names) -> names.forEach(n -> columns.add(new Column(set, n))));
    return new SaidProperties(List.copyOf(columns), rows);
  }

  /** What an item says; empty where it does not say this. */
  public Optional<PropertyValue> value(ItemId item, Column column) {
    for (PropertySet s : rows.getOrDefault(item.value(), List.of())) {
      if (s.name().equals(column.set()) && s.values().containsKey(column.property())) {
        return Optional.of(s.values().get(column.property()));
      }
    }
    return Optional.empty();
  }
}
