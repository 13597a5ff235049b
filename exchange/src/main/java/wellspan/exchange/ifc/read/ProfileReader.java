package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;

/** Reads profiles as closed outlines of x y pairs, or as the lines of open ones. */
final class ProfileReader {
  private final CurveReader curves;
  private final ParametricProfiles parametric;

  ProfileReader(CurveReader curves) {
    this.curves = curves;
    parametric = new ParametricProfiles(curves);
  }

  /**
   * The areas of a profile: more than one only for composites. Each has its outer loop first,
   * turned counter-clockwise, then its holes, turned clockwise.
   *
   * @throws Unread if the profile or one of its curves is of a kind that is not read
   */
  List<List<double[]>> areas(Instance profile) {
    List<List<double[]>> out = new ArrayList<>();
    for (List<double[]> area : unturned(profile)) {
      List<double[]> turned = new ArrayList<>();
      for (int k = 0; k < area.size(); k++) {
        turned.add(turned(area.get(k), k == 0));
      }
      out.add(turned);
    }
    return out;
  }

  private List<List<double[]>> unturned(Instance profile) {
    return switch (profile.entity().name()) {
      case "IfcArbitraryClosedProfileDef", "IfcArbitraryProfileDefWithVoids" ->
          List.of(arbitrary(profile));
      case "IfcCenterLineProfileDef" -> List.of(List.of(centreLine(profile)));
      case "IfcCompositeProfileDef" ->
          profile.refs("Profiles").stream().flatMap(p -> unturned(p).stream()).toList();
      case "IfcDerivedProfileDef" ->
          moved(
              unturned(part(profile, "ParentProfile")),
              Placement.operator(part(profile, "Operator")));
      case "IfcMirroredProfileDef" ->
          moved(
              unturned(part(profile, "ParentProfile")),
              new Placement(new double[] {-1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 1, 0}));
      default -> {
        List<double[]> loops = parametric.loops(profile);
        yield moved(List.of(loops), Placement.axis(profile.ref("Position")));
      }
    };
  }

  /**
   * The line of an open profile, in threes with z = 0.
   *
   * @throws Unread if it is no open profile
   */
  double[] line(Instance profile) {
    if (profile.isA("IFCARBITRARYOPENPROFILEDEF")) {
      return curves.points(part(profile, "Curve"));
    }
    if (profile.isA("IFCOPENCROSSPROFILEDEF")) {
      return crossfalls(profile);
    }
    throw Unread.kind(profile);
  }

  /** Widths and slopes from the offset point on; horizontal widths are measured in plan. */
  private double[] crossfalls(Instance profile) {
    double[] widths = profile.numbers("Widths");
    double[] slopes = profile.numbers("Slopes");
    boolean plan = !profile.literal("HorizontalWidths").equals("F");
    if (widths.length != slopes.length || widths.length == 0) {
      throw new Unread(profile, "has not as many slopes as widths");
    }
    double[] out = new double[3 * widths.length + 3];
    if (profile.ref("OffsetPoint").isPresent()) {
      System.arraycopy(Placement.point(profile.ref("OffsetPoint")), 0, out, 0, 2);
    }
    for (int i = 0; i < widths.length; i++) {
      double a = slopes[i] * curves.angle();
      out[3 * i + 3] = out[3 * i] + (plan ? widths[i] : widths[i] * Math.cos(a));
      out[3 * i + 4] = out[3 * i + 1] + widths[i] * (plan ? Math.tan(a) : Math.sin(a));
    }
    return out;
  }

  private static Instance part(Instance of, String attribute) {
    return of.ref(attribute).orElseThrow(() -> new Unread(of, "has no " + attribute));
  }

  private List<double[]> arbitrary(Instance profile) {
    List<double[]> out = new ArrayList<>();
    out.add(plan(curves.ring(part(profile, "OuterCurve"))));
    profile.refs("InnerCurves").forEach(c -> out.add(plan(curves.ring(c))));
    return out;
  }

  /** Half the thickness to either side of the line, with mitred corners and flat ends. */
  private double[] centreLine(Instance profile) {
    double[] line = curves.points(part(profile, "Curve"));
    double half = profile.number("Thickness") / 2;
    int n = line.length / 3;
    double[] out = new double[4 * n];
    for (int i = 0; i < n; i++) {
      double[] before = i == 0 ? null : across(line, i - 1);
      double[] after = i == n - 1 ? null : across(line, i);
      double[] a = before == null ? after : before;
      double[] b = after == null ? before : after;
      double mitre = 1 + a[0] * b[0] + a[1] * b[1];
      if (mitre < 1e-6) {
        throw new Unread(profile, "turns back on itself");
      }
      double x = half * (a[0] + b[0]) / mitre;
      double y = half * (a[1] + b[1]) / mitre;
      out[2 * i] = line[3 * i] + x;
      out[2 * i + 1] = line[3 * i + 1] + y;
      out[4 * n - 2 * i - 2] = line[3 * i] - x;
      out[4 * n - 2 * i - 1] = line[3 * i + 1] - y;
    }
    return out;
  }

  /** The unit vector to the left of a piece. */
  private static double[] across(double[] line, int piece) {
    double dx = line[3 * piece + 3] - line[3 * piece];
    double dy = line[3 * piece + 4] - line[3 * piece + 1];
    double l = Math.hypot(dx, dy);
    return new double[] {-dy / l, dx / l};
  }

  private static double[] plan(double[] xyz) {
    double[] xy = new double[xyz.length / 3 * 2];
    for (int i = 0; i < xyz.length / 3; i++) {
      xy[2 * i] = xyz[3 * i];
      xy[2 * i + 1] = xyz[3 * i + 1];
    }
    return xy;
  }

  private static List<List<double[]>> moved(List<List<double[]>> areas, Placement p) {
    if (p.isIdentity()) {
      return areas;
    }
    return areas.stream().map(a -> a.stream().map(l -> moved(l, p)).toList()).toList();
  }

  private static double[] moved(double[] xy, Placement p) {
    double[] out = new double[xy.length];
    for (int i = 0; i < xy.length; i += 2) {
      double[] q = {xy[i], xy[i + 1], 0};
      p.apply(q, 0, 3);
      out[i] = q[0];
      out[i + 1] = q[1];
    }
    return out;
  }

  /** The loop turned counter-clockwise, or clockwise. */
  static double[] turned(double[] xy, boolean counterClockwise) {
    double twice = 0;
    int n = xy.length;
    for (int i = 0; i < n; i += 2) {
      twice +=
          (xy[i] - xy[0]) * (xy[(i + 3) % n] - xy[1])
              - (xy[i + 1] - xy[1]) * (xy[(i + 2) % n] - xy[0]);
    }
    if (twice > 0 == counterClockwise) {
      return xy;
    }
    double[] out = new double[n];
    for (int i = 0; i < n; i += 2) {
      out[i] = xy[n - 2 - i];
      out[i + 1] = xy[n - 1 - i];
    }
    return out;
  }
}
