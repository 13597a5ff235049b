package wellspan.core.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import wellspan.core.attribute.Attributes;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Outline;
import wellspan.core.operation.OutlineArea;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Recipe;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Curved;
import wellspan.core.shape.Shape;
import wellspan.core.solid.Prism;
import wellspan.core.terrain.TriangleIndex;

/**
 * A footprint raised vertically.
 *
 * @param outline of the footprint
 * @param base level of its lower face, metres; on a ground this is added to the ground's lowest
 *     level under the outline
 * @param ground on which it stands; none for a level
 * @param height metres
 */
@Declared(
    id = "extrusion",
    title = "Extrusion",
    about = "Raises a footprint vertically: blocks, plinths, buildings, slabs.",
    also = "footprints buildings prism block storey")
public record Extrusion(
    @Parameter(label = "name", start = "\"Block\"") String name,
    @Parameter(label = "outline") Outline outline,
    @Parameter(label = "standing on", usual = "\"\"", takes = Takes.SURFACE) ItemId ground,
    @Parameter(label = "lower face, or above ground", unit = "m", usual = "0", start = "0")
        double base,
    @Parameter(label = "height", unit = "m", start = "3", least = 0.001) double height,
    @Parameter(label = "material", usual = "\"concrete\"") String material)
    implements Recipe {
  @Override
  public Made make(Inputs inputs, Progress progress) {
    Geometry area = OutlineArea.of(outline, inputs);
    double low = base + (ground.value().isEmpty() ? 0 : lowest(area, inputs.ground(ground)));
    List<Item> items = new ArrayList<>();
    double volume = 0;
    for (int i = 0; i < area.getNumGeometries(); i++) {
      if (area.getGeometryN(i) instanceof Polygon p && p.getArea() > 0) {
        Shape.Faces body = Shape.Faces.of(new Prism(face(p, low), height), Curved.USUAL_CHORD);
        volume += body.mesh().volume();
        items.add(
            new Item(
                items.isEmpty() ? name : name + " " + (items.size() + 1),
                Kind.of("block"),
                body,
                Attributes.ofMaterial(material)));
      }
    }
    if (items.isEmpty()) {
      throw new IllegalArgumentException("the outline encloses nothing.");
    }
    return new Made(
        items,
        String.format(
            Locale.ROOT,
            "%.3f m² from %.3f m to %.3f m, %.3f m³.",
            area.getArea(),
            low,
            low + height,
            volume),
        List.of());
  }

  private static List<double[]> face(Polygon p, double level) {
    List<double[]> loops = new ArrayList<>();
    loops.add(loop(p.getExteriorRing(), level));
    for (int i = 0; i < p.getNumInteriorRing(); i++) {
      loops.add(loop(p.getInteriorRingN(i), level));
    }
    return loops;
  }

  private static double[] loop(LineString ring, double level) {
    Coordinate[] c = ring.getCoordinates();
    double[] out = new double[3 * (c.length - 1)];
    for (int i = 0; i + 1 < c.length; i++) {
      out[3 * i] = c[i].x;
      out[3 * i + 1] = c[i].y;
      out[3 * i + 2] = level;
    }
    return out;
  }

  /** Lowest level of the ground at the corners of the outline. */
  private static double lowest(Geometry area, Mesh under) {
    TriangleIndex index = new TriangleIndex(under);
    double low = Double.POSITIVE_INFINITY;
    for (Coordinate c : area.getCoordinates()) {
      double h = index.levelAt(c.x, c.y);
      if (Double.isNaN(h)) {
        throw new IllegalArgumentException(
            String.format(
                Locale.ROOT,
                "the ground does not reach the outline at E %.3f N %.3f. Choose another ground, or a level.",
                c.x,
                c.y));
      }
      low = Math.min(low, h);
    }
    return low;
  }
}
