package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.attribute.Attributes;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.packing.Packing;
import wellspan.core.picture.PicturePlace;
import wellspan.core.picture.Pixels;
import wellspan.core.picture.Texture;
import wellspan.core.place.Control;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Proof;
import wellspan.core.proof.Prover;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.ifc.read.IfcReader;
import wellspan.exchange.intake.SourceIntake;

class PicturedDeliveryTest {
  private static final Frame FRAME =
      Frame.UNPLACED
          .withCrs("EPSG:25832")
          .withBasePoint(new Position(412_000, 6_534_500, 5))
          .withRotation(Math.toRadians(21.5));
  private static final GlobalIds IDS = new GlobalIds(new UUID(3, 4));

  @TempDir Path dir;

  private Path model;

  @BeforeEach
  void target() throws IOException {
    model = Files.createDirectory(dir.resolve("out")).resolve("ground model.ifc");
  }

  /** A picture a little larger than the ground, turned, with clear pixels in it. */
  private static Item ground(int shade) {
    int w = 23, h = 17;
    int[] argb = new int[w * h];
    for (int i = 0; i < argb.length; i++) {
      argb[i] = i % 7 == 0 ? 0 : 0xFF000000 | i * 40_503 & 0xFFFF00 | shade;
    }
    double e = 412_090, n = 6_534_700;
    PicturePlace place =
        new PicturePlace(
            new double[] {
              e, n, Double.NaN, e + 120, n + 9, Double.NaN, e - 8, n - 110, Double.NaN
            });
    return DeliveredItems.ground()
        .with(Attributes.NONE.withTexture(Optional.of(new Texture(new Pixels(w, h, argb), place))));
  }

  private static Parcel parcel(DeliveryFormat format, LinearUnit unit, Item item) {
    IfcSchema schema = format.schema().orElse(IfcSchema.IFC4X3);
    Parcel.Piece piece =
        Packing.loosePiece(IDS, ItemId.of("s", "surface", "Ground"), item, schema, "x");
    return new Parcel("p", format, FRAME, unit, IDS, List.of(piece), Control.NONE);
  }

  private static Parcel parcel(Item item) {
    return parcel(new IfcFormat(IfcSchema.IFC4X3), LinearUnit.METRE, item);
  }

  private DeliveryRun.Outcome run(Parcel p, Progress progress) throws IOException {
    return DeliveryRun.run("d", p, model, Clock.systemUTC(), progress);
  }

  private List<Path> pictures() throws IOException {
    try (Stream<Path> files = Files.list(model.getParent())) {
      return files.filter(f -> f.toString().endsWith(".png")).sorted().toList();
    }
  }

  @ParameterizedTest
  @CsvSource({"IFC4X3, METRE", "IFC4X3, MILLIMETRE", "IFC4, METRE", "IFC4, US_SURVEY_FOOT"})
  void thePictureArrivesWithItsPixelsInItsPlace(IfcSchema schema, String unit) throws Exception {
    LinearUnit u = (LinearUnit) LinearUnit.class.getField(unit).get(null);
    Item sent = ground(0x11);
    DeliveryRun.Outcome o = run(parcel(new IfcFormat(schema), u, sent), Progress.NONE);
    assertThat(o.receipt().proof().findings()).isEmpty();
    assertThat(o.receipt().proof().pass()).isTrue();
    assertThat(o.receipt().files()).hasSize(2);
    Texture there = o.arrived().items().getFirst().attributes().texture().orElseThrow();
    Texture here = sent.attributes().texture().orElseThrow();
    assertThat(there.pixels().argb()).isEqualTo(here.pixels().argb());
    for (int i : new int[] {0, 1, 3, 4, 6, 7}) {
      assertThat(there.place().corners()[i]).isCloseTo(here.place().corners()[i], within(1e-5));
    }
    BufferedImage png = ImageIO.read(pictures().getFirst().toFile());
    assertThat(png.getRGB(1, 0)).isEqualTo(here.pixels().argb()[1]);
  }

  @ParameterizedTest
  @CsvSource({"IFC2X3", "LandXML 1.2", "DXF 2000"})
  void aFormatWithoutPicturesSaysSo(String id) throws IOException {
    DeliveryFormat f = DeliveryFormat.named(id).orElseThrow();
    Proof p = run(parcel(f, LinearUnit.METRE, ground(1)), Progress.NONE).receipt().proof();
    assertThat(p.pass()).isTrue();
    assertThat(p.findings()).extracting(Finding::code).contains("deliver.texture");
    assertThat(pictures()).isEmpty();
  }

  @Test
  void aPictureThatAnEarlierDeliveryRefersToStaysAndNothingIsLeftOfACancelledOne()
      throws IOException {
    run(parcel(ground(0x11)), Progress.NONE);
    List<Path> first = pictures();
    run(parcel(ground(0x11)), Progress.NONE);
    assertThat(pictures()).isEqualTo(first).hasSize(1);
    assertThatThrownBy(() -> run(parcel(ground(0x22)), new CancelledAt("Comparing")))
        .isInstanceOf(CancellationException.class);
    assertThatThrownBy(() -> run(parcel(ground(0x11)), new CancelledAt("Comparing")))
        .isInstanceOf(CancellationException.class);
    assertThat(pictures()).isEqualTo(first);
    run(parcel(ground(0x22)), Progress.NONE);
    assertThat(pictures()).hasSize(2).containsAll(first);
  }

