package wellspan.exchange.landxml;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Reads one {@code Alignment} as it stands in the file; geometry is made later, when units and
 * points are known.
 */
final class AlignmentSection {
  private final XmlCursor xml;
  private final Map<String, Integer> counts;

  AlignmentSection(XmlCursor xml, Map<String, Integer> counts) {
    this.xml = xml;
    this.counts = counts;
  }

  /** A position as coordinates (northing, easting) or by the name of a coordinate point. */
  record RawPoint(double[] coordinates, String reference) {}

  /**
   * An element with whatever the file says of it; numbers that are not there are NaN, radii of ∞
   * too.
   *
   * @param kind Line, Curve, Spiral, or another name for what cannot be read
   */
  record RawElement(
      String kind,
      long line,
      Map<String, RawPoint> points,
      double radius,
      double radiusStart,
      double radiusEnd,
      double length,
      String rotation,
      String type) {}

  /** A point of vertical intersection with its element's name. */
  record RawPvi(
      String kind,
      long line,
      double station,
      double level,
      double length,
      double lengthIn,
      double lengthOut,
      double radius) {}

  record RawProfile(String name, List<RawPvi> points) {}

  record RawEquation(double internal, double back, double ahead, boolean increasing) {}

  record Raw(
      String name,
      long line,
      double start,
      double length,
      List<RawElement> elements,
      List<RawProfile> profiles,
      List<RawEquation> equations) {}

  Raw read() throws IOException {
    String name = xml.attribute("name").orElse("Alignment");
    long line = xml.line();
    double start = xml.number("staStart");
    double length = xml.number("length");
    List<RawElement> elements = new ArrayList<>();
    List<RawProfile> profiles = new ArrayList<>();
    List<RawEquation> equations = new ArrayList<>();
    while (xml.nextTag()) {
      switch (xml.name()) {
        case "CoordGeom" -> elements(elements);
        case "Profile" -> profiles(profiles);
        case "StaEquation" -> {
          equations.add(
              new RawEquation(
                  xml.number("staInternal"),
                  xml.number("staBack"),
                  xml.needNumber("staAhead"),
                  xml.attribute("staIncrement").map(s -> s.equals("increasing")).orElse(true)));
          xml.skip();
        }
        case "CrossSects" -> crossSections();
        default -> countAndSkip();
      }
    }
    return new Raw(
        name, line, Double.isNaN(start) ? 0 : start, length, elements, profiles, equations);
  }

  private void countAndSkip() throws IOException {
    if (!xml.name().equals("Feature")) {
      counts.merge(xml.name(), 1, Integer::sum);
    }
    xml.skip();
  }

  private void crossSections() throws IOException {
    while (xml.nextTag()) {
      countAndSkip();
    }
  }

  private void elements(List<RawElement> out) throws IOException {
    while (xml.nextTag()) {
      if (xml.name().equals("Feature")) {
        xml.skip();
      } else {
        out.add(element());
      }
    }
  }

  private RawElement element() throws IOException {
    String kind = xml.name();
    long line = xml.line();
    double radius = xml.number("radius");
    double length = xml.number("length");
    double radiusStart = spiralRadius("radiusStart");
    double radiusEnd = spiralRadius("radiusEnd");
    String rotation = xml.attribute("rot").orElse("");
    String type = xml.attribute("spiType").orElse("");
    Map<String, RawPoint> points = new java.util.HashMap<>();
    while (xml.nextTag()) {
      String name = xml.name();
      switch (name) {
        case "Start", "End", "Center", "PI" -> points.put(name, point());
        default -> xml.skip();
      }
    }
    return new RawElement(
        kind, line, points, radius, radiusStart, radiusEnd, length, rotation, type);
  }

  private double spiralRadius(String name) throws IOException {
    if (xml.attribute(name).map(r -> r.equalsIgnoreCase("INF")).orElse(false)) {
      return Double.NaN;
    }
    double r = xml.number(name);
    return r == 0 ? Double.NaN : r;
  }

  private RawPoint point() throws IOException {
    String reference = xml.attribute("pntRef").orElse("");
    if (reference.isEmpty()) {
      return new RawPoint(xml.numbers(2, 3), "");
    }
    xml.skip();
    return new RawPoint(new double[0], reference);
  }

  private void profiles(List<RawProfile> out) throws IOException {
    while (xml.nextTag()) {
      if (!xml.name().equals("ProfAlign")) {
        countAndSkip();
        continue;
      }
      String name = xml.attribute("name").orElse("Profile");
      List<RawPvi> points = new ArrayList<>();
      while (xml.nextTag()) {
        switch (xml.name()) {
          case "PVI", "ParaCurve", "UnsymParaCurve", "CircCurve" -> points.add(pvi());
          default -> countAndSkip();
        }
      }
      out.add(new RawProfile(name, points));
    }
  }

  private RawPvi pvi() throws IOException {
    String kind = xml.name();
    long line = xml.line();
    boolean unsymmetric = kind.equals("UnsymParaCurve");
    double length = kind.equals("ParaCurve") ? xml.needNumber("length") : xml.number("length");
    double in = unsymmetric ? xml.needNumber("lengthIn") : Double.NaN;
    double out = unsymmetric ? xml.needNumber("lengthOut") : Double.NaN;
    double radius = kind.equals("CircCurve") ? xml.needNumber("radius") : Double.NaN;
    double[] at = xml.numbers(2, 2);
    return new RawPvi(kind, line, at[0], at[1], length, in, out, radius);
  }
}
