package wellspan.core.road;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;

/**
 * An alignment as the line that sections are carried along: where its law changes, how much it
 * turns, and how far to each side a section can reach before it meets itself.
 */
final class RoadLine {
  /** Beyond this share of the radius the reach is looked at closely. */
  private static final double NEAR_CENTRE = 0.98;

  private final Alignment axis;
  private final List<PlanElement> elements = new ArrayList<>();
  private final double[] starts;
  private final double length;
  private final TreeSet<Double> ends;
  private final double sharpest;

  RoadLine(Alignment axis) {
    this.axis = axis;
    List<Double> begins = new ArrayList<>();
    double d = 0;
    for (PlanElement e : axis.elements()) {
      List<PlanElement> pieces = e instanceof PlanElement.Irregular i ? i.pieces() : List.of(e);
      for (PlanElement p : pieces) {
        elements.add(p);
        begins.add(d);
        d += p.length();
      }
    }
    starts = begins.stream().mapToDouble(Double::doubleValue).toArray();
    length = d;
    ends = new TreeSet<>(axis.elementEnds());
    sharpest =
        elements.stream()
            .mapToDouble(e -> Math.max(Math.abs(e.startCurvature()), Math.abs(e.endCurvature())))
            .max()
            .orElse(0);
  }

  double length() {
    return length;
  }

  /** Distances strictly between two others at which plan or profile change their law. */
  List<Double> breaksBetween(double from, double to) {
    return to - from < 3e-6
        ? List.of()
        : List.copyOf(ends.subSet(from + 1e-6, true, to - 1e-6, true));
  }

  AlignmentPoint at(double distance) {
    return axis.at(Math.clamp(distance, 0, length));
  }

  /** Level of the profile, NaN where there is none. */
  double level(double distance) {
    return axis.profile().map(p -> p.levelAt(Math.clamp(distance, 0, length))).orElse(Double.NaN);
  }

  /** Curvature of the profile, 1/m; 0 where there is none. */
  double bend(double distance) {
    if (axis.profile().isEmpty()) {
      return 0;
    }
    double h = 0.01;
    double b =
        (axis.profile().get().gradeAt(distance + h) - axis.profile().get().gradeAt(distance - h))
            / (2 * h);
    return Double.isFinite(b) ? b : 0;
  }

  /** Curvature in plan, positive where the line turns left, 1/m. */
  double curvature(double distance) {
    int i = element(distance);
    PlanElement e = elements.get(i);
    double s = Math.clamp(distance - starts[i], 0, e.length());
    return switch (e) {
      case PlanElement.Line l -> 0;
      case PlanElement.Arc a -> 1 / a.radius();
      case PlanElement.Irregular r -> 0;
      case PlanElement.Spiral sp -> sp.curvatureAt(s);
    };
  }

  private int element(double distance) {
    int i = Arrays.binarySearch(starts, distance);
    return Math.max(0, i < 0 ? -i - 2 : i);
  }

  /** Where the line is in plan, without what its profile and its chainages say there. */
  private PlanPoint plan(double distance) {
    double d = Math.clamp(distance, 0, length);
    int i = element(d);
    return elements.get(i).at(Math.min(d - starts[i], elements.get(i).length()));
  }

  /**
   * How far a section at a place can reach to one side before another place of the line is nearer.
   *
   * @param wanted offset that is asked for, positive to the right, metres
   * @return the offset that can be had, of the same sign and no larger
   */
  double reach(double distance, double wanted) {
    if (!isSharpFor(wanted) || !turnsWithin(distance, wanted)) {
      return wanted;
    }
    PlanPoint p = plan(distance);
    double right = p.direction() - Math.PI / 2;
    double low = 0;
    double high = Math.abs(wanted);
    double sign = Math.signum(wanted);
    if (isOwn(distance, p, right, wanted)) {
      return wanted;
    }
    for (int i = 0; i < 40; i++) {
      double middle = (low + high) / 2;
      if (isOwn(distance, p, right, sign * middle)) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return sign * low;
  }

  /** Whether the line turns anywhere so sharply that an offset may reach its centre. */
  boolean isSharpFor(double offset) {
    return sharpest * Math.abs(offset) >= NEAR_CENTRE;
  }

  /** Whether the line turns to that side more sharply than the offset anywhere near. */
  private boolean turnsWithin(double distance, double wanted) {
    double window = 4 * Math.abs(wanted);
    double from = Math.max(0, distance - window);
    double to = Math.min(length, distance + window);
    for (int k = 0; k <= 64; k++) {
      if (-curvature(from + (to - from) * k / 64) * wanted > NEAR_CENTRE) {
        return true;
      }
    }
    return false;
  }

  /** Whether no place of the line near this one is nearer to a point at an offset from it. */
  private boolean isOwn(double distance, PlanPoint p, double right, double offset) {
    double east = p.east() + offset * Math.cos(right);
    double north = p.north() + offset * Math.sin(right);
    double own = Math.abs(offset);
    double nearer = own - 1e-7;
    double window = 4 * own;
    int steps = 200;
    double from = Math.max(0, distance - window);
    double step = (Math.min(length, distance + window) - from) / steps;
    double best = Double.POSITIVE_INFINITY;
    double where = from;
    for (int k = 0; k <= steps; k++) {
      double d = away(from + k * step, east, north);
      if (d < nearer) {
        return false;
      }
      if (d < best) {
        best = d;
        where = from + k * step;
      }
    }
    double a = where - step;
    double b = where + step;
    for (int i = 0; i < 40; i++) { // the nearest place between the neighbours of the best sample
      double m1 = a + (b - a) * 0.381966;
      double m2 = b - (b - a) * 0.381966;
      if (away(m1, east, north) < away(m2, east, north)) {
        b = m2;
      } else {
        a = m1;
      }
    }
    return away((a + b) / 2, east, north) >= nearer;
  }

  private double away(double distance, double east, double north) {
    PlanPoint q = plan(distance);
    return Math.hypot(q.east() - east, q.north() - north);
  }
}
