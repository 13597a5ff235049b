package wellspan.core.receive;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;

class WithinReachTest {
  private static Received received(Item... items) {
    return new Received("f", "", "metre", List.of(items), Map.of(), List.of(), List.of());
  }

  private static Item surface(String name, double east) {
    return Item.surface(
        name, new Mesh(new double[] {0, 0, 1, east, 0, 2, 0, 10, 3}, new int[] {0, 1, 2}));
  }

  @ParameterizedTest
  @ValueSource(doubles = {1e300, -1e12, 2e9, Double.MAX_VALUE})
  void whatReachesWhereNoWorkCanBeIsLeftOutAndNamed(double east) {
    Received r = WithinReach.of(received(surface("a", 5), surface("b", east)));
    assertThat(r.items()).extracting(Item::name).containsExactly("a");
    assertThat(r.findings())
        .singleElement()
        .satisfies(f -> assertThat(f.severity().name()).isEqualTo("ERROR"))
        .satisfies(f -> assertThat(f.message()).startsWith("b is left out"));
  }

  @Test
  void ofPointsOnlyTheFarOnesAre() {
    Item points =
        Item.points(
            "p",
            List.of(
                new NamedPoint("1", new Position(1, 2, 3), ""),
                new NamedPoint("2", new Position(1, 2e9, 3), ""),
                new NamedPoint("3", new Position(1, 2, -1e20), "")));
    Received r = WithinReach.of(received(points));
    assertThat(((Shape.Points) r.items().getFirst().shape()).points())
        .extracting(NamedPoint::name)
        .containsExactly("1");
    assertThat(r.findings())
        .singleElement()
        .satisfies(f -> assertThat(f.message()).startsWith("Point 2 of p and 1 more are left out"));
  }

  @Test
  void linesWithoutLevelsAndLargeSystemsStay() {
    Item line =
        Item.string(
            "l", List.of(new Polyline(new double[] {0, 0, Double.NaN, 9e8, 1, Double.NaN})));
    Received r = received(line, surface("feet of a zone", 33_000_000));
    assertThat(WithinReach.of(r)).isSameAs(r);
    assertThat(r.findings()).extracting(Finding::code).isEmpty();
  }
}
