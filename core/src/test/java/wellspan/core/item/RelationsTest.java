package wellspan.core.item;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import wellspan.core.attribute.Connection;
import wellspan.core.attribute.RelationType;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;

class RelationsTest {
  private static final Mesh TRIANGLE =
      new Mesh(new double[] {0, 0, 0, 1, 0, 0, 0, 1, 0}, new int[] {0, 1, 2});

  private final Map<ItemId, Item> items = new LinkedHashMap<>();

  private static Item body(String name) {
    return Item.body(name, TRIANGLE, Band.STRUCTURES);
  }

  private ItemId put(String source, Item item) {
    ItemId id = ItemId.of(source, item);
    items.put(id, item);
    return id;
  }

  private static Item joined(String name, String... links) {
    Item i = body(name);
    List<Connection.Port> ports =
        java.util.Arrays.stream(links)
            .map(l -> new Connection.Port(l, new Position(0, 0, 0), Connection.Flow.OUT))
            .toList();
    return i.with(i.attributes().withConnection(Optional.of(new Connection("n", "storm", ports))));
  }

  @Test
  void whatASourceSaysIsTrueWithinIt() {
    ItemId rail = put("a/b", body("Rail"));
    ItemId posts = put("a/b", body("Posts").partOf(body("Rail")));
    put("other", body("Rail"));
    put("third", body("Posts").partOf(body("Rail"))); // there is no rail in that one
    assertThat(Relations.of(items))
        .containsExactly(new Relation(posts, RelationType.PART_OF, rail));
  }

  @Test
  void thingsOfOneLinkAreConnectedOnce() {
    ItemId one = put("n", joined("P1", "a"));
    ItemId chamber = put("n", joined("C", "a", "b"));
    ItemId two = put("n", joined("P2", "b", "loose"));
    put("other", joined("P9", "loose"));
    assertThat(Relations.of(items))
        .containsExactlyInAnyOrder(
            new Relation(one, RelationType.CONNECTS, chamber),
            new Relation(chamber, RelationType.CONNECTS, two));
  }

  @Test
  void aConnectionThatBothSidesSayIsOne() {
    Kind k = body("x").kind();
    put("n", body("A").standing(RelationType.CONNECTS, k, "B"));
    put("n", body("B").standing(RelationType.CONNECTS, k, "A"));
    assertThat(Relations.of(items)).hasSize(1);
  }

  @Test
  void nothingIsRelatedToItselfOrToWhatIsNotThere() {
    Kind k = body("x").kind();
    put("n", body("A").standing(RelationType.PART_OF, k, "A"));
    put("n", body("B").standing(RelationType.FOLLOWS, Kind.ALIGNMENT, "Gone"));
    assertThat(Relations.of(items)).isEmpty();
  }

  @Test
  void eachEndSeesTheOther() {
    ItemId a = put("n", body("A"));
    ItemId b = put("n", body("B"));
    Relation r = new Relation(a, RelationType.PART_OF, b);
    assertThat(r.from(a)).isEqualTo(new Relation.Seen("part of", b));
    assertThat(r.from(b)).isEqualTo(new Relation.Seen("has part", a));
    assertThat(r.touches(b)).isTrue();
    assertThat(r.touches(put("n", body("C")))).isFalse();
  }
}
