package wellspan.core.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Recipe;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.terrain.ContourLines;
import wellspan.core.terrain.ContourStyle;

/**
 * Contours of a surface as lines: one item of the major ones, one of the others.
 *
 * @param interval distance of levels, metres
 * @param base a level that has a contour, metres
 * @param majorEvery every how many-th is a major one; 0 for none
 */
@Declared(
    id = "contours",
    title = "Contours",
    about = "Makes contours of a surface as lines, the major ones as an item of their own.",
    also = "isolines level lines")
public record Contours(
    @Parameter(label = "name", start = "\"Contours\"") String name,
    @Parameter(label = "of", takes = Takes.SURFACE) ItemId surface,
    @Parameter(label = "every", unit = "m", start = "1", least = 0.001) double interval,
    @Parameter(label = "one at level", unit = "m", usual = "0") double base,
    @Parameter(
            label = "major every",
            unit = "lines; 0 for none",
            usual = "5",
            start = "5",
            least = 0)
        int majorEvery)
    implements Recipe {
  @Override
  public Made make(Inputs inputs, Progress progress) {
    ContourLines c =
        ContourLines.of(
            inputs.ground(surface), new ContourStyle(interval, base, majorEvery), progress);
    List<Polyline> majors = c.lines(true), others = c.lines(false);
    List<Item> items = new ArrayList<>();
    if (!majors.isEmpty()) {
      items.add(Item.string(name + " major", majors));
    }
    if (!others.isEmpty()) {
      items.add(Item.string(name, others));
    }
    if (items.isEmpty()) {
      throw new IllegalArgumentException(
          "no contour crosses the surface. Choose a smaller interval or another base.");
    }
    return new Made(
        items,
        String.format(
            Locale.ROOT,
            "%d lines at %d levels, %d of them major.",
            majors.size() + others.size(),
            c.lines().size(),
            c.majors().size()),
        List.of());
  }
}
