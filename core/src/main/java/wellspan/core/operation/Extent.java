package wellspan.core.operation;

import java.util.Collection;
import java.util.Locale;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.shape.Measure;

/**
 * The figures of items before or after an operation.
 *
 * @param points points or vertices
 * @param triangles 0 where there are none
 * @param length of lines and alignments in plan, metres
 * @param area in plan, square metres
 * @param lowest and {@code highest} level, metres; NaN if there are no levels
 */
public record Extent(
    int points, int triangles, double length, double area, double lowest, double highest) {

  public static Extent of(Item item) {
    Box b = item.bounds();
    double low = b.hasLevels() ? b.minH() : Double.NaN;
    double high = b.hasLevels() ? b.maxH() : Double.NaN;
    return item.triangles()
        .map(m -> of(m, low, high))
        .orElseGet(
            () ->
                new Extent(
                    item.shape().pointCount(),
                    0,
                    item.shape().measure(Measure.LENGTH).orElse(0),
                    0,
                    low,
                    high));
  }

  /** The figures of several items together; their areas are added, whether they overlap or not. */
  public static Extent of(Collection<Item> items) {
    int points = 0;
    int triangles = 0;
    double length = 0;
    double area = 0;
    double lowest = Double.NaN;
    double highest = Double.NaN;
    for (Item i : items) {
      Extent e = of(i);
      points += e.points;
      triangles += e.triangles;
      length += e.length;
      area += e.area;
      lowest = Double.isNaN(lowest) || e.lowest < lowest ? e.lowest : lowest;
      highest = Double.isNaN(highest) || e.highest > highest ? e.highest : highest;
    }
    return new Extent(points, triangles, length, area, lowest, highest);
  }

  /** How much there is, in a few words: triangles where there are some, else length or points. */
  public String words() {
    if (triangles == 0 && points == 0 && length > 0) {
      return String.format(Locale.ROOT, "%.3f m", length);
    }
    boolean surface = triangles > 0;
    int n = surface ? triangles : points;
    return n + (surface ? " triangle" : " point") + (n == 1 ? "" : "s");
  }

  private static Extent of(Mesh m, double low, double high) {
    return new Extent(m.vertexCount(), m.triangleCount(), 0, m.planArea(), low, high);
  }
}
