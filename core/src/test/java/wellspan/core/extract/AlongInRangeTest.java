package wellspan.core.extract;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Inputs;
import wellspan.core.progress.Progress;
import wellspan.core.recipe.BridgeOverGround;
import wellspan.core.recipe.Culvert;
import wellspan.core.recipe.Repetition;
import wellspan.core.recipe.RetainingWall;
import wellspan.core.recipe.Sweep;
import wellspan.core.shape.Curved;
import wellspan.core.sweep.ObjectShape;
import wellspan.core.sweep.SectionShape;

/** What was made along an alignment goes in a range of chainages as the alignment does. */
class AlongInRangeTest {
  private static final ItemId LINE = new ItemId("line");
  private static final ItemId GROUND = new ItemId("ground");
  private static final ItemId NONE = new ItemId("");
  private static final double RADIUS = 80;
  private static final double START = 1000;
  private static final double LENGTH = 120;

  private static Item axis() {
    PlanElement arc = new PlanElement.Arc(new PlanPoint(0, 0, 0), LENGTH, RADIUS);
    Profile profile =
        Profile.through(
            "p",
            List.of(
                new Pvi(0, 10, new Pvi.Rounding.None()),
                new Pvi(LENGTH, 16, new Pvi.Rounding.None())));
    return Item.alignment(
        "A",
        new Alignment("A", List.of(arc), new Chainages(START, List.of()), Optional.of(profile)));
  }

  private static Item ground() {
    double[] xyz = {-500, -500, 2, 500, -500, 3, 500, 500, 4, -500, 500, 3};
    return Item.surface("Ground", new Mesh(xyz, new int[] {0, 1, 2, 0, 2, 3}));
  }

  private static Inputs inputs() {
    Map<ItemId, Item> all = Map.of(LINE, axis(), GROUND, ground());
    return all::get;
  }

  private static List<Item> rail(ItemId on) {
    return new Sweep(
            "Rail", LINE, SectionShape.GUARD_RAIL, NONE, 3, 0.6, 0, -1e9, 1e9, on, 0, 4, "")
        .make(inputs(), Progress.NONE)
        .items();
  }

  private static Optional<Item> between(Item i, double from, double to) {
    return Extract.inRange(i, new ChainageRange(from, to), Curved.USUAL_CHORD);
  }

