package wellspan.core.align;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import wellspan.core.geom.OnceAsked;

/**
 * One element of an alignment in plan. Curvature is positive where the alignment turns left, in
 * 1/m.
 */
public sealed interface PlanElement {
  /** Where the element starts and in which direction. */
  PlanPoint start();

  /** Length along the element, metres. */
  double length();

  double startCurvature();

  double endCurvature();

  /** The point at a distance from the element's start, 0 … length, metres. */
  PlanPoint at(double distance);

  default PlanPoint end() {
    return at(length());
  }

  /** A straight. */
  record Line(PlanPoint start, double length) implements PlanElement {
    @Override
    public double startCurvature() {
      return 0;
    }

    @Override
    public double endCurvature() {
      return 0;
    }

    @Override
    public PlanPoint at(double s) {
      return new PlanPoint(
          start.east() + s * Math.cos(start.direction()),
          start.north() + s * Math.sin(start.direction()),
          start.direction());
    }
  }

  /**
   * A circular arc.
   *
   * @param radius positive to the left, negative to the right, metres
   */
  record Arc(PlanPoint start, double length, double radius) implements PlanElement {
    /**
     * @throws IllegalArgumentException if it goes round and round as no road does
     */
    public Arc {
      Turns.notMany(length / radius);
    }

    @Override
    public double startCurvature() {
      return 1 / radius;
    }

    @Override
    public double endCurvature() {
      return 1 / radius;
    }

    @Override
    public PlanPoint at(double s) {
      double turned = s / radius;
      double chord = 2 * radius * Math.sin(turned / 2);
      double towards = start.direction() + turned / 2;
      return new PlanPoint(
          start.east() + chord * Math.cos(towards),
          start.north() + chord * Math.sin(towards),
          start.direction() + turned);
    }
  }

  /**
   * A transition whose curvature runs from one value to another by a law. Positions along curvature
   * laws are integrated numerically (Gauss–Legendre, ten nodes on panels that turn by less than
   * half a radian and end where the law's formula changes); error below 1e-12 of the length.
   *
   * @param startCurvature nominal one, as the law's formula counts it
   * @param endCurvature nominal one; laws over the tangent need one end without curvature
   */
  record Spiral(
      PlanPoint start, double length, double startCurvature, double endCurvature, SpiralLaw law)
      implements PlanElement {
    private static final double[] NODE = {
      0.1488743389816312,
      0.4333953941292472,
      0.6794095682990244,
      0.8650633666889845,
      0.9739065285171717
    };
    private static final double[] WEIGHT = {
      0.2955242247147529,
      0.2692667193099963,
      0.2190863625159820,
      0.1494513491505806,
      0.0666713443086881
    };

    /**
     * @throws IllegalArgumentException if a law over the tangent is to run between two arcs, or if
     *     it goes round and round as no road does
     */
    public Spiral {
      if (!law.alongCurve() && startCurvature != 0 && endCurvature != 0) {
        throw new IllegalArgumentException(
            "a transition over its tangent cannot run between two arcs");
      }
      Turns.notMany((Math.abs(startCurvature) + Math.abs(endCurvature)) / 2 * length);
    }

    @Override
    public PlanPoint at(double s) {
      return law.alongCurve() ? alongCurve(s) : overTangent(s);
    }

    private PlanPoint alongCurve(double s) {
      double knee = law.knee() * length;
      double[] way = s > knee ? way(0, knee) : way(0, s);
      if (s > knee) {
        double[] rest = way(knee, s);
        way[0] += rest[0];
        way[1] += rest[1];
      }
      return laid(way[0], way[1], turned(s));
    }

    /** How far it goes between two lengths along it, from its start's direction as x. */
    private double[] way(double from, double to) {
      double turn = (Math.abs(startCurvature) + Math.abs(endCurvature)) * Math.abs(to - from);
      int panels = Math.max(2, (int) Math.ceil(turn / 0.5));
      double half = (to - from) / panels / 2;
      double x = 0;
      double y = 0;
      for (int p = 0; p < panels; p++) {
        double middle = from + (2 * p + 1) * half;
        for (int k = 0; k < NODE.length; k++) {
          double a = turned(middle - half * NODE[k]);
          double b = turned(middle + half * NODE[k]);
          x += WEIGHT[k] * (Math.cos(a) + Math.cos(b));
          y += WEIGHT[k] * (Math.sin(a) + Math.sin(b));
        }
      }
      return new double[] {x * half, y * half};
    }

    /** From the flat end on; if that is the end of the element the curve is run backwards. */
    private PlanPoint overTangent(double s) {
      boolean forward = startCurvature == 0;
      TangentCurve curve = new TangentCurve(law, length, forward ? endCurvature : -startCurvature);
      if (forward) {
        double[] p = curve.at(s);
        return laid(p[0], p[1], p[2]);
      }
      double[] from = curve.at(length);
      double[] to = curve.at(length - s);
      double back = Math.PI - from[2]; // turns the way back at its start onto the x axis
      double dx = to[0] - from[0];
      double dy = to[1] - from[1];
      return laid(
          dx * Math.cos(back) - dy * Math.sin(back),
          dx * Math.sin(back) + dy * Math.cos(back),
          to[2] - from[2]);
    }

    private PlanPoint laid(double x, double y, double turned) {
      double c = Math.cos(start.direction());
      double d = Math.sin(start.direction());
      return new PlanPoint(
          start.east() + x * c - y * d, start.north() + x * d + y * c, start.direction() + turned);
    }

    private double turned(double s) {
      return startCurvature * s + (endCurvature - startCurvature) * length * law.angle(s / length);
    }

    /** Curvature at a distance from the start, 1/m; of laws over the tangent by differences. */
    public double curvatureAt(double s) {
      if (law.alongCurve()) {
        return startCurvature + (endCurvature - startCurvature) * law.curvature(s / length);
      }
      double h = Math.min(1e-3, length / 4);
      double a = Math.max(0, s - h);
      double b = Math.min(length, s + h);
      return (at(b).direction() - at(a).direction()) / (b - a);
    }
  }

