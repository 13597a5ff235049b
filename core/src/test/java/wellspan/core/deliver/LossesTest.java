package wellspan.core.deliver;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.packing.Packing;
import wellspan.core.place.Control;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;

class LossesTest {
  private static final Frame GRID = Frame.of("EPSG:25832", "", new Position(0, 0, 0), 0);

  private static Item road(double profileEnd) {
    Pvi.Rounding none = new Pvi.Rounding.None();
    return Item.alignment(
        "Road",
        new Alignment(
            "Road",
            List.of(new PlanElement.Arc(new PlanPoint(0, 0, 0), 100, -50)),
            new Chainages(0, List.of()),
            Optional.of(
                Profile.through("p", List.of(new Pvi(0, 1, none), new Pvi(profileEnd, 2, none))))));
  }

  private static List<String> codes(Item item, IfcSchema schema, Frame frame) {
    return Losses.of(item, new IfcFormat(schema), frame).stream().map(Finding::code).toList();
  }

  /** A chord of a metre in a circle of 50 m lies 1/(8·50) m = 2.5 mm beside it. */
  @Test
  void alignmentsBecomeChordsWhereThereIsNoClassForThem() {
    assertThat(codes(road(100), IfcSchema.IFC4X3, GRID)).isEmpty();
    for (IfcSchema s : List.of(IfcSchema.IFC4, IfcSchema.IFC2X3)) {
      assertThat(Losses.of(road(100), new IfcFormat(s), GRID))
          .singleElement()
          .satisfies(
              f -> {
                assertThat(f.figure().orElseThrow().text()).isEqualTo("2.50 mm");
                assertThat(f.message()).contains(s.title()).contains("chainages stay here");
              });
    }
    assertThat(codes(road(60), IfcSchema.IFC4X3, GRID)).containsExactly("deliver.profile");
  }

  @Test
  void invisibleFacesClassesAndScalesAreSaid() {
    Mesh m = new Mesh(new double[] {0, 0, 0, 1, 0, 0, 0, 1, 0}, new int[] {0, 1, 2});
    Item ground = Item.of("G", Kind.TERRAIN, new Shape.Faces(m, new int[] {0, 1, 2}));
    assertThat(codes(ground, IfcSchema.IFC4X3, GRID.withScale(1.0003)))
        .containsExactly("deliver.invisible");
    assertThat(codes(ground, IfcSchema.IFC2X3, GRID.withScale(1.0003)))
        .containsExactly("deliver.invisible", "deliver.class", "deliver.scale");
    assertThat(codes(Item.points("P", List.of()), IfcSchema.IFC4, GRID)).isEmpty();
  }

  @Test
  void theScaleIsSaidOnceForAFile() {
    GlobalIds ids = new GlobalIds(new UUID(1, 1));
    List<Parcel.Piece> pieces =
        List.of(road(100), road(100)).stream()
            .map(i -> Packing.loosePiece(ids, ItemId.of("s", i), i, IfcSchema.IFC4, "f"))
            .toList();
    Parcel p =
        new Parcel(
            "p",
            IfcSchema.IFC4,
            GRID.withScale(1.0003),
            LinearUnit.METRE,
            ids,
            pieces,
            Control.NONE);
    assertThat(Losses.of(p))
        .extracting(Finding::code)
        .containsExactly("deliver.chords", "deliver.scale", "deliver.chords");
  }
}
