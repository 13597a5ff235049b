package wellspan.exchange.landxml.write;

import java.util.List;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.ProfileSegment;
import wellspan.exchange.file.DecimalText;

/** Writes an alignment that is in the file's coordinates and unit already. */
final class AlignmentText {
  /** Lengths and chainages; plan points are written as finely. */
  private static final int FINE = 9;

  private final StringBuilder text;
  private final Alignment a;

  AlignmentText(StringBuilder text, Alignment a) {
    this.text = text;
    this.a = a;
  }

  /**
   * @param more writes what else belongs into the alignment
   */
  void write(String name, Runnable more) {
    text.append("    <Alignment name=\"").append(name).append('"');
    number("length", a.length());
    number("staStart", a.startChainage());
    text.append(">\n      <CoordGeom>\n");
    for (PlanElement e : a.elements()) {
      if (e instanceof PlanElement.Irregular) {
        element(e);
      } else {
        new Alignment("", List.of(e), a.chainages(), Optional.empty())
            .simpleElements()
            .forEach(this::element);
      }
    }
    text.append("      </CoordGeom>\n");
    for (Chainages.Equation e : a.chainages().equations()) {
      text.append("      <StaEquation");
      number("staAhead", e.ahead());
      number("staBack", e.back());
      number("staInternal", a.chainages().start() + e.distance());
      text.append(" staIncrement=\"")
          .append(e.increasing() ? "increasing" : "decreasing")
          .append("\"/>\n");
    }
    a.profile().ifPresent(this::profile);
    more.run();
    text.append("    </Alignment>\n");
  }

  private void number(String attribute, double value) {
    text.append(' ').append(attribute).append("=\"");
    DecimalText.append(text, value, FINE).append('"');
  }

  private void element(PlanElement e) {
    if (e instanceof PlanElement.Irregular line) {
      irregular(line.xy());
      return;
    }
    text.append("        <");
    String element =
        switch (e) {
          case PlanElement.Line l -> "Line";
          case PlanElement.Arc r -> "Curve";
          case PlanElement.Spiral s -> "Spiral";
          case PlanElement.Irregular i -> throw new IllegalStateException("written before");
        };
    text.append(element);
    number("length", e.length());
    String rot = e.startCurvature() + e.endCurvature() > 0 ? "ccw" : "cw";
    switch (e) {
      case PlanElement.Line l -> {}
      case PlanElement.Irregular i -> {}
      case PlanElement.Arc r -> {
        text.append(" rot=\"").append(rot).append("\" crvType=\"arc\"");
        number("radius", Math.abs(r.radius()));
      }
      case PlanElement.Spiral s -> {
        radius("radiusStart", s.startCurvature());
        radius("radiusEnd", s.endCurvature());
        text.append(" rot=\"")
            .append(s.endCurvature() == 0 || opposed(s) ? side(s) : rot)
            .append("\" spiType=\"")
            .append(law(s))
            .append('"');
      }
    }
    text.append('>');
    point("Start", e.start());
    switch (e) {
      case PlanElement.Line l -> {}
      case PlanElement.Arc r -> {
        double d = r.start().direction() + Math.PI / 2;
        point(
            "Center",
            new PlanPoint(
                r.start().east() + r.radius() * Math.cos(d),
                r.start().north() + r.radius() * Math.sin(d),
                0));
      }
      case PlanElement.Spiral s -> point("PI", intersection(s));
      case PlanElement.Irregular i -> {}
    }
    point("End", e.end());
    text.append("</").append(element).append(">\n");
  }

  private void irregular(double[] xy) {
    text.append("        <IrregularLine>");
    pair("Start", xy, 0);
    pair("End", xy, xy.length - 2);
    text.append("<PntList2D>");
    for (int i = 0; i < xy.length; i += 2) {
      DecimalText.append(text.append(i == 0 ? "" : " "), xy[i + 1], FINE).append(' ');
      DecimalText.append(text, xy[i], FINE);
    }
    text.append("</PntList2D></IrregularLine>\n");
  }

  private void pair(String element, double[] xy, int i) {
    point(element, new PlanPoint(xy[i], xy[i + 1], 0));
  }

  /** Whether it turns from one side to the other. */
  private static boolean opposed(PlanElement.Spiral s) {
    return s.startCurvature() * s.endCurvature() < 0;
  }

