package wellspan.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Holder;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.LocalZero;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.job.Revision;
import wellspan.core.job.Source;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.core.terrain.Grounds;
import wellspan.core.unit.LinearUnit;

class ItemQueryTest {
  private static final ItemId LEFT = new ItemId("road/string/Kerb left");

  private static Build build() {
    Revision r = new Revision("Rev A", "road.dxf", "x", "abc", 1, Instant.EPOCH, Map.of());
    Job job =
        Job.named("j")
            .withSource(Source.of("road", r))
            .withDelivery(
                new Delivery(
                    "Outgoing",
                    "",
                    IfcSchema.IFC4,
                    LinearUnit.METRE,
                    new LocalZero.Shared(),
                    "a.ifc",
                    Set.of(LEFT)));
    Polyline line = new Polyline(new double[] {0, 0, 0, 5, 0, 0});
    return Build.of(
        job,
        Map.of(
            "road",
            new Received(
                "DXF R2000",
                "",
                "metre",
                List.of(
                    Item.string("Kerb left", line).on("KERB"),
                    Item.string("Kerb right", line)
                        .on("KERB")
                        .saying(
                            Description.NONE.heldBy(
                                List.of(new Holder(new EntityClass("IfcGroup", ""), "Phase one")),
                                Optional.of(
                                    new Holder(new EntityClass("IfcKerbType", ""), "HB 15/30")))),
                    Item.surface("Ground", Grounds.grid(2, 2, 1, (x, y) -> 0)).on("TERRAIN"),
                    Item.cover("Lawn", Grounds.grid(2, 2, 1, (x, y) -> 0), "grass")),
                Map.of(),
                List.of(),
                List.of())));
  }

  private static List<String> found(String typed) {
    Build b = build();
    List<Finding> findings =
        List.of(Finding.warning(Stop.SHAPE, "terrain.spike", "Ground", "A spike."));
    return b.items().values().stream()
        .filter(ItemQuery.of(typed).on(b, findings))
        .map(i -> i.item().name())
        .toList();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "''                        | Kerb left,Kerb right,Ground,Lawn",
        "kerb                      | Kerb left,Kerb right",
        "group:phase               | Kerb right",
        "type:\"hb 15\"             | Kerb right",
        "part:\"road seg\"           | Kerb left,Kerb right",
        "KERB right                | Kerb right",
        "layer:terrain             | Ground",
        "kind:string left          | Kerb left",
        "\"kerb left\"             | Kerb left",
        "layer:kerb source:road    | Kerb left,Kerb right",
        "source:other              | ''",
        "has:finding               | Ground",
        "material:grass            | Lawn",
        "in:outgoing kerb          | Kerb right",
        "in:delivery layer:kerb    | Kerb left,Kerb right",
        "class:geographic          | Ground,Lawn",
        "layer:\"kerb              | Kerb left,Kerb right",
        "unheard:kerb              | ''",
      })
  void itemsAreFoundByWordsAndByWhatTheyAre(String typed, String names) {
    assertThat(String.join(",", found(typed))).isEqualTo(names);
  }

  @Test
  void aWordWithAColonThatIsNoFacetIsAWord() {
    assertThat(ItemQuery.of("unheard:kerb").terms())
        .containsExactly(new ItemQuery.Term(Optional.empty(), "unheard:kerb"));
    assertThat(ItemQuery.of("  ").isEmpty()).isTrue();
  }
}
