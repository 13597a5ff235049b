package wellspan.core.typical;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.ProfileSegment;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Recipe;
import wellspan.core.progress.Progress;
import wellspan.core.recipe.RoadOfTypicalSection;
import wellspan.core.shape.Shape;

/** Roads of typical sections, against volumes computed by hand. */
class TypicalRoadTest {
  private static final ItemId AXIS = new ItemId("a");
  private static final ItemId EDGE = new ItemId("e");
  private static final ItemId NONE = new ItemId("");

  private static Alignment axis(PlanElement element) {
    return new Alignment(
        "Axis",
        List.of(element),
        new Chainages(0, List.of()),
        Optional.of(
            new Profile("p", List.of(new ProfileSegment.Grade(0, element.length(), 10, 0.02)))));
  }

  private static Alignment straight(double length) {
    return axis(new PlanElement.Line(new PlanPoint(412_000, 6_534_500, 0), length));
  }

  private static Alignment bend(double radius, double length) {
    return axis(new PlanElement.Arc(new PlanPoint(412_000, 6_534_500, 0), length, radius));
  }

  private static Recipe.Made make(
      Alignment a, TypicalSection s, Map<ItemId, Item> more, double from, double to) {
    Map<ItemId, Item> all = new java.util.HashMap<>(more);
    all.put(AXIS, Item.alignment(a.name(), a));
    Inputs in = all::get;
    return new RoadOfTypicalSection(
            "Road",
            AXIS,
            s,
            NONE,
            more.containsKey(EDGE) ? EDGE : NONE,
            false,
            CrossfallTable.NONE,
            ShoulderRule.OWN,
            8,
            from,
            to)
        .make(in, Progress.NONE);
  }

  private static double volume(Recipe.Made m, String name) {
    return m.items().stream()
        .filter(i -> i.name().equals(name))
        .mapToDouble(i -> ((Shape.Faces) i.shape()).mesh().volume())
        .sum();
  }

  @Test
  void eachBodyOfAStraightRoadHasItsSectionTimesItsLength() {
    Recipe.Made m = make(straight(100), TypicalSection.FIRST, Map.of(), -1e9, 1e9);
    assertThat(m.findings()).isEmpty();
    assertThat(m.items())
        .allSatisfy(i -> assertThat(((Shape.Faces) i.shape()).mesh().isClosed()).isTrue());
    assertThat(volume(m, "Road Surface course")).isCloseTo(6.5 * 0.04 * 100, within(1e-6));
    assertThat(volume(m, "Road Base course")).isCloseTo(7.1 * 0.2 * 100, within(1e-6));
    assertThat(volume(m, "Road Kerb right")).isCloseTo(0.15 * 0.22 * 100, within(1e-6));
    assertThat(volume(m, "Road Footway right")).isCloseTo(2 * 0.1 * 100, within(1e-6));
    assertThat(volume(m, "Road Verge left")).isCloseTo(1.5 * 0.15 * 100, within(1e-6));
    assertThat(m.items()).extracting(i -> i.kind().id()).contains("course", "kerb", "footway");
  }

  @Test
  void onABendVolumesFollowTheLengthAtTheirCentre() {
    double radius = 80;
    Recipe.Made m = make(bend(radius, 60), TypicalSection.FIRST, Map.of(), -1e9, 1e9);
    double centre =
        3.25 + 0.075; // of the kerb; left of the axis is nearer to the middle of the arc
    double exact = 0.15 * 0.22 * 60 * (radius - centre) / radius;
    assertThat(volume(m, "Road Kerb left")).isCloseTo(exact, within(1e-3 * exact));
    double outer = 0.15 * 0.22 * 60 * (radius + centre) / radius;
    assertThat(volume(m, "Road Kerb right")).isCloseTo(outer, within(1e-3 * outer));
  }

  @Test
  void theEdgeFollowsAString() {
    Polyline edge =
        new Polyline(
            new double[] {
              411_990, 6_534_496, 0, 412_040, 6_534_496, 0, 412_060, 6_534_490, 0, 412_200,
              6_534_490, 0
            });
    TypicalSection s =
        TypicalSection.FIRST.withCourses(List.of(new Course("Top", "asphalt", 0.1, 0)));
    Recipe.Made m = make(straight(100), s, Map.of(EDGE, Item.string("edge", edge)), -1e9, 1e9);
    double right = 4 * 40 + (4 + 10) / 2.0 * 20 + 10 * 40;
    assertThat(volume(m, "Road Top")).isCloseTo(0.1 * (3.25 * 100 + right), within(1e-6));
    assertThat(volume(m, "Road Kerb right"))
        .as("what lies outside of the edge moves with it")
        .isCloseTo(0.15 * 0.22 * 100, within(1e-6));
  }

  @Test
  void everyUseBecomesItsKind() {
    List<Strip> strips = new ArrayList<>(List.of(new Strip(StripUse.LANE, 3, 0, 0, 0, "")));
    for (StripUse u : StripUse.values()) {
      if (!u.paved()) {
        strips.add(new Strip(u, 1, 0, 0, 0.2, "gravel"));
      }
    }
    Recipe.Made m =
        make(straight(50), new TypicalSection("s", List.of(), strips, List.of()), Map.of(), 0, 50);
    assertThat(m.items())
        .extracting(i -> i.name() + " is a " + i.kind().id())
        .containsExactlyInAnyOrder(
            "Road Kerb right is a kerb",
            "Road Footway right is a footway",
            "Road Cycle track right is a footway",
            "Road Verge right is a verge",
            "Road Ditch right is a ditch",
            "Road Side slope right is a side slope");
  }

