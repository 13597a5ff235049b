package wellspan.core.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import wellspan.core.attribute.Attributes;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.operation.AlongLine;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Curved;
import wellspan.core.shape.Shape;
import wellspan.core.sweep.LineOfWork;
import wellspan.core.sweep.LoftAlong;

/**
 * A wall along a line down to a footing in the ground.
 *
 * @param along the line
 * @param ground in which it is founded
 * @param offset of the wall's middle to the right of the line, metres
 * @param height of its top above the line, metres
 * @param thickness of the wall, metres
 * @param depth of the footing's underside below the ground, metres
 * @param footing width of the footing, metres
 * @param slab thickness of the footing, metres
 * @param from first chainage, metres; before the line's start for all of it
 * @param to last chainage, metres; beyond the line's end for all of it
 */
@Declared(
    id = "retaining wall",
    title = "Retaining wall",
    about = "Builds a wall along a line, from its top down to a footing in the ground.",
    also = "footing gravity wall structure")
public record RetainingWall(
    @Parameter(label = "name", start = "\"Wall\"") String name,
    @Parameter(
            label = "along",
            takes = {Takes.AXIS, Takes.LINES})
        ItemId along,
    @Parameter(label = "founded in", takes = Takes.SURFACE) ItemId ground,
    @Parameter(label = "to the right", unit = "m", usual = "0", start = "0") double offset,
    @Parameter(label = "top above the line", unit = "m", usual = "0", start = "0") double height,
    @Parameter(label = "wall thickness", unit = "m", start = "0.3", least = 0.01, most = 20)
        double thickness,
    @Parameter(label = "footing in the ground", unit = "m", start = "0.9", least = 0, most = 50)
        double depth,
    @Parameter(label = "footing width", unit = "m", start = "1.6", least = 0.01, most = 50)
        double footing,
    @Parameter(label = "footing thickness", unit = "m", start = "0.4", least = 0.01, most = 20)
        double slab,
    @Parameter(label = "from chainage", unit = "m", usual = "-1e9", start = "") double from,
    @Parameter(label = "to chainage", unit = "m", usual = "1e9", start = "") double to,
    @Parameter(label = "material", usual = "\"concrete\"") String material)
    implements AlongLine {
  @Override
  public Made make(Inputs inputs, Progress progress) {
    if (footing < thickness) {
      throw new IllegalArgumentException(
          "the footing is narrower than the wall on it. Take a wider one.");
    }
    LineOfWork line = LineOfWork.of(inputs, along, new ItemId(""), from, to);
    LineOfWork over = LineOfWork.of(inputs, along, ground, from, to);
    List<LoftAlong.Row> rows = new ArrayList<>();
    double highest = 0;
    for (LineOfWork.Across a : over.across(Math.abs(offset) + footing, Curved.USUAL_CHORD)) {
      Position middle = a.at(offset);
      double bottom = over.groundAt(middle.east(), middle.north()) - depth;
      double top = line.place(a.distance(), 0).level() + height;
      if (Double.isNaN(bottom) || Double.isNaN(top)) {
        throw new IllegalArgumentException(
            at(line, a)
                + " there is no "
                + (Double.isNaN(top) ? "level of the line" : "ground")
                + ". Choose chainages where there is.");
      }
      if (top < bottom + slab + 0.01) {
        throw new IllegalArgumentException(
            String.format(
                Locale.ROOT,
                "%s the wall's top at %.3f m does not reach above its footing, whose upper side lies at %.3f m. Take a higher top, or chainages where the line lies above the ground.",
                at(line, a),
                top,
                bottom + slab));
      }
      highest = Math.max(highest, top - bottom);
      rows.add(new LoftAlong.Row(a.distance(), ring(a, bottom, top)));
    }
    LoftAlong body = new LoftAlong(line.shape().follows(), rows);
    Item wall =
        new Item(
            name,
            Kind.of("retaining wall"),
            Shape.Faces.of(body, Curved.USUAL_CHORD),
            Attributes.ofMaterial(material).withLayer(line.name()));
    return new Made(
        wall,
        String.format(
            Locale.ROOT,
            "%.3f m of wall along %s, up to %.3f m high with its footing, %.3f m³.",
            line.to() - line.from(),
            line.name(),
            highest,
            body.mesh(Curved.USUAL_CHORD).volume()));
  }

  private static String at(LineOfWork line, LineOfWork.Across a) {
    return String.format(Locale.ROOT, "At chainage %.3f m", line.chainage(a.distance()));
  }

  /** Footing and wall, seen along the line, counter-clockwise. */
  private double[] ring(LineOfWork.Across a, double bottom, double top) {
    double[][] corners = {
      {offset - footing / 2, bottom},
      {offset + footing / 2, bottom},
      {offset + footing / 2, bottom + slab},
      {offset + thickness / 2, bottom + slab},
      {offset + thickness / 2, top},
      {offset - thickness / 2, top},
      {offset - thickness / 2, bottom + slab},
      {offset - footing / 2, bottom + slab}
    };
    double[] out = new double[3 * corners.length];
    for (int i = 0; i < corners.length; i++) {
      Position p = a.at(corners[i][0]);
      out[3 * i] = p.east();
      out[3 * i + 1] = p.north();
      out[3 * i + 2] = corners[i][1];
    }
    return out;
  }
}
