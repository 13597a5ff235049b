package wellspan.core.earthwork;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.flaw.SurfaceFlaws;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Recipe;
import wellspan.core.progress.Progress;
import wellspan.core.recipe.SideSlopes;

/** Side slopes and volumes by closed formulas: level roads on level ground. */
class EarthworkTest {
  private static final ItemId AXIS = new ItemId("axis");
  private static final ItemId GROUND = new ItemId("ground");

  private static Alignment alignment(PlanElement e) {
    Profile flat =
        Profile.through(
            "p",
            List.of(
                new Pvi(0, 10, new Pvi.Rounding.None()),
                new Pvi(e.length(), 10, new Pvi.Rounding.None())));
    return new Alignment("Road", List.of(e), new Chainages(1000, List.of()), Optional.of(flat));
  }

  private static Alignment straight(double length) {
    return alignment(new PlanElement.Line(new PlanPoint(0, 0, 0), length));
  }

  private static Mesh level(double h) {
    double[] xyz = {-600, -600, h, 600, -600, h, 600, 600, h, -600, 600, h};
    return new Mesh(xyz, new int[] {0, 1, 2, 0, 2, 3});
  }

  private static Inputs inputs(Alignment a, Mesh ground) {
    Map<ItemId, Item> all =
        Map.of(AXIS, Item.alignment("Road", a), GROUND, Item.surface("Ground", ground));
    return all::get;
  }

  private static SideSlopes slopes(double left, double right, double fall) {
    return new SideSlopes("F", AXIS, GROUND, left, right, fall, 0, 1.5, 2, 0, 0.5, 0, 2, -1e9, 1e9);
  }

  private static double volume(Recipe.Made made, Kind kind) {
    return made.items().stream()
        .filter(i -> i.kind().is(kind))
        .mapToDouble(
            i -> {
              Mesh m = i.triangles().orElseThrow();
              assertThat(m.isClosed()).isTrue();
              return m.volume();
            })
        .sum();
  }

  @ParameterizedTest
  @CsvSource({"12, 26", "13, 43.5", "7, 48", "9, 12"})
  void aStraightRoadCutsOrFillsATrapezoid(double ground, double area) {
    Recipe.Made made = slopes(5, 5, 0).make(inputs(straight(100), level(ground)), Progress.NONE);
    boolean cut = ground > 10;
    assertThat(volume(made, cut ? Kind.CUT : Kind.FILL)).isCloseTo(100 * area, within(1e-6));
    assertThat(volume(made, cut ? Kind.FILL : Kind.CUT)).isZero();
    assertThat(made.findings()).isEmpty();
  }

  @Test
  void aSlopeOffTheGroundIsNamed() {
    double[] xyz = {-10, -8, 0, 110, -8, 0, 110, 8, 0, -10, 8, 0};
    Recipe.Made made =
        slopes(5, 5, 0)
            .make(
                inputs(straight(100), new Mesh(xyz, new int[] {0, 1, 2, 0, 2, 3})), Progress.NONE);
    assertThat(made.findings()).hasSize(1);
    assertThat(made.findings().getFirst().code()).isEqualTo("terrain.slope-open");
  }

  @ParameterizedTest
  @CsvSource({"5, 5", "3, 7", "7, 3"})
  void inCurvesTheOutsideCountsMore(double left, double right) {
    double radius = 80;
    Alignment arc = alignment(new PlanElement.Arc(new PlanPoint(0, 0, 0), radius * 1.2, radius));
    Recipe.Made made = slopes(left, right, 0).make(inputs(arc, level(12)), Progress.NONE);
    // a trapezoid of 2 m with slopes of 1 : 1.5 between -left-3 and right+3 at its top
    double rectangle = 2 * (left + right);
    double moment = rectangle * (right - left) / 2 + 3 * (right + 1) - 3 * (left + 1);
    double exact = radius * 1.2 * (rectangle + 6 + moment / radius);
    MassHaul haul =
        MassHaul.of(
            arc,
            level(12),
            made.items().getFirst().triangles().orElseThrow(),
            20,
            30,
            1,
            Progress.NONE);
    assertThat(volume(made, Kind.CUT)).isCloseTo(exact, within(exact * 1e-3));
    assertThat(haul.cut()).isCloseTo(exact, within(exact * 1e-3));
    assertThat(haul.fill()).isZero();
  }

