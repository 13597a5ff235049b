package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Designs with something wrong in them: named, and never a broken solid in what leaves. */
class BadDesignsTest extends CommandFixture {
  private static final String HEAD =
      "<LandXML xmlns=\"http://www.landxml.org/schema/LandXML-1.2\" version=\"1.2\">"
          + "<Units><Metric linearUnit=\"meter\" diameterUnit=\"meter\" widthUnit=\"meter\" heightUnit=\"meter\"/></Units><CoordinateSystem epsgCode=\"25832\"/>";

  private static final String STRAIGHT =
      "<Line><Start>5700000 400000</Start><End>5700000 400100</End></Line>";

  /** A quarter circle of 4 m to the left and straight lines beside it. */
  private static final String BEND =
      "<Line><Start>5700000 400000</Start><End>5700000 400050</End></Line>"
          + "<Curve rot=\"ccw\"><Start>5700000 400050</Start><Center>5700004 400050</Center><End>5700004 400054</End></Curve>"
          + "<Line><Start>5700004 400054</Start><End>5700044 400054</End></Line>";

  /** A closed area of a section, its points as offset and level. */
  private static String area(String name, String points) {
    StringBuilder s =
        new StringBuilder("<DesignCrossSectSurf closedArea=\"true\" name=\"" + name + "\">");
    for (String p : points.split(",")) {
      s.append("<CrossSectPnt>").append(p.strip()).append("</CrossSectPnt>");
    }
    return s.append("</DesignCrossSectSurf>").toString();
  }

  private static String section(double station, String... areas) {
    return "<CrossSect sta=\"" + station + "\">" + String.join("", areas) + "</CrossSect>";
  }

  private static String course(double half, double thickness) {
    return area(
        "Base",
        "%s 20, %s 20, %s %s, %s %s"
            .formatted(-half, half, half, 20 - thickness, -half, 20 - thickness));
  }

  private Path road(String elements, String... sections) throws IOException {
    return Files.writeString(
        dir.resolve("road.xml"),
        HEAD
            + "<Alignments><Alignment name=\"Lane\" length=\"100\" staStart=\"0\"><CoordGeom>"
            + elements
            + "</CoordGeom><CrossSects>"
            + String.join("", sections)
            + "</CrossSects></Alignment></Alignments></LandXML>");
  }

  private List<String> codes(Path file) throws IOException {
    run("inspect", file.toString(), "--json");
    List<String> out = new ArrayList<>();
    json().get(0).path("findings").forEach(f -> out.add(f.path("code").asText()));
    return out;
  }

  /** Whatever leaves is closed and has a volume; what cannot be made is not there. */
  private List<JsonNode> solids(Path file) throws IOException {
    Path ifc = dir.resolve("out.ifc");
    Files.deleteIfExists(ifc);
    int code = run("convert", file.toString(), ifc.toString(), "--tolerance", "10");
    List<JsonNode> out = new ArrayList<>();
    if (code == 2) {
      assertThat(ifc).as("what is refused writes nothing").doesNotExist();
      return out;
    }
    run("inspect", ifc.toString(), "--json");
    for (JsonNode i : json().get(0).path("items")) {
      if (!i.path("closed").isMissingNode()) {
        assertThat(i.path("closed").asBoolean()).as(i.path("name").asText()).isTrue();
        assertThat(i.path("volume").asDouble()).as(i.path("name").asText()).isPositive();
        out.add(i);
      }
    }
    return out;
  }

  private double volume(Path file) throws IOException {
    return solids(file).stream().mapToDouble(i -> i.path("volume").asDouble()).sum();
  }

  @Test
  void theSoundRoadHasItsVolume() throws IOException {
    Path f = road(STRAIGHT, section(0, course(3, 0.2)), section(100, course(3, 0.2)));
    assertThat(codes(f)).noneMatch(c -> c.startsWith("section."));
    assertThat(volume(f)).isBetween(119.99, 120.01);
  }

  @Test
  void aCourseWithoutThicknessIsNamedAndMakesNothing() throws IOException {
    Path f = road(STRAIGHT, section(0, course(3, 0)), section(100, course(3, 0)));
    assertThat(codes(f)).containsAnyOf("section.thickness", "section.outline");
    assertThat(solids(f)).isEmpty();
  }

