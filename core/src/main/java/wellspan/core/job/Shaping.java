package wellspan.core.job;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Recipe;
import wellspan.core.progress.Progress;
import wellspan.core.replay.RecipeRun;
import wellspan.core.replay.RecordedStep;
import wellspan.core.replay.StepOutcome;
import wellspan.core.replay.StepRun;

/**
 * What steps and recipes made of the items of a job: a function of the placed items and what is
 * recorded. Results whose inputs are the same objects as before are taken over.
 *
 * @param shaped items with steps, by identity
 * @param made what recipes made, by the recipe's name
 */
public record Shaping(Map<ItemId, ShapedItem> shaped, Map<String, MadeItems> made) {
  static final Shaping NONE = new Shaping(Map.of(), Map.of());

  /**
   * An item with its steps carried out.
   *
   * @param before as received or made
   * @param used the other items that its steps looked at
   * @param outcomes one for each step
   */
  public record ShapedItem(
      Item before, Map<ItemId, Item> used, List<RecordedStep> steps, List<StepOutcome> outcomes) {
    public Item after() {
      return outcomes.isEmpty() ? before : outcomes.getLast().item();
    }
  }

  /**
   * What a recipe made, before steps of its own.
   *
   * @param used what it was made of
   */
  public record MadeItems(Recipe recipe, Map<ItemId, Item> used, Recipe.Made result) {}

  /** Thrown instead of working where only what is ready is wanted. */
  static final class NotReady extends RuntimeException {
    private static final long serialVersionUID = 1;

    NotReady() {
      super("not ready", null, false, false);
    }
  }

  /** What an item was made by and shaped by, as text; empty for what is as received. */
  public String recorded(ItemId id) {
    StringBuilder s = new StringBuilder();
    maker(id).ifPresent(m -> s.append(m.recipe));
    leftBy(id).ifPresent(parent -> s.append(recorded(parent)));
    ShapedItem item = shaped.get(id);
    if (item != null) {
      item.steps.stream().filter(RecordedStep::on).forEach(step -> s.append(step.step()));
    }
    return s.toString();
  }

  /** Every item that went into one. */
  public Set<ItemId> uses(ItemId id) {
    Set<ItemId> out = new TreeSet<>();
    maker(id).ifPresent(m -> out.addAll(m.used.keySet()));
    leftBy(id)
        .ifPresent(
            parent -> {
              out.add(parent);
              out.addAll(uses(parent));
            });
    if (shaped.containsKey(id)) {
      out.addAll(shaped.get(id).used.keySet());
    }
    return out;
  }

  /** What a recipe made, by identity; nothing if it failed or there is no such recipe. */
  public List<ItemId> madeBy(String recipe) {
    MadeItems m = made.get(recipe);
    return m == null ? List.of() : m.result.items().stream().map(Run::made).toList();
  }

  /** The recipe that made an item, with what it said. */
  public Optional<MadeItems> maker(ItemId id) {
    return made.values().stream()
        .filter(m -> m.result.items().stream().anyMatch(i -> Run.made(i).equals(id)))
        .findFirst();
  }

  /** The item whose step left another one besides. */
  public Optional<ItemId> leftBy(ItemId id) {
    return shaped.entrySet().stream()
        .filter(
            e ->
                e.getValue().outcomes.stream()
                    .anyMatch(o -> o.more().stream().anyMatch(i -> Run.made(i).equals(id))))
        .map(Map.Entry::getKey)
        .findFirst();
  }

  /** Findings of all steps and recipes. */
  public List<Finding> findings() {
    List<Finding> out = new ArrayList<>();
    made.values().forEach(m -> out.addAll(m.result.findings()));
    shaped.forEach(
        (id, s) -> s.outcomes.forEach(o -> o.findings().forEach(f -> out.add(f.about(id)))));
    return out;
  }

