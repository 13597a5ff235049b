package wellspan.core.terrain;

import java.util.Optional;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;

/**
 * How a surface differs from its earlier revision.
 *
 * @param largest largest level difference, new minus old, metres, found at the vertices of both
 *     surfaces where both lie; 0 if they do not overlap
 * @param where it is, in shared coordinates at the new level, if the surfaces overlap
 */
public record SurfaceChange(
    int trianglesBefore, int trianglesAfter, double largest, Optional<Position> where) {

  public static SurfaceChange between(Mesh before, Mesh after) {
    TriangleIndex old = new TriangleIndex(before);
    TriangleIndex now = new TriangleIndex(after);
    double largest = 0;
    Position where = null;
    for (int i = 0; i < after.vertexCount(); i++) {
      double d = after.level(i) - old.levelAt(after.east(i), after.north(i));
      if (where == null && !Double.isNaN(d) || Math.abs(d) > Math.abs(largest)) {
        largest = d;
        where = after.vertex(i);
      }
    }
    for (int i = 0; i < before.vertexCount(); i++) {
      double level = now.levelAt(before.east(i), before.north(i));
      if (Math.abs(level - before.level(i)) > Math.abs(largest)) {
        largest = level - before.level(i);
        where = new Position(before.east(i), before.north(i), level);
      }
    }
    return new SurfaceChange(
        before.triangleCount(), after.triangleCount(), largest, Optional.ofNullable(where));
  }

  public boolean isSame() {
    return trianglesBefore == trianglesAfter && Math.abs(largest) < 1e-9;
  }
}
