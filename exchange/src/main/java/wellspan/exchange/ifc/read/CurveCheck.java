package wellspan.exchange.ifc.read;

import java.util.List;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;

/**
 * Compares an alignment's curve geometry with the layout it stands for, in the model's own
 * coordinates.
 */
final class CurveCheck {
  /** Where on a parent curve that is summed up in steps a segment may begin and end, metres. */
  private static final double FARTHEST = 1e6;

  /** So far from where an element begins or ends a point is on it, metres. */
  private static final double ASIDE = 1e-7;

  private static final double MOST_TURN = 200 * Math.PI;

  private final double metre;
  private double largest;
  private boolean readable = true;
  private double reached;

  private CurveCheck(double metre) {
    this.metre = metre;
  }

  /**
   * Largest distance between curve and layout at steps of a metre, in the model's unit; empty if
   * there is no curve that can be read.
   *
   * @param layout the alignment by its layout, in the model's own coordinates and unit
   * @param metre the length of a metre in the model's unit
   */
  static Optional<Double> largestDifference(Instance alignment, Alignment layout, double metre) {
    CurveCheck check = new CurveCheck(metre);
    boolean found = false;
    for (Instance r :
        alignment.ref("Representation").map(d -> d.refs("Representations")).orElse(List.of())) {
      for (Instance item : r.refs("Items")) {
        if (item.isA("IFCGRADIENTCURVE")) {
          found = true;
          item.ref("BaseCurve").ifPresent(b -> check.plan(b, layout));
          check.profile(item, layout);
        } else if (item.isA("IFCCOMPOSITECURVE")) {
          found = true;
          check.plan(item, layout);
        }
      }
    }
    return found && check.readable ? Optional.of(check.largest) : Optional.empty();
  }

  private Optional<ParentCurve> laid(Instance segment) {
    Optional<ParentCurve> found = laid(segment, metre);
    readable &= found.isPresent();
    return found;
  }

  /**
   * One laid segment: points and directions in the segment's own traversal, moved to its placement.
   *
   * @param metre the length of a metre in the model's unit
   */
  static Optional<ParentCurve> laid(Instance segment, double metre) {
    double start = segment.number("SegmentStart", 0);
    double length = segment.number("SegmentLength", 0);
    Optional<ParentCurve> parent =
        segment.ref("ParentCurve").flatMap(c -> ParentCurve.of(c, Math.abs(length), metre));
    if (parent.isEmpty()) {
      return Optional.empty();
    }
    boolean summed =
        !segment.ref("ParentCurve").map(c -> c.isA("IFCLINE") || c.isA("IFCCONIC")).orElse(false);
    if (summed && !(Math.max(Math.abs(start), Math.abs(start + length)) <= FARTHEST * metre)) {
      throw new Unread(segment, "lies farther along its curve than any road is long");
    }
    double sign = length < 0 ? -1 : 1;
    double[] from = parent.get().at(start);
    if (!(Math.abs(parent.get().at(start + length)[2] - from[2]) <= MOST_TURN)) {
      throw new Unread(segment, "turns more than a hundred times round");
    }
    double fromDirection = from[2] + (sign < 0 ? Math.PI : 0);
    double[] m = Placement.axis(segment.ref("Placement")).m();
    double turn = Math.atan2(m[4], m[0]) - fromDirection;
    double c = Math.cos(turn);
    double s = Math.sin(turn);
    return Optional.of(
        d -> {
          double[] p = parent.get().at(start + sign * d);
          double x = p[0] - from[0];
          double y = p[1] - from[1];
          return new double[] {
            m[3] + x * c - y * s, m[7] + x * s + y * c, p[2] + turn + (sign < 0 ? Math.PI : 0)
          };
        });
  }

  private void plan(Instance composite, Alignment layout) {
    reached = 0;
    for (Instance segment : composite.refs("Segments")) {
      double length = Math.abs(segment.number("SegmentLength", 0));
      Optional<ParentCurve> curve = laid(segment);
      if (curve.isEmpty()) {
        return;
      }
      for (double d = 0; ; d = Math.min(length, d + metre)) {
        double[] p = curve.get().at(d);
        double off = off(p, layout.at(reached + d));
        if (d == 0 || d >= length) { // at a jump the layout is in one of two places
          double aside = d == 0 ? ASIDE * metre : -ASIDE * metre;
          off = Math.min(off, off(p, layout.at(reached + d + aside)));
        }
        largest = Math.max(largest, off);
        if (d >= length) {
          break;
        }
      }
      reached += length;
    }
    largest = Math.max(largest, Math.abs(reached - layout.length()));
  }

  private static double off(double[] p, AlignmentPoint q) {
    return Math.hypot(p[0] - q.east(), p[1] - q.north());
  }

  private void profile(Instance gradient, Alignment layout) {
    if (layout.profile().isEmpty()) {
      readable = false;
      return;
    }
    for (Instance segment : gradient.refs("Segments")) {
      double length = Math.abs(segment.number("SegmentLength", 0));
      Optional<ParentCurve> curve = laid(segment);
      if (curve.isEmpty()) {
        return;
      }
      for (double d = 0; ; d = Math.min(length, d + metre)) {
        double[] p = curve.get().at(d);
        double level = layout.profile().get().levelAt(p[0]);
        if (Double.isNaN(level)) {
          level = layout.profile().get().levelAt(p[0] + (d == 0 ? 1e-7 : -1e-7));
        }
        double off = Math.abs(p[1] - level);
        largest = Double.isNaN(off) ? Double.POSITIVE_INFINITY : Math.max(largest, off);
        if (d >= length) {
          break;
        }
      }
    }
  }
}
