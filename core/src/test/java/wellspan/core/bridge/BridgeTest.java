package wellspan.core.bridge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.ProfileSegment;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Recipe;
import wellspan.core.progress.Progress;
import wellspan.core.replay.OperationJson;
import wellspan.core.shape.Shape;

/** Bridges over flat ground, against figures computed by hand. */
class BridgeTest {
  private static final double E = 412_000;
  private static final double N = 6_534_500;

  /** Area of a column's section: 24 corners on a circle of 1 m. */
  private static final double COLUMN = 24 * 0.5 * 0.25 * Math.sin(2 * Math.PI / 24);

  private static Alignment axis() {
    return new Alignment(
        "Axis",
        List.of(new PlanElement.Line(new PlanPoint(E, N, 0), 200)),
        new Chainages(0, List.of()),
        Optional.of(new Profile("p", List.of(new ProfileSegment.Grade(0, 200, 10, 0)))));
  }

  private static Mesh ground(double level) {
    return new Mesh(
        new double[] {
          E - 50, N - 50, level, E + 250, N - 50, level, E + 250, N + 50, level, E - 50, N + 50,
          level
        },
        new int[] {0, 1, 2, 0, 2, 3});
  }

  private static Recipe.Made make(double ground, Map<String, Object> other, Item... more) {
    Map<ItemId, Item> all = new HashMap<>();
    all.put(new ItemId("a"), Item.alignment("Axis", axis()));
    all.put(new ItemId("g"), Item.surface("Ground", ground(ground)));
    for (Item i : more) {
      all.put(new ItemId(i.name()), i);
    }
    ObjectMapper json = new ObjectMapper();
    ObjectNode n = json.createObjectNode();
    n.put("recipe", "bridge").put("name", "B").put("along", "a").put("ground", "g");
    n.put("from", 60).put("to", 130).put("piers", "80 0+105").put("left", 5).put("right", 6);
    n.put("depth", 0.2).put("thickness", 0.8);
    other.forEach((k, v) -> n.set(k, json.valueToTree(v)));
    return OperationJson.recipe(n).make(all::get, Progress.NONE);
  }

  private static Mesh mesh(Recipe.Made m, String name) {
    return m.items().stream()
        .filter(i -> i.name().equals(name))
        .map(i -> ((Shape.Faces) i.shape()).mesh())
        .findFirst()
        .orElseThrow();
  }

  @Test
  void everyBodyHasItsPlaceAndItsVolume() {
    Recipe.Made m = make(2, Map.of());
    assertThat(m.findings()).isEmpty();
    assertThat(m.items())
        .allSatisfy(i -> assertThat(((Shape.Faces) i.shape()).mesh().isClosed()).isTrue());
    assertThat(mesh(m, "B deck").volume()).isCloseTo(11 * 0.8 * 70, within(1e-6));
    assertThat(mesh(m, "B deck").bounds().maxH()).isCloseTo(9.8, within(1e-9));
    Mesh beam = mesh(m, "B pier 1 cross beam");
    assertThat(beam.volume()).isCloseTo(11 * 1.2, within(1e-6));
    assertThat(beam.bounds().maxH()).isCloseTo(9 - 0.2, within(1e-9));
    assertThat(beam.bounds().centre().east()).isCloseTo(E + 80, within(1e-6));
    Mesh column = mesh(m, "B pier 2 column 1");
    assertThat(column.bounds().minH()).as("a metre into the ground").isCloseTo(1, within(1e-9));
    assertThat(column.bounds().maxH()).isCloseTo(7.8, within(1e-9));
    assertThat(column.volume()).isCloseTo(COLUMN * 6.8, within(1e-6));
    Mesh abutment = mesh(m, "B abutment 1");
    assertThat(abutment.volume()).isCloseTo(11 * 1.5 * (8.8 - 1), within(1e-6));
    assertThat(abutment.bounds().minE()).isCloseTo(E + 60, within(1e-6));
    assertThat(mesh(m, "B abutment 2").bounds().maxE()).isCloseTo(E + 130, within(1e-6));
    assertThat(mesh(m, "B pier 1 bearing 2").volume()).isCloseTo(0.5 * 0.5 * 0.2, within(1e-6));
    assertThat(m.items()).extracting(Item::layer).containsOnly("B");
    assertThat(m.items()).extracting(Item::name).doesNotHaveDuplicates();
  }

  @Test
  void skewedPierLinesAreLongerAndTurned() {
    Recipe.Made m = make(2, Map.of("skew", 30));
    Mesh beam = mesh(m, "B pier 1 cross beam");
    assertThat(beam.volume()).isCloseTo(11 / Math.cos(Math.PI / 6) * 1.2, within(1e-6));
    double turned = 11 * Math.tan(Math.PI / 6) + 1.2 * Math.cos(Math.PI / 6);
    assertThat(beam.bounds().width()).isCloseTo(turned, within(1e-6));
  }

  @Test
  void pierLinesRunAlongWhatPassesBelow() {
    Item stream =
        Item.string("stream", new Polyline(new double[] {E + 70, N - 40, 2, E + 110, N + 40, 2}));
    double skew = Math.atan2(40, 80); // the stream leans to the right of the square
    Recipe.Made m = make(2, Map.of("parallel", "stream"), stream);
    assertThat(mesh(m, "B pier 1 cross beam").volume())
        .isCloseTo(11 / Math.cos(skew) * 1.2, within(1e-6));
    Mesh column = mesh(m, "B pier 1 column 2");
    Mesh other = mesh(m, "B pier 1 column 1");
    double de = column.bounds().centre().east() - other.bounds().centre().east();
    double dn = column.bounds().centre().north() - other.bounds().centre().north();
    assertThat(Math.abs(de / dn)).isCloseTo(0.5, within(1e-6));
  }

  @Test
  void tooLittleRoomBelowIsAFindingWithItsFigure() {
    Item road =
        Item.string(
            "road below", new Polyline(new double[] {E + 90, N - 40, 5, E + 90, N + 40, 5}));
    List<Finding> few = make(2, Map.of("below", List.of("road below")), road).findings();
    assertThat(few)
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.code()).isEqualTo("bridge.clearance");
              assertThat(f.message()).contains("4.00 m of room where 4.70 m are needed");
              assertThat(f.place().orElseThrow().east()).isCloseTo(E + 90, within(1e-6));
            });
    assertThat(make(2, Map.of("below", List.of("road below"), "clearance", 3.9), road).findings())
        .isEmpty();
    Item through =
        Item.string(
            "through", new Polyline(new double[] {E + 90, N - 40, 9.5, E + 90, N + 40, 9.5}));
    assertThat(make(2, Map.of("below", List.of("through")), through).findings())
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("0.00 m of room").contains("it is hit"));
  }

  @Test
  void whatCannotStandIsRefusedInASentence() {
    assertThatThrownBy(() -> make(9, Map.of())).hasMessageContaining("1.20 m above the cross beam");
    assertThatThrownBy(() -> make(2, Map.of("piers", "80 150")))
        .hasMessageContaining("the pier at 0+150.000 does not stand between");
    assertThatThrownBy(() -> make(2, Map.of("piers", "80 here")))
        .hasMessageContaining("“here” is no chainage");
    assertThatThrownBy(() -> make(2, Map.of("skew", 80))).hasMessageContaining("at most 75°");
    assertThatThrownBy(() -> make(2, Map.of("from", 300, "to", 400)))
        .hasMessageContaining("nothing of it lies between");
  }
}