  @Test
  void aCourseThatBeginsWithoutThicknessIsAWedge() throws IOException {
    Path f = road(STRAIGHT, section(0, course(3, 0.0)), section(100, course(3, 0.2)));
    solids(f).forEach(s -> assertThat(s.path("volume").asDouble()).isBetween(59.9, 60.1));
  }

  @Test
  void anOutlineThatCrossesItselfIsNamed() throws IOException {
    String bow = area("Base", "-3 20, 3 20, -3 19.8, 3 19.8");
    Path f = road(STRAIGHT, section(0, bow), section(100, bow));
    assertThat(codes(f)).contains("section.outline");
    assertThat(solids(f)).isEmpty();
  }

  @Test
  void aSectionWiderThanTheRadiusIsCutAtTheCentreAndSaid() throws IOException {
    Path f = road(BEND, section(0, course(6, 0.2)), section(90, course(6, 0.2)));
    assertThat(codes(f)).contains("section.centre");
    assertThat(solids(f)).isNotEmpty();
  }

  @Test
  void sectionsOutOfOrderAreNamedAndTakenInOrder() throws IOException {
    Path f =
        road(
            STRAIGHT,
            section(50, course(3, 0.2)),
            section(0, course(3, 0.2)),
            section(100, course(3, 0.2)));
    assertThat(codes(f)).contains("section.order");
    assertThat(volume(f)).isBetween(119.9, 120.1);
  }

  @Test
  void aSectionBeyondTheEndIsNamedAndLeftOut() throws IOException {
    Path f =
        road(
            STRAIGHT,
            section(0, course(3, 0.2)),
            section(100, course(3, 0.2)),
            section(130, course(3, 0.2)));
    assertThat(codes(f)).contains("section.beyond");
    assertThat(volume(f)).isBetween(119.9, 120.1);
  }

  @Test
  void aCourseThatIsMissingInBetweenIsTwoBodies() throws IOException {
    String other = area("Other", "-1 18, 1 18, 1 17.8, -1 17.8");
    Path f =
        road(
            STRAIGHT,
            section(0, course(3, 0.2), other),
            section(30, course(3, 0.2), other),
            section(50, other),
            section(70, course(3, 0.2), other),
            section(100, course(3, 0.2), other));
    List<JsonNode> all = solids(f);
    assertThat(all.stream().filter(i -> i.path("name").asText().startsWith("Base")).count())
        .isGreaterThanOrEqualTo(1);
    assertThat(all.stream().anyMatch(i -> i.path("name").asText().startsWith("Other"))).isTrue();
  }

  @Test
  void aSurfaceOfOneSectionOnlyIsNamed() throws IOException {
    Path f =
        road(
            STRAIGHT,
            section(0, course(3, 0.2)),
            section(50, course(3, 0.2), area("Alone", "4 20, 5 20, 5 19, 4 19")),
            section(100, course(3, 0.2)));
    assertThat(codes(f)).contains("section.alone");
    assertThat(solids(f)).hasSize(1);
  }

  @ParameterizedTest
  @CsvSource({"'NaN 20'", "'3'", "'three 20'", "''", "'3 20 7 8'"})
  void pointsThatAreNoneAreNamed(String bad) throws IOException {
    String broken = area("Base", "-3 20, 3 20, 3 19.8, -3 19.8").replace("3 19.8</", bad + "</");
    Path f = road(STRAIGHT, section(0, broken), section(100, course(3, 0.2)));
    int code = run("inspect", f.toString(), "--json");
    if (code != 2) {
      assertThat(json().get(0).path("findings")).isNotEmpty();
    }
    solids(f);
  }

  private Path network(String structs, String pipes) throws IOException {
    return Files.writeString(
        dir.resolve("net.xml"),
        HEAD
            + "<PipeNetworks><PipeNetwork name=\"Storm\" pipeNetType=\"storm\"><Structs>"
            + structs
            + "</Structs><Pipes>"
            + pipes
            + "</Pipes></PipeNetwork></PipeNetworks></LandXML>");
  }

  private static String chamber(String name, int east, String more) {
    return "<Struct name=\"%s\" elevRim=\"22\" elevSump=\"19\"><Center>5700000 %d</Center><CircStruct diameter=\"1\" thickness=\"0.12\"/>%s</Struct>"
        .formatted(name, 400_000 + east, more);
  }

