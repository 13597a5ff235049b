package wellspan.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.ModelRoot;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.place.Control;
import wellspan.core.progress.Progress;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;

class ProverTest {
  private static final Frame FRAME =
      Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 0), 21.5);

  private static Item surface(double nudge) {
    double[] xyz = {
      412_000,
      6_534_500,
      1,
      412_010,
      6_534_500,
      2,
      412_010,
      6_534_510 + nudge,
      3,
      412_000,
      6_534_510,
      4
    };
    return Item.surface("Ground", new Mesh(xyz, new int[] {0, 1, 2, 0, 2, 3}));
  }

  private static Item line(double length) {
    return Item.alignment(
        "Road",
        new Alignment(
            "Road",
            List.of(new PlanElement.Line(new PlanPoint(412_000, 6_534_500, 0.3), length)),
            new Chainages(0, List.of()),
            Optional.empty()));
  }

  private static Description described(String id, String entity, String text) {
    return new Description(
        new EntityClass(entity, ""),
        id,
        List.of(
            new PropertySet(
                "Set",
                Map.of(
                    "Name",
                    new PropertyValue.Label(text),
                    "Length",
                    new PropertyValue.Length(12.5)))));
  }

  private static Parcel parcel() {
    return new Parcel(
        "p",
        IfcSchema.IFC4X3,
        FRAME,
        LinearUnit.METRE,
        new GlobalIds(new UUID(1, 2)),
        List.of(
            new Parcel.Piece(
                "g", surface(0), described("id-ground", "IfcGeographicElement", "x"), ""),
            new Parcel.Piece("r", line(50), described("id-road", "IfcAlignment", "x"), "")),
        Control.NONE);
  }

  private static final Optional<ModelRoot> ROOT =
      Optional.of(
          new ModelRoot(
              new Holder(new EntityClass("IfcProject", ""), "p"),
              "",
              Optional.of(new Holder(new EntityClass("IfcSite", ""), "p")),
              List.of()));

  @Test
  void aFileWithoutItsProjectFails() {
    Proof p =
        Prover.compare(
            parcel(),
            new Received(
                "IFC4X3_ADD2",
                "",
                "metre",
                List.of(GROUND, ROAD),
                Map.of(),
                List.of(),
                List.of(PlaceStatement.ofFrame(50, "", "", FRAME))),
            Progress.NONE);
    assertThat(codes(p)).containsExactly("proof.structure");
  }

  private static Proof prove(Frame frame, Item... entries) {
    return Prover.compare(
        parcel(),
        new Received(
                "IFC4X3_ADD2",
                "",
                "metre",
                List.of(entries),
                Map.of(),
                List.of(),
                List.of(PlaceStatement.ofFrame(50, "", "", frame)))
            .of(ROOT),
        Progress.NONE);
  }

  private static Item entry(Item item, Description d) {
    return item.saying(d);
  }

  private static final Item GROUND =
      entry(surface(0), described("id-ground", "IfcGeographicElement", "x"));
  private static final Item ROAD = entry(line(50), described("id-road", "IfcAlignment", "x"));

  private static List<String> codes(Proof p) {
    return p.findings().stream().map(Finding::code).toList();
  }

  @Test
  void whatArrivesWholePasses() {
    Proof p = prove(FRAME, ROAD, GROUND);
    assertThat(p.pass()).isTrue();
    assertThat(p.sent()).isEqualTo(2);
    assertThat(p.arrived()).isEqualTo(2);
    assertThat(p.trianglesIdentical()).isTrue();
    assertThat(p.maxDeviation()).isZero();
    assertThat(p.propertiesEqual()).isEqualTo(4);
  }

  @Test
  void aMovedVertexFailsWithItsPlace() {
    Proof p =
        prove(
            FRAME,
            entry(surface(0.002), described("id-ground", "IfcGeographicElement", "x")),
            ROAD);
    assertThat(p.pass()).isFalse();
    assertThat(p.maxDeviation()).isCloseTo(0.002, within(1e-9));
    assertThat(p.findings())
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.code()).isEqualTo("proof.geometry");
              assertThat(f.message()).contains("vertex 3 of 4").contains("2.0000 mm");
              assertThat(f.place()).contains(new Position(412_010, 6_534_510, 3));
            });
  }

  @Test
  void otherTrianglesMissingAndExtraItemsFail() {
    Mesh flipped =
        new Mesh(((Shape.Faces) surface(0).shape()).mesh().xyz(), new int[] {0, 1, 3, 1, 2, 3});
    Proof p =
        prove(
            FRAME,
            entry(
                Item.surface("Ground", flipped),
                described("id-ground", "IfcGeographicElement", "x")),
            entry(line(50), described("id-other", "IfcAlignment", "x")));
    assertThat(codes(p))
        .containsExactlyInAnyOrder("proof.triangles", "proof.missing", "proof.extra");
    assertThat(p.trianglesIdentical()).isFalse();
    assertThat(p.missing()).containsExactly("Road");
  }

  @Test
  void aLongerAlignmentAnotherClassAndAnotherPropertyFail() {
    Proof p =
        prove(
            FRAME,
            entry(surface(0), described("id-ground", "IfcWall", "y")),
            entry(line(50.001), described("id-road", "IfcAlignment", "x")));
    assertThat(codes(p))
        .containsExactlyInAnyOrder("proof.class", "proof.property", "proof.geometry");
    assertThat(p.propertyMismatches())
        .singleElement()
        .asString()
        .contains("Set.Name")
        .contains("x")
        .contains("y");
  }

  @Test
  void anotherFrameFails() {
    assertThat(codes(prove(FRAME.withRotation(21.6), GROUND, ROAD))).containsExactly("proof.place");
    assertThat(codes(prove(FRAME.withCrs("EPSG:25833"), GROUND, ROAD)))
        .containsExactly("proof.system");
    List<Item> both = new ArrayList<>(List.of(GROUND, ROAD));
    Proof none =
        Prover.compare(
            parcel(),
            new Received("x", "", "metre", both, Map.of(), List.of(), List.of()).of(ROOT),
            Progress.NONE);
    assertThat(codes(none)).containsExactly("proof.place");
  }

  @Test
  void aNumberThatIsNoneNeverPasses() {
    Proof p =
        prove(
            FRAME,
            entry(surface(Double.NaN), described("id-ground", "IfcGeographicElement", "x")),
            ROAD);
    assertThat(p.pass()).isFalse();
  }
}
