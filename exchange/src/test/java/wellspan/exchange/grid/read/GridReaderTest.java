package wellspan.exchange.grid.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.intake.Intake;

/**
 * Seven by five cells of 5 m from E 412 000 N 6 534 000; the level of column c and row r (from the
 * north) is 10 + 1.5 c + 0.25 r, and the third cell of the second row has none. The rasters were
 * written by GDAL.
 */
class GridReaderTest {
  private static final Path SAMPLES =
      Path.of("src", "test", "resources", "wellspan", "exchange", "grid");
  private static final String HEAD =
      "ncols 3\nnrows 2\nxllcorner 412000\nyllcorner 6534000\ncellsize 10\nNODATA_value -1\n";

  @TempDir Path dir;

  private Received text(String grid) throws IOException {
    return Intake.read(Files.writeString(dir.resolve("shore.asc"), grid), Progress.NONE);
  }

  private static Mesh mesh(Received r) {
    assertThat(r.items()).hasSize(1);
    return ((Shape.Faces) r.items().getFirst().shape()).mesh();
  }

  private static void refused(Path file, String said) {
    assertThatThrownBy(() -> Intake.read(file, Progress.NONE))
        .isInstanceOf(ReadException.class)
        .hasMessageContaining(said);
  }

  @Test
  void levelsStandAtTheCentresOfTheCells() throws IOException {
    Received r = text(HEAD + "1 2 3\n4,5 5 6\n");
    assertThat(r.format()).isEqualTo("text grid");
    assertThat(r.items().getFirst().name()).isEqualTo("shore");
    Mesh m = mesh(r);
    assertThat(m.vertexCount()).isEqualTo(6);
    assertThat(m.east(0)).isEqualTo(412_005);
    assertThat(m.north(0)).isEqualTo(6_534_015);
    assertThat(m.level(3)).isEqualTo(4.5);
    assertThat(m.triangleCount()).isEqualTo(4);
    assertThat(m.planArea()).isCloseTo(200, within(1e-9));
    int[] t = m.triangles();
    for (int i = 0; i < t.length; i += 3) {
      double turn =
          (m.east(t[i + 1]) - m.east(t[i])) * (m.north(t[i + 2]) - m.north(t[i]))
              - (m.north(t[i + 1]) - m.north(t[i])) * (m.east(t[i + 2]) - m.east(t[i]));
      assertThat(turn).as("counter-clockwise from above").isEqualTo(100);
    }
  }

  @Test
  void cellsWithoutALevelAreHoles() throws IOException {
    Received r = text(HEAD.replace("xllcorner 412000", "xllcenter 412000") + "1 -1 3 4\n5 NaN");
    Mesh m = mesh(r);
    assertThat(m.vertexCount()).isEqualTo(4);
    assertThat(m.east(0)).isEqualTo(412_000);
    assertThat(m.triangleCount()).as("only the first cell has three corners").isEqualTo(1);
    assertThat(r.findings())
        .extracting(Finding::code)
        .containsExactly("grid.gaps", "units.missing");
    Received one = text(HEAD + "1 2 3\n4 5 -1");
    assertThat(mesh(one).triangleCount()).as("a cell and a half").isEqualTo(3);
    assertThat(mesh(one).planArea()).isCloseTo(150, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "1 2 3 4 5|6 levels are declared and 5 are there",
        "1 2 3 4 5 6 7|line 7: more levels follow",
        "1 2 3 4 5 x|line 7: \"x\" is not a level"
      })
  void levelsThatAreTooFewTooManyOrNoneAreRefused(String levels, String said) throws IOException {
    refused(Files.writeString(dir.resolve("bad.asc"), HEAD + levels), said);
  }

  @ParameterizedTest
  @CsvSource({
    "ncols 3,ncols 300000,more than a file of this size",
    "ncols 3,ncols 2.5,no ncols that is a whole number",
    "cellsize 10,cellsize 0,no positive cellsize",
    "cellsize 10,cellsize ten,line 5: \"ten\" is not a number",
    "xllcorner 412000,nrows 2,neither xllcorner nor xllcenter"
  })
  void aHeadThatCannotBeIsRefused(String good, String bad, String said) throws IOException {
    refused(
        Files.writeString(dir.resolve("bad.asc"), HEAD.replace(good, bad) + "1 2 3 4 5 6"), said);
  }

