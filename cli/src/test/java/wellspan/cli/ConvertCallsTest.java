package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Options of {@code convert}, alone and together, and calls that cannot be. */
class ConvertCallsTest extends CommandFixture {
  private Path design;

  @BeforeEach
  void write() throws IOException {
    design =
        Files.writeString(
            dir.resolve("design.xml"),
            """
            <LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2" version="1.2">
            <Units><Metric linearUnit="meter"/></Units><CoordinateSystem epsgCode="25832"/>
            <Alignments><Alignment name="Lane" length="100" staStart="500"><CoordGeom>
            <Line><Start>5700000 400000</Start><End>5700000 400100</End></Line></CoordGeom>
            <CrossSects>
            <CrossSect sta="500"><DesignCrossSectSurf closedArea="true" name="Base"><CrossSectPnt>-3 20</CrossSectPnt><CrossSectPnt>3 20</CrossSectPnt><CrossSectPnt>3 19.8</CrossSectPnt><CrossSectPnt>-3 19.8</CrossSectPnt></DesignCrossSectSurf></CrossSect>
            <CrossSect sta="600"><DesignCrossSectSurf closedArea="true" name="Base"><CrossSectPnt>-3 20</CrossSectPnt><CrossSectPnt>3 20</CrossSectPnt><CrossSectPnt>3 19.8</CrossSectPnt><CrossSectPnt>-3 19.8</CrossSectPnt></DesignCrossSectSurf></CrossSect>
            </CrossSects></Alignment></Alignments>
            <PlanFeatures><PlanFeature name="Edge"><CoordGeom><IrregularLine><Start>5700003 400000 20</Start><End>5700003 400100 20</End><PntList3D>5700003 400000 20 5700003 400050 20.5 5700003 400100 20</PntList3D></IrregularLine></CoordGeom></PlanFeature></PlanFeatures>
            <Surfaces><Surface name="Hill"><Definition surfType="TIN"><Pnts><P id="1">5700000 400000 10</P><P id="2">5700000 400100 11</P><P id="3">5700100 400100 12</P><P id="4">5700100 400000 11</P></Pnts><Faces><F>1 2 3</F><F>1 3 4</F></Faces></Definition></Surface></Surfaces>
            </LandXML>
            """);
  }

  private int convert(String out, String... options) {
    List<String> all = new ArrayList<>(List.of("convert", design.toString()));
    all.add(dir.resolve(out).toString());
    all.addAll(Arrays.asList(options));
    return run(all.toArray(String[]::new));
  }

  private List<JsonNode> items(String file) throws IOException {
    assertThat(run("inspect", dir.resolve(file).toString(), "--json"))
        .as(err.toString())
        .isLessThan(2);
    List<JsonNode> out = new ArrayList<>();
    json().get(0).path("items").forEach(out::add);
    return out;
  }

  private List<String> names(String file) throws IOException {
    return items(file).stream().map(i -> i.path("name").asText()).toList();
  }

  private void refused(String out, int code) {
    assertThat(code).as(err.toString()).isEqualTo(2);
    assertThat(err.toString().strip().lines()).as(err.toString()).hasSize(1);
    assertThat(dir.resolve(out)).doesNotExist();
  }

  @ParameterizedTest
  @ValueSource(strings = {"a.ifc", "a.ifczip", "a.xml", "a.dxf", "a.shp", "A.IFC"})
  void theEndingChoosesTheFormat(String out) throws IOException {
    assertThat(convert(out, "--only", "Lane")).as(err.toString()).isZero();
    assertThat(names(out)).containsExactly("Lane");
  }

  @Test
  void aShapefileHoldsOneKindOfLines() {
    assertThat(convert("all.shp")).isEqualTo(2);
    assertThat(err.toString()).contains("name one of them with --only");
  }

  @ParameterizedTest
  @ValueSource(strings = {"a.txt2", "a", "a.docx", "a.ifcx"})
  void anEndingOfNoFormatIsRefusedWithThoseThatThereAre(String out) {
    refused(out, convert(out));
    assertThat(err.toString()).contains(".ifc");
  }

  @Test
  void namesAndKindsChooseWhatLeaves() throws IOException {
    assertThat(convert("one.ifc", "--only", "Hill")).isZero();
    assertThat(names("one.ifc")).containsExactly("Hill");
    assertThat(convert("two.ifc", "--only", "Hill", "--only", "Lane")).isZero();
    assertThat(names("two.ifc")).containsExactlyInAnyOrder("Hill", "Lane");
    assertThat(convert("kind.ifc", "--kind", "course")).isZero();
    assertThat(names("kind.ifc")).containsExactly("Base");
    assertThat(convert("both.ifc", "--kind", "course", "--kind", "alignment")).isZero();
    assertThat(names("both.ifc")).containsExactlyInAnyOrder("Base", "Lane");
  }

  @Test
  void whatIsNotFoundIsNamedAndNothingIsWritten() {
    refused("no.ifc", convert("no.ifc", "--only", "Hil"));
    assertThat(err.toString()).contains("Hil");
    refused("no.ifc", convert("no.ifc", "--kind", "bicycle"));
    assertThat(err.toString()).contains("bicycle");
    refused("no.ifc", convert("no.ifc", "--only", "Hill", "--kind", "course"));
  }

