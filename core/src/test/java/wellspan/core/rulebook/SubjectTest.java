package wellspan.core.rulebook;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;

/** What rules find of what an item was received in. */
class SubjectTest {
  private static List<PropertySet> said(String... namesAndValues) {
    Map<String, PropertyValue> out = new LinkedHashMap<>();
    for (int i = 0; i < namesAndValues.length; i += 2) {
      out.put(namesAndValues[i], new PropertyValue.Label(namesAndValues[i + 1]));
    }
    return List.of(new PropertySet("Client", out));
  }

  private static Holder holder(String entity, String name, List<PropertySet> sets) {
    return new Holder(new EntityClass(entity, ""), name, "", sets, Map.of());
  }

  private static Item item(String name, List<PropertySet> own) {
    return Item.string(name, List.of(new Polyline(new double[] {0, 0, 0, 1, 0, 0})))
        .saying(Description.of(own, Optional.empty()));
  }

  private static Subject pipe() {
    Item pipe = item("P1", said("Own", "pipe"));
    Description d =
        pipe.said()
            .within(
                List.of(
                    holder("IfcBuilding", "Works", said("Level", "outer", "Outer", "works")),
                    holder("IfcBuildingStorey", "Cellar", said("Level", "inner", "Own", "cellar"))))
            .heldBy(
                List.of(
                    holder("IfcSystem", "Drain", said("Level", "group", "Group", "drain")),
                    holder("IfcGroup", "Phase 1", said("Road", "of group"))),
                Optional.of(holder("IfcPipeSegmentType", "DN 300", List.of())));
    Item road = item("Quay Road", said("Road", "of road", "Far", "road"));
    return new Subject(pipe.saying(d), "a.ifc", "", List.of(road));
  }

  @ParameterizedTest
  @CsvSource({
    "Own, pipe",
    "Client.Own, pipe",
    "Level, inner",
    "Outer, works",
    "Group, drain",
    "Road, of group",
    "Far, road"
  })
  void theNearestThatSaysItCounts(String name, String expected) {
    assertThat(pipe().attribute(name).map(Typing::text)).contains(expected);
  }

  @ParameterizedTest
  @CsvSource({
    "type name received, DN 300",
    "place received, Cellar",
    "groups received, Drain; Phase 1"
  })
  void whatHoldsItIsKnownByName(String fact, String expected) {
    assertThat(pipe().fact(fact).map(Typing::text)).contains(expected);
  }

  @Test
  void attributesOfAllOfThemCanBeChosen() {
    assertThat(Subject.attributesOf(List.of(pipe().item())))
        .containsExactly(
            "Client.Group", "Client.Level", "Client.Outer", "Client.Own", "Client.Road");
  }
}
