package wellspan.core.build;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Supplier;
import wellspan.core.build.OperationResults.MadeItems;
import wellspan.core.build.OperationResults.PreparedItem;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.job.SourceNames;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Recipe;
import wellspan.core.progress.Progress;
import wellspan.core.replay.RecipeRun;
import wellspan.core.replay.RecordedStep;
import wellspan.core.replay.StepOutcome;
import wellspan.core.replay.StepRun;

/** Carries out what is recorded. */
final class OperationRun {
  /** Thrown instead of working where only what is ready is wanted. */
  static final class NotReady extends RuntimeException {
    private static final long serialVersionUID = 1;

    NotReady() {
      super("not ready", null, false, false);
    }
  }

  private final Job job;
  private final OperationResults before;
  private final ResultCache cache;

  /** What each item, as it is before its steps, hangs on. */
  private final Map<ItemId, String> keys;

  /** What each item, as its steps left it, hangs on. */
  private final Map<ItemId, String> doneKeys = new HashMap<>();

  private final Optional<Progress> progress;
  private final Map<ItemId, Item> base;
  private final Map<ItemId, Item> done = new LinkedHashMap<>();
  private final Map<ItemId, PreparedItem> shaped = new LinkedHashMap<>();
  private final Map<String, MadeItems> made = new LinkedHashMap<>();
  private final Set<ItemId> underWay = new HashSet<>();

  /**
   * @param placed items as they come from sources, in shared coordinates
   * @param keys what each of them hangs on, as text
   * @param progress empty to take over what is ready and to do nothing else
   */
  OperationRun(
      Job job,
      Map<ItemId, Item> placed,
      Map<ItemId, String> keys,
      OperationResults before,
      ResultCache cache,
      Optional<Progress> progress) {
    this.job = job;
    this.keys = new HashMap<>(keys);
    this.before = before;
    this.cache = cache;
    this.progress = progress;
    this.base = new LinkedHashMap<>(placed);
  }

  /**
   * @return all items, shaped, those that were made at the end
   * @throws NotReady if there is something to do and nothing is to be done
   */
  Map<ItemId, Item> items() {
    for (Recipe recipe : job.recipes()) {
      MadeItems m = make(recipe);
      made.put(recipe.name(), m);
      m.result().items().forEach(i -> base.put(made(i), i));
      m.result().items().forEach(i -> keys.put(made(i), key(recipe, m.used(), made(i).value())));
    }
    // a step may leave items besides; those may have steps too
    for (List<ItemId> todo = List.copyOf(base.keySet());
        !done.keySet().containsAll(todo);
        todo = List.copyOf(base.keySet())) {
      todo.forEach(this::shape);
    }
    Map<ItemId, Item> ordered = new LinkedHashMap<>();
    base.keySet().forEach(id -> ordered.put(id, done.get(id)));
    return ordered;
  }

  OperationResults result() {
    return new OperationResults(
        Collections.unmodifiableMap(shaped), Collections.unmodifiableMap(made));
  }

  /** Identity of what was made in the job. */
  static ItemId made(Item i) {
    return ItemId.of(SourceNames.JOB, i);
  }

  private MadeItems make(Recipe recipe) {
    Map<ItemId, Item> used = new TreeMap<>();
    for (ItemId id : recipe.uses()) {
      if (base.containsKey(id)) {
        used.put(id, shape(id));
      }
    }
    MadeItems known = before.made().get(recipe.name());
    if (known != null && known.recipe().equals(recipe) && same(known.used(), used)) {
      return known;
    }
    Progress p = progress.orElseThrow(NotReady::new);
    Recipe.Made result =
        kept(
            key(recipe, used, ""),
            Recipe.Made.class,
            p,
            () -> RecipeRun.of(recipe, inputs(used), p));
    return new MadeItems(
        recipe,
        used,
        new Recipe.Made(alone(result.items(), Set.of()), result.told(), result.findings()));
  }

  /** A result of the cache, or one that is worked out and, unless cancelled meanwhile, kept. */
  private <T> T kept(String key, Class<T> type, Progress p, Supplier<T> work) {
    Optional<T> found = cache.find(key, type);
    if (found.isPresent()) {
      return found.get();
    }
    long begin = System.nanoTime();
    T result = work.get();
    p.checkCancelled();
    cache.keep(key, result, System.nanoTime() - begin, p);
    return result;
  }

  /** What something made by a recipe hangs on. */
  private String key(Recipe recipe, Map<ItemId, Item> used, String of) {
    return ResultCache.key(recipe.toString(), keys(used), of);
  }

  /** What an item hangs on once these steps are carried out. */
  private String key(ItemId id, List<RecordedStep> steps, Map<ItemId, Item> used) {
    return ResultCache.key(keys.get(id), steps.toString(), keys(used));
  }

