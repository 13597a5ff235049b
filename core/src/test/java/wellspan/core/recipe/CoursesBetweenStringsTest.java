package wellspan.core.recipe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Recipe;
import wellspan.core.progress.Progress;
import wellspan.core.typical.Course;
import wellspan.core.typical.TypicalSection;

/** Courses whose top runs from string to string, by closed formulas. */
class CoursesBetweenStringsTest {
  private static final ItemId AXIS = new ItemId("axis");
  private static final List<Course> COURSES =
      List.of(
          new Course("Surface course", "asphalt", 0.04, 0),
          new Course("Base course", "crushed stone", 0.2, 0));

  /** To the east along N 0. */
  private static Item straight() {
    return Item.alignment(
        "Axis",
        new Alignment(
            "Axis",
            List.of(new PlanElement.Line(new PlanPoint(0, 0, 0), 100)),
            new Chainages(0, List.of()),
            Optional.empty()));
  }

  /** A left turn from the east, radius 80, a quarter circle. */
  private static Item turn() {
    return Item.alignment(
        "Axis",
        new Alignment(
            "Axis",
            List.of(new PlanElement.Arc(new PlanPoint(0, 0, 0), 40 * Math.PI, 80)),
            new Chainages(0, List.of()),
            Optional.empty()));
  }

  private static Recipe.Made made(
      Item axis, List<Course> courses, double from, double to, Item... strings) {
    Map<ItemId, Item> all = new java.util.HashMap<>(Map.of(AXIS, axis));
    List<ItemId> ids = new ArrayList<>();
    for (Item s : strings) {
      ItemId id = new ItemId("string " + ids.size());
      ids.add(id);
      all.put(id, s);
    }
    Inputs inputs = all::get;
    TypicalSection section = TypicalSection.FIRST.withCourses(courses);
    return new CoursesBetweenStrings("Lane", AXIS, ids, section, from, to)
        .make(inputs, Progress.NONE);
  }

  private static Item string(String name, double... xyz) {
    return Item.string(name, new Polyline(xyz));
  }

  private static double volume(Item i) {
    assertThat(i.triangles().orElseThrow().isClosed()).as(i.name()).isTrue();
    return i.triangles().orElseThrow().volume();
  }

  @Test
  void coursesLieUnderTheStringsAndAreToldApart() {
    Recipe.Made m =
        made(
            straight(),
            COURSES,
            -1e9,
            1e9,
            string("RE", 0, -4, 9.9, 100, -4, 11.9),
            string("LE", 0, 3, 10, 100, 3, 12));
    assertThat(m.items())
        .extracting(Item::name)
        .containsExactly("Lane Surface course", "Lane Base course");
    assertThat(m.findings()).isEmpty();
    assertThat(volume(m.items().get(0))).isCloseTo(100 * 7 * 0.04, within(1e-6));
    assertThat(volume(m.items().get(1))).isCloseTo(100 * 7 * 0.2, within(1e-6));
    assertThat(m.items().get(1).bounds().maxH()).isCloseTo(12 - 0.04, within(1e-6));
    assertThat(m.items().get(1).bounds().minH()).isCloseTo(9.9 - 0.24, within(1e-6));
    assertThat(m.items()).allSatisfy(i -> assertThat(i.kind().id()).isEqualTo("course"));
    assertThat(m.items().getFirst().said().propertySets().toString()).contains("LE").contains("RE");
  }

  /** Rounded files lie a hair beside the ends; others run far beyond them. */
  @ParameterizedTest
  @CsvSource({"0, 100", "-0.0005, 100.0005", "-3.3, 100.0005", "-7, 104.9", "-3, 251"})
  void stringsThatRunBeyondTheAlignmentAreCutAtItsEnds(double from, double to) {
    Recipe.Made m =
        made(
            straight(),
            COURSES,
            -1e9,
            1e9,
            string("RE", from, -4, 10, to, -4, 10),
            string("LE", from, 3, 10, to, 3, 10));
    assertThat(m.findings()).isEmpty();
    assertThat(volume(m.items().getFirst())).isCloseTo(100 * 7 * 0.04, within(1e-4));
  }

  @Test
  void aCrownBetweenMakesTwoPartsThatShareTheirFaces() {
    Recipe.Made m =
        made(
            straight(),
            COURSES.subList(0, 1),
            20,
            70,
            string("LE", 0, 3, 10, 100, 3, 12),
            string("CL", 0, 0, 10.1, 100, 0, 12.1),
            string("RE", 0, -4, 9.9, 100, -4, 11.9));
    assertThat(m.items())
        .extracting(Item::name)
        .containsExactly("Lane Surface course LE – CL", "Lane Surface course CL – RE");
    assertThat(volume(m.items().get(0))).isCloseTo(50 * 3 * 0.04, within(1e-6));
    assertThat(volume(m.items().get(1))).isCloseTo(50 * 4 * 0.04, within(1e-6));
    assertThat(m.items().get(0).bounds().minE()).isCloseTo(20, within(1e-6));
  }

