package wellspan.core.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.attribute.Attributes;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.operation.AlongLine;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.road.DesignArea;
import wellspan.core.road.PartWords;
import wellspan.core.road.RoadItem;
import wellspan.core.road.RoadPart;
import wellspan.core.road.RoadParts;
import wellspan.core.shape.Shape;
import wellspan.core.sweep.LineOfWork;
import wellspan.core.sweep.SweptBody;
import wellspan.core.typical.CrossfallTable;
import wellspan.core.typical.EdgeOffsets;
import wellspan.core.typical.SectionLayout;
import wellspan.core.typical.ShoulderRule;
import wellspan.core.typical.Superelevation;
import wellspan.core.typical.TypicalRoad;
import wellspan.core.typical.TypicalSection;

/**
 * A road of a typical section that is carried along an alignment or the edge of a junction, in
 * closed bodies.
 *
 * @param along the alignment, or a string with levels as the edge of a junction or a turning head:
 *     there sections meet in mitred corners
 * @param section what is carried
 * @param leftEdge string that the paved edge on the left follows; empty for none
 * @param rightEdge string that the paved edge on the right follows; empty for none
 * @param superelevated whether lanes fall as the alignment's source says
 * @param crossfalls listed ones, instead of what the alignment's source says
 * @param shoulders how paved shoulders fall then
 * @param largestBreak between a shoulder's fall and its lane's, per cent
 * @param from first chainage, metres
 * @param to last chainage, metres
 */
@Declared(
    id = "road",
    title = "Road",
    about =
        "Carries a typical section along an alignment, or along the edge of a junction or turning head: courses, kerbs, footways and verges.",
    also = "carriageway lanes pavement courses typical section template kerbs footways")
public record RoadOfTypicalSection(
    @Parameter(label = "name", start = "\"Road\"") String name,
    @Parameter(
            label = "along",
            takes = {Takes.AXIS, Takes.LINES})
        ItemId along,
    @Parameter(label = "typical section") TypicalSection section,
    @Parameter(label = "left edge follows", usual = "\"\"", takes = Takes.LINES) ItemId leftEdge,
    @Parameter(label = "right edge follows", usual = "\"\"", takes = Takes.LINES) ItemId rightEdge,
    @Parameter(label = "superelevated as the alignment says", usual = "false")
        boolean superelevated,
    @Parameter(label = "or crossfalls listed by chainage", usual = "{\"rows\":[]}")
        CrossfallTable crossfalls,
    @Parameter(label = "shoulders then", usual = "\"own within break\"") ShoulderRule shoulders,
    @Parameter(
            label = "largest break there",
            unit = "%",
            usual = "8",
            start = "8",
            least = 0,
            most = 100)
        double largestBreak,
    @Parameter(label = "from chainage", unit = "m", usual = "-1e9", start = "") double from,
    @Parameter(label = "to chainage", unit = "m", usual = "1e9", start = "") double to)
    implements AlongLine {
  @Override
  public Made make(Inputs inputs, Progress progress) {
    LineOfWork line = LineOfWork.of(inputs, along, new ItemId(""), from, to);
    return line.shape() instanceof Shape.Axis axis
        ? alongAxis(axis.alignment(), line, inputs, progress)
        : alongEdge(line, progress);
  }

  /** Each body swept along the string: lines have no elements that sections could follow. */
  private Made alongEdge(LineOfWork line, Progress progress) {
    if (!leftEdge.value().isEmpty()
        || !rightEdge.value().isEmpty()
        || superelevated
        || !crossfalls.none()) {
      throw new IllegalArgumentException(
          line.name()
              + " is a string; edges and a superelevation can be followed along an alignment only. Leave them out.");
    }
    List<Item> items = new ArrayList<>();
    double volume = 0;
    for (DesignArea a : new SectionLayout(section, 0).bodies()) {
      progress.advance(0, "Carrying " + a.name());
      double[] ring = new double[2 * a.points().size()];
      for (int i = 0; i < a.points().size(); i++) {
        ring[2 * i] = a.points().get(i).offset();
        ring[2 * i + 1] = a.points().get(i).level();
      }
      SweptBody body = SweptBody.of(line, a.name(), ring, 0, 0, 0);
      Kind kind = Kind.of(PartWords.kind(List.of(a.name(), a.note(), "", a.material())));
      items.add(
          new Item(
                  title(a.name(), a.side()),
                  kind,
                  body.shape(),
                  Attributes.ofMaterial(a.material()).withLayer(name))
              .saying(body.facts(a.material())));
      volume += body.volume();
    }
    return made(line, items, volume, List.of());
  }

  private String title(String part, String side) {
    return name + " " + part + (side.isEmpty() || side.equals("both") ? "" : " " + side);
  }

  private Made made(LineOfWork line, List<Item> items, double volume, List<Finding> findings) {
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

  private Made alongAxis(Alignment a, LineOfWork line, Inputs inputs, Progress progress) {
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
                edge(inputs, a, rightEdge),
                turned(inputs, a)),
            findings);
    List<Item> items = new ArrayList<>();
    double volume = 0;
    for (RoadPart p : parts) {
      progress.advance((double) items.size() / parts.size(), "Carrying " + p.name());
      Optional<Item> item =
          RoadItem.of(name, a, p, title(p.name(), p.side()), Stop.SHAPE, findings);
      item.ifPresent(items::add);
      volume += p.body().exactVolume();
    }
    return made(line, items, volume, findings);
  }

  private Optional<TypicalRoad.Turned> turned(Inputs inputs, Alignment a) {
    if (superelevated && !crossfalls.none()) {
      throw new IllegalArgumentException(
          "The falls are those that the alignment says or those that are listed, not both. Choose one of them.");
    }
    Optional<Superelevation> by = Optional.empty();
    if (superelevated) {
      by = Optional.of(Superelevation.of(inputs.item(along), a, section.fall(-1), section.fall(1)));
    } else if (!crossfalls.none()) {
      by = Optional.of(Superelevation.of(crossfalls, a));
    }
    return by.map(s -> new TypicalRoad.Turned(s, shoulders, largestBreak));
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
