package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Sections and networks without a job: to solids, to parts of them, to what they say. */
class RoadCommandsTest {
  @TempDir Path dir;
  private final StringWriter out = new StringWriter();
  private final StringWriter err = new StringWriter();
  private Path road;
  private Path network;

  private int run(Object... args) {
    out.getBuffer().setLength(0);
    err.getBuffer().setLength(0);
    return Main.run(
        Stream.of(args).map(Object::toString).toArray(String[]::new),
        new PrintWriter(out, true),
        new PrintWriter(err, true));
  }

  private JsonNode json() throws IOException {
    return new ObjectMapper().readTree(out.toString());
  }

  @BeforeEach
  void write() throws IOException {
    String head =
        "<LandXML xmlns=\"http://www.landxml.org/schema/LandXML-1.2\" version=\"1.2\"><Units><Metric linearUnit=\"meter\" diameterUnit=\"millimeter\" widthUnit=\"millimeter\" heightUnit=\"millimeter\"/></Units><CoordinateSystem epsgCode=\"25832\"/>";
    StringBuilder s = new StringBuilder(head);
    s.append(
        "<Alignments><Alignment name=\"Lane\" length=\"100\" staStart=\"1000\"><CoordGeom><Curve rot=\"ccw\"><Start>5700000 400000</Start><Center>5700080 400000</Center><End>5700080 400080</End></Curve></CoordGeom><CrossSects>");
    for (int sta = 1000; sta <= 1120; sta += 20) {
      s.append(
          "<CrossSect sta=\""
              + sta
              + "\"><DesignCrossSectSurf name=\"Wearing\" material=\"asphalt\" closedArea=\"true\"><CrossSectPnt>-3 20</CrossSectPnt><CrossSectPnt>3 20</CrossSectPnt><CrossSectPnt>3 19.96</CrossSectPnt><CrossSectPnt>-3 19.96</CrossSectPnt></DesignCrossSectSurf></CrossSect>");
    }
    s.append("</CrossSects></Alignment></Alignments></LandXML>");
    road = Files.writeString(dir.resolve("road.xml"), s);
    network =
        Files.writeString(
            dir.resolve("net.xml"),
            head
                + "<PipeNetworks><PipeNetwork name=\"Storm\" pipeNetType=\"storm\"><Structs>"
                + "<Struct name=\"A\" elevRim=\"20\" elevSump=\"17\"><Center>5700000 400000</Center><CircStruct diameter=\"1000\" thickness=\"100\"/><Invert elev=\"17.2\" flowDir=\"out\" refPipe=\"p\"/></Struct>"
                + "<Struct name=\"B\" elevRim=\"20\" elevSump=\"16.5\"><Center>5700000 400030</Center><CircStruct diameter=\"1000\" thickness=\"100\"/><Invert elev=\"16.9\" flowDir=\"in\" refPipe=\"p\"/></Struct>"
                + "</Structs><Pipes><Pipe name=\"p\" refStart=\"A\" refEnd=\"B\"><CircPipe diameter=\"300\" thickness=\"40\" material=\"concrete\"/></Pipe></Pipes></PipeNetwork></PipeNetworks></LandXML>");
  }

  @ParameterizedTest
  @ValueSource(strings = {"IFC4X3", "IFC4", "IFC2X3"})
  void sectionsAndPipesLeaveAsClosedSolids(String schema) throws IOException {
    Path ifc = dir.resolve("out.ifc");
    assertThat(run("convert", road, network, ifc, "--schema", schema)).as(err.toString()).isZero();
    assertThat(run("inspect", ifc, "--json")).isZero();
    JsonNode items = json().get(0).path("items");
    double exact = 6 * 0.04 * 120;
    for (JsonNode i : items) {
      if (i.path("name").asText().equals("Wearing")) {
        assertThat(i.path("closed").asBoolean()).isTrue();
        assertThat(i.path("volume").asDouble()).isBetween(exact * 0.999, exact * 1.001);
      }
    }
    assertThat(items.findValuesAsText("name")).contains("Wearing", "A", "B", "p");
    assertThat(run("describe", ifc, "--json")).isZero();
    JsonNode pipe = named(json(), "p");
    assertThat(pipe.path("predefinedType").asText()).isEqualTo("RIGIDSEGMENT");
    assertThat(pipe.path("groups").get(0).asText()).isEqualTo("Storm");
    assertThat(pipe.path("material").asText()).isEqualTo("concrete");
    assertThat(pipe.path("properties").path("Wellspan_Pipe").path("StartInvert").asDouble())
        .isEqualTo(17.2);
  }

  private static JsonNode named(JsonNode all, String name) {
    for (JsonNode n : all) {
      if (n.path("name").asText().equals(name)) {
        return n;
      }
    }
    throw new AssertionError("There is no " + name + ".");
  }

  @Test
  void aFinerToleranceMakesMoreTriangles() throws IOException {
    Path coarse = dir.resolve("coarse.ifc");
    Path fine = dir.resolve("fine.ifc");
    run("convert", road, coarse, "--kind", "course", "--tolerance", 50);
    run("convert", road, fine, "--kind", "course", "--tolerance", 1);
    run("inspect", coarse, "--json");
    int few = json().get(0).path("items").get(0).path("triangles").asInt();
    run("inspect", fine, "--json");
    assertThat(json().get(0).path("items").get(0).path("triangles").asInt()).isGreaterThan(3 * few);
  }

