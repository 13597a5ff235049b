package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.crs.Crs;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.crs.Transformation;

/** Frames, tallies, systems and positions without a screen. */
class PlaceCommandsTest extends CommandFixture {
  private static final Path DEMO = Path.of("..", "demo");
  private static final String SITE =
      "+proj=tmerc +lat_0=58.9 +lon_0=7.5 +k=1 +x_0=1000 +y_0=2000 +ellps=GRS80 +towgs84=0,0,0 +units=m";

  private String job() {
    return DEMO.resolve("job").toString();
  }

  @Test
  void theTallyOfTheDemoSaysWhichPointIsOff() throws IOException {
    assertThat(run("tally", job())).isEqualTo(1);
    assertThat(out.toString()).contains("BN-4").contains("-38.0").contains("OUT");
    assertThat(run("tally", job(), "--json")).isEqualTo(1);
    JsonNode road = json().get(0);
    assertThat(road.path("where").asText()).isEqualTo("quay-road");
    assertThat(road.path("within").asBoolean()).isFalse();
    assertThat(road.path("controlTally").get(0).path("point").asText()).isEqualTo("BN-4");
    assertThat(road.path("controlTally").get(0).path("dH").asDouble())
        .isCloseTo(-0.038, within(1e-9));
    assertThat(json().get(1).path("within").asBoolean()).isTrue();
  }

  @Test
  void aFileCanBeTalliedToo() {
    assertThat(run("tally", job(), DEMO.resolve("survey/control.csv").toString())).isZero();
    assertThat(out.toString()).contains("control.csv").doesNotContain("OUT");
    assertThat(run("tally", dir.resolve("none").toString())).isEqualTo(2);
  }

  @Test
  void theFrameSheetComesAsJsonPageOrWkt() throws IOException {
    assertThat(run("frame", job())).isZero();
    assertThat(json().path("checkPoints")).hasSize(3);
    assertThat(json().path("frame").path("rotation").asDouble()).isEqualTo(21.5);
    assertThat(run("frame", job(), "--wkt")).isZero();
    assertThat(out.toString()).startsWith("PROJCS[");
    Path page = dir.resolve("sheet.html");
    assertThat(run("frame", job(), "--html", page.toString())).isZero();
    assertThat(Files.readString(page)).contains("Check points").contains("BN-1");
  }

  private String copy() throws IOException {
    Path copy = dir.resolve("job");
    try (Stream<Path> all = Files.walk(DEMO.resolve("job"))) {
      for (Path p : all.toList()) {
        Files.copy(p, copy.resolve(DEMO.resolve("job").relativize(p).toString()));
      }
    }
    return copy.toString();
  }

  @Test
  void sourcesArePlacedAndSaved() throws IOException {
    String job = copy();
    assertThat(run("place", job, "yard-layout")).isZero();
    assertThat(out.toString())
        .contains("fitted by 4 point pairs")
        .contains("plan ± ")
        .contains("turned 21.49997°");
    assertThat(run("place", job, "yard-layout", "--shared")).isEqualTo(1);
    assertThat(out.toString())
        .contains("its numbers could be: millimetre, local to the base point and site north")
        .contains("error  yard-layout lies");
    assertThat(
            run(
                "place",
                job,
                "yard-layout",
                "--unit",
                "mm",
                "--local",
                "412928.96,6534749.19,0,21.5"))
        .isZero();
    assertThat(run("tally", job)).isEqualTo(1);
    assertThat(out.toString()).contains("yard-layout");
    assertThat(run("place", job, "yard-layout", "--fit", "--scale-free")).isZero();
    assertThat(out.toString()).contains("BN-5").contains("scale 0.99999982");
    assertThat(run("place", job, "control", "--in", "EPSG:25833")).isEqualTo(1);
    assertThat(run("place", job, "control", "--shared", "--as-control")).isZero();
    assertThat(run("place", job, "none")).isEqualTo(2);
    assertThat(err.toString()).contains("it has quay-road, control, yard-layout");
    assertThat(run("place", job, "control", "--local", "1,2")).isEqualTo(2);
    assertThat(run("place", job, "control", "--unit", "parsec")).isEqualTo(2);
    assertThat(run("place", job, "quay-road", "--swap")).isEqualTo(1);
    assertThat(out.toString()).contains("its numbers could be: shared coordinates as they stand");
    assertThat(run("place", job, "quay-road", "--shared")).isEqualTo(1);
    assertThat(out.toString()).contains("BN-4").contains("ΔH -38 mm").doesNotContain("BN-1");
  }

