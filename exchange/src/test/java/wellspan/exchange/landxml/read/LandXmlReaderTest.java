package wellspan.exchange.landxml.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.exchange.file.ReadException;

class LandXmlReaderTest extends DesignTexts {
  private static Shape.Faces surface(Received r) {
    return (Shape.Faces) r.items().getFirst().shape();
  }

  @Test
  void pointsComeNorthingFirstWithAnyIds() throws IOException {
    Shape.Faces s = surface(read(METRE + PYRAMID));
    assertThat(read(METRE + PYRAMID).items().getFirst().name()).isEqualTo("Hill");
    assertThat(s.mesh().xyz()).startsWith(0, 0, 0, 10, 0, 0);
    assertThat(s.mesh().triangles()).containsExactly(0, 1, 4, 1, 2, 4, 2, 3, 4);
    assertThat(s.invisible()).containsExactly(3, 0, 4);
  }

  @ParameterizedTest
  @CsvSource({
    "Metric,meter,1",
    "Metric,millimeter,0.001",
    "Imperial,foot,0.3048",
    "Imperial,USSurveyFoot,0.30480060960121924"
  })
  void lengthsBecomeMetres(String system, String unit, double metres) throws IOException {
    Received r =
        read(
            PYRAMID
                + "<Units><"
                + system
                + " linearUnit=\""
                + unit
                + "\"/></Units>"); // units after the data
    assertThat(surface(r).mesh().level(4)).isCloseTo(8 * metres, within(1e-15));
  }

  @Test
  void aFileWithoutUnitsIsTakenAsMetresAndSaysSo() throws IOException {
    Received r = read(PYRAMID);
    assertThat(r.findings()).extracting(Finding::code).contains("units.missing");
    assertThat(surface(r).mesh().level(4)).isEqualTo(8);
  }

  @Test
  void declaredSystemsAreReported() throws IOException {
    assertThat(read(METRE + "<CoordinateSystem epsgCode=\"25832\"/>" + PYRAMID).crs())
        .isEqualTo("EPSG:25832");
    assertThat(read(METRE + "<CoordinateSystem name=\"Site grid\"/>" + PYRAMID).crs())
        .isEqualTo("Site grid");
  }

  @ParameterizedTest
  @CsvSource({
    "UTF-8,UTF-8,''",
    "UTF-8,UTF-8,\uFEFF",
    "UTF-16LE,UTF-16,\uFEFF",
    "UTF-16BE,UTF-16,\uFEFF",
    "ISO-8859-1,ISO-8859-1,''",
    "windows-1252,windows-1252,''",
    "windows-1252,Windows-1252,''",
    "IBM850,IBM850,''"
  })
  void namesAreReadInTheEncodingOfTheFile(String encoding, String declared, String mark)
      throws IOException {
    String text =
        mark
            + "<?xml version='1.0' encoding='"
            + declared
            + "'?>\n<LandXML version='1.2'>"
            + METRE
            + PYRAMID.replace("Hill", "Böschung &#8364; &amp; Ufer")
            + "</LandXML>";
    Path file = Files.write(dir.resolve("design.xml"), text.getBytes(Charset.forName(encoding)));
    assertThat(LandXmlReader.read(file, Progress.NONE).items())
        .singleElement()
        .extracting(Item::name)
        .isEqualTo("Böschung € & Ufer");
  }

  @Test
  void aListOfPointsThatDoesNotComeOutEvenNamesItsLine() throws IOException {
    Received r =
        read(
            METRE
                + PYRAMID.replace(
                    "<Definition",
                    "<SourceData><Breaklines><Breakline><PntList3D>1 2 3 4</PntList3D></Breakline></Breaklines></SourceData><Definition"));
    assertThat(r.items())
        .singleElement()
        .extracting(i -> i.kind().title())
        .isEqualTo("terrain surface");
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(
            f ->
                assertThat(f.message())
                    .contains("Hill")
                    .contains("<Breakline>, line ")
                    .contains("no whole number of points"));
  }

  @Test
  void whatIsNotReadIsCountedAndNamed() throws IOException {
    Received r =
        read(
            METRE
                + PYRAMID.replace(
                    "<Definition",
                    "<SourceData><PointFiles><PointFile/><PointFile/></PointFiles></SourceData><Watersheds><Watershed/><Watershed/></Watersheds><Definition")
                + "<Monuments/><Parcels/>");
    assertThat(r.counts())
        .containsEntry("Watershed", 2)
        .containsEntry("Monuments", 1)
        .containsEntry("Parcels", 1)
        .containsEntry("Surface", 1);
    assertThat(r.findings())
        .filteredOn(f -> f.code().equals("landxml.unread"))
        .hasSize(4)
        .anySatisfy(f -> assertThat(f.message()).startsWith("2 × <Watershed>"));
  }

