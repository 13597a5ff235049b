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
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.align.Alignment;
import wellspan.core.align.PlanElement;
import wellspan.core.align.ProfileSegment;
import wellspan.core.align.SpiralLaw;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.exchange.file.ReadException;

class LandXmlReaderTest {
  private static final String METRE = "<Units><Metric linearUnit=\"meter\"/></Units>";
  private static final String PYRAMID =
      """
      <Surfaces><Surface name="Hill"><Definition surfType="TIN">
        <Pnts><P id="17">0 0 0</P><P id="18">0 10 0</P><P id="19">10 10 0</P><P id="20">10 0 0</P><P id="top">5 5 8</P></Pnts>
        <Faces><F>17 18 top</F><F>18 19 top</F><F>19 20 top</F><F i="1">20 17 top</F></Faces>
      </Definition></Surface></Surfaces>
      """;

  @TempDir Path dir;

  private Path file(String body) throws IOException {
    return Files.writeString(
        dir.resolve("design.xml"),
        "<?xml version=\"1.0\"?>\n<LandXML xmlns=\"http://www.landxml.org/schema/LandXML-1.2\" version=\"1.2\">\n"
            + body
            + "\n</LandXML>\n");
  }

  private Received read(String body) throws IOException {
    return LandXmlReader.read(file(body), Progress.NONE);
  }

  private static Shape.Faces surface(Received r) {
    return (Shape.Faces) r.items().getFirst().shape();
  }

