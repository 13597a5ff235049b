package wellspan.app.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wellspan.core.build.Build;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.job.Origin;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;

class SpaceOrderTest {
  private static Mesh square(double side) {
    return new Mesh(
        new double[] {0, 0, 5, side, 0, 5, side, side, 5, 0, side, 5},
        new int[] {0, 1, 2, 0, 2, 3});
  }

  private static Build.BuiltItem ground(String name, double side) {
    return built(Item.surface(name, square(side)));
  }

  private static Build.BuiltItem built(Item item) {
    return new Build.BuiltItem(new ItemId(item.name()), item, "test", Origin.BY_HAND);
  }

  private static Build.BuiltItem points() {
    NamedPoint p = new NamedPoint("1", new Position(1, 1, 5), "");
    return built(Item.points("points", List.of(p)));
  }

  private static Build.BuiltItem fill() {
    return built(Item.of("fill", Kind.FILL, new Shape.Faces(square(9))));
  }

  @Test
  void whatIsSetIntoTheGroundIsSeenBeforeTheGround() {
    Map<ItemId, Integer> order =
        SpaceOrder.of(List.of(ground("pad", 20), points(), ground("all", 900), ground("site", 90)));
    assertThat(order)
        .containsEntry(new ItemId("all"), 0)
        .containsEntry(new ItemId("site"), 1)
        .containsEntry(new ItemId("pad"), 2)
        .containsEntry(new ItemId("points"), 3);
  }

  @Test
  void surfacesSideBySideShareARank() {
    Build.BuiltItem beside =
        built(
            Item.surface(
                "beside",
                new Mesh(new double[] {50, 50, 5, 60, 50, 5, 60, 60, 5}, new int[] {0, 1, 2})));
    Map<ItemId, Integer> order =
        SpaceOrder.of(List.of(ground("pad", 20), beside, ground("site", 90), points()));
    assertThat(order)
        .containsEntry(new ItemId("pad"), 1)
        .containsEntry(new ItemId("beside"), 1)
        .containsEntry(new ItemId("points"), 2);
  }

  @Test
  void strataFollowEachOtherWithoutGaps() {
    Map<ItemId, Integer> order = SpaceOrder.of(List.of(points(), ground("site", 90), fill()));
    assertThat(order)
        .containsEntry(new ItemId("site"), 0)
        .containsEntry(new ItemId("fill"), 1)
        .containsEntry(new ItemId("points"), 2);
  }

  @Test
  void withoutGroundTheLowestStratumStaysWhereItIs() {
    assertThat(SpaceOrder.of(List.of(points(), fill()))).containsEntry(new ItemId("fill"), 0);
    assertThat(SpaceOrder.of(List.of())).isEmpty();
  }

  @Test
  void aRankIsLiftedByLessThanAPixel() {
    assertThat(SpaceOrder.lift(0, 1.4)).isZero();
    assertThat(SpaceOrder.lift(1, 1.4)).isPositive().isLessThan(1.4);
    assertThat(SpaceOrder.lift(3, 0.01)).isCloseTo(3 * SpaceOrder.lift(1, 0.01), within(1e-12));
  }
}