  /** The side that counts: that of the end; of one that runs flat that of the start. */
  private static String side(PlanElement.Spiral s) {
    return (s.endCurvature() == 0 ? s.startCurvature() : s.endCurvature()) > 0 ? "ccw" : "cw";
  }

  private static String law(PlanElement.Spiral s) {
    boolean opposed = opposed(s);
    return switch (s.law()) {
      case CLOTHOID -> "clothoid";
      case BLOSS -> opposed ? "revBloss" : "bloss";
      case COSINE -> opposed ? "revCosine" : "cosine";
      case SINE -> opposed ? "revSinusoid" : "sinusoid";
      case BIQUADRATIC -> opposed ? "revBiquadratic" : "biquadratic";
      case VIENNESE -> "weinerBogen";
      case CUBIC -> "cubic";
      case CUBIC_PARABOLA -> "cubicParabola";
      case BIQUADRATIC_PARABOLA -> "biquadraticParabola";
      case SINE_HALF_WAVE -> "sineHalfWave";
      case RADIOID -> "radioid";
    };
  }

  private void radius(String attribute, double curvature) {
    if (curvature == 0) {
      text.append(' ').append(attribute).append("=\"INF\"");
    } else {
      number(attribute, Math.abs(1 / curvature));
    }
  }

  /** Where the tangents at both ends meet. */
  private static PlanPoint intersection(PlanElement e) {
    PlanPoint p = e.start(), q = e.end();
    double ux = Math.cos(p.direction()), uy = Math.sin(p.direction());
    double wx = Math.cos(q.direction()), wy = Math.sin(q.direction());
    double det = ux * wy - uy * wx;
    double t =
        det == 0
            ? e.length() / 2
            : ((q.east() - p.east()) * wy - (q.north() - p.north()) * wx) / det;
    // behind the start, or out of reach, it would tell a wrong direction or none
    double ahead = t > 0 && t < 1000 * e.length() ? t : e.length() / 2;
    return new PlanPoint(p.east() + ahead * ux, p.north() + ahead * uy, 0);
  }

  private void point(String element, PlanPoint p) {
    text.append('<').append(element).append('>');
    DecimalText.append(text, p.north(), FINE).append(' ');
    DecimalText.append(text, p.east(), FINE);
    text.append("</").append(element).append('>');
  }

  /**
   * Every curve becomes one symmetric curve at the point where its tangents meet; where two grades
   * meet without a curve there is a plain point.
   */
  private void profile(Profile p) {
    String name = Xml.escaped(p.name().isEmpty() ? a.name() : p.name());
    text.append("      <Profile name=\"")
        .append(name)
        .append("\"><ProfAlign name=\"")
        .append(name)
        .append("\">\n");
    ProfileSegment last = null;
    for (ProfileSegment s : p.segments()) {
      boolean first = last == null;
      boolean corner =
          !first && last instanceof ProfileSegment.Grade && s instanceof ProfileSegment.Grade;
      if (first || corner) {
        pvi(s.startDistance(), s.startLevel());
      }
      switch (s) {
        case ProfileSegment.Grade g -> {}
        case ProfileSegment.Parabola c -> {
          text.append("        <ParaCurve");
          number("length", c.length());
          text.append('>');
          pair(
              c.startDistance() + c.length() / 2, c.startLevel() + c.startGrade() * c.length() / 2);
          text.append("</ParaCurve>\n");
        }
        case ProfileSegment.Circle c -> circle(c);
      }
      last = s;
    }
    pvi(last.endDistance(), last.endLevel());
    text.append("      </ProfAlign></Profile>\n");
  }

  private void circle(ProfileSegment.Circle c) {
    double in = Math.atan(c.startGrade()), out = Math.atan(c.endGrade());
    double tangent = Math.abs(c.radius()) * Math.tan(Math.abs(out - in) / 2);
    text.append("        <CircCurve");
    number("length", Math.abs(c.radius()) * Math.abs(out - in));
    number("radius", Math.abs(c.radius()));
    text.append('>');
    pair(c.startDistance() + tangent * Math.cos(in), c.startLevel() + tangent * Math.sin(in));
    text.append("</CircCurve>\n");
  }

  private void pvi(double distance, double level) {
    text.append("        <PVI>");
    pair(distance, level);
    text.append("</PVI>\n");
  }

  private void pair(double distance, double level) {
    DecimalText.append(text, a.chainages().start() + distance, FINE).append(' ');
    DecimalText.append(text, level, FINE);
  }
}
