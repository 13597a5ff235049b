package wellspan.exchange.cloud.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.ReadingRule;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.intake.Intake;

class LasReaderTest {
  private static final int HEADER = 227;
  private static final int RECORD = 20;

  @TempDir Path dir;

  /** LAS 1.2, format 0: every third point is ground, the others are vegetation. */
  private static byte[] cloud(int points, int epsg) {
    int keys = epsg > 0 ? 54 + 16 : 0;
    ByteBuffer b =
        ByteBuffer.allocate(HEADER + keys + points * RECORD).order(ByteOrder.LITTLE_ENDIAN);
    b.put("LASF".getBytes(StandardCharsets.US_ASCII));
    b.put(24, (byte) 1).put(25, (byte) 2);
    b.putShort(94, (short) HEADER).putInt(96, HEADER + keys).putInt(100, keys > 0 ? 1 : 0);
    b.put(104, (byte) 0).putShort(105, (short) RECORD).putInt(107, points).putInt(111, points);
    double[] scaleAndOffset = {0.001, 0.001, 0.01, 412_000, 6_534_000, 0};
    for (int i = 0; i < 6; i++) {
      b.putDouble(131 + 8 * i, scaleAndOffset[i]);
    }
    if (keys > 0) {
      b.position(HEADER + 2);
      b.put("LASF_Projection".getBytes(StandardCharsets.US_ASCII));
      b.putShort(HEADER + 18, (short) 34735).putShort(HEADER + 20, (short) 16);
      short[] k = {1, 1, 0, 1, 3072, 0, 1, (short) epsg};
      for (int i = 0; i < 8; i++) {
        b.putShort(HEADER + 54 + 2 * i, k[i]);
      }
    }
    for (int i = 0; i < points; i++) {
      int at = HEADER + keys + i * RECORD;
      b.putInt(at, 1000 * i).putInt(at + 4, 2000 * i).putInt(at + 8, 100 * i);
      b.put(at + 14, (byte) 9).put(at + 15, (byte) (i % 3 == 0 ? 2 : 5));
    }
    return b.array();
  }

  @Test
  void pointsComeByClassWithTheSystem() throws IOException {
    Path f = Files.write(dir.resolve("shore.las"), cloud(9, 25832));
    Received r = Intake.read(f, Progress.NONE);
    assertThat(r.format()).isEqualTo("LAS 1.2");
    assertThat(r.crs()).isEqualTo("EPSG:25832");
    assertThat(r.items())
        .extracting(Item::name)
        .containsExactly("shore, 2 ground", "shore, 5 high vegetation");
    Shape.Points ground = (Shape.Points) r.items().getFirst().shape();
    assertThat(ground.points()).hasSize(3);
    assertThat(ground.points().get(1).position().east()).isCloseTo(412_003, within(1e-9));
    assertThat(ground.points().get(1).position().north()).isCloseTo(6_534_006, within(1e-9));
    assertThat(ground.points().get(1).position().level()).isCloseTo(3, within(1e-9));
  }

  /** The same cloud compressed: LAS 1.2, the points in chunks. */
  private static byte[] laz(byte[] las, int perChunk) {
    int vlr = 54 + 40;
    ByteBuffer in = ByteBuffer.wrap(las).order(ByteOrder.LITTLE_ENDIAN);
    int at = in.getInt(96);
    byte[] points =
        LazPoints.compressed(
            in.slice(at, las.length - at).order(ByteOrder.LITTLE_ENDIAN),
            RECORD,
            at + vlr,
            perChunk,
            LazChunk10::of);
    ByteBuffer b = ByteBuffer.allocate(at + vlr + points.length).order(ByteOrder.LITTLE_ENDIAN);
    b.put(las, 0, at);
    b.put(104, (byte) (in.get(104) | 0x80)).putInt(96, at + vlr).putInt(100, in.getInt(100) + 1);
    b.putShort((short) 0).put("laszip encoded".getBytes(StandardCharsets.US_ASCII));
    b.putShort(at + 18, (short) 22204).putShort(at + 20, (short) 40).position(at + 54);
    b.putShort((short) 2).putShort((short) 0).put((byte) 2).put((byte) 2).putShort((short) 0);
    b.putInt(0).putInt(perChunk).putLong(-1).putLong(-1).putShort((short) 1);
    b.putShort((short) 6).putShort((short) RECORD).putShort((short) 2);
    return b.put(points).array();
  }