  private static Alignment alignment(Received r) {
    return ((Shape.Axis) r.items().getFirst().shape()).alignment();
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
  void aNameWithoutTrianglesIsAnError() throws IOException {
    Received r =
        read(
            METRE
                + "<Surfaces><Surface name=\"Yard\"><Definition surfType=\"TIN\"><Pnts/><Faces/></Definition></Surface></Surfaces>");
    assertThat(r.findings())
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.code()).isEqualTo("terrain.empty");
              assertThat(f.isError()).isTrue();
              assertThat(f.message()).contains("Yard").contains("nothing will arrive");
            });
  }

  @Test
  void severalSurfacesOfOneNameAreKeptApart() throws IOException {
    String two = PYRAMID.replace("</Surfaces>", "").strip() + PYRAMID.replace("<Surfaces>", "");
    assertThat(read(METRE + two).items())
        .extracting(Item::name)
        .containsExactly("Hill", "Hill (2)");
  }

  @Test
  void whatASurfaceWasMadeOfIsReadToo() throws IOException {
    Received r =
        read(
            METRE
                + PYRAMID.replace(
                    "<Definition",
                    "<SourceData><Breaklines><Breakline brkType=\"standard\"><PntList3D>1 2 3 4 5 6</PntList3D></Breakline></Breaklines>"
                        + "<Boundaries><Boundary bndType=\"outer\"><PntList2D>0 0 0 9 9 9 0 0</PntList2D></Boundary></Boundaries>"
                        + "<DataPoints><PntList3D>7 8 9</PntList3D></DataPoints></SourceData><Definition")
                + "<PlanFeatures><PlanFeature name=\"Edge\"><CoordGeom>"
                + "<IrregularLine><Start>1 2</Start><End>3 4</End><PntList3D>1 2 5 3 4 6</PntList3D></IrregularLine>"
                + "<Line><Start>1 2 3</Start><End>4 5 6</End></Line></CoordGeom></PlanFeature></PlanFeatures>");
    assertThat(r.items())
        .extracting(i -> i.kind() + " " + i.name())
        .contains(
            "string Hill breaklines", "string Hill boundary", "points Hill points", "string Edge");
    Shape.Lines edge =
        (Shape.Lines)
            r.items().stream().filter(i -> i.name().equals("Edge")).findFirst().get().shape();
    assertThat(edge.lines()).hasSize(2);
    assertThat(edge.lines().getFirst().xyz()).containsExactly(2, 1, 5, 4, 3, 6);
    assertThat(r.findings()).extracting(Finding::code).containsExactly("terrain.invisible");
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

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "<P id=\"19\">10 10 0</P> | <P id=\"19\">10 NaN 0</P> | NaN",
        "<P id=\"19\">10 10 0</P> | <P id=\"19\">10 10</P> | one is missing",
        "<P id=\"19\">10 10 0</P> | <P id=\"19\">10 10 0 4</P> | more than three",
        "<P id=\"19\">10 10 0</P> | <P id=\"18\">10 10 0</P> | stands twice",
        "<P id=\"19\">10 10 0</P> | <P>10 10 0</P> | no id",
        "<F>17 18 top</F> | <F>17 18 99</F> | point 99, which does not exist",
        "<F>17 18 top</F> | <F>17 18</F> | fewer than three",
        "<F>17 18 top</F> | <F>17 18 19 20 top</F> | more than four",
        "<P id=\"19\">10 10 0</P> | <P id=\"19\">10,5 10 0</P> | 10,5"
      })
  void aSurfaceThatCannotBeReadWholeIsLeftOutWithItsLine(String good, String bad, String said)
      throws IOException {
    Received r =
        read(
            METRE
                + PYRAMID
                    .replace(good.strip(), bad.strip())
                    .replace(
                        "</Surfaces>",
                        PYRAMID.replaceAll("(?s).*?<Surfaces>", "").replace("Hill", "Sound")));
    assertThat(r.items()).extracting(Item::name).containsExactly("Sound");
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(
            f ->
                assertThat(f.message())
                    .startsWith("Surface Hill is left out: line ")
                    .contains(said.strip()));
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
    assertThat(s.mesh().vertex(4).height()).isEqualTo(8);
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

  private static final String ROAD =
      """
      <Alignments><Alignment name="Road" length="250" staStart="1000">
        <CoordGeom>
          <Line><Start>0 0</Start><End pntRef="A"/></Line>
          <Curve rot="ccw" radius="100"><Start pntRef="A"/><Center>100 100</Center><End>100 200</End></Curve>
          <Line><Start>100 200</Start><End>150 200</End></Line>
        </CoordGeom>
        <StaEquation staInternal="1050" staBack="1050" staAhead="2000" staIncrement="increasing"/>
        <Profile name="p"><ProfAlign name="d"><PVI>1000 10</PVI><ParaCurve length="40">1100 12</ParaCurve>
          <UnsymParaCurve lengthIn="20" lengthOut="30">1170 11</UnsymParaCurve><CircCurve length="10" radius="900">1230 12</CircCurve><PVI>1300 11</PVI></ProfAlign>
          <ProfSurf name="ground"><PntList2D>1000 1 1100 2</PntList2D></ProfSurf></Profile>
      </Alignment></Alignments>
      """;
  private static final String POINTS =
      "<CgPoints name=\"axis\"><CgPoint name=\"A\" code=\"ax\">0 100 5</CgPoint><CgPoint name=\"B\" pntRef=\"A\"/></CgPoints>";

  @Test
  void linesAndCurvesFollowTheirPoints() throws IOException {
    Received r = read(METRE + ROAD + POINTS);
    Alignment a = alignment(r);
    assertThat(a.elements()).hasSize(3);
    PlanElement.Arc arc = (PlanElement.Arc) a.elements().get(1);
    assertThat(arc.radius()).isCloseTo(100, within(1e-12));
    assertThat(arc.length()).isCloseTo(50 * Math.PI, within(1e-9));
    assertThat(a.length()).isCloseTo(150 + 50 * Math.PI, within(1e-9));
    assertThat(a.largestGap()).isLessThan(1e-9);
    assertThat(a.startChainage()).isEqualTo(1000);
    assertThat(a.at(60).chainage()).isEqualTo(2010);
  }

  @Test
  void allKindsOfVerticalCurvesAreRead() throws IOException {
    Alignment a = alignment(read(METRE + ROAD + POINTS));
    assertThat(a.profile().orElseThrow().segments())
        .extracting(s -> s.getClass().getSimpleName())
        .containsExactly(
            "Grade", "Parabola", "Grade", "Parabola", "Parabola", "Grade", "Circle", "Grade");
    ProfileSegment.Parabola sym = (ProfileSegment.Parabola) a.profile().get().segments().get(1);
    assertThat(sym.startDistance()).isEqualTo(80);
    assertThat(a.at(0).level()).isEqualTo(10);
  }

  @Test
  void coordinatePointsBecomeAGroup() throws IOException {
    Received r = read(METRE + POINTS);
    Shape.Points g = (Shape.Points) r.items().getFirst().shape();
    assertThat(g.points()).extracting(NamedPoint::name).containsExactly("A", "B");
    assertThat(g.points().get(1).position()).isEqualTo(g.points().get(0).position());
    assertThat(g.points().get(0).code()).isEqualTo("ax");
  }

  @ParameterizedTest
  @CsvSource({
    "clothoid,CLOTHOID",
    "bloss,BLOSS",
    "cosine,COSINE",
    "sinusoid,SINE",
    "biquadratic,BIQUADRATIC",
    "weinerBogen,VIENNESE",
    "cubic,CUBIC",
    "japaneseCubic,CUBIC",
    "cubicParabola,CUBIC_PARABOLA",
    "biquadraticParabola,BIQUADRATIC_PARABOLA",
    "sineHalfWave,SINE_HALF_WAVE",
    "radioid,RADIOID"
  })
  void spiralsTakeTheirLaw(String type, SpiralLaw law) throws IOException {
    Alignment a = alignment(read(METRE + spiral(type)));
    PlanElement.Spiral s = (PlanElement.Spiral) a.elements().getFirst();
    assertThat(s.law()).isEqualTo(law);
    assertThat(s.startCurvature()).isZero();
    assertThat(s.endCurvature()).isCloseTo(-1 / 200.0, within(1e-15));
    assertThat(s.start().azimuthDegrees()).isCloseTo(90, within(1e-9));
  }

  private static String spiral(String type) {
    return "<Alignments><Alignment name=\"S\" staStart=\"0\"><CoordGeom><Spiral length=\"80\" radiusStart=\"INF\" radiusEnd=\"200\" rot=\"cw\" spiType=\""
        + type
        + "\"><Start>0 0</Start><PI>0 53.4</PI><End>-5.318 79.681</End></Spiral></CoordGeom></Alignment></Alignments>";
  }

  @Test
  void aSpiralTypeThatIsNotReadLeavesTheAlignmentOutAndSaysSo() throws IOException {
    Received r = read(METRE + spiral("corkscrew").replace("-5.318 79.681", "-9 70") + PYRAMID);
    assertThat(r.items()).hasSize(1);
    assertThat(r.findings())
        .anySatisfy(
            f -> {
              assertThat(f.code()).isEqualTo("alignment.unread");
              assertThat(f.isError()).isTrue();
              assertThat(f.message()).contains("corkscrew").contains("line ");
            });
  }

  @Test
  void endsThatDoNotFitAreMeasured() throws IOException {
    Received r = read(METRE + spiral("clothoid").replace("-5.318 79.681", "-5.418 79.681"));
    assertThat(r.findings())
        .anySatisfy(
            f -> {
              assertThat(f.code()).isEqualTo("alignment.end");
              assertThat(f.figure().orElseThrow().text()).startsWith("99.9").endsWith("mm");
            });
  }

  @Test
  void anAlignmentThatNamesAMissingPointIsLeftOut() throws IOException {
    Received r = read(METRE + ROAD);
    assertThat(r.findings())
        .anySatisfy(f -> assertThat(f.message()).contains("coordinate point A does not exist"));
    assertThat(r.items()).isEmpty();
  }

  @Test
  void anUnknownSpiralTakesTheLawThatHitsItsEnd() throws IOException {
    PlanElement.Spiral meant =
        new PlanElement.Spiral(
            new wellspan.core.align.PlanPoint(0, 0, 0), 80, 0, -1 / 200.0, SpiralLaw.BLOSS);
    String end = meant.end().north() + " " + meant.end().east();
    Received r =
        read(METRE + spiral("own").replace("-5.318 79.681", end).replace("0 53.4", "0 40"));
    assertThat(((PlanElement.Spiral) alignment(r).elements().getFirst()).law())
        .isEqualTo(SpiralLaw.BLOSS);
    assertThat(r.findings()).extracting(Finding::code).contains("alignment.spiral");
  }

  @Test
  void irregularLinesAndChainsAreElementsAndTheirLevelsAProfile() throws IOException {
    Received r =
        read(
            METRE
                + "<Alignments><Alignment name=\"S\" staStart=\"100\"><CoordGeom><IrregularLine><Start>0 0 5</Start><End>10 10 6</End><PntList3D>0 0 5 0 10 7 10 10 6</PntList3D></IrregularLine>"
                + "<Chain>A B</Chain></CoordGeom></Alignment></Alignments><CgPoints><CgPoint name=\"A\">10 10 6</CgPoint><CgPoint name=\"B\" pntRef=\"C\"/><CgPoint name=\"C\">20 10 8</CgPoint></CgPoints>");
    assertThat(r.hasErrors()).isFalse();
    Alignment a = alignment(r);
    assertThat(a.elements()).hasSize(2).allMatch(PlanElement.Irregular.class::isInstance);
    assertThat(a.length()).isEqualTo(30);
    assertThat(a.at(5).level()).isCloseTo(6, within(1e-9));
    assertThat(a.at(25).level()).isCloseTo(7, within(1e-9));
    assertThat(a.at(25).north()).isCloseTo(15, within(1e-9));
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

  @Test
  void facesOfFourPointsBeforeTheirPointsAndWithoutArea() throws IOException {
    Received r =
        read(
            METRE
                + "<Surfaces><Surface name=\"G\"><Definition surfType=\"grid\"><Faces><F>1 2 3 4</F><F>1 1 2</F></Faces>"
                + "<Pnts><P id=\"1\">0 0 1</P><P id=\"2\">0 10 1</P><P id=\"3\">10 10 1</P><P id=\"4\">10 0 1</P></Pnts></Definition></Surface></Surfaces>");
    assertThat(r.hasErrors()).isFalse();
    assertThat(surface(r).mesh().triangles()).containsExactly(0, 1, 2, 0, 2, 3);
    assertThat(r.findings())
        .extracting(Finding::code)
        .contains("terrain.quads", "terrain.degenerate");
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

  @Test
  void levelsInAUnitOfTheirOwn() throws IOException {
    Received r =
        read("<Units><Metric linearUnit=\"meter\" elevationUnit=\"foot\"/></Units>" + PYRAMID);
    assertThat(surface(r).mesh().level(4)).isCloseTo(8 * 0.3048, within(1e-12));
    assertThat(surface(r).mesh().east(1)).isEqualTo(10);
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
