package wellspan.core.pad;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.CoordinateList;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.PrecisionModel;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import wellspan.core.geom.Plane;

/**
 * The planes of the side slopes around an area: one along each side, a fan around each corner that
 * points outwards, unless it turns so little that the sides' planes can meet. Where they meet at a
 * corner that points inwards the one nearer to its side holds. All plane, so that they can be cut
 * with the ground exactly.
 */
final class SlopeFacets {
  /** Turn from one plane of a fan to the next, radians. */
  static final double FAN = Math.toRadians(6);

  /** Corners are kept to this many in a metre, so that neighbours share them. */
  static final PrecisionModel GRID = new PrecisionModel(1e5);

  private static final GeometryFactory FACTORY = new GeometryFactory();
  private static final double NOTHING = 1e-8;

  private final Plane top;
  private final double rise;
  private final double reach;
  private final List<Facet> facets = new ArrayList<>();

  /** A piece of a side slope in plan, and the plane it lies in. */
  record Facet(Geometry area, Plane plane) {}

  private SlopeFacets(Plane top, double rise, double reach) {
    this.top = top;
    this.rise = rise;
    this.reach = reach;
  }

  /**
   * @param area of the pad, from a local zero
   * @param top the pad's plane, from the same zero
   * @param rise metres up for each metre away from the pad; negative downwards
   * @param reach how far the slopes run at most, metres
   */
  static List<Facet> around(Polygon area, Plane top, double rise, double reach) {
    SlopeFacets s = new SlopeFacets(top, rise, reach);
    s.ring(area.getExteriorRing(), true, area);
    for (int i = 0; i < area.getNumInteriorRing(); i++) {
      s.ring(area.getInteriorRingN(i), false, area);
    }
    return s.facets;
  }

  private void ring(LinearRing ring, boolean outer, Polygon area) {
    Coordinate[] c =
        Orientation.isCCW(ring.getCoordinates()) == outer
            ? ring.getCoordinates()
            : ring.reverse().getCoordinates();
    int n = c.length - 1; // the area lies on the left of every side
    for (int i = 0; i < n; i++) {
      Coordinate before = c[(i + n - 1) % n], from = c[i], to = c[i + 1];
      side(before, from, to, c[(i + 1) % n + 1], area);
      if (turn(before, from, to) > FAN) {
        corner(before, from, to, area);
      }
    }
  }

  /** Change of direction at a corner, radians to the left; at such a corner the area points out. */
  private static double turn(Coordinate before, Coordinate at, Coordinate next) {
    return Math.IEEEremainder(
        Math.atan2(next.y - at.y, next.x - at.x) - Math.atan2(at.y - before.y, at.x - before.x),
        2 * Math.PI);
  }

  /** The plane of the slope along a side. */
  private Plane plane(Coordinate a, Coordinate b) {
    double l = a.distance(b);
    double ux = (b.x - a.x) / l, uy = (b.y - a.y) / l;
    double along = top.riseEast() * ux + top.riseNorth() * uy;
    return new Plane(
        a.x, a.y, top.levelAt(a.x, a.y), along * ux + rise * uy, along * uy - rise * ux);
  }

  private void side(Coordinate before, Coordinate a, Coordinate b, Coordinate after, Polygon area) {
    Coordinate out = outwards(a, b);
    Coordinate farA = turns(before, a, b) ? meeting(before, a, b) : far(a, out);
    Coordinate farB = turns(a, b, after) ? meeting(a, b, after) : far(b, out);
    add(ring(a, farA, farB, b), plane(a, b), area);
  }

  private static Coordinate outwards(Coordinate a, Coordinate b) {
    double l = a.distance(b);
    return new Coordinate((b.y - a.y) / l, (a.x - b.x) / l);
  }

  private Coordinate far(Coordinate corner, Coordinate direction) {
    return new Coordinate(corner.x + reach * direction.x, corner.y + reach * direction.y);
  }

  /** Whether the outline turns outwards a little, so that the sides' planes can meet. */
  private static boolean turns(Coordinate before, Coordinate at, Coordinate next) {
    double turn = turn(before, at, next);
    return turn > 1e-9 && turn <= FAN;
  }

