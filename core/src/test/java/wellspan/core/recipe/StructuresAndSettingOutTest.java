package wellspan.core.recipe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
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
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Recipe;
import wellspan.core.progress.Progress;
import wellspan.core.road.CourseNumbers;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.typical.Course;
import wellspan.core.typical.CrossfallTable;
import wellspan.core.typical.ShoulderRule;
import wellspan.core.typical.Strip;
import wellspan.core.typical.StripUse;
import wellspan.core.typical.TypicalSection;

/** What is built and set out along lines and under surfaces, by closed formulas. */
class StructuresAndSettingOutTest {
  private static final ItemId LINE = new ItemId("line");
  private static final ItemId GROUND = new ItemId("ground");
  private static final ItemId NONE = new ItemId("");

  private static Inputs inputs(Item line, Item ground) {
    return id -> id.equals(LINE) ? line : id.equals(GROUND) ? ground : notThere(id);
  }

  private static Item notThere(ItemId id) {
    throw new IllegalArgumentException("There is no " + id + ".");
  }

  /** Rising 1:10 to the east, level 0 at E 0. */
  private static Item slope() {
    double[] xyz = {-500, -500, -50, 500, -500, 50, 500, 500, 50, -500, 500, -50};
    return Item.surface("Ground", new Mesh(xyz, new int[] {0, 1, 2, 0, 2, 3}));
  }

  private static Item string(double... xyz) {
    return Item.string("Edge", new Polyline(xyz));
  }

  /** A left turn from the east, radius 50, from chainage 1000 on, rising 1:20 from 10. */
  private static Item arc() {
    PlanElement e = new PlanElement.Arc(new PlanPoint(0, 0, 0), 60, 50);
    Pvi.Rounding none = new Pvi.Rounding.None();
    Profile p = Profile.through("p", List.of(new Pvi(0, 10, none), new Pvi(60, 13, none)));
    return Item.alignment(
        "Arc", new Alignment("Arc", List.of(e), new Chainages(1000, List.of()), Optional.of(p)));
  }

  private static Mesh mesh(Item i) {
    return i.triangles().orElseThrow();
  }

  @Test
  void pointsAreSetOutAtChainagesAndOffsets() {
    SettingOut s = new SettingOut("SO", LINE, 25, true, "-4; 0 2.5", 2, -1e9, 1e9, NONE);
    Recipe.Made made = s.make(inputs(arc(), slope()), Progress.NONE);
    List<NamedPoint> points = ((Shape.Points) made.items().getFirst().shape()).points();
    assertThat(points)
        .extracting(NamedPoint::name)
        .containsExactly(
            "1+000.000 L4.000",
            "1+000.000",
            "1+000.000 R2.500",
            "1+025.000 L4.000",
            "1+025.000",
            "1+025.000 R2.500",
            "1+050.000 L4.000",
            "1+050.000",
            "1+050.000 R2.500",
            "1+060.000 L4.000",
            "1+060.000",
            "1+060.000 R2.500");
    for (NamedPoint p : points.subList(3, 6)) {
      double turn = 25 / 50.0;
      double offset = p.name().endsWith("L4.000") ? -4 : p.name().endsWith("R2.500") ? 2.5 : 0;
      double radius = 50 + offset;
      assertThat(p.position().east()).isCloseTo(radius * Math.sin(turn), within(1e-9));
      assertThat(p.position().north()).isCloseTo(50 - radius * Math.cos(turn), within(1e-9));
      assertThat(p.position().level())
          .isCloseTo(10 + 25 / 20.0 - 0.02 * Math.abs(offset), within(1e-9));
    }
    assertThatThrownBy(
            () ->
                new SettingOut("SO", LINE, 25, true, "4 m", 0, -1e9, 1e9, NONE)
                    .make(inputs(arc(), slope()), Progress.NONE))
        .hasMessageContaining("“m” is no offset");
  }

