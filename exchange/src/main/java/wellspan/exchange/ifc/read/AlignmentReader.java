package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.ProfileSegment;
import wellspan.core.align.SpiralLaw;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;

/**
 * Reads alignments by their layouts, checks the curve geometry against them, and moves them to
 * shared coordinates.
 */
final class AlignmentReader {
  private static final double SAME = 1e-5;

  /** Elements that end within this of the next one's start hang together, metres. */
  private static final double JUMP = 5e-4;

  private final Units units;
  private final Georeference geo;
  private final PropertyReader properties;
  private final Soundness soundness;
  private final CurveReader curves;
  private final List<Finding> findings;
  private final Map<Integer, List<Instance>> nested = new HashMap<>();

  AlignmentReader(
      IfcModel model,
      Units units,
      Georeference geo,
      PropertyReader properties,
      Soundness soundness,
      List<Finding> findings) {
    this.units = units;
    this.soundness = soundness;
    curves = new CurveReader(units);
    this.geo = geo;
    this.properties = properties;
    this.findings = findings;
    for (Instance rel : model.all("IFCRELNESTS")) {
      rel.ref("RelatingObject")
          .ifPresent(
              parent ->
                  nested
                      .computeIfAbsent(parent.id(), k -> new ArrayList<>())
                      .addAll(rel.refs("RelatedObjects")));
    }
  }

  private static final class Refused extends Exception {
    Refused(String what) {
      super(what);
    }
  }

  /** The alignment in shared coordinates, or nothing and an error finding. */
  Optional<Alignment> read(Instance alignment, String name) {
    try {
      List<Instance> children = nested.getOrDefault(alignment.id(), List.of());
      List<Instance> plan = parameters(children, "IFCALIGNMENTHORIZONTAL");
      for (Instance part : parts(alignment)) {
        Optional<String> fault = soundness.whole(part);
        if (fault.isPresent()) {
          throw new Refused(fault.get());
        }
      }
      if (plan.isEmpty()) {
        throw new Refused("it has no horizontal layout");
      }
      Alignment own =
          new Alignment(
              name,
              planElements(plan),
              new Chainages(0, List.of()),
              profile(parameters(children, "IFCALIGNMENTVERTICAL")));
      CurveCheck.largestDifference(alignment, own, 1 / units.length())
          .filter(d -> d * units.length() > SAME)
          .ifPresent(
              d ->
                  findings.add(
                      Finding.error(
                              RECEIVE,
                              "alignment.curve",
                              name,
                              String.format(
                                  Locale.ROOT,
                                  "%s: the curve geometry lies up to %.4f mm from its layout.",
                                  name,
                                  1000 * d * units.length()))
                          .withFigure(Figure.of(1000 * d * units.length(), 4, "mm"))));
      continuous(own, name);
      closing(own, children, name);
      drawn(alignment, own, name);
      Placement placement = Placement.of(alignment, Placement.memory());
      return Optional.of(shared(own, placement, chainages(children, name), placement.m()[11]));
    } catch (Refused | IllegalArgumentException | Unread e) {
      findings.add(
          Finding.error(
              RECEIVE,
              "alignment.unread",
              name,
              "The alignment " + name + " is left out: " + e.getMessage() + "."));
      return Optional.empty();
    }
  }

  /** Names the largest jump between elements that follow each other, in plan and in the profile. */
  private void continuous(Alignment own, String name) {
    double worst = 0;
    int at = 0;
    List<PlanElement> e = own.elements();
    for (int i = 1; i < e.size(); i++) {
      PlanPoint end = e.get(i - 1).at(e.get(i - 1).length());
      PlanPoint start = e.get(i).start();
      double jump =
          Math.hypot(end.east() - start.east(), end.north() - start.north()) * units.length();
      if (jump > worst) {
        worst = jump;
        at = i;
      }
    }
    if (worst > JUMP) {
      jump(name, "element " + at + " ends", worst);
    }
    List<ProfileSegment> p = own.profile().map(Profile::segments).orElse(List.of());
    for (int i = 1; i < p.size(); i++) {
      ProfileSegment before = p.get(i - 1);
      double end = before.startDistance() + before.length();
      double off =
          Math.max(
                  Math.abs(before.levelAt(before.length()) - p.get(i).startLevel()),
                  Math.abs(end - p.get(i).startDistance()))
              * units.length();
      if (off > JUMP) {
        jump(name, "part " + i + " of the profile ends", off);
        return;
      }
    }
  }

