package wellspan.core.rulebook;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.schema.IfcSchema;

/** Which rule decides of class and place. */
class ClassAndPlaceTest {
  @Test
  void classAndPlaceAreSaidByTheFirstRuleThatSaysThem() {
    ClassRule.PartOf part = new ClassRule.PartOf("", "", "Footways", "SIDEWALK");
    ClassRule.PartOf quay = new ClassRule.PartOf("Quay", "IfcMarineFacility", "", "");
    ClassRule places = new ClassRule("a", List.of(), Map.of(), part, false, false);
    ClassRule classes =
        new ClassRule(
            "b",
            List.of(),
            Map.of("IFC4X3", new ClassRule.Named("IfcAnnotation", "")),
            quay,
            false,
            false);
    Item item = Item.string("Edge", new Polyline(new double[] {0, 0, 0, 5, 0, 0}));
    Subject s = Subject.of(item, "");
    Ruled both =
        new Ruling(
                Rulebook.NONE.withClasses(List.of(places.off(true), places, classes)),
                IfcSchema.IFC4X3)
            .of(s);
    assertThat(both.entityClass().orElseThrow().entity()).isEqualTo("IfcAnnotation");
    assertThat(both.structure()).hasToString("[Footways (IfcRoadPart SIDEWALK)]");
    Ruled other =
        new Ruling(Rulebook.NONE.withClasses(List.of(classes, places)), IfcSchema.IFC4X3).of(s);
    assertThat(other.structure()).hasToString("[Quay (IfcMarineFacility)]");
    assertThat(FacilityClasses.partTypes("IfcBridge")).contains("DECK").doesNotContain("SIDEWALK");
  }
}
