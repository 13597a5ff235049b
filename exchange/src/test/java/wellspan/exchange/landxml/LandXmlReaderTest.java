package wellspan.exchange.landxml;

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

  private static Item.TerrainSurface surface(Received r) {
    return (Item.TerrainSurface) r.items().getFirst();
  }

  private static Alignment alignment(Received r) {
    return ((Item.AlignmentLine) r.items().getFirst()).alignment();
  }

  @Test
  void pointsComeNorthingFirstWithAnyIds() throws IOException {
    Item.TerrainSurface s = surface(read(METRE + PYRAMID));
    assertThat(s.name()).isEqualTo("Hill");
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
    Item.StringLine edge =
        (Item.StringLine) r.items().stream().filter(i -> i.name().equals("Edge")).findFirst().get();
    assertThat(edge.lines()).hasSize(2);
    assertThat(edge.lines().getFirst().xyz()).containsExactly(2, 1, 5, 4, 3, 6);
    assertThat(r.findings()).extracting(Finding::code).containsExactly("terrain.invisible");
  }

  @Test
  void aListOfPointsThatDoesNotComeOutEvenNamesItsLine() {
    assertThatThrownBy(
            () ->
                read(
                    METRE
                        + PYRAMID.replace(
                            "<Definition",
                            "<SourceData><Breaklines><Breakline><PntList3D>1 2 3 4</PntList3D></Breakline></Breaklines></SourceData><Definition")))
        .hasMessageContaining("line ")
        .hasMessageContaining("no whole number of points");
  }

  @Test
  void whatIsNotReadIsCountedAndNamed() throws IOException {
    Received r =
        read(
            METRE
                + PYRAMID.replace(
                    "<Definition",
                    "<SourceData><Contours><Contour/><Contour/></Contours></SourceData><Definition")
                + "<PipeNetworks/><Parcels/>");
    assertThat(r.counts())
        .containsEntry("Contour", 2)
        .containsEntry("PipeNetworks", 1)
        .containsEntry("Parcels", 1)
        .containsEntry("Surface", 1);
    assertThat(r.findings())
        .filteredOn(f -> f.code().equals("landxml.unread"))
        .hasSize(3)
        .anySatisfy(f -> assertThat(f.message()).startsWith("2 × <Contour>"));
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
        "<F>17 18 top</F> | <F>17 18 19 20</F> | more than three",
        "<F>17 18 top</F> | <F>17 18 top</G> | XML is broken"
      })
  void faultsNameTheLine(String good, String bad, String said) throws IOException {
    Path f = file(METRE + PYRAMID.replace(good.strip(), bad.strip()));
    assertThatThrownBy(() -> LandXmlReader.read(f, Progress.NONE))
        .isInstanceOf(ReadException.class)
        .hasMessageStartingWith("design.xml, line ")
        .hasMessageContaining(said.strip());
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
    Item.TerrainSurface s =
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
    Item.PointGroup g = (Item.PointGroup) r.items().getFirst();
    assertThat(g.points()).extracting(Item.NamedPoint::name).containsExactly("A", "B");
    assertThat(g.points().get(1).position()).isEqualTo(g.points().get(0).position());
    assertThat(g.points().get(0).code()).isEqualTo("ax");
  }

  @ParameterizedTest
  @CsvSource({"clothoid,CLOTHOID", "bloss,BLOSS", "cosine,COSINE", "sinusoid,SINE"})
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
    Received r = read(METRE + spiral("weinerBogen") + PYRAMID);
    assertThat(r.items()).hasSize(1);
    assertThat(r.findings())
        .anySatisfy(
            f -> {
              assertThat(f.code()).isEqualTo("alignment.unread");
              assertThat(f.isError()).isTrue();
              assertThat(f.message()).contains("weinerBogen").contains("line ");
            });
  }

  @Test
  void endsThatDoNotFitAreMeasured() throws IOException {
    Received r = read(METRE + spiral("clothoid").replace("-5.318 79.681", "-5.418 79.681"));
    assertThat(r.findings())
        .anySatisfy(
            f -> {
              assertThat(f.code()).isEqualTo("alignment.end");
              assertThat(f.figure()).startsWith("99.9").endsWith("mm");
            });
  }

  @Test
  void anAlignmentThatNamesAMissingPointIsLeftOut() throws IOException {
    Received r = read(METRE + ROAD);
    assertThat(r.findings())
        .anySatisfy(f -> assertThat(f.message()).contains("coordinate point A does not exist"));
    assertThat(r.items()).isEmpty();
  }
}
