package wellspan.core.operation;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.geom.PlanPolygon;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.reshape.SurfaceJoin;
import wellspan.core.shape.Shape;

/** The areas that outlines of operations stand for. */
public final class OutlineArea {
  /** Distance of points along an alignment whose strip is taken, metres. */
  private static final double STRIP_STEP = 0.5;

  private OutlineArea() {}

  /**
   * @throws IllegalArgumentException with a sentence, if the outline encloses nothing
   */
  public static Geometry of(Outline outline, Inputs inputs) {
    return switch (outline) {
      case Outline.Drawn d -> drawn(d.ring());
      case Outline.Of o -> of(inputs.item(o.source()), o.offset());
    };
  }

  private static Geometry drawn(List<Double> ring) {
    double[] xyz = new double[ring.size() / 2 * 3];
    if (xyz.length < 9) {
      throw new IllegalArgumentException("The drawn outline needs three corners or more.");
    }
    for (int i = 0; i < ring.size() / 2; i++) {
      xyz[3 * i] = ring.get(2 * i);
      xyz[3 * i + 1] = ring.get(2 * i + 1);
    }
    return PlanPolygon.of(new Polyline(xyz));
  }

  private static Geometry of(Item item, double offset) {
    Shape shape = item.shape();
    if (isStrip(item)) {
      return strip(shape.follows().orElseThrow(), offset);
    }
    Geometry area =
        item.kind().surface() && shape.triangles().isPresent()
            ? SurfaceJoin.area(shape.triangles().get())
            : enclosed(item);
    return offset == 0 ? area : area.buffer(offset);
  }

  /** Whether an item encloses an area by itself, or stands for a strip. */
  public static boolean encloses(Item item) {
    return !item.shape().rings().isEmpty()
        || item.kind().surface() && !item.shape().isEmpty()
        || isStrip(item);
  }

  private static boolean isStrip(Item item) {
    return item.shape().follows().isPresent() && item.shape().triangles().isEmpty();
  }

  private static Geometry enclosed(Item item) {
    if (!item.shape().rings().isEmpty()) {
      return PlanPolygon.union(item.shape().rings().stream().map(PlanPolygon::of).toList());
    }
    throw new IllegalArgumentException(
        item.shape().lines().isEmpty()
            ? item.name() + " is no outline. Take closed lines, a surface or an alignment."
            : item.name() + " holds no closed line, so it encloses nothing.");
  }

  private static Geometry strip(Alignment a, double half) {
    if (!(half > 0)) {
      throw new IllegalArgumentException(
          "The strip along an alignment needs a width: give an offset greater than zero.");
    }
    Coordinate[] line =
        a.everyWithEnds(STRIP_STEP).stream().map(OutlineArea::place).toArray(Coordinate[]::new);
    return new GeometryFactory().createLineString(line).buffer(half, 16, 2);
  }

  private static Coordinate place(AlignmentPoint p) {
    return new Coordinate(p.east(), p.north());
  }
}
