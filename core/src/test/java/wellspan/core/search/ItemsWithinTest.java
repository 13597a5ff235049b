package wellspan.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import wellspan.core.build.Build;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.job.Revision;
import wellspan.core.job.Source;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.terrain.Grounds;

/** What lies in an outline of the shape of an L, with its foot to the east. */
class ItemsWithinTest {
  private static final double E = Grounds.E;
  private static final double N = Grounds.N;

  private static final List<Position> ELL = corners(0, 0, 100, 0, 100, 20, 20, 20, 20, 100, 0, 100);

  private static List<Position> corners(double... xy) {
    List<Position> out = new ArrayList<>();
    for (int i = 0; i < xy.length; i += 2) {
      out.add(new Position(E + xy[i], N + xy[i + 1], Double.NaN));
    }
    return out;
  }

  private static Polyline line(double... xy) {
    double[] xyz = new double[xy.length / 2 * 3];
    for (int i = 0; i < xy.length / 2; i++) {
      xyz[3 * i] = E + xy[2 * i];
      xyz[3 * i + 1] = N + xy[2 * i + 1];
    }
    return new Polyline(xyz);
  }

  private static Build holding(Item... items) {
    Revision r = new Revision("Rev A", "s.dxf", "x", "abc", 1, Instant.EPOCH, Map.of());
    return Build.of(
        Job.named("j").withSource(Source.of("s", r)),
        Map.of(
            "s", new Received("x", "", "metre", List.of(items), Map.of(), List.of(), List.of())));
  }

  private static Stream<String> within(List<Position> outline, Item... items) {
    Build b = holding(items);
    return ItemsWithin.of(b.items().values(), outline).stream()
        .map(ItemId::value)
        .map(v -> v.substring(v.lastIndexOf('/') + 1));
  }

  @Test
  void whatLiesWhollyInItIsFoundWhateverTheWayRound() {
    Item[] items = {
      Item.string("in the foot", line(30, 5, 90, 15)),
      Item.string("in the stem", line(5, 30, 15, 95)),
      Item.string("across the notch", line(50, 10, 10, 50)),
      Item.string("in the notch", line(50, 50, 60, 60)),
      Item.string("out to the east", line(90, 10, 110, 10)),
      Item.string("on the edge", line(0, 0, 100, 0)),
      Item.surface("ground", Grounds.grid(4, 4, 4, (x, y) -> 3)),
      Item.points(
          "stakes",
          List.of(
              new NamedPoint("1", new Position(E + 1, N + 99, 0), ""),
              new NamedPoint("2", new Position(E + 99, N + 1, 0), ""))),
      Item.points(
          "one astray",
          List.of(
              new NamedPoint("1", new Position(E + 1, N + 99, 0), ""),
              new NamedPoint("2", new Position(E + 99, N + 99, 0), "")))
    };
    assertThat(within(ELL, items))
        .contains("in the foot", "in the stem", "on the edge", "ground", "stakes")
        .doesNotContain("in the notch", "out to the east", "one astray");
    assertThat(within(ELL.reversed(), items))
        .containsExactlyElementsOf(within(ELL, items).toList());
  }

  /** Both its ends lie in the outline; it is asked by its vertices, and one of them does not. */
  @Test
  void aLineThatLeavesAndComesBackIsNotInIt() {
    assertThat(within(ELL, Item.string("out and back", line(10, 90, 60, 60, 90, 10)))).isEmpty();
  }

  @Test
  void fewerThanThreeCornersEncloseNothing() {
    Item any = Item.string("any", line(1, 1, 2, 2));
    assertThat(within(corners(0, 0, 100, 0), any)).isEmpty();
    assertThat(within(List.of(), any)).isEmpty();
  }
}
