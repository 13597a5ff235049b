package wellspan.exchange.landxml.read;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;

/** Reads designs that are written out in a test. */
abstract class DesignTexts {
  static final String METRE = "<Units><Metric linearUnit=\"meter\"/></Units>";

  static final String PYRAMID =
      """
      <Surfaces><Surface name="Hill"><Definition surfType="TIN">
        <Pnts><P id="17">0 0 0</P><P id="18">0 10 0</P><P id="19">10 10 0</P><P id="20">10 0 0</P><P id="top">5 5 8</P></Pnts>
        <Faces><F>17 18 top</F><F>18 19 top</F><F>19 20 top</F><F i="1">20 17 top</F></Faces>
      </Definition></Surface></Surfaces>
      """;

  @TempDir Path dir;

  Path file(String body) throws IOException {
    return Files.writeString(
        dir.resolve("design.xml"),
        "<?xml version=\"1.0\"?>\n<LandXML xmlns=\"http://www.landxml.org/schema/LandXML-1.2\" version=\"1.2\">\n"
            + body
            + "\n</LandXML>\n");
  }

  Received read(String body) throws IOException {
    return LandXmlReader.read(file(body), Progress.NONE);
  }
}
