package wellspan.exchange.image.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;
import wellspan.core.place.Placer;
import wellspan.core.place.SourcePlacement;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.intake.Intake;

class ImageReaderTest {
  private static final int RED = 0xFFC02020;
  private static final int BLUE = 0xFF2020C0;

  @TempDir Path dir;

  /** Red, its lower right quarter blue. */
  private Path picture(String name, int width, int height) throws IOException {
    BufferedImage i = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        i.setRGB(x, y, x >= width / 2 && y >= height / 2 ? BLUE : RED);
      }
    }
    String format = name.substring(name.lastIndexOf('.') + 1).toLowerCase(java.util.Locale.ROOT);
    Path f = dir.resolve(name);
    assertThat(ImageIO.write(i, format.equals("tif") ? "tiff" : format, f.toFile())).isTrue();
    return f;
  }

  private static Shape.Picture only(Received r) {
    assertThat(r.items()).hasSize(1);
    return (Shape.Picture) r.items().getFirst().shape();
  }

  @ParameterizedTest
  @CsvSource({"hinterland.png,pgw", "hinterland.jpg,jgw", "hinterland.tif,tfw", "a.PNG,PGW"})
  void aPictureLiesWhereItsWorldFileSays(String name, String world) throws IOException {
    Path f = picture(name, 80, 40);
    String stem = name.substring(0, name.lastIndexOf('.') + 1);
    Files.writeString(dir.resolve(stem + world), "2.5\n0\n0\n-2.5\n412001.25\n6534998.75\n");
    Received r = Intake.read(f, Progress.NONE);
    Shape.Picture g = only(r);
    Box b = g.bounds();
    assertThat(b.minE()).isCloseTo(412_000, within(1e-9));
    assertThat(b.maxE()).isCloseTo(412_200, within(1e-9));
    assertThat(b.maxN()).isCloseTo(6_535_000, within(1e-9));
    assertThat(b.minN()).isCloseTo(6_534_900, within(1e-9));
    assertThat(g.pixels().width()).isEqualTo(80);
    int lowerRight = g.pixels().argb()[35 * 80 + 75];
    assertThat(lowerRight & 0xFF).isGreaterThan(lowerRight >> 16 & 0xFF);
    assertThat(r.findings()).isEmpty();
    assertThat(r.format()).endsWith(" image");
  }

  @Test
  void theSystemComesFromTheProjectionFileBeside() throws IOException {
    Path f = picture("p.png", 4, 4);
    Files.writeString(dir.resolve("p.pgw"), "1\n0\n0\n-1\n412000\n6534500\n");
    Files.writeString(
        dir.resolve("p.prj"),
        "PROJCS[\"ETRS_1989_UTM_Zone_32N\",GEOGCS[\"GCS_ETRS_1989\",DATUM[\"D_ETRS_1989\",SPHEROID[\"GRS_1980\",6378137.0,298.257222101]],PRIMEM[\"Greenwich\",0.0],UNIT[\"Degree\",0.0174532925199433]],PROJECTION[\"Transverse_Mercator\"],PARAMETER[\"False_Easting\",500000.0],PARAMETER[\"False_Northing\",0.0],PARAMETER[\"Central_Meridian\",9.0],PARAMETER[\"Scale_Factor\",0.9996],PARAMETER[\"Latitude_Of_Origin\",0.0],UNIT[\"Meter\",1.0]]");
    assertThat(Intake.read(f, Progress.NONE).crs()).isEqualTo("EPSG:25832");
  }

  @Test
  void aPictureWithoutAPlaceSaysSoAndCanBeFitted() throws IOException {
    Received r = Intake.read(picture("p.png", 30, 20), Progress.NONE);
    assertThat(r.findings()).extracting(Finding::code).containsExactly("place.none");
    Received placed =
        Placer.place(
            "p",
            r,
            SourcePlacement.SHARED.withWhere(
                new SourcePlacement.Where.Local(new Position(412_000, 6_534_500, 0), 90, 1)),
            Frame.UNPLACED);
    // turned by a quarter, the 30 wide and 20 high picture is 20 wide and 30 high
    Box b = only(placed).bounds();
    assertThat(b.width()).isCloseTo(20, within(1e-9));
    assertThat(b.depth()).isCloseTo(30, within(1e-9));
  }

  @Test
  void manyPixelsAreThinnedAndThatIsSaid() throws IOException {
    Path f = picture("large.png", 7000, 4000);
    Files.writeString(dir.resolve("large.pgw"), "0.1\n0\n0\n-0.1\n0.05\n399.95\n");
    Received r = Intake.read(f, Progress.NONE);
    assertThat(only(r).pixels().width()).isEqualTo(3500);
    assertThat(only(r).bounds().width()).isCloseTo(700, within(1e-9));
    assertThat(r.findings()).extracting(Finding::code).containsExactly("image.thinned");
  }

  @Test
  void damagedPicturesAndWorldFilesAreSentences() throws IOException {
    Path f = picture("cut.png", 200, 200);
    byte[] all = Files.readAllBytes(f);
    Files.write(f, Arrays.copyOf(all, all.length / 2));
    assertThatThrownBy(() -> Intake.read(f, Progress.NONE))
        .isInstanceOf(ReadException.class)
        .hasMessageContaining("the picture is damaged");
    Path g = picture("flat.png", 4, 4);
    Files.writeString(dir.resolve("flat.pgw"), "1\n0\n0\n0\n0\n0\n");
    assertThatThrownBy(() -> Intake.read(g, Progress.NONE))
        .hasMessageContaining("its pixels have no area");
    Files.writeString(dir.resolve("flat.pgw"), "1\n0\n0\nup\n0\n0\n");
    assertThatThrownBy(() -> Intake.read(g, Progress.NONE)).hasMessageContaining("six numbers");
  }
}
