package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wellspan.core.geom.Chords;

/**
 * Reads bounded curves as points in the coordinates of the shape they belong to: what is straight
 * exactly, what is round by chords. A curve in a plane gets z = 0.
 */
final class CurveReader {
  /** Round things have at least this many corners in a full turn. */
  private static final int LEAST_CORNERS = 64;

  private static final double METRES = 0.001;

  private final Units units;
  private final double tolerance;
  private final double gap;
  private final double metre;
  private final double angle;

  /**
   * @param units of the file
   */
  CurveReader(Units units) {
    this(units, METRES);
  }

  private CurveReader(Units units, double chord) {
    this.units = units;
    tolerance = chord / units.length();
    gap = METRES / units.length();
    metre = 1 / units.length();
    angle = units.angle();
  }

  /** With chords that even over kilometres are not noticeably shorter than their curve. */
  CurveReader finer() {
    return new CurveReader(units, METRES / 100);
  }

  /** Largest distance of a chord from its curve, in the file's unit. */
  double tolerance() {
    return tolerance;
  }

  /** Largest gap between two pieces of one curve, in the file's unit. */
  double gap() {
    return gap;
  }

  /** The length of a metre in the file's unit. */
  double metre() {
    return metre;
  }

  /** Radians in the file's unit of angles. */
  double angle() {
    return angle;
  }

  /**
   * Points in threes from the curve's start to its end.
   *
   * @throws Unread if the curve is of a kind that is not read, or does not hang together
   */
  double[] points(Instance curve) {
    return switch (curve.entity().name()) {
      case "IfcPolyline" -> polyline(curve);
      case "IfcIndexedPolyCurve" -> indexed(curve);
      case "IfcTrimmedCurve" -> trimmed(curve);
      case "IfcCompositeCurve",
          "IfcCompositeCurveOnSurface",
          "IfcBoundaryCurve",
          "IfcOuterBoundaryCurve" ->
          composite(curve);
      case "IfcCircle", "IfcEllipse" -> conic(curve, 0, 2 * Math.PI);
      case "IfcBSplineCurveWithKnots", "IfcRationalBSplineCurveWithKnots" ->
          Spline.of(curve, tolerance);
      case "IfcGradientCurve" -> gradient(curve);
      default -> throw Unread.kind(curve);
    };
  }

  /** A closed curve without the repeated corner at its end. */
  double[] ring(Instance curve) {
    double[] xyz = points(curve);
    int n = xyz.length / 3;
    if (n > 1 && distance(xyz, 0, n - 1) <= gap) {
      n--;
    }
    if (n < 3) {
      throw new Unread(curve, "has fewer than three corners");
    }
    return java.util.Arrays.copyOf(xyz, 3 * n);
  }

  private static double distance(double[] xyz, int a, int b) {
    double dx = xyz[3 * a] - xyz[3 * b];
    double dy = xyz[3 * a + 1] - xyz[3 * b + 1];
    double dz = xyz[3 * a + 2] - xyz[3 * b + 2];
    return Math.sqrt(dx * dx + dy * dy + dz * dz);
  }

  private static double[] polyline(Instance curve) {
    List<Instance> points = curve.refs("Points");
    double[] out = new double[3 * points.size()];
    int dim = points.getFirst().numbers("Coordinates").length;
    for (int i = 0; i < points.size(); i++) {
      double[] c = points.get(i).numbers("Coordinates");
      if (c.length != dim || dim < 2) {
        throw new Unread(
            points.get(i),
            "has " + c.length + " coordinates among points of " + dim + " (a decimal comma?)");
      }
      System.arraycopy(c, 0, out, 3 * i, c.length);
    }
    return out;
  }

  private double[] indexed(Instance curve) {
    double[] all = table(curve.ref("Points"), curve);
    if (curve.get("Segments") instanceof Value.Unset) {
      return all;
    }
    if (!(curve.get("Segments") instanceof Value.Many(List<Value> segments))) {
      throw new Unread(curve, "has segments that cannot be read");
    }
    List<double[]> parts = new ArrayList<>();
    for (Value s : segments) {
      if (!(s instanceof Value.Typed(String type, Value.Numbers(double[] n, Value.Tokens _)))) {
        throw new Unread(curve, "has a segment that is neither line nor arc");
      }
      double[] p = new double[3 * n.length];
      for (int i = 0; i < n.length; i++) {
        int count = all.length / 3;
        if (n[i] < 1 || n[i] > count) {
          throw new Unread(curve, "names point " + (long) n[i] + " of " + count);
        }
        System.arraycopy(all, 3 * ((int) n[i] - 1), p, 3 * i, 3);
      }
      parts.add(type.equalsIgnoreCase("IFCARCINDEX") ? arc(curve, p) : p);
    }
    return joined(curve, parts);
  }

