package wellspan.app.session;

import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.Set;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import wellspan.core.item.ItemId;

/**
 * The selected items, of which one leads: the one chosen last, whose journey is told. Used on the
 * window's thread.
 */
public final class Selection {
  private final ObjectProperty<Optional<ItemId>> lead =
      new SimpleObjectProperty<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Set<ItemId>> ids = new ReadOnlyObjectWrapper<>(Set.of());
  private final OutlineSelection outline = new OutlineSelection(this);
  private boolean changing;

  Selection() {
    lead.addListener(
        (o, was, is) -> {
          if (!changing) {
            ids.set(is.map(Set::of).orElse(Set.of()));
          }
        });
  }

  /** Setting it selects that item alone. */
  public ObjectProperty<Optional<ItemId>> leadProperty() {
    return lead;
  }

  /** In the order in which they were chosen. */
  public ReadOnlyObjectProperty<Set<ItemId>> idsProperty() {
    return ids.getReadOnlyProperty();
  }

  public Set<ItemId> ids() {
    return ids.get();
  }

  /** Selects several; the last one leads. */
  public void choose(Collection<ItemId> all) {
    Set<ItemId> next = Collections.unmodifiableSet(new LinkedHashSet<>(all));
    changing = true;
    try {
      // the lead first: whoever is told of the items tells the journey of the one that leads
      lead.set(next.isEmpty() ? Optional.empty() : Optional.of(last(next)));
      ids.set(next);
    } finally {
      changing = false;
    }
  }

  /** Adds an item, or takes it out if it is selected already. */
  public void toggle(ItemId id) {
    Set<ItemId> next = new LinkedHashSet<>(ids.get());
    if (!next.remove(id)) {
      next.add(id);
    }
    choose(next);
  }

  /** Selects by an outline on the stage. */
  public OutlineSelection outline() {
    return outline;
  }

  /** Adds several. */
  public void add(Collection<ItemId> more) {
    Set<ItemId> next = new LinkedHashSet<>(ids.get());
    next.addAll(more);
    choose(next);
  }

  /** Keeps only what is there. */
  void keep(Set<ItemId> there) {
    if (!there.containsAll(ids.get())) {
      choose(ids.get().stream().filter(there::contains).toList());
    }
  }

  private static ItemId last(Set<ItemId> all) {
    ItemId last = null;
    for (ItemId id : all) {
      last = id;
    }
    return last;
  }
}
