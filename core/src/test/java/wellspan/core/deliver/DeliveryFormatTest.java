package wellspan.core.deliver;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.NamedPoint;
import wellspan.core.terrain.Grounds;
import wellspan.core.unit.LinearUnit;

class DeliveryFormatTest {
  private static final Item GROUND = Item.surface("G", Grounds.grid(2, 2, 1, (x, y) -> 0));
  private static final Item BODY =
      Item.body("B", Grounds.grid(2, 2, 1, (x, y) -> 0), Band.STRUCTURES);
  private static final Item PEGS =
      Item.points("P", List.of(new NamedPoint("1", new Position(0, 0, 0), "peg")));
  private static final Item COVER = Item.cover("C", Grounds.grid(1, 1, 1, (x, y) -> 0), "grass");

  @Test
  void everyFormatIsFoundByItsId() {
    for (DeliveryFormat f : DeliveryFormat.all()) {
      assertThat(DeliveryFormat.named(f.id())).contains(f);
      assertThat(DeliveryFormat.named(" " + f.id().toLowerCase(java.util.Locale.ROOT))).contains(f);
      assertThat(f.ending()).startsWith(".");
      assertThat(f.title()).isNotBlank();
    }
    assertThat(DeliveryFormat.named("IFC4X3")).contains(new IfcFormat(IfcSchema.IFC4X3));
    assertThat(DeliveryFormat.named("papyrus")).isEmpty();
  }

  @Test
  void formatsCarryWhatTheyCan() {
    DeliveryFormat list = new PointListFormat();
    assertThat(list.carries(PEGS)).isTrue();
    assertThat(list.carries(GROUND)).isFalse();
    assertThat(new LandXmlFormat().carries(BODY)).isFalse();
    assertThat(new LandXmlFormat().carries(COVER)).isTrue();
    assertThat(new DxfFormat(DxfRelease.R12, false).carries(BODY)).isTrue();
    assertThat(new IfcFormat(IfcSchema.IFC4).carries(Item.points("E", List.of()))).isFalse();
  }

  @Test
  void onlyModelsSayWhereTheyLie() {
    Frame somewhere = Frame.UNPLACED.withCrs("EPSG:25832");
    assertThat(DeliveryFormat.all().stream().filter(f -> f.saysPlace(somewhere))).hasSize(3);
    assertThat(DeliveryFormat.all().stream().filter(f -> f.saysPlace(Frame.UNPLACED))).isEmpty();
  }

  @Test
  void meshesNeedTheLatestRelease() {
    assertThatThrownBy(() -> new DxfFormat(DxfRelease.R12, true))
        .hasMessageContaining("no mesh entity");
  }

  @Test
  void anotherFormatGivesTheFileItsEnding() {
    Delivery d =
        new Delivery(
            "D", "", IfcSchema.IFC4, LinearUnit.METRE, new LocalZero.Shared(), "a.b.ifc", Set.of());
    Delivery x = d.withFormat(new LandXmlFormat());
    assertThat(x.fileName()).isEqualTo("a.b.xml");
    assertThat(x.schema()).isEqualTo(IfcSchema.IFC4X3);
    assertThat(d.schema()).isEqualTo(IfcSchema.IFC4);
  }

  @Test
  void whatIsLostIsSaidForEveryFormat() {
    assertThat(Losses.of(COVER, new LandXmlFormat(), Frame.UNPLACED))
        .extracting(f -> f.code())
        .containsExactly("deliver.plain", "deliver.material");
    assertThat(Losses.of(PEGS, new DxfFormat(DxfRelease.R2000, false), Frame.UNPLACED))
        .extracting(f -> f.code())
        .containsExactly("deliver.plain", "deliver.codes");
    assertThat(Losses.of(PEGS, new PointListFormat(), Frame.UNPLACED)).isEmpty();
  }
}