  /**
   * Straight pieces through points, one element all the same.
   *
   * @param xy easting, northing of two or more points, no two the same after each other; immutable
   *     by convention
   * @param reached where each piece ends, worked out when it is first asked for
   */
  record Irregular(double[] xy, OnceAsked<Lengths> reached) implements PlanElement {
    /**
     * @throws IllegalArgumentException if there are fewer than two points
     */
    public Irregular {
      if (xy.length < 4 || xy.length % 2 != 0) {
        throw new IllegalArgumentException("an irregular line needs two points or more");
      }
    }

    /**
     * @throws IllegalArgumentException if there are fewer than two points
     */
    public Irregular(double[] xy) {
      this(xy, new OnceAsked<>());
    }

    private Lengths lengths() {
      return reached.get(
          () ->
              Lengths.of(IntStream.range(0, xy.length / 2 - 1).mapToDouble(this::piece).toArray()));
    }

    @Override
    public PlanPoint start() {
      return new PlanPoint(xy[0], xy[1], direction(0));
    }

    private double direction(int piece) {
      int i = 2 * piece;
      return Math.atan2(xy[i + 3] - xy[i + 1], xy[i + 2] - xy[i]);
    }

    private double piece(int piece) {
      int i = 2 * piece;
      return Math.hypot(xy[i + 2] - xy[i], xy[i + 3] - xy[i + 1]);
    }

    @Override
    public double length() {
      return lengths().whole();
    }

    @Override
    public double startCurvature() {
      return 0;
    }

    @Override
    public double endCurvature() {
      return 0;
    }

    @Override
    public PlanPoint at(double distance) {
      int piece = lengths().endingAtOrAfter(distance);
      double rest = distance - lengths().start(piece);
      double a = direction(piece);
      return new PlanPoint(
          xy[2 * piece] + rest * Math.cos(a), xy[2 * piece + 1] + rest * Math.sin(a), a);
    }

    /** The straight pieces on their own. */
    public List<PlanElement> pieces() {
      List<PlanElement> out = new ArrayList<>();
      for (int i = 0; i < xy.length / 2 - 1; i++) {
        out.add(new Line(new PlanPoint(xy[2 * i], xy[2 * i + 1], direction(i)), piece(i)));
      }
      return out;
    }
  }
}
