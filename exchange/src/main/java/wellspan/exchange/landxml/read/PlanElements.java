package wellspan.exchange.landxml.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.SpiralLaw;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Position;

/**
 * Makes plan elements out of what was read. Every element starts where the file says and takes its
 * direction from its own points, so that nothing is moved; where its computed end differs from the
 * end in the file, a finding says by how much.
 */
final class PlanElements {
  /** Ends that differ by more than this are worth a finding, metres. */
  static final double VISIBLE = 0.001;

  private final double unit;
  private final NamedPoints points;
  private final List<Finding> findings;

  /**
   * @param unit metres in the file's unit
   */
  PlanElements(double unit, NamedPoints points, List<Finding> findings) {
    this.unit = unit;
    this.points = points;
    this.findings = findings;
  }

  /** A fault that makes a line useless. */
  static final class Refused extends Exception {
    private static final long serialVersionUID = 1;

    Refused(long line, String what) {
      super("line " + line + ": " + what);
    }
  }

  /**
   * The element; empty if it has no length.
   *
   * @param of name of what it belongs to
   */
  Optional<PlanElement> make(String of, AlignmentSection.RawElement e) throws Refused {
    if (e.kind().equals("IrregularLine") || e.kind().equals("Chain")) {
      return irregular(e);
    }
    double[] start = need(e, "Start");
    double[] end = need(e, "End");
    if (e.kind().equals("Line") && start[0] == end[0] && start[1] == end[1]) {
      return Optional.empty();
    }
    PlanElement made =
        switch (e.kind()) {
          case "Line" -> line(start, end);
          case "Curve" -> arc(of, e, start, end);
          case "Spiral" -> spiral(of, e, start, end);
          default ->
              throw new Refused(
                  e.line(),
                  "it holds a <"
                      + e.kind()
                      + ">, which cannot be read. Ask for lines, curves and spirals.");
        };
    if (!(made.length() > 0)) {
      throw new Refused(e.line(), "a <" + e.kind() + "> has no length.");
    }
    double off = off(made, end);
    if (!(off <= VISIBLE)) {
      findings.add(
          Finding.warning(
                  RECEIVE,
                  "alignment.end",
                  of,
                  String.format(
                      Locale.ROOT,
                      "%s, line %d: the <%s> ends %.1f mm from the end point in the file.",
                      of,
                      e.line(),
                      e.kind(),
                      1000 * off))
              .at(new Position(end[0], end[1], Double.NaN))
              .withFigure(Figure.of(1000 * off, 1, "mm")));
    }
    return Optional.of(made);
  }

  private static double off(PlanElement e, double[] end) {
    PlanPoint p = e.end();
    return Math.hypot(p.east() - end[0], p.north() - end[1]);
  }

  /** Easting, northing and, where it is said, level in the file's unit times the unit. */
  double[] need(AlignmentSection.RawElement e, String name) throws Refused {
    return place(e.line(), e.kind(), name, e.points().get(name));
  }

  /**
   * Where a point of a part lies, as {@link #need} gives it.
   *
   * @param p null where the part does not have it
   */
  double[] place(long line, String part, String name, AlignmentSection.RawPoint p) throws Refused {
    if (p == null) {
      throw new Refused(line, "a <" + part + "> has no <" + name + ">.");
    }
    return metres(p.reference().isEmpty() ? p.coordinates() : named(line, p.reference()));
  }

  private double[] named(long line, String name) throws Refused {
    return points
        .find(name)
        .orElseThrow(() -> new Refused(line, "the coordinate point " + name + " does not exist."));
  }

  /** The level stays in the file's unit of levels. */
  private double[] metres(double[] ne) {
    return new double[] {ne[1] * unit, ne[0] * unit, ne.length > 2 ? ne[2] : Double.NaN};
  }