  private Proof proofOfDamaged(UnaryOperator<String> damage) throws IOException {
    Parcel p = parcel(ground(0x11));
    run(p, Progress.NONE);
    String text = Files.readString(model);
    String damaged = damage.apply(text);
    assertThat(damaged).isNotEqualTo(text);
    Files.writeString(model, damaged);
    return Prover.compare(p, IfcReader.read(model, Progress.NONE), Progress.NONE);
  }

  @Test
  void aPictureLaidAsideFailsTheProof() throws IOException {
    Proof p =
        proofOfDamaged(
            t -> {
              // the same picture, half a per cent lower
              int at = t.indexOf("IFCTEXTUREVERTEXLIST(") + "IFCTEXTUREVERTEXLIST(".length();
              int end = t.indexOf(");", at);
              StringBuilder moved = new StringBuilder();
              for (String pair : t.substring(at + 2, end - 2).split("\\),\\(")) {
                String[] uv = pair.split(",");
                moved.append(moved.isEmpty() ? "((" : "),(").append(uv[0]).append(',');
                moved.append(Double.parseDouble(uv[1]) + 0.005);
              }
              return t.substring(0, at) + moved + "))" + t.substring(end);
            });
    assertThat(p.pass()).isFalse();
    assertThat(p.findings())
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.code()).isEqualTo("proof.texture");
              assertThat(f.message()).contains("aside");
            });
  }

  @Test
  void aPictureThatIsGoneOrAnotherOneFailsTheProof() throws IOException {
    Proof gone = proofOfDamaged(t -> t.replaceAll("#\\d+=IFCINDEXEDTRIANGLETEXTUREMAP.*\n", ""));
    assertThat(gone.pass()).isFalse();
    assertThat(gone.findings()).extracting(Finding::code).contains("proof.texture");
    Parcel p = parcel(ground(0x11));
    run(p, Progress.NONE);
    BufferedImage png = ImageIO.read(pictures().getFirst().toFile());
    png.setRGB(3, 3, 0xFF123456);
    ImageIO.write(png, "png", pictures().getFirst().toFile());
    Proof other = Prover.compare(p, IfcReader.read(model, Progress.NONE), Progress.NONE);
    assertThat(other.findings())
        .singleElement()
        .extracting(Finding::message)
        .asString()
        .contains("other pixels");
  }

  @Test
  void aPictureIsNeverFetchedFromElsewhere() throws IOException {
    for (String address :
        List.of("http://example.org/a.png", "file:/etc/a.png", "../secret.png", "/etc/a.png")) {
      Files.write(dir.resolve("secret.png"), new byte[] {1});
      Proof p = proofOfDamaged(t -> t.replaceFirst("'[^']*\\.png'", "'" + address + "'"));
      assertThat(p.pass()).isFalse();
      assertThat(IfcReader.read(model, Progress.NONE).findings())
          .as(address)
          .extracting(Finding::message)
          .anyMatch(m -> m.contains(address) && m.contains("lies elsewhere"));
    }
  }

  @Test
  void aPictureThatIsMissingOrDamagedLeavesTheGroundAndIsTold() throws IOException {
    run(parcel(ground(0x11)), Progress.NONE);
    Files.write(pictures().getFirst(), new byte[] {1, 2, 3});
    Received damaged = IfcReader.read(model, Progress.NONE);
    assertThat(damaged.findings()).extracting(Finding::code).containsExactly("ifc.picture");
    Files.delete(pictures().getFirst());
    Received without = IfcReader.read(model, Progress.NONE);
    assertThat(without.findings())
        .singleElement()
        .extracting(Finding::message)
        .asString()
        .contains("is not beside the file");
    assertThat(without.items().getFirst().attributes().texture()).isEmpty();
  }

  @Test
  void textureCoordinatesThatAreNotFromAboveAreCountedAsNotRead() throws IOException {
    Proof p =
        proofOfDamaged(
            t ->
                t.replaceFirst(
                    "IFCTEXTUREVERTEXLIST\\(\\(\\([^)]*\\)", "IFCTEXTUREVERTEXLIST(((0.9,0.1)"));
    assertThat(p.pass()).isFalse();
    Received r = IfcReader.read(model, Progress.NONE);
    assertThat(r.findings())
        .extracting(Finding::message)
        .anyMatch(m -> m.contains("IfcIndexedTriangleTextureMap") && m.contains("not read"));
  }

  @Test
  void aReceivedModelTakesItsPictureIntoTheJob() throws IOException {
    run(parcel(ground(0x11)), Progress.NONE);
    JobStore store = new JobStore(dir.resolve("job"));
    store.create(Job.named("j"));
    Job job =
        SourceIntake.take(
                store, store.open(), model, Optional.empty(), Clock.systemUTC(), Progress.NONE)
            .job();
    Files.delete(pictures().getFirst());
    Item again =
        SourceIntake.build(store, job, Progress.NONE).items().values().iterator().next().item();
    assertThat(again.attributes().texture()).isPresent();
  }
}
