package wellspan.exchange.landxml.read;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * A line of the ground in a section across or along an alignment, as it stands in the file.
 *
 * @param stretches pairs of offset or station and level, read as {@link PointListText} reads a list
 *     of two numbers each: level, offset or station, nothing; between stretches nothing is known
 */
record GroundStretches(String name, List<double[]> stretches) {

  /**
   * Reads the part in hand.
   *
   * @param counts takes what is in it and is not read
   */
  static GroundStretches read(XmlCursor xml, Map<String, Integer> counts, String otherwise)
      throws IOException {
    String name = xml.attribute("name").orElse(otherwise);
    List<double[]> stretches = new ArrayList<>();
    while (xml.nextTag()) {
      if (xml.name().equals("PntList2D")) {
        stretches.add(PointListText.read(xml, 2));
      } else {
        if (!xml.name().equals("Feature")) {
          counts.merge(xml.name(), 1, Integer::sum);
        }
        xml.skip();
      }
    }
    return new GroundStretches(name, stretches);
  }
}
