package wellspan.exchange.landxml.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.SpiralLaw;

/**
 * Makes the elements of a line that is given by the points where its tangents meet, each with the
 * spirals and curves between them. Those that say their own points are taken as they stand; others
 * are fitted between the tangents by their radii and lengths: built one behind the other from a
 * tangent, they end (x, y) away from its start with the turn Δ of the tangents, so that they begin
 * x − y / tan Δ before the point of intersection.
 */
final class TangentPolygon {
  private final double unit;
  private final PlanElements plan;

  /**
   * @param unit metres in the file's unit
   */
  TangentPolygon(double unit, PlanElements plan) {
    this.unit = unit;
    this.plan = plan;
  }

  /**
   * @param of name of the alignment
   * @throws PlanElements.Refused if the points make no line
   */
  List<PlanElement> elements(String of, List<AlignPiSection.RawPi> raw)
      throws PlanElements.Refused {
    List<double[]> corners = new ArrayList<>();
    for (AlignPiSection.RawPi r : raw) {
      corners.add(plan.place(r.line(), "AlignPI", "PI", r.at()));
    }
    List<PlanElement> out = new ArrayList<>();
    double[] reached = corners.isEmpty() ? null : corners.getFirst();
    for (int i = 0; i < corners.size(); i++) {
      List<PlanElement> rounding = rounding(of, raw, corners, i);
      double[] next = corners.get(i);
      if (!rounding.isEmpty()) {
        PlanPoint start = rounding.getFirst().start();
        next = new double[] {start.east(), start.north()};
      }
      if (i > 0) {
        tangent(raw.get(i).line(), corners.get(i - 1), corners.get(i), reached, next, out);
      }
      out.addAll(rounding);
      reached = next;
      if (!rounding.isEmpty()) {
        PlanPoint end = rounding.getLast().end();
        reached = new double[] {end.east(), end.north()};
      }
    }
    return out;
  }

  /** The straight between two roundings; it must run the way of its tangent. */
  private static void tangent(
      long line, double[] from, double[] to, double[] a, double[] b, List<PlanElement> out)
      throws PlanElements.Refused {
    double dx = b[0] - a[0];
    double dy = b[1] - a[1];
    double length = Math.hypot(dx, dy);
    if (length <= PlanElements.VISIBLE) {
      return;
    }
    if (dx * (to[0] - from[0]) + dy * (to[1] - from[1]) < 0) {
      throw new PlanElements.Refused(
          line,
          String.format(
              Locale.ROOT,
              "the curves before and at this <AlignPI> overlap by %.3f m on their tangent. Ask for a corrected line.",
              length));
    }
    out.add(new PlanElement.Line(new PlanPoint(a[0], a[1], Math.atan2(dy, dx)), length));
  }

  private List<PlanElement> rounding(
      String of, List<AlignPiSection.RawPi> raw, List<double[]> corners, int i)
      throws PlanElements.Refused {
    AlignPiSection.RawPi pi = raw.get(i);
    List<PlanElement> out = new ArrayList<>();
    if (pi.rounding().stream().allMatch(TangentPolygon::saysItsPoints)) {
      for (AlignmentSection.RawElement e : pi.rounding()) {
        plan.make(of, e).ifPresent(out::add);
      }
      return out;
    }
    if (i == 0 || i == corners.size() - 1) {
      throw new PlanElements.Refused(
          pi.line(), "the first or last <AlignPI> has a curve, but no two tangents.");
    }
    double[] at = corners.get(i);
    double in = direction(corners.get(i - 1), at);
    double turn = Math.IEEEremainder(direction(at, corners.get(i + 1)) - in, 2 * Math.PI);
    if (Math.abs(turn) < 1e-9 || Math.abs(turn) > Math.PI - 1e-6) {
      throw new PlanElements.Refused(
          pi.line(), "an <AlignPI> with a curve has tangents that run the same way or back.");
    }
    PlanPoint trial = fitted(pi, new PlanPoint(0, 0, 0), turn).getLast().end();
    double before = trial.east() - trial.north() / Math.tan(turn);
    return fitted(
        pi, new PlanPoint(at[0] - before * Math.cos(in), at[1] - before * Math.sin(in), in), turn);
  }