  /** Carries out what is recorded. */
  static final class Run {
    private final Job job;
    private final Shaping before;
    private final Optional<Progress> progress;
    private final Map<ItemId, Item> base;
    private final Map<ItemId, Item> done = new LinkedHashMap<>();
    private final Map<ItemId, ShapedItem> shaped = new LinkedHashMap<>();
    private final Map<String, MadeItems> made = new LinkedHashMap<>();
    private final Set<ItemId> underWay = new HashSet<>();

    /**
     * @param placed items as they come from sources, in shared coordinates
     * @param progress empty to take over what is ready and to do nothing else
     */
    Run(Job job, Map<ItemId, Item> placed, Shaping before, Optional<Progress> progress) {
      this.job = job;
      this.before = before;
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
        m.result.items().forEach(i -> base.put(made(i), i));
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

    Shaping result() {
      return new Shaping(Collections.unmodifiableMap(shaped), Collections.unmodifiableMap(made));
    }

    /** Identity of what was made in the job. */
    static ItemId made(Item i) {
      return ItemId.of(Build.JOB, i);
    }

    private MadeItems make(Recipe recipe) {
      Map<ItemId, Item> used = new TreeMap<>();
      for (ItemId id : recipe.uses()) {
        if (base.containsKey(id)) {
          used.put(id, shape(id));
        }
      }
      MadeItems known = before.made.get(recipe.name());
      if (known != null && known.recipe.equals(recipe) && same(known.used, used)) {
        return known;
      }
      Progress p = progress.orElseThrow(NotReady::new);
      Recipe.Made result = RecipeRun.of(recipe, inputs(used), p);
      return new MadeItems(
          recipe,
          used,
          new Recipe.Made(alone(result.items(), Set.of()), result.told(), result.findings()));
    }

    private static Inputs inputs(Map<ItemId, Item> used) {
      return id -> {
        Item item = used.get(id);
        if (item == null) {
          throw new IllegalArgumentException(
              id + " is not there (any more). Choose another item, or receive its source again.");
        }
        return item;
      };
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
      ShapedItem s = carryOut(id, start, steps, used);
      shaped.put(id, s);
      for (StepOutcome o : s.outcomes) {
        o.more().forEach(i -> base.putIfAbsent(made(i), i));
      }
      underWay.remove(id);
      done.put(id, s.after());
      return s.after();
    }

    /** Takes over the steps that are as before, from the first one on, and carries out the rest. */
    @SuppressWarnings("ReferenceEquality") // comparing coordinates would cost more than it saves
    private ShapedItem carryOut(
        ItemId id, Item start, List<RecordedStep> steps, Map<ItemId, Item> used) {
      ShapedItem known = before.shaped.get(id);
      List<StepOutcome> outcomes = new ArrayList<>();
      if (known != null && known.before == start && same(known.used, used)) {
        while (outcomes.size() < Math.min(steps.size(), known.outcomes.size())
            && known.steps.get(outcomes.size()).equals(steps.get(outcomes.size()))) {
          outcomes.add(alone(known.outcomes.get(outcomes.size()), outcomes));
        }
      }
      Item now = outcomes.isEmpty() ? start : outcomes.getLast().item();
      for (int i = outcomes.size(); i < steps.size(); i++) {
        Progress p = progress.orElseThrow(NotReady::new);
        StepOutcome o = StepRun.of(steps.get(i), now, inputs(used), p);
        outcomes.add(alone(o, outcomes));
        now = o.item();
      }
      return new ShapedItem(start, used, steps, List.copyOf(outcomes));
    }

    private StepOutcome alone(StepOutcome o, List<StepOutcome> earlier) {
      Set<ItemId> taken = new HashSet<>();
      earlier.forEach(e -> e.more().forEach(m -> taken.add(made(m))));
      return o.leaving(alone(o.more(), taken));
    }

    /**
     * Items under names that nothing else made in the job has: of two of one name the second would
     * be lost.
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
}
