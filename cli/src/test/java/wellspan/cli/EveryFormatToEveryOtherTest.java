package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * A small file of every format that is received into every format that is delivered: proven and
 * where it was, or refused with a sentence and without a file.
 */
class EveryFormatToEveryOtherTest extends CommandFixture {
  private static final Path FEATURES =
      Path.of("../exchange/src/test/resources/wellspan/exchange/feature");

  /**
   * One input.
   *
   * @param name of the file
   * @param text its content; empty for one of the resources
   * @param system what has to be said of it, empty if it says so itself
   */
  private record Sample(String name, String text, String system) {
    @Override
    public String toString() {
      return name;
    }
  }

  private static final List<Sample> SAMPLES =
      List.of(
          new Sample(
              "points.csv",
              "name,east,north,level,code\nP1,412000.5,6534500.25,12.5,peg\nP2,412010,6534510,13,bolt\nP3,412020,6534500,14,\n",
              "EPSG:25832"),
          new Sample(
              "surface.xml",
              """
              <LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2" version="1.2">
              <Units><Metric linearUnit="meter"/></Units><CoordinateSystem epsgCode="25832"/>
              <Surfaces><Surface name="Hill"><Definition surfType="TIN"><Pnts><P id="1">5700000 400000 10</P><P id="2">5700000 400100 11</P><P id="3">5700100 400100 12</P><P id="4">5700100 400000 11</P></Pnts><Faces><F>1 2 3</F><F>1 3 4</F></Faces></Definition></Surface></Surfaces></LandXML>
              """,
              ""),
          new Sample(
              "road.xml",
              """
              <LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2" version="1.2">
              <Units><Metric linearUnit="meter"/></Units><CoordinateSystem epsgCode="25832"/>
              <Alignments><Alignment name="Lane" length="100" staStart="0"><CoordGeom>
              <Line><Start>5700000 400000</Start><End>5700000 400060</End></Line>
              <Curve rot="ccw"><Start>5700000 400060</Start><Center>5700100 400060</Center><End>5700100 400160</End></Curve></CoordGeom>
              <Profile name="p"><ProfAlign name="p"><PVI>0 20</PVI><ParaCurve length="40">60 22</ParaCurve><PVI>218 20</PVI></ProfAlign></Profile></Alignment></Alignments></LandXML>
              """,
              ""),
          new Sample(
              "string.geojson",
              """
              {"type":"FeatureCollection","crs":{"type":"name","properties":{"name":"urn:ogc:def:crs:EPSG::25832"}},
               "features":[{"type":"Feature","properties":{"name":"Edge","width":2.5},"geometry":{"type":"LineString","coordinates":[[412000,6534500,1],[412050,6534520,2],[412100,6534500,3]]}}]}
              """,
              ""),
          new Sample(
              "drawing.dxf",
              String.join(
                  "\n",
                  "0",
                  "SECTION",
                  "2",
                  "HEADER",
                  "9",
                  "$ACADVER",
                  "1",
                  "AC1027",
                  "9",
                  "$INSUNITS",
                  "70",
                  "6",
                  "0",
                  "ENDSEC",
                  "0",
                  "SECTION",
                  "2",
                  "ENTITIES",
                  "0",
                  "3DFACE",
                  "8",
                  "GROUND",
                  "10",
                  "412000",
                  "20",
                  "6534500",
                  "30",
                  "1",
                  "11",
                  "412005",
                  "21",
                  "6534500",
                  "31",
                  "1",
                  "12",
                  "412005",
                  "22",
                  "6534505",
                  "32",
                  "2",
                  "13",
                  "412000",
                  "23",
                  "6534505",
                  "33",
                  "2",
                  "0",
                  "ENDSEC",
                  "0",
                  "EOF",
                  ""),
              "EPSG:25832"),
          new Sample(
              "grid.asc",
              "ncols 3\nnrows 3\nxllcorner 412000\nyllcorner 6534500\ncellsize 10\nNODATA_value -9999\n1 2 3\n4 5 6\n7 8 9\n",
              "EPSG:25832"),
          new Sample(
              "box.obj",
              "o Box\nv 412000 6534500 0\nv 412001 6534500 0\nv 412000 6534501 0\nv 412000 6534500 1\nf 1 3 2\nf 1 2 4\nf 1 4 3\nf 2 3 4\n",
              "EPSG:25832"),
          new Sample("area.kml", "", ""),
          new Sample("lines.shp", "", ""),
          new Sample("site.gpkg", "", ""));

  private static final List<String> ENDINGS =
      List.of(".ifc", ".ifczip", ".xml", ".dxf", ".shp", ".csv");

  static Stream<Arguments> pairs() {
    return SAMPLES.stream().flatMap(s -> ENDINGS.stream().map(e -> Arguments.of(s, e)));
  }

  private Path file(Sample s) throws IOException {
    if (!s.text().isEmpty()) {
      return Files.writeString(dir.resolve(s.name()), s.text());
    }
    String stem = s.name().substring(0, s.name().indexOf('.'));
    try (var beside = Files.newDirectoryStream(FEATURES, stem + ".*")) {
      for (Path p : beside) {
        Files.copy(p, dir.resolve(p.getFileName()));
      }
    }
    return dir.resolve(s.name());
  }

  /** Least and greatest easting and northing of all items, and how many there are. */
  private double[] extent(Path file) throws IOException {
    assertThat(run("inspect", file.toString(), "--json")).as(err.toString()).isLessThan(2);
    JsonNode b = json().get(0).path("bounds");
    return new double[] {
      b.path("min").get(0).asDouble(),
      b.path("max").get(0).asDouble(),
      b.path("min").get(1).asDouble(),
      b.path("max").get(1).asDouble(),
      json().get(0).path("items").size()
    };
  }

  @ParameterizedTest
  @MethodSource("pairs")
  void isProvenWhereItWasOrRefused(Sample sample, String ending) throws IOException {
    Path in = file(sample);
    double[] before = extent(in);
    Path out = dir.resolve("out" + ending);
    List<String> call = new ArrayList<>(List.of("convert", in.toString(), out.toString()));
    if (!sample.system().isEmpty()) {
      call.addAll(List.of("--crs", sample.system()));
    }
    call.addAll(List.of("--zero", "shared"));
    int code = run(call.toArray(String[]::new));
    String said = err.toString();
    assertThat(said).doesNotContain("Exception", "Wellspan's");
    if (code == 2) {
      assertThat(out).as(said).doesNotExist();
      assertThat(said.strip()).isNotEmpty();
      return;
    }
    assertThat(code).as(said + this.out).isZero();
    assertThat(this.out.toString()).contains("proven").doesNotContain("not proven");
    boolean other =
        Math.abs(before[0]) < 180 || said.contains("stay here"); // degrees, or a part only
    double[] after = extent(out);
    assertThat(after[4]).isPositive();
    for (int i = 0; i < 4 && !other; i++) {
      assertThat(after[i]).as("side %d of %s", i, sample).isCloseTo(before[i], within(0.01));
    }
  }
}