  @Test
  void setOutPointsMayTakeTheGroundsLevels() {
    List<NamedPoint> points =
        ((Shape.Points)
                new SettingOut("SO", LINE, 10, false, "3", 0, -1e9, 1e9, GROUND)
                    .make(inputs(string(0, 0, 5, 30, 0, 5), slope()), Progress.NONE)
                    .items()
                    .getFirst()
                    .shape())
            .points();
    assertThat(points).hasSize(4);
    for (NamedPoint p : points) {
      assertThat(p.position().north()).isCloseTo(-3, within(1e-9));
      assertThat(p.position().level()).isCloseTo(p.position().east() / 10, within(1e-9));
    }
  }

  @ParameterizedTest
  @CsvSource({"Surface course, asphalt, course", "Footway slabs, concrete, footway"})
  void aCourseLiesUnderItsSurface(String name, String material, String kind) {
    double[] xyz = {0, 0, 1, 10, 0, 2, 10, 10, 4, 0, 10, 3, 5, 5, 6};
    int[] mixed = {0, 1, 4, 1, 4, 2, 2, 3, 4, 3, 0, 4}; // one of them turned over
    Item top = Item.surface("Head", new Mesh(xyz, mixed));
    Item made =
        new CourseUnderSurface(name, GROUND, 0.04, 0.06, material)
            .make(inputs(null, top), Progress.NONE)
            .items()
            .getFirst();
    assertThat(mesh(made).isClosed()).isTrue();
    assertThat(mesh(made).volume()).isCloseTo(100 * 0.06, within(1e-9));
    assertThat(made.bounds().maxH()).isCloseTo(5.96, within(1e-12));
    assertThat(made.bounds().minH()).isCloseTo(0.9, within(1e-12));
    assertThat(made.kind().id()).isEqualTo(kind);
    assertThat(made.attributes().material()).isEqualTo(material);
  }

  @Test
  void coursesUnderOneSurfaceAreNumberedFromTheTop() {
    Item top = slope();
    List<Item> made =
        List.of(
            course("Base", 0.10).make(inputs(null, top), Progress.NONE).items().getFirst(),
            course("Top", 0).make(inputs(null, top), Progress.NONE).items().getFirst(),
            course("Binder", 0.04).make(inputs(null, top), Progress.NONE).items().getFirst());
    CourseNumbers numbers = CourseNumbers.of(made);
    assertThat(made).extracting(i -> numbers.of(i).orElseThrow()).containsExactly(3, 1, 2);
    assertThat(numbers.of(top)).isEmpty();
  }

  private static CourseUnderSurface course(String name, double depth) {
    return new CourseUnderSurface(name + " course", GROUND, depth, 0.04, "asphalt");
  }

  @Test
  void aSurfaceWithThreeTrianglesAtOneEdgeHasNoCourse() {
    double[] xyz = {0, 0, 0, 1, 0, 0, 0, 1, 0, 0, -1, 0, 1, 1, 0};
    Item top = Item.surface("Bad", new Mesh(xyz, new int[] {0, 1, 2, 0, 3, 1, 0, 1, 4}));
    assertThatThrownBy(
            () ->
                new CourseUnderSurface("C", GROUND, 0, 0.1, "")
                    .make(inputs(null, top), Progress.NONE))
        .hasMessageContaining("Bad has flaws");
  }

  @Test
  void aWallReachesFromItsTopToItsFootingInTheGround() {
    // top at 8 m, ground from 0 to 4 m along it, footing 1 m below, 2 × 0.5 m
    RetainingWall w =
        new RetainingWall("W", LINE, GROUND, 0, 1, 0.3, 1, 2, 0.5, -1e9, 1e9, "concrete");
    Recipe.Made made = w.make(inputs(string(0, 0, 7, 40, 0, 7), slope()), Progress.NONE);
    Mesh m = mesh(made.items().getFirst());
    assertThat(m.isClosed()).isTrue();
    double stem = 8 - (2 - 1 + 0.5); // from the middle of the footings' upper sides
    assertThat(m.volume()).isCloseTo(40 * (2 * 0.5 + 0.3 * stem), within(1e-6));
    assertThatThrownBy(() -> w.make(inputs(string(0, 0, 2, 40, 0, 2), slope()), Progress.NONE))
        .hasMessageContaining("does not reach above its footing");
    assertThatThrownBy(() -> w.make(inputs(string(0, 0, 70, 900, 0, 70), slope()), Progress.NONE))
        .hasMessageContaining("there is no ground");
  }

