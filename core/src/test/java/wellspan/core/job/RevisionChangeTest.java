package wellspan.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
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
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;

class RevisionChangeTest {
  private static Received received(Item... items) {
    return new Received(
        "x", "", "", Arrays.stream(items).map(i -> i).toList(), Map.of(), List.of(), List.of());
  }

  private static Item line(double length, double start, double... levels) {
    Optional<Profile> profile =
        levels.length == 0
            ? Optional.empty()
            : Optional.of(
                new Profile(
                    "p",
                    List.of(
                        new ProfileSegment.Grade(
                            0, length, levels[0], (levels[1] - levels[0]) / length))));
    return Item.alignment(
        "Road",
        new Alignment(
            "Road",
            List.of(new PlanElement.Line(new PlanPoint(412_000, 6_534_500, 0.5), length)),
            new Chainages(start, List.of()),
            profile));
  }

  private static Item surface(String name, double level, int triangles) {
    double[] xyz = {0, 0, level, 10, 0, level, 10, 10, level, 0, 10, level};
    int[] t = {0, 1, 2, 0, 2, 3};
    return Item.surface(name, new Mesh(xyz, Arrays.copyOf(t, 3 * triangles)));
  }

  private static RevisionChange change(Received a, Received b) {
    return RevisionChange.between(a, b);
  }

  @Test
  void nothingChangesBetweenEqualRevisions() {
    RevisionChange c =
        change(
            received(line(50, 0, 1, 2), surface("G", 5, 2)),
            received(line(50, 0, 1, 2), surface("G", 5, 2)));
    assertThat(c.changed()).isEmpty();
    assertThat(c.same()).isEqualTo(2);
    assertThat(c.largestLevelDifference()).isZero();
  }

  @Test
  void addedAndGoneItemsAreNamed() {
    RevisionChange c = change(received(surface("Old", 5, 2)), received(surface("New", 5, 2)));
    assertThat(c.added()).containsExactly("New");
    assertThat(c.gone()).containsExactly("Old");
  }

  @Test
  void anItemOfAnotherKindIsAnotherItem() {
    Item points = Item.points("G", List.of());
    RevisionChange c = change(received(surface("G", 5, 2)), received(points));
    assertThat(c.added()).containsExactly("G");
    assertThat(c.gone()).containsExactly("G");
  }

  @Test
  void surfacesSayTrianglesAndLevels() {
    RevisionChange c = change(received(surface("G", 5, 2)), received(surface("G", 4.4, 1)));
    assertThat(c.largestLevelDifference()).isCloseTo(-0.6, within(1e-12));
    assertThat(c.changed())
        .singleElement()
        .asString()
        .contains("2 triangles before, 1 now")
        .contains("-0.600 m");
  }

  @Test
  void alignmentsSayChainagesPlanAndProfile() {
    RevisionChange longer = change(received(line(50, 0)), received(line(60, 10)));
    assertThat(longer.changed())
        .singleElement()
        .asString()
        .contains("chainage 0+000.000 to 0+050.000 before, 0+010.000 to 0+070.000 now");
    RevisionChange higher = change(received(line(50, 0, 1, 2)), received(line(50, 0, 1, 2.5)));
    assertThat(higher.changed())
        .singleElement()
        .asString()
        .contains("profile moved by up to +0.500 m");
    assertThat(higher.largestLevelDifference()).isCloseTo(0.5, within(1e-12));
    RevisionChange with = change(received(line(50, 0)), received(line(50, 0, 1, 2)));
    assertThat(with.changed()).singleElement().asString().contains("has a profile now");
    RevisionChange without = change(received(line(50, 0, 1, 2)), received(line(50, 0)));
    assertThat(without.changed()).singleElement().asString().contains("has no profile any more");
  }

  @Test
  void pointsSayHowMany() {
    Item one = Item.points("P", List.of(new NamedPoint("A", new Position(1, 2, 3), "")));
    RevisionChange c = change(received(Item.points("P", List.of())), received(one));
    assertThat(c.changed())
        .containsExactly("P: 0 points before, 1 points now".replace("1 points", "1"));
  }

  private static NamedPoint point(String name, double e, double n, double h, String code) {
    return new NamedPoint(name, new Position(e, n, h), code);
  }

  private static RevisionChange points(List<NamedPoint> a, List<NamedPoint> b) {
    return change(received(Item.points("Survey", a)), received(Item.points("Survey", b)));
  }

  @Test
  void pointsSayWhichMovedAndByHowMuch() {
    List<NamedPoint> old =
        List.of(point("1", 10, 20, 5, "A"), point("2", 11, 20, 6, "A"), point("3", 12, 20, 7, "A"));
    RevisionChange levels =
        points(
            old,
            List.of(
                point("1", 10, 20, 5.1, "A"),
                point("2", 11, 20, 5.65, "A"),
                point("3", 12, 20, 7, "B")));
    assertThat(levels.changed())
        .containsExactly(
            "Survey: 2 at another level, by up to -0.350 m at E 11.0 N 20.0; 1 with another code");
    assertThat(levels.largestLevelDifference()).isCloseTo(-0.35, within(1e-9));
    // other order and number: paired by name
    RevisionChange named =
        points(
            old,
            List.of(
                point("3", 12, 20.25, 7, "A"),
                point("1", 10, 20, 5, "A"),
                point("9", 1, 1, 1, ""),
                point("8", 1, 1, 1, "")));
    assertThat(named.changed())
        .containsExactly("Survey: 3 points before, 4 now; 1 moved in plan by up to 0.250 m");
  }

  @Test
  void pointsWithoutNamesOrLevelsOfTheirOwnAreTakenAsFarAsTheyGo() {
    List<NamedPoint> old = List.of(point("", 1, 1, 1, ""), point("", 2, 2, 2, ""));
    assertThat(points(old, List.of(point("", 1, 1, 9, ""))).changed())
        .containsExactly("Survey: 2 points before, 1 now");
    assertThat(
            points(old, List.of(point("", 1, 1, 1, ""), point("", 2, 2, Double.NaN, ""))).changed())
        .containsExactly("Survey: 1 at another level");
    assertThat(points(List.of(point("A", 1, 1, 1, "")), List.of(point("B", 1, 1, 1, ""))).changed())
        .containsExactly("Survey: other names");
  }
}
