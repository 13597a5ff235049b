package wellspan.core.step;

import java.util.Locale;
import java.util.stream.IntStream;
import wellspan.core.align.Alignment;
import wellspan.core.align.ReversedAlignment;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Step;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Shape;

/**
 * Runs a line from its end to its start.
 *
 * @param start chainage at the new start of an alignment, metres
 */
@Declared(
    id = "reverse",
    title = "Run the other way",
    about = "Turns the direction of a line: left becomes right, chainages rise from its old end.",
    also = "reverse flip direction",
    accepts = {Takes.AXIS, Takes.LINES})
public record ReverseDirection(
    @Parameter(label = "alignments start at", unit = "m", usual = "0", start = "0") double start)
    implements Step {
  @Override
  public Done apply(Item item, Inputs inputs, Progress progress) {
    if (item.shape() instanceof Shape.Axis axis) {
      ByDistance.refuse(item);
      Alignment a = axis.alignment();
      int lost = a.chainages().equations().size();
      return new Done(
          new Shape.Axis(ReversedAlignment.of(a, start)),
          String.format(Locale.ROOT, "Runs the other way, from %.3f m on.", start)
              + (lost == 0 ? "" : " Its chainage equations, " + lost + ", are left out."));
    }
    Shape.Lines l = (Shape.Lines) item.shape();
    return new Done(
        new Shape.Lines(l.lines().stream().map(ReverseDirection::reversed).toList()),
        "Runs the other way.");
  }

  private static Polyline reversed(Polyline line) {
    double[] xyz = line.xyz();
    int n = xyz.length / 3;
    return new Polyline(
        IntStream.range(0, xyz.length)
            .mapToDouble(i -> xyz[3 * (n - 1 - i / 3) + i % 3])
            .toArray());
  }
}
