package wellspan.app.shell;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Predicate;
import wellspan.core.build.Build;
import wellspan.core.item.Band;
import wellspan.core.item.ItemId;

/** The rows of the strata: every band, and below an open one its groups and items. */
final class StrataRows {
  /** One row. */
  sealed interface Row {
    Band band();

    /** The items that the row stands for. */
    List<ItemId> ids();
  }

  /**
   * A stratum.
   *
   * @param share of all items, 0 to 1
   */
  record BandRow(Band band, List<ItemId> ids, double share, boolean open) implements Row {}

  /** Items of a stratum that say the same. */
  record GroupRow(Band band, String title, List<ItemId> ids, boolean open) implements Row {
    /** Tells it from a group of that name in another band. */
    String key() {
      return band + "/" + title;
    }
  }

  record ItemRow(Band band, Build.BuiltItem item, boolean grouped) implements Row {
    @Override
    public List<ItemId> ids() {
      return List.of(item.id());
    }
  }

  private StrataRows() {}

  /**
   * The rows in their order, in time of the number of items.
   *
   * @param shown which items are looked for
   * @param openBands bands whose items are listed
   * @param openGroups keys of groups whose items are listed
   */
  static List<Row> of(
      Build build,
      Predicate<Build.BuiltItem> shown,
      Grouping grouping,
      Set<Band> openBands,
      Set<String> openGroups) {
    Map<Band, List<Build.BuiltItem>> byBand = new EnumMap<>(Band.class);
    int all = 0;
    for (Build.BuiltItem i : build.items().values()) {
      if (shown.test(i)) {
        byBand.computeIfAbsent(i.item().kind().stratum(), b -> new ArrayList<>()).add(i);
        all++;
      }
    }
    Optional<Function<Build.BuiltItem, String>> group =
        Optional.of(grouping).filter(g -> g != Grouping.NONE).map(g -> g.on(build));
    List<Row> out = new ArrayList<>();
    for (Band band : Band.values()) {
      List<Build.BuiltItem> items = byBand.getOrDefault(band, List.of());
      if (items.isEmpty() && band == Band.DRAWINGS) {
        continue;
      }
      boolean open = openBands.contains(band);
      double share = all == 0 ? 0 : (double) items.size() / all;
      out.add(new BandRow(band, ids(items), share, open));
      if (open) {
        below(band, items, group, openGroups, out);
      }
    }
    return out;
  }

  private static void below(
      Band band,
      List<Build.BuiltItem> items,
      Optional<Function<Build.BuiltItem, String>> group,
      Set<String> openGroups,
      List<Row> out) {
    if (group.isEmpty()) {
      items.forEach(i -> out.add(new ItemRow(band, i, false)));
      return;
    }
    Map<String, List<Build.BuiltItem>> groups = new TreeMap<>();
    for (Build.BuiltItem i : items) {
      groups.computeIfAbsent(group.get().apply(i), g -> new ArrayList<>()).add(i);
    }
    groups.forEach(
        (title, of) -> {
          GroupRow row =
              new GroupRow(
                  band,
                  title,
                  ids(of),
                  openGroups.contains(new GroupRow(band, title, List.of(), false).key()));
          out.add(row);
          if (row.open()) {
            of.forEach(i -> out.add(new ItemRow(band, i, true)));
          }
        });
  }

  private static List<ItemId> ids(List<Build.BuiltItem> items) {
    return items.stream().map(Build.BuiltItem::id).toList();
  }
}
