package wellspan.core.step;

import java.util.List;
import java.util.Locale;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Shape;

/** Carries out steps. A step that cannot be carried out leaves the item as it was and says why. */
public final class Shaper {
  private Shaper() {}

  /**
   * What a step gives before it is told and recorded.
   *
   * @param more items made besides
   */
  record Done(Shape shape, List<Item> more, String told, List<Finding> findings) {
    Done(Shape shape, String told) {
      this(shape, List.of(), told, List.of());
    }
  }

  /**
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static StepOutcome apply(
      RecordedStep recorded, Item item, Inputs inputs, Progress progress) {
    if (!recorded.on()) {
      return StepOutcome.passed(recorded, item);
    }
    progress.step(0, recorded.step().title() + ": " + item.name());
    try {
      Done done =
          switch (item.shape()) {
            case Shape.Points p -> PointSteps.apply(recorded.step(), item, p, inputs, progress);
            case Shape.Faces f when item.kind().is(Kind.TERRAIN) ->
                SurfaceSteps.apply(recorded.step(), item, f, inputs, progress);
            case Shape.Lines l -> LineSteps.apply(recorded.step(), item, l);
            case Shape.Faces f -> throw unfit(recorded.step(), item);
            case Shape.Picture g -> throw unfit(recorded.step(), item);
            case Shape.Axis a -> throw unfit(recorded.step(), item);
          };
      Item after = item.with(done.shape);
      return new StepOutcome(
          recorded, after, done.more, Extent.of(item), Extent.of(after), done.told, done.findings);
    } catch (IllegalArgumentException e) {
      Extent same = Extent.of(item);
      String why = item.name() + ": \u201c" + recorded.step().title() + "\u201d: " + e.getMessage();
      return new StepOutcome(
          recorded,
          item,
          List.of(),
          same,
          same,
          e.getMessage(),
          List.of(Finding.error(Stop.SHAPE, "step.failed", item.name(), why)));
    }
  }

  static IllegalArgumentException unfit(Step step, Item item) {
    return new IllegalArgumentException(
        "this step is not for an item of the kind \u201c" + item.kind() + "\u201d. Switch it off.");
  }

  /** A count with its share of a whole. */
  static String share(int some, int all, String what) {
    return String.format(
        Locale.ROOT,
        "%d %s dropped (%.2f %% of %d)",
        some,
        what,
        100.0 * some / Math.max(1, all),
        all);
  }
}