  @Test
  void partsByChainageAndThinnedLinesLeave() throws IOException {
    Path part = dir.resolve("part.ifc");
    assertThat(run("convert", road, part, "--kind", "course", "--from", 1010, "--to", 1050))
        .isZero();
    run("describe", part, "--json");
    JsonNode facts = named(json(), "Wearing").path("properties").path("Wellspan_RoadPart");
    assertThat(facts.path("StartChainage").asDouble()).isEqualTo(1010);
    assertThat(facts.path("Length").asDouble()).isEqualTo(40);
    Path shp = dir.resolve("lane.shp");
    assertThat(run("convert", road, shp, "--only", "Lane", "--thin", "0.1,0.05"))
        .as(err.toString())
        .isZero();
    assertThat(err.toString()).contains("vertices stay");
    for (String ending : List.of("shp", "shx", "dbf", "prj", "cpg")) {
      assertThat(dir.resolve("lane." + ending)).exists();
    }
    assertThat(run("convert", road, dir.resolve("s.ifc"), "--split", 50)).isZero();
    assertThat(dir.resolve("s-1+000.ifc")).exists();
    assertThat(dir.resolve("s-1+100.ifc")).exists();
  }

  @Test
  void lengthsAndAreasAreInPlan() throws IOException {
    assertThat(run("inspect", network, "--json")).isZero();
    JsonNode pipe = named(json().get(0).path("items"), "p");
    assertThat(pipe.path("length").asDouble()).isEqualTo(30);
    assertThat(run("inspect", road, "--json")).isZero();
    JsonNode course = named(json().get(0).path("items"), "Wearing");
    assertThat(course.path("length").asDouble()).isEqualTo(120);
    assertThat(course.path("area").asDouble()).isBetween(719.0, 720.5);
    assertThat(course.path("surfaceArea").asDouble()).isGreaterThan(1440);
  }

  @Test
  void whatAFormatHasNoRoomForIsNamed() throws IOException {
    Path ifc = dir.resolve("bodies.ifc");
    assertThat(run("convert", road, ifc)).isZero();
    assertThat(run("convert", ifc, dir.resolve("o.xml"))).isZero();
    assertThat(err.toString())
        .contains(
            "Wearing stays here: LandXML has surfaces, cross sections and pipe networks, and no other bodies.");
  }

  /** A design that leaves as LandXML is the design that came. */
  @Test
  void sectionsAndNetworksLeaveAsSuch() throws IOException {
    Path xml = dir.resolve("both.xml");
    assertThat(run("convert", road, network, xml, "--only", "Wearing", "--only", "p")).isZero();
    assertThat(out.toString()).contains("proven. 2 of 2");
    assertThat(run("inspect", xml, "--json")).isZero();
    JsonNode items = json().get(0).path("items");
    assertThat(named(items, "Wearing").path("volume").asDouble()).isBetween(28.79, 28.81);
    assertThat(named(items, "Wearing").path("kind").asText()).isEqualTo("course");
    assertThat(named(items, "p").path("length").asDouble()).isEqualTo(30);
  }

  @Test
  void whatIsNotFoundWritesNothing() {
    Path ifc = dir.resolve("none.ifc");
    assertThat(run("convert", road, ifc, "--only", "Nope")).isEqualTo(2);
    assertThat(err.toString()).contains("Nope");
    assertThat(run("convert", road, ifc, "--from", 5000)).isEqualTo(2);
    assertThat(run("convert", road, ifc, "--thin", "1")).isEqualTo(2);
    assertThat(run("convert", road, ifc, "--clip", "1,2,3,4")).isEqualTo(2);
    assertThat(ifc).doesNotExist();
  }

  @Test
  void requirementsAreChecked() throws IOException {
    Path ifc = dir.resolve("out.ifczip");
    assertThat(run("convert", road, ifc)).as(err.toString()).isZero();
    Path ids =
        Files.writeString(
            dir.resolve("r.ids"),
            "<ids xmlns=\"http://standards.buildingsmart.org/IDS\"><info><title>T</title></info><specifications><specification name=\"s\" ifcVersion=\"IFC4X3_ADD2\"><applicability minOccurs=\"1\" maxOccurs=\"unbounded\"><entity><name><simpleValue>IFCCOURSE</simpleValue></name></entity></applicability><requirements><material><value><simpleValue>gold</simpleValue></value></material></requirements></specification></specifications></ids>");
    Path bcf = dir.resolve("r.bcf");
    Path html = dir.resolve("r.html");
    assertThat(run("check", ifc, "--ids", ids, "--json", "--bcf", bcf, "--html", html))
        .isEqualTo(1);
    JsonNode s = json().path("specifications").get(0);
    assertThat(s.path("failed").asInt()).isEqualTo(1);
    String id = s.path("failures").get(0).path("id").asText();
    assertThat(Files.readString(html)).contains(id).doesNotContain("http");
    assertThat(bcf).isNotEmptyFile();
    Files.writeString(ids, "<ids");
    assertThat(run("check", ifc, "--ids", ids)).isEqualTo(2);
    assertThat(err.toString().strip()).startsWith("r.ids: line 1").hasLineCount(1);
  }

  @Test
  void tablesAreWritten() throws IOException {
    Path csv = dir.resolve("t.csv");
    assertThat(run("describe", network, "--table", csv)).isZero();
    assertThat(Files.readString(csv)).contains("Wellspan_Pipe.Slope").contains("IfcPipeSegment");
    Path xlsx = dir.resolve("t.xlsx");
    assertThat(run("describe", network, "--table", xlsx)).isZero();
    assertThat(xlsx).isNotEmptyFile();
    assertThat(run("describe", network, "--table", dir.resolve("t.txt"))).isEqualTo(2);
  }
}