  @ParameterizedTest
  @CsvSource({"m, 1", "mm, 1000", "ft, 3.280839895013123"})
  void unitsScaleNumbersAndNotPlaces(String unit, double factor) throws IOException {
    assertThat(convert("u.ifc", "--only", "Hill", "--unit", unit)).as(err.toString()).isZero();
    JsonNode hill = items("u.ifc").getFirst();
    assertThat(hill.path("bounds").path("min").get(0).asDouble())
        .isBetween(399_999.999, 400_000.001);
    assertThat(Files.readString(dir.resolve("u.ifc")).length()).isPositive();
    assertThat(hill.path("area").asDouble()).isBetween(9_999.9, 10_000.1);
    assertThat(factor).isPositive();
  }

  @Test
  void aBasePointAndATurnLeaveEverythingWhereItIs() throws IOException {
    assertThat(convert("b.ifc", "--base", "400050,5700050,10", "--rotate", "33")).isZero();
    JsonNode hill =
        items("b.ifc").stream()
            .filter(i -> i.path("name").asText().equals("Hill"))
            .findFirst()
            .orElseThrow();
    assertThat(hill.path("bounds").path("max").get(1).asDouble())
        .isBetween(5_700_099.999, 5_700_100.001);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "--unit | furlong",
        "--schema | IFC9",
        "--crs | EPSG:99999",
        "--crs | nonsense",
        "--base | 1,2",
        "--base | a,b,c",
        "--rotate | north",
        "--tolerance | -1",
        "--tolerance | 0",
        "--tolerance | fine",
        "--thin | 1",
        "--thin | -1,1",
        "--from | here",
        "--clip | 1,2,3,4",
        "--clip | 1,2,3,4,5",
        "--split | never",
        "--split | -5",
        "--zero | elsewhere",
        "--rulebook | missing.json"
      })
  void aValueThatCannotBeIsOneSentence(String option, String value) {
    refused("no.ifc", convert("no.ifc", option, value));
    assertThat(err.toString()).doesNotContain("Exception");
  }

  @Test
  void anUnknownOptionIsNamed() {
    refused("no.ifc", convert("no.ifc", "--colour", "red"));
    assertThat(err.toString()).contains("--colour");
  }

  @Test
  void aRangeOfChainageIsCutFromWhatFollowsTheLine() throws IOException {
    assertThat(convert("r.ifc", "--kind", "course", "--from", "520", "--to", "570"))
        .as(err.toString())
        .isZero();
    assertThat(items("r.ifc").getFirst().path("volume").asDouble()).isBetween(59.99, 60.01);
    refused("no.ifc", convert("no.ifc", "--kind", "course", "--from", "900", "--to", "950"));
    refused("no.ifc", convert("no.ifc", "--kind", "course", "--from", "570", "--to", "520"));
  }

  @Test
  void partsOfASplitAreTogetherTheWhole() throws IOException {
    assertThat(convert("s.ifc", "--kind", "course", "--split", "25")).as(err.toString()).isZero();
    double sum = 0;
    int files = 0;
    try (var all = Files.newDirectoryStream(dir, "s-*.ifc")) {
      for (Path p : all) {
        files++;
        sum += items(p.getFileName().toString()).getFirst().path("volume").asDouble();
      }
    }
    assertThat(files).isEqualTo(4);
    assertThat(sum).isBetween(119.99, 120.01);
  }

  @Test
  void aClipKeepsTheInsideEitherWayRound() throws IOException {
    String left = "400020,5700010,400060,5700010,400060,5700050,400020,5700050";
    String right = "400020,5700050,400060,5700050,400060,5700010,400020,5700010";
    for (String ring : List.of(left, right)) {
      assertThat(convert("c.ifc", "--only", "Hill", "--clip", ring)).as(err.toString()).isZero();
      assertThat(items("c.ifc").getFirst().path("area").asDouble()).isBetween(1599.99, 1600.01);
    }
    refused("no.ifc", convert("no.ifc", "--only", "Hill", "--clip", "0,0,1,0,1,1"));
  }

  @Test
  void aFileThatIsThereIsKeptWhenACallIsRefused() throws IOException {
    Path f = Files.writeString(dir.resolve("kept.ifc"), "as it was");
    assertThat(convert("kept.ifc", "--only", "Nothing")).isEqualTo(2);
    assertThat(Files.readString(f)).isEqualTo("as it was");
  }

  @Test
  void relationsAreToldByInspect() throws IOException {
    assertThat(convert("rel.ifc")).isZero();
    JsonNode base =
        items("rel.ifc").stream()
            .filter(i -> i.path("name").asText().equals("Base"))
            .findFirst()
            .orElseThrow();
    assertThat(base.path("relations").get(0).path("type").asText()).isEqualTo("follows");
    assertThat(base.path("relations").get(0).path("to").asText()).isEqualTo("Lane");
  }
}
