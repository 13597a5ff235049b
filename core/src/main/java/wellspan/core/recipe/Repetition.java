package wellspan.core.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.operation.AlongLine;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.NumberList;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.sweep.CarriedObjects;
import wellspan.core.sweep.LineOfWork;
import wellspan.core.sweep.ObjectShape;

/**
 * Objects set up along a line, turned with it.
 *
 * @param along the line
 * @param object which
 * @param spacing between them, metres
 * @param places chainages at which they stand instead, metres, with spaces between; empty for the
 *     spacing
 * @param offset to the right of the line, metres
 * @param height above the line or the ground, metres
 * @param from first chainage, metres; before the line's start for all of it
 * @param to last chainage, metres; beyond the line's end for all of it
 * @param ground on which they stand; levels of the line where there is none
 */
@Declared(
    id = "objects",
    title = "Objects along a line",
    about = "Sets up posts, lights, marker posts, signs or trees along a string or an alignment.",
    also = "posts lights lamps trees signs markers spacing repeat array")
public record Repetition(
    @Parameter(label = "name", start = "\"Light\"") String name,
    @Parameter(
            label = "along",
            takes = {Takes.AXIS, Takes.LINES})
        ItemId along,
    @Parameter(label = "object", usual = "\"light on a column\"") ObjectShape object,
    @Parameter(label = "every", unit = "m", start = "25", least = 0.1) double spacing,
    @Parameter(label = "or at chainages", unit = "m, such as 120 240.5", usual = "\"\"")
        String places,
    @Parameter(label = "to the right", unit = "m", usual = "0", start = "4.5") double offset,
    @Parameter(label = "higher by", unit = "m", usual = "0", start = "0") double height,
    @Parameter(label = "from chainage", unit = "m", usual = "-1e9", start = "") double from,
    @Parameter(label = "to chainage", unit = "m", usual = "1e9", start = "") double to,
    @Parameter(label = "standing on", usual = "\"\"", takes = Takes.SURFACE) ItemId ground)
    implements AlongLine {
  @Override
  public Made make(Inputs inputs, Progress progress) {
    LineOfWork line = LineOfWork.of(inputs, along, ground, from, to);
    List<Double> at = places.isBlank() ? CarriedObjects.every(line, spacing) : distances(line);
    List<Item> items = CarriedObjects.each(name, object, line, at, offset, height);
    return new Made(
        items, items.size() + " × " + object.word() + " along " + line.name() + ".", List.of());
  }

  private List<Double> distances(LineOfWork line) {
    List<Double> out = new ArrayList<>();
    for (double chainage : NumberList.of(places, "chainage", "120 240.5")) {
      double d = line.distance(chainage);
      if (Math.abs(line.chainage(d) - chainage) > 1e-3) {
        throw new IllegalArgumentException(
            String.format(
                Locale.ROOT,
                "%s has no chainage %.3f m here; it runs from %.3f m to %.3f m.",
                line.name(),
                chainage,
                line.chainage(line.from()),
                line.chainage(line.to())));
      }
      out.add(d);
    }
    return out;
  }
}
