package wellspan.core.replay;

import java.util.List;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.operation.Extent;

/**
 * What a step made of an item.
 *
 * @param item the item as it is now; as before, if the step is off or failed
 * @param more items made besides
 * @param told what happened, a sentence with figures
 * @param findings conflicts, and the reason if it failed
 */
public record StepOutcome(
    RecordedStep step,
    Item item,
    List<Item> more,
    Extent before,
    Extent after,
    String told,
    List<Finding> findings) {

  static StepOutcome unchanged(RecordedStep step, Item item, String told) {
    Extent e = Extent.of(item);
    return new StepOutcome(step, item, List.of(), e, e, told, List.of());
  }

  /** The same, leaving other items besides. */
  public StepOutcome leaving(List<Item> others) {
    return others.isEmpty()
        ? this
        : new StepOutcome(step, item, others, before, after, told, findings);
  }

  public boolean failed() {
    return findings.stream().anyMatch(Finding::isError);
  }
}
