package wellspan.core.step;

import java.util.List;
import java.util.Locale;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;

/** Steps on strings. */
final class LineSteps {
  private LineSteps() {}

  static Shaper.Done apply(Step step, Item.StringLine lines) {
    if (!(step instanceof Step.Raise r)) {
      throw Shaper.unfit(step, lines);
    }
    List<Polyline> moved =
        lines.lines().stream()
            .map(l -> new Polyline(SurfaceSteps.raised(l.xyz(), r.by())))
            .toList();
    return new Shaper.Done(
        new Item.StringLine(lines.name(), moved),
        String.format(Locale.ROOT, "Moved by %+.3f m.", r.by()));
  }
}
