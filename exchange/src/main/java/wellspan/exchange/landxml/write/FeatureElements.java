package wellspan.exchange.landxml.write;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;

/** Writes property sets, each a feature with texts. */
final class FeatureElements {
  private FeatureElements() {}

  static void write(XmlElements xml, int indent, List<PropertySet> sets) throws IOException {
    for (PropertySet set : sets) {
      xml.line(indent, "Feature").attribute("name", set.name());
      for (Map.Entry<String, PropertyValue> v : set.values().entrySet()) {
        xml.empty("Property")
            .attribute("label", v.getKey())
            .attribute("value", ValueText.of(v.getValue()));
      }
      xml.close().newLine();
    }
  }
}
