package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.literal;
import static wellspan.exchange.ifc.write.StepValue.real;
import static wellspan.exchange.ifc.write.StepValue.reals;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;
import static wellspan.exchange.ifc.write.StepValue.typed;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.ProfileSegment;

/**
 * Writes curve geometry: each segment is a piece of a parent curve (line, circle, spiral,
 * parabola), laid so that its start falls on the segment's placement.
 */
final class AlignmentCurves {
  /** Elements that are this far apart do not join, metres. */
  private static final double JUMP = 5e-4;

  private static final String TURNS = "CONTINUOUS";

  private final StepWriter step;
  private final double unit;

  AlignmentCurves(StepWriter step, double unit) {
    this.step = step;
    this.unit = unit;
  }

  int composite(List<PlanElement> elements) throws IOException {
    List<Integer> segments = new ArrayList<>();
    for (int i = 0; i < elements.size(); i++) {
      PlanElement e = elements.get(i);
      PlanPoint next = i + 1 < elements.size() ? elements.get(i + 1).start() : e.end();
      segments.addAll(planSegments(e, i + 1 < elements.size() ? joint(e.end(), next) : TURNS));
    }
    PlanPoint end = elements.getLast().end();
    segments.add(
        segment(
            "DISCONTINUOUS",
            placement(end.east() / unit, end.north() / unit, end.direction()),
            0,
            0,
            line()));
    return step.add("IfcCompositeCurve", refs(segments), literal("F"));
  }

  /** How one element goes on into the next. */
  private static String joint(PlanPoint end, PlanPoint start) {
    if (Math.hypot(end.east() - start.east(), end.north() - start.north()) > JUMP) {
      return "DISCONTINUOUS";
    }
    double turn = Math.IEEEremainder(start.direction() - end.direction(), 2 * Math.PI);
    return Math.abs(turn) < 1e-6 ? "CONTSAMEGRADIENT" : TURNS;
  }

  private List<Integer> planSegments(PlanElement e, String transition) throws IOException {
    int at = placement(e.start().east() / unit, e.start().north() / unit, e.start().direction());
    double length = e.length() / unit;
    return switch (e) {
      case PlanElement.Line l -> List.of(segment(transition, at, 0, length, line()));
      case PlanElement.Arc a -> {
        int circle = step.add("IfcCircle", ref(origin()), real(Math.abs(a.radius()) / unit));
        yield List.of(segment(transition, at, 0, Math.signum(a.radius()) * length, circle));
      }
      case PlanElement.Spiral s -> new SpiralCurves(step, this, unit).segments(s, transition, at);
      case PlanElement.Irregular i -> throw new IllegalStateException("taken to pieces before");
    };
  }

  int gradient(Profile profile, int base) throws IOException {
    List<Integer> segments = new ArrayList<>();
    List<ProfileSegment> all = profile.segments();
    for (int i = 0; i < all.size(); i++) {
      ProfileSegment s = all.get(i);
      boolean smooth =
          i + 1 < all.size() && Math.abs(all.get(i + 1).startGrade() - s.endGrade()) < 1e-9;
      segments.add(profileSegment(s, smooth ? "CONTSAMEGRADIENT" : "CONTINUOUS"));
    }
    ProfileSegment last = all.getLast();
    int end =
        placement(last.endDistance() / unit, last.endLevel() / unit, Math.atan(last.endGrade()));
    segments.add(segment("DISCONTINUOUS", end, 0, 0, line()));
    return step.add("IfcGradientCurve", refs(segments), literal("F"), ref(base), UNSET);
  }

  private int profileSegment(ProfileSegment s, String transition) throws IOException {
    int at = placement(s.startDistance() / unit, s.startLevel() / unit, Math.atan(s.startGrade()));
    return switch (s) {
      case ProfileSegment.Grade g ->
          segment(transition, at, 0, g.length() * Math.hypot(1, g.startGrade()) / unit, line());
      case ProfileSegment.Parabola p -> {
        double bend = (p.endGrade() - p.startGrade()) / (2 * p.length()) * unit;
        int parent =
            step.add(
                "IfcPolynomialCurve",
                ref(origin()),
                reals(0, 1),
                reals(0, p.startGrade(), bend),
                UNSET);
        yield segment(transition, at, 0, parabolaLength(p) / unit, parent);
      }
      case ProfileSegment.Circle c -> {
        double turned = Math.atan(c.endGrade()) - Math.atan(c.startGrade());
        int parent = step.add("IfcCircle", ref(origin()), real(Math.abs(c.radius()) / unit));
        yield segment(transition, at, 0, turned * Math.abs(c.radius()) / unit, parent);
      }
    };
  }

  /** Length along a parabola: ∫√(1+g²) dx with the grade g as variable. */
  private static double parabolaLength(ProfileSegment.Parabola p) {
    double g0 = p.startGrade();
    double g1 = p.endGrade();
    return p.length() * (arc(g1) - arc(g0)) / (g1 - g0);
  }

  private static double arc(double g) {
    double root = Math.hypot(1, g);
    return (g * root + Math.log(g + root)) / 2;
  }

  int segment(String transition, int placement, double start, double length, int parent)
      throws IOException {
    return step.add(
        "IfcCurveSegment",
        literal(transition),
        ref(placement),
        typed("IfcLengthMeasure", real(start)),
        typed("IfcLengthMeasure", real(length)),
        ref(parent));
  }

  int placement(double x, double y, double direction) throws IOException {
    int point = step.add("IfcCartesianPoint", reals(x, y));
    int along = step.add("IfcDirection", reals(Math.cos(direction), Math.sin(direction)));
    return step.add("IfcAxis2Placement2D", ref(point), ref(along));
  }

  int origin() throws IOException {
    return placement(0, 0, 0);
  }

  private int line() throws IOException {
    int point = step.add("IfcCartesianPoint", reals(0, 0));
    int direction = step.add("IfcDirection", reals(1, 0));
    int vector = step.add("IfcVector", ref(direction), real(1));
    return step.add("IfcLine", ref(point), ref(vector));
  }
}