  @Test
  void theMassIsCarriedAlongByChainage() {
    // ground that falls from 12 to 8 along 200 m: cut first, then as much fill with other slopes
    double[] xyz = {-1, -100, 12, 201, -100, 8, 201, 100, 8, -1, 100, 12};
    Mesh ground = new Mesh(xyz, new int[] {0, 1, 2, 0, 2, 3});
    Alignment road = straight(200);
    SideSlopes steep = new SideSlopes("F", AXIS, GROUND, 5, 5, 0, 0, 0, 0, 0, 0.5, 0, 2, -1e9, 1e9);
    Recipe.Made made = steep.make(inputs(road, ground), Progress.NONE);
    MassHaul haul =
        MassHaul.of(
            road,
            ground,
            made.items().getFirst().triangles().orElseThrow(),
            50,
            20,
            1,
            Progress.NONE);
    assertThat(haul.rows()).hasSize(4);
    assertThat(haul.rows().getFirst().from()).isEqualTo(1000);
    assertThat(haul.rows().getLast().to()).isEqualTo(1200);
    assertThat(haul.rows().get(1).mass())
        .isCloseTo(haul.rows().get(0).cut() + haul.rows().get(1).cut(), within(1.0));
    assertThat(haul.rows().getLast().mass()).isCloseTo(0.0, within(2.0));
    double top = 10 * 100 * (12 - 4 * 1.0 / 202 - 10) / 2;
    assertThat(haul.cut()).isCloseTo(top, within(top * 0.01));
  }

  @Test
  void ditchesAndBermsStandWhereTheyAreAskedFor() {
    SideSlope s = new SideSlope(1.5, 2, 0.5, 0.4, 3, 2);
    GroundLine ground = GroundLine.of(index(level(20)), 0, 0, 1, 0, 0, 100);
    List<double[]> p = s.from(10, ground).points();
    assertThat(p.get(0)).containsExactly(new double[] {0.75, 9.5}, within(1e-9));
    assertThat(p.get(1)).containsExactly(new double[] {1.15, 9.5}, within(1e-9));
    assertThat(p.get(2)).containsExactly(new double[] {5.65, 12.5}, within(1e-9));
    assertThat(p.get(3)).containsExactly(new double[] {7.65, 12.5}, within(1e-9));
    double[] end = p.getLast();
    assertThat(end[1]).isCloseTo(20, within(1e-9));
    // 10.5 m up at 1 : 1.5 with three berms of 2 m, behind ditch
    assertThat(end[0]).isCloseTo(1.15 + 1.5 * 10.5 + 3 * 2, within(1e-9));
    assertThat(p).hasSize(SideSlope.POINTS);
  }

  private static wellspan.core.terrain.TriangleIndex index(Mesh m) {
    return new wellspan.core.terrain.TriangleIndex(m);
  }

  @Test
  void slopesBeyondTheCentreOfACurveAreRefused() {
    Alignment sharp = alignment(new PlanElement.Arc(new PlanPoint(0, 0, 0), 20, 15));
    assertThatThrownBy(() -> slopes(5, 5, 0).make(inputs(sharp, level(30)), Progress.NONE))
        .hasMessageContaining("beyond the centre of the curve at chainage");
  }

  @Test
  void placesAHairApartMakeNoNeedles() {
    PlanElement one = new PlanElement.Line(new PlanPoint(0, 0, 0), 49.9998);
    PlanElement two = new PlanElement.Line(one.end(), 50.0003);
    Pvi.Rounding none = new Pvi.Rounding.None();
    Profile profile =
        Profile.through(
            "p", List.of(new Pvi(0, 10, none), new Pvi(50, 11, none), new Pvi(99.9999, 10, none)));
    Alignment a =
        new Alignment("Road", List.of(one, two), new Chainages(0, List.of()), Optional.of(profile));
    Recipe.Made made = slopes(5, 5, 3).make(inputs(a, level(7)), Progress.NONE);
    Mesh formation = made.items().getFirst().triangles().orElseThrow();
    assertThat(SurfaceFlaws.of(formation, 1e-3, Progress.NONE).isClean()).isTrue();
  }
}