  @Test
  void deliveriesTellTheirTally() throws IOException {
    assertThat(run("deliver", copy(), "Older viewer", "--to", dir.toString(), "--json")).isZero();
    JsonNode proof = json().get(0).path("proof");
    assertThat(proof.path("pass").asBoolean()).isTrue();
    assertThat(proof.path("controlTally").get(0).path("point").asText()).isEqualTo("BN-4");
    assertThat(proof.path("controlTally").get(0).path("foundBy").asText())
        .isEqualTo("point of this name");
  }

  @ParameterizedTest
  @CsvSource({"IFC4X3,m,base", "IFC4,mm,shared", "IFC2X3,ft,base"})
  void oneFileBecomesAnyOther(String schema, String unit, String zero) throws IOException {
    Path to = dir.resolve("out.ifc");
    assertThat(
            run(
                "convert",
                DEMO.resolve("yard/yard-layout.dxf").toString(),
                DEMO.resolve("survey/control.csv").toString(),
                to.toString(),
                "--crs",
                "EPSG:25832",
                "--schema",
                schema,
                "--unit",
                unit,
                "--zero",
                zero,
                "--scale",
                "1.0003",
                "--json"))
        .as(err.toString())
        .isZero();
    assertThat(json().path("proof").path("pass").asBoolean()).isTrue();
    assertThat(run("inspect", to.toString(), "--json")).isZero();
    assertThat(json().get(0).path("items")).as("eight of the drawing, one of the list").hasSize(9);
    assertThat(json().get(0).path("places").get(0).path("level").asInt()).isEqualTo(50);
    assertThat(run("inspect", to.toString())).isZero();
    assertThat(out.toString()).contains("place, level 50");
  }

  @Test
  void anotherSystemThanDeclaredIsTransformedAndOneElsewhereIsRefused() throws IOException {
    String road = DEMO.resolve("road/quay-road.xml").toString();
    String to = dir.resolve("out.csv").toString();
    // the road's file holds a surface without triangles: proven, but not whole
    assertThat(run("convert", road, to)).isEqualTo(1);
    assertThat(out.toString()).contains("proven, but not whole");
    assertThat(err.toString()).doesNotContain("declares").doesNotContain("area of use");
    String before = Files.readString(Path.of(to));
    assertThat(run("convert", road, to, "--crs", "EPSG:2056")).isEqualTo(2);
    assertThat(err.toString()).contains("quay-road.xml is not placed").contains("EPSG:2056");
    assertThat(Path.of(to)).hasContent(before);
    assertThat(run("convert", road, to, "--crs", "EPSG:3035", "--zero", "shared")).isEqualTo(1);
    assertThat(err.toString()).contains("declares EPSG:25832 and was transformed to EPSG:3035");
    String first =
        Files.readAllLines(Path.of(to)).stream()
            .filter(l -> l.startsWith("BN-1,"))
            .findFirst()
            .orElseThrow();
    assertThat(Double.parseDouble(first.split(",")[1])).isBetween(4_150_000.0, 4_200_000.0);
    assertThat(run("convert", road, to, "--base", "0,0,0")).isEqualTo(1);
    assertThat(err.toString()).contains("The work reaches 65").contains("km from the base point");
  }

  @Test
  void pointsBecomeAListWithItsPosition() throws IOException {
    Path to = dir.resolve("local.csv");
    assertThat(
            run(
                "convert",
                DEMO.resolve("road/quay-road.xml").toString(),
                to.toString(),
                "--base",
                "412000,6534500,0",
                "--rotate",
                "21.5"))
        .as(err.toString())
        .isEqualTo(1);
    assertThat(Files.readString(to)).contains("BN-1,");
    assertThat(dir.resolve("local.position.json")).exists();
    assertThat(Files.readString(dir.resolve("local.position.txt"))).contains("21.50000000 degrees");
  }

  @Test
  void aSystemOfItsOwnIsNamedByTextOrFile() throws IOException {
    Path lines = Files.writeString(dir.resolve("p.txt"), "7.5 58.9 3\n# comment\n7.5;58.901\n");
    assertThat(run("transform", "--from", "EPSG:4326", "--to", SITE, lines.toString())).isZero();
    assertThat(out.toString()).startsWith("1000.0000 2000.0000 3\n1000.0000 2111.");
    Path prj = Files.writeString(dir.resolve("site.prj"), SITE);
    assertThat(run("transform", "--from", "EPSG:4326", "--to", prj.toString(), lines.toString()))
        .isZero();
    assertThat(out.toString()).startsWith("1000.0000 2000.0000 3\n");
    assertThat(
            run(
                "convert",
                DEMO.resolve("survey/control.csv").toString(),
                dir.resolve("s.ifc").toString(),
                "--crs",
                SITE))
        .isZero();
    assertThat(run("inspect", dir.resolve("s.ifc").toString(), "--json")).isZero();
    assertThat(json().get(0).path("places").get(0).path("frame").path("definition").asText())
        .isEqualTo(SITE);
  }

