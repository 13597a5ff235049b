package wellspan.exchange.landxml.write;

import com.fasterxml.aalto.stax.OutputFactoryImpl;
import java.io.IOException;
import java.io.OutputStream;
import javax.xml.XMLConstants;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamWriter2;
import wellspan.exchange.file.DecimalText;

/**
 * Writes elements one after another to a stream, lines and indentation as they are asked for.
 * Nothing is kept but the names of open elements. Not for several threads.
 */
final class XmlElements {
  /** Writes what stands within an element. */
  interface Content {
    void write() throws IOException;
  }

  /** What a StAX writer does when it is asked for something. */
  private interface Act {
    void run() throws XMLStreamException;
  }

  private final XMLStreamWriter2 out;
  private final StringBuilder number = new StringBuilder(64);

  XmlElements(OutputStream to) throws IOException {
    try {
      out = (XMLStreamWriter2) new OutputFactoryImpl().createXMLStreamWriter(to, "UTF-8");
    } catch (XMLStreamException e) {
      throw new IOException(e.getMessage(), e);
    }
    act(() -> out.writeRaw("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n"));
  }

  private static void act(Act what) throws IOException {
    try {
      what.run();
    } catch (XMLStreamException e) {
      if (e.getNestedException() instanceof IOException io) {
        throw io;
      }
      throw new IOException(e.getMessage(), e);
    }
  }

  /** Begins an element; attributes follow. */
  XmlElements open(String name) throws IOException {
    act(() -> out.writeStartElement(name));
    return this;
  }

  /** The namespace of a document and where its schema lies. */
  XmlElements schema(String namespace, String location) throws IOException {
    String instance = XMLConstants.W3C_XML_SCHEMA_INSTANCE_NS_URI;
    act(
        () -> {
          out.writeDefaultNamespace(namespace);
          out.writeNamespace("xsi", instance);
          out.writeAttribute("xsi", instance, "schemaLocation", namespace + " " + location);
        });
    return this;
  }

  /** Begins an element on a line of its own. */
  XmlElements line(int indent, String name) throws IOException {
    return white(indent).open(name);
  }

  /** An element without content. */
  XmlElements empty(String name) throws IOException {
    act(() -> out.writeEmptyElement(name));
    return this;
  }

  /**
   * @param value any text; what XML 1.0 cannot hold is left out
   */
  XmlElements attribute(String name, String value) throws IOException {
    act(() -> out.writeAttribute(name, held(value)));
    return this;
  }

  /**
   * @param decimals 1 to 9
   */
  XmlElements attribute(String name, double value, int decimals) throws IOException {
    number.setLength(0);
    DecimalText.append(number, value, decimals);
    return attribute(name, number.toString());
  }

  /** One number as text. */
  XmlElements number(double value, int decimals) throws IOException {
    number.setLength(0);
    return text(DecimalText.append(number, value, decimals));
  }

  /** Two numbers with a space between them. */
  XmlElements numbers(double first, double second, int decimals) throws IOException {
    number.setLength(0);
    DecimalText.append(number, first, decimals).append(' ');
    return text(DecimalText.append(number, second, decimals));
  }

  XmlElements text(CharSequence words) throws IOException {
    act(() -> out.writeCharacters(words.toString()));
    return this;
  }

  /** Ends the innermost element. */
  XmlElements close() throws IOException {
    act(out::writeEndElement);
    return this;
  }

  /** A new line. */
  XmlElements newLine() throws IOException {
    act(() -> out.writeRaw("\n"));
    return this;
  }

  /** Spaces at the beginning of a line. */
  XmlElements white(int indent) throws IOException {
    act(() -> out.writeRaw(" ".repeat(indent)));
    return this;
  }

  /** Ends the document; the stream stays open. */
  void end() throws IOException {
    act(out::writeEndDocument);
    act(out::flush);
  }

  private static String held(String s) {
    boolean all = true;
    for (int i = 0; i < s.length() && all; i++) {
      char c = s.charAt(i);
      all = c >= 0x20 && c < 0xD800;
    }
    if (all) {
      return s;
    }
    StringBuilder out = new StringBuilder(s.length());
    s.codePoints()
        .filter(
            c ->
                c == '\t'
                    || c == '\n'
                    || c == '\r'
                    || c >= 0x20 && c != 0xFFFE && c != 0xFFFF && !(c >= 0xD800 && c <= 0xDFFF))
        .forEach(out::appendCodePoint);
    return out.toString();
  }
}
