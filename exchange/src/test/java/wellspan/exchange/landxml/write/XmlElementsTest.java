package wellspan.exchange.landxml.write;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.w3c.dom.Element;

class XmlElementsTest {
  private final ByteArrayOutputStream out = new ByteArrayOutputStream();

  private String text() {
    return out.toString(StandardCharsets.UTF_8);
  }

  /** As another parser sees it. */
  private Element parsed() throws Exception {
    return DocumentBuilderFactory.newInstance()
        .newDocumentBuilder()
        .parse(new ByteArrayInputStream(out.toByteArray()))
        .getDocumentElement();
  }

  @Test
  void elementsStandOnTheirLines() throws IOException {
    XmlElements x = new XmlElements(out);
    x.open("A").attribute("b", "1").newLine().line(2, "C").text("x").close().newLine();
    x.white(2).empty("D").attribute("e", "2").newLine().close().newLine();
    x.end();
    assertThat(text())
        .isEqualTo(
            "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<A b=\"1\">\n  <C>x</C>\n  <D e=\"2\"/>\n</A>\n");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "plain",
        "a < b & c > d",
        "\"quoted\" and 'so'",
        "Straße – größer",
        "🛤 way",
        "a\tb\nc\rd",
        "]]>",
        "&amp;",
        ""
      })
  void anyTextComesBackAsItWas(String value) throws Exception {
    XmlElements x = new XmlElements(out);
    x.open("A").attribute("v", value).close();
    x.end();
    assertThat(parsed().getAttribute("v")).isEqualTo(value);
  }

  @Test
  void whatXmlCannotHoldIsLeftOut() throws Exception {
    XmlElements x = new XmlElements(out);
    x.open("A").attribute("v", "a\u0000b\u0001c\uFFFEd\uD800e").close();
    x.end();
    assertThat(parsed().getAttribute("v")).isEqualTo("abcde");
  }

  @ParameterizedTest
  @CsvSource({"1, 1.0", "0.1, 0.1", "-2.5, -2.5", "1234567.891, 1234567.891", "1e-9, 0.0"})
  void numbersArePlainDecimals(double value, String written) throws Exception {
    XmlElements x = new XmlElements(out);
    x.open("A").attribute("v", value, 3).close();
    x.end();
    assertThat(parsed().getAttribute("v")).isEqualTo(written);
  }

  @Test
  void aNumberThatIsNoneIsNeverWritten() throws IOException {
    XmlElements x = new XmlElements(out);
    x.open("A");
    assertThatThrownBy(() -> x.attribute("v", Double.NaN, 3))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void theSchemaIsNamedWithItsPlace() throws Exception {
    XmlElements x = new XmlElements(out);
    x.open("A").schema("http://example.org/ns", "http://example.org/ns.xsd").close();
    x.end();
    assertThat(parsed().getAttribute("xmlns")).isEqualTo("http://example.org/ns");
    assertThat(parsed().getAttribute("xsi:schemaLocation"))
        .isEqualTo("http://example.org/ns http://example.org/ns.xsd");
  }

  @Test
  void aFullDiskIsTold() throws IOException {
    OutputStream full =
        new OutputStream() {
          @Override
          public void write(int b) throws IOException {
            throw new IOException("No space left on device");
          }
        };
    XmlElements x = new XmlElements(full);
    assertThatThrownBy(
            () -> {
              x.open("Root");
              for (int i = 0; i < 10_000; i++) {
                x.open("A").text("many words").close();
              }
              x.close().end();
            })
        .isInstanceOf(IOException.class)
        .hasMessageContaining("No space left");
  }
}