  @Test
  void transformSaysWhichAccuracyIsLeft() throws IOException {
    Path lines = Files.writeString(dir.resolve("p.txt"), "530000 180000\n");
    assertThat(run("transform", "--from", "EPSG:27700", "--to", "EPSG:4326", lines.toString()))
        .isZero();
    assertThat(err.toString()).contains("OSTN15").contains("accuracy of 2 m");
    assertThat(
            run(
                "transform",
                "--from",
                "EPSG:25832",
                "--to",
                "EPSG:25833",
                Files.writeString(dir.resolve("q.txt"), "412000 6534500\n").toString()))
        .isZero();
    assertThat(err.toString()).isEmpty();
    assertThat(out.toString()).isEqualTo("67278.2273 6557903.5723\n");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "transform --from EPSG:0 --to EPSG:4326 | EPSG:0 is not in the catalogue",
        "transform --from +proj=nosuch --to EPSG:4326 | cannot be computed",
        "convert control.csv out.ifc --crs EPSG:25832 --zero moon | base, shared",
        "convert control.csv out.ifc --crs EPSG:25832 --scale 0 | near 1",
        "convert control.csv out.ifc --crs EPSG:25832 --schema IFC5 | IFC4X3, IFC4 and IFC2X3"
      })
  void wrongCallsAreAnsweredInOneLine(String call, String said) throws IOException {
    Files.copy(DEMO.resolve("survey/control.csv"), dir.resolve("control.csv"));
    String[] args =
        java.util.Arrays.stream(call.strip().split(" "))
            .map(
                a -> a.equals("control.csv") || a.equals("out.ifc") ? dir.resolve(a).toString() : a)
            .toArray(String[]::new);
    assertThat(run(args)).isEqualTo(2);
    assertThat(err.toString()).contains(said.strip());
    assertThat(err.toString().strip().lines()).hasSize(1);
  }

  @Test
  void linesAreStreamedWithTheirFaults() throws Exception {
    Crs utm = CrsCatalogue.shipped().find("25832").orElseThrow();
    Transformation t = new Transformation(utm, Crs.WGS84);
    StringWriter to = new StringWriter();
    List<String> told = new ArrayList<>();
    boolean all =
        new CoordinateLines(t, 9)
            .run(
                new BufferedReader(new StringReader("412000 6534500 7\n\n0 0\n412000,6534500\n")),
                to,
                told::add);
    assertThat(all).isFalse();
    assertThat(to.toString())
        .isEqualTo(
            "7.470820400 58.941103900 7\n* *\n7.470820400 58.941103900\n"
                .replace(
                    "7.470820400 58.941103900",
                    String.format(
                        Locale.ROOT,
                        "%.9f %.9f",
                        t.apply(412_000, 6_534_500)[0],
                        t.apply(412_000, 6_534_500)[1])));
    assertThat(told).singleElement().asString().startsWith("line 3: ");
  }

  @Test
  void millionsOfLinesNeedNoMoreMemory() throws Exception {
    Crs utm = CrsCatalogue.shipped().find("25832").orElseThrow();
    Crs other = CrsCatalogue.shipped().find("25833").orElseThrow();
    long[] count = {0, 0};
    java.io.Reader endless =
        new java.io.Reader() {
          private final char[] line = "412000.123 6534500.456 12.3\n".toCharArray();
          private long left = 1_000_000L * line.length;
          private int at;

          @Override
          public int read(char[] into, int from, int length) {
            int n = (int) Math.min(length, left);
            for (int i = 0; i < n; i++) {
              into[from + i] = line[at];
              at = (at + 1) % line.length;
            }
            left -= n;
            return n == 0 ? -1 : n;
          }

          @Override
          public void close() {}
        };
    java.io.Writer counting =
        new java.io.Writer() {
          @Override
          public void write(char[] c, int from, int n) {
            count[0] += n;
            for (int i = from; i < from + n; i++) {
              count[1] += c[i] == '\n' ? 1 : 0;
            }
          }

          @Override
          public void flush() {}

          @Override
          public void close() {}
        };
    assertThat(
            new CoordinateLines(new Transformation(utm, other), 4)
                .run(new BufferedReader(endless), counting, s -> {}))
        .isTrue();
    assertThat(count[1]).isEqualTo(1_000_000);
  }
}
