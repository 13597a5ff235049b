package wellspan.core.step;

import java.util.Locale;
import wellspan.core.align.JoinedElements;
import wellspan.core.item.Item;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Step;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Shape;

/**
 * Closes small gaps and angles between the elements of an alignment.
 *
 * @param gap that is closed at most, metres
 * @param bend that is closed at most, degrees
 * @param farthest by which an element may be moved at most, metres
 */
@Declared(
    id = "join elements",
    title = "Join the elements",
    about =
        "Moves and turns each element of an alignment so that it starts where the one before it ends, in its direction. Their lengths and radii stay.",
    also = "gaps alignment",
    accepts = Takes.AXIS)
public record JoinElements(
    @Parameter(label = "gaps up to", unit = "m", usual = "0.05", start = "0.050", least = 0)
        double gap,
    @Parameter(
            label = "angles up to",
            unit = "°",
            usual = "0.5",
            start = "0.5",
            least = 0,
            most = 45)
        double bend,
    @Parameter(
            label = "moving nothing by more than",
            unit = "m",
            usual = "0.1",
            start = "0.100",
            least = 0)
        double farthest)
    implements Step {
  @Override
  public Done apply(Item item, Inputs inputs, Progress progress) {
    JoinedElements j =
        JoinedElements.of(((Shape.Axis) item.shape()).alignment(), gap, Math.toRadians(bend));
    if (j.farthest() > farthest) {
      throw new IllegalArgumentException(
          String.format(
              Locale.ROOT,
              "Joined, %s would lie up to %.3f m beside where it was designed. Allow smaller angles only, or more than %.3f m.",
              item.name(),
              j.farthest(),
              farthest));
    }
    return new Done(
        new Shape.Axis(j.alignment()),
        String.format(
            Locale.ROOT,
            "%d gaps and %d angles closed, nothing moved by more than %.4f m%s.",
            j.gaps(),
            j.bends(),
            j.farthest(),
            j.left() == 0 ? "" : "; " + j.left() + " places are wider and stay"));
  }
}
