package wellspan.exchange.landxml.read;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import wellspan.core.attribute.PropertySet;

/** Reads one {@code PlanFeature}: lines of the same elements as those of alignments. */
final class PlanFeatureSection {
  private final XmlCursor xml;
  private final Map<String, Integer> unread;

  PlanFeatureSection(XmlCursor xml, Map<String, Integer> unread) {
    this.xml = xml;
    this.unread = unread;
  }

  /**
   * A feature as it stands in the file.
   *
   * @param lines each a run of elements
   */
  record Raw(String name, List<List<AlignmentSection.RawElement>> lines, List<PropertySet> sets) {}

  Raw read() throws IOException {
    String name = xml.attribute("name").orElse("Lines");
    List<List<AlignmentSection.RawElement>> lines = new ArrayList<>();
    List<PropertySet> sets = new ArrayList<>();
    while (xml.nextTag()) {
      switch (xml.name()) {
        case "CoordGeom" -> lines.add(new AlignmentSection(xml, unread).elements());
        case "Feature" -> new FeatureSection(xml, unread).read(sets);
        default -> {
          unread.merge(xml.name() + " of a PlanFeature", 1, Integer::sum);
          xml.skip();
        }
      }
    }
    return new Raw(name, lines, sets);
  }
}
