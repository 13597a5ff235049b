package wellspan.core.build;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wellspan.core.attribute.RelationType;
import wellspan.core.deliver.CarriedRelations;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.Losses;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Relation;
import wellspan.core.job.Job;
import wellspan.core.job.Revision;
import wellspan.core.job.Source;
import wellspan.core.packing.Packing;
import wellspan.core.receive.Received;
import wellspan.core.replay.OperationJson;

/** What recipes make stands to what they were made along, over sources. */
class BuildRelationsTest {
  private static final ItemId EDGE = new ItemId("edges/string/Edge");
  private static final ItemId RAIL = new ItemId("job/guard-rail/Rail");
  private static final ItemId POSTS = new ItemId("job/post/Rail posts");

  private static Build build(String more) throws Exception {
    Job job =
        Job.named("j")
            .withSource(
                Source.of(
                    "edges",
                    new Revision("Rev A", "e.xml", "e", "abc", 1, Instant.EPOCH, Map.of())))
            .withRecipe(
                OperationJson.recipe(
                    new ObjectMapper()
                        .readTree(
                            "{\"recipe\":\"sweep\",\"name\":\"Rail\",\"along\":\"edges/string/Edge\",\"posts\":4"
                                + more
                                + "}")));
    Item edge = Item.string("Edge", new Polyline(new double[] {0, 0, 1, 40, 0, 1, 80, 10, 2}));
    return Build.of(
        job,
        Map.of(
            "edges",
            new Received("x", "", "metre", List.of(edge), Map.of(), List.of(), List.of())));
  }

  @Test
  void aRailFollowsItsLineAndItsPostsAreAPartOfIt() throws Exception {
    Build b = build("");
    assertThat(b.items()).containsKeys(EDGE, RAIL, POSTS);
    assertThat(b.relations())
        .containsExactlyInAnyOrder(
            new Relation(POSTS, RelationType.PART_OF, RAIL),
            new Relation(RAIL, RelationType.FOLLOWS, EDGE),
            new Relation(POSTS, RelationType.FOLLOWS, EDGE));
    assertThat(b.relations()).as("worked out once").isSameAs(b.relations());
  }

  @Test
  void aRecipeThatFailsRelatesNothing() throws Exception {
    assertThat(build(",\"from\":500,\"to\":600").relations()).isEmpty();
  }

  /** A string is no alignment in a model, so what follows it is told as staying here. */
  @Test
  void aParcelCarriesWhatItsSchemaHoldsAndSaysWhatStays() throws Exception {
    Build b = build("");
    Delivery d = b.job().deliveries().getFirst();
    Parcel p = Packing.parcel(b, d);
    assertThat(CarriedRelations.of(p))
        .containsExactly(new Relation(POSTS, RelationType.PART_OF, RAIL));
    assertThat(CarriedRelations.left(p, RelationType.FOLLOWS)).isEqualTo(2);
    assertThat(Losses.of(p))
        .filteredOn(f -> f.code().equals("deliver.follows"))
        .singleElement()
        .extracting(Finding::message)
        .asString()
        .startsWith("2 things follow lines and go without a word of it");
    Delivery without =
        new Delivery(
            d.name(), d.receiver(), d.format(), d.unit(), d.zero(), d.fileName(), Set.of(RAIL));
    Parcel postsOnly = Packing.parcel(b, without);
    assertThat(CarriedRelations.of(postsOnly)).as("the whole is not sent").isEmpty();
    assertThat(CarriedRelations.left(postsOnly, RelationType.FOLLOWS))
        .as("what is not sent loses nothing")
        .isEqualTo(1);
  }
}
