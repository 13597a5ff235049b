package wellspan.core.operation;

import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;

/**
 * The figures of an item before or after a step.
 *
 * @param points points or vertices
 * @param triangles 0 where there are none
 * @param area in plan, square metres
 * @param lowest and {@code highest} level, metres; NaN if there are no levels
 */
public record Extent(int points, int triangles, double area, double lowest, double highest) {

  public static Extent of(Item item) {
    Box b = item.bounds();
    double low = b.hasLevels() ? b.minH() : Double.NaN;
    double high = b.hasLevels() ? b.maxH() : Double.NaN;
    return item.triangles()
        .map(m -> of(m, low, high))
        .orElseGet(() -> new Extent(item.shape().pointCount(), 0, 0, low, high));
  }

  private static Extent of(Mesh m, double low, double high) {
    return new Extent(m.vertexCount(), m.triangleCount(), m.planArea(), low, high);
  }
}
