package wellspan.core.build;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import wellspan.core.attribute.RelationType;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Relation;
import wellspan.core.operation.AlongLine;
import wellspan.core.operation.Extent;
import wellspan.core.operation.Recipe;
import wellspan.core.replay.RecordedStep;
import wellspan.core.replay.StepOutcome;

/**
 * What steps and recipes made of the items of a job: a function of the placed items and what is
 * recorded. Results whose inputs are the same objects as before are taken over.
 *
 * @param shaped items with steps, by identity
 * @param made what recipes made, by the recipe's name
 */
public record OperationResults(Map<ItemId, PreparedItem> shaped, Map<String, MadeItems> made) {
  static final OperationResults NONE = new OperationResults(Map.of(), Map.of());

  /**
   * An item with its steps carried out.
   *
   * @param before as received or made
   * @param used the other items that its steps looked at
   * @param outcomes one for each step
   */
  public record PreparedItem(
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
  public record MadeItems(Recipe recipe, Map<ItemId, Item> used, Recipe.Made result) {
    /** Figures of what went in. */
    public Extent before() {
      return Extent.of(used.values());
    }

    /** Figures of what came out. */
    public Extent after() {
      return Extent.of(result.items());
    }
  }

  /** What an item was made by and shaped by, as text; empty for what is as received. */
  public String recorded(ItemId id) {
    StringBuilder s = new StringBuilder();
    maker(id).ifPresent(m -> s.append(m.recipe));
    leftBy(id).ifPresent(parent -> s.append(recorded(parent)));
    PreparedItem item = shaped.get(id);
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
    return m == null ? List.of() : m.result.items().stream().map(OperationRun::made).toList();
  }

  /** Which items follow which lines, by the recipes that made them along these. */
  List<Relation> followed() {
    List<Relation> out = new ArrayList<>();
    for (MadeItems m : made.values()) {
      if (m.recipe instanceof AlongLine along) {
        m.result
            .items()
            .forEach(
                i ->
                    out.add(
                        new Relation(OperationRun.made(i), RelationType.FOLLOWS, along.along())));
      }
    }
    return out;
  }

  /** The recipe that made an item, with what it said. */
  public Optional<MadeItems> maker(ItemId id) {
    return made.values().stream()
        .filter(m -> m.result.items().stream().anyMatch(i -> OperationRun.made(i).equals(id)))
        .findFirst();
  }

  /** The item whose step left another one besides. */
  public Optional<ItemId> leftBy(ItemId id) {
    return shaped.entrySet().stream()
        .filter(
            e ->
                e.getValue().outcomes.stream()
                    .anyMatch(
                        o -> o.more().stream().anyMatch(i -> OperationRun.made(i).equals(id))))
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
}
