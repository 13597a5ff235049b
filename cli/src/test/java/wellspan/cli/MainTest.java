package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.progress.Progress;
import wellspan.exchange.intake.SourceIntake;

class MainTest extends CommandFixture {
  /** Made by hand: five points, four faces, ids from 17, US survey feet. */
  private static final String FEET =
      """
      <LandXML version="1.2"><Units><Imperial linearUnit="USSurveyFoot"/></Units>
      <Surfaces><Surface name="Knoll"><Definition surfType="TIN">
      <Pnts><P id="17">21440000 1351700 10</P><P id="18">21440000 1351800 10</P><P id="19">21440100 1351800 10</P><P id="20">21440100 1351700 10</P><P id="21">21440050 1351750 35</P></Pnts>
      <Faces><F>17 18 21</F><F>18 19 21</F><F>19 20 21</F><F>20 17 21</F></Faces>
      </Definition></Surface></Surfaces></LandXML>
      """;

  private String path(String name) {
    return dir.resolve(name).toString();
  }

  @Test
  void aHandMadeFileInFeetIsConvertedAndProven() throws IOException {
    Files.writeString(dir.resolve("in.xml"), FEET);
    assertThat(run("convert", path("in.xml"), path("out.ifc"), "--crs", "EPSG:25832", "--json"))
        .as(err.toString())
        .isZero();
    assertThat(json().path("proof").path("pass").asBoolean()).isTrue();
    assertThat(json().path("proof").path("maxDeviation").asDouble()).isLessThan(1e-6);
    assertThat(run("inspect", path("out.ifc"), "--json")).isZero();
    JsonNode item = json().get(0).path("items").get(0);
    assertThat(item.path("name").asText()).isEqualTo("Knoll");
    assertThat(item.path("class").asText()).isEqualTo("IfcGeographicElement");
    assertThat(item.path("triangles").asInt()).isEqualTo(4);
    assertThat(item.path("bounds").path("max").get(0).asDouble())
        .isCloseTo(1_351_800 * 1200.0 / 3937, within(1e-6));
    assertThat(item.path("bounds").path("max").get(2).asDouble())
        .isCloseTo(35 * 1200.0 / 3937, within(1e-6));
    assertThat(item.path("properties").path("Wellspan_KnownFacts").path("SourceFile").asText())
        .isEqualTo("in.xml");
  }