  @ParameterizedTest
  @CsvSource({"1, 50000", "9, 50000", "9, 4", "20000, 50000", "20000, 3000"})
  void aCompressedCloudHoldsTheSamePoints(int points, int perChunk) throws IOException {
    byte[] las = cloud(points, 25832);
    Random random = new Random(points);
    ByteBuffer b = ByteBuffer.wrap(las).order(ByteOrder.LITTLE_ENDIAN);
    for (int at = b.getInt(96); at < las.length; at += RECORD) {
      b.putInt(at, b.getInt(at) + random.nextInt(-20_000_000, 20_000_000) / (1 + at % 7777));
      b.putInt(at + 4, random.nextInt(900_000)).putInt(at + 8, (int) (1e5 * random.nextGaussian()));
      b.putShort(at + 12, (short) random.nextInt(1 << 16));
      b.put(at + 15, (byte) (random.nextInt(4) == 0 ? 2 : 5));
    }
    byte[] packed = laz(las, perChunk);
    Received plain = Intake.read(Files.write(dir.resolve("c.las"), las), Progress.NONE);
    Received r = Intake.read(Files.write(dir.resolve("c.laz"), packed), Progress.NONE);
    assertThat(r.format()).isEqualTo("LAZ 1.2");
    assertThat(r.crs()).isEqualTo("EPSG:25832");
    assertThat(r.items()).isEqualTo(plain.items());
    byte[] cut = Arrays.copyOf(packed, packed.length - Math.max(30, packed.length / 3));
    assertThatThrownBy(() -> Intake.read(Files.write(dir.resolve("cut.laz"), cut), Progress.NONE))
        .isInstanceOf(ReadException.class);
  }

  private static final String WKT =
      "PROJCS[\"ETRS89 / UTM zone 32N\",GEOGCS[\"ETRS89\",DATUM[\"x\",SPHEROID[\"GRS 1980\",6378137,298.257222101]],PRIMEM[\"Greenwich\",0],UNIT[\"degree\",0.0174532925199433]],PROJECTION[\"Transverse_Mercator\"],PARAMETER[\"latitude_of_origin\",0],PARAMETER[\"central_meridian\",9],PARAMETER[\"scale_factor\",0.9996],PARAMETER[\"false_easting\",500000],PARAMETER[\"false_northing\",0],UNIT[\"metre\",1],AUTHORITY[\"EPSG\",\"25832\"]]";

  private static final int MODERN_HEADER = 375;

  private static int record(int format) {
    return switch (format) {
      case 6 -> 30;
      case 7 -> 36;
      default -> 38;
    };
  }

