package wellspan.exchange.bcf.read;

import java.io.InputStream;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import wellspan.exchange.file.SafeXml;

/**
 * A small document by paths such as {@code Markup/Topic/Title}, attributes behind an at sign.
 *
 * @param texts of each path in the order of the document
 * @param children names of the elements in each element, in their order, once each where they
 *     follow each other
 */
record XmlPaths(Map<String, List<String>> texts, Map<String, List<String>> children) {
  private static final int DEEP = 32;

  static XmlPaths of(InputStream in) throws XMLStreamException {
    XMLInputFactory factory = SafeXml.factory();
    factory.setProperty(XMLInputFactory.IS_COALESCING, true);
    XMLStreamReader xml = factory.createXMLStreamReader(in);
    XmlPaths out = new XmlPaths(new LinkedHashMap<>(), new LinkedHashMap<>());
    List<String> path = new ArrayList<>();
    List<StringBuilder> text = new ArrayList<>();
    while (xml.hasNext()) {
      switch (xml.next()) {
        case XMLStreamConstants.START_ELEMENT -> {
          if (path.size() == DEEP) {
            throw new XMLStreamException("elements stand too deep in each other");
          }
          out.child(String.join("/", path), xml.getLocalName());
          path.add(xml.getLocalName());
          text.add(new StringBuilder());
          String here = String.join("/", path);
          for (int i = 0; i < xml.getAttributeCount(); i++) {
            out.put(here + "@" + xml.getAttributeLocalName(i), xml.getAttributeValue(i));
          }
        }
        case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> {
          if (!text.isEmpty()) {
            text.getLast().append(xml.getText());
          }
        }
        case XMLStreamConstants.END_ELEMENT -> {
          out.put(String.join("/", path), text.removeLast().toString());
          path.removeLast();
        }
        default -> {}
      }
    }
    return out;
  }

  private void child(String parent, String name) {
    List<String> names = children.computeIfAbsent(parent, k -> new ArrayList<>());
    if (names.isEmpty() || !names.getLast().equals(name)) {
      names.add(name);
    }
  }

  private void put(String path, String text) {
    texts.computeIfAbsent(path, k -> new ArrayList<>(1)).add(text);
  }

  /** The texts of a path, none if it is not there. */
  List<String> all(String path) {
    return texts.getOrDefault(path, List.of());
  }

  /** The first text of a path, empty if it is not there. */
  String first(String path) {
    return all(path).isEmpty() ? "" : all(path).getFirst();
  }

  boolean has(String path) {
    return texts.containsKey(path);
  }
}
