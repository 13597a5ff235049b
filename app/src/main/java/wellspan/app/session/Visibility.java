package wellspan.app.session;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import wellspan.core.build.Build;
import wellspan.core.item.Band;
import wellspan.core.item.ItemId;
import wellspan.core.job.ItemSettings;
import wellspan.core.road.CourseNumbers;

/** Shows and hides items; each time one undoable edit. Used on the window's thread. */
public final class Visibility {
  private final Session session;
  private final ObjectProperty<Peeled> peeled = new SimpleObjectProperty<>(Peeled.STRATA);

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

  /** What is peeled: whole strata, or the courses of all roads and areas by their number. */
  public enum Peeled {
    STRATA("strata"),
    COURSES("courses");

    private final String word;

    Peeled(String word) {
      this.word = word;
    }

    /** For people. */
    public String word() {
      return word;
    }
  }

  public ObjectProperty<Peeled> peeledProperty() {
    return peeled;
  }

  /**
   * Hides the topmost of what is peeled that still shows something, or shows the one hidden last.
   */
  public void peel(boolean away) {
    switch (peeled.get()) {
      case STRATA -> peelStratum(away);
      case COURSES -> peelCourse(away);
    }
  }

  private void peelCourse(boolean away) {
    Map<Integer, List<ItemId>> courses = new TreeMap<>();
    Collection<Build.BuiltItem> all = session.build().items().values();
    CourseNumbers numbers = CourseNumbers.of(all.stream().map(Build.BuiltItem::item).toList());
    for (Build.BuiltItem i : all) {
      numbers
          .of(i.item())
          .ifPresent(n -> courses.computeIfAbsent(n, k -> new ArrayList<>()).add(i.id()));
    }
    List<List<ItemId>> order = new ArrayList<>(courses.values());
    for (List<ItemId> ids : away ? order : order.reversed()) {
      if (ids.stream().anyMatch(session.build()::isVisible) == away) {
        set(ids, !away);
        return;
      }
    }
    session.say(
        courses.isEmpty()
            ? "There are no courses to peel."
            : away ? "All courses are peeled away." : "All courses are shown.");
  }

  private void peelStratum(boolean away) {
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