  /** LAS 1.4: single returns, system as text, classes above 31 too. */
  private static byte[] modern(int points, int format) {
    byte[] wkt = WKT.getBytes(StandardCharsets.US_ASCII);
    int record = record(format);
    int data = MODERN_HEADER + 54 + wkt.length;
    ByteBuffer b = ByteBuffer.allocate(data + points * record).order(ByteOrder.LITTLE_ENDIAN);
    b.put("LASF".getBytes(StandardCharsets.US_ASCII)).putShort(6, (short) 16);
    b.put(24, (byte) 1).put(25, (byte) 4);
    b.putShort(94, (short) MODERN_HEADER).putInt(96, data).putInt(100, 1);
    b.put(104, (byte) format).putShort(105, (short) record).putLong(247, points);
    double[] scaleAndOffset = {0.001, 0.001, 0.01, 412_000, 6_534_000, 0};
    for (int i = 0; i < 6; i++) {
      b.putDouble(131 + 8 * i, scaleAndOffset[i]);
    }
    b.position(MODERN_HEADER + 2).put("LASF_Projection".getBytes(StandardCharsets.US_ASCII));
    b.putShort(MODERN_HEADER + 18, (short) 2112);
    b.putShort(MODERN_HEADER + 20, (short) wkt.length).put(MODERN_HEADER + 54, wkt);
    Random random = new Random(points + format);
    int[] classes = {2, 5, 64};
    for (int i = 0; i < points; i++) {
      int at = data + i * record;
      b.putInt(at, 1000 * i + random.nextInt(5000)).putInt(at + 4, random.nextInt(900_000));
      b.putInt(at + 8, (int) (1e5 * random.nextGaussian()));
      b.putShort(at + 12, (short) random.nextInt(1 << 16)).put(at + 14, (byte) 0x11);
      b.put(at + 16, (byte) classes[random.nextInt(3)]).putDouble(at + 22, 1234.5);
      for (int k = 30; k < Math.min(record, 36); k += 2) {
        b.putShort(at + k, (short) (i / 3 % 256));
      }
    }
    return b.array();
  }

  private static byte[] layered(byte[] las, int format, int perChunk) {
    int items = format == 6 ? 1 : 2;
    int vlr = 54 + 34 + 6 * items;
    int record = record(format);
    ByteBuffer in = ByteBuffer.wrap(las).order(ByteOrder.LITTLE_ENDIAN);
    int at = in.getInt(96);
    byte[] points =
        LazPoints.compressed(
            in.slice(at, las.length - at).order(ByteOrder.LITTLE_ENDIAN),
            record,
            at + vlr,
            perChunk,
            (r, from, to) -> LazChunk14.of(r, record, from, to));
    ByteBuffer b = ByteBuffer.allocate(at + vlr + points.length).order(ByteOrder.LITTLE_ENDIAN);
    b.put(las, 0, at);
    b.put(104, (byte) (format | 0x80)).putInt(96, at + vlr).putInt(100, in.getInt(100) + 1);
    b.putShort((short) 0).put("laszip encoded".getBytes(StandardCharsets.US_ASCII));
    b.putShort(at + 18, (short) 22204).putShort(at + 20, (short) (vlr - 54)).position(at + 54);
    b.putShort((short) 3).putShort((short) 0).put((byte) 3).put((byte) 4).putShort((short) 0);
    b.putInt(0).putInt(perChunk).putLong(-1).putLong(-1).putShort((short) items);
    b.putShort((short) 10).putShort((short) 30).putShort((short) 3);
    if (items == 2) {
      b.putShort((short) (format == 7 ? 11 : 12)).putShort((short) (record - 30));
      b.putShort((short) 3);
    }
    return b.put(points).array();
  }

  @ParameterizedTest
  @CsvSource({"6, 1, 50000", "6, 9, 4", "6, 20000, 3000", "7, 5000, 50000", "8, 5000, 700"})
  void cloudsOfLas14ComeCompressedAndPlain(int format, int points, int perChunk)
      throws IOException {
    byte[] las = modern(points, format);
    Received plain = Intake.read(Files.write(dir.resolve("c.las"), las), Progress.NONE);
    assertThat(plain.format()).isEqualTo("LAS 1.4");
    assertThat(plain.crs()).isEqualTo("EPSG:25832");
    int read = 0;
    ByteBuffer b = ByteBuffer.wrap(las).order(ByteOrder.LITTLE_ENDIAN);
    Shape.Points first = (Shape.Points) plain.items().getFirst().shape();
    for (Item i : plain.items()) {
      read += ((Shape.Points) i.shape()).points().size();
    }
    assertThat(read).isEqualTo(points);
    int at = b.getInt(96);
    if (b.get(at + 16) == 2) {
      assertThat(first.points().getFirst().position().level())
          .isCloseTo(b.getInt(at + 8) / 100.0, within(1e-9));
    }
    byte[] packed = layered(las, format, perChunk);
    Received r = Intake.read(Files.write(dir.resolve("c.laz"), packed), Progress.NONE);
    assertThat(r.format()).isEqualTo("LAZ 1.4");
    assertThat(r.crs()).isEqualTo("EPSG:25832");
    assertThat(r.items()).isEqualTo(plain.items());
  }

