package wellspan.core.operation;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.geom.PlanPolygon;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.picture.PicturePlace;
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
    Geometry area =
        switch (item.shape()) {
          case Shape.Lines l -> enclosed(item.name(), l);
          case Shape.Faces f when item.kind().surface() -> SurfaceJoin.area(f.mesh());
          case Shape.Axis a -> strip(a.alignment(), offset);
          case Shape.Faces f -> throw none(item);
          case Shape.Points p -> throw none(item);
          case Shape.Picture g -> PlanPolygon.of(outline(g.place()));
        };
    return item.shape() instanceof Shape.Axis || offset == 0 ? area : area.buffer(offset);
  }

  private static Polyline outline(PicturePlace p) {
    double[] xyz = new double[12];
    for (int i = 0; i < 4; i++) {
      double across = i == 1 || i == 2 ? 1 : 0, down = i > 1 ? 1 : 0;
      xyz[3 * i] = p.east(across, down);
      xyz[3 * i + 1] = p.north(across, down);
    }
    return new Polyline(xyz);
  }

  private static IllegalArgumentException none(Item item) {
    return new IllegalArgumentException(
        item.name() + " is no outline. Take closed lines, a surface or an alignment.");
  }

  private static Geometry enclosed(String name, Shape.Lines lines) {
    List<Geometry> areas = new ArrayList<>();
    for (Polyline l : lines.lines()) {
      if (l.isClosed(0.01)) {
        areas.add(PlanPolygon.of(l));
      }
    }
    if (areas.isEmpty()) {
      throw new IllegalArgumentException(name + " holds no closed line, so it encloses nothing.");
    }
    return PlanPolygon.union(areas);
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
