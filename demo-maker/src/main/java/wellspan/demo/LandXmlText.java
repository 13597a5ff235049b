package wellspan.demo;

import java.util.List;
import java.util.Locale;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Pvi;
import wellspan.core.geom.Mesh;

/** Writes the demo's LandXML 1.2 the way a road office would hand it over. */
final class LandXmlText {
  private final StringBuilder s = new StringBuilder(1 << 21);

  static String design(
      String revision,
      List<Alignment> alignments,
      List<List<Pvi>> profiles,
      Mesh surface,
      List<Junction.Edge> edges,
      List<double[]> settingOut) {
    LandXmlText x = new LandXmlText();
    x.s
        .append("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n")
        .append(
            "<LandXML xmlns=\"http://www.landxml.org/schema/LandXML-1.2\" version=\"1.2\" date=\"2026-11-")
        .append(revision.equals("A") ? "09" : "24")
        .append("\" time=\"09:00:00\">\n")
        .append(
            "  <Units><Metric linearUnit=\"meter\" areaUnit=\"squareMeter\" volumeUnit=\"cubicMeter\" temperatureUnit=\"celsius\" pressureUnit=\"milliBars\" angularUnit=\"decimal degrees\" directionUnit=\"decimal degrees\"/></Units>\n")
        .append("  <CoordinateSystem name=\"ETRS89 / UTM zone 32N\" epsgCode=\"25832\"/>\n")
        .append("  <Project name=\"Brindle Ness ferry landing\" desc=\"Quay Road, revision ")
        .append(revision)
        .append("\"/>\n");
    x.s.append("  <Alignments name=\"Brindle Ness\">\n");
    for (int i = 0; i < alignments.size(); i++) {
      x.alignment(alignments.get(i), profiles.get(i), i == 0);
    }
    x.s.append("  </Alignments>\n  <PlanFeatures>\n");
    edges.forEach(x::edge);
    x.s.append("  </PlanFeatures>\n  <Surfaces>\n");
    x.surface(surface);
    x.s.append(
        "    <Surface name=\"Yard formation\"><Definition surfType=\"TIN\"><Pnts></Pnts><Faces></Faces></Definition></Surface>\n");
    x.s.append("  </Surfaces>\n  <CgPoints name=\"Setting out\">\n");
    for (int i = 0; i < settingOut.size(); i++) {
      double[] p = settingOut.get(i);
      x.s.append(
          f(
              "    <CgPoint name=\"BN-%d\" code=\"control\">%.3f %.3f %.3f</CgPoint>\n",
              i + 1, p[1], p[0], p[2]));
    }
    x.s.append("  </CgPoints>\n</LandXML>\n");
    return x.s.toString();
  }

  private void alignment(Alignment a, List<Pvi> pvis, boolean main) {
    s.append(
        f(
            "    <Alignment name=\"%s\" length=\"%.9f\" staStart=\"%.3f\">\n      <CoordGeom>\n",
            a.name(), a.length(), a.startChainage()));
    for (PlanElement e : a.elements()) {
      element(e);
    }
    s.append("      </CoordGeom>\n");
    double start = a.startChainage();
    for (Chainages.Equation q : a.chainages().equations()) {
      s.append(
          f(
              "      <StaEquation staInternal=\"%.3f\" staBack=\"%.3f\" staAhead=\"%.3f\" staIncrement=\"increasing\"/>\n",
              start + q.distance(), q.back(), q.ahead()));
    }
    s.append(f("      <Profile name=\"%s\"><ProfAlign name=\"%s design\">\n", a.name(), a.name()));
    for (int i = 0; i < pvis.size(); i++) {
      Pvi p = pvis.get(i);
      double distance = i == pvis.size() - 1 ? a.length() : p.distance();
      String at = f("%.9f %.4f", start + distance, p.level());
      s.append("        ")
          .append(
              switch (p.rounding()) {
                case Pvi.Rounding.None() -> "<PVI>" + at + "</PVI>";
                case Pvi.Rounding.Parabola(double in, double out) when in == out ->
                    f("<ParaCurve length=\"%.3f\">%s</ParaCurve>", in + out, at);
                case Pvi.Rounding.Parabola(double in, double out) ->
                    f(
                        "<UnsymParaCurve lengthIn=\"%.3f\" lengthOut=\"%.3f\">%s</UnsymParaCurve>",
                        in, out, at);
                case Pvi.Rounding.Circle(double radius) ->
                    f("<CircCurve length=\"0\" radius=\"%.3f\">%s</CircCurve>", radius, at);
              })
          .append('\n');
    }
    s.append("      </ProfAlign></Profile>\n");
    s.append(main ? RoadSections.of(a) : RoadSections.ofLink(a));
    s.append("    </Alignment>\n");
  }

