package wellspan.exchange.landxml;

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
  private final NumberText numbers = new NumberText();
  private final Progress progress;
  private final long size;
  private char[] buffer = new char[256];
  private int events;

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
        progress.step(
            Math.min(1, xml.getLocation().getCharacterOffset() / (double) size),
            "Reading " + file.getFileName());
      }
      int event = xml.next();
      if (event == XMLStreamConstants.DTD) {
        throw fault(
            "the file brings its own document type declaration, which designs do not need; it is refused for safety. Remove the <!DOCTYPE …> part.");
      }
      if (event == XMLStreamConstants.END_DOCUMENT) {
        throw fault("the file ends too early.");
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

  String name() {
    return xml.getLocalName();
  }

  long line() {
    return xml.getLocation().getLineNumber();
  }

  ReadException fault(String what) {
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

  /**
   * @return the attribute as a number, NaN if it is not there
   */
  double number(String name) throws ReadException {
    Optional<String> v = attribute(name);
    if (v.isEmpty()) {
      return Double.NaN;
    }
    try {
      double d = Double.parseDouble(v.get());
      if (Double.isFinite(d)) {
        return d;
      }
    } catch (NumberFormatException e) {
      // said below, with the line
    }
    throw fault(
        "the attribute " + name + "=\"" + v.get() + "\" of <" + name() + "> is not a number.");
  }

  double needNumber(String name) throws ReadException {
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
        double v = t.nextDouble();
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
