package wellspan.core.typical;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.Footpoint;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.progress.Progress;
import wellspan.core.recipe.RoadOfTypicalSection;
import wellspan.core.replay.OperationJson;

/** Roads that are superelevated as their alignment says. */
class SuperelevationTest {
  private static final ItemId AXIS = new ItemId("axis");
  private static final ItemId NONE = new ItemId("");
  private static final List<String> STATIONS =
      List.of(
          "BeginRunoutSta",
          "BeginRunoffSta",
          "FullSuperSta",
          "RunoffSta",
          "StartofRunoutSta",
          "EndofRunoutSta");

  /** An arc from chainage 500 on, 200 m long, level at 10 m. */
  private static Alignment arc(double radius) {
    Pvi.Rounding none = new Pvi.Rounding.None();
    return new Alignment(
        "Bend",
        List.of(new PlanElement.Arc(new PlanPoint(0, 0, 0), 200, radius)),
        new Chainages(500, List.of()),
        Optional.of(Profile.through("p", List.of(new Pvi(0, 10, none), new Pvi(200, 10, none)))));
  }

  private static Item said(Alignment a, String adverse, double... stations) {
    Map<String, PropertyValue> v = new LinkedHashMap<>();
    for (int i = 0; i < stations.length; i++) {
      v.put(STATIONS.get(i), new PropertyValue.Length(stations[i]));
    }
    v.put("FullSuperelev", new PropertyValue.Measure("IfcRatioMeasure", 0.06));
    if (!adverse.isEmpty()) {
      v.put("AdverseSE", new PropertyValue.Label(adverse));
    }
    return Item.alignment(a.name(), a)
        .saying(Description.of(List.of(new PropertySet("Superelevation", v)), Optional.empty()));
  }

  private static Item usual(Alignment a, String adverse) {
    return said(a, adverse, 520, 540, 600, 640, 680, 700);
  }

  @ParameterizedTest
  @CsvSource({
    "20, 2.5, 2.5", // all as usual
    "30, 2.5, 1.25", // the outer side turns to level
    "40, 2.5, 0",
    "65, 2.5, -2.5", // a cross fall throughout
    "100, 6, -6", // full
    "120, 6, -6",
    "180, 2.5, 0",
    "200, 2.5, 2.5"
  })
  void sidesTurnOverLevelToTheFullCrossfall(double distance, double inner, double outer) {
    for (double radius : new double[] {150, -150}) {
      for (String adverse : List.of("", "non-adverse", "adverse")) {
        Alignment a = arc(radius);
        Superelevation s = Superelevation.of(usual(a, adverse), a, 2.5, 2.5);
        Superelevation.Falls f = s.at(distance).orElseThrow();
        boolean outerIsRight = radius > 0 != adverse.equals("adverse");
        assertThat(outerIsRight ? f.left() : f.right()).isCloseTo(inner, within(1e-9));
        assertThat(outerIsRight ? f.right() : f.left()).isCloseTo(outer, within(1e-9));
      }
    }
    Alignment a = arc(150);
    assertThat(Superelevation.of(usual(a, ""), a, 2.5, 2.5).at(10)).isEmpty();
  }

  private static Strip lane() {
    return new Strip(StripUse.LANE, 3.5, 2.5, 0, 0, "");
  }

  private static Strip shoulder() {
    return new Strip(StripUse.SHOULDER, 1.5, 4, 0, 0, "");
  }

