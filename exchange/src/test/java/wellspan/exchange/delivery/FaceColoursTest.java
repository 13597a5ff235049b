package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.Finish;
import wellspan.core.deliver.DxfFormat;
import wellspan.core.deliver.DxfRelease;
import wellspan.core.deliver.Losses;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Proof;
import wellspan.core.proof.Prover;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.FaceFinishes;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.ifc.read.IfcReader;

/** Things whose faces have several materials and colours. */
class FaceColoursTest extends DeliveredInTest {
  private static final Finish STEEL = new Finish("Steel", 0x3366CC);
  private static final Finish PAINT = new Finish("Paint, red", 0xCC0000);

  /** A body of four faces: two of steel, one painted, one that says nothing. */
  private static Item painted() {
    Item block = DeliveredItems.block();
    Mesh mesh = block.triangles().orElseThrow();
    FaceFinishes each = FaceFinishes.of(new Finish[] {STEEL, PAINT, STEEL, null}).orElseThrow();
    return block
        .with(new Shape.Faces(mesh, Optional.of(each)))
        .saying(Description.of(List.of(), Optional.of(each.whole(mesh))));
  }

  private static int[] colours(Item i) {
    return FaceFinishes.of(i.shape()).orElseThrow().colours(i.said().finish().orElseThrow().rgb());
  }

  @ParameterizedTest
  @EnumSource
  void everyFaceArrivesInItsColourAndTheThingOfAllItsMaterials(IfcSchema schema)
      throws IOException {
    Parcel p = parcel(schema, FRAME, LinearUnit.METRE, painted());
    DeliveryRun.Outcome o = run(p);
    assertThat(o.receipt().proof().pass()).isTrue();
    Item back = IfcReader.read(dir.resolve("a.ifc"), Progress.NONE).items().getFirst();
    assertThat(colours(back)).containsExactly(0x3366CC, 0xCC0000, 0x3366CC, 0x3366CC);
    assertThat(back.said().finish()).contains(new Finish("Steel, Paint, red", 0x3366CC));
    assertThat(back.said().closed()).contains(true);
  }

  @ParameterizedTest
  @EnumSource
  void oneFaceInAnotherColourFailsTheProofAndIsNamed(IfcSchema schema) throws IOException {
    Parcel p = parcel(schema, FRAME, LinearUnit.METRE, painted());
    run(p);
    Path f = dir.resolve("a.ifc");
    String good = Files.readString(f);
    String wrong =
        schema == IfcSchema.IFC2X3
            ? good.replaceFirst("IFCCOLOURRGB\\(\\$,0\\.8,0\\.", "IFCCOLOURRGB(\\$,0.8,0.5")
            : good.replaceFirst("\\(1,2,1,1\\)", "(1,1,2,1)");
    assertThat(wrong).isNotEqualTo(good);
    Files.writeString(f, wrong);
    Proof proof = Prover.compare(p, IfcReader.read(f, Progress.NONE), Progress.NONE);
    assertThat(proof.pass()).isFalse();
    assertThat(proof.findings())
        .filteredOn(Finding::isError)
        .allSatisfy(e -> assertThat(e.code()).isEqualTo("proof.colour"))
        .anySatisfy(e -> assertThat(e.message()).contains("face 2 was sent in #CC0000"));
  }

  @Test
  void coloursThatWereNotSentAreFound() throws IOException {
    run(parcel(FRAME, LinearUnit.METRE, painted()));
    Item plain = painted();
    plain = plain.with(new Shape.Faces(plain.triangles().orElseThrow()));
    Proof proof =
        Prover.compare(
            parcel(FRAME, LinearUnit.METRE, plain),
            IfcReader.read(dir.resolve("a.ifc"), Progress.NONE),
            Progress.NONE);
    assertThat(proof.findings()).extracting(Finding::code).contains("proof.colour");
  }

  @Test
  void aDrawingSaysThatItHasOneColourForAThing() {
    assertThat(Losses.of(painted(), new DxfFormat(DxfRelease.R2018, true), FRAME))
        .anySatisfy(
            f -> {
              assertThat(f.code()).isEqualTo("deliver.finishes");
              assertThat(f.message()).contains("2 colours");
            });
  }
}