  /** The end of the line in which the planes of two sides meet; the same seen from both of them. */
  private Coordinate meeting(Coordinate before, Coordinate at, Coordinate next) {
    Plane one = plane(before, at), two = plane(at, next);
    Coordinate n1 = outwards(before, at), n2 = outwards(at, next);
    double e = two.riseNorth() - one.riseNorth(), n = one.riseEast() - two.riseEast();
    double away = (e * (n1.x + n2.x) + n * (n1.y + n2.y)) / 2;
    return far(at, new Coordinate(e / away, n / away));
  }

  private void corner(Coordinate before, Coordinate at, Coordinate next, Polygon area) {
    double from = Math.atan2(at.y - before.y, at.x - before.x) - Math.PI / 2;
    double turn = turn(before, at, next);
    int n = (int) Math.ceil(turn / FAN - 1e-9);
    double level = top.levelAt(at.x, at.y);
    for (int k = 0; k < n; k++) {
      double middle = from + turn * (k + 0.5) / n;
      double half = turn / n / 2;
      // so steep that both its edges rise as the sides beside the corner do
      double steep = rise / Math.cos(half);
      add(
          ring(at, away(at, middle - half), away(at, middle + half)),
          new Plane(at.x, at.y, level, steep * Math.cos(middle), steep * Math.sin(middle)),
          area);
    }
  }

  private Coordinate away(Coordinate at, double direction) {
    return new Coordinate(at.x + reach * Math.cos(direction), at.y + reach * Math.sin(direction));
  }

  private static Polygon ring(Coordinate... corners) {
    CoordinateList all = new CoordinateList(corners, false);
    all.closeRing();
    return FACTORY.createPolygon(all.toCoordinateArray());
  }

  /** Puts a facet among the others: each keeps what lies nearer to its own side. */
  private void add(Polygon facet, Plane plane, Polygon pad) {
    Geometry rest = overlay(facet, pad, OverlayNG.DIFFERENCE);
    for (int i = 0; i < facets.size() && !rest.isEmpty(); i++) {
      Facet other = facets.get(i);
      if (!rest.getEnvelopeInternal().intersects(other.area.getEnvelopeInternal())) {
        continue;
      }
      Geometry both = overlay(rest, other.area, OverlayNG.INTERSECTION);
      if (both.getArea() < NOTHING) {
        continue;
      }
      Geometry mine = overlay(both, nearer(plane, other.plane, both), OverlayNG.INTERSECTION);
      facets.set(i, new Facet(overlay(other.area, mine, OverlayNG.DIFFERENCE), other.plane));
      rest = overlay(rest, overlay(both, mine, OverlayNG.DIFFERENCE), OverlayNG.DIFFERENCE);
    }
    if (rest.getArea() >= NOTHING) {
      facets.add(new Facet(rest, plane));
    }
  }

  /** The part of a box around an area where one plane departs less from the pad than another. */
  private Geometry nearer(Plane one, Plane other, Geometry around) {
    Envelope box = new Envelope(around.getEnvelopeInternal());
    box.expandBy(1);
    double sign = Math.signum(rise);
    Coordinate[] c = {
      new Coordinate(box.getMinX(), box.getMinY()),
      new Coordinate(box.getMaxX(), box.getMinY()),
      new Coordinate(box.getMaxX(), box.getMaxY()),
      new Coordinate(box.getMinX(), box.getMaxY())
    };
    CoordinateList kept = new CoordinateList();
    for (int i = 0; i < 4; i++) {
      Coordinate p = c[i], q = c[(i + 1) % 4];
      double dp = sign * (one.levelAt(p.x, p.y) - other.levelAt(p.x, p.y));
      double dq = sign * (one.levelAt(q.x, q.y) - other.levelAt(q.x, q.y));
      if (dp < 0) {
        kept.add(p, false);
      }
      if (dp < 0 != dq < 0) {
        double t = dp / (dp - dq);
        kept.add(new Coordinate(p.x + t * (q.x - p.x), p.y + t * (q.y - p.y)), false);
      }
    }
    if (kept.size() < 3) {
      return FACTORY.createPolygon();
    }
    kept.closeRing();
    return FACTORY.createPolygon(kept.toCoordinateArray());
  }

  /** Areas only: lines and points in which two areas touch are left out. */
  static Geometry overlay(Geometry a, Geometry b, int operation) {
    OverlayNG o = new OverlayNG(a, b, GRID, operation);
    o.setStrictMode(true);
    try {
      return o.getResult();
    } catch (RuntimeException e) { // the library's word for lines that it cannot order
      return OverlayNGRobust.overlay(a, b, operation);
    }
  }
}
