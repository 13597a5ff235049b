package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import wellspan.core.align.Alignment;
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
      AlignmentJumps jumps = new AlignmentJumps(own, name, units.length(), findings);
      jumps.continuous();
      jumps.closing(
          parameters(children, "IFCALIGNMENTHORIZONTAL"),
          parameters(children, "IFCALIGNMENTVERTICAL"));
      jumps.drawn(alignment, curves, soundness);
      Placement placement = Placements.withoutLines().of(alignment);
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

  /**
   * The sets of an alignment with what its cant layout says.
   *
   * @param said sets that the file gives it
   */
  List<PropertySet> sets(Instance alignment, Alignment read, List<PropertySet> said) {
    List<PropertySet> out = said;
    for (Instance layout : nested.getOrDefault(alignment.id(), List.of())) {
      if (layout.isA("IFCALIGNMENTCANT")) {
        out =
            new CantReader(units.length(), geo.scale(), findings)
                .sets(
                    read.name(),
                    layout,
                    parameters(List.of(layout), "IFCALIGNMENTCANT"),
                    out,
                    read.chainages());
      }
    }
    return out;
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
      if (off > AlignmentJumps.JUMP) {
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