  /**
   * All points of an irregular line or a chain, levels in the file's unit of levels: also those
   * over each other. Start and end, which a list says again, count once.
   */
  double[] points(AlignmentSection.RawElement e) throws Refused {
    List<double[]> out = new ArrayList<>();
    for (int i = 0; i < e.list().length; i += 3) {
      out.add(new double[] {e.list()[i] * unit, e.list()[i + 1] * unit, e.list()[i + 2]});
    }
    for (String name : e.chain()) {
      out.add(metres(named(e.line(), name)));
    }
    int listed = out.size();
    if (e.points().containsKey("Start")) {
      double[] start = need(e, "Start");
      if (listed == 0 || !isSame(start, out.getFirst())) {
        out.addFirst(start);
      } else {
        out.set(0, withLevel(out.getFirst(), start));
      }
    }
    if (e.points().containsKey("End")) {
      double[] end = need(e, "End");
      if (listed == 0 || out.size() == 1 || !isSame(end, out.getLast())) {
        out.add(end);
      } else {
        out.set(out.size() - 1, withLevel(out.getLast(), end));
      }
    }
    return out.stream().flatMapToDouble(Arrays::stream).toArray();
  }

  private static boolean isSame(double[] a, double[] b) {
    return a[0] == b[0]
        && a[1] == b[1]
        && (a[2] == b[2] || Double.isNaN(a[2]) || Double.isNaN(b[2]));
  }

  private static double[] withLevel(double[] p, double[] other) {
    return Double.isNaN(p[2]) ? other : p;
  }

