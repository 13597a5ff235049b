package wellspan.exchange.landxml.read;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import wellspan.core.progress.Progress;
import wellspan.exchange.file.NumberText;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.file.SafeXml;

/**
 * Walks through an XML file, refuses what designs do not need, and turns every fault into a
 * sentence with its line.
 */
final class XmlCursor implements AutoCloseable {
  private static final int REPORT_EVERY = 1 << 14;

  private final Path file;
  private final InputStream in;
  private final XMLStreamReader xml;
  private final NumberText numbers = new NumberText(false);
  private final Progress progress;
  private final long size;
  private char[] buffer = new char[256];
  private int events;
  private int depth;

  XmlCursor(Path file, Progress progress) throws IOException {
    this.file = file;
    this.progress = progress;
    size = Math.max(1, Files.size(file));
    in = Files.newInputStream(file);
    try {
      xml = SafeXml.factory().createXMLStreamReader(in);
    } catch (XMLStreamException e) {
      in.close();
      throw broken(e);
    }
  }

  /** Moves on to the next start (true) or end (false) of an element. */
  boolean nextTag() throws IOException {
    while (true) {
      switch (next()) {
        case XMLStreamConstants.START_ELEMENT -> {
          return true;
        }
        case XMLStreamConstants.END_ELEMENT -> {
          return false;
        }
        default -> {}
      }
    }
  }

  private int next() throws IOException {
    try {
      if ((++events & (REPORT_EVERY - 1)) == 0) {
        progress.advance(
            Math.min(1, xml.getLocation().getCharacterOffset() / (double) size),
            "Reading " + file.getFileName());
      }
      int event = xml.next();
      if (event == XMLStreamConstants.DTD) {
        throw new ReadException(
            file,
            line(),
            "the file brings its own document type declaration, which designs do not need; it is refused for safety. Remove the <!DOCTYPE …> part.");
      }
      if (event == XMLStreamConstants.END_DOCUMENT) {
        throw new ReadException(file, line(), "the file ends too early.");
      }
      if (event == XMLStreamConstants.START_ELEMENT) {
        depth++;
      } else if (event == XMLStreamConstants.END_ELEMENT) {
        depth--;
      }
      return event;
    } catch (XMLStreamException e) {
      throw broken(e);
    }
  }

  private ReadException broken(XMLStreamException e) {
    long line = e.getLocation() == null ? 0 : e.getLocation().getLineNumber();
    String what = String.valueOf(e.getMessage()).lines().findFirst().orElse("");
    return new ReadException(
        file, line, "the XML is broken (" + what + "). Ask for the file again.");
  }

  /** Something in the file that cannot be read, while the rest can. */
  static final class ContentFault extends IOException {
    private static final long serialVersionUID = 1;

    ContentFault(long line, String what) {
      super("line " + line + ": " + what);
    }
  }

  /** Reads a part of the file. */
  interface Part {
    void read() throws IOException;
  }

  /** Takes what is wrong with a part that is left out. */
  interface LeftOut {
    void take(String why);
  }

  /**
   * Reads the element whose start was just read, or, where that cannot be read whole, passes to its
   * end and says why.
   */
  void whole(Part part, LeftOut leftOut) throws IOException {
    int outside = depth - 1;
    try {
      part.read();
    } catch (ContentFault e) {
      leftOut.take(e.getMessage());
      while (depth > outside) {
        next();
      }
    }
  }

  /**
   * Passes to the end of the document.
   *
   * @return what stands behind the root element although nothing may, empty if nothing does
   */
  Optional<String> behindRoot() {
    try {
      while (xml.hasNext()) {
        int event = xml.next();
        if (event == XMLStreamConstants.START_ELEMENT) {
          return Optional.of("<" + xml.getLocalName() + ">");
        }
        if (event == XMLStreamConstants.CHARACTERS && !xml.isWhiteSpace()) {
          return Optional.of("text");
        }
      }
      return Optional.empty();
    } catch (XMLStreamException e) {
      return Optional.of("something that is no XML");
    }
  }

  String name() {
    return xml.getLocalName();
  }

  /** Whether the element is of LandXML, not of somebody's own name space. */
  boolean isOwn() {
    String space = xml.getNamespaceURI();
    return space == null || space.isEmpty() || space.contains("landxml.org");
  }