  @Test
  void convertTakesBaseRotationAndUnit() throws IOException {
    Files.writeString(dir.resolve("in.xml"), FEET);
    assertThat(
            run(
                "convert",
                path("in.xml"),
                path("out.ifc"),
                "--crs",
                "25832",
                "--base",
                "412000,6534500,5",
                "--rotate",
                "21.5",
                "--unit",
                "mm",
                "--heights",
                "NN2000"))
        .as(err.toString())
        .isZero();
    assertThat(out.toString()).contains("proven").contains("identical");
    assertThat(Files.readString(dir.resolve("out.ifc")))
        .contains("412000.,6534500.,5.")
        .contains("'NN2000'")
        .contains(".MILLI.");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "convert in.xml out.ifc --crs EPSG:1 | EPSG:1 is not in the catalogue",
        "convert in.xml out.ifc --crs EPSG:4326 | degrees",
        "convert in.xml out.dwg --crs EPSG:25832 | .ifc",
        "convert in.xml out.ifc --crs EPSG:25832 --unit parsec | parsec",
        "convert in.xml out.ifc --crs EPSG:25832 --base 1,2 | three numbers",
        "convert in.xml out.ifc --crs EPSG:25832 --schema IFC5 | IFC4X3, IFC4 and IFC2X3 can",
        "inspect none.xml | there is no such file",
        "inspect in.xml --every -1 | above zero",
        "inspect | FILE",
        "deliver none | no job.json",
        "frobnicate | frobnicate",
        "transform --from EPSG:25832 | --to"
      })
  void wrongCallsAreAnsweredInOneLineWithTwo(String call, String said) throws IOException {
    Files.writeString(dir.resolve("in.xml"), FEET);
    String[] args =
        java.util.Arrays.stream(call.strip().split(" ", -1))
            .map(a -> a.matches("(in|out|none)(\\..*)?") ? path(a) : a)
            .toArray(String[]::new);
    assertThat(run(args)).isEqualTo(2);
    assertThat(err.toString().strip().lines()).hasSize(1);
    assertThat(err.toString()).contains(said.strip());
  }

  @Test
  void anInputIsNeverWrittenOver() throws IOException {
    Files.writeString(dir.resolve("x.ifc"), "ISO-10303-21;");
    assertThat(run("convert", path("x.ifc"), path("x.ifc"), "--crs", "EPSG:25832")).isEqualTo(2);
    assertThat(dir.resolve("x.ifc")).hasContent("ISO-10303-21;");
  }

  @Test
  void inspectGivesPointsOfAlignments() throws IOException {
    Files.writeString(
        dir.resolve("a.xml"),
        "<LandXML version=\"1.2\"><Units><Metric linearUnit=\"meter\"/></Units><Alignments><Alignment name=\"A\" staStart=\"100\"><CoordGeom><Line><Start>0 0</Start><End>30 40</End></Line>"
            + "<Curve rot=\"cw\"><Start>30 40</Start><Center>-10 70</Center><End>40 70</End></Curve></CoordGeom></Alignment></Alignments></LandXML>");
    assertThat(run("inspect", path("a.xml"), "--json", "--every", "20")).isZero();
    JsonNode a = json().get(0).path("items").get(0);
    assertThat(a.path("elements"))
        .extracting(e -> e.path("type").asText())
        .containsExactly("line", "arc");
    assertThat(a.path("elements").get(0).path("azimuth").asDouble())
        .isCloseTo(53.13010235, within(1e-6));
    assertThat(a.path("elements").get(0).path("radiusStart").isNull()).isTrue();
    assertThat(a.path("elements").get(1).path("radiusStart").asDouble())
        .isCloseTo(-50, within(1e-9));
    JsonNode second = a.path("points").get(1);
    assertThat(second.get(0).asDouble()).isEqualTo(20);
    assertThat(second.get(1).asDouble()).isEqualTo(120);
    assertThat(second.get(2).asDouble()).isCloseTo(16, within(1e-9));
    assertThat(second.get(4).isNull()).isTrue();
  }

  @Test
  void aJobIsCheckedAndDelivered() throws IOException {
    JobStore store = new JobStore(dir.resolve("job"));
    Job job =
        Job.named("Knoll")
            .withFrame(Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 0), 0));
    job =
        SourceIntake.take(
                store,
                job,
                Files.writeString(dir.resolve("in.xml"), FEET),
                Optional.empty(),
                Clock.systemUTC(),
                Progress.NONE)
            .job();
    store.create(job);
    assertThat(run("check", path("job"))).isZero();
    assertThat(run("deliver", path("job"), "BIM handover", "--to", path("there"), "--json"))
        .as(err.toString())
        .isZero();
    assertThat(json().get(0).path("arrived").asInt()).isEqualTo(1);
    assertThat(dir.resolve("there/bim-handover.ifc")).exists();
    try (var receipts = Files.list(store.receipts())) {
      assertThat(receipts).hasSize(2);
    }
    assertThat(run("deliver", path("job"), "Other")).isEqualTo(2);
    assertThat(err.toString()).contains("no delivery \"Other\"").contains("BIM handover");
  }

  @Test
  void checkEndsWithOneIfThereAreErrors() throws IOException {
    JobStore store = new JobStore(dir.resolve("job"));
    Path empty =
        Files.writeString(
            dir.resolve("e.xml"),
            "<LandXML version=\"1.2\"><Units><Metric linearUnit=\"meter\"/></Units><Surfaces><Surface name=\"E\"/></Surfaces></LandXML>");
    store.create(
        SourceIntake.take(
                store, Job.named("j"), empty, Optional.empty(), Clock.systemUTC(), Progress.NONE)
            .job());
    assertThat(run("check", path("job"), "--json")).isEqualTo(1);
    assertThat(json())
        .anySatisfy(f -> assertThat(f.path("code").asText()).isEqualTo("terrain.empty"));
  }

  @Test
  void linesOfCoordinatesAreTransformed() throws IOException {
    Files.writeString(dir.resolve("p.txt"), "# lon lat h\n7.5 58.9 12.25\n\n");
    assertThat(run("transform", "--from", "EPSG:4326", "--to", "EPSG:25832", path("p.txt")))
        .isZero();
    assertThat(out.toString()).isEqualTo("413576.3925 6529885.8121 12.25\n");
    Files.writeString(dir.resolve("p.txt"), "7,5 58,9 12,25\n58°54'N 7°30'00.0\"E 12.25\n");
    assertThat(run("transform", "--from", "EPSG:4326", "--to", "EPSG:25832", path("p.txt")))
        .isZero();
    assertThat(out.toString())
        .isEqualTo("413576.3925 6529885.8121 12,25\n413576.3925 6529885.8121 12.25\n");
    Files.writeString(dir.resolve("q.txt"), "120 -30\n");
    assertThat(run("transform", "--from", "EPSG:4326", "--to", "EPSG:25832", path("q.txt")))
        .isEqualTo(1);
    assertThat(out.toString()).isEqualTo("* *\n");
    assertThat(err.toString()).contains("line 1").contains("area of use");
    Files.writeString(dir.resolve("r.txt"), "7.5 north\n");
    assertThat(run("transform", "--from", "EPSG:4326", "--to", "EPSG:25832", path("r.txt")))
        .isEqualTo(2);
    assertThat(err.toString()).contains("line 1");
  }
}
