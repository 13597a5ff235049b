package wellspan.exchange.landxml;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.align.SpiralLaw;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Position;

/**
 * Makes alignments out of what was read. Every element starts where the file says and takes its
 * direction from its own points, so that nothing is moved; where its computed end differs from the
 * end in the file, a finding says by how much.
 */
final class AlignmentMaker {
  /** Ends that differ by more than this are worth a finding, metres. */
  private static final double VISIBLE = 0.001;

  private final double unit;
  private final Map<String, double[]> coordinatePoints;
  private final List<Finding> findings;

  /**
   * @param unit metres in the file's unit
   * @param coordinatePoints northing, easting by name, in the file's unit
   */
  AlignmentMaker(double unit, Map<String, double[]> coordinatePoints, List<Finding> findings) {
    this.unit = unit;
    this.coordinatePoints = coordinatePoints;
    this.findings = findings;
  }

  /** A fault that makes this alignment useless. */
  private static final class Refused extends Exception {
    Refused(long line, String what) {
      super("line " + line + ": " + what);
    }
  }

  /** The alignment, or nothing and an error finding. */
  Optional<Alignment> make(AlignmentSection.Raw raw) {
    try {
      List<PlanElement> elements = new ArrayList<>();
      for (AlignmentSection.RawElement e : raw.elements()) {
        elements.add(element(raw.name(), e));
      }
      if (elements.isEmpty()) {
        throw new Refused(
            raw.line(),
            "it has no elements, so nothing will arrive. Ask for the file with its plan geometry.");
      }
      Alignment plan = new Alignment(raw.name(), elements, chainages(raw), Optional.empty());
      double gap = plan.largestGap();
      if (gap > VISIBLE) {
        findings.add(
            Finding.warning(
                RECEIVE,
                "alignment.gap",
                raw.name(),
                String.format(
                    Locale.ROOT,
                    "%s: elements leave gaps of up to %.1f mm.",
                    raw.name(),
                    1000 * gap)));
      }
      return Optional.of(new Alignment(raw.name(), elements, plan.chainages(), profile(raw)));
    } catch (Refused | IllegalArgumentException e) {
      findings.add(
          Finding.error(
              RECEIVE,
              "alignment.unread",
              raw.name(),
              "The alignment " + raw.name() + " is left out: " + e.getMessage()));
      return Optional.empty();
    }
  }

  private PlanElement element(String alignment, AlignmentSection.RawElement e) throws Refused {
    double[] start = need(e, "Start");
    double[] end = need(e, "End");
    PlanElement made =
        switch (e.kind()) {
          case "Line" -> line(start, end);
          case "Curve" -> arc(e, start, end);
          case "Spiral" -> spiral(e, start);
          default ->
              throw new Refused(
                  e.line(),
                  "it holds a <"
                      + e.kind()
                      + ">, which cannot be read yet. Ask for lines, curves and spirals.");
        };
    if (!(made.length() > 0)) {
      throw new Refused(e.line(), "a <" + e.kind() + "> has no length.");
    }
    PlanPoint p = made.end();
    double off = Math.hypot(p.east() - end[0], p.north() - end[1]);
    if (!(off <= VISIBLE)) {
      findings.add(
          Finding.warning(
                  RECEIVE,
                  "alignment.end",
                  alignment,
                  String.format(
                      Locale.ROOT,
                      "%s, line %d: the <%s> ends %.1f mm from the end point in the file.",
                      alignment,
                      e.line(),
                      e.kind(),
                      1000 * off))
              .at(new Position(end[0], end[1], Double.NaN))
              .withFigure(String.format(Locale.ROOT, "%.1f mm", 1000 * off)));
    }
    return made;
  }

  /** Easting and northing in metres. */
  private double[] need(AlignmentSection.RawElement e, String name) throws Refused {
    AlignmentSection.RawPoint p = e.points().get(name);
    if (p == null) {
      throw new Refused(e.line(), "a <" + e.kind() + "> has no <" + name + ">.");
    }
    double[] ne = p.reference().isEmpty() ? p.coordinates() : coordinatePoints.get(p.reference());
    if (ne == null) {
      throw new Refused(e.line(), "the coordinate point " + p.reference() + " does not exist.");
    }
    return new double[] {ne[1] * unit, ne[0] * unit};
  }

  private static PlanElement line(double[] a, double[] b) {
    double dx = b[0] - a[0];
    double dy = b[1] - a[1];
    return new PlanElement.Line(new PlanPoint(a[0], a[1], Math.atan2(dy, dx)), Math.hypot(dx, dy));
  }

  private int turn(AlignmentSection.RawElement e) throws Refused {
    return switch (e.rotation()) {
      case "ccw" -> 1;
      case "cw" -> -1;
      default ->
          throw new Refused(
              e.line(), "a <" + e.kind() + "> does not say rot=\"cw\" or rot=\"ccw\".");
    };
  }