  @Property(tries = 60)
  void wideningIsLinear(
      @ForAll @DoubleRange(min = 1, max = 6) double left,
      @ForAll @DoubleRange(min = 1, max = 6) double right,
      @ForAll @DoubleRange(min = -2, max = 2) double rise,
      @ForAll @DoubleRange(min = 0, max = 1) double wider) {
    Recipe.Made m =
        made(
            straight(),
            List.of(new Course("Base", "stone", 0.3, wider)),
            -1e9,
            1e9,
            string("L", 0, 2, 10, 100, left, 10 + rise),
            string("R", 0, -2, 9, 100, -right, 9 - rise));
    double mean = (4 + left + right) / 2 + 2 * wider;
    assertThat(volume(m.items().getFirst())).isCloseTo(100 * 0.3 * mean, within(1e-6));
  }

  @Test
  void roundACurveStringsAreFollowedWithinTheirChords() {
    List<double[]> both = new ArrayList<>();
    for (double r : new double[] {77, 84}) {
      double[] xyz = new double[3 * 91];
      for (int i = 0; i <= 90; i++) {
        double a = Math.toRadians(i);
        xyz[3 * i] = r * Math.sin(a);
        xyz[3 * i + 1] = 80 - r * Math.cos(a);
        xyz[3 * i + 2] = 5 + i * 0.01;
      }
      both.add(xyz);
    }
    Recipe.Made m =
        made(
            turn(),
            COURSES.subList(0, 1),
            -1e9,
            1e9,
            string("inner", both.get(0)),
            string("outer", both.get(1)));
    double exact = Math.PI / 4 * (84 * 84 - 77 * 77) * 0.04;
    assertThat(volume(m.items().getFirst())).isCloseTo(exact, within(exact * 1e-3));
  }

  @Test
  void stringsThatMeetEndTheCoursesInAnEdge() {
    Recipe.Made m =
        made(
            straight(),
            COURSES.subList(0, 1),
            -1e9,
            1e9,
            string("L", 0, 2, 10, 50, 0, 10, 100, 0, 10),
            string("R", 0, -2, 10, 50, 0, 10, 100, 0, 10));
    assertThat(m.items()).hasSize(1);
    assertThat(volume(m.items().getFirst())).isLessThan(50 * 4 * 0.04 / 2 + 1e-6).isPositive();
  }

  @Test
  void aStringThatEndsEarlierIsTold() {
    Recipe.Made m =
        made(
            straight(),
            COURSES,
            -1e9,
            1e9,
            string("L", 0, 2, 10, 60, 2, 10),
            string("R", 10, -2, 10, 100, -2, 10));
    assertThat(m.findings())
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.code()).isEqualTo("section.string-ends");
              assertThat(f.message()).contains("from 0+010.000 to 0+060.000");
            });
    assertThat(volume(m.items().getFirst())).isCloseTo(50 * 4 * 0.04, within(1e-6));
  }

  @Test
  void whatCannotBeMadeIsSaid() {
    Item l = string("L", 0, 2, 10, 100, 2, 10);
    Item crossing = string("X", 0, -2, 10, 100, 6, 10);
    Item flat =
        Item.string("F", new Polyline(new double[] {0, -2, Double.NaN, 100, -2, Double.NaN}));
    Item away = string("A", 300, 2, 10, 400, 2, 10);
    Item points = Item.points("P", List.of());
    assertThatThrownBy(() -> made(straight(), COURSES, -1e9, 1e9, l, crossing))
        .hasMessageContaining("cross each other");
    assertThatThrownBy(() -> made(straight(), COURSES, -1e9, 1e9, l, flat))
        .hasMessageContaining("F has no level");
    assertThatThrownBy(() -> made(straight(), COURSES, -1e9, 1e9, l, away))
        .hasMessageContaining("A lies nowhere beside Axis");
    assertThatThrownBy(() -> made(straight(), COURSES, -1e9, 1e9, l))
        .hasMessageContaining("two strings or more");
    assertThatThrownBy(() -> made(straight(), COURSES, -1e9, 1e9, l, points))
        .hasMessageContaining("P is no string");
    assertThatThrownBy(() -> made(straight(), List.of(), -1e9, 1e9, l, l))
        .hasMessageContaining("no courses");
    assertThatThrownBy(() -> made(l, COURSES, -1e9, 1e9, l, l))
        .hasMessageContaining("is no alignment");
  }
}
