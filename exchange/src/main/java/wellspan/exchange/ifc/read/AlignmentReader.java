package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.Footpoint;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.ProfileSegment;
import wellspan.core.attribute.PropertySet;
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

  /** Alignments by the number of one that is a part of them. */
  private final Map<Integer, Instance> wholes = new HashMap<>();

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
    for (Instance rel : model.all("IFCRELAGGREGATES")) {
      rel.ref("RelatingObject")
          .filter(w -> w.isA("IFCALIGNMENT"))
          .ifPresent(w -> rel.refs("RelatedObjects").forEach(p -> wholes.putIfAbsent(p.id(), w)));
    }
  }

  /** What an alignment is in the model's own coordinates and unit. */
  private record Own(List<PlanElement> plan, Optional<Profile> profile) {}

  /** The alignment in shared coordinates, or nothing and an error finding. */
  Optional<Alignment> read(Instance alignment, String name) {
    try {
      sound(alignment);
      Optional<Own> laid = laid(alignment, name);
      Own o = laid.isPresent() ? laid.get() : drawn(alignment, name);
      Alignment own = new Alignment(name, o.plan(), new Chainages(0, List.of()), o.profile());
      AlignmentJumps jumps = new AlignmentJumps(own, name, units.length(), findings);
      jumps.continuous();
      if (laid.isPresent()) {
        compare(alignment, own);
        jumps.closing(
            parameters(alignment, "IFCALIGNMENTHORIZONTAL"),
            parameters(alignment, "IFCALIGNMENTVERTICAL"));
        jumps.drawn(alignment, curves, soundness);
      }
      Placement placement = Placements.withoutLines().of(alignment);
      Chainages chainages = stations(alignment, name, own, placement);
      return Optional.of(shared(own, placement, chainages, placement.m()[11]));
    } catch (Left | IllegalArgumentException | Unread e) {
      findings.add(
          Finding.error(
              RECEIVE,
              "alignment.unread",
              name,
              "The alignment " + name + " is left out: " + e.getMessage() + "."));
      return Optional.empty();
    }
  }

  private void sound(Instance alignment) {
    for (Instance part : parts(alignment)) {
      Optional<String> fault = soundness.whole(part);
      if (fault.isPresent()) {
        throw new Left(fault.get());
      }
    }
  }

  /** By its layouts; empty if there is none in plan, or one that cannot be read beside a curve. */
  private Optional<Own> laid(Instance alignment, String name) {
    List<Instance> plan = parameters(alignment, "IFCALIGNMENTHORIZONTAL");
    List<Instance> profile = parameters(alignment, "IFCALIGNMENTVERTICAL");
    LayoutReader reader = new LayoutReader(units.angle());
    try {
      List<PlanElement> elements = reader.plan(plan);
      return elements.isEmpty()
          ? Optional.empty()
          : Optional.of(new Own(elements, reader.profile(profile)));
    } catch (Left e) {
      if (Representations.of(alignment).isEmpty()) {
        throw e;
      }
      findings.add(
          Finding.warning(
              RECEIVE,
              "alignment.curves",
              name,
              name + " is read by its curves: " + e.getMessage() + "."));
      return Optional.empty();
    }
  }

  /** By its curves. */
  private Own drawn(Instance alignment, String name) {
    for (Instance r : Representations.of(alignment)) {
      Optional<String> fault = soundness.whole(r);
      if (fault.isPresent()) {
        throw new Left(fault.get());
      }
    }
    DrawnAlignment.Drawn d =
        new DrawnAlignment(curves)
            .read(alignment)
            .orElseThrow(
                () -> new Left("it has no horizontal layout, and no curve is drawn for it"));
    if (!d.byPoints().isEmpty()) {
      findings.add(
          Finding.warning(
              RECEIVE,
              "alignment.curves",
              name,
              name
                  + " is drawn by curves of the kind "
                  + String.join(", ", d.byPoints())
                  + ", which go on as lines of points within 0.01 mm."));
    }
    return new Own(d.plan(), d.profile());
  }

  private void compare(Instance alignment, Alignment own) {
    CurveCheck.largestDifference(alignment, own, 1 / units.length())
        .filter(d -> d * units.length() > SAME)
        .ifPresent(
            d ->
                findings.add(
                    Finding.error(
                            RECEIVE,
                            "alignment.curve",
                            own.name(),
                            String.format(
                                Locale.ROOT,
                                "%s: the curve geometry lies up to %.4f mm from its layout.",
                                own.name(),
                                1000 * d * units.length()))
                        .withFigure(Figure.of(1000 * d * units.length(), 4, "mm"))));
  }

  /**
   * The sets of an alignment with what its cant layout says.
   *
   * @param said sets that the file gives it
   */
  List<PropertySet> sets(Instance alignment, Alignment read, List<PropertySet> said) {
    CantReader cants = new CantReader(units.length(), geo.scale(), findings);
    return layout(alignment, "IFCALIGNMENTCANT")
        .map(c -> cants.sets(read.name(), c, parameters(c), said, read.chainages()))
        .orElse(said);
  }

  /** Its segments, and where it stands. */
  private List<Instance> parts(Instance alignment) {
    List<Instance> out = new ArrayList<>(alignment.ref("ObjectPlacement").stream().toList());
    for (String layout :
        List.of("IFCALIGNMENTHORIZONTAL", "IFCALIGNMENTVERTICAL", "IFCALIGNMENTCANT")) {
      layout(alignment, layout).ifPresent(l -> out.addAll(nested.getOrDefault(l.id(), List.of())));
    }
    return out;
  }

  /**
   * The segments of the layout of a kind; that of the alignment it is a part of, where it has none
   * of its own: several profiles may lie on one plan.
   */
  private List<Instance> parameters(Instance alignment, String layout) {
    return layout(alignment, layout).map(this::parameters).orElse(List.of());
  }

  private Optional<Instance> layout(Instance alignment, String layout) {
    Optional<Instance> own =
        nested.getOrDefault(alignment.id(), List.of()).stream()
            .filter(c -> c.isA(layout))
            .findFirst();
    return own.isEmpty() && layout.equals("IFCALIGNMENTHORIZONTAL")
        ? whole(alignment).flatMap(w -> layout(w, layout))
        : own;
  }

  /** By its own referents, else by those of the alignment it is a part of. */
  private Chainages stations(Instance alignment, String name, Alignment line, Placement placement) {
    StationReader reader =
        new StationReader(properties, r -> distance(r, line, placement), findings);
    List<Instance> own = referents(alignment);
    return reader.read(
        own.isEmpty() ? whole(alignment).map(this::referents).orElse(own) : own, name);
  }

  /**
   * How far along a referent stands, metres: as it says, else where it lies beside the line.
   *
   * @param line in the model's own unit, from its placement
   */
  private OptionalDouble distance(Instance referent, Alignment line, Placement placement) {
    Optional<Instance> at =
        referent
            .ref("ObjectPlacement")
            .flatMap(p -> p.ref("RelativePlacement"))
            .flatMap(p -> p.ref("Location"));
    if (at.isPresent() && at.get().isA("IFCPOINTBYDISTANCEEXPRESSION")) {
      double along =
          Placements.isByParameter(at.get()) ? Double.NaN : at.get().number("DistanceAlong");
      return Double.isFinite(along)
          ? OptionalDouble.of(along * geo.scale())
          : OptionalDouble.empty();
    }
    try {
      double[] m = Placements.withoutLines().of(referent).m();
      double[] p = placement.local(new double[] {m[3], m[7], m[11]});
      Optional<Footpoint> foot = at.isEmpty() ? Optional.empty() : Footpoint.of(line, p[0], p[1]);
      return foot.map(f -> OptionalDouble.of(f.distance() * geo.scale()))
          .orElse(OptionalDouble.empty());
    } catch (Unread e) {
      return OptionalDouble.empty();
    }
  }

  private List<Instance> referents(Instance alignment) {
    return nested.getOrDefault(alignment.id(), List.of()).stream()
        .filter(c -> c.isA("IFCREFERENT"))
        .toList();
  }

  private Optional<Instance> whole(Instance alignment) {
    return Optional.ofNullable(wholes.get(alignment.id()));
  }

  private List<Instance> parameters(Instance layout) {
    return nested.getOrDefault(layout.id(), List.of()).stream()
        .flatMap(s -> s.ref("DesignParameters").stream())
        .toList();
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
      case PlanElement.Irregular i -> {
        double[] xy = new double[i.xy().length];
        for (int j = 0; j < xy.length; j += 2) {
          double[] q = {i.xy()[j], i.xy()[j + 1], 0};
          placement.apply(q, 0, 3);
          geo.apply(q);
          xy[j] = q[0];
          xy[j + 1] = q[1];
        }
        yield new PlanElement.Irregular(xy);
      }
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
