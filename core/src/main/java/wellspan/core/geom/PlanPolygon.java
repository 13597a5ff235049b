package wellspan.core.geom;

import java.util.Collection;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.util.GeometryFixer;
import org.locationtech.jts.operation.union.UnaryUnionOp;

/** Areas in plan made of lines. */
public final class PlanPolygon {
  private static final GeometryFactory FACTORY = new GeometryFactory();

  private PlanPolygon() {}

  /**
   * The area that a line encloses in plan; a line that is not closed is closed by a straight piece.
   *
   * @throws IllegalArgumentException if it encloses nothing
   */
  public static Geometry of(Polyline line) {
    int n = line.pointCount();
    Coordinate[] ring = new Coordinate[n + 1];
    for (int i = 0; i < n; i++) {
      ring[i] = new Coordinate(line.xyz()[3 * i], line.xyz()[3 * i + 1]);
    }
    ring[n] = ring[0].copy();
    if (n < 3) {
      throw new IllegalArgumentException("An outline of " + n + " points encloses nothing.");
    }
    Geometry g = FACTORY.createPolygon(ring);
    Geometry sound = g.isValid() ? g : GeometryFixer.fix(g);
    if (!(sound.getArea() > 0)) {
      throw new IllegalArgumentException("An outline of " + n + " points encloses nothing.");
    }
    return sound;
  }

  /** All areas as one; empty if there are none. */
  public static Geometry union(Collection<Geometry> areas) {
    Geometry all = areas.isEmpty() ? null : UnaryUnionOp.union(areas);
    return all == null ? FACTORY.createPolygon() : all;
  }
}