  /** The segments of no length that close the layouts must stand where these end. */
  private void closing(Alignment own, List<Instance> children, String name) {
    for (Instance s : parameters(children, "IFCALIGNMENTHORIZONTAL")) {
      if (s.number("SegmentLength", 0) == 0) {
        double[] p = Placement.point(s.ref("StartPoint"));
        PlanPoint end = own.elements().getLast().end();
        double off = Math.hypot(p[0] - end.east(), p[1] - end.north()) * units.length();
        if (off > JUMP) {
          jump(name, "its plan ends", off);
        }
      }
    }
    for (Instance s : parameters(children, "IFCALIGNMENTVERTICAL")) {
      if (s.number("HorizontalLength", 0) == 0 && own.profile().isPresent()) {
        ProfileSegment last = own.profile().get().segments().getLast();
        double off =
            Math.max(
                    Math.abs(s.number("StartHeight") - last.endLevel()),
                    Math.abs(s.number("StartDistAlong") - last.endDistance()))
                * units.length();
        if (off > JUMP) {
          jump(name, "its profile ends", off);
        }
      }
    }
  }

  /** Lines of points that are drawn beside the curves must lie on the alignment. */
  private void drawn(Instance alignment, Alignment own, String name) {
    double worst = 0;
    for (Instance r :
        alignment.ref("Representation").map(d -> d.refs("Representations")).orElse(List.of())) {
      for (Instance item : LineReader.elements(r.refs("Items"))) {
        Optional<String> fault = soundness.whole(item);
        if (fault.isPresent()) {
          throw new Unread(item, "cannot be read: " + fault.get());
        }
        if (item.isA("IFCPOLYLINE")
            || item.isA("IFCINDEXEDPOLYCURVE") && item.get("Segments") instanceof Value.Unset) {
          worst = Math.max(worst, offDrawn(curves.points(item), own));
        }
      }
    }
    if (worst * units.length() > JUMP) {
      findings.add(
          Finding.error(
              RECEIVE,
              "alignment.drawn",
              name,
              String.format(
                  Locale.ROOT,
                  "%s: the line that is drawn for it lies up to %.4f m from its layout.",
                  name,
                  worst * units.length())));
    }
  }

  private static double offDrawn(double[] xyz, Alignment own) {
    double worst = 0;
    double d = own.profile().map(p -> Math.max(0, p.start())).orElse(0.0);
    double length = own.length();
    for (int i = 0; i < xyz.length; i += 3) {
      if (i > 0) {
        d += Math.hypot(xyz[i] - xyz[i - 3], xyz[i + 1] - xyz[i - 2]);
      }
      AlignmentPoint q = own.at(Math.min(d, length));
      for (int k = 0; k < 30; k++) {
        double ahead =
            (xyz[i] - q.east()) * Math.cos(q.direction())
                + (xyz[i + 1] - q.north()) * Math.sin(q.direction());
        d = Math.clamp(d + ahead, 0, length);
        q = own.at(d);
        if (Math.abs(ahead) < 1e-9) {
          break;
        }
      }
      double off = Math.hypot(xyz[i] - q.east(), xyz[i + 1] - q.north());
      boolean level = Double.isFinite(q.level()) && xyz[i + 2] != 0;
      worst = Math.max(worst, level ? Math.hypot(off, xyz[i + 2] - q.level()) : off);
    }
    return worst;
  }

  private void jump(String name, String where, double by) {
    findings.add(
        Finding.error(
                RECEIVE,
                "alignment.jump",
                name,
                String.format(
                    Locale.ROOT,
                    "%s has a jump: %s %.4f m from where the next one begins.",
                    name,
                    where,
                    by))
            .withFigure(Figure.of(by, 4, "m")));
  }

