package wellspan.core.sweep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Outline;
import wellspan.core.operation.Recipe;
import wellspan.core.progress.Progress;
import wellspan.core.recipe.Extrusion;
import wellspan.core.recipe.Repetition;
import wellspan.core.recipe.Sweep;
import wellspan.core.shape.Shape;

/** Sections carried along lines, by closed formulas. */
class SweepTest {
  private static final ItemId LINE = new ItemId("line");
  private static final ItemId GROUND = new ItemId("ground");
  private static final ItemId SECTION = new ItemId("section");
  private static final ItemId NONE = new ItemId("");

  private static Item line(double... xyz) {
    return Item.string("Edge", new Polyline(xyz));
  }

  private static Item ground(double level) {
    double[] xyz = {-500, -500, level, 500, -500, level, 500, 500, level, -500, 500, level};
    return Item.surface("Ground", new Mesh(xyz, new int[] {0, 1, 2, 0, 2, 3}));
  }

  private static Item arc(double radius, double angle) {
    PlanElement arc = new PlanElement.Arc(new PlanPoint(0, 0, 0), Math.abs(radius) * angle, radius);
    return Item.alignment(
        "Arc", new Alignment("Arc", List.of(arc), new Chainages(100, List.of()), profile(arc)));
  }

  private static Optional<Profile> profile(PlanElement of) {
    return Optional.of(
        Profile.through(
            "p",
            List.of(
                new Pvi(0, 10, new Pvi.Rounding.None()),
                new Pvi(of.length(), 10, new Pvi.Rounding.None()))));
  }

  private static Inputs inputs(Item line, Map<ItemId, Item> more) {
    return id -> id.equals(LINE) ? line : more.get(id);
  }

  private static Sweep sweep(
      SectionShape section,
      ItemId drawn,
      double offset,
      double height,
      double from,
      double to,
      ItemId on) {
    return new Sweep("S", LINE, section, drawn, offset, height, 0, from, to, on, 0, 0, "");
  }

  private static Mesh mesh(Recipe.Made made) {
    return made.items().getFirst().triangles().orElseThrow();
  }

  @ParameterizedTest
  @EnumSource(SectionShape.class)
  void everySectionIsClosedAlongAStraight(SectionShape section) {
    Recipe.Made made =
        sweep(section, NONE, 0, 0, -1e9, 1e9, NONE)
            .make(inputs(line(0, 0, 5, 30, 40, 5), Map.of()), Progress.NONE);
    Mesh m = mesh(made);
    assertThat(m.isClosed()).isTrue();
    assertThat(m.volume()).isCloseTo(50 * SweptSection.area(section.ring()), within(1e-9));
  }

  @Test
  void mitredCornersKeepTheSectionAndItsSides() {
    // a square section of 1 m beside an L of 10 m and 10 m: its middle line is 0.5 m to the right
    Item square = line(0, 0, 0, 1, 0, 0, 1, 1, 0, 0, 1, 0, 0, 0, 0);
    Recipe.Made made =
        sweep(SectionShape.WALL, SECTION, 0.5, 0, -1e9, 1e9, NONE)
            .make(
                inputs(line(0, 0, 0, 10, 0, 0, 10, -10, 0), Map.of(SECTION, square)),
                Progress.NONE);
    assertThat(mesh(made).isClosed()).isTrue();
    assertThat(mesh(made).volume()).isCloseTo(9.5 + 9.5, within(1e-9));
    // nothing says that a drawn section is a wall, or of concrete
    assertThat(made.items().getFirst().kind().id()).isEqualTo("block");
    assertThat(made.items().getFirst().attributes().material()).isEmpty();
  }

