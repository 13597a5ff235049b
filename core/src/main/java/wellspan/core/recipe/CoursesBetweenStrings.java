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
import wellspan.core.typical.StringSections;
import wellspan.core.typical.TypicalSection;

/**
 * Courses of a road whose surface is given by strings, as drawings and surveys give it.
 *
 * @param name of the road, the layer of what is made
 * @param along an alignment that says which way the road runs
 * @param strings edges, crown and other lines of its surface, with levels, in any order
 * @param section whose courses lie under it
 * @param from first chainage, metres
 * @param to last chainage, metres
 */
@Declared(
    id = "courses between strings",
    title = "Courses between strings",
    about =
        "Makes the courses under a surface that strings of a drawing or survey describe: edges and crown, with levels.",
    also = "pavement layers thickness base edges")
public record CoursesBetweenStrings(
    @Parameter(label = "name", start = "\"Road\"") String name,
    @Parameter(label = "along", takes = Takes.AXIS) ItemId along,
    @Parameter(label = "strings", takes = Takes.LINES) List<ItemId> strings,
    @Parameter(label = "courses of") TypicalSection section,
    @Parameter(label = "from chainage", unit = "m", usual = "-1e9", start = "") double from,
    @Parameter(label = "to chainage", unit = "m", usual = "1e9", start = "") double to)
    implements AlongLine {

  public CoursesBetweenStrings {
    strings = List.copyOf(strings);
  }

  @Override
  public Made make(Inputs inputs, Progress progress) {
    LineOfWork line = LineOfWork.of(inputs, along, new ItemId(""), from, to);
    if (!(line.shape() instanceof Shape.Axis axis)) {
      throw new IllegalArgumentException(
          line.name() + " is no alignment. Choose the one that the strings run along.");
    }
    Alignment own = axis.alignment();
    // between sections levels follow the strings, not a profile
    Alignment plan = new Alignment(own.name(), own.elements(), own.chainages(), Optional.empty());
    List<StringSections.DesignString> lines = new ArrayList<>();
    for (ItemId id : strings) {
      Item item = inputs.item(id);
      if (!(item.shape() instanceof Shape.Lines l)) {
        throw new IllegalArgumentException(item.name() + " is no string. Leave it out.");
      }
      lines.add(new StringSections.DesignString(item.name(), l.lines()));
    }
    List<Finding> findings = new ArrayList<>();
    List<RoadPart> parts =
        RoadParts.of(
            plan,
            StringSections.of(plan, lines, section.courses(), line.from(), line.to(), findings),
            findings);
    List<Item> items = new ArrayList<>();
    double volume = 0;
    for (RoadPart p : parts) {
      progress.advance((double) items.size() / parts.size(), "Carrying " + p.name());
      Optional<Item> item = RoadItem.of(name, plan, p, name + " " + p.name(), Stop.SHAPE, findings);
      item.ifPresent(items::add);
      volume += p.body().exactVolume();
    }
    return new Made(
        items,
        String.format(
            Locale.ROOT,
            "%d courses between %d strings along %s, %.1f m³.",
            items.size(),
            lines.size(),
            own.name(),
            volume),
        findings);
  }
}