  /** Layouts and segments of an alignment, and where it stands. */
  private List<Instance> parts(Instance alignment) {
    List<Instance> out = new ArrayList<>(alignment.ref("ObjectPlacement").stream().toList());
    for (Instance layout : nested.getOrDefault(alignment.id(), List.of())) {
      for (Instance segment : nested.getOrDefault(layout.id(), List.of())) {
        out.addAll(segment.ref("DesignParameters").stream().toList());
      }
    }
    return out;
  }

  private List<Instance> parameters(List<Instance> children, String layout) {
    return children.stream()
        .filter(c -> c.isA(layout))
        .flatMap(c -> nested.getOrDefault(c.id(), List.of()).stream())
        .flatMap(s -> s.ref("DesignParameters").stream())
        .toList();
  }

  private List<PlanElement> planElements(List<Instance> segments) throws Refused {
    List<PlanElement> out = new ArrayList<>();
    for (Instance s : segments) {
      double length = s.number("SegmentLength", 0);
      if (length == 0) {
        continue; // the closing segment
      }
      double[] p = Placement.point(s.ref("StartPoint"));
      PlanPoint start = new PlanPoint(p[0], p[1], s.number("StartDirection") * units.angle());
      double k0 = curvature(s.number("StartRadiusOfCurvature", 0));
      double k1 = curvature(s.number("EndRadiusOfCurvature", 0));
      String type = s.literal("PredefinedType");
      out.add(
          switch (type) {
            case "LINE" -> new PlanElement.Line(start, length);
            case "CIRCULARARC" -> new PlanElement.Arc(start, length, 1 / (k0 != 0 ? k0 : k1));
            case "CLOTHOID" -> new PlanElement.Spiral(start, length, k0, k1, SpiralLaw.CLOTHOID);
            case "BLOSSCURVE" -> new PlanElement.Spiral(start, length, k0, k1, SpiralLaw.BLOSS);
            case "COSINECURVE" -> new PlanElement.Spiral(start, length, k0, k1, SpiralLaw.COSINE);
            case "SINECURVE" -> new PlanElement.Spiral(start, length, k0, k1, SpiralLaw.SINE);
            default ->
                throw new Refused(
                    "it holds a segment of type " + type + ", which cannot be read yet");
          });
    }
    return out;
  }

  private static double curvature(double radius) {
    return radius == 0 ? 0 : 1 / radius;
  }

  private Optional<Profile> profile(List<Instance> segments) throws Refused {
    List<ProfileSegment> out = new ArrayList<>();
    for (Instance s : segments) {
      double length = s.number("HorizontalLength", 0);
      if (length == 0) {
        continue;
      }
      double start = s.number("StartDistAlong");
      double level = s.number("StartHeight");
      double g0 = s.number("StartGradient");
      double g1 = s.number("EndGradient");
      String type = s.literal("PredefinedType");
      out.add(
          switch (type) {
            case "CONSTANTGRADIENT" -> new ProfileSegment.Grade(start, length, level, g0);
            case "PARABOLICARC" -> new ProfileSegment.Parabola(start, length, level, g0, g1);
            case "CIRCULARARC" -> {
              double turned = Math.sin(Math.atan(g1)) - Math.sin(Math.atan(g0));
              yield new ProfileSegment.Circle(start, length, level, g0, g1, length / turned);
            }
            default ->
                throw new Refused(
                    "its profile holds a segment of type " + type + ", which cannot be read yet");
          });
    }
    return out.isEmpty() ? Optional.empty() : Optional.of(new Profile("Profile", out));
  }