  @Test
  void aRingHasNoEnds() {
    Item square = line(0, 0, 0, 1, 0, 0, 1, 1, 0, 0, 1, 0, 0, 0, 0);
    Recipe.Made made =
        sweep(SectionShape.WALL, SECTION, 0, 0, -1e9, 1e9, NONE)
            .make(
                inputs(
                    line(0, 0, 0, 20, 0, 0, 20, 20, 0, 0, 20, 0, 0, 0, 0), Map.of(SECTION, square)),
                Progress.NONE);
    assertThat(mesh(made).isClosed()).isTrue();
    assertThat(mesh(made).volume()).isCloseTo(21 * 21 - 19 * 19, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({"100, 1", "-100, 1", "12, 2", "8, 0"})
  void anArcTurnsTheSectionAboutItsCentre(double radius, double offset) {
    double angle = 1.2;
    Item arc = arc(radius, angle);
    Recipe.Made made =
        sweep(SectionShape.WALL, NONE, offset, 0, -1e9, 1e9, NONE)
            .make(inputs(arc, Map.of()), Progress.NONE);
    // Guldin: the wall of 0.3 m by 1 m runs along the radius of its middle
    double middle = Math.abs(radius) + Math.signum(radius) * offset;
    double exact = 0.3 * middle * angle;
    Shape fine = made.items().getFirst().shape().within(1e-5);
    assertThat(fine.triangles().orElseThrow().volume()).isCloseTo(exact, within(exact * 1e-4));
    assertThat(mesh(made).volume()).isCloseTo(exact, within(exact * 2e-3));
    assertThat(mesh(made).isClosed()).isTrue();
  }

  @Test
  void chainagesCutItAndLevelsComeFromTheGround() {
    Recipe.Made made =
        sweep(SectionShape.WALL, NONE, 0, 0.5, 110, 130, GROUND)
            .make(inputs(arc(200, 0.5), Map.of(GROUND, ground(3))), Progress.NONE);
    assertThat(made.told()).startsWith("20.000 m");
    assertThat(mesh(made).bounds().minH()).isCloseTo(3.5, within(1e-9));
    assertThat(mesh(made).bounds().maxH()).isCloseTo(4.5, within(1e-9));
  }

  @Test
  void whatWouldFoldIsRefusedWithThePlace() {
    assertThatThrownBy(
            () ->
                sweep(SectionShape.WALL, NONE, 0, 0, -1e9, 1e9, NONE)
                    .make(inputs(line(0, 0, 0, 10, 0, 0, 0, 0.1, 0), Map.of()), Progress.NONE))
        .hasMessageContaining("turns back on itself at 10.000 m");
    assertThatThrownBy(
            () ->
                sweep(SectionShape.WALL, NONE, -12, 0, -1e9, 1e9, NONE)
                    .make(inputs(arc(10, 1), Map.of()), Progress.NONE))
        .hasMessageContaining("wider than the bend");
    assertThatThrownBy(
            () ->
                sweep(SectionShape.WALL, NONE, 0, 0, 900, 950, NONE)
                    .make(inputs(arc(10, 1), Map.of()), Progress.NONE))
        .hasMessageContaining("nothing of it lies between");
    assertThatThrownBy(
            () ->
                sweep(SectionShape.WALL, NONE, 0, 0, -1e9, 1e9, NONE)
                    .make(
                        inputs(line(0, 0, Double.NaN, 10, 0, Double.NaN), Map.of()), Progress.NONE))
        .hasMessageContaining("there is no level at 0.000 m");
  }

  @Test
  void postsBelongToTheirRail() {
    Recipe.Made made =
        new Sweep("Rail", LINE, SectionShape.GUARD_RAIL, NONE, 0, 0, 0, -1e9, 1e9, NONE, 0, 4, "")
            .make(inputs(line(0, 0, 0, 40, 0, 0), Map.of()), Progress.NONE);
    assertThat(made.items()).extracting(Item::name).containsExactly("Rail", "Rail posts");
    Mesh posts = made.items().get(1).triangles().orElseThrow();
    assertThat(posts.isClosed()).isTrue();
    assertThat(posts.volume()).isCloseTo(11 * 0.1 * 0.08 * 1.25, within(1e-9));
  }

  @ParameterizedTest
  @EnumSource(ObjectShape.class)
  void objectsStandOnTheGroundAndTurnWithTheLine(ObjectShape object) {
    Recipe.Made made =
        new Repetition("O", LINE, object, 10, "", 3, 0, -1e9, 1e9, GROUND)
            .make(inputs(line(0, 0, 50, 0, 30, 50), Map.of(GROUND, ground(7))), Progress.NONE);
    assertThat(made.items()).hasSize(4);
    assertThat(made.items().getLast().name()).isEqualTo("O 4");
    for (Item i : made.items()) {
      Mesh m = i.triangles().orElseThrow();
      assertThat(m.isClosed()).isTrue();
      assertThat(m.volume()).isPositive();
      assertThat(m.bounds().minH()).isBetween(6.4, 6.8);
    }
    Mesh last = made.items().getLast().triangles().orElseThrow();
    assertThat((last.bounds().minN() + last.bounds().maxN()) / 2).isCloseTo(30, within(0.1));
    assertThat(last.bounds().maxE()).isGreaterThan(2.9);
  }

  @Test
  void anExtrusionStandsOnTheLowestGroundUnderIt() {
    Item outline = line(0, 0, 0, 10, 0, 0, 10, 5, 0, 0, 5, 0, 0, 0, 0);
    Recipe.Made made =
        new Extrusion("B", new Outline.Of(LINE, 0), GROUND, 0.5, 3, "concrete")
            .make(inputs(outline, Map.of(GROUND, ground(2))), Progress.NONE);
    Mesh m = mesh(made);
    assertThat(m.isClosed()).isTrue();
    assertThat(m.volume()).isCloseTo(150, within(1e-9));
    assertThat(m.bounds().minH()).isCloseTo(2.5, within(1e-12));
    assertThatThrownBy(
            () ->
                new Extrusion("B", new Outline.Of(LINE, 0), GROUND, 0, 3, "")
                    .make(
                        inputs(
                            line(0, 0, 0, 900, 0, 0, 900, 5, 0, 0, 5, 0, 0, 0, 0),
                            Map.of(GROUND, ground(2))),
                        Progress.NONE))
        .hasMessageContaining("does not reach");
  }

  @ParameterizedTest
  @ValueSource(doubles = {2, 5, 9.5})
  void roundedCornersTakeTheArcsLength(double radius) {
    // 10 m and 10 m with a right angle: 20 − 2r + πr/2, the section 0.5 m inside: −π/4 more
    Item square = line(0, 0, 0, 1, 0, 0, 1, 1, 0, 0, 1, 0, 0, 0, 0);
    Sweep s =
        new Sweep("S", LINE, SectionShape.WALL, SECTION, 0.5, 0, 0, -1e9, 1e9, NONE, radius, 0, "");
    Mesh m =
        mesh(
            s.make(
                inputs(line(0, 0, 0, 10, 0, 0, 10, -10, 0), Map.of(SECTION, square)),
                Progress.NONE));
    assertThat(m.isClosed()).isTrue();
    assertThat(m.volume()).isCloseTo(20 - 2 * radius + Math.PI * (radius - 0.5) / 2, within(0.01));
  }

  @Test
  void cornersTooNearForTheirRadiusTakeASmallerOne() {
    Polyline round =
        RoundedCorners.of(
            new Polyline(new double[] {0, 0, 1, 10, 0, 2, 10, 4, 3, 20, 4, 4}), 50, 0.001);
    for (int i = 0; i < round.pointCount(); i++) {
      assertThat(round.point(i).east()).isBetween(0.0, 20.0);
      assertThat(round.point(i).north()).isBetween(0.0, 4.0);
      assertThat(round.point(i).level()).isBetween(1.0, 4.0);
    }
    // both corners have half of the 4 m between them: arcs of 2 m
    assertThat(round.planLength()).isCloseTo(8 + 8 + 2 * Math.PI, within(0.01));
  }

  @Test
  void objectsStandAtGivenChainages() {
    Inputs in = inputs(arc(50, 1), Map.of(GROUND, ground(2)));
    Repetition r =
        new Repetition("Sign", LINE, ObjectShape.SIGN, 10, "105; 0+130.5", 3, 0, -1e9, 1e9, GROUND);
    List<Item> items = r.make(in, Progress.NONE).items();
    assertThat(items).extracting(Item::name).containsExactly("Sign 1", "Sign 2");
    double turn = 30.5 / 50; // from chainage 100 on, to the left, 3 m outside
    assertThat(items.get(1).bounds().centre().east()).isCloseTo(53 * Math.sin(turn), within(0.1));
    assertThat(items.get(1).bounds().centre().north())
        .isCloseTo(50 - 53 * Math.cos(turn), within(0.1));
    for (String wrong : List.of("105 gate", "105 999")) {
      assertThatThrownBy(
              () ->
                  new Repetition("Sign", LINE, ObjectShape.SIGN, 10, wrong, 3, 0, -1e9, 1e9, GROUND)
                      .make(in, Progress.NONE))
          .isInstanceOf(IllegalArgumentException.class)
          .hasMessageContaining("chainage");
    }
  }
}
