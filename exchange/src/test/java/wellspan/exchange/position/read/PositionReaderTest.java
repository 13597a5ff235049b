package wellspan.exchange.position.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.crs.WellKnownTexts;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.intake.Intake;

class PositionReaderTest {
  @TempDir Path dir;

  private Received read(String name, String text) throws IOException {
    return Intake.read(Files.writeString(dir.resolve(name), text), Progress.NONE);
  }

  private static Frame frame(Received r) {
    return r.frame().orElseThrow();
  }

  @Test
  void projectionFilesNameACatalogueSystem() throws IOException {
    String wkt =
        WellKnownTexts.of(CrsCatalogue.shipped().find("25832").orElseThrow()).orElseThrow();
    Received r = read("shore.prj", wkt);
    assertThat(r.crs()).isEqualTo("EPSG:25832");
    assertThat(frame(r).definition()).isEmpty();
    assertThat(r.items()).isEmpty();
    assertThat(r.findings()).isEmpty();
  }

  @Test
  void siteGridsBecomeSystemsOfTheirOwn() throws IOException {
    String wkt =
        "PROJCS[\"Harbour_Grid_2024\",GEOGCS[\"GCS_ETRS_1989\",DATUM[\"D_ETRS_1989\",SPHEROID[\"GRS_1980\",6378137.0,298.257222101]],PRIMEM[\"Greenwich\",0.0],UNIT[\"Degree\",0.0174532925199433]],PROJECTION[\"Transverse_Mercator\"],PARAMETER[\"False_Easting\",1000.0],PARAMETER[\"False_Northing\",2000.0],PARAMETER[\"Central_Meridian\",7.5],PARAMETER[\"Scale_Factor\",1.0],PARAMETER[\"Latitude_Of_Origin\",58.9],UNIT[\"Meter\",1.0]]";
    Received r = read("yard.prj", wkt);
    assertThat(frame(r).crs()).isEqualTo("Harbour_Grid_2024");
    assertThat(frame(r).system().orElseThrow().metresPerUnit()).isEqualTo(1);
    assertThat(r.findings()).extracting(Finding::code).containsExactly("place.system.own");
  }

