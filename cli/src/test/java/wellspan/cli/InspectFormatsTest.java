package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What inspect says of every format that geographic programs write. */
class InspectFormatsTest extends CommandFixture {
  private static final Path FEATURES =
      Path.of("../exchange/src/test/resources/wellspan/exchange/feature");

  @ParameterizedTest
  @CsvSource({
    "lines.shp, shapefile with levels, EPSG:25832, string, 7",
    "pts.shp, shapefile with levels, EPSG:25832, points, 2",
    "area.shp, shapefile, EPSG:25832, string, 9",
    "lines-25832.geojson, GeoJSON, EPSG:25832, string, 7",
    "pts.geojson, GeoJSON, EPSG:4326, points, 2",
    "area.kml, KML, EPSG:4326, string, 9",
    "area.kmz, KMZ, EPSG:4326, string, 9"
  })
  void formatSystemAndContentAreTold(
      String file, String format, String crs, String kind, int vertices) throws IOException {
    assertThat(run("inspect", FEATURES.resolve(file).toString(), "--json")).isZero();
    JsonNode n = json().get(0);
    assertThat(n.path("format").asText()).isEqualTo(format);
    assertThat(n.path("crs").asText()).isEqualTo(crs);
    assertThat(n.path("items").get(0).path("kind").asText()).isEqualTo(kind);
    int all = n.path("items").findValues("vertices").stream().mapToInt(JsonNode::asInt).sum();
    assertThat(all).isEqualTo(vertices);
  }

  @Test
  void everyTableOfAPackageIsALayer() throws IOException {
    assertThat(run("inspect", FEATURES.resolve("site.gpkg").toString(), "--json")).isZero();
    JsonNode n = json().get(0);
    assertThat(n.path("layers")).hasSize(3);
    assertThat(Set.copyOf(n.path("items").findValuesAsText("layer"))).hasSize(3);
  }

  @Test
  void onlyThePickedLayersComeAndFacesAreMissed() throws IOException {
    String yard = Path.of("..", "demo", "yard", "yard-layout.dxf").toString();
    assertThat(run("inspect", yard, "--layer", "PAD_A", "--layer", "gates", "--json")).isZero();
    assertThat(json().get(0).path("items").findValuesAsText("name"))
        .containsExactly("PAD_A", "gates");
    assertThat(run("inspect", yard, "--layer", "gates")).isZero();
    assertThat(out.toString()).contains("hold no faces").contains("PAD_A, PAD_B, PAD_C");
    assertThat(run("inspect", yard, "--layer", "gates", "--cell", "2")).isEqualTo(2);
    assertThat(err.toString()).contains("--layer is for drawings");
    String site = FEATURES.resolve("site.gpkg").toString();
    assertThat(run("inspect", site, "--layer", "lines", "--json")).isZero();
    assertThat(json().get(0).path("layers")).hasSize(3);
    assertThat(Set.copyOf(json().get(0).path("items").findValuesAsText("layer")))
        .containsExactly("lines");
  }

  @Test
  void degreesAreTransformedWhenTheyAreConverted() throws IOException {
    Path csv = dir.resolve("points.csv");
    assertThat(
            run(
                "convert",
                FEATURES.resolve("pts.shp").toString(),
                csv.toString(),
                "--zero",
                "shared"))
        .isZero();
    assertThat(Files.readString(csv)).contains("Bø-2,412110.75").contains("12.125");
  }

  @Test
  void columnsOfAListAreSaid() throws IOException {
    Path list = Files.writeString(dir.resolve("odd.txt"), "made up\n7;20;10\n8;21;11\n");
    String f = list.toString();
    assertThat(
            run(
                "inspect",
                f,
                "--json",
                "--columns",
                "h,n,e",
                "--separator",
                "semicolon",
                "--head-lines",
                "1",
                "--list-unit",
                "ft"))
        .isZero();
    JsonNode n = json().get(0);
    assertThat(n.path("unit").asText()).isEqualTo("foot");
    assertThat(n.path("items").get(0).path("vertices").asInt()).isEqualTo(2);
    assertThat(n.path("bounds").path("max").get(0).asDouble()).isEqualTo(11 * 0.3048);
    assertThat(run("inspect", f, "--columns", "h,n,weight")).isEqualTo(2);
    assertThat(err.toString()).contains("weight is not one of name, easting");
    assertThat(run("inspect", f, "--columns", "h,n")).isEqualTo(2);
    assertThat(err.toString()).contains("Say which columns");
    assertThat(run("inspect", f, "--columns", "e,n", "--separator", "dash")).isEqualTo(2);
    assertThat(run("inspect", f, "--columns", "e,n", "--list-unit", "ell")).isEqualTo(2);
    assertThat(run("inspect", f, "--columns", "e,n", "--cell", "2")).isEqualTo(2);
    assertThat(err.toString()).contains("one or the other");
  }

  @Test
  void aPictureSaysItsPixelsAndItsExtent() throws IOException {
    assertThat(run("inspect", "../demo/survey/hinterland.png", "--json")).isZero();
    JsonNode item = json().get(0).path("items").get(0);
    assertThat(item.path("kind").asText()).isEqualTo("image");
    assertThat(item.path("width").asInt()).isEqualTo(576);
    assertThat(item.path("bounds").path("min").get(0).asDouble()).isEqualTo(411_150);
  }
}