  private static boolean saysItsPoints(AlignmentSection.RawElement e) {
    return e.points().containsKey("Start") && e.points().containsKey("End");
  }

  private static double direction(double[] from, double[] to) {
    return Math.atan2(to[1] - from[1], to[0] - from[0]);
  }

  /** Elements one behind the other; the last arc takes the turn that the others leave. */
  private List<PlanElement> fitted(AlignPiSection.RawPi pi, PlanPoint start, double turn)
      throws PlanElements.Refused {
    List<AlignmentSection.RawElement> all = pi.rounding();
    int last = -1;
    for (int k = 0; k < all.size(); k++) {
      last = all.get(k).kind().equals("Curve") ? k : last;
    }
    double side = Math.signum(turn);
    double left = Math.abs(turn);
    double[] turns = new double[all.size()];
    for (int k = 0; k < all.size(); k++) {
      if (k != last) {
        turns[k] = turnOf(all, k);
        left -= turns[k];
      }
    }
    if (last < 0 && Math.abs(left) > 1e-6 || last >= 0 && left < -1e-9) {
      throw new PlanElements.Refused(
          pi.line(),
          String.format(
              Locale.ROOT,
              "the spirals and curves of this <AlignPI> turn by %.4f° where its tangents turn by %.4f°. Ask for a corrected line.",
              Math.toDegrees(Math.abs(turn) - left),
              Math.toDegrees(Math.abs(turn))));
    }
    List<PlanElement> out = new ArrayList<>();
    PlanPoint at = start;
    for (int k = 0; k < all.size(); k++) {
      AlignmentSection.RawElement e = all.get(k);
      double angle = k == last ? Math.max(0, left) : turns[k];
      PlanElement made =
          e.kind().equals("Curve")
              ? new PlanElement.Arc(at, angle * radius(e), side * radius(e))
              : new PlanElement.Spiral(
                  at,
                  e.length() * unit,
                  side * flatness(all, k, -1),
                  side * flatness(all, k, 1),
                  law(e));
      if (made.length() > 0) {
        out.add(made);
        at = made.end();
      }
    }
    return out;
  }

  private double turnOf(List<AlignmentSection.RawElement> all, int k) throws PlanElements.Refused {
    AlignmentSection.RawElement e = all.get(k);
    if (!(e.length() > 0)) {
      throw new PlanElements.Refused(e.line(), "a <" + e.kind() + "> needs a length here.");
    }
    double length = e.length() * unit;
    return e.kind().equals("Curve")
        ? length / radius(e)
        : length * (flatness(all, k, -1) + flatness(all, k, 1)) / 2;
  }

  private double radius(AlignmentSection.RawElement e) throws PlanElements.Refused {
    if (!(Math.abs(e.radius()) > 0)) {
      throw new PlanElements.Refused(e.line(), "a <Curve> needs a radius here.");
    }
    return Math.abs(e.radius()) * unit;
  }

  /** Curvature of a spiral at one end: its own, or that of the curve it meets there. */
  private double flatness(List<AlignmentSection.RawElement> all, int k, int side)
      throws PlanElements.Refused {
    AlignmentSection.RawElement e = all.get(k);
    double own = side < 0 ? e.radiusStart() : e.radiusEnd();
    if (!Double.isNaN(own)) {
      return 1 / (Math.abs(own) * unit);
    }
    int n = k + side;
    boolean meets = n >= 0 && n < all.size() && all.get(n).kind().equals("Curve");
    return meets ? 1 / radius(all.get(n)) : 0;
  }

  private static SpiralLaw law(AlignmentSection.RawElement e) throws PlanElements.Refused {
    SpiralLaw law = PlanElements.law(e.type());
    if (law == null || !law.alongCurve()) {
      throw new PlanElements.Refused(
          e.line(),
          "a spiral of type " + e.type() + " between tangents needs its points. Ask for them.");
    }
    return law;
  }
}
