package wellspan.core.build;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;

/**
 * Attributes for items out of a table: one column tells which item a row is for ({@code name},
 * {@code id}, {@code GlobalId}), the others are attributes, {@code Set.Property} or a name alone.
 *
 * @param values what is said of each item
 * @param notFound what the rows name that no item has
 */
public record AttributeTable(Map<ItemId, Map<String, String>> values, List<String> notFound) {

  /**
   * In time of the number of items and rows. A name that several items have is for all of them.
   *
   * @param rows the first of which names the columns
   * @throws IllegalArgumentException if no column tells the items
   */
  public static AttributeTable of(Build build, List<List<String>> rows) {
    List<String> head =
        rows.isEmpty() ? List.of() : rows.getFirst().stream().map(String::strip).toList();
    int key = -1;
    for (int c = 0; c < head.size() && key < 0; c++) {
      if (List.of("name", "id", "globalid").contains(head.get(c).toLowerCase(Locale.ROOT))) {
        key = c;
      }
    }
    if (key < 0) {
      throw new IllegalArgumentException(
          "no column tells the items; call one of them name, id or GlobalId");
    }
    Map<String, List<ItemId>> byKey = keys(build, head.get(key).toLowerCase(Locale.ROOT));
    Map<ItemId, Map<String, String>> values = new LinkedHashMap<>();
    List<String> notFound = new ArrayList<>();
    for (List<String> row : rows.subList(1, rows.size())) {
      String which = key < row.size() ? row.get(key).strip() : "";
      if (which.isEmpty()) {
        continue;
      }
      List<ItemId> items = byKey.getOrDefault(which, List.of());
      if (items.isEmpty()) {
        notFound.add(which);
      }
      for (int c = 0; c < row.size() && c < head.size(); c++) {
        if (c != key && !head.get(c).isEmpty() && !row.get(c).isEmpty()) {
          for (ItemId i : items) {
            values.computeIfAbsent(i, k -> new LinkedHashMap<>()).put(head.get(c), row.get(c));
          }
        }
      }
    }
    return new AttributeTable(values, List.copyOf(notFound));
  }

  private static Map<String, List<ItemId>> keys(Build build, String by) {
    Map<String, List<ItemId>> out = new HashMap<>();
    for (Build.BuiltItem i : build.items().values()) {
      String key =
          switch (by) {
            case "name" -> i.item().name();
            case "globalid" -> build.globalId(i);
            default -> i.id().value();
          };
      out.computeIfAbsent(key, k -> new ArrayList<>()).add(i.id());
      if (by.equals("id")) {
        out.computeIfAbsent(build.globalId(i), k -> new ArrayList<>()).add(i.id());
      }
    }
    return out;
  }

  /** The job with these attributes. */
  public Job on(Job job) {
    Job out = job;
    for (Map.Entry<ItemId, Map<String, String>> e : values.entrySet()) {
      out =
          out.withSettings(
              List.of(e.getKey()),
              s -> {
                var with = s;
                for (Map.Entry<String, String> v : e.getValue().entrySet()) {
                  with = with.withAttribute(v.getKey(), v.getValue());
                }
                return with;
              });
    }
    return out;
  }
}
