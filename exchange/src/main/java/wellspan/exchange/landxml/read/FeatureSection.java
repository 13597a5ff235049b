package wellspan.exchange.landxml.read;

import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;

/**
 * Reads a {@code Feature}: properties that its writer found no other room for, as a set named by
 * the feature's name, code or source. Features within a feature are sets of their own.
 */
final class FeatureSection {
  private final XmlCursor xml;
  private final Map<String, Integer> unread;

  FeatureSection(XmlCursor xml, Map<String, Integer> unread) {
    this.xml = xml;
    this.unread = unread;
  }

  /**
   * @param out takes the set, if it holds any property, and those within it
   */
  void read(List<PropertySet> out) throws IOException {
    String name = "Feature";
    for (String attribute : List.of("source", "code", "name")) { // the last one counts most
      name = xml.attribute(attribute).isPresent() ? xml.exact(attribute) : name;
    }
    Map<String, PropertyValue> values = new LinkedHashMap<>();
    while (xml.nextTag()) {
      switch (xml.name()) {
        case "Property" -> {
          String label = xml.exact("label");
          String value = xml.exact("value");
          String key = label;
          for (int n = 2; values.containsKey(key); n++) {
            key = label + " (" + n + ")";
          }
          values.put(key, new PropertyValue.Label(value));
          xml.skip();
        }
        case "Feature" -> read(out);
        default -> {
          unread.merge(xml.name() + " of a Feature", 1, Integer::sum);
          xml.skip();
        }
      }
    }
    if (!values.isEmpty()) {
      out.add(new PropertySet(name, values));
    }
  }
}
