package wellspan.core.describe;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.attribute.Attributes;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.EntityClass;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Band;
import wellspan.core.item.Item;

/** Things that others stand in. */
class RoomsTest {
  @ParameterizedTest
  @CsvSource({
    "IfcSpace, true",
    "IfcSpatialZone, true",
    "IfcBuildingStorey, true",
    "IfcRoadPart, true",
    "IfcSite, false",
    "IfcWall, false",
    "'', false"
  })
  void classesOfTheStructureAre(String entity, boolean room) {
    Mesh m = new Mesh(new double[] {0, 0, 0, 1, 0, 0, 0, 1, 0}, new int[] {0, 1, 2});
    Description d = new Description(new EntityClass(entity, ""), "", List.of());
    Item i = Item.body("B", m, Band.STRUCTURES).with(Attributes.NONE.with(d));
    assertThat(Rooms.isRoom(i)).isEqualTo(room);
  }
}
