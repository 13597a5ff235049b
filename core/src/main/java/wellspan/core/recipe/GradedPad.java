package wellspan.core.recipe;

import java.util.List;
import java.util.Locale;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Plane;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Outline;
import wellspan.core.operation.OutlineArea;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Recipe;
import wellspan.core.operation.Takes;
import wellspan.core.overlay.Volumes;
import wellspan.core.pad.Pad;
import wellspan.core.progress.Progress;

/**
 * A level or graded area with side slopes that run out on the ground.
 *
 * @param ground the surface on which the slopes end
 * @param outline of the area itself
 * @param level at the middle (the centre of gravity) of the outline, metres
 * @param fall metres down for each metre, as a percentage; 0 for a level area
 * @param bearing in which it falls, degrees clockwise from grid north
 * @param cut metres out for each metre up where the ground lies higher
 * @param fill metres out for each metre down where it lies lower
 */
@Declared(
    id = "pad",
    title = "Pad",
    about = "Makes a level or graded area with side slopes that run out on the ground.",
    also = "platform building pad grading slope")
public record GradedPad(
    @Parameter(label = "name", start = "\"Pad\"") String name,
    @Parameter(label = "ground", takes = Takes.SURFACE) ItemId ground,
    @Parameter(label = "outline") Outline outline,
    @Parameter(label = "level in the middle", unit = "m") double level,
    @Parameter(label = "fall", unit = "%", start = "0") double fall,
    @Parameter(label = "falls towards", unit = "° from N", start = "0") double bearing,
    @Parameter(label = "slope in cut 1 :", start = "1.5", least = 0) double cut,
    @Parameter(label = "slope in fill 1 :", start = "2", least = 0) double fill)
    implements Recipe {
  @Override
  public Made make(Inputs inputs, Progress progress) {
    Geometry area = OutlineArea.of(outline, inputs);
    Coordinate middle = area.getCentroid().getCoordinate();
    Plane top = Plane.falling(new Position(middle.x, middle.y, level), fall / 100, bearing);
    Pad pad = Pad.of(area, top, cut, fill, inputs.ground(ground), progress);
    Volumes v = pad.volumes();
    return new Made(
        List.of(Item.surface(name, pad.mesh())),
        String.format(
            Locale.ROOT,
            "%.1f m² with %.1f m² of side slopes; cut %.1f m³, fill %.1f m³.",
            pad.area(),
            pad.mesh().planArea() - pad.area(),
            v.cut(),
            v.fill()),
        pad.gapAt().map(at -> List.of(open(pad).at(at))).orElse(List.of()));
  }

  private Finding open(Pad pad) {
    return Finding.warning(
        Stop.SHAPE,
        "terrain.slope-open",
        name,
        name
            + (Double.isInfinite(pad.gap())
                ? ": there is no ground here for the pad or its slopes to end on."
                : String.format(
                    Locale.ROOT,
                    ": a side slope ends %.3f m off the ground here. Choose steeper slopes, another level, or a larger ground.",
                    pad.gap())));
  }
}
