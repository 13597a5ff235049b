package wellspan.exchange.file;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/** What an XML file is, by its first element, however much stands before it. */
public final class XmlRoot {
  private XmlRoot() {}

  /** Its local name, empty if the file is no XML. */
  public static String of(Path file) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      XMLStreamReader xml = SafeXml.factory().createXMLStreamReader(in);
      while (xml.hasNext()) {
        if (xml.next() == XMLStreamReader.START_ELEMENT) {
          return xml.getLocalName();
        }
      }
      return "";
    } catch (XMLStreamException e) {
      return "";
    }
  }
}
