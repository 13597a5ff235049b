package wellspan.core.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import wellspan.core.attribute.Description;
import wellspan.core.earthwork.Earthwork;
import wellspan.core.earthwork.Formation;
import wellspan.core.earthwork.SideSlope;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.operation.AlongLine;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Takes;
import wellspan.core.overlay.EarthBodies;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Curved;
import wellspan.core.shape.Shape;
import wellspan.core.sweep.LineOfWork;

/**
 * The formation of a road with side slopes to the ground, and the earth that is cut and filled for
 * it.
 *
 * @param along the alignment
 * @param ground on which the slopes end
 * @param left width of the formation to the left, metres
 * @param right width to the right, metres
 * @param fall to both sides, per cent; positive falls outwards
 * @param depth below the profile, metres
 * @param cut metres out for each metre up
 * @param fill metres out for each metre down
 * @param ditchDepth below the edge where it is cut, metres; 0 for none
 * @param ditchWidth of the ditch's bottom, metres
 * @param bermEvery height between berms, metres; 0 for none
 * @param bermWidth metres
 * @param from first chainage, metres
 * @param to last chainage, metres
 */
@Declared(
    id = "side slopes",
    title = "Side slopes",
    about =
        "Builds the formation of a road with slopes to the ground, ditches and berms, and the bodies of what is cut and filled.",
    also = "batters embankment earthworks cut fill daylight berms ditches")
public record SideSlopes(
    @Parameter(label = "name", start = "\"Formation\"") String name,
    @Parameter(label = "along", takes = Takes.AXIS) ItemId along,
    @Parameter(label = "ground", takes = Takes.SURFACE) ItemId ground,
    @Parameter(label = "width to the left", unit = "m", start = "5", least = 0.1) double left,
    @Parameter(label = "width to the right", unit = "m", start = "5", least = 0.1) double right,
    @Parameter(
            label = "falls outwards",
            unit = "%",
            usual = "0",
            start = "3",
            least = -100,
            most = 100)
        double fall,
    @Parameter(label = "below the profile", unit = "m", usual = "0", start = "0.52") double depth,
    @Parameter(label = "slope in cut 1 :", usual = "1.5", start = "1.5", least = 0) double cut,
    @Parameter(label = "slope in fill 1 :", usual = "2", start = "2", least = 0) double fill,
    @Parameter(label = "ditch depth", unit = "m, 0 for none", usual = "0", start = "0", least = 0)
        double ditchDepth,
    @Parameter(label = "ditch bottom", unit = "m", usual = "0.5", start = "0.5", least = 0)
        double ditchWidth,
    @Parameter(label = "berm every", unit = "m, 0 for none", usual = "0", start = "0", least = 0)
        double bermEvery,
    @Parameter(label = "berm width", unit = "m", usual = "2", start = "2", least = 0)
        double bermWidth,
    @Parameter(label = "from chainage", unit = "m", usual = "-1e9", start = "") double from,
    @Parameter(label = "to chainage", unit = "m", usual = "1e9", start = "") double to)
    implements AlongLine {
  @Override
  public Made make(Inputs inputs, Progress progress) {
    LineOfWork line = LineOfWork.of(inputs, along, new ItemId(""), from, to);
    if (!(inputs.item(along).shape() instanceof Shape.Axis axis)) {
      throw new IllegalArgumentException(
          line.name() + " is no alignment. Choose one with a profile.");
    }
    Mesh existing = inputs.ground(ground);
    Formation f =
        Formation.of(
            axis.alignment(),
            line.from(),
            line.to(),
            new Formation.Strip(left, right, fall / 100, depth),
            new SideSlope(cut, fill, ditchDepth, ditchWidth, bermEvery, bermWidth),
            existing,
            progress.part(0, 0.6));
    EarthBodies earth = EarthBodies.between(existing, f.mesh(), progress.part(0.6, 1));
    List<Item> items = new ArrayList<>();
    Function<Mesh, Earthwork> along =
        m -> new Earthwork(m, axis.alignment(), line.from(), line.to(), f.reach());
    items.add(item(name, Kind.TERRAIN, along.apply(f.mesh())));
    if (earth.cut().triangleCount() > 0) {
      items.add(item(name + " cut", Kind.CUT, along.apply(earth.cut())).on(line.name()));
    }
    if (earth.fill().triangleCount() > 0) {
      items.add(item(name + " fill", Kind.FILL, along.apply(earth.fill())).on(line.name()));
    }
    return new Made(
        items,
        String.format(
            Locale.ROOT,
            "%.3f m along %s; cut %.1f m³, fill %.1f m³.",
            line.to() - line.from(),
            line.name(),
            earth.cut().volume(),
            earth.fill().volume()),
        f.firstOpen().map(at -> List.of(open(f).at(at))).orElse(List.of()));
  }

  private static Item item(String name, Kind kind, Earthwork along) {
    return Item.of(name, kind, Shape.Faces.of(along, Curved.USUAL_CHORD))
        .saying(Description.NONE.withSets(along.facts()));
  }

  private Finding open(Formation f) {
    return Finding.warning(
        Stop.SHAPE,
        "terrain.slope-open",
        name,
        name
            + ": a side slope does not meet the ground here, nor at "
            + (f.open().size() - 1)
            + " more places. Choose steeper slopes or a larger ground.");
  }
}
