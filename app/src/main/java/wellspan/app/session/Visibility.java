package wellspan.app.session;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import wellspan.core.build.Build;
import wellspan.core.item.Band;
import wellspan.core.item.ItemId;
import wellspan.core.job.ItemSettings;

/** Shows and hides items; each time one undoable edit. Used on the window's thread. */
public final class Visibility {
  private final Session session;

  Visibility(Session session) {
    this.session = session;
  }

  public void set(Collection<ItemId> items, boolean visible) {
    session.edit(
        (visible ? "Show " : "Hide ")
            + (items.size() == 1 ? items.iterator().next().value() : items.size() + " items"),
        j -> j.withSettings(items, (ItemSettings s) -> s.withVisible(visible)));
  }

  /** Hides items of which one is seen, or shows them. */
  public void flip(Collection<ItemId> items) {
    set(items, items.stream().noneMatch(session.build()::isVisible));
  }

  /** Hides everything else. */
  public void only(Collection<ItemId> items) {
    Set<ItemId> these = Set.copyOf(items);
    List<ItemId> others =
        session.build().items().keySet().stream().filter(id -> !these.contains(id)).toList();
    session.edit(
        "Show only " + (items.size() == 1 ? "one item" : items.size() + " items"),
        j ->
            j.withSettings(others, (ItemSettings s) -> s.withVisible(false))
                .withSettings(items, (ItemSettings s) -> s.withVisible(true)));
  }

  /** The items that are shown. */
  public List<Build.BuiltItem> shown() {
    Build build = session.build();
    return build.items().values().stream().filter(i -> build.isVisible(i.id())).toList();
  }

  public void all() {
    set(session.build().items().keySet(), true);
  }

  /** Hides the topmost stratum that still shows something, or shows the one hidden last. */
  public void peel(boolean away) {
    List<Band> bands = new ArrayList<>(List.of(Band.values()));
    if (!away) {
      bands = bands.reversed();
    }
    for (Band band : bands) {
      List<ItemId> ids = itemsIn(band);
      boolean anyVisible = ids.stream().anyMatch(session.build()::isVisible);
      if (!ids.isEmpty() && anyVisible == away) {
        set(ids, !away);
        return;
      }
    }
  }

  /** The items of a stratum, shown or not. */
  public List<ItemId> itemsIn(Band band) {
    return session.build().items().values().stream()
        .filter(i -> i.item().kind().stratum() == band)
        .map(Build.BuiltItem::id)
        .toList();
  }
}