  @Test
  void aCloudWithoutASystemSaysSo() throws IOException {
    Path f = Files.write(dir.resolve("c.las"), cloud(3, 0));
    assertThat(Intake.read(f, Progress.NONE).findings())
        .extracting(Finding::code)
        .containsExactly("place.system.missing");
  }

  @Test
  void cutOffEmptyAndUnknownCloudsAreSentences() throws IOException {
    byte[] whole = cloud(50, 25832);
    Path f = dir.resolve("c.las");
    Files.write(f, java.util.Arrays.copyOf(whole, whole.length - 15));
    assertThatThrownBy(() -> Intake.read(f, Progress.NONE)).hasMessageContaining("cut off");
    Files.write(f, cloud(0, 0));
    assertThatThrownBy(() -> Intake.read(f, Progress.NONE)).hasMessageContaining("no points");
    whole[25] = 9;
    Files.write(f, whole);
    assertThatThrownBy(() -> Intake.read(f, Progress.NONE)).hasMessageContaining("LAS 1.9");
  }

  private Received part(int points, ReadingRule rule) throws IOException {
    Path f = Files.write(dir.resolve("part.las"), cloud(points, 25832));
    return Intake.read(f, rule, Progress.NONE);
  }

  private static ReadingRule.CloudPart rule(int every, double cell, Integer... classes) {
    return new ReadingRule.CloudPart(new TreeSet<>(List.of(classes)), every, cell);
  }

  @Test
  void aPartIsTakenByClassAndEveryNth() throws IOException {
    Received r = part(30, rule(4, 0, 2));
    assertThat(r.items()).extracting(Item::name).containsExactly("part, 2 ground");
    // ground points are 0, 3, 6 … 27; each fourth of them: 0, 12, 24
    assertThat(((Shape.Points) r.items().getFirst().shape()).points())
        .extracting(p -> Math.rint(p.position().east()))
        .containsExactly(412_000.0, 412_012.0, 412_024.0);
    assertThat(r.counts()).containsEntry("2 ground", 10).containsEntry("5 high vegetation", 20);
    assertThat(r.findings()).extracting(Finding::code).containsExactly("cloud.part");
    assertThatThrownBy(() -> part(30, rule(1, 0, 6)))
        .hasMessageContaining("no points of the wanted classes, only 2 ground");
  }

  @Test
  void theLowestPointOfEachSquareIsTaken() throws IOException {
    Received r = part(30, rule(1, 10));
    // 1 m east, 2 m north and 1 m up from point to point: five points to a square of 10 m
    Shape.Points ground = (Shape.Points) r.items().getFirst().shape();
    assertThat(ground.points())
        .extracting(p -> p.position().level())
        .containsExactly(0.0, 6.0, 12.0, 15.0, 21.0, 27.0);
  }

  @Test
  void rulesThatMakeNoSenseAreRefused() {
    assertThatThrownBy(() -> rule(0, 0)).hasMessageContaining("Take every point");
    assertThatThrownBy(() -> rule(1, -1)).hasMessageContaining("square");
    assertThatThrownBy(() -> rule(1, Double.NaN)).hasMessageContaining("square");
    assertThatThrownBy(() -> rule(1, 0, 300)).hasMessageContaining("0 to 255");
  }
}
