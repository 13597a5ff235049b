package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThatCode;

import java.io.IOException;
import java.nio.file.Path;
import javax.xml.XMLConstants;
import javax.xml.transform.stream.StreamSource;
import javax.xml.validation.Schema;
import javax.xml.validation.SchemaFactory;
import org.xml.sax.SAXException;

/** Whether a LandXML file is structured as the schema of LandXML 1.2 demands. */
final class LandXmlStructure {
  private LandXmlStructure() {}

  static void check(Path file) throws IOException {
    Schema schema;
    try {
      schema =
          SchemaFactory.newInstance(XMLConstants.W3C_XML_SCHEMA_NS_URI)
              .newSchema(LandXmlStructure.class.getResource("landxml-1.2-written.xsd"));
    } catch (SAXException e) {
      throw new IOException(e);
    }
    assertThatCode(() -> schema.newValidator().validate(new StreamSource(file.toFile())))
        .doesNotThrowAnyException();
  }
}