  private Optional<PlanElement> irregular(AlignmentSection.RawElement e) throws Refused {
    double[] xyz = points(e);
    if (xyz.length < 6) {
      return Optional.empty();
    }
    double[] xy = new double[xyz.length / 3 * 2];
    int n = 0;
    for (int i = 0; i < xyz.length; i += 3) {
      if (n == 0 || xy[n - 2] != xyz[i] || xy[n - 1] != xyz[i + 1]) { // it has no length upwards
        xy[n++] = xyz[i];
        xy[n++] = xyz[i + 1];
      }
    }
    return n < 4 ? Optional.empty() : Optional.of(new PlanElement.Irregular(Arrays.copyOf(xy, n)));
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

  private PlanElement arc(String of, AlignmentSection.RawElement e, double[] a, double[] b)
      throws Refused {
    int turn = turn(e);
    double[] c = need(e, "Center");
    double radius = Math.hypot(a[0] - c[0], a[1] - c[1]);
    double other = Math.hypot(b[0] - c[0], b[1] - c[1]);
    if (!(radius > 0)) {
      throw new Refused(e.line(), "a <Curve> has its centre at its start.");
    }
    if (Math.abs(radius - other) > VISIBLE) {
      findings.add(
          Finding.warning(
              RECEIVE,
              "alignment.radius",
              of,
              String.format(
                  Locale.ROOT,
                  "%s, line %d: the <Curve> has a radius of %.4f m at its start and %.4f m at its end.",
                  of,
                  e.line(),
                  radius,
                  other)));
    }
    double from = Math.atan2(a[1] - c[1], a[0] - c[0]);
    double to = Math.atan2(b[1] - c[1], b[0] - c[0]);
    double sweep = turn * (to - from) % (2 * Math.PI);
    if (sweep < 0) {
      sweep += 2 * Math.PI;
    }
    if (sweep == 0) {
      sweep = 2 * Math.PI; // start and end are one: a full turn
    }
    return new PlanElement.Arc(
        new PlanPoint(a[0], a[1], from + turn * Math.PI / 2), sweep * radius, turn * radius);
  }

  private PlanElement spiral(String of, AlignmentSection.RawElement e, double[] a, double[] b)
      throws Refused {
    int turn = turn(e);
    double[] pi = need(e, "PI");
    double direction = Math.atan2(pi[1] - a[1], pi[0] - a[0]);
    if (pi[0] == a[0] && pi[1] == a[1] || Double.isNaN(e.length())) {
      throw new Refused(e.line(), "a <Spiral> needs a length, and a PI away from its start.");
    }
    PlanPoint start = new PlanPoint(a[0], a[1], direction);
    double from = turn * curvature(e.radiusStart());
    double to = turn * curvature(e.radiusEnd());
    if (e.type().startsWith("rev")) {
      from = -from; // an S between opposite curvatures
    }
    double length = e.length() * unit;
    if (from == to) {
      return from == 0
          ? new PlanElement.Line(start, length)
          : new PlanElement.Arc(start, length, 1 / from);
    }
    SpiralLaw law = law(e.type());
    if (law == null || !law.alongCurve() && from != 0 && to != 0) {
      return bestFit(of, e, start, length, from, to, b);
    }
    if (law == SpiralLaw.VIENNESE) {
      findings.add(
          Finding.warning(
              RECEIVE,
              "alignment.vienna",
              of,
              of
                  + ", line "
                  + e.line()
                  + ": the Vienna transition is drawn without its term of cant, which the file does not say."));
    }
    PlanElement made = new PlanElement.Spiral(start, length, from, to, law);
    if (law == SpiralLaw.CUBIC || law == SpiralLaw.CUBIC_PARABOLA) {
      // writers differ in whether the tangent or the curve stands in the formula
      SpiralLaw other = law == SpiralLaw.CUBIC ? SpiralLaw.CUBIC_PARABOLA : SpiralLaw.CUBIC;
      PlanElement second = new PlanElement.Spiral(start, length, from, to, other);
      if (off(made, b) > VISIBLE && off(second, b) <= VISIBLE) {
        return second;
      }
    }
    return made;
  }

  /** The law of a type of spiral; null where it is not known. */
  static SpiralLaw law(String type) {
    return switch (type) {
      case "clothoid", "" -> SpiralLaw.CLOTHOID;
      case "bloss", "revBloss" -> SpiralLaw.BLOSS;
      case "cosine", "revCosine" -> SpiralLaw.COSINE;
      case "sinusoid", "revSinusoid" -> SpiralLaw.SINE;
      case "biquadratic", "revBiquadratic" -> SpiralLaw.BIQUADRATIC;
      case "cubic", "japaneseCubic" -> SpiralLaw.CUBIC;
      case "cubicParabola" -> SpiralLaw.CUBIC_PARABOLA;
      case "biquadraticParabola" -> SpiralLaw.BIQUADRATIC_PARABOLA;
      case "sineHalfWave" -> SpiralLaw.SINE_HALF_WAVE;
      case "radioid" -> SpiralLaw.RADIOID;
      case "weinerBogen", "wienerBogen" -> SpiralLaw.VIENNESE;
      default -> null;
    };
  }

  /** The law that hits the end point in the file, for types that do not say theirs. */
  private PlanElement bestFit(
      String of,
      AlignmentSection.RawElement e,
      PlanPoint start,
      double length,
      double from,
      double to,
      double[] end)
      throws Refused {
    for (SpiralLaw law : SpiralLaw.values()) {
      if (!law.alongCurve() && from != 0 && to != 0) {
        continue;
      }
      PlanElement made = new PlanElement.Spiral(start, length, from, to, law);
      if (off(made, end) <= VISIBLE) {
        findings.add(
            Finding.warning(
                RECEIVE,
                "alignment.spiral",
                of,
                of
                    + ", line "
                    + e.line()
                    + ": a spiral of type \""
                    + e.type()
                    + "\" is not known here; it is taken as "
                    + law.name().toLowerCase(Locale.ROOT).replace('_', ' ')
                    + ", which ends at its end point."));
        return made;
      }
    }
    throw new Refused(
        e.line(),
        "it holds a spiral of type "
            + e.type()
            + ", and no law that is known here ends at its end point. Ask for clothoids, or for the alignment as points.");
  }

  private double curvature(double radius) {
    return Double.isNaN(radius) ? 0 : 1 / (Math.abs(radius) * unit);
  }
}
