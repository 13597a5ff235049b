package wellspan.exchange.ids.read;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.file.SafeXml;

/**
 * An element of an IDS file with its line.
 *
 * @param text what stands in it, blanks included
 */
record IdsElement(
    Path file,
    int line,
    String name,
    Map<String, String> attributes,
    List<IdsElement> children,
    String text) {
  private static final String IDS = "http://standards.buildingsmart.org/IDS";
  private static final String SCHEMA = "http://www.w3.org/2001/XMLSchema";
  private static final int DEEP = 64;

  /**
   * @throws ReadException if the XML is broken, or not of this kind
   */
  static IdsElement read(Path file) throws IOException {
    XMLInputFactory factory = SafeXml.factory();
    factory.setProperty(XMLInputFactory.IS_COALESCING, true);
    try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
      XMLStreamReader xml = factory.createXMLStreamReader(in);
      while (xml.next() != XMLStreamConstants.START_ELEMENT) {
        if (xml.getEventType() == XMLStreamConstants.DTD) {
          throw new ReadException(
              file, "it has a DOCTYPE, which a file of requirements never needs; it is refused.");
        }
      }
      IdsElement root = element(file, xml, 0);
      while (xml.hasNext()) {
        xml.next(); // throws where something stands behind the root
      }
      return root;
    } catch (XMLStreamException e) {
      int line = e.getLocation() == null ? 0 : e.getLocation().getLineNumber();
      throw new ReadException(
          file, "line " + line + ": this is no well-formed XML. Ask for the file again.", e);
    }
  }

  private static IdsElement element(Path file, XMLStreamReader xml, int depth)
      throws XMLStreamException, ReadException {
    int line = xml.getLocation().getLineNumber();
    String space = xml.getNamespaceURI();
    String name = xml.getLocalName();
    if (depth > DEEP || !IDS.equals(space) && !SCHEMA.equals(space)) {
      throw new ReadException(
          file, "line " + line + ": <" + name + "> does not belong to IDS 1.0.");
    }
    Map<String, String> attributes = new LinkedHashMap<>();
    for (int i = 0; i < xml.getAttributeCount(); i++) {
      if (xml.getAttributeNamespace(i) == null || xml.getAttributeNamespace(i).isEmpty()) {
        attributes.put(xml.getAttributeLocalName(i), xml.getAttributeValue(i));
      }
    }
    List<IdsElement> children = new ArrayList<>();
    StringBuilder text = new StringBuilder();
    boolean documentation = name.equals("annotation");
    while (true) {
      switch (xml.next()) {
        case XMLStreamConstants.START_ELEMENT -> {
          if (documentation) {
            skip(xml);
          } else {
            children.add(element(file, xml, depth + 1));
          }
        }
        case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> text.append(xml.getText());
        case XMLStreamConstants.END_ELEMENT -> {
          return new IdsElement(file, line, name, attributes, children, text.toString());
        }
        default -> {}
      }
    }
  }

  private static void skip(XMLStreamReader xml) throws XMLStreamException {
    for (int depth = 1; depth > 0; ) {
      switch (xml.next()) {
        case XMLStreamConstants.START_ELEMENT -> depth++;
        case XMLStreamConstants.END_ELEMENT -> depth--;
        default -> {}
      }
    }
  }

  boolean is(String wanted) {
    return name.equals(wanted);
  }

  ReadException wrong(String why) {
    return new ReadException(
        file, "line " + line + ": " + why + ". The file is no IDS 1.0; nothing was checked.");
  }

  Optional<IdsElement> child(String wanted) {
    return children.stream().filter(c -> c.is(wanted)).findFirst();
  }

  IdsElement need(String wanted) throws ReadException {
    return child(wanted).orElseThrow(() -> wrong("<" + name + "> needs a <" + wanted + ">"));
  }

  Optional<String> attribute(String wanted) {
    return Optional.ofNullable(attributes.get(wanted));
  }

  String needAttribute(String wanted) throws ReadException {
    String v = attributes.get(wanted);
    if (v == null) {
      throw wrong("<" + name + "> needs the attribute " + wanted);
    }
    return v;
  }

  /** Children of these names only, each once and in the order of a list. */
  void expect(Collection<String> allowed) throws ReadException {
    int last = -1;
    for (IdsElement c : children) {
      if (!allowed.contains(c.name)) {
        throw c.wrong("<" + c.name + "> is not known in <" + name + ">");
      }
      if (allowed instanceof List<String> order) {
        int at = order.indexOf(c.name);
        if (at <= last) {
          throw c.wrong(
              "<" + c.name + "> stands in <" + name + "> " + (at == last ? "twice" : "too late"));
        }
        last = at;
      }
    }
  }

  /** Attributes of these names only. */
  void attributes(Set<String> some, Set<String> more) throws ReadException {
    for (String a : attributes.keySet()) {
      if (!some.contains(a) && !more.contains(a)) {
        throw wrong("<" + name + "> has the attribute " + a + ", which is not known there");
      }
    }
  }
}