  @Test
  void aRangeOfChainagesIsKept() {
    Recipe.Made m = make(straight(100), TypicalSection.FIRST, Map.of(), 20, 45);
    assertThat(volume(m, "Road Surface course")).isCloseTo(6.5 * 0.04 * 25, within(1e-6));
    assertThat(m.told()).startsWith("25.000 m of Two lanes with a footway along Axis");
  }

  @Test
  void whatCannotBeIsRefusedInASentence() {
    Alignment flat =
        new Alignment(
            "Flat",
            List.of(new PlanElement.Line(new PlanPoint(0, 0, 0), 10)),
            new Chainages(0, List.of()),
            Optional.empty());
    assertThatThrownBy(() -> make(flat, TypicalSection.FIRST, Map.of(), -1e9, 1e9))
        .hasMessageContaining("Flat has no profile");
    Item near =
        Item.string(
            "near", new Polyline(new double[] {411_990, 6_534_503, 0, 412_200, 6_534_503, 0}));
    assertThatThrownBy(
            () -> make(straight(50), TypicalSection.FIRST, Map.of(EDGE, near), -1e9, 1e9))
        .hasMessageContaining("the edge on the right lies -3.000 m from the axis");
    assertThatThrownBy(() -> new Strip(StripUse.LANE, 0, 0, 0, 0, ""))
        .hasMessageContaining("width above 0");
    assertThatThrownBy(() -> new Course("Base", "", 0, 0)).hasMessageContaining("thickness");
    assertThatThrownBy(() -> new TypicalSection("x", List.of(), List.of(), List.of()))
        .hasMessageContaining("a strip on at least one side");
  }

  @Test
  void theFileComesBackAsItWas() {
    String text = TypicalSectionJson.write(TypicalSection.FIRST.named("Größe \"3\""));
    assertThat(TypicalSectionJson.read(text)).isEqualTo(TypicalSection.FIRST.named("Größe \"3\""));
    assertThat(text).contains("\"use\" : \"lane\"");
    assertThatThrownBy(() -> TypicalSectionJson.read(text.replace("3.25", "-1")))
        .hasMessageContaining("width above 0");
    assertThatThrownBy(() -> TypicalSectionJson.read(text.replace("\"lane\"", "\"runway\"")))
        .hasMessageStartingWith("line ");
    assertThatThrownBy(() -> TypicalSectionJson.read("{\"version\":2,\"typicalSection\":null}"))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> TypicalSectionJson.read(text.substring(0, 200)))
        .hasMessageStartingWith("line ");
  }

  @RepeatedTest(60)
  void anySectionMakesClosedBodiesOfItsVolume(RepetitionInfo info) {
    Random r = new Random(info.getCurrentRepetition());
    TypicalSection s = any(r);
    double length = 20 + 60 * r.nextDouble();
    Recipe.Made m = make(straight(length), s, Map.of(), -1e9, 1e9);
    double expected = 0;
    for (Course c : s.courses()) {
      double wide = 0;
      for (int side : new int[] {-1, 1}) {
        wide += s.pavedWidth(side) + (s.pavedWidth(side) > 0 ? c.wider() : 0);
      }
      expected += wide * c.thickness() * length;
    }
    for (int side : new int[] {-1, 1}) {
      for (Strip t : s.side(side)) {
        expected += t.width() * t.thickness() * length;
      }
    }
    assertThat(m.findings()).isEmpty();
    assertThat(m.items())
        .allSatisfy(i -> assertThat(((Shape.Faces) i.shape()).mesh().isClosed()).isTrue());
    double sum =
        m.items().stream().mapToDouble(i -> ((Shape.Faces) i.shape()).mesh().volume()).sum();
    assertThat(sum).isCloseTo(expected, within(1e-6 * expected));
  }

  private static TypicalSection any(Random r) {
    List<List<Strip>> sides = new ArrayList<>();
    for (int side = 0; side < 2; side++) {
      List<Strip> strips = new ArrayList<>();
      for (int i = 0; i <= r.nextInt(3); i++) {
        strips.add(
            new Strip(StripUse.LANE, 1 + 4 * r.nextDouble(), 8 * r.nextDouble() - 4, 0, 0, ""));
      }
      StripUse[] beside = {StripUse.KERB, StripUse.FOOTWAY, StripUse.CYCLE_TRACK, StripUse.VERGE};
      for (int i = 0; i < r.nextInt(4); i++) {
        strips.add(
            new Strip(
                beside[i],
                0.1 + 2 * r.nextDouble(),
                8 * r.nextDouble() - 4,
                0.2 * r.nextDouble(),
                0.05 + 0.3 * r.nextDouble(),
                "m"));
      }
      sides.add(strips);
    }
    List<Course> courses = new ArrayList<>();
    for (int i = 0; i <= r.nextInt(4); i++) {
      courses.add(new Course("Course " + i, "m", 0.02 + r.nextDouble() / 2, r.nextDouble()));
    }
    return new TypicalSection("any", sides.get(0), sides.get(1), courses);
  }
}