  @Test
  void worldFilesGiveTheFirstPixelAndTheTurn() throws IOException {
    Received r = read("h.tfw", "0.5\n0\n0\n-0.5\n412000.25\n6534999.75\n");
    assertThat(frame(r).basePoint().east()).isEqualTo(412_000.25);
    assertThat(frame(r).rotationDegrees()).isZero();
    assertThat(r.places().getFirst().level()).isEqualTo(40);
    assertThat(r.places().getFirst().says()).contains("pixels of 0.5000");
    double c = Math.cos(Math.toRadians(10)), s = Math.sin(Math.toRadians(10));
    Received turned =
        read("t.jgw", (2 * c) + "\n" + (-2 * s) + "\n" + (-2 * s) + "\n" + (-2 * c) + "\n1,5\n2\n");
    assertThat(frame(turned).rotationDegrees()).isCloseTo(10, within(1e-9));
    assertThat(frame(turned).basePoint().east()).isEqualTo(1.5);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"0.5\n0\n0\n-0.5\n412000\n", "0.5\n0\nzero\n-0.5\n1\n2\n", "1 2 3 4 NaN 6"})
  void brokenWorldFilesNameTheLine(String text) {
    assertThatThrownBy(() -> read("h.pgw", text))
        .isInstanceOf(ReadException.class)
        .hasMessageContaining("line ")
        .hasMessageContaining("six numbers");
  }

  @Test
  void brokenProjectionFilesGetASentence() {
    assertThatThrownBy(() -> read("x.prj", "PROJCS[\"open"))
        .isInstanceOf(ReadException.class)
        .hasMessageStartingWith("x.prj: ");
    assertThatThrownBy(() -> read("y.prj", "")).isInstanceOf(ReadException.class);
  }

  /** A TIFF with nothing but its position: pixel scale, tie point, GeoTIFF keys. */
  static byte[] tiff(ByteOrder order, boolean big, int epsg, boolean pixelIsPoint) {
    ByteBuffer b = ByteBuffer.allocate(1024).order(order);
    b.put(order == ByteOrder.LITTLE_ENDIAN ? new byte[] {'I', 'I'} : new byte[] {'M', 'M'});
    int directory = big ? 16 : 8;
    if (big) {
      b.putShort((short) 43).putShort((short) 8).putShort((short) 0).putLong(directory);
      b.putLong(3);
    } else {
      b.putShort((short) 42).putInt(directory);
      b.putShort((short) 3);
    }
    int data = 400;
    double[] scale = {0.25, 0.25, 0};
    double[] tie = {0, 0, 0, 412_000, 6_535_000, 0};
    short[] keys = {
      1,
      1,
      0,
      3,
      1024,
      0,
      1,
      1,
      1025,
      0,
      1,
      (short) (pixelIsPoint ? 2 : 1),
      3072,
      0,
      1,
      (short) epsg
    };
    entry(b, big, 33_550, 12, scale.length, data);
    entry(b, big, 33_922, 12, tie.length, data + 24);
    entry(b, big, 34_735, 3, keys.length, data + 72);
    b.position(data);
    for (double d : scale) {
      b.putDouble(d);
    }
    for (double d : tie) {
      b.putDouble(d);
    }
    for (short k : keys) {
      b.putShort(k);
    }
    return b.array();
  }

  private static void entry(ByteBuffer b, boolean big, int tag, int type, int n, int at) {
    b.putShort((short) tag).putShort((short) type);
    if (big) {
      b.putLong(n).putLong(at);
    } else {
      b.putInt(n).putInt(at);
    }
  }

  @Test
  void geoTiffKeysAreReadInBothByteOrdersAndSizes() throws IOException {
    for (ByteOrder order : new ByteOrder[] {ByteOrder.LITTLE_ENDIAN, ByteOrder.BIG_ENDIAN}) {
      for (boolean big : new boolean[] {false, true}) {
        Path f = Files.write(dir.resolve("h.tif"), tiff(order, big, 25832, false));
        Received r = Intake.read(f, Progress.NONE);
        assertThat(r.crs()).as(order + " " + big).isEqualTo("EPSG:25832");
        assertThat(frame(r).basePoint().east()).isEqualTo(412_000.125);
        assertThat(frame(r).basePoint().north()).isEqualTo(6_534_999.875);
        assertThat(r.places().getFirst().level()).isEqualTo(50);
      }
    }
    Path point = Files.write(dir.resolve("p.tif"), tiff(ByteOrder.BIG_ENDIAN, false, 32767, true));
    Received r = Intake.read(point, Progress.NONE);
    assertThat(frame(r).basePoint().east()).isEqualTo(412_000);
    assertThat(r.crs()).as("a user-defined system has no code").isEmpty();
  }

  @Test
  void damagedImagesGetASentence() throws IOException {
    byte[] whole = tiff(ByteOrder.LITTLE_ENDIAN, false, 25832, false);
    for (int n : new int[] {9, 20, 60, 410, 470}) {
      Path f = Files.write(dir.resolve("cut.tif"), java.util.Arrays.copyOf(whole, n));
      assertThatThrownBy(() -> Intake.read(f, Progress.NONE))
          .as(n + " bytes")
          .isInstanceOf(ReadException.class)
          .hasMessageContaining("cut.tif");
    }
    byte[] huge = whole.clone();
    ByteBuffer.wrap(huge).order(ByteOrder.LITTLE_ENDIAN).putInt(14, Integer.MAX_VALUE);
    Path f = Files.write(dir.resolve("huge.tif"), huge);
    assertThatThrownBy(() -> Intake.read(f, Progress.NONE)).hasMessageContaining("damaged");
  }

  @Test
  void imagesWithoutAPlaceSaySo() throws IOException {
    ByteBuffer b = ByteBuffer.allocate(64).order(ByteOrder.LITTLE_ENDIAN);
    b.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8).putShort((short) 0).putInt(0);
    Received r = Intake.read(Files.write(dir.resolve("plain.tif"), b.array()), Progress.NONE);
    assertThat(r.places()).isEmpty();
    assertThat(r.findings()).extracting(Finding::code).contains("place.none");
  }
}