  private static double[] table(Optional<Instance> list, Instance curve) {
    if (!(list.map(l -> l.get("CoordList")).orElse(Value.UNSET)
        instanceof Value.Table(double[] v, int columns, Value.Tokens _))) {
      throw new Unread(curve, "has no list of points");
    }
    boolean flat = list.get().isA("IFCCARTESIANPOINTLIST2D");
    if (columns != (flat ? 2 : 3)) {
      throw new Unread(list.get(), "has points of " + columns + " coordinates (a decimal comma?)");
    }
    double[] out = new double[v.length / columns * 3];
    for (int i = 0; i < v.length / columns; i++) {
      System.arraycopy(v, i * columns, out, 3 * i, columns);
    }
    return out;
  }

  /** The arc through three points. */
  private double[] arc(Instance curve, double[] p) {
    if (p.length != 9) {
      throw new Unread(curve, "has an arc of " + p.length / 3 + " points");
    }
    double[] u = minus(p, 1, 0);
    double[] w = minus(p, 2, 0);
    double[] n = Direction.cross(u, w);
    double nn = Direction.dot(n, n);
    if (nn <= 1e-24 * Direction.dot(u, u) * Direction.dot(w, w)) {
      return p; // three points in line
    }
    double[] uu = Direction.cross(n, u);
    double[] ww = Direction.cross(w, n);
    double[] c = new double[3]; // centre from the first point
    for (int k = 0; k < 3; k++) {
      c[k] = (Direction.dot(w, w) * uu[k] + Direction.dot(u, u) * ww[k]) / (2 * nn);
    }
    double[] major = {-c[0], -c[1], -c[2]};
    double[] axis = Direction.unit(n);
    double[] minor = Direction.cross(axis, major);
    double[] end = {w[0] - c[0], w[1] - c[1], w[2] - c[2]};
    double sweep = Math.atan2(Direction.dot(end, minor), Direction.dot(end, major));
    sweep = sweep <= 0 ? sweep + 2 * Math.PI : sweep;
    double[] centre = {p[0] + c[0], p[1] + c[1], p[2] + c[2]};
    return chords(centre, major, minor, 0, sweep);
  }

  /** Points of an ellipse or a part of it, at least 64 pieces in a full turn. */
  double[] chords(double[] centre, double[] major, double[] minor, double from, double by) {
    double radius = Math.sqrt(Math.max(Direction.dot(major, major), Direction.dot(minor, minor)));
    double finer = radius * (1 - Math.cos(Math.PI / LEAST_CORNERS));
    return Chords.ellipse(centre, major, minor, from, by, Math.min(tolerance, finer));
  }

  private double[] conic(Instance curve, double from, double sweep) {
    boolean circle = curve.isA("IFCCIRCLE");
    double a = curve.number(circle ? "Radius" : "SemiAxis1");
    double b = curve.number(circle ? "Radius" : "SemiAxis2");
    double[] m = Placement.axis(curve.ref("Position")).m();
    return chords(
        new double[] {m[3], m[7], m[11]},
        new double[] {a * m[0], a * m[4], a * m[8]},
        new double[] {b * m[1], b * m[5], b * m[9]},
        from,
        sweep);
  }

  private double[] trimmed(Instance curve) {
    Instance basis = curve.ref("BasisCurve").orElseThrow(() -> Unread.kind(curve));
    boolean sense = !curve.literal("SenseAgreement").equals("F");
    return switch (basis.entity().name()) {
      case "IfcLine" -> {
        double[] a = onLine(curve, basis, "Trim1");
        double[] b = onLine(curve, basis, "Trim2");
        yield new double[] {a[0], a[1], a[2], b[0], b[1], b[2]};
      }
      case "IfcCircle", "IfcEllipse" -> {
        double a = onConic(curve, basis, "Trim1");
        double b = onConic(curve, basis, "Trim2");
        double full = 2 * Math.PI;
        double sweep = (b - a) % full;
        sweep = sense ? (sweep <= 0 ? sweep + full : sweep) : sweep >= 0 ? sweep - full : sweep;
        yield conic(basis, a, sweep);
      }
      default ->
          throw new Unread(curve, "trims a " + basis.entity().name() + ", which is not read");
    };
  }

  /** A trimming point or parameter; the one that the curve prefers, if both are given. */
  private static Value trim(Instance curve, String which) {
    Value point = Value.UNSET;
    Value parameter = Value.UNSET;
    if (curve.get(which) instanceof Value.Many(List<Value> all)) {
      for (Value v : all) {
        if (v instanceof Value.Ref) {
          point = v;
        } else {
          parameter = v;
        }
      }
    }
    boolean byPoint = curve.literal("MasterRepresentation").equals("CARTESIAN");
    Value first = byPoint ? point : parameter;
    return first instanceof Value.Unset ? (byPoint ? parameter : point) : first;
  }

  private static double[] onLine(Instance curve, Instance line, String which) {
    Value v = trim(curve, which);
    if (v instanceof Value.Ref(int id)) {
      return Placement.point(curve.model().find(id));
    }
    double t = Instance.number(v);
    double[] p = Placement.point(line.ref("Pnt"));
    Instance vector = line.ref("Dir").orElseThrow(() -> Unread.kind(line));
    double[] d = Placement.direction(vector.ref("Orientation"), line);
    double l = vector.number("Magnitude") * t;
    if (!Double.isFinite(l)) {
      throw new Unread(curve, "does not say where it ends");
    }
    return new double[] {p[0] + l * d[0], p[1] + l * d[1], p[2] + l * d[2]};
  }