  private static String invert(String pipe, double level, String direction) {
    return "<Invert elev=\"%s\" flowDir=\"%s\" refPipe=\"%s\"/>".formatted(level, direction, pipe);
  }

  private static String pipe(String name, String from, String to) {
    return "<Pipe name=\"%s\" refStart=\"%s\" refEnd=\"%s\"><CircPipe diameter=\"0.3\" thickness=\"0.05\"/></Pipe>"
        .formatted(name, from, to);
  }

  @Test
  void theSoundNetworkLeavesWhole() throws IOException {
    Path f =
        network(
            chamber("A", 0, invert("p", 20, "out")) + chamber("B", 30, invert("p", 19.7, "in")),
            pipe("p", "A", "B"));
    assertThat(codes(f)).noneMatch(c -> c.startsWith("network."));
    assertThat(solids(f)).hasSize(3);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "elev=\"19.7\" | elev=\"20.3\" | network.rises",
        "refEnd=\"B\" | refEnd=\"C\" | network.chamber",
        "refEnd=\"B\" | refEnd=\"A\" | network.length",
        "diameter=\"0.3\" | diameter=\"0\" | network.size.none",
        "elevSump=\"19\" | elevSump=\"23\" | network.level",
        "thickness=\"0.05\" |  | network.wall",
        "<Center>5700000 400030</Center> | <Center></Center> | landxml.left-out",
        "name=\"B\" | name=\"A\" | network.name"
      })
  void everyFaultOfANetworkIsNamed(String good, String bad, String code) throws IOException {
    String structs =
        chamber("A", 0, invert("p", 20, "out")) + chamber("B", 30, invert("p", 19.7, "in"));
    Path sound = network(structs, pipe("p", "A", "B"));
    String text = Files.readString(sound).replace(good, bad == null ? "" : bad);
    assertThat(text).isNotEqualTo(Files.readString(sound));
    Path f = Files.writeString(dir.resolve("bad.xml"), text);
    assertThat(codes(f)).contains(code);
    solids(f);
  }

  @Test
  void missingInvertsAreConcludedOrNamed() throws IOException {
    Path one =
        network(
            chamber("A", 0, invert("p", 20, "out")) + chamber("B", 30, ""), pipe("p", "A", "B"));
    assertThat(codes(one)).containsAnyOf("network.invert", "network.invert.assumed");
    solids(one);
    Path none = network(chamber("A", 0, "") + chamber("B", 30, ""), pipe("p", "A", "B"));
    assertThat(codes(none)).containsAnyOf("network.invert", "network.invert.assumed");
    solids(none);
  }

  @Test
  void aNetworkThatFlowsInALoopIsNamedAndLeavesWhole() throws IOException {
    Path f =
        network(
            chamber("A", 0, invert("p", 20, "out") + invert("r", 19.4, "in"))
                + chamber("B", 30, invert("p", 19.7, "in") + invert("q", 19.7, "out"))
                + chamber("C", 60, invert("q", 19.5, "in") + invert("r", 19.5, "out")),
            pipe("p", "A", "B") + pipe("q", "B", "C") + pipe("r", "C", "A"));
    assertThat(codes(f)).contains("network.loop");
    assertThat(solids(f)).hasSizeGreaterThanOrEqualTo(5);
  }

  /** Any section carried along any road: closed bodies, or none. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void randomSectionsNeverMakeABrokenSolid(long seed) throws IOException {
    Random random = new Random(seed);
    List<String> sections = new ArrayList<>();
    for (int k = 0; k < 8; k++) {
      List<String> areas = new ArrayList<>();
      for (int a = 0; a < 3; a++) {
        double left = -8 + 16 * random.nextDouble();
        double width = random.nextInt(4) == 0 ? 0 : 4 * random.nextDouble();
        double top = 20 - a + random.nextDouble();
        double thick = random.nextInt(4) == 0 ? 0 : random.nextDouble();
        String p =
            "%.3f %.3f, %.3f %.3f, %.3f %.3f, %.3f %.3f"
                .formatted(
                    left, top, left + width, top, left + width, top - thick, left, top - thick);
        areas.add(area("Part " + a, p));
      }
      sections.add(section(Math.rint(90 * random.nextDouble()), areas.toArray(String[]::new)));
    }
    solids(road(seed % 2 == 0 ? BEND : STRAIGHT, sections.toArray(String[]::new)));
  }
}