  @ParameterizedTest
  @CsvSource({
    "float32-tiled-deflate-predictor3,1,10,2.5,0",
    "float32-big-endian-deflate-predictor3,1,10,2.5,0",
    "float64-strips,1,10,2.5,0",
    "float32-packbits-point,1,10,2.5,0",
    "int16-lzw-predictor2,10,100,2.5,0"
  })
  void rastersOfAllKindsHoldTheSameGrid(
      String name, double times, double base, double centre, double tolerance) throws IOException {
    Received r = Intake.read(SAMPLES.resolve(name + ".tif"), Progress.NONE);
    assertThat(r.crs()).isEqualTo("EPSG:25832");
    assertThat(r.places()).hasSize(1);
    Mesh m = mesh(r);
    assertThat(m.vertexCount()).isEqualTo(34);
    assertThat(m.east(0)).isEqualTo(412_000 + centre);
    assertThat(m.north(0)).isEqualTo(6_534_025 - centre);
    double perRow = times == 1 ? 0.25 : 2;
    assertThat(m.level(33)).isCloseTo(base + 1.5 * times * 6 + perRow * 4, within(tolerance));
    assertThat(m.triangleCount())
        .as("24 cells, four of them with one corner missing")
        .isEqualTo(44);
    assertThat(r.findings().getFirst().message()).contains("1 cell of the grid has no level");
  }

  @Test
  void rastersThatCannotBeReadSayWhy() throws IOException {
    refused(SAMPLES.resolve("float32-zstd.tif"), "packed with ZSTD");
    refused(SAMPLES.resolve("float32-big.tif"), "BigTIFF");
    byte[] whole = Files.readAllBytes(SAMPLES.resolve("float64-strips.tif"));
    refused(
        Files.write(dir.resolve("cut.tif"), Arrays.copyOf(whole, whole.length - 100)),
        "cannot be read");
    refused(Files.write(dir.resolve("head.tif"), Arrays.copyOf(whole, 40)), "inside its directory");
    Received image = Intake.read(SAMPLES.resolve("image.tif"), Progress.NONE);
    assertThat(image.items())
        .as("a picture is no grid")
        .allSatisfy(i -> assertThat(i.shape()).isInstanceOf(Shape.Picture.class));
    assertThat(image.places()).hasSize(1);
  }

  /** Samples by an independent program: 3 × 2 cells of 10 in each system's own unit. */
  @Test
  void aSystemIsRightOrNotDeclared() throws IOException {
    Received feet = Intake.read(SAMPLES.resolve("system-in-feet.tif"), Progress.NONE);
    assertThat(feet.crs()).isEqualTo("EPSG:2225");
    assertThat(feet.bounds().minE()).isCloseTo(6_000_005.0 * 1200 / 3937.0, within(1e-3));
    assertThat(feet.findings()).anySatisfy(f -> assertThat(f.code()).isEqualTo("units.levels"));
    Received own = Intake.read(SAMPLES.resolve("system-of-its-own.tif"), Progress.NONE);
    assertThat(own.crs()).isEmpty();
    assertThat(own.findings())
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("system of its own"));
    Received degrees = Intake.read(SAMPLES.resolve("degrees.tif"), Progress.NONE);
    assertThat(degrees.unit()).isEqualTo("degree");
    assertThat(degrees.places().getFirst().says()).contains("0.0010000 degrees");
  }

  @Test
  void aTextGridTakesTheSystemBesideItOrLooksLikeDegrees() throws IOException {
    String cells = "\n1 2 3\n4 5 6\n";
    Path grid =
        Files.writeString(
            dir.resolve("g.asc"),
            "ncols 3\nnrows 2\nxllcorner 400000\nyllcorner 300000\ncellsize 10" + cells);
    assertThat(Intake.read(grid, Progress.NONE).crs()).isEmpty();
    Files.writeString(
        dir.resolve("g.prj"),
        "PROJCS[\"British_National_Grid\",GEOGCS[\"GCS_OSGB_1936\",DATUM[\"D_OSGB_1936\",SPHEROID[\"Airy_1830\",6377563.396,299.3249646]],PRIMEM[\"Greenwich\",0.0],UNIT[\"Degree\",0.0174532925199433]],PROJECTION[\"Transverse_Mercator\"],PARAMETER[\"False_Easting\",400000.0],PARAMETER[\"False_Northing\",-100000.0],PARAMETER[\"Central_Meridian\",-2.0],PARAMETER[\"Scale_Factor\",0.9996012717],PARAMETER[\"Latitude_Of_Origin\",49.0],UNIT[\"Meter\",1.0]]");
    assertThat(Intake.read(grid, Progress.NONE).crs()).isEqualTo("EPSG:27700");
    Path small =
        Files.writeString(
            dir.resolve("d.asc"),
            "ncols 3\nnrows 2\nxllcorner 7.5\nyllcorner 58.9\ncellsize 0.001" + cells);
    assertThat(Intake.read(small, Progress.NONE).findings())
        .anySatisfy(f -> assertThat(f.code()).isEqualTo("units.degrees"));
  }
}
