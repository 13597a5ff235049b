package wellspan.exchange.landxml.write;

import java.io.IOException;
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
final class AlignmentElements {
  /** Lengths and chainages; plan points are written as finely. */
  static final int FINE = 9;

  private final XmlElements xml;
  private final Alignment a;

  AlignmentElements(XmlElements xml, Alignment a) {
    this.xml = xml;
    this.a = a;
  }

  /**
   * @param more writes what else belongs into the alignment
   */
  void write(String name, XmlElements.Content more) throws IOException {
    xml.line(4, "Alignment").attribute("name", name);
    number("length", a.length());
    number("staStart", a.startChainage());
    xml.newLine().line(6, "CoordGeom").newLine();
    for (PlanElement e : a.elements()) {
      if (e instanceof PlanElement.Irregular) {
        element(e);
      } else {
        for (PlanElement simple :
            new Alignment("", List.of(e), a.chainages(), Optional.empty()).simpleElements()) {
          element(simple);
        }
      }
    }
    xml.white(6).close().newLine();
    for (Chainages.Equation e : a.chainages().equations()) {
      xml.white(6).empty("StaEquation");
      number("staAhead", e.ahead());
      number("staBack", e.back());
      number("staInternal", a.chainages().start() + e.distance());
      xml.attribute("staIncrement", e.increasing() ? "increasing" : "decreasing").newLine();
    }
    if (a.profile().isPresent()) {
      profile(a.profile().get());
    }
    more.write();
    xml.white(4).close().newLine();
  }

  private void number(String attribute, double value) throws IOException {
    xml.attribute(attribute, value, FINE);
  }

  private void element(PlanElement e) throws IOException {
    if (e instanceof PlanElement.Irregular line) {
      irregular(line.xy());
      return;
    }
    xml.line(
        8,
        switch (e) {
          case PlanElement.Line l -> "Line";
          case PlanElement.Arc r -> "Curve";
          case PlanElement.Spiral s -> "Spiral";
          case PlanElement.Irregular i -> throw new IllegalStateException("written before");
        });
    number("length", e.length());
    String rot = e.startCurvature() + e.endCurvature() > 0 ? "ccw" : "cw";
    switch (e) {
      case PlanElement.Line l -> {}
      case PlanElement.Irregular i -> {}
      case PlanElement.Arc r -> {
        xml.attribute("rot", rot).attribute("crvType", "arc");
        number("radius", Math.abs(r.radius()));
      }
      case PlanElement.Spiral s -> {
        radius("radiusStart", s.startCurvature());
        radius("radiusEnd", s.endCurvature());
        xml.attribute("rot", s.endCurvature() == 0 || opposed(s) ? side(s) : rot)
            .attribute("spiType", law(s));
      }
    }
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
    xml.close().newLine();
  }

  private void irregular(double[] xy) throws IOException {
    xml.line(8, "IrregularLine");
    pair("Start", xy, 0);
    pair("End", xy, xy.length - 2);
    StringBuilder list = new StringBuilder();
    for (int i = 0; i < xy.length; i += 2) {
      DecimalText.append(list.append(i == 0 ? "" : " "), xy[i + 1], FINE).append(' ');
      DecimalText.append(list, xy[i], FINE);
    }
    xml.open("PntList2D").text(list).close().close().newLine();
  }

  private void pair(String element, double[] xy, int i) throws IOException {
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

  private void radius(String attribute, double curvature) throws IOException {
    if (curvature == 0) {
      xml.attribute(attribute, "INF");
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

  private void point(String element, PlanPoint p) throws IOException {
    xml.open(element).text(two(p.north(), p.east())).close();
  }

  private static StringBuilder two(double first, double second) {
    StringBuilder text = DecimalText.append(new StringBuilder(32), first, FINE).append(' ');
    return DecimalText.append(text, second, FINE);
  }

  /**
   * Every curve becomes one symmetric curve at the point where its tangents meet; where two grades
   * meet without a curve there is a plain point.
   */
  private void profile(Profile p) throws IOException {
    String name = p.name().isEmpty() ? a.name() : p.name();
    xml.line(6, "Profile").attribute("name", name);
    xml.open("ProfAlign").attribute("name", name).newLine();
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
          xml.line(8, "ParaCurve");
          number("length", c.length());
          pair(
              c.startDistance() + c.length() / 2, c.startLevel() + c.startGrade() * c.length() / 2);
        }
        case ProfileSegment.Circle c -> circle(c);
      }
      last = s;
    }
    pvi(last.endDistance(), last.endLevel());
    xml.white(6).close().close().newLine();
  }

  private void circle(ProfileSegment.Circle c) throws IOException {
    double in = Math.atan(c.startGrade()), out = Math.atan(c.endGrade());
    double tangent = Math.abs(c.radius()) * Math.tan(Math.abs(out - in) / 2);
    xml.line(8, "CircCurve");
    number("length", Math.abs(c.radius()) * Math.abs(out - in));
    number("radius", Math.abs(c.radius()));
    pair(c.startDistance() + tangent * Math.cos(in), c.startLevel() + tangent * Math.sin(in));
  }

  private void pvi(double distance, double level) throws IOException {
    xml.line(8, "PVI");
    pair(distance, level);
  }

  /** Where a point of the profile stands, which ends its element. */
  private void pair(double distance, double level) throws IOException {
    xml.text(two(a.chainages().start() + distance, level)).close().newLine();
  }
}
