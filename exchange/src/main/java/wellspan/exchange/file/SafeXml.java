package wellspan.exchange.file;

import com.fasterxml.aalto.stax.InputFactoryImpl;
import javax.xml.stream.XMLInputFactory;
import org.codehaus.stax2.XMLInputFactory2;

/** A streaming XML parser that opens nothing but the file and expands nothing. */
public final class SafeXml {
  private SafeXml() {}

  public static XMLInputFactory factory() {
    XMLInputFactory f = new InputFactoryImpl();
    // parsed at once, a fault in a text is thrown by next(); later it would come unchecked
    f.setProperty(XMLInputFactory2.P_LAZY_PARSING, false);
    f.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    f.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    return f;
  }
}
