package wellspan.exchange.landxml.read;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Reads {@code AlignPIs}: a line given by the points where its tangents meet. */
final class AlignPiSection {
  private final XmlCursor xml;
  private final AlignmentSection elements;
  private final Map<String, Integer> counts;

  AlignPiSection(XmlCursor xml, AlignmentSection elements, Map<String, Integer> counts) {
    this.xml = xml;
    this.elements = elements;
    this.counts = counts;
  }

  /**
   * A point of intersection.
   *
   * @param at where it is; null where the file does not say
   * @param rounding spirals and curves between its tangents, in running order
   */
  record RawPi(
      long line, AlignmentSection.RawPoint at, List<AlignmentSection.RawElement> rounding) {}

  List<RawPi> read() throws IOException {
    List<RawPi> out = new ArrayList<>();
    while (xml.nextTag()) {
      if (xml.name().equals("AlignPI")) {
        out.add(intersection());
      } else {
        aside();
      }
    }
    return out;
  }

  private RawPi intersection() throws IOException {
    long line = xml.line();
    AlignmentSection.RawPoint at = null;
    List<AlignmentSection.RawElement> rounding = new ArrayList<>();
    while (xml.nextTag()) {
      switch (xml.name()) {
        case "PI" -> at = elements.point();
        case "InSpiral", "ConnSpiral", "OutSpiral" -> part("Spiral", "length", rounding);
        case "Curve1", "Curve2" -> part("Curve", "radius", rounding);
        case "Station" -> xml.skip(); // follows from the points
        default -> aside();
      }
    }
    return new RawPi(line, at, rounding);
  }

  /** An element stands in its place, or the place itself says its measures. */
  private void part(String kind, String measure, List<AlignmentSection.RawElement> out)
      throws IOException {
    if (xml.attribute(measure).isPresent()) {
      out.add(elements.element(kind));
      return;
    }
    while (xml.nextTag()) {
      if (xml.name().equals(kind)) {
        out.add(elements.element(kind));
      } else {
        aside();
      }
    }
  }

  private void aside() throws IOException {
    if (!xml.name().equals("Feature")) {
      counts.merge(xml.name(), 1, Integer::sum);
    }
    xml.skip();
  }
}
