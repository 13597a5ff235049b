package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;
import wellspan.core.geom.Mesh;
import wellspan.core.solid.Loft;

/**
 * Reads solids and surfaces of sections along a line. Sections stand upright, their x axis to the
 * left of the line; between two of them they change straight.
 */
final class SectionedReader {
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
    LineByDistance line = LineByDistance.of(directrix, curves);
    double reach = reach(sections);
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
      SortedSet<Double> steps = new TreeSet<>(line.corners(a[0], b[0], reach));
      steps.addAll(
          TwistedFaces.between(
              a[0], b[0], sections.get(i), sections.get(i + 1), curves.tolerance()));
      for (double d : steps) {
        double t = (d - a[0]) / (b[0] - a[0]);
        double[] between = {d, a[1] + t * (b[1] - a[1]), a[2] + t * (b[2] - a[2])};
        out.add(line.stand(between(s, sections.get(i), sections.get(i + 1), t), between));
      }
    }
    return out;
  }

  /** How far sections reach to a side. */
  private static double reach(List<List<double[]>> sections) {
    double most = 0;
    for (List<double[]> section : sections) {
      for (double[] xy : section) {
        for (int i = 0; i < xy.length; i += 2) {
          most = Math.max(most, Math.abs(xy[i]));
        }
      }
    }
    return most;
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

  /** Each loop between two of as many corners, at a share of the way. */
  static List<double[]> between(Instance s, List<double[]> a, List<double[]> b, double t) {
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
}