  long line() {
    return xml.getLocation().getLineNumber();
  }

  ContentFault fault(String what) {
    return new ContentFault(line(), what);
  }

  /** For what is wrong with the file as a whole. */
  ReadException refusal(String what) {
    return new ReadException(file, line(), what);
  }

  Optional<String> attribute(String name) {
    return Optional.ofNullable(attributeOrNull(name));
  }

  /** The attribute without white space around it, null if it is not there or blank. */
  String attributeOrNull(String name) {
    // an index instead of a look-up by name: of the millions of points each has one attribute
    for (int i = xml.getAttributeCount() - 1; i >= 0; i--) {
      if (xml.getAttributeLocalName(i).equals(name) && xml.getAttributePrefix(i).isEmpty()) {
        String v = xml.getAttributeValue(i).strip();
        return v.isEmpty() ? null : v;
      }
    }
    return null;
  }

  /** The attribute letter by letter, with the blanks around it; empty if it is not there. */
  String exact(String name) {
    String v = xml.getAttributeValue(null, name);
    return v == null ? "" : v;
  }

  /**
   * @return the attribute as a number, NaN if it is not there
   */
  double number(String name) throws ContentFault {
    Optional<String> v = attribute(name);
    if (v.isEmpty()) {
      return Double.NaN;
    }
    try {
      double d = Double.parseDouble(v.get());
      if (NumberText.isOnEarth(d)) {
        return d;
      }
    } catch (NumberFormatException e) {
      // said below, with the line
    }
    throw fault(
        "the attribute " + name + "=\"" + v.get() + "\" of <" + name() + "> is not a number.");
  }

  double needNumber(String name) throws ContentFault {
    double d = number(name);
    if (Double.isNaN(d)) {
      throw fault("<" + name() + "> has no attribute " + name + ".");
    }
    return d;
  }

  /** Skips the element whose start was just read, with all that is in it. */
  void skip() throws IOException {
    for (int depth = 1; depth > 0; ) {
      depth += nextTag() ? 1 : -1;
    }
  }

  /** The text of the element whose start was just read; moves to its end. */
  String words() throws IOException {
    StringBuilder s = new StringBuilder();
    while (true) {
      int event = next();
      if (event == XMLStreamConstants.END_ELEMENT) {
        return s.toString().strip();
      }
      if (event == XMLStreamConstants.CHARACTERS || event == XMLStreamConstants.CDATA) {
        s.append(xml.getText());
      } else if (event == XMLStreamConstants.START_ELEMENT) {
        throw fault("<" + name() + "> is not expected here.");
      }
    }
  }

  /** The numbers in the element whose start was just read; moves to its end. */
  NumberText text() throws IOException {
    int length = 0;
    while (true) {
      int event = next();
      if (event == XMLStreamConstants.END_ELEMENT) {
        numbers.over(buffer, 0, length);
        return numbers;
      }
      if (event == XMLStreamConstants.CHARACTERS || event == XMLStreamConstants.CDATA) {
        int n = xml.getTextLength();
        if (length + n > buffer.length) {
          buffer = java.util.Arrays.copyOf(buffer, Math.max(2 * buffer.length, length + n));
        }
        System.arraycopy(xml.getTextCharacters(), xml.getTextStart(), buffer, length, n);
        length += n;
      } else if (event == XMLStreamConstants.START_ELEMENT) {
        throw fault("<" + name() + "> is not expected here.");
      }
    }
  }

  /** All numbers of the element's text, between {@code min} and {@code max} of them. */
  double[] numbers(int min, int max) throws IOException {
    String element = name();
    NumberText t = text();
    double[] out = new double[max];
    int n = 0;
    try {
      while (t.hasNext()) {
        double v = t.nextOnEarth();
        if (n == max) {
          throw fault("<" + element + "> holds more than " + max + " numbers.");
        }
        out[n++] = v;
      }
    } catch (NumberFormatException e) {
      throw fault("\"" + e.getMessage() + "\" in <" + element + "> is not a number.");
    }
    if (n < min) {
      throw fault("<" + element + "> holds " + n + " numbers where " + min + " are needed.");
    }
    return java.util.Arrays.copyOf(out, n);
  }

  @Override
  public void close() throws IOException {
    in.close();
  }
}