  private static double volume(Item i) {
    return i.triangles().orElseThrow().volume();
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "ground"})
  void aSweepIsCutAndItsPartsAreTheWhole(String on) {
    Item rail = rail(new ItemId(on)).getFirst();
    Item first = between(rail, START, START + 50).orElseThrow();
    Item second = between(rail, START + 50, 1e9).orElseThrow();
    assertThat(first.triangles().orElseThrow().isClosed()).isTrue();
    assertThat(second.triangles().orElseThrow().isClosed()).isTrue();
    assertThat(volume(first) + volume(second)).isCloseTo(volume(rail), within(2e-3 * volume(rail)));
    Map<String, PropertyValue> said = first.said().propertySets().getFirst().values();
    assertThat(said)
        .containsEntry("StartChainage", new PropertyValue.Length(START))
        .containsEntry("EndChainage", new PropertyValue.Length(START + 50))
        .containsEntry("Length", new PropertyValue.Length(50));
    assertThat(between(rail, 0, START)).isEmpty();
  }

  /** Where two ranges meet the cut faces have the same corners. */
  @Test
  void partsOfASweepMeet() {
    Item rail = rail(GROUND).getFirst();
    List<double[]> first = corners(between(rail, START, START + 33.3).orElseThrow());
    List<double[]> second = corners(between(rail, START + 33.3, 1e9).orElseThrow());
    long shared = first.stream().filter(p -> second.stream().anyMatch(q -> near(p, q))).count();
    assertThat(shared).isEqualTo(SectionShape.GUARD_RAIL.ring().length / 2);
  }

  private static boolean near(double[] p, double[] q) {
    return Math.hypot(Math.hypot(p[0] - q[0], p[1] - q[1]), p[2] - q[2]) < 1e-9;
  }

  private static List<double[]> corners(Item i) {
    List<double[]> out = new ArrayList<>();
    double[] xyz = i.shape().vertices().getFirst();
    for (int k = 0; k < xyz.length; k += 3) {
      out.add(new double[] {xyz[k], xyz[k + 1], xyz[k + 2]});
    }
    return out;
  }

  @Test
  void postsAndObjectsStandInOneRangeEach() {
    Item posts = rail(NONE).get(1);
    int whole = posts.triangles().orElseThrow().triangleCount();
    int sum = 0;
    for (double from = START; from < START + LENGTH; from += 40) {
      Item part = between(posts, from, from + 40).orElseThrow();
      assertThat(part.triangles().orElseThrow().isClosed()).isTrue();
      sum += part.triangles().orElseThrow().triangleCount();
    }
    assertThat(sum).isEqualTo(whole);
    List<Item> lights =
        new Repetition("Light", LINE, ObjectShape.LIGHT, 40, "", 4, 0, -1e9, 1e9, NONE)
            .make(inputs(), Progress.NONE)
            .items();
    List<String> there =
        lights.stream()
            .filter(l -> between(l, START + 40, START + 80).isPresent())
            .map(Item::name)
            .toList();
    assertThat(there).containsExactly("Light 2");
    assertThat(Extract.reaches(lights.getLast(), new ChainageRange(START + 80, START + LENGTH)))
        .isTrue();
  }

  @Test
  void aBridgeLeavesBehindWhatStandsElsewhere() {
    List<Item> bridge =
        new BridgeOverGround(
                "B",
                LINE,
                GROUND,
                START + 10,
                START + 90,
                "1040",
                0,
                NONE,
                5,
                5,
                0.1,
                0.8,
                1.2,
                1,
                2,
                1,
                0.2,
                1.5,
                1,
                true,
                List.of(),
                4,
                "concrete")
            .make(inputs(), Progress.NONE)
            .items();
    List<String> there =
        bridge.stream()
            .filter(i -> between(i, START + 60, START + LENGTH).isPresent())
            .map(i -> i.kind().id())
            .distinct()
            .toList();
    assertThat(there).contains("bridge deck", "bridge abutment").doesNotContain("bridge column");
    Item deck = bridge.getFirst();
    assertThat(volume(between(deck, START + 60, 1e9).orElseThrow()))
        .isCloseTo(volume(deck) * 30 / 80, within(2e-3 * volume(deck)));
  }

  @ParameterizedTest
  @ValueSource(doubles = {12.3, 60, 119.9})
  void aWallIsCutAndItsPartsAreTheWhole(double at) {
    Item wall =
        new RetainingWall("W", LINE, GROUND, 6, 1, 0.3, 1, 2, 0.5, -1e9, 1e9, "concrete")
            .make(inputs(), Progress.NONE)
            .items()
            .getFirst();
    Item first = between(wall, 0, START + at).orElseThrow();
    Item second = between(wall, START + at, 1e9).orElseThrow();
    assertThat(first.triangles().orElseThrow().isClosed()).isTrue();
    assertThat(second.triangles().orElseThrow().isClosed()).isTrue();
    assertThat(volume(first) + volume(second)).isCloseTo(volume(wall), within(1e-4 * volume(wall)));
    assertThat(between(wall, START + LENGTH, 1e9)).isEmpty();
  }

  @ParameterizedTest
  @EnumSource(Culvert.Form.class)
  void aCulvertStandsInOneRange(Culvert.Form form) {
    List<Item> culvert =
        new Culvert("C", LINE, START + 30, form, 1.5, 1.2, 0.2, 7, 9, 10, 8, 7.7, true, "concrete")
            .make(inputs(), Progress.NONE)
            .items();
    assertThat(culvert).hasSize(3);
    for (Item i : culvert) {
      assertThat(between(i, START, START + 20)).isEmpty();
      assertThat(volume(between(i, START + 20, START + 40).orElseThrow())).isEqualTo(volume(i));
      assertThat(between(i, START + 40, START + LENGTH)).isEmpty();
    }
  }
}
