package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import wellspan.core.geom.Mesh;
import wellspan.core.solid.Loft;

/**
 * Reads solids and surfaces of sections along a line. Sections stand upright, their x axis to the
 * left of the line; between two of them they change straight.
 */
final class SectionedReader {
  /** Corners of a line up to this are those of a curve, whose direction changes all the way. */
  private static final double SMOOTH = Math.toRadians(10);

  private final CurveReader curves;
  private final ProfileReader profiles;

  SectionedReader(CurveReader curves, ProfileReader profiles) {
    this.curves = curves;
    this.profiles = profiles;
  }

  Mesh solid(Instance s) {
    List<Instance> sections = s.refs("CrossSections");
    List<List<double[]>> areas = new ArrayList<>();
    for (Instance p : sections) {
      List<List<double[]>> a = profiles.areas(p);
      if (a.size() != 1) {
        throw new Unread(p, "has several areas, which a section cannot have");
      }
      areas.add(a.getFirst());
    }
    return Loft.body(along(s, areas, 2), false);
  }

  Mesh surface(Instance s) {
    List<List<double[]>> lines = new ArrayList<>();
    for (Instance p : s.refs("CrossSections")) {
      double[] xyz = profiles.line(p);
      double[] xy = new double[xyz.length / 3 * 2];
      for (int i = 0; i < xyz.length / 3; i++) {
        xy[2 * i] = xyz[3 * i];
        xy[2 * i + 1] = xyz[3 * i + 1];
      }
      lines.add(List.of(xy));
    }
    return Loft.sheet(along(s, lines, 2).stream().map(List::getFirst).toList());
  }

  /** Sections in places of their own, joined straight. */
  Mesh spine(Instance s) {
    List<Instance> sections = s.refs("CrossSections");
    List<Instance> places = s.refs("CrossSectionPositions");
    if (sections.size() != places.size() || sections.size() < 2) {
      throw new Unread(s, "has not as many places as sections");
    }
    List<List<double[]>> out = new ArrayList<>();
    for (int i = 0; i < sections.size(); i++) {
      Placement p = Placement.axis(java.util.Optional.of(places.get(i)));
      List<double[]> loops = new ArrayList<>();
      for (double[] xy : profiles.areas(sections.get(i)).getFirst()) {
        double[] xyz = new double[xy.length / 2 * 3];
        for (int k = 0; k < xy.length / 2; k++) {
          xyz[3 * k] = xy[2 * k];
          xyz[3 * k + 1] = xy[2 * k + 1];
        }
        p.apply(xyz, 0, xyz.length);
        loops.add(xyz);
      }
      out.add(loops);
    }
    return Loft.body(out, false);
  }

  /** The sections and, at each corner of the line between two of them, the one between. */
  private List<List<double[]>> along(Instance s, List<List<double[]>> sections, int least) {
    List<Instance> places = s.refs("CrossSectionPositions");
    if (places.size() != sections.size() || places.size() < least) {
      throw new Unread(s, "has not as many places as sections");
    }
    Instance directrix =
        s.ref("Directrix").orElseThrow(() -> new Unread(s, "has no line to follow"));
    Line line = new Line(curves.points(directrix), directrix.isA("IFCGRADIENTCURVE"));
    List<double[]> at = new ArrayList<>(); // distance, to the left, up
    for (Instance p : places) {
      at.add(place(p));
    }
    List<List<double[]>> out = new ArrayList<>();
    for (int i = 0; i < places.size(); i++) {
      double[] a = at.get(i);
      if (a[0] < -1e-6 || a[0] > line.length() + 1e-6 * Math.max(1, line.length())) {
        throw new Unread(places.get(i), "lies beyond the end of the line");
      }
      out.add(line.stand(sections.get(i), a));
      if (i + 1 == places.size()) {
        break;
      }
      double[] b = at.get(i + 1);
      if (!(b[0] > a[0])) {
        throw new Unread(places.get(i + 1), "does not lie beyond the one before");
      }
      for (double d : line.corners(a[0], b[0])) {
        double t = (d - a[0]) / (b[0] - a[0]);
        double[] between = {d, a[1] + t * (b[1] - a[1]), a[2] + t * (b[2] - a[2])};
        out.add(line.stand(between(s, sections.get(i), sections.get(i + 1), t), between));
      }
    }
    return out;
  }