  @ParameterizedTest
  @CsvSource({"OWN, 4, 4", "LANE, -6, 6", "LIMITED, 2, 4"})
  void shouldersFallByTheirRule(ShoulderRule rule, double outer, double inner) {
    Alignment a = arc(150); // to the left: the right side lies outside
    TypicalSection section =
        new TypicalSection(
            "Two lanes",
            List.of(lane(), shoulder()),
            List.of(lane(), shoulder()),
            List.of(new Course("Surface", "asphalt", 0.05, 0)));
    Mesh m =
        new RoadOfTypicalSection(
                "R", AXIS, section, NONE, NONE, true, CrossfallTable.NONE, rule, 8, -1e9, 1e9)
            .make(id -> usual(a, ""), Progress.NONE)
            .items()
            .getFirst()
            .triangles()
            .orElseThrow();
    assertThat(m.isClosed()).isTrue();
    assertThat(top(m, a, 100, 3.5)).isCloseTo(10 + 0.06 * 3.5, within(1e-9));
    assertThat(top(m, a, 100, 5)).isCloseTo(10.21 - outer / 100 * 1.5, within(1e-9));
    assertThat(top(m, a, 100, -3.5)).isCloseTo(10 - 0.06 * 3.5, within(1e-9));
    assertThat(top(m, a, 100, -5)).isCloseTo(9.79 - inner / 100 * 1.5, within(1e-9));
    assertThat(top(m, a, 0, 3.5)).isCloseTo(10 - 0.025 * 3.5, within(1e-9));
    // thickness is vertical: what turns keeps its volume
    assertThat(m.volume()).isCloseTo(10 * 0.05 * 200, within(10 * 0.05 * 200 * 1e-3));
  }

  /** Highest level of the vertices at a place. */
  private static double top(Mesh m, Alignment a, double distance, double offset) {
    double top = Double.NEGATIVE_INFINITY;
    for (int v = 0; v < m.vertexCount(); v++) {
      Footpoint f = Footpoint.of(a, m.east(v), m.north(v)).orElseThrow();
      if (Math.abs(f.offset() - offset) < 1e-6 && Math.abs(f.distance() - distance) < 1e-6) {
        top = Math.max(top, m.level(v));
      }
    }
    return top;
  }

