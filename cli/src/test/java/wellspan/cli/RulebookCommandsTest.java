package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Rulebooks from the command line: what files say by them, and working on them. */
class RulebookCommandsTest {
  private static final String AREAS =
      """
      <DesignCrossSectSurf name="Wearing" material="asphalt" closedArea="true"><CrossSectPnt>-3 20</CrossSectPnt><CrossSectPnt>3 20</CrossSectPnt><CrossSectPnt>3 19.96</CrossSectPnt><CrossSectPnt>-3 19.96</CrossSectPnt></DesignCrossSectSurf>
      <DesignCrossSectSurf name="Kerb" material="concrete" closedArea="true"><CrossSectPnt>3 20.1</CrossSectPnt><CrossSectPnt>3.15 20.1</CrossSectPnt><CrossSectPnt>3.15 19.8</CrossSectPnt><CrossSectPnt>3 19.8</CrossSectPnt></DesignCrossSectSurf>
      """;
  private static final String BOOK =
      """
      {"wellspan-rulebook":1,"name":"Client","version":"1",
       "classes":[
         {"name":"kerbs","when":[{"fact":"kind","is":["kerb"]}],
          "as":{"IFC4X3":{"class":"IfcKerb","predefinedType":"drop kerb"},
                "IFC4":{"class":"IfcMember","predefinedType":"MEMBER"},
                "IFC2X3":{"class":"IfcMember"}}},
         {"name":"lines stay","when":[{"fact":"kind","is":["alignment"]}],"heldBack":true}],
       "properties":[
         {"when":[{"fact":"kind","is":["course"]}],"set":"Client_Road","property":"Thickness","type":"IfcPositiveLengthMeasure","value":[{"fact":"thickness"}]},
         {"set":"Client_Road","property":"Title","separator":" ","value":[{"fact":"road"},{"fact":"thickness","unit":"mm","decimals":0},{"text":"mm"}],"mayBeMissing":true},
         {"set":"Client_Road","property":"Owner","value":[{"attribute":"Owner"}],"when":[{"fact":"kind","is":["kerb"]}]}],
       "classification":[{"system":"Works","codes":[{"code":"3","title":"Pavement"},{"code":"3.1","title":"Wearing course","parent":"3"}],
         "rules":[{"when":[{"fact":"kind","is":["course"]}],"value":[{"text":"3.1"}]}],
         "properties":[{"set":"Client_Code","property":"Code","says":["code","title"],"separator":" – "}]}],
       "withoutSets":["Wellspan_KnownFacts"]}
      """;

  @TempDir Path dir;
  private final StringWriter out = new StringWriter();
  private final StringWriter err = new StringWriter();
  private Path road;
  private Path book;

  private int run(Object... args) {
    out.getBuffer().setLength(0);
    err.getBuffer().setLength(0);
    return Main.run(
        Stream.of(args).map(Object::toString).toArray(String[]::new),
        new PrintWriter(out, true),
        new PrintWriter(err, true));
  }

  private JsonNode described(String name) throws IOException {
    for (JsonNode n : new ObjectMapper().readTree(out.toString())) {
      if (n.path("name").asText().equals(name)) {
        return n;
      }
    }
    throw new AssertionError(name + " is not there: " + out);
  }

  @BeforeEach
  void write() throws IOException {
    road =
        Files.writeString(
            dir.resolve("road.xml"),
            "<LandXML xmlns=\"http://www.landxml.org/schema/LandXML-1.2\" version=\"1.2\"><Units><Metric linearUnit=\"meter\"/></Units><CoordinateSystem epsgCode=\"25832\"/>"
                + "<Alignments><Alignment name=\"Lane\" length=\"40\" staStart=\"0\"><CoordGeom><Line><Start>5700000 400000</Start><End>5700040 400000</End></Line></CoordGeom><CrossSects>"
                + ("<CrossSect sta=\"0\">" + AREAS + "</CrossSect>")
                + ("<CrossSect sta=\"40\">" + AREAS + "</CrossSect>")
                + "</CrossSects></Alignment></Alignments></LandXML>");
    book = Files.writeString(dir.resolve("book.json"), BOOK);
  }

