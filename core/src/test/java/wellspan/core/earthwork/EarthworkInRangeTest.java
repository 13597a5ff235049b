package wellspan.core.earthwork;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.extract.ChainageRange;
import wellspan.core.extract.Extract;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.operation.Inputs;
import wellspan.core.progress.Progress;
import wellspan.core.recipe.SideSlopes;
import wellspan.core.shape.Curved;

/** A stretch of a road takes its formation and its earth along, cut at cross sections. */
class EarthworkInRangeTest {
  private static final ItemId AXIS = new ItemId("axis");
  private static final ItemId GROUND = new ItemId("ground");
  private static final double START = 1000;
  private static final double LENGTH = 120;

  /** A bend at a level of 10 m. */
  private static Alignment bend(double radius) {
    Profile level =
        Profile.through(
            "p",
            List.of(
                new Pvi(0, 10, new Pvi.Rounding.None()),
                new Pvi(LENGTH, 10, new Pvi.Rounding.None())));
    return new Alignment(
        "A",
        List.of(new PlanElement.Arc(new PlanPoint(500_000, 5_000_000, 0.3), LENGTH, radius)),
        new Chainages(START, List.of()),
        Optional.of(level));
  }

  /** Ground that rolls across and along, some metres above and below the road. */
  private static Mesh hills(double height) {
    int n = 30;
    double step = 20;
    double[] xyz = new double[3 * n * n];
    List<Integer> corners = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      for (int j = 0; j < n; j++) {
        int k = i * n + j;
        xyz[3 * k] = 500_000 + step * (i - n / 2.0);
        xyz[3 * k + 1] = 5_000_000 + step * (j - n / 2.0);
        xyz[3 * k + 2] = 10 + height * Math.sin(i / 1.7) * Math.cos(j / 2.3);
        if (i > 0 && j > 0) {
          corners.addAll(List.of(k - n - 1, k - 1, k, k - n - 1, k, k - n));
        }
      }
    }
    return new Mesh(xyz, corners.stream().mapToInt(c -> c).toArray());
  }

  private static List<Item> made(Alignment a, Mesh ground) {
    Map<ItemId, Item> all = Map.of(AXIS, Item.alignment("A", a), GROUND, Item.surface("G", ground));
    Inputs inputs = all::get;
    return new SideSlopes("F", AXIS, GROUND, 5, 4, 2.5, 0.3, 1.5, 2, 0.5, 0.5, 3, 1, -1e9, 1e9)
        .make(inputs, Progress.NONE)
        .items();
  }

  private static Optional<Item> between(Item i, double from, double to) {
    return Extract.inRange(i, new ChainageRange(from, to), Curved.USUAL_CHORD);
  }

  private static double volume(Optional<Item> i) {
    return i.map(EarthworkInRangeTest::volume).orElse(0.0);
  }

  private static double volume(Item i) {
    Mesh m = i.triangles().orElseThrow();
    assertThat(m.isClosed()).isTrue();
    return m.volume();
  }

  @Property(tries = 60)
  void stretchesAreClosedAndTogetherTheWhole(
      @ForAll @DoubleRange(min = 60, max = 5000) double radius,
      @ForAll boolean left,
      @ForAll @DoubleRange(min = 0.2, max = 4) double height,
      @ForAll @DoubleRange(min = 1, max = 119) double at) {
    areClosedAndTogetherTheWhole(left ? radius : -radius, height, at);
  }

  /** Fill that touches itself in an upright edge a thirtieth of a millimetre high. */
  @Test
  void partsThatTouchInACornerAreClosedEach() {
    areClosedAndTogetherTheWhole(-1542.77, 2.09, 24.94);
  }

  /** Needles a hundredth of a millimetre wide lie along the edge of the cut's other faces. */
  @Test
  void needlesLeaveNoOpenEdges() {
    areClosedAndTogetherTheWhole(205.77, 3.3, 40.25);
  }

  private static void areClosedAndTogetherTheWhole(double radius, double height, double at) {
    for (Item whole : made(bend(radius), hills(height))) {
      Optional<Item> first = between(whole, START - 5, START + at);
      Optional<Item> second = between(whole, START + at, START + LENGTH + 5);
      if (whole.kind().is(Kind.TERRAIN)) {
        double area = whole.triangles().orElseThrow().planArea();
        double parts =
            first.orElseThrow().triangles().orElseThrow().planArea()
                + second.orElseThrow().triangles().orElseThrow().planArea();
        assertThat(parts).isCloseTo(area, within(1e-6 * area));
      } else {
        double v = volume(whole);
        assertThat(volume(first) + volume(second)).isCloseTo(v, within(1e-5 * v + 1e-4));
      }
    }
  }

  @Test
  void aStretchHoldsWhatItsCrossSectionsSay() {
    Profile level =
        Profile.through(
            "p",
            List.of(
                new Pvi(0, 10, new Pvi.Rounding.None()),
                new Pvi(100, 10, new Pvi.Rounding.None())));
    Alignment straight =
        new Alignment(
            "A",
            List.of(new PlanElement.Line(new PlanPoint(0, 0, 0.7), 100)),
            new Chainages(START, List.of()),
            Optional.of(level));
    double[] xyz = {-300, -300, 13, 300, -300, 13, 300, 300, 13, -300, 300, 13};
    Map<ItemId, Item> all =
        Map.of(
            AXIS,
            Item.alignment("A", straight),
            GROUND,
            Item.surface("G", new Mesh(xyz, new int[] {0, 1, 2, 0, 2, 3})));
    List<Item> items =
        new SideSlopes("F", AXIS, GROUND, 5, 5, 0, 0, 1.5, 2, 0, 0.5, 0, 2, -1e9, 1e9)
            .make(all::get, Progress.NONE)
            .items();
    Item cut = items.get(1);
    Item part = between(cut, START + 17.3, START + 61.8).orElseThrow();
    assertThat(volume(part)).isCloseTo(44.5 * 43.5, within(1e-4));
    Map<String, PropertyValue> said = part.said().propertySets().getFirst().values();
    assertThat(said)
        .containsEntry("Along", new PropertyValue.Label("A"))
        .containsEntry("StartChainage", new PropertyValue.Length(START + 17.3))
        .containsEntry("EndChainage", new PropertyValue.Length(START + 61.8));
    assertThat(between(cut, 0, START)).isEmpty();
    assertThat(between(cut, START, START + 100).orElseThrow().shape().sameAs(cut.shape())).isTrue();
  }
}