  @Test
  void whatDoesNotSayEnoughIsRefused() {
    Alignment a = arc(150);
    assertThatThrownBy(() -> Superelevation.of(Item.alignment("Bend", a), a, 2.5, 2.5))
        .hasMessageContaining("Bend says nothing of a superelevation");
    assertThatThrownBy(() -> Superelevation.of(said(a, "", 520, 540, 600), a, 2.5, 2.5))
        .hasMessageContaining("lacks a station");
    assertThatThrownBy(
            () -> Superelevation.of(said(a, "", 520, 540, 530, 640, 680, 700), a, 2.5, 2.5))
        .hasMessageContaining("out of order");
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.1, 0.15})
  void aDitchIsOneBodyOfItsSlopesAndItsBottom(double thickness) {
    TypicalSection section =
        new TypicalSection(
            "With a ditch",
            List.of(),
            List.of(
                lane(),
                new Strip(StripUse.DITCH, 0.9, 66, 0, thickness, "stone"),
                new Strip(StripUse.DITCH, 0.5, 0, 0, thickness, "stone"),
                new Strip(StripUse.DITCH, 0.6, -100, 0, thickness, "stone"),
                new Strip(StripUse.SLOPE, 2, -50, 0, 0.1, "topsoil")),
            List.of());
    Alignment line =
        new Alignment(
            "Line",
            List.of(new PlanElement.Line(new PlanPoint(0, 0, 0), 50)),
            new Chainages(0, List.of()),
            arc(150).profile());
    List<Item> made =
        new RoadOfTypicalSection(
                "R",
                AXIS,
                section,
                NONE,
                NONE,
                false,
                CrossfallTable.NONE,
                ShoulderRule.OWN,
                8,
                -1e9,
                1e9)
            .make(id -> Item.alignment("Line", line), Progress.NONE)
            .items();
    assertThat(made).extracting(i -> i.kind().id()).containsExactly("ditch", "side slope");
    assertThat(made).extracting(Item::name).containsExactly("R Ditch right", "R Side slope right");
    Mesh ditch = made.getFirst().triangles().orElseThrow();
    assertThat(ditch.isClosed()).isTrue();
    assertThat(ditch.volume()).isCloseTo(2 * thickness * 50, within(1e-9));
    double edge = 10 - 0.025 * 3.5;
    assertThat(ditch.bounds().minH()).isCloseTo(edge - 0.594 - thickness, within(1e-9));
  }

  private static RoadOfTypicalSection listed(boolean also, CrossfallTable.Row... rows) {
    TypicalSection section =
        new TypicalSection(
            "Two lanes",
            List.of(lane()),
            List.of(lane()),
            List.of(new Course("Surface", "asphalt", 0.05, 0)));
    return new RoadOfTypicalSection(
        "R",
        AXIS,
        section,
        NONE,
        NONE,
        also,
        new CrossfallTable(List.of(rows)),
        ShoulderRule.OWN,
        8,
        -1e9,
        1e9);
  }

  /** From a roof over a level side to a full crossfall, as a designer's list has it. */
  @Test
  void lanesFallAsListed() {
    Alignment a = arc(150); // chainages from 500 on
    RoadOfTypicalSection road =
        listed(
            false,
            new CrossfallTable.Row(520, 2.5, 2.5),
            new CrossfallTable.Row(560, 2.5, -2.5),
            new CrossfallTable.Row(600, 5, -5));
    Mesh m =
        road.make(id -> Item.alignment("Bend", a), Progress.NONE)
            .items()
            .getFirst()
            .triangles()
            .orElseThrow();
    assertThat(m.isClosed()).isTrue();
    double[][] expected = {
      {0, 2.5, 2.5}, {20, 2.5, 2.5}, {60, 2.5, -2.5}, {100, 5, -5}, {200, 5, -5}
    };
    for (double[] e : expected) {
      assertThat(top(m, a, e[0], -3.5))
          .as("left at " + e[0])
          .isCloseTo(10 - e[1] / 100 * 3.5, within(1e-9));
      assertThat(top(m, a, e[0], 3.5))
          .as("right at " + e[0])
          .isCloseTo(10 - e[2] / 100 * 3.5, within(1e-9));
    }
  }

  @Test
  void whatIsListedIsKeptWithTheJob() {
    RoadOfTypicalSection road =
        listed(
            false, new CrossfallTable.Row(520, 2.5, -2.5), new CrossfallTable.Row(600.25, 5, -5));
    assertThat(OperationJson.recipe(OperationJson.node(road))).isEqualTo(road);
    assertThat(OperationJson.recipe(OperationJson.node(listed(false)))).isEqualTo(listed(false));
  }

  @Test
  void listsThatCannotBeFollowedAreRefused() {
    Alignment a = arc(150);
    assertThatThrownBy(
            () ->
                listed(false, new CrossfallTable.Row(5000, 2, 2))
                    .make(id -> Item.alignment("Bend", a), Progress.NONE))
        .hasMessageContaining("Bend has no chainage 5+000.000")
        .hasMessageContaining("0+500.000");
    assertThatThrownBy(
            () ->
                listed(true, new CrossfallTable.Row(520, 2, 2))
                    .make(id -> usual(a, ""), Progress.NONE))
        .hasMessageContaining("not both");
    assertThatThrownBy(
            () ->
                listed(false, new CrossfallTable.Row(520, 2, 2), new CrossfallTable.Row(520, 3, 3)))
        .hasMessageContaining("row 2");
    assertThatThrownBy(() -> listed(false, new CrossfallTable.Row(520, 40, 2)))
        .hasMessageContaining("-30 to 30 %");
    assertThatThrownBy(() -> listed(false, new CrossfallTable.Row(Double.NaN, 2, 2)))
        .hasMessageContaining("row 1");
  }

  @Test
  void alongAnEdgeListedFallsMeanNothingAndAreRefused() {
    Item string =
        Item.string("Edge", new wellspan.core.geom.Polyline(new double[] {0, 0, 5, 10, 0, 5}));
    assertThatThrownBy(
            () -> listed(false, new CrossfallTable.Row(5, 2, 2)).make(id -> string, Progress.NONE))
        .hasMessageContaining("along an alignment only");
  }
}
