package wellspan.core.road;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.GeometryFixer;
import org.locationtech.jts.operation.valid.IsValidOp;

/** Makes the outline of a design surface, counter-clockwise seen along the alignment. */
final class SectionOutline {
  private static final double SAME = 1e-9;

  /** No road is as wide, as high or as thick; it would be cut into millions of faces. Metres. */
  private static final double FARTHEST = 1e5;

  private SectionOutline() {}

  /** Says why there is no outline. */
  static final class Refused extends Exception {
    private static final long serialVersionUID = 1;

    Refused(String why) {
      super(why);
    }
  }

  static SectionRing of(CrossSection c, DesignArea a) throws Refused {
    List<SectionPoint> points = new ArrayList<>();
    for (SectionPoint p : a.points()) {
      if (!Double.isFinite(p.offset()) || !Double.isFinite(p.level())) {
        throw new Refused("a point has no offset or no level.");
      }
      refuseFar("a point has the offset", p.offset());
      refuseFar("a point has the level", p.level());
      if (points.isEmpty() || !same(points.getLast(), p) || a.form() == DesignArea.Form.AREA) {
        points.add(p);
      }
    }
    refuseFar("it has the thickness", a.thickness());
    if (points.size() < (a.form() == DesignArea.Form.AREA ? 3 : 2)) {
      throw new Refused("it has " + points.size() + " points.");
    }
    if (a.form() == DesignArea.Form.TOP) {
      if (points.getFirst().offset() > points.getLast().offset()) {
        Collections.reverse(points);
      }
      List<SectionPoint> ring = new ArrayList<>();
      for (SectionPoint p : points) {
        String code = p.code().isEmpty() ? "" : p.code() + "\u2193"; // its foot has a code too
        ring.add(new SectionPoint(p.offset(), p.level() - a.thickness(), code));
      }
      ring.addAll(points.reversed());
      points = ring;
    }
    SectionRing r = ring(c, points, a.form() != DesignArea.Form.LINE);
    if (!r.closed() || r.isFlat() && enclosed(points) < SectionRing.NO_AREA) {
      return r;
    }
    if (r.isFlat() || crosses(points)) {
      throw new Refused("its outline crosses itself. Ask for a corrected section.");
    }
    if (r.area() < 0) {
      return ring(c, OutlineSeries.turned(points), true);
    }
    return r;
  }

  private static void refuseFar(String what, double metres) throws Refused {
    if (Math.abs(metres) > FARTHEST) {
      throw new Refused(
          String.format(
              Locale.ROOT,
              "%s %.3g m, as no road has. A number or its unit is wrong; ask the sender.",
              what,
              metres));
    }
  }

  private static boolean same(SectionPoint a, SectionPoint b) {
    return Math.abs(a.offset() - b.offset()) < SAME && Math.abs(a.level() - b.level()) < SAME;
  }

  private static SectionRing ring(CrossSection c, List<SectionPoint> points, boolean closed) {
    return new SectionRing(
        c.distance(),
        c.skew(),
        points.stream().mapToDouble(SectionPoint::offset).toArray(),
        points.stream().mapToDouble(SectionPoint::level).toArray(),
        points.stream().map(SectionPoint::code).toList(),
        closed);
  }

  private static boolean crosses(List<SectionPoint> points) {
    return !new IsValidOp(polygon(points)).isValid();
  }

  /** Area that is enclosed, whatever way round: a loop of an eight counts as much as the other. */
  private static double enclosed(List<SectionPoint> points) {
    return GeometryFixer.fix(polygon(points)).getArea();
  }

  private static Polygon polygon(List<SectionPoint> points) {
    List<Coordinate> ring = new ArrayList<>();
    for (SectionPoint p : points) {
      Coordinate at = new Coordinate(p.offset(), p.level());
      if (ring.isEmpty() || !ring.getLast().equals2D(at)) {
        ring.add(at);
      }
    }
    ring.add(ring.getFirst());
    return ring.size() < 4
        ? new GeometryFactory().createPolygon()
        : new GeometryFactory().createPolygon(ring.toArray(new Coordinate[0]));
  }
}
