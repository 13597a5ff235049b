package wellspan.exchange.landxml.read;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import wellspan.core.attribute.PropertySet;

/** Reads {@code CrossSects} as they stand in the file. */
final class CrossSectSection {
  private final XmlCursor xml;
  private final Map<String, Integer> counts;

  CrossSectSection(XmlCursor xml, Map<String, Integer> counts) {
    this.xml = xml;
    this.counts = counts;
  }

  /**
   * A point of a design surface.
   *
   * @param slope whether the numbers are slope and distance from the point before
   */
  record RawPoint(double[] numbers, boolean slope, String code, long line) {}

  /** A design surface; numbers that are not there are NaN. */
  record RawDesign(
      String name,
      String description,
      String side,
      String material,
      String closed,
      double thickness,
      List<RawPoint> points,
      List<PropertySet> sets) {}

  /**
   * @param skew in the file's unit of angles, 0 where there is none
   */
  record Raw(
      double station,
      double skew,
      long line,
      List<RawDesign> designs,
      List<GroundStretches> grounds) {}

  /**
   * @param leftOut takes what is wrong with a section that cannot be read
   */
  void read(List<Raw> out, List<String> leftOut) throws IOException {
    while (xml.nextTag()) {
      if (xml.name().equals("CrossSect")) {
        String at = xml.attribute("sta").orElse("?");
        xml.whole(
            () -> out.add(section()),
            why -> leftOut.add("the cross section at " + at + ": " + why));
      } else {
        countAndSkip();
      }
    }
  }

  private void countAndSkip() throws IOException {
    if (!xml.name().equals("Feature")) {
      counts.merge(xml.name(), 1, Integer::sum);
    }
    xml.skip();
  }

  private Raw section() throws IOException {
    long line = xml.line();
    double station = xml.needNumber("sta");
    double skew = xml.number("angleSkew");
    List<RawDesign> designs = new ArrayList<>();
    List<GroundStretches> grounds = new ArrayList<>();
    while (xml.nextTag()) {
      switch (xml.name()) {
        case "DesignCrossSectSurf" -> designs.add(design());
        case "CrossSectSurf" -> grounds.add(GroundStretches.read(xml, counts, "Ground"));
        default -> countAndSkip();
      }
    }
    return new Raw(station, Double.isNaN(skew) ? 0 : skew, line, designs, grounds);
  }

  private RawDesign design() throws IOException {
    String name = xml.attribute("name").orElse("");
    String description = xml.attribute("desc").orElse("");
    String side = xml.attribute("side").orElse("");
    String material = xml.attribute("material").orElse("");
    String closed = xml.attribute("closedArea").orElse("");
    double thickness = xml.number("typicalThickness");
    List<RawPoint> points = new ArrayList<>();
    List<PropertySet> sets = new ArrayList<>();
    while (xml.nextTag()) {
      if (xml.name().equals("Feature")) {
        new FeatureSection(xml, counts).read(sets);
        continue;
      }
      if (!xml.name().equals("CrossSectPnt")) {
        countAndSkip();
        continue;
      }
      long line = xml.line();
      boolean slope = xml.attribute("dataFormat").map(f -> f.startsWith("Slope")).orElse(false);
      String code = xml.attribute("code").or(() -> xml.attribute("name")).orElse("");
      points.add(new RawPoint(xml.numbers(2, 2), slope, code, line));
    }
    return new RawDesign(name, description, side, material, closed, thickness, points, sets);
  }
}
