package wellspan.core.replay;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.item.Item;
import wellspan.core.operation.Extent;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameters;
import wellspan.core.operation.Step;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Shape;

/** Carries out steps. A step that cannot be carried out leaves the item as it was and says why. */
public final class StepRun {
  private StepRun() {}

  /**
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static StepOutcome of(RecordedStep recorded, Item item, Inputs inputs, Progress progress) {
    if (!recorded.on()) {
      return StepOutcome.unchanged(recorded, item, "Switched off.");
    }
    Step step = recorded.step();
    progress.advance(0, step.title() + ": " + item.name());
    try {
      if (!Operations.accepts(step.getClass(), item)) {
        throw new IllegalArgumentException(
            "this step is not for an item of the kind \u201c"
                + item.kind().title()
                + "\u201d. Switch it off.");
      }
      Parameters.check(step);
      if (item.shape().isEmpty()) {
        return StepOutcome.unchanged(recorded, item, "There is nothing in it to work on.");
      }
      Step.Done done = step.apply(item, inputs, progress);
      Item after = item.with(done.shape());
      return new StepOutcome(
          recorded,
          after,
          done.more(),
          Extent.of(item),
          Extent.of(after),
          done.told(),
          withLostFinishes(item, after, done.findings()));
    } catch (IllegalArgumentException e) {
      Extent same = Extent.of(item);
      String why = item.name() + ": \u201c" + step.title() + "\u201d: " + e.getMessage();
      return new StepOutcome(
          recorded,
          item,
          List.of(),
          same,
          same,
          e.getMessage(),
          List.of(Finding.error(Stop.SHAPE, RecipeRun.FAILED, item.name(), why)));
    }
  }

  /** Triangles that are made anew have none of the finishes that single ones had. */
  private static List<Finding> withLostFinishes(Item before, Item after, List<Finding> findings) {
    boolean lost =
        before.shape() instanceof Shape.Faces b
            && after.shape() instanceof Shape.Faces a
            && b.finishes().isPresent()
            && a.finishes().isEmpty()
            && !a.isEmpty();
    if (!lost) {
      return findings;
    }
    List<Finding> all = new ArrayList<>(findings);
    all.add(
        Finding.warning(
            Stop.SHAPE,
            "step.finishes",
            before.name(),
            before.name()
                + ": its faces had several colours; they are made anew in this step and have one from here on."));
    return List.copyOf(all);
  }
}