  private void edge(Junction.Edge e) {
    StringBuilder list = new StringBuilder();
    for (double[] p : e.points()) {
      list.append(list.isEmpty() ? "" : " ").append(f("%.4f %.4f %.4f", p[1], p[0], p[2]));
    }
    double[] first = e.points().getFirst();
    double[] last = e.points().getLast();
    s.append(
        f(
            "    <PlanFeature name=\"%s\"><CoordGeom><IrregularLine><Start>%.4f %.4f %.4f</Start><End>%.4f %.4f %.4f</End><PntList3D>%s</PntList3D></IrregularLine></CoordGeom></PlanFeature>\n",
            e.name(), first[1], first[0], first[2], last[1], last[0], last[2], list));
  }

  private void element(PlanElement e) {
    String start = "<Start>" + point(e.start()) + "</Start>";
    String end = "<End>" + point(e.end()) + "</End>";
    String rotation = e.startCurvature() + e.endCurvature() > 0 ? "ccw" : "cw";
    s.append("        ")
        .append(
            switch (e) {
              case PlanElement.Line l ->
                  f("<Line length=\"%.9f\">%s%s</Line>", l.length(), start, end);
              case PlanElement.Arc a -> {
                double d = a.start().direction() + Math.PI / 2;
                PlanPoint c =
                    new PlanPoint(
                        a.start().east() + a.radius() * Math.cos(d),
                        a.start().north() + a.radius() * Math.sin(d),
                        0);
                yield f(
                    "<Curve rot=\"%s\" radius=\"%.4f\" length=\"%.9f\">%s<Center>%s</Center>%s</Curve>",
                    rotation, Math.abs(a.radius()), a.length(), start, point(c), end);
              }
              case PlanElement.Irregular i ->
                  throw new IllegalStateException("the demo's roads have none");
              case PlanElement.Spiral c ->
                  f(
                      "<Spiral length=\"%.9f\" radiusStart=\"%s\" radiusEnd=\"%s\" rot=\"%s\" spiType=\"clothoid\">%s<PI>%s</PI>%s</Spiral>",
                      c.length(),
                      radius(c.startCurvature()),
                      radius(c.endCurvature()),
                      rotation,
                      start,
                      point(intersection(c)),
                      end);
            })
        .append('\n');
  }

  private static String radius(double curvature) {
    return curvature == 0 ? "INF" : f("%.4f", Math.abs(1 / curvature));
  }

  /** Where the tangents at both ends meet. */
  private static PlanPoint intersection(PlanElement e) {
    PlanPoint a = e.start();
    PlanPoint b = e.end();
    double ux = Math.cos(a.direction()), uy = Math.sin(a.direction());
    double wx = Math.cos(b.direction()), wy = Math.sin(b.direction());
    double t = ((b.east() - a.east()) * wy - (b.north() - a.north()) * wx) / (ux * wy - uy * wx);
    return new PlanPoint(a.east() + t * ux, a.north() + t * uy, 0);
  }

  private static String point(PlanPoint p) {
    return f("%.9f %.9f", p.north(), p.east());
  }

  private void surface(Mesh m) {
    s.append(
        "    <Surface name=\"Design ground\" desc=\"ground with Quay Road's formation\"><Definition surfType=\"TIN\">\n      <Pnts>\n");
    for (int i = 0; i < m.vertexCount(); i++) {
      s.append(
          f("        <P id=\"%d\">%.3f %.3f %.3f</P>\n", i + 1, m.north(i), m.east(i), m.level(i)));
    }
    s.append("      </Pnts>\n      <Faces>\n");
    for (int t = 0; t < m.triangles().length; t += 3) {
      s.append("        <F>")
          .append(m.triangles()[t] + 1)
          .append(' ')
          .append(m.triangles()[t + 1] + 1)
          .append(' ')
          .append(m.triangles()[t + 2] + 1)
          .append("</F>\n");
    }
    s.append("      </Faces>\n    </Definition></Surface>\n");
  }

  private static String f(String format, Object... values) {
    return String.format(Locale.ROOT, format, values);
  }
}
