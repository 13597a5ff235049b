package wellspan.exchange.landxml;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Reads one {@code PlanFeature}: its irregular lines and straight lines. */
final class PlanFeatureSection {
  private final XmlCursor xml;
  private final Map<String, Integer> unread;

  PlanFeatureSection(XmlCursor xml, Map<String, Integer> unread) {
    this.xml = xml;
    this.unread = unread;
  }

  /**
   * A feature as read, in the file's unit.
   *
   * @param lines easting, northing, level triples
   */
  record Raw(String name, List<double[]> lines) {}

  Raw read() throws IOException {
    String name = xml.attribute("name").orElse("Lines");
    List<double[]> lines = new ArrayList<>();
    while (xml.nextTag()) {
      if (xml.name().equals("CoordGeom")) {
        while (xml.nextTag()) {
          switch (xml.name()) {
            case "IrregularLine" -> lines.addAll(PointListText.within(xml));
            case "Line" -> lines.add(straight());
            case "Feature" -> xml.skip();
            default -> {
              unread.merge(xml.name() + " of a PlanFeature", 1, Integer::sum);
              xml.skip();
            }
          }
        }
      } else {
        xml.skip();
      }
    }
    return new Raw(name, lines);
  }

  private double[] straight() throws IOException {
    double[] out = {Double.NaN, Double.NaN, Double.NaN, Double.NaN, Double.NaN, Double.NaN};
    while (xml.nextTag()) {
      int at = xml.name().equals("Start") ? 0 : xml.name().equals("End") ? 3 : -1;
      if (at < 0) {
        xml.skip();
        continue;
      }
      double[] p = xml.numbers(2, 3);
      out[at] = p[1];
      out[at + 1] = p[0];
      out[at + 2] = p.length > 2 ? p[2] : Double.NaN;
    }
    if (Double.isNaN(out[0]) || Double.isNaN(out[3])) {
      throw xml.fault("a <Line> of a plan feature needs a <Start> and an <End> with coordinates.");
    }
    return out;
  }
}
