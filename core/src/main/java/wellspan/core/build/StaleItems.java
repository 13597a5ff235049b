package wellspan.core.build;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.job.Source;
import wellspan.core.job.SourceNames;
import wellspan.core.place.SourcePlacement;

/**
 * Which items of a build are not as a later state of the job has them: their source, its placement,
 * their steps or recipe changed, or those of anything that they were made of.
 */
final class StaleItems {
  private final Build shown;
  private final Job next;
  private final Map<ItemId, Boolean> known = new HashMap<>();

  private StaleItems(Build shown, Job next) {
    this.shown = shown;
    this.next = next;
  }

  /** Time of the number of items, and of what those that were made are made of. */
  static Set<ItemId> of(Build shown, Job next) {
    if (next.equals(shown.job())) {
      return Set.of();
    }
    StaleItems s = new StaleItems(shown, next);
    Set<ItemId> out = new HashSet<>();
    for (Build.BuiltItem i : shown.items().values()) {
      if (s.isStale(i.id())) {
        out.add(i.id());
      }
    }
    return Set.copyOf(out);
  }

  private boolean isStale(ItemId id) {
    Boolean before = known.get(id);
    if (before != null) {
      return before;
    }
    known.put(id, false); // an item that is asked for by its own steps
    boolean stale = look(id);
    known.put(id, stale);
    return stale;
  }

  private boolean look(ItemId id) {
    Build.BuiltItem i = shown.items().get(id);
    if (i == null) {
      return true;
    }
    if (!next.stepsOf(id).equals(shown.job().stepsOf(id)) || !isSourceSame(i.source())) {
      return true;
    }
    boolean otherRecipe =
        shown.results().maker(id).map(m -> !next.recipes().contains(m.recipe())).orElse(false);
    return otherRecipe || shown.results().uses(id).stream().anyMatch(this::isStale);
  }

  private boolean isSourceSame(String name) {
    Source was = shown.job().source(name).orElse(null);
    Source is = next.source(name).orElse(null);
    if (was == null || is == null) {
      return name.equals(SourceNames.JOB);
    }
    boolean inSystem = is.placement().where() instanceof SourcePlacement.Where.InSystem;
    return was.current().equals(is.current())
        && was.placement().equals(is.placement())
        && was.reading().equals(is.reading())
        && (!inSystem
            || List.of(shown.job().frame().crs(), shown.job().frame().definition())
                .equals(List.of(next.frame().crs(), next.frame().definition())));
  }
}
