package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.ProfileSegment;
import wellspan.core.align.SpiralLaw;

/**
 * Reads an alignment by the curves that are drawn for it, where it has no layout that can be read.
 * Lines, arcs and clothoids become elements of their own, parabolas parts of the profile; what else
 * bends becomes a line of points that nowhere lies farther than a hundredth of a millimetre off.
 */
final class DrawnAlignment {
  /** Points of a line that lie nearer to each other in plan are one, metres. */
  private static final double SAME = 1e-6;

  /** How far a parabola may lie from the curve it is taken for, metres. */
  private static final double PARABOLIC = 1e-7;

  private static final int LOOKED_AT = 16;

  private final CurveReader curves;
  private final List<PlanElement> plan = new ArrayList<>();
  private final List<ProfileSegment> profile = new ArrayList<>();
  private final TreeSet<String> byPoints = new TreeSet<>();

  /**
   * @param curves in the file's unit
   */
  DrawnAlignment(CurveReader curves) {
    this.curves = curves.finer();
  }

  /**
   * In the model's own coordinates and unit.
   *
   * @param byPoints kinds of curves that became lines of points
   */
  record Drawn(List<PlanElement> plan, Optional<Profile> profile, List<String> byPoints) {}

  /**
   * @return empty if no curve is drawn for it
   * @throws Unread if its curve cannot be read
   */
  Optional<Drawn> read(Instance alignment) {
    Optional<Instance> curve = best(alignment);
    if (curve.isEmpty()) {
      return Optional.empty();
    }
    take(curve.get());
    return plan.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Drawn(
                List.copyOf(plan),
                profile.isEmpty() ? Optional.empty() : Optional.of(new Profile("Profile", profile)),
                List.copyOf(byPoints)));
  }

  /** The curve that says most: with cant, with levels, by its elements, by points. */
  private static Optional<Instance> best(Instance alignment) {
    List<Instance> all = new ArrayList<>();
    for (Instance r : Representations.of(alignment)) {
      all.addAll(LineReader.elements(r.refs("Items")));
    }
    for (String wanted :
        List.of(
            "IFCSEGMENTEDREFERENCECURVE", "IFCGRADIENTCURVE", "IFCCOMPOSITECURVE", "IFCCURVE")) {
      Optional<Instance> found = all.stream().filter(i -> i.isA(wanted)).findFirst();
      if (found.isPresent()) {
        return found;
      }
    }
    return Optional.empty();
  }

  private void take(Instance curve) {
    if (curve.isA("IFCSEGMENTEDREFERENCECURVE")) {
      take(base(curve)); // its segments are the cant
    } else if (curve.isA("IFCGRADIENTCURVE")) {
      take(base(curve));
      profile.clear(); // levels of the base are none of the profile's
      curve.refs("Segments").forEach(this::raised);
    } else if (curve.entity().name().equals("IfcCompositeCurve")
        && curve.refs("Segments").stream().allMatch(s -> s.isA("IFCCURVESEGMENT"))) {
      curve.refs("Segments").forEach(this::element);
    } else {
      points(curve);
    }
  }

  private static Instance base(Instance curve) {
    return curve.ref("BaseCurve").orElseThrow(() -> new Unread(curve, "has no base curve"));
  }

  private void element(Instance segment) {
    double signed = segment.number("SegmentLength", 0);
    double length = Math.abs(signed);
    if (!(length > 0)) {
      return; // it closes the curve
    }
    ParentCurve laid = laid(segment);
    Instance parent = segment.ref("ParentCurve").orElseThrow(() -> Unread.kind(segment));
    double[] p = laid.at(0);
    PlanPoint start = new PlanPoint(p[0], p[1], p[2]);
    double sign = Math.signum(signed);
    plan.add(
        switch (parent.entity().name()) {
          case "IfcLine" -> new PlanElement.Line(start, length);
          case "IfcCircle" -> new PlanElement.Arc(start, length, sign * parent.number("Radius"));
          case "IfcClothoid" -> {
            double a = parent.number("ClothoidConstant");
            double from = segment.number("SegmentStart", 0);
            double k = Math.signum(a) / (a * a);
            yield new PlanElement.Spiral(
                start, length, sign * k * from, sign * k * (from + signed), SpiralLaw.CLOTHOID);
          }
          default -> {
            byPoints.add(parent.entity().name());
            yield irregular(segment, curves.laid(segment));
          }
        });
  }

  private ParentCurve laid(Instance segment) {
    return CurveCheck.laid(segment, curves.metre()).orElseThrow(() -> Unread.kind(segment));
  }

  /** A segment of the profile: x is the distance along the plan, y the level. */
  private void raised(Instance segment) {
    double signed = segment.number("SegmentLength", 0);
    double length = Math.abs(signed);
    if (!(length > 0)) {
      return;
    }
    ParentCurve laid = laid(segment);
    Instance parent = segment.ref("ParentCurve").orElseThrow(() -> Unread.kind(segment));
    double[] a = laid.at(0);
    double[] b = laid.at(length);
    double run = b[0] - a[0];
    if (!(run > 0)) {
      throw new Unread(segment, "does not go on along its alignment");
    }
    double g0 = Math.tan(a[2]);
    double g1 = Math.tan(b[2]);
    ProfileSegment parabola = new ProfileSegment.Parabola(a[0], run, a[1], g0, g1);
    if (parent.isA("IFCLINE")) {
      profile.add(new ProfileSegment.Grade(a[0], run, a[1], g0));
    } else if (parent.isA("IFCCIRCLE")) {
      double radius = Math.signum(signed) * parent.number("Radius");
      profile.add(new ProfileSegment.Circle(a[0], run, a[1], g0, g1, radius));
    } else if (off(parabola, laid, length) <= PARABOLIC * curves.metre()) {
      profile.add(parabola);
    } else {
      byPoints.add(parent.entity().name());
      grades(curves.laid(segment));
    }
  }

  private static double off(ProfileSegment taken, ParentCurve laid, double length) {
    double worst = 0;
    for (int i = 0; i <= LOOKED_AT; i++) {
      double[] p = laid.at(length * i / LOOKED_AT);
      worst = Math.max(worst, Math.abs(taken.levelAt(p[0] - taken.startDistance()) - p[1]));
    }
    return worst;
  }

  /** Straight grades between points of distance and level. */
  private void grades(double[] along) {
    for (int i = 3; i < along.length; i += 3) {
      double run = along[i] - along[i - 3];
      if (run > 0) {
        profile.add(
            new ProfileSegment.Grade(
                along[i - 3], run, along[i - 2], (along[i + 1] - along[i - 2]) / run));
      }
    }
  }

  /** A curve by its points, with their levels where it has any. */
  private void points(Instance curve) {
    if (!curve.isA("IFCPOLYLINE")) {
      byPoints.add(curve.entity().name());
    }
    double[] xyz = curves.points(curve);
    plan.add(irregular(curve, xyz));
    if (!LineReader.isFlat(curve)) {
      double[] along = new double[xyz.length];
      for (int i = 0; i < xyz.length; i += 3) {
        along[i] =
            i == 0 ? 0 : along[i - 3] + Math.hypot(xyz[i] - xyz[i - 3], xyz[i + 1] - xyz[i - 2]);
        along[i + 1] = xyz[i + 2];
      }
      grades(along);
    }
  }

  private PlanElement irregular(Instance of, double[] xyz) {
    List<Double> xy = new ArrayList<>();
    for (int i = 0; i < xyz.length; i += 3) {
      int n = xy.size();
      if (n == 0
          || Math.hypot(xyz[i] - xy.get(n - 2), xyz[i + 1] - xy.get(n - 1))
              > SAME * curves.metre()) {
        xy.add(xyz[i]);
        xy.add(xyz[i + 1]);
      }
    }
    if (xy.size() < 4) {
      throw new Unread(of, "goes nowhere in plan");
    }
    return new PlanElement.Irregular(xy.stream().mapToDouble(v -> v).toArray());
  }
}