  private double[] place(Instance p) {
    Instance location =
        p.isA("IFCAXIS2PLACEMENTLINEAR")
            ? p.ref("Location").orElseThrow(() -> new Unread(p, "has no location"))
            : p;
    if (!location.isA("IFCPOINTBYDISTANCEEXPRESSION")) {
      throw new Unread(p, "does not say how far along the line it is");
    }
    if (location.get("DistanceAlong") instanceof Value.Typed(String type, Value v)
        && type.equalsIgnoreCase("IFCPARAMETERVALUE")) {
      throw new Unread(location, "is placed by a parameter, which is not read");
    }
    double[] axis = p.ref("Axis").isPresent() ? Placement.direction(p.ref("Axis"), p) : null;
    if (axis != null && axis[2] < 1 - 1e-9
        || p.ref("RefDirection").isPresent()
        || location.number("OffsetLongitudinal", 0) != 0) {
      throw new Unread(p, "turns its section, which is not read");
    }
    return new double[] {
      location.number("DistanceAlong"),
      location.number("OffsetLateral", 0),
      location.number("OffsetVertical", 0)
    };
  }

  private static List<double[]> between(Instance s, List<double[]> a, List<double[]> b, double t) {
    List<double[]> out = new ArrayList<>();
    for (int k = 0; k < a.size(); k++) {
      if (k >= b.size() || a.get(k).length != b.get(k).length) {
        throw new Unread(s, "has sections of other numbers of corners after each other");
      }
      double[] xy = new double[a.get(k).length];
      for (int i = 0; i < xy.length; i++) {
        xy[i] = a.get(k)[i] + t * (b.get(k)[i] - a.get(k)[i]);
      }
      out.add(xy);
    }
    return out;
  }

  /** A line with the distance of each of its corners from the start. */
  private static final class Line {
    private final double[] xyz;
    private final double[] reached;
    private final double[] heading;

    /**
     * @param inPlan whether distances are measured in plan
     */
    Line(double[] xyz, boolean inPlan) {
      this.xyz = xyz;
      int n = xyz.length / 3;
      reached = new double[n];
      heading = new double[n - 1];
      for (int i = 1; i < n; i++) {
        double dx = xyz[3 * i] - xyz[3 * i - 3];
        double dy = xyz[3 * i + 1] - xyz[3 * i - 2];
        double dz = inPlan ? 0 : xyz[3 * i + 2] - xyz[3 * i - 1];
        reached[i] = reached[i - 1] + Math.sqrt(dx * dx + dy * dy + dz * dz);
        heading[i - 1] = Math.atan2(dy, dx);
      }
    }

    double length() {
      return reached[reached.length - 1];
    }

    Set<Double> corners(double from, double to) {
      Set<Double> out = new TreeSet<>();
      for (double d : reached) {
        if (d > from + 1e-9 * to && d < to - 1e-9 * to) {
          out.add(d);
        }
      }
      return out;
    }

    private int piece(double d) {
      int i = 0;
      while (i + 2 < reached.length && reached[i + 1] <= d) {
        i++;
      }
      return i;
    }

    /** Turn from one piece to another, −π … π. */
    private double turn(int a, int b) {
      return Math.IEEEremainder(heading[b] - heading[a], 2 * Math.PI);
    }

    /** A section at a distance along the line, moved to the left and up. */
    List<double[]> stand(List<double[]> loops, double[] at) {
      int i = piece(at[0]);
      double run = reached[i + 1] - reached[i];
      double t = run == 0 ? 0 : (at[0] - reached[i]) / run;
      double here = heading[i];
      double mitre = 1;
      boolean corner = i > 0 && Math.abs(at[0] - reached[i]) <= 1e-9 * Math.max(1, at[0]);
      if (corner) {
        double half = turn(i - 1, i) / 2;
        here = heading[i - 1] + half;
        mitre = 1 / Math.cos(half);
      } else {
        double before = i > 0 ? turn(i - 1, i) : 0;
        double after = i + 1 < heading.length ? turn(i, i + 1) : 0;
        before = i > 0 && Math.abs(before) < SMOOTH ? before : after;
        after = i + 1 < heading.length && Math.abs(after) < SMOOTH ? after : before;
        if (Math.abs(before) < SMOOTH && Math.abs(after) < SMOOTH) {
          here += -before / 2 * (1 - t) + after / 2 * t;
        }
      }
      double lx = -Math.sin(here);
      double ly = Math.cos(here);
      double[] p = new double[3];
      for (int k = 0; k < 3; k++) {
        p[k] = xyz[3 * i + k] + t * (xyz[3 * i + 3 + k] - xyz[3 * i + k]);
      }
      List<double[]> out = new ArrayList<>();
      for (double[] xy : loops) {
        double[] q = new double[xy.length / 2 * 3];
        for (int k = 0; k < xy.length / 2; k++) {
          double left = (xy[2 * k] + at[1]) * mitre;
          q[3 * k] = p[0] + left * lx;
          q[3 * k + 1] = p[1] + left * ly;
          q[3 * k + 2] = p[2] + xy[2 * k + 1] + at[2];
        }
        out.add(q);
      }
      return out;
    }
  }
}