  @ParameterizedTest
  @CsvSource({"IFC4X3, IfcKerb, drop kerb", "IFC4, IfcMember, MEMBER", "IFC2X3, IfcMember, "})
  void whatTheRulesSayIsInTheFileAndProven(String schema, String kerb, String type)
      throws IOException {
    Path ifc = dir.resolve("out.ifc");
    assertThat(run("convert", road, ifc, "--schema", schema, "--rulebook", book))
        .as(err.toString())
        .isZero();
    assertThat(err.toString()).contains("Kerb: Client_Road.Owner: no Owner.");
    assertThat(run("describe", ifc, "--json")).isZero();
    JsonNode wearing = described("Wearing");
    JsonNode client = wearing.path("properties").path("Client_Road");
    assertThat(client.path("Thickness").asDouble()).isEqualTo(0.04);
    assertThat(client.path("Title").asText()).isEqualTo("Lane 40 mm");
    assertThat(wearing.path("properties").path("Client_Code").path("Code").asText())
        .isEqualTo("3.1 – Wearing course");
    JsonNode code = wearing.path("classification").get(0);
    assertThat(code.path("system").asText()).isEqualTo("Works");
    assertThat(code.path("code").asText()).isEqualTo("3.1");
    assertThat(code.path("title").asText()).isEqualTo("Wearing course");
    assertThat(wearing.path("properties").has("Wellspan_KnownFacts")).isFalse();
    assertThat(described("Kerb").path("class").asText()).isEqualTo(kerb);
    assertThat(described("Kerb").path("predefinedType").asText(""))
        .isEqualTo(type == null ? "" : type);
    assertThat(out.toString()).doesNotContain("\"name\" : \"Lane\"");
  }

  @ParameterizedTest
  @ValueSource(strings = {"IFC4X3", "IFC4", "IFC2X3"})
  void anAlteredCodeIsCaught(String schema) throws IOException {
    Path ifc = dir.resolve("out.ifc");
    run("convert", road, ifc, "--schema", schema, "--rulebook", book);
    String text = Files.readString(ifc, StandardCharsets.ISO_8859_1);
    Path altered = dir.resolve("altered.ifc");
    Files.writeString(altered, text.replace("'3.1','Wearing course'", "'3.2','Wearing course'"));
    assertThat(run("prove", ifc, ifc)).as(err.toString()).isZero();
    assertThat(run("prove", ifc, altered, "--json")).isEqualTo(1);
    assertThat(out.toString()).contains("\"classification\"").contains("3.2");
    Files.writeString(
        altered, text.replaceFirst("(?m)^#\\d+=IFCRELASSOCIATESCLASSIFICATION.*$", ""));
    assertThat(run("prove", ifc, altered)).isEqualTo(1);
  }

  @Test
  void describeTellsWhatStaysAndWhatIsMissing() throws IOException {
    assertThat(run("describe", road, "--rulebook", book, "--json")).isZero();
    assertThat(described("Lane").path("heldBack").asBoolean()).isTrue();
    assertThat(described("Wearing").path("heldBack").asBoolean()).isFalse();
    assertThat(described("Kerb").path("findings").toString()).contains("no Owner");
  }

  @Test
  void aTableIsWorkedOnAndTakenBack() throws IOException {
    Path table = dir.resolve("rules.csv");
    assertThat(run("rulebook", book, "--table", table)).isZero();
    Path same = dir.resolve("same.json");
    assertThat(run("rulebook", book, "--take", table, "--to", same)).as(err.toString()).isZero();
    assertThat(run("rulebook", book, "--compare", same)).as(out.toString()).isZero();
    Files.writeString(
        table, Files.readString(table).replace("Client_Road,Title", "Client_Road,Name"));
    Path other = dir.resolve("other.json");
    assertThat(run("rulebook", book, "--take", table, "--to", other, "--copy-as", "Own")).isZero();
    assertThat(err.toString())
        .contains("new      Client_Road.Name")
        .contains("gone     Client_Road.Title");
    assertThat(run("rulebook", book, "--compare", other)).isEqualTo(1);
    assertThat(run("rulebook", other)).isZero();
    assertThat(out.toString()).contains("Own, version 1, copied from Client");
  }

  @Test
  void codesComeFromAFile() throws IOException {
    Path codes = Files.writeString(dir.resolve("codes.csv"), "code;title\n3.1;Deckschicht\n");
    Path to = dir.resolve("to.json");
    assertThat(run("rulebook", book, "--codes", "Works=" + codes, "--to", to)).isZero();
    assertThat(run("describe", road, "--rulebook", to, "--json")).isZero();
    assertThat(out.toString()).contains("3.1 – Deckschicht");
  }

  @Test
  void aBrokenRulebookIsRefusedInOneLine() throws IOException {
    Path broken =
        Files.writeString(
            dir.resolve("broken.json"), BOOK.replace("\"fact\":\"road\"", "\"fact\":\"roade\""));
    Path ifc = dir.resolve("out.ifc");
    assertThat(run("convert", road, ifc, "--rulebook", broken)).isEqualTo(2);
    assertThat(err.toString().strip()).startsWith("broken.json").contains("roade").hasLineCount(1);
    assertThat(ifc).doesNotExist();
    assertThat(run("convert", road, ifc, "--rulebook", dir.resolve("none.json"))).isEqualTo(2);
  }
}
