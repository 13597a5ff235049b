package wellspan.exchange.feature;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.exchange.intake.Intake;

/** Files made by an independent program from the same few features. */
class FeatureReadersTest {
  private static final Path SAMPLES = Path.of("src/test/resources/wellspan/exchange/feature");

  @TempDir Path dir;

  private static Received read(String name) throws IOException {
    return Intake.read(SAMPLES.resolve(name), Progress.NONE);
  }

  private static <T extends Shape> T first(Received r, Class<T> form) {
    return r.items().stream()
        .map(Item::shape)
        .filter(form::isInstance)
        .map(form::cast)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void linesWithLevelsComeFromAShapefileWithItsSystem() throws IOException {
    Received r = read("lines.shp");
    assertThat(r.crs()).isEqualTo("EPSG:25832");
    assertThat(r.items()).as("two records").hasSize(2);
    assertThat(r.items().stream().mapToInt(i -> ((Shape.Lines) i.shape()).lines().size()).sum())
        .as("one of them in two parts")
        .isEqualTo(3);
    Shape.Lines l = first(r, Shape.Lines.class);
    assertThat(l.lines().getFirst().xyz())
        .containsExactly(412100, 6534600, 5.5, 412150, 6534620, 6.25, 412180, 6534660, 7);
    assertThat(r.findings()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"pts.shp", "site.gpkg"})
  void pointsKeepTheirNamesInAnyAlphabet(String file) throws IOException {
    Shape.Points g = first(read(file), Shape.Points.class);
    assertThat(g.points()).extracting(NamedPoint::name).containsExactly("P1", "Bø-2");
    assertThat(g.points().getLast().position())
        .isEqualTo(new Position(412_110.75, 6_534_610.5, -1.5));
  }

  @Test
  void ringsOfAnAreaBecomeClosedLines() throws IOException {
    for (String file : List.of("area.shp", "area.kml", "area.kmz")) {
      Shape.Lines l = first(read(file), Shape.Lines.class);
      assertThat(l.lines()).as(file).hasSize(2).allMatch(p -> p.isClosed(1e-9));
    }
  }

  @Test
  void everyTableOfAGeoPackageIsALayer() throws IOException {
    Received r = read("site.gpkg");
    assertThat(r.layers()).extracting(l -> l.name()).containsExactly("area", "lines", "points");
    assertThat(r.crs()).isEqualTo("EPSG:25832");
    assertThat(first(r, Shape.Lines.class).lines()).hasSize(2);
  }

  @Test
  void geoJsonIsLongitudeAndLatitudeUnlessItNamesAnotherSystem() throws IOException {
    Received r = read("pts.geojson");
    assertThat(r.crs()).isEqualTo("EPSG:4326");
    Position p = first(r, Shape.Points.class).points().getFirst().position();
    assertThat(p.east()).isCloseTo(7.4725219, within(1e-7));
    assertThat(p.north()).isCloseTo(58.9420267, within(1e-7));
    assertThat(p.level()).isEqualTo(12.125);
    assertThat(read("lines-25832.geojson").crs()).isEqualTo("EPSG:25832");
  }

  @Test
  void geoJsonThatCannotBeLongitudeAndLatitudeIsNotTakenAsThat() throws IOException {
    Path f =
        Files.writeString(
            dir.resolve("local.geojson"),
            """
            {"type":"Feature","properties":{},
             "geometry":{"type":"LineString","coordinates":[[412000,6534500,3],[412010,6534500,4]]}}
            """);
    Received r = Intake.read(f, Progress.NONE);
    assertThat(r.crs()).isEmpty();
    assertThat(r.places()).isEmpty();
    assertThat(r.findings()).extracting(Finding::code).containsExactly("geojson.system");
    assertThat(r.bounds().maxE()).isEqualTo(412_010);
  }

  @Test
  void partsOfAPackedKmlAreFollowedAndNothingOutsideIt() throws IOException {
    String link = "<NetworkLink><Link><href>%s</href></Link></NetworkLink>";
    String place =
        "<Placemark><name>%s</name><Point><coordinates>7.5,58.9</coordinates></Point></Placemark>";
    Path f = dir.resolve("parts.kmz");
    try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(f))) {
      pack(
          zip,
          "doc.kml",
          place.formatted("A")
              + link.formatted("layers/b%20c.kml")
              + link.formatted("http://example.org/x.kml")
              + link.formatted("../../gone.kml"));
      pack(zip, "layers/b c.kml", place.formatted("B") + link.formatted("../doc.kml"));
      pack(zip, "unlinked.kml", place.formatted("C"));
    }
    Received r = Intake.read(f, Progress.NONE);
    assertThat(r.items())
        .flatExtracting(i -> ((Shape.Points) i.shape()).points())
        .extracting(NamedPoint::name)
        .containsExactlyInAnyOrder("A", "B");
    assertThat(r.findings())
        .extracting(Finding::message)
        .contains("2 × <NetworkLink> is not read.");
  }

  private static void pack(ZipOutputStream zip, String name, String content) throws IOException {
    zip.putNextEntry(new ZipEntry(name));
    zip.write(("<kml><Document>" + content + "</Document></kml>").getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void allGeometriesOfGeoJson() throws IOException {
    Path f =
        Files.writeString(
            dir.resolve("all.json"),
            """
            {"type":"FeatureCollection","features":[
             {"type":"Feature","id":7,"properties":{"layer":"A"},"geometry":{"type":"MultiPoint","coordinates":[[1,2],[3,4,5]]}},
             {"type":"Feature","properties":null,"geometry":{"type":"GeometryCollection","geometries":[
               {"type":"MultiPolygon","coordinates":[[[[0,0],[1,0],[1,1],[0,0]]]]},
               {"type":"LineString","coordinates":[[0,0,1],[1,1,2]]}]}},
             {"type":"Feature","properties":{},"geometry":null}]}
            """);
    Received r = Intake.read(f, Progress.NONE);
    assertThat(r.items()).extracting(Item::name).containsExactly("A", "all");
    assertThat(first(r, Shape.Points.class).points()).hasSize(2);
    assertThat(first(r, Shape.Lines.class).lines()).hasSize(2);
    assertThat(r.findings()).extracting(Finding::code).containsExactly("geojson.unread");
  }

  @Test
  void brokenGeoJsonNamesTheLine() throws IOException {
    Path f = dir.resolve("broken.geojson");
    Files.writeString(f, "{\"type\":\"FeatureCollection\",\n\"features\":[{\"type\":\"Fea");
    assertThatThrownBy(() -> Intake.read(f, Progress.NONE)).hasMessageContaining("line 2");
    Files.writeString(
        f,
        "{\"type\":\"Feature\",\"geometry\":{\"type\":\"Point\",\"coordinates\":[\"a\",2]},\"properties\":{}}");
    assertThatThrownBy(() -> Intake.read(f, Progress.NONE))
        .hasMessageContaining("not two or three numbers");
  }

  @Test
  void altitudesOfKmlCountWhereTheyAreAbsolute() throws IOException {
    String place =
        "<Placemark><name>N</name><Point><altitudeMode>%s</altitudeMode><coordinates>7.5,58.9,12</coordinates></Point></Placemark>";
    Path f =
        Files.writeString(
            dir.resolve("a.kml"),
            "<?xml version=\"1.0\"?><kml xmlns=\"http://www.opengis.net/kml/2.2\"><Document><Folder><name>Pegs</name>"
                + place.formatted("absolute")
                + place.formatted("relativeToGround")
                + "</Folder></Document></kml>");
    Received r = Intake.read(f, Progress.NONE);
    Shape.Points g = first(r, Shape.Points.class);
    assertThat(r.items()).extracting(Item::name).contains("Pegs");
    assertThat(g.points().get(0).position().level()).isEqualTo(12);
    assertThat(g.points().get(1).position().level()).isNaN();
    assertThat(r.findings()).extracting(Finding::code).containsExactly("kml.clamped");
  }

  @Test
  void anEntityBombInKmlIsNotOpened() throws IOException {
    Path f =
        Files.writeString(
            dir.resolve("bomb.kml"),
            "<?xml version=\"1.0\"?><!DOCTYPE kml [<!ENTITY a \"aaaa\">]><kml>&a;</kml>");
    assertThatThrownBy(() -> Intake.read(f, Progress.NONE)).hasMessageContaining("bomb.kml");
  }

  @Test
  void aMultipatchBecomesTriangles() throws IOException {
    double[][] strip = {{0, 0, 1}, {10, 0, 1}, {0, 10, 2}, {10, 10, 2}};
    int content = 44 + 8 + 4 * 16 + 16 + 4 * 8;
    ByteBuffer b = ByteBuffer.allocate(100 + 8 + content).order(ByteOrder.BIG_ENDIAN);
    b.putInt(0, 9994).putInt(24, b.capacity() / 2);
    b.putInt(100, 1).putInt(104, content / 2);
    b.order(ByteOrder.LITTLE_ENDIAN).putInt(28, 1000).putInt(32, 31);
    b.position(108);
    b.putInt(31).putDouble(0).putDouble(0).putDouble(10).putDouble(10);
    b.putInt(1).putInt(4).putInt(0).putInt(0);
    for (double[] p : strip) {
      b.putDouble(p[0]).putDouble(p[1]);
    }
    b.putDouble(1).putDouble(2);
    for (double[] p : strip) {
      b.putDouble(p[2]);
    }
    Path f = Files.write(dir.resolve("strip.shp"), b.array());
    Received r = Intake.read(f, Progress.NONE);
    Shape.Faces s = first(r, Shape.Faces.class);
    assertThat(s.mesh().triangleCount()).isEqualTo(2);
    assertThat(s.mesh().planArea()).isCloseTo(100, within(1e-9));
    assertThat(s.mesh().planArea(0)).isPositive();
    assertThat(s.mesh().planArea(1)).isPositive();
    assertThat(r.findings()).extracting(Finding::code).contains("place.system.missing");
  }
}