  @Test
  void brokenXmlIsRefusedWithItsLine() throws IOException {
    Path f = file(METRE + PYRAMID.replace("<F>17 18 top</F>", "<F>17 18 top</G>"));
    assertThatThrownBy(() -> LandXmlReader.read(f, Progress.NONE))
        .isInstanceOf(ReadException.class)
        .hasMessageStartingWith("design.xml, line ")
        .hasMessageContaining("XML is broken");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "<LandXML",
        "<LandXML version=\"1.2\"><Surfaces>",
        "<html><p>no design</p></html>",
        "<a><b></a>"
      })
  void brokenAndOtherXmlIsRefused(String text) throws IOException {
    Path f = Files.writeString(dir.resolve("x.xml"), text);
    assertThatThrownBy(() -> LandXmlReader.read(f, Progress.NONE))
        .isInstanceOf(ReadException.class)
        .hasMessageContaining("line 1");
  }

  @Test
  void aFileThatEndsAnywhereIsRefusedWithItsLine() throws IOException {
    String whole = Files.readString(file(METRE + PYRAMID)).strip();
    for (int length = 25; length < whole.length(); length++) {
      Path cut = Files.writeString(dir.resolve("cut.xml"), whole.substring(0, length));
      assertThatThrownBy(() -> LandXmlReader.read(cut, Progress.NONE))
          .as("cut after %d characters", length)
          .isInstanceOf(ReadException.class)
          .hasMessageStartingWith("cut.xml, line ");
    }
  }

  @Test
  void longTextsOfManyPiecesAreReadWhole() throws IOException {
    String spaces = " ".repeat(5000);
    Shape.Faces s =
        surface(
            read(
                METRE
                    + PYRAMID.replace(">5 5 8<", ">5" + spaces + "<![CDATA[5]]>" + spaces + "8<")));
    assertThat(s.mesh().vertex(4).level()).isEqualTo(8);
  }

  @Test
  void anEntityBombIsRefusedAtOnce() throws IOException {
    String bomb =
        "<?xml version=\"1.0\"?><!DOCTYPE l [<!ENTITY a \"aaaaaaaaaa\"><!ENTITY b \"&a;&a;&a;&a;&a;&a;&a;&a;\"><!ENTITY c SYSTEM \"file:///etc/passwd\">]><LandXML version=\"1.2\">&b;&c;</LandXML>";
    Path f = Files.writeString(dir.resolve("bomb.xml"), bomb);
    assertThatThrownBy(() -> LandXmlReader.read(f, Progress.NONE))
        .isInstanceOf(ReadException.class)
        .hasMessageContaining("refused for safety");
  }

  @Test
  void aCancelledReadStops() throws IOException {
    StringBuilder many =
        new StringBuilder(
            METRE + "<Surfaces><Surface name=\"s\"><Definition surfType=\"TIN\"><Pnts>");
    for (int i = 0; i < 20_000; i++) {
      many.append("<P id=\"").append(i).append("\">1 2 3</P>");
    }
    Path f = file(many + "</Pnts><Faces/></Definition></Surface></Surfaces>");
    Progress cancelled =
        new Progress() {
          @Override
          public void report(double fraction, String sentence) {}

          @Override
          public boolean isCancelled() {
            return true;
          }
        };
    assertThatThrownBy(() -> LandXmlReader.read(f, cancelled))
        .isInstanceOf(CancellationException.class);
  }

  private static final String POINTS =
      "<CgPoints name=\"axis\"><CgPoint name=\"A\" code=\"ax\">0 100 5</CgPoint><CgPoint name=\"B\" pntRef=\"A\"/></CgPoints>";

  @Test
  void coordinatePointsBecomeAGroup() throws IOException {
    Received r = read(METRE + POINTS);
    Shape.Points g = (Shape.Points) r.items().getFirst().shape();
    assertThat(g.points()).extracting(NamedPoint::name).containsExactly("A", "B");
    assertThat(g.points().get(1).position()).isEqualTo(g.points().get(0).position());
    assertThat(g.points().get(0).code()).isEqualTo("ax");
  }

  @Test
  void planFeaturesAreDrawnWithTheirCurvesAndReferences() throws IOException {
    Received r =
        read(
            METRE
                + "<PlanFeatures><PlanFeature name=\"Kerb\"><CoordGeom><Line><Start pntRef=\"A\"/><End>0 10</End></Line>"
                + "<Curve rot=\"ccw\"><Start>0 10</Start><Center>10 10</Center><End>10 20</End></Curve></CoordGeom>"
                + "<Feature code=\"asset\"><Property label=\"Number\" value=\"007\"/></Feature></PlanFeature></PlanFeatures>"
                + "<CgPoints><CgPoint name=\"A\">0 0 3</CgPoint></CgPoints>");
    assertThat(r.hasErrors()).isFalse();
    Shape.Lines l = (Shape.Lines) r.items().getFirst().shape();
    assertThat(l.lines()).hasSize(1);
    assertThat(l.planLength()).isCloseTo(10 + 5 * Math.PI, within(0.005));
    assertThat(r.items().getFirst().said().propertySets())
        .singleElement()
        .satisfies(
            s -> {
              assertThat(s.name()).isEqualTo("asset");
              assertThat(s.values().get("Number").show()).isEqualTo("007");
            });
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "epsgCode=\"25832\"|EPSG:25832",
        "epsgCode=\"EPSG:25832\"|EPSG:25832",
        "name=\"ETRS89 / UTM zone 32N (EPSG:25832)\"|EPSG:25832",
        "desc=\"urn:ogc:def:crs:EPSG::25832\"|EPSG:25832",
        "ogcWktCode='PROJCS[&quot;x&quot;,GEOGCS[&quot;y&quot;,AUTHORITY[&quot;EPSG&quot;,&quot;4258&quot;]],AUTHORITY[&quot;EPSG&quot;,&quot;25832&quot;]]'|EPSG:25832",
        "name=\"Harbour grid\"|Harbour grid"
      })
  void theSystemIsFoundWhereverItIsSaid(String attributes, String crs) throws IOException {
    Received r = read(METRE + "<CoordinateSystem " + attributes + "/>" + PYRAMID);
    assertThat(r.crs()).isEqualTo(crs);
    assertThat(r.hasErrors()).isFalse();
    assertThat(r.findings().stream().anyMatch(f -> f.code().equals("system.unknown")))
        .isEqualTo(!crs.startsWith("EPSG"));
  }

  @ParameterizedTest
  @CsvSource({"foot, 0.3048", "feet, 0.3048", "Meter, 1", "kilometer, 1000", "miles, 1609.344"})
  void levelsInAUnitOfTheirOwn(String word, double metres) throws IOException {
    Received r =
        read(
            "<Units><Metric linearUnit=\"meter\" elevationUnit=\""
                + word
                + "\"/></Units>"
                + PYRAMID);
    assertThat(r.findings()).extracting(Finding::code).doesNotContain("units.unknown");
    assertThat(surface(r).mesh().level(4)).isCloseTo(8 * metres, within(1e-9));
    assertThat(surface(r).mesh().east(1)).isEqualTo(10);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "linearUnit=\"chain\"|metre is taken",
        "linearUnit=\"foot\" elevationUnit=\"chain\"|foot is taken",
        "linearUnit=\"meter\" angularUnit=\"turns\"|radian is taken",
        "linearUnit=\"meter\" directionUnit=\"mils\"|radian is taken"
      })
  void aUnitThatNobodyKnowsIsSaid(String all) throws IOException {
    String units = all.substring(0, all.indexOf('|'));
    Received r = read("<Units><Imperial " + units + "/></Units>" + PYRAMID);
    assertThat(r.findings())
        .filteredOn(f -> f.code().equals("units.unknown"))
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.isError()).isTrue();
              assertThat(f.message()).contains(all.substring(all.indexOf('|') + 1));
            });
  }

  @ParameterizedTest
  @ValueSource(strings = {"<Surfaces/>", "more", "<!-- ended --> x"})
  void whatStandsBehindTheEndIsSaid(String more) throws IOException {
    Path f = file(METRE + PYRAMID);
    Files.writeString(f, Files.readString(f) + more);
    Received r = LandXmlReader.read(f, Progress.NONE);
    assertThat(r.items()).hasSize(1);
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .extracting(Finding::code)
        .containsExactly("landxml.behind");
  }

  @Test
  void aFileWithNothingInItSaysSo() throws IOException {
    assertThat(read(METRE).findings()).extracting(Finding::code).containsExactly("landxml.nothing");
  }

  @Test
  void anUnknownUnitRefusesNothingButIsADoubt() throws IOException {
    Received r = read("<Units><Imperial linearUnit=\"yard\"/></Units>" + PYRAMID);
    assertThat(r.items()).hasSize(1);
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("yard"));
  }
}
