package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class ShapeCommandsTest extends CommandFixture {
  private static final Path DEMO = Path.of("../demo/job");
  private static final String GROUND = "job/terrain-surface/Existing ground";
  private static final String DESIGN = "quay-road/terrain-surface/Design ground";

  private String copy() throws IOException {
    Path copy = dir.resolve("job");
    try (Stream<Path> all = Files.walk(DEMO)) {
      for (Path p : all.toList()) {
        Files.copy(p, copy.resolve(DEMO.relativize(p).toString()));
      }
    }
    return copy.toString();
  }

  @Test
  void theStepsOfTheDemoAreToldWithTheirFigures() {
    assertThat(run("shape", DEMO.toString())).isZero();
    assertThat(out.toString())
        .contains("Triangulate Existing ground: ")
        .contains("1. Drop levels that are none: 17 points dropped")
        .contains("2. Drop spikes: 3 points dropped")
        .contains("mean level: 6 points dropped");
    assertThat(run("shape", DEMO.toString(), "--flaws")).isZero();
    assertThat(out.toString()).contains("9 of 8934 points lie at 0.000 m");
  }

  @Test
  void stepsAreAddedSwitchedAndTakenAway() throws IOException {
    String job = copy();
    String raise = "{\"step\":\"raise\",\"by\":0.5}";
    assertThat(run("shape", job, GROUND, "--add", raise)).isZero();
    assertThat(out.toString()).contains("1. Raise: Moved by +0.500 m.");
    assertThat(run("shape", job, GROUND, "--off", "1")).isZero();
    assertThat(out.toString()).contains("1. Raise: Switched off.");
    assertThat(run("shape", job, GROUND, "--remove", "1")).isZero();
    assertThat(out.toString()).doesNotContain("Raise");
    assertThat(Files.readString(Path.of(job, "job.json"))).doesNotContain("raise");
  }

  @Test
  void whatIsMadeIsThereForTheNextCall() throws IOException {
    String job = copy();
    String copy = "{\"recipe\":\"copy\",\"name\":\"Twin\",\"surface\":\"" + GROUND + "\"}";
    assertThat(run("shape", job, "--make", copy)).isZero();
    assertThat(run("compare", job, GROUND, "job/terrain-surface/Twin")).isZero();
    assertThat(out.toString()).contains("17125 of 17125 (100.0 %)");
    assertThat(run("shape", job, "--unmake", "Twin")).isZero();
    assertThat(run("compare", job, GROUND, "job/terrain-surface/Twin")).isEqualTo(2);
    assertThat(err.toString()).contains("no surface").contains(DESIGN);
  }

  @Test
  void structuresAreMadeFromAWordOfJson() throws IOException {
    String job = copy();
    String along = "\"along\":\"quay-road/alignment/Quay Road\"";
    String culvert =
        "{\"recipe\":\"culvert\",\"name\":\"Creek\","
            + along
            + ",\"at\":560,\"form\":\"pipe\",\"width\":1,\"height\":1,\"wall\":0.1,\"toLeft\":9,\"toRight\":9,\"leftInvert\":12.4,\"rightInvert\":12.2}";
    assertThat(run("shape", job, "--make", culvert)).as(err.toString()).isZero();
    assertThat(out.toString()).contains("18.001 m of pipe under Quay Road at chainage 560.000");
    String points =
        "{\"recipe\":\"setting out\",\"name\":\"Pegs\","
            + along
            + ",\"every\":100,\"ends\":false,\"offsets\":\"-4 4\"}";
    assertThat(run("shape", job, "--make", points)).as(err.toString()).isZero();
    assertThat(out.toString()).contains("28 points at 14 chainages of Quay Road");
    String wall =
        "{\"recipe\":\"retaining wall\",\"name\":\"Wall\","
            + along
            + ",\"ground\":\""
            + DESIGN
            + "\",\"offset\":-9,\"height\":1,\"thickness\":0.3,\"depth\":0.8,\"footing\":1.5,\"slab\":0.4,\"from\":100,\"to\":140}";
    assertThat(run("shape", job, "--make", wall)).as(err.toString()).isZero();
    assertThat(out.toString()).contains("40.000 m of wall along Quay Road");
    String road =
        "{\"recipe\":\"road\",\"name\":\"Bypass\","
            + along
            + ",\"superelevated\":true,\"section\":{\"name\":\"s\",\"left\":[],\"right\":[{\"use\":\"lane\",\"width\":3,\"fall\":2.5,\"rise\":0,\"thickness\":0,\"material\":\"\"}],\"courses\":[{\"name\":\"Surface\",\"material\":\"asphalt\",\"thickness\":0.04,\"wider\":0}]}}";
    assertThat(run("shape", job, "--make", road)).isNotZero();
    assertThat(out.toString() + err).contains("Quay Road says nothing of a superelevation");
  }

  @Test
  void wrongCallsSayWhatIsWrong() throws IOException {
    String job = copy();
    assertThat(run("shape", job, "--add", "{}")).isEqualTo(2);
    assertThat(err.toString()).contains("Name the ITEM");
    assertThat(run("shape", job, GROUND, "--add", "{oops")).isEqualTo(2);
    assertThat(err.toString()).contains("this is not JSON");
    assertThat(run("shape", job, GROUND, "--add", "{\"step\":\"squash\"}")).isEqualTo(2);
    assertThat(err.toString())
        .contains("no step that can be read", "none of the name \"squash\"", "shape --help");
    assertThat(run("shape", job, GROUND, "--add", "{\"step\":\"raise\",\"by\":1,\"up\":1}"))
        .isEqualTo(2);
    assertThat(err.toString()).contains("it has no \"up\", but", "\"by\"");
    assertThat(run("shape", job, GROUND, "--add", "{\"step\":\"raise\",\"by\":\"much\"}"))
        .isEqualTo(2);
    assertThat(err.toString()).contains("\"by\" is of another kind");
    assertThat(run("shape", job, GROUND, "--add", "{\"step\":\"raise\"}")).isEqualTo(2);
    assertThat(err.toString()).contains("\"by\" is missing");
    assertThat(run("shape", job, "--make", "{\"name\":\"x\"}")).isEqualTo(2);
    assertThat(err.toString()).contains("no recipe that can be read", "its name is missing");
    assertThat(err.toString()).doesNotContain("wellspan.core", "ignorable");
    assertThat(run("shape", job, GROUND, "--off", "7")).isEqualTo(2);
    assertThat(err.toString()).contains("There is no step 7");
    assertThat(run("shape", job, "nothing/here")).isEqualTo(2);
    assertThat(err.toString()).contains("has no item");
    assertThat(run("shape", job, "--unmake", "Nobody")).isEqualTo(2);
  }

  @Test
  void aStepThatFailsIsToldAndEndsWithOne() throws IOException {
    String clip =
        "{\"step\":\"clip\",\"outline\":{\"from\":\"item\",\"source\":\"gone\",\"offset\":0},\"inside\":true}";
    String job = copy();
    String before = Files.readString(Path.of(job, "job.json"));
    assertThat(run("shape", job, GROUND, "--add", clip)).isEqualTo(1);
    assertThat(out.toString()).contains("gone is not there");
    assertThat(err.toString()).contains("the job is as it was");
    assertThat(Path.of(job, "job.json")).hasContent(before);
  }

  @Test
  void whatCannotBeMadeIsNotKept() throws IOException {
    String job = copy();
    String before = Files.readString(Path.of(job, "job.json"));
    String sweep =
        "{\"recipe\":\"sweep\",\"name\":\"Kerb\",\"along\":\"quay-road/alignment/Quay Road\",\"section\":\"%s\",\"from\":%s}";
    assertThat(run("shape", job, "--make", sweep.formatted("upstand kerb", "99999"))).isEqualTo(1);
    assertThat(out.toString()).contains("Kerb could not be made");
    assertThat(err.toString()).contains("the job is as it was");
    assertThat(Path.of(job, "job.json")).hasContent(before);

    assertThat(run("shape", job, "--make", sweep.formatted("kerb", "0"))).isEqualTo(2);
    assertThat(err.toString())
        .contains("\"section\" is \"kerb\" and can be guard rail beam, upstand");
    run("shape", "--help=sweep");
    assertThat(out.toString()).contains("one of guard rail beam, upstand kerb");
  }

  @Test
  void surfacesAreComparedWithinALine() throws IOException {
    String yard = "yard-layout/string/Yard Outline";
    assertThat(run("compare", DEMO.toString(), DESIGN, GROUND, "--within", yard, "--json"))
        .isZero();
    assertThat(json().path("area").asDouble()).isCloseTo(5384.5, within(0.1));
    assertThat(json().path("fill").asDouble() - json().path("cut").asDouble())
        .isCloseTo(json().path("mean").asDouble() * json().path("area").asDouble(), within(1e-3));
    assertThat(run("compare", DEMO.toString(), DESIGN, GROUND, "--within", "nothing")).isEqualTo(2);
    assertThat(
            run("compare", DEMO.toString(), DESIGN, GROUND, "--within", "control/points/control"))
        .isEqualTo(2);
  }

  @Test
  void surfacesAreComparedWithVolumes() throws IOException {
    assertThat(run("compare", DEMO.toString(), GROUND, DESIGN, "--json")).isZero();
    double cut = json().path("cut").asDouble();
    double fill = json().path("fill").asDouble();
    assertThat(fill - cut)
        .isCloseTo(json().path("mean").asDouble() * json().path("area").asDouble(), within(1e-3));
    assertThat(json().path("areas")).hasSize(11);
    assertThat(
            run(
                "compare",
                DEMO.toString(),
                GROUND,
                DESIGN,
                "--swell",
                "1.2",
                "--compaction",
                "1.1"))
        .isZero();
    assertThat(out.toString()).contains("cut, loose").contains("surplus");
    assertThat(run("compare", DEMO.toString(), GROUND, DESIGN, "--swell", "0")).isEqualTo(2);
  }

  @Test
  void whatAReceiverMakesOfASurfaceIsToldBeforeSending() {
    assertThat(run("compare", DEMO.toString(), GROUND)).isZero();
    assertThat(out.toString()).contains("of 17125").contains("level difference");
  }

  @Test
  void theGroundConvertsToEveryFormat() throws IOException {
    String in = DEMO.resolve("../road/quay-road.xml").toString();
    for (String name : new String[] {"a.xml", "a.dxf"}) {
      // its empty surface did not arrive: proven, but not whole
      assertThat(run("convert", in, dir.resolve(name).toString())).as(name).isEqualTo(1);
      assertThat(out.toString()).contains("proven").contains("triangles identical");
      assertThat(dir.resolve("a.position.json")).exists();
    }
    assertThat(run("convert", in, dir.resolve("a.dxf").toString(), "--mesh")).isEqualTo(2);
    assertThat(err.toString()).contains("meshes in 2018 only");
    assertThat(run("convert", in, dir.resolve("a.txt").toString())).isEqualTo(2);
    assertThat(err.toString()).contains(".dxf");
  }

  @Test
  void roadsGoAsSectionsAlongTheirAlignment() throws IOException {
    String in = Path.of("..", "demo", "road", "quay-road.xml").toString();
    Path model = dir.resolve("swept.ifc");
    assertThat(run("convert", in, model.toString(), "--swept", "--kind", "course")).isEqualTo(1);
    assertThat(out.toString()).contains("proven, but not whole. 16 of 16"); // a surface is empty
    assertThat(Files.readString(model))
        .contains("=IFCSECTIONEDSOLIDHORIZONTAL(")
        .doesNotContain("=IFCTRIANGULATEDFACESET(");
    assertThat(run("convert", in, dir.resolve("a.ifc").toString(), "--swept", "--schema", "IFC4"))
        .isEqualTo(2);
    assertThat(err.toString()).contains("--swept needs --schema IFC4X3");
    assertThat(run("convert", in, dir.resolve("a.dxf").toString(), "--swept")).isEqualTo(2);
    assertThat(err.toString()).contains("--swept is for models");
  }

  @Test
  void findingsOfACodeAreMendedAndTheJobIsSaved() throws IOException {
    String job = copy();
    String made = Files.readString(Path.of(job, "job.json"));
    assertThat(run("check", job, "--mend", "terrain.island")).isEqualTo(2);
    assertThat(err.toString()).contains("no finding terrain.island");
    assertThat(run("check", job, "--mend", "frame.far")).isEqualTo(2);
    assertThat(err.toString()).contains("Nothing mends").contains("terrain.spike");
    assertThat(Files.readString(Path.of(job, "job.json"))).isEqualTo(made);

    // without its steps the survey has spikes and false levels again
    String survey = "shore-survey/points/shore-survey";
    assertThat(run("shape", job, survey, "--remove", "1", "--remove", "2", "--remove", "3"))
        .isLessThan(2);
    assertThat(run("check", job, "--json")).isEqualTo(1);
    assertThat(json().findValuesAsText("id")).contains(survey);
    assertThat(json().findValuesAsText("code")).contains("terrain.false-level");
    run("check", job, "--mend", "terrain.false-level");
    assertThat(err.toString())
        .contains(survey)
        .contains("Drop levels that are none")
        .contains("points dropped");
    assertThat(err.toString()).as("what is made of the points is made anew").doesNotContain(GROUND);
    assertThat(out.toString()).doesNotContain("terrain.false-level");
    run("check", job, "--json");
    assertThat(json().findValuesAsText("code")).doesNotContain("terrain.false-level");
  }

  @Test
  void anOperationSaysWhatItNeeds() {
    assertThat(run("shape", "--help")).isZero();
    assertThat(out.toString()).contains("drop spikes").contains("triangulation").contains("--add");
    assertThat(run("shape", "--help", "trim")).isZero();
    assertThat(out.toString()).contains("longest side (m").contains("{\"step\":\"trim\"");
    assertThat(run("shape", "--help", "bridge")).isZero();
    assertThat(out.toString()).contains("clockwise), -75 to 75");
    assertThat(run("shape", "--help", "none")).isEqualTo(2);
    assertThat(err.toString()).contains("drop spikes");
    assertThat(run("shape")).isEqualTo(2);
    assertThat(err.toString().strip().lines()).hasSize(1);
  }

  @Test
  void aTableSaysAttributesAndARulebookIsTakenIntoTheJob() throws IOException {
    String job = copy();
    Path table = dir.resolve("said.csv");
    Files.writeString(
        table, "name;Status;Client.Contract\nExisting ground;as built;0042\nNobody;x;y\n");
    assertThat(run("attribute", job, table.toString())).isEqualTo(1);
    assertThat(err.toString()).contains("there is no item Nobody");
    Path book = dir.resolve("book.json");
    Files.writeString(
        book,
        "{\"wellspan-rulebook\":1,\"name\":\"B\",\"properties\":[{\"set\":\"Own\",\"property\":\"State\",\"value\":[{\"attribute\":\"Status\"}],\"when\":[{\"fact\":\"stratum\",\"is\":[\"Ground\"]},{\"attribute\":\"Status\",\"given\":true}]}]}");
    assertThat(run("rulebook", book.toString(), "--into", job)).isZero();
    assertThat(run("deliver", job, "BIM handover", "--to", dir.resolve("out").toString()))
        .as(err.toString())
        .isZero();
    assertThat(run("describe", dir.resolve("out/brindle-ness.ifc").toString(), "--json")).isZero();
    assertThat(out.toString())
        .contains("\"State\" : \"as built\"")
        .contains("\"Contract\" : \"0042\"");
  }
}
