package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import wellspan.core.attribute.Finish;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.DxfFormat;
import wellspan.core.deliver.DxfRelease;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.overlay.EarthBodies;
import wellspan.core.packing.Packing;
import wellspan.core.place.Control;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Proof;
import wellspan.core.proof.Prover;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.ifc.read.IfcReader;

/** Materials and colours of covers, ground and earth in models. */
class FinishDeliveryTest {
  private static final Frame FRAME =
      Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 0), 0);
  private static final GlobalIds IDS = new GlobalIds(new UUID(3, 4));

  @TempDir Path dir;

  private static Mesh square(double level) {
    double e = 412_000, n = 6_534_500;
    return new Mesh(
        new double[] {e, n, 0, e + 10, n, level, e + 10, n + 10, level, e, n + 10, 0},
        new int[] {0, 1, 2, 0, 2, 3});
  }

  private static Parcel parcel(IfcSchema schema) {
    EarthBodies earth = EarthBodies.between(square(0), square(2), Progress.NONE);
    EarthBodies dug = EarthBodies.between(square(2), square(0), Progress.NONE);
    List<Item> items =
        List.of(
            Item.surface("Ground", square(1)),
            Item.cover("Lane", square(1), "asphalt concrete"),
            Item.cover("Verge", square(1), "grass"),
            Item.cover("Strip", square(1), "grass"),
            Item.cover("Odd", square(1), ""),
            Item.of("Up", Kind.FILL, new Shape.Faces(earth.fill())),
            Item.of("Down", Kind.CUT, new Shape.Faces(dug.cut())),
            Item.body("Thing", dug.cut(), Band.STRUCTURES));
    return new Parcel(
        "p",
        schema,
        FRAME,
        LinearUnit.METRE,
        IDS,
        items.stream()
            .map(i -> Packing.loosePiece(IDS, ItemId.of("f", i), i, schema, "f.xml"))
            .toList(),
        Control.NONE);
  }

  private Path write(IfcSchema schema) throws IOException {
    Path f = dir.resolve(schema.id() + ".ifc");
    DeliveryRun.Outcome o =
        DeliveryRun.run("f", parcel(schema), f, Clock.systemUTC(), Progress.NONE);
    assertThat(o.receipt().proof().findings()).noneMatch(Finding::isError);
    assertThat(o.receipt().proof().pass()).isTrue();
    return f;
  }

  private static Optional<Finish> finish(Received r, String name) {
    return r.items().stream()
        .filter(e -> e.name().equals(name))
        .findFirst()
        .orElseThrow()
        .said()
        .finish();
  }

  @ParameterizedTest
  @EnumSource
  void materialsAndColoursArriveInEverySchema(IfcSchema schema) throws IOException {
    Received r = IfcReader.read(write(schema), Progress.NONE);
    assertThat(finish(r, "Lane"))
        .contains(new Finish("asphalt concrete", Finish.colour("asphalt")));
    assertThat(finish(r, "Verge")).contains(new Finish("grass", 0x7E9B5C));
    assertThat(finish(r, "Odd").orElseThrow().material()).isEmpty();
    assertThat(finish(r, "Ground").orElseThrow().material()).isEmpty();
    assertThat(finish(r, "Up").orElseThrow().material()).isEqualTo("fill");
    assertThat(finish(r, "Down").orElseThrow().material()).isEqualTo("cut earth");
    assertThat(finish(r, "Thing")).isEmpty();
    assertThat(r.counts().get("IfcMaterial")).isEqualTo(4); // grass is written once
  }

  @Test
  void earthGoesAsEarthworks() throws IOException {
    Received r = IfcReader.read(write(IfcSchema.IFC4X3), Progress.NONE);
    assertThat(r.counts()).containsEntry("IfcEarthworksFill", 1);
    assertThat(r.counts()).containsEntry("IfcEarthworksElement", 1);
  }

  @Test
  void aColourOrMaterialThatIsNotAsSentFailsTheProof() throws IOException {
    Path f = write(IfcSchema.IFC4X3);
    String good = Files.readString(f);
    for (String wrong :
        List.of(
            good.replace("'grass'", "'gravel'"),
            good.replaceFirst("IFCCOLOURRGB\\(\\$,0\\.\\d+", "IFCCOLOURRGB(\\$,0.01"))) {
      assertThat(wrong).isNotEqualTo(good);
      Files.writeString(f, wrong);
      Proof p =
          Prover.compare(parcel(IfcSchema.IFC4X3), IfcReader.read(f, Progress.NONE), Progress.NONE);
      assertThat(p.pass()).isFalse();
      assertThat(p.findings())
          .extracting(Finding::code)
          .containsAnyOf("proof.material", "proof.colour");
    }
  }

  /** Ground is open, a body is closed, and the file says so in each schema. */
  @ParameterizedTest
  @EnumSource
  void bodiesAreWrittenAsClosedAndGroundAsOpen(IfcSchema schema) throws IOException {
    String text = Files.readString(write(schema));
    if (schema == IfcSchema.IFC2X3) {
      assertThat(text.split("IFCFACETEDBREP\\(", -1)).as("three bodies").hasSize(4);
      assertThat(text.split("IFCFACEBASEDSURFACEMODEL\\(|IFCSHELLBASEDSURFACEMODEL\\(", -1))
          .as("five surfaces")
          .hasSize(6);
    } else {
      assertThat(text.split("FACESET\\(#\\d+,\\$,\\.T\\.", -1)).as("three bodies").hasSize(4);
      assertThat(text.split("FACESET\\(#\\d+,\\$,\\.F\\.", -1)).as("five surfaces").hasSize(6);
    }
  }

  /**
   * Names of points are half a metre high in a drawing of any unit, which it says by its number.
   */
  @ParameterizedTest
  @CsvSource({
    "INCH, 1",
    "FOOT, 2",
    "MILE, 3",
    "MILLIMETRE, 4",
    "CENTIMETRE, 5",
    "METRE, 6",
    "KILOMETRE, 7",
    "US_SURVEY_FOOT, 21"
  })
  void namesOfPointsAreHalfAMetreHigh(LinearUnit unit, String number) throws IOException {
    Item pegs =
        Item.points("Pegs", List.of(new NamedPoint("P1", new Position(412_001, 6_534_501, 2), "")));
    DeliveryFormat dxf = new DxfFormat(DxfRelease.R2000, false);
    Path f = dir.resolve("pegs.dxf");
    DeliveryRun.run(
        "pegs",
        Packing.loose(
            "p",
            dxf,
            FRAME,
            unit,
            IDS,
            List.of(Packing.loosePiece(IDS, ItemId.of("f", pegs), pegs, dxf, "f"))),
        f,
        Clock.systemUTC(),
        Progress.NONE);
    List<String> lines = Files.readAllLines(f);
    int text = lines.indexOf("AcDbText");
    int height = text + 1 + lines.subList(text + 1, lines.size()).indexOf(" 40") + 1;
    double lastDecimal = Math.pow(10, -dxf.decimals(unit)) * unit.metres();
    boolean decimal =
        List.of("MILLIMETRE", "CENTIMETRE", "METRE", "KILOMETRE").contains(unit.name());
    assertThat(Double.parseDouble(lines.get(height)) * unit.metres())
        .isCloseTo(0.5, within(decimal ? 0 : 0.501 * lastDecimal));
    assertThat(lines.get(lines.indexOf("$INSUNITS") + 2).strip()).isEqualTo(number);
  }
}
