package wellspan.core.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.operation.AlongLine;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.road.RoadItem;
import wellspan.core.road.RoadPart;
import wellspan.core.road.RoadParts;
import wellspan.core.shape.Shape;
import wellspan.core.sweep.LineOfWork;
import wellspan.core.typical.EdgeOffsets;
import wellspan.core.typical.TypicalRoad;
import wellspan.core.typical.TypicalSection;

/**
 * A road of a typical section that is carried along an alignment, in closed bodies.
 *
 * @param along the alignment
 * @param section what is carried
 * @param leftEdge string that the paved edge on the left follows; empty for none
 * @param rightEdge string that the paved edge on the right follows; empty for none
 * @param from first chainage, metres
 * @param to last chainage, metres
 */
@Declared(
    id = "road",
    title = "Road",
    about = "Carries a typical section along an alignment: courses, kerbs, footways and verges.")
public record RoadOfTypicalSection(
    @Parameter(label = "name", start = "\"Road\"") String name,
    @Parameter(label = "along", takes = Takes.AXIS) ItemId along,
    @Parameter(label = "typical section") TypicalSection section,
    @Parameter(label = "left edge follows", usual = "\"\"", takes = Takes.LINES) ItemId leftEdge,
    @Parameter(label = "right edge follows", usual = "\"\"", takes = Takes.LINES) ItemId rightEdge,
    @Parameter(label = "from chainage", unit = "m", usual = "-1e9", start = "") double from,
    @Parameter(label = "to chainage", unit = "m", usual = "1e9", start = "") double to)
    implements AlongLine {
  @Override
  public Made make(Inputs inputs, Progress progress) {
    if (!(inputs.item(along).shape() instanceof Shape.Axis axis)) {
      throw new IllegalArgumentException(
          inputs.item(along).name() + " is no alignment. Choose one with a profile.");
    }
    LineOfWork line = LineOfWork.of(inputs, along, new ItemId(""), from, to);
    Alignment a = axis.alignment();
    List<Finding> findings = new ArrayList<>();
    List<RoadPart> parts =
        RoadParts.of(
            a,
            TypicalRoad.sections(
                a,
                section,
                line.from(),
                line.to(),
                edge(inputs, a, leftEdge),
                edge(inputs, a, rightEdge)),
            findings);
    List<Item> items = new ArrayList<>();
    double volume = 0;
    for (RoadPart p : parts) {
      progress.advance((double) items.size() / parts.size(), "Carrying " + p.name());
      String title = name + " " + p.name() + (p.side().equals("both") ? "" : " " + p.side());
      Optional<Item> item = RoadItem.of(name, a, p, title, Stop.SHAPE, findings);
      item.ifPresent(items::add);
      volume += p.body().exactVolume();
    }
    return new Made(
        items,
        String.format(
            Locale.ROOT,
            "%.3f m of %s along %s in %d bodies, %.1f m³.",
            line.to() - line.from(),
            section.name(),
            line.name(),
            items.size(),
            volume),
        findings);
  }

  private static Optional<EdgeOffsets> edge(Inputs inputs, Alignment a, ItemId edge) {
    if (edge.value().isEmpty()) {
      return Optional.empty();
    }
    Item item = inputs.item(edge);
    if (!(item.shape() instanceof Shape.Lines l)) {
      throw new IllegalArgumentException(item.name() + " is no string. Choose one as the edge.");
    }
    return Optional.of(EdgeOffsets.of(a, l.lines()));
  }
}