  private PlanElement arc(AlignmentSection.RawElement e, double[] a, double[] b) throws Refused {
    int turn = turn(e);
    double[] c = need(e, "Center");
    double radius = Math.hypot(a[0] - c[0], a[1] - c[1]);
    if (!(radius > 0)) {
      throw new Refused(e.line(), "a <Curve> has its centre at its start.");
    }
    double from = Math.atan2(a[1] - c[1], a[0] - c[0]);
    double to = Math.atan2(b[1] - c[1], b[0] - c[0]);
    double sweep = turn * (to - from) % (2 * Math.PI);
    if (sweep < 0) {
      sweep += 2 * Math.PI;
    }
    return new PlanElement.Arc(
        new PlanPoint(a[0], a[1], from + turn * Math.PI / 2), sweep * radius, turn * radius);
  }

  private PlanElement spiral(AlignmentSection.RawElement e, double[] a) throws Refused {
    SpiralLaw law =
        switch (e.type()) {
          case "clothoid", "" -> SpiralLaw.CLOTHOID;
          case "bloss" -> SpiralLaw.BLOSS;
          case "cosine" -> SpiralLaw.COSINE;
          case "sinusoid" -> SpiralLaw.SINE;
          default ->
              throw new Refused(
                  e.line(),
                  "it holds a spiral of type "
                      + e.type()
                      + ", which cannot be read yet. Ask for clothoids, or for the alignment as points.");
        };
    int turn = turn(e);
    double[] pi = need(e, "PI");
    double direction = Math.atan2(pi[1] - a[1], pi[0] - a[0]);
    if (pi[0] == a[0] && pi[1] == a[1] || Double.isNaN(e.length())) {
      throw new Refused(e.line(), "a <Spiral> needs a length, and a PI away from its start.");
    }
    PlanPoint start = new PlanPoint(a[0], a[1], direction);
    double from = turn * curvature(e.radiusStart());
    double to = turn * curvature(e.radiusEnd());
    if (from == to) {
      return from == 0
          ? new PlanElement.Line(start, e.length() * unit)
          : new PlanElement.Arc(start, e.length() * unit, 1 / from);
    }
    return new PlanElement.Spiral(start, e.length() * unit, from, to, law);
  }

  private double curvature(double radius) {
    return Double.isNaN(radius) ? 0 : 1 / (Math.abs(radius) * unit);
  }

  private Chainages chainages(AlignmentSection.Raw raw) {
    List<Chainages.Equation> out = new ArrayList<>();
    double start = raw.start() * unit;
    for (AlignmentSection.RawEquation q : raw.equations()) {
      double label = q.back() * unit;
      double distance =
          Double.isNaN(q.internal())
              ? out.isEmpty()
                  ? label - start
                  : out.getLast().distance() + label - out.getLast().ahead()
              : q.internal() * unit - start;
      double back = Double.isNaN(q.back()) ? new Chainages(start, out).at(distance) : label;
      out.add(new Chainages.Equation(distance, back, q.ahead() * unit, q.increasing()));
    }
    out.sort(java.util.Comparator.comparingDouble(Chainages.Equation::distance));
    return new Chainages(start, out);
  }

  private Optional<Profile> profile(AlignmentSection.Raw raw) {
    List<AlignmentSection.RawProfile> all =
        raw.profiles().stream().filter(p -> !p.points().isEmpty()).toList();
    if (all.isEmpty()) {
      return Optional.empty();
    }
    if (all.size() > 1) {
      findings.add(
          Finding.note(
              RECEIVE,
              "alignment.profiles",
              raw.name(),
              raw.name()
                  + " has "
                  + all.size()
                  + " design profiles; "
                  + all.getFirst().name()
                  + " is taken, the others are left out."));
    }
    List<Pvi> points = new ArrayList<>();
    for (AlignmentSection.RawPvi p : all.getFirst().points()) {
      Pvi.Rounding rounding =
          switch (p.kind()) {
            case "ParaCurve" ->
                new Pvi.Rounding.Parabola(p.length() * unit / 2, p.length() * unit / 2);
            case "UnsymParaCurve" ->
                new Pvi.Rounding.Parabola(p.lengthIn() * unit, p.lengthOut() * unit);
            case "CircCurve" -> new Pvi.Rounding.Circle(Math.abs(p.radius()) * unit);
            default -> new Pvi.Rounding.None();
          };
      points.add(new Pvi((p.station() - raw.start()) * unit, p.level() * unit, rounding));
    }
    try {
      return Optional.of(Profile.through(all.getFirst().name(), points));
    } catch (IllegalArgumentException e) {
      findings.add(
          Finding.error(
              RECEIVE,
              "profile.unread",
              raw.name(),
              "The profile of "
                  + raw.name()
                  + " is left out: "
                  + e.getMessage()
                  + ". Ask for a corrected file."));
      return Optional.empty();
    }
  }
}
