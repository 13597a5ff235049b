package wellspan.exchange.landxml.read;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import wellspan.core.attribute.PropertySet;

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
   * @param kind Line, Curve, Spiral, IrregularLine, Chain, or another name for what cannot be read
   * @param list points of an irregular line, easting, northing, level in threes
   * @param chain names of coordinate points that a chain joins
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
      String type,
      double[] list,
      List<String> chain) {

    RawElement(String kind, long line, Map<String, RawPoint> points) {
      this(
          kind,
          line,
          points,
          Double.NaN,
          Double.NaN,
          Double.NaN,
          Double.NaN,
          "",
          "",
          new double[0],
          List.of());
    }
  }

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
      List<AlignPiSection.RawPi> intersections,
      List<RawProfile> profiles,
      List<GroundStretches> grounds,
      List<RawEquation> equations,
      List<CrossSectSection.Raw> sections,
      List<String> leftOut,
      List<PropertySet> sets,
      List<CrossfallSection.Raw> crossfalls) {}

  Raw read() throws IOException {
    String name = xml.attribute("name").orElse("Alignment");
    long line = xml.line();
    double start = xml.number("staStart");
    double length = xml.number("length");
    List<RawElement> elements = new ArrayList<>();
    List<AlignPiSection.RawPi> intersections = new ArrayList<>();
    List<RawProfile> profiles = new ArrayList<>();
    List<GroundStretches> grounds = new ArrayList<>();
    List<RawEquation> equations = new ArrayList<>();
    List<CrossSectSection.Raw> sections = new ArrayList<>();
    List<String> leftOut = new ArrayList<>();
    List<PropertySet> sets = new ArrayList<>();
    List<CrossfallSection.Raw> crossfalls = new ArrayList<>();
    CrossfallSection falls = new CrossfallSection(xml, counts);
    while (xml.nextTag()) {
      switch (xml.name()) {
        case "Superelevation", "Cant" -> {
          // an alignment is not lost by what stands beside its geometry
          String what = xml.name();
          int number =
              1
                  + (int)
                      crossfalls.stream()
                          .filter(c -> c.name().startsWith("Superelevation"))
                          .count();
          xml.whole(
              () ->
                  crossfalls.add(what.equals("Cant") ? falls.cant() : falls.superelevation(number)),
              why -> leftOut.add("the " + what + ": " + why));
        }
        case "CoordGeom" -> elements.addAll(elements());
        case "AlignPIs" -> intersections.addAll(new AlignPiSection(xml, this, counts).read());
        case "Feature" -> new FeatureSection(xml, counts).read(sets);
        case "Profile" -> profiles(profiles, grounds, leftOut);
        case "StaEquation" -> {
          equations.add(
              new RawEquation(
                  xml.number("staInternal"),
                  xml.number("staBack"),
                  xml.needNumber("staAhead"),
                  xml.attribute("staIncrement").map(s -> s.equals("increasing")).orElse(true)));
          xml.skip();
        }
        case "CrossSects" -> new CrossSectSection(xml, counts).read(sections, leftOut);
        default -> countAndSkip();
      }
    }
    return new Raw(
        name,
        line,
        Double.isNaN(start) ? 0 : start,
        length,
        elements,
        intersections,
        profiles,
        grounds,
        equations,
        sections,
        leftOut,
        sets,
        crossfalls);
  }

  private void countAndSkip() throws IOException {
    if (!xml.name().equals("Feature")) {
      counts.merge(xml.name(), 1, Integer::sum);
    }
    xml.skip();
  }

  /** The elements of a {@code CoordGeom}. */
  List<RawElement> elements() throws IOException {
    List<RawElement> out = new ArrayList<>();
    while (xml.nextTag()) {
      if (xml.name().equals("Feature")) {
        xml.skip();
      } else {
        out.add(element(xml.name()));
      }
    }
    return out;
  }

  /**
   * An element with the attributes and points of the part in hand.
   *
   * @param kind what it is
   */
  RawElement element(String kind) throws IOException {
    long line = xml.line();
    if (kind.equals("Chain")) {
      List<String> names = List.of(xml.words().split("\\s+"));
      return new RawElement(
          kind,
          line,
          Map.of(),
          Double.NaN,
          Double.NaN,
          Double.NaN,
          Double.NaN,
          "",
          "",
          new double[0],
          names);
    }
    double radius = xml.number("radius");
    double length = xml.number("length");
    double radiusStart = spiralRadius("radiusStart");
    double radiusEnd = spiralRadius("radiusEnd");
    String rotation = xml.attribute("rot").orElse("");
    String type = xml.attribute("spiType").orElse("");
    Map<String, RawPoint> points = new java.util.HashMap<>();
    double[] list = {};
    while (xml.nextTag()) {
      String name = xml.name();
      switch (name) {
        case "Start", "End", "Center", "PI" -> points.put(name, point());
        case "PntList2D" -> list = PointListText.read(xml, 2);
        case "PntList3D" -> list = PointListText.read(xml, 3);
        default -> xml.skip();
      }
    }
    return new RawElement(
        kind,
        line,
        points,
        radius,
        radiusStart,
        radiusEnd,
        length,
        rotation,
        type,
        list,
        List.of());
  }

  private double spiralRadius(String name) throws IOException {
    if (xml.attribute(name).map(r -> r.equalsIgnoreCase("INF")).orElse(false)) {
      return Double.NaN;
    }
    double r = xml.number(name);
    return r == 0 ? Double.NaN : r;
  }

  /** A position. */
  RawPoint point() throws IOException {
    String reference = xml.attribute("pntRef").orElse("");
    if (reference.isEmpty()) {
      return new RawPoint(xml.numbers(2, 3), "");
    }
    xml.skip();
    return new RawPoint(new double[0], reference);
  }

  private void profiles(List<RawProfile> out, List<GroundStretches> grounds, List<String> leftOut)
      throws IOException {
    while (xml.nextTag()) {
      if (xml.name().equals("ProfSurf")) {
        xml.whole(
            () -> grounds.add(GroundStretches.read(xml, counts, "Ground profile")),
            why -> leftOut.add("a <ProfSurf>: " + why));
        continue;
      }
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