  private double onConic(Instance curve, Instance conic, String which) {
    Value v = trim(curve, which);
    if (v instanceof Value.Ref(int id)) {
      double[] p = Placement.point(curve.model().find(id));
      double[] m = Placement.axis(conic.ref("Position")).m();
      double x = 0;
      double y = 0;
      for (int k = 0; k < 3; k++) {
        double o = p[k] - m[4 * k + 3];
        x += o * m[4 * k];
        y += o * m[4 * k + 1];
      }
      boolean circle = conic.isA("IFCCIRCLE");
      return Math.atan2(
          y / conic.number(circle ? "Radius" : "SemiAxis2"),
          x / conic.number(circle ? "Radius" : "SemiAxis1"));
    }
    double t = Instance.number(v) * angle;
    if (!Double.isFinite(t)) {
      throw new Unread(curve, "does not say where it ends");
    }
    return t;
  }

  private double[] composite(Instance curve) {
    List<double[]> parts = new ArrayList<>();
    for (Instance s : curve.refs("Segments")) {
      if (s.isA("IFCCURVESEGMENT")) {
        parts.add(laid(s));
        continue;
      }
      double[] part = points(s.ref("ParentCurve").orElseThrow(() -> Unread.kind(s)));
      parts.add(s.literal("SameSense").equals("F") ? reversed(part) : part);
    }
    return joined(curve, parts);
  }

  /** A curve segment of an alignment, by points at every metre, nearer where it bends sharply. */
  double[] laid(Instance segment) {
    double length = Math.abs(segment.number("SegmentLength", 0));
    ParentCurve c = CurveCheck.laid(segment, metre).orElseThrow(() -> Unread.kind(segment));
    double bend = length > 0 ? Math.sqrt(LaidLine.curvature(c, length) / (8 * tolerance)) : 0;
    int n = Unread.notTooMany(segment, Math.max(1, Math.ceil(length * Math.max(1 / metre, bend))));
    double[] out = new double[3 * (n + 1)];
    for (int i = 0; i <= n; i++) {
      double[] p = c.at(length * i / n);
      out[3 * i] = p[0];
      out[3 * i + 1] = p[1];
    }
    return out;
  }

  /** The plan of an alignment with the levels of its profile, by points at every metre. */
  private double[] gradient(Instance curve) {
    double[] plan = points(curve.ref("BaseCurve").orElseThrow(() -> Unread.kind(curve)));
    List<double[]> profile = new ArrayList<>();
    for (Instance s : curve.refs("Segments")) {
      if (s.number("SegmentLength", 0) != 0) {
        profile.add(laid(s)); // distance along, level
      }
    }
    double[] levels = joined(curve, profile);
    double reached = 0;
    for (int i = 0; i < plan.length; i += 3) {
      if (i > 0) {
        reached += Math.hypot(plan[i] - plan[i - 3], plan[i + 1] - plan[i - 2]);
      }
      plan[i + 2] = level(levels, reached);
    }
    return plan;
  }

  private static double level(double[] profile, double at) {
    int i = 3;
    while (i + 3 < profile.length && profile[i] < at) {
      i += 3;
    }
    double run = profile[i] - profile[i - 3];
    double t = run == 0 ? 0 : Math.clamp((at - profile[i - 3]) / run, 0.0, 1.0);
    return profile[i - 2] + t * (profile[i + 1] - profile[i - 2]);
  }

  private double[] joined(Instance curve, List<double[]> parts) {
    List<double[]> points = new ArrayList<>();
    for (double[] part : parts) {
      for (int i = 0; i < part.length; i += 3) {
        double[] p = {part[i], part[i + 1], part[i + 2]};
        if (i == 0 && !points.isEmpty()) {
          double[] last = points.getLast();
          double off =
              Math.sqrt(square(p[0] - last[0]) + square(p[1] - last[1]) + square(p[2] - last[2]));
          if (off > gap) {
            throw new Unread(
                curve,
                String.format(
                    java.util.Locale.ROOT,
                    "has a jump of %.4f m between its segments",
                    off / metre));
          }
          continue;
        }
        points.add(p);
      }
    }
    double[] out = new double[3 * points.size()];
    for (int i = 0; i < points.size(); i++) {
      System.arraycopy(points.get(i), 0, out, 3 * i, 3);
    }
    if (out.length < 6) {
      throw new Unread(curve, "has no points");
    }
    return out;
  }

  private static double square(double d) {
    return d * d;
  }

  private static double[] reversed(double[] xyz) {
    double[] out = new double[xyz.length];
    for (int i = 0; i < xyz.length; i += 3) {
      System.arraycopy(xyz, xyz.length - 3 - i, out, i, 3);
    }
    return out;
  }

  private static double[] minus(double[] p, int a, int b) {
    return new double[] {
      p[3 * a] - p[3 * b], p[3 * a + 1] - p[3 * b + 1], p[3 * a + 2] - p[3 * b + 2]
    };
  }
}
