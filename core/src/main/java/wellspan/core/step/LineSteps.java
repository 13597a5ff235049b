package wellspan.core.step;

import java.util.List;
import java.util.Locale;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.shape.Shape;

/** Steps on strings. */
final class LineSteps {
  private LineSteps() {}

  static Shaper.Done apply(Step step, Item item, Shape.Lines lines) {
    if (!(step instanceof Step.Raise r)) {
      throw Shaper.unfit(step, item);
    }
    List<Polyline> moved =
        lines.lines().stream()
            .map(l -> new Polyline(SurfaceSteps.raised(l.xyz(), r.by())))
            .toList();
    return new Shaper.Done(
        new Shape.Lines(moved), String.format(Locale.ROOT, "Moved by %+.3f m.", r.by()));
  }
}
