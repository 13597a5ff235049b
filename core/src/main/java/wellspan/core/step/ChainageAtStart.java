package wellspan.core.step;

import java.util.List;
import java.util.Locale;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.item.Item;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Step;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Shape;

/**
 * Gives an alignment another chainage at its start.
 *
 * @param start metres
 */
@Declared(
    id = "chainage at start",
    title = "Chainage at the start",
    about =
        "Lets the chainages of an alignment count from another number; its equations keep their steps.",
    also = "station stationing start",
    accepts = Takes.AXIS)
public record ChainageAtStart(@Parameter(label = "starts at", unit = "m", start = "0") double start)
    implements Step {
  @Override
  public Done apply(Item item, Inputs inputs, Progress progress) {
    ByDistance.refuse(item);
    Alignment a = ((Shape.Axis) item.shape()).alignment();
    Chainages was = a.chainages();
    double by = start - was.start();
    List<Chainages.Equation> equations =
        was.equations().stream()
            .map(
                e ->
                    new Chainages.Equation(
                        e.distance(), e.back() + by, e.ahead() + by, e.increasing()))
            .toList();
    Alignment now =
        new Alignment(a.name(), a.elements(), new Chainages(start, equations), a.profile());
    return new Done(
        new Shape.Axis(now),
        String.format(
            Locale.ROOT,
            "Starts at %.3f m instead of %.3f m and ends at %.3f m.",
            start,
            was.start(),
            now.endChainage()));
  }
}
