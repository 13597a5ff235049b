package wellspan.core.step;

import java.util.Locale;
import wellspan.core.align.Alignment;
import wellspan.core.extract.ChainageRange;
import wellspan.core.extract.Extract;
import wellspan.core.item.Item;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Step;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Curved;
import wellspan.core.shape.Shape;

/**
 * Keeps the part of an alignment between two chainages.
 *
 * @param from metres, as displayed
 * @param to metres, as displayed
 */
@Declared(
    id = "keep chainages",
    title = "Keep a range of chainages",
    about = "Cuts an alignment off before one chainage and after another, with its profile.",
    also = "split shorten range station",
    accepts = Takes.AXIS)
public record KeepChainages(
    @Parameter(label = "from chainage", unit = "m", usual = "-1e9", start = "") double from,
    @Parameter(label = "to chainage", unit = "m", usual = "1e9", start = "") double to)
    implements Step {
  @Override
  public Done apply(Item item, Inputs inputs, Progress progress) {
    ByDistance.refuse(item);
    Item kept =
        Extract.inRange(item, new ChainageRange(from, to), Curved.USUAL_CHORD)
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        String.format(
                            Locale.ROOT,
                            "%s has nothing from %.3f m to %.3f m.",
                            item.name(),
                            from,
                            to)));
    Alignment was = ((Shape.Axis) item.shape()).alignment();
    Alignment now = ((Shape.Axis) kept.shape()).alignment();
    return new Done(
        kept.shape(),
        String.format(
            Locale.ROOT,
            "%.3f of %.3f m are kept, from %.3f m to %.3f m.",
            now.length(),
            was.length(),
            now.startChainage(),
            now.endChainage()));
  }
}
