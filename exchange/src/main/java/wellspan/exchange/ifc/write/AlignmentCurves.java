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
 * parabola), laid so that its start falls on the segment's placement. Spiral terms by ISO
 * 16739-1:2024: curvature of the clothoid is A/|A³|·s, of the third order spiral A₃/|A₃⁵|·s³ +
 * 1/A₂³·s² + A₁/|A₁³|·s + 1/A₀, of the cosine spiral 1/A₀ + 1/A₁·cos(πs/L), of the sine spiral 1/A₀
 * + A₁/|A₁|·(s/A₁)²/s + 1/A₂·sin(2πs/L).
 */
final class AlignmentCurves {
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
      boolean smooth =
          i + 1 < elements.size()
              && Math.abs(
                      Math.IEEEremainder(
                          elements.get(i + 1).start().direction() - e.end().direction(),
                          2 * Math.PI))
                  < 1e-6;
      segments.add(planSegment(e, smooth));
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

  private int planSegment(PlanElement e, boolean smooth) throws IOException {
    String transition = smooth ? "CONTSAMEGRADIENT" : "CONTINUOUS";
    int at = placement(e.start().east() / unit, e.start().north() / unit, e.start().direction());
    double length = e.length() / unit;
    return switch (e) {
      case PlanElement.Line l -> segment(transition, at, 0, length, line());
      case PlanElement.Arc a -> {
        int circle = step.add("IfcCircle", ref(origin()), real(Math.abs(a.radius()) / unit));
        yield segment(transition, at, 0, Math.signum(a.radius()) * length, circle);
      }
      case PlanElement.Spiral s -> spiral(s, transition, at, length);
      case PlanElement.Irregular i -> throw new IllegalStateException("taken to pieces before");
    };
  }

  private int spiral(PlanElement.Spiral s, String transition, int at, double length)
      throws IOException {
    double k0 = s.startCurvature() * unit;
    double change = s.endCurvature() * unit - k0;
    return switch (s.law()) {
      case CLOTHOID -> {
        double a = Math.signum(change) * Math.sqrt(length / Math.abs(change));
        int parent = step.add("IfcClothoid", ref(origin()), real(a));
        yield segment(transition, at, k0 * a * Math.abs(a), length, parent);
      }
      case BLOSS -> {
        double cubic = term(-2 * change / Math.pow(length, 3), 4);
        double quadratic = term(3 * change / (length * length), 3);
        int parent =
            step.add(
                "IfcThirdOrderPolynomialSpiral",
                ref(origin()),
                real(cubic),
                real(quadratic),
                UNSET,
                constant(k0));
        yield segment(transition, at, 0, length, parent);
      }
      case COSINE -> {
        int parent =
            step.add(
                "IfcCosineSpiral", ref(origin()), real(-2 / change), constant(k0 + change / 2));
        yield segment(transition, at, 0, length, parent);
      }
      case SINE -> {
        int parent =
            step.add(
                "IfcSineSpiral",
                ref(origin()),
                real(-2 * Math.PI / change),
                real(term(change / length, 2)),
                constant(k0));
        yield segment(transition, at, 0, length, parent);
      }
      case BIQUADRATIC,
          VIENNESE,
          CUBIC,
          CUBIC_PARABOLA,
          BIQUADRATIC_PARABOLA,
          SINE_HALF_WAVE,
          RADIOID ->
          throw new IllegalStateException(SpiralTypes.of(s));
    };
  }

  /** The length A with sign(A)/|A|ⁿ = coefficient. */
  private static double term(double coefficient, int power) {
    return Math.signum(coefficient) * Math.pow(Math.abs(coefficient), -1.0 / power);
  }

  private static StepValue constant(double curvature) {
    return curvature == 0 ? UNSET : real(1 / curvature);
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

  private int segment(String transition, int placement, double start, double length, int parent)
      throws IOException {
    return step.add(
        "IfcCurveSegment",
        literal(transition),
        ref(placement),
        typed("IfcLengthMeasure", real(start)),
        typed("IfcLengthMeasure", real(length)),
        ref(parent));
  }

  private int placement(double x, double y, double direction) throws IOException {
    int point = step.add("IfcCartesianPoint", reals(x, y));
    int along = step.add("IfcDirection", reals(Math.cos(direction), Math.sin(direction)));
    return step.add("IfcAxis2Placement2D", ref(point), ref(along));
  }

  private int origin() throws IOException {
    return placement(0, 0, 0);
  }

  private int line() throws IOException {
    int point = step.add("IfcCartesianPoint", reals(0, 0));
    int direction = step.add("IfcDirection", reals(1, 0));
    int vector = step.add("IfcVector", ref(direction), real(1));
    return step.add("IfcLine", ref(point), ref(vector));
  }
}
