package wellspan.core.search;

import java.util.Collection;
import java.util.List;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.Polygon;
import wellspan.core.build.Build;
import wellspan.core.geom.Box;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.shape.Shape;

/** The items that lie wholly within an outline in plan, its edge included. */
public final class ItemsWithin {
  private final Polygon area;
  private final IndexedPointInAreaLocator locator;
  private final Position zero;

  private ItemsWithin(List<Position> corners) {
    zero = corners.getFirst(); // so that the reckoning keeps its digits
    Coordinate[] ring = new Coordinate[corners.size() + 1];
    for (int i = 0; i < ring.length; i++) {
      Position p = corners.get(i % corners.size());
      ring[i] = new Coordinate(p.east() - zero.east(), p.north() - zero.north());
    }
    area = new GeometryFactory().createPolygon(ring);
    locator = new IndexedPointInAreaLocator(area);
  }

  /**
   * @param corners of the outline, shared coordinates, either way round; fewer than three enclose
   *     nothing
   */
  public static List<ItemId> of(Collection<Build.BuiltItem> items, List<Position> corners) {
    if (corners.size() < 3) {
      return List.of();
    }
    ItemsWithin within = new ItemsWithin(corners);
    return items.stream()
        .filter(i -> within.holds(i.item().shape()))
        .map(Build.BuiltItem::id)
        .toList();
  }

  private boolean holds(Shape shape) {
    Box b = shape.bounds();
    if (b.isEmpty()
        || !area.getEnvelopeInternal().contains(b.minE() - zero.east(), b.minN() - zero.north())
        || !area.getEnvelopeInternal().contains(b.maxE() - zero.east(), b.maxN() - zero.north())) {
      return false;
    }
    for (double[] xyz : places(shape)) {
      for (int i = 0; i < xyz.length; i += 3) {
        Coordinate c = new Coordinate(xyz[i] - zero.east(), xyz[i + 1] - zero.north());
        if (locator.locate(c) == Location.EXTERIOR) {
          return false;
        }
      }
    }
    return true;
  }

  /** What is given by measures is asked by its line or by its corners. */
  private static List<double[]> places(Shape shape) {
    if (!shape.vertices().isEmpty()) {
      return shape.vertices();
    }
    if (!shape.lines().isEmpty()) {
      return shape.lines().stream().map(Polyline::xyz).toList();
    }
    Box b = shape.bounds();
    return List.of(
        new double[] {b.minE(), b.minN(), 0, b.maxE(), b.minN(), 0},
        new double[] {b.minE(), b.maxN(), 0, b.maxE(), b.maxN(), 0});
  }
}