  private Chainages chainages(List<Instance> children, String name) {
    double start = 0;
    List<Chainages.Equation> equations = new ArrayList<>();
    List<double[]> labels = new ArrayList<>();
    for (Instance c : children) {
      if (!c.isA("IFCREFERENT")) {
        continue;
      }
      Map<String, PropertyValue> stationing =
          properties.of(c).stream()
              .filter(s -> s.name().equals("Pset_Stationing"))
              .findFirst()
              .map(PropertySet::values)
              .orElse(Map.of());
      if (!(stationing.get("Station") instanceof PropertyValue.Length(double station))) {
        continue;
      }
      double along =
          c.ref("ObjectPlacement")
                  .flatMap(p -> p.ref("RelativePlacement"))
                  .flatMap(p -> p.ref("Location"))
                  .map(p -> p.number("DistanceAlong"))
                  .orElse(Double.NaN)
              * geo.scale();
      if (stationing.get("IncomingStation") instanceof PropertyValue.Length(double back)) {
        boolean increasing =
            !(stationing.get("HasIncreasingStation") instanceof PropertyValue.Flag(boolean up))
                || up;
        equations.add(new Chainages.Equation(along, back, station, increasing));
      } else if (!(along > 0)) {
        start = station;
      } else {
        labels.add(new double[] {along, station});
      }
    }
    equations.sort(java.util.Comparator.comparingDouble(Chainages.Equation::distance));
    Chainages out = new Chainages(start, equations);
    for (double[] label : labels) {
      double off = Math.abs(out.at(label[0]) - label[1]);
      if (off > JUMP) {
        findings.add(
            Finding.error(
                RECEIVE,
                "alignment.station",
                name,
                String.format(
                    Locale.ROOT,
                    "%s: the referent at %.3f m says the chainage %s, which is %.3f m from what its start gives.",
                    name,
                    label[0],
                    Chainages.format(label[1]),
                    off)));
      }
    }
    return out;
  }

  private Alignment shared(Alignment own, Placement placement, Chainages chainages, double dz) {
    double turn = Math.atan2(placement.m()[4], placement.m()[0]) + Math.atan2(geo.sin(), geo.cos());
    double k = geo.scale();
    double up = geo.upwards();
    List<PlanElement> elements =
        own.elements().stream().map(e -> moved(e, placement, turn, k)).toList();
    Optional<Profile> profile =
        own.profile()
            .map(
                p ->
                    new Profile(
                        p.name(),
                        p.segments().stream()
                            .map(s -> raised(s, k, up, geo.height() + dz * up))
                            .toList()));
    return new Alignment(own.name(), elements, chainages, profile);
  }

  private PlanElement moved(PlanElement e, Placement placement, double turn, double k) {
    double[] p = {e.start().east(), e.start().north(), 0};
    placement.apply(p, 0, 3);
    geo.apply(p);
    PlanPoint start = new PlanPoint(p[0], p[1], e.start().direction() + turn);
    return switch (e) {
      case PlanElement.Line l -> new PlanElement.Line(start, l.length() * k);
      case PlanElement.Arc a -> new PlanElement.Arc(start, a.length() * k, a.radius() * k);
      case PlanElement.Spiral s ->
          new PlanElement.Spiral(
              start, s.length() * k, s.startCurvature() / k, s.endCurvature() / k, s.law());
      case PlanElement.Irregular i -> throw new IllegalStateException("a layout has none");
    };
  }

  /**
   * @param k metres on the map in one unit of the file along the alignment
   * @param up the same for levels
   */
  private static ProfileSegment raised(ProfileSegment s, double k, double up, double zero) {
    double x = s.startDistance() * k;
    double l = s.length() * k;
    double z = s.startLevel() * up + zero;
    double g0 = s.startGrade() * (up / k);
    double g1 = s.endGrade() * (up / k);
    return switch (s) {
      case ProfileSegment.Grade g -> new ProfileSegment.Grade(x, l, z, g0);
      case ProfileSegment.Parabola p -> new ProfileSegment.Parabola(x, l, z, g0, g1);
      case ProfileSegment.Circle c -> {
        double turned = g1 / Math.hypot(1, g1) - g0 / Math.hypot(1, g0);
        yield new ProfileSegment.Circle(x, l, z, g0, g1, l / turned);
      }
    };
  }
}