  private String keys(Map<ItemId, Item> used) {
    StringBuilder s = new StringBuilder();
    used.keySet()
        .forEach(
            id ->
                s.append(id.value())
                    .append(' ')
                    .append(doneKeys.getOrDefault(id, keys.get(id)))
                    .append('\n'));
    return s.toString();
  }

  private Inputs inputs(Map<ItemId, Item> used) {
    return id -> {
      Item item = used.get(id);
      if (item == null) {
        throw new IllegalArgumentException(
            id
                + " is not there (any more). Choose another item"
                + namesakes(id)
                + ", or receive its source again.");
      }
      return item;
    };
  }

  /** Items of the same name, which may be meant. */
  private String namesakes(ItemId id) {
    String name = id.value().substring(id.value().lastIndexOf('/') + 1);
    List<String> same =
        base.keySet().stream()
            .map(ItemId::value)
            .filter(other -> other.endsWith("/" + name))
            .sorted()
            .limit(3)
            .toList();
    return same.isEmpty() ? "" : " (such as " + String.join(", ", same) + ")";
  }

  private Item shape(ItemId id) {
    Item ready = done.get(id);
    if (ready != null) {
      return ready;
    }
    Item start = base.get(id);
    List<RecordedStep> steps = job.stepsOf(id);
    if (steps.isEmpty() || !underWay.add(id)) {
      if (steps.isEmpty()) {
        done.put(id, start);
      }
      return start; // an item that is asked for by its own steps gives what it was before them
    }
    Map<ItemId, Item> used = new TreeMap<>();
    for (RecordedStep s : steps) {
      for (ItemId other : s.step().uses()) {
        if (s.on() && base.containsKey(other)) {
          used.put(other, shape(other));
        }
      }
    }
    PreparedItem s = carryOut(id, start, steps, used);
    shaped.put(id, s);
    String key = key(id, steps, used);
    for (StepOutcome o : s.outcomes()) {
      o.more().forEach(i -> base.putIfAbsent(made(i), i));
      o.more().forEach(i -> keys.putIfAbsent(made(i), ResultCache.key(key, made(i).value())));
    }
    doneKeys.put(id, key);
    underWay.remove(id);
    done.put(id, s.after());
    return s.after();
  }

  /** Takes over the steps that are as before, from the first one on, and carries out the rest. */
  @SuppressWarnings("ReferenceEquality") // comparing coordinates would cost more than it saves
  private PreparedItem carryOut(
      ItemId id, Item start, List<RecordedStep> steps, Map<ItemId, Item> used) {
    PreparedItem known = before.shaped().get(id);
    List<StepOutcome> outcomes = new ArrayList<>();
    if (known != null && known.before() == start && same(known.used(), used)) {
      while (outcomes.size() < Math.min(steps.size(), known.outcomes().size())
          && known.steps().get(outcomes.size()).equals(steps.get(outcomes.size()))) {
        outcomes.add(alone(known.outcomes().get(outcomes.size()), outcomes));
      }
    }
    Item now = outcomes.isEmpty() ? start : outcomes.getLast().item();
    for (int i = outcomes.size(); i < steps.size(); i++) {
      Progress p = progress.orElseThrow(NotReady::new);
      RecordedStep step = steps.get(i);
      Item subject = now;
      StepOutcome o =
          kept(
              key(id, steps.subList(0, i + 1), used),
              StepOutcome.class,
              p,
              () -> StepRun.of(step, subject, inputs(used), p));
      outcomes.add(alone(o, outcomes));
      now = o.item();
    }
    return new PreparedItem(start, used, steps, List.copyOf(outcomes));
  }

  private StepOutcome alone(StepOutcome o, List<StepOutcome> earlier) {
    Set<ItemId> taken = new HashSet<>();
    earlier.forEach(e -> e.more().forEach(m -> taken.add(made(m))));
    return o.leaving(alone(o.more(), taken));
  }

  /**
   * Items under names that nothing else made in the job has: of two of one name the second would be
   * lost.
   */
  private List<Item> alone(List<Item> fresh, Set<ItemId> taken) {
    Set<ItemId> all = new HashSet<>(taken);
    List<Item> out = new ArrayList<>();
    for (Item i : fresh) {
      Item named = i;
      for (int n = 2; base.containsKey(made(named)) || all.contains(made(named)); n++) {
        named = i.named(i.name() + " (" + n + ")");
      }
      all.add(made(named));
      out.add(named);
    }
    return List.copyOf(out);
  }

  @SuppressWarnings("ReferenceEquality")
  private static boolean same(Map<ItemId, Item> a, Map<ItemId, Item> b) {
    return a.keySet().equals(b.keySet())
        && a.entrySet().stream().allMatch(e -> b.get(e.getKey()) == e.getValue());
  }
}