  private static Culvert culvert(Culvert.Form form, double skew, double invert) {
    return new Culvert(
        "C", LINE, 1030, form, 1.5, 1.2, 0.2, 7, 9, skew, invert, invert - 0.32, true, "concrete");
  }

  @ParameterizedTest
  @CsvSource({"BOX, 0", "BOX, 30", "PIPE, -25"})
  void aCulvertCrossesUnderItsLine(Culvert.Form form, double skew) {
    Recipe.Made made = culvert(form, skew, 6).make(inputs(arc(), slope()), Progress.NONE);
    assertThat(made.items())
        .extracting(Item::name)
        .containsExactly("C", "C headwall left", "C headwall right");
    made.items().forEach(i -> assertThat(mesh(i).isClosed()).as(i.name()).isTrue());
    double length = Math.hypot(16, 0.32);
    double ring =
        form == Culvert.Form.BOX ? 1.9 * 1.6 - 1.5 * 1.2 : Math.PI / 4 * (1.9 * 1.9 - 1.5 * 1.5);
    assertThat(mesh(made.items().getFirst()).volume()).isCloseTo(length * ring, within(1e-3));
    double across = Math.atan2(-Math.cos(0.6), Math.sin(0.6)); // to the right at 30 m
    double way = across - Math.toRadians(skew);
    double east = 50 * Math.sin(0.6) + Math.cos(way); // from 7 m left to 9 m right: 1 m off
    double north = 50 - 50 * Math.cos(0.6) + Math.sin(way);
    assertThat(made.items().getFirst().bounds().centre().east()).isCloseTo(east, within(0.02));
    assertThat(made.items().getFirst().bounds().centre().north()).isCloseTo(north, within(0.02));
    assertThat(made.findings()).isEmpty();
  }

  @Test
  void aCulvertAboveItsRoadIsFound() {
    Recipe.Made made =
        culvert(Culvert.Form.BOX, 0, 10.5).make(inputs(arc(), slope()), Progress.NONE);
    assertThat(made.findings()).extracting(Finding::code).containsExactly("culvert.cover");
    // line at 11.5; soffit with its wall at 10.5 − 0.14 + 1.4
    assertThat(made.findings().getFirst().message()).contains("C comes 0.260 m above Arc");
  }

  private static RoadOfTypicalSection road(TypicalSection section, ItemId edge) {
    return new RoadOfTypicalSection(
        "R", LINE, section, NONE, edge, false, CrossfallTable.NONE, ShoulderRule.OWN, 8, -1e9, 1e9);
  }

  @Test
  void aSectionFollowsTheEdgeOfAJunction() {
    TypicalSection edge =
        new TypicalSection(
            "Return",
            List.of(),
            List.of(
                new Strip(StripUse.SHOULDER, 0.5, 2, 0, 0, ""),
                new Strip(StripUse.KERB, 0.15, 0, 0.1, 0.22, "concrete")),
            List.of(new Course("Surface course", "asphalt", 0.04, 0)));
    RoadOfTypicalSection road = road(edge, NONE);
    Recipe.Made made =
        road.make(inputs(string(0, 0, 5, 10, 0, 5, 10, -10, 6), slope()), Progress.NONE);
    assertThat(made.items())
        .extracting(Item::name)
        .containsExactly("R Surface course", "R Kerb right");
    assertThat(made.items()).extracting(i -> i.kind().id()).containsExactly("course", "kerb");
    made.items().forEach(i -> assertThat(mesh(i).isClosed()).as(i.name()).isTrue());
    // middle lines 0.25 m and 0.575 m inside the corner
    assertThat(mesh(made.items().get(0)).volume()).isCloseTo(0.5 * 0.04 * 19.5, within(1e-9));
    assertThat(mesh(made.items().get(1)).volume())
        .isCloseTo(0.15 * 0.22 * (20 - 2 * 0.575), within(1e-9));
    assertThatThrownBy(
            () -> road(edge, LINE).make(inputs(string(0, 0, 5, 10, 0, 5), slope()), Progress.NONE))
        .hasMessageContaining("along an alignment only");
  }
}
