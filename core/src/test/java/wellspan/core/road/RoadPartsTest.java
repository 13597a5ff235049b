package wellspan.core.road;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.align.SpiralLaw;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.geom.Similarity;

class RoadPartsTest {
  private static final PlanPoint ORIGIN = new PlanPoint(400_000, 5_700_000, 0);
  private final List<Finding> findings = new ArrayList<>();

  private static Alignment along(PlanElement... elements) {
    return new Alignment(
        "Mill Lane", List.of(elements), new Chainages(0, List.of()), Optional.empty());
  }

  static Alignment straight(double length) {
    return along(new PlanElement.Line(ORIGIN, length));
  }

  static DesignArea box(String name, double left, double right, double top, double thickness) {
    return area(
        name,
        new double[][] {
          {left, top}, {right, top}, {right, top - thickness}, {left, top - thickness}
        });
  }

  static DesignArea area(String name, double[][] points) {
    List<SectionPoint> out = new ArrayList<>();
    for (double[] p : points) {
      out.add(new SectionPoint(p[0], p[1], ""));
    }
    return new DesignArea(name, "", "", "", DesignArea.Form.AREA, 0, out);
  }

  static CrossSection at(double distance, DesignArea... areas) {
    return new CrossSection(distance, 0, List.of(areas));
  }

  private List<RoadPart> parts(Alignment axis, CrossSection... sections) {
    return RoadParts.of(axis, List.of(sections), findings);
  }

  static void solid(RoadPart p, double exact) {
    Mesh m = p.body().mesh(0.010);
    assertThat(m.isClosed()).as("closed").isTrue();
    assertThat(p.body().exactVolume()).isCloseTo(exact, within(1e-9 * exact));
    assertThat(m.volume()).isCloseTo(exact, Percentage.withPercentage(0.1));
  }

  @ParameterizedTest
  @ValueSource(ints = {0, 1, 2})
  void aSectionFartherThanAnyRoadReachesIsLeftOut(int which) {
    DesignArea far =
        switch (which) {
          case 0 -> box("Base", 0, 1e12, 100, 0.2);
          case 1 -> box("Base", 0, 4, 1e12, 0.2);
          default ->
              new DesignArea(
                  "Base",
                  "",
                  "",
                  "",
                  DesignArea.Form.TOP,
                  1e12,
                  List.of(new SectionPoint(0, 100, ""), new SectionPoint(4, 100, "")));
        };
    List<RoadPart> found =
        parts(
            straight(60),
            at(0, box("Base", 0, 4, 100, 0.2)),
            at(20, box("Base", 0, 4, 100, 0.2)),
            at(40, far),
            at(60, box("Base", 0, 4, 100, 0.2)));
    assertThat(findings)
        .anyMatch(
            f -> f.code().equals("section.outline") && f.message().contains("as no road has"));
    found.forEach(p -> assertThat(p.body().mesh(0.010).triangleCount()).isLessThan(100));
  }

  @Test
  void sectionsFarFromTheProfileAreTold() {
    Profile profile =
        Profile.through(
            "p",
            List.of(
                new Pvi(0, 14, new Pvi.Rounding.None()), new Pvi(60, 17, new Pvi.Rounding.None())));
    Alignment axis =
        new Alignment(
            "Mill Lane",
            straight(60).elements(),
            new Chainages(0, List.of()),
            Optional.of(profile));
    parts(axis, at(0, box("Base", -4, 4, 0.1, 0.2)), at(60, box("Base", -4, 4, 0.1, 0.2)));
    assertThat(findings)
        .filteredOn(f -> f.code().equals("section.profile"))
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("lie 16.9 m below its profile"));
    findings.clear();
    parts(axis, at(0, box("Base", -4, 4, 14.1, 0.2)), at(60, box("Base", -4, 4, 16.6, 0.2)));
    assertThat(findings).noneMatch(f -> f.code().equals("section.profile"));
  }

  @Test
  void onAStraightVolumesArePrismoids() {
    RoadPart p =
        parts(straight(50), at(0, box("Base", 0, 4, 100, 0.2)), at(50, box("Base", 0, 6, 100, 0.1)))
            .getFirst();
    // width 4+2t, thickness 0.2−0.1t: ∫(4+2t)(0.2−0.1t)dt = 0.8 − 0.2/3 over t
    solid(p, 50 * (0.8 - 0.2 / 3));
    assertThat(findings).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(doubles = {12, -12, 80, -300, 5})
  void onAnArcVolumesFollowTheCentroid(double radius) {
    Alignment arc = along(new PlanElement.Arc(ORIGIN, 30, radius));
    RoadPart p =
        parts(arc, at(0, box("Base", 1, 4, 100, 0.3)), at(30, box("Base", 1, 4, 100, 0.3)))
            .getFirst();
    solid(p, 0.9 * 30 * (1 + 2.5 / radius)); // right of a left turn lies outside
  }

  @Test
  void onAClothoidVolumesFollowTheTurn() {
    PlanElement.Spiral spiral =
        new PlanElement.Spiral(ORIGIN, 60, 0, -1.0 / 90, SpiralLaw.CLOTHOID);
    RoadPart p =
        parts(
                along(spiral),
                at(0, box("Base", -5, -1, 100, 0.25)),
                at(60, box("Base", -5, -1, 100, 0.25)))
            .getFirst();
    solid(p, 1.0 * (60 + -3 * (60 * -1.0 / 90 / 2)));
  }

  @Test
  void aProfileBendsWhatLiesBetweenSectionsAndKeepsTheVolume() {
    Profile crest =
        Profile.through(
            "p",
            List.of(
                new Pvi(0, 100, new Pvi.Rounding.None()),
                new Pvi(50, 105, new Pvi.Rounding.Parabola(40, 40)),
                new Pvi(100, 100, new Pvi.Rounding.None())));
    Alignment axis =
        new Alignment(
            "Crest",
            List.of(new PlanElement.Line(ORIGIN, 100)),
            new Chainages(0, List.of()),
            Optional.of(crest));
    RoadPart p =
        parts(axis, at(0, box("Base", 0, 4, 100, 0.2)), at(100, box("Base", 0, 4, 100, 0.2)))
            .getFirst();
    solid(p, 80);
    assertThat(p.body().mesh(0.010).bounds().maxH()).isCloseTo(crest.levelAt(50), within(0.01));
  }

  @Test
  void aTwistedCourseKeepsItsThickness() {
    double[][] flat = {{0, 100}, {8, 100}, {8, 99.96}, {0, 99.96}};
    double[][] tilted = {{0, 100}, {8, 100.56}, {8, 100.52}, {0, 99.96}};
    solid(
        parts(straight(40), at(0, area("Wearing", flat)), at(40, area("Wearing", tilted)))
            .getFirst(),
        40 * 8 * 0.04);
  }

  @Test
  void aCourseThatFadesEndsInAnEdgeAndOneThatReturnsIsABodyOfItsOwn() {
    RoadPart p =
        parts(
                straight(60),
                at(0, box("Base", 0, 4, 100, 0.2)),
                at(20, box("Base", 0, 4, 100, 0)),
                at(40, box("Base", 0, 4, 100, 0)),
                at(60, box("Base", 0, 4, 100, 0.2)))
            .getFirst();
    solid(p, 2 * 20 * 4 * 0.1);
  }

  @Test
  void anEdgeOfOtherPointsThanTheCourseStillCloses() {
    double[][] edge = {{0, 100}, {1, 100}, {4, 100}, {2.5, 100}};
    RoadPart p =
        parts(straight(20), at(0, box("Base", 0, 4, 100, 0.2)), at(20, area("Base", edge)))
            .getFirst();
    solid(p, p.body().exactVolume());
    assertThat(p.body().exactVolume()).isCloseTo(20 * 4 * 0.1, Percentage.withPercentage(40));
  }

  @Test
  void sectionsWithOtherNumbersOfPointsAreJoined() {
    double[][] roof = {{0, 100}, {2, 100.05}, {4, 100}, {4, 99.8}, {1, 99.8}, {0, 99.8}};
    RoadPart p =
        parts(
                straight(40),
                at(0, box("Base", 0, 4, 100, 0.2)),
                at(20, area("Base", roof)),
                at(40, box("Base", 0, 4, 100, 0.2)))
            .getFirst();
    solid(p, 20 * (0.8 + 0.9)); // the ridge rises along the top edge
  }

  @Test
  void windingAndStartOfAnOutlineDoNotMatter() {
    double[][] turned = {{4, 99.8}, {4, 100}, {0, 100}, {0, 99.8}};
    solid(
        parts(straight(20), at(0, box("Base", 0, 4, 100, 0.2)), at(20, area("Base", turned)))
            .getFirst(),
        16);
  }

  /** Parts of other widths, on their own of other needs, cut and moved alike. */
  @Test
  void neighboursShareTheirFacesWhenTheyAreCutOrMoved() {
    Alignment arc = along(new PlanElement.Arc(ORIGIN, 80, 60));
    List<RoadPart> p =
        parts(
            arc,
            at(0, box("Inner", -4, 0, 100, 0.04), box("Outer", 0, 12, 100, 0.04)),
            at(80, box("Inner", -4, 0, 103, 0.04), box("Outer", 0, 12, 103, 0.04)));
    Similarity turn = new Similarity(new Position(0, 0, 0), new Position(100, 200, 5), 0.7, 1.0004);
    List<RoadBody> whole = p.stream().map(part -> new RoadBody("R", arc, part)).toList();
    List<RoadBody> cut = whole.stream().map(b -> b.between(13, 57).orElseThrow()).toList();
    List<RoadBody> moved = cut.stream().map(b -> b.moved(turn).orElseThrow()).toList();
    for (List<RoadBody> pair : List.of(whole, cut, moved)) {
      Mesh inner = pair.get(0).mesh(0.003);
      Mesh outer = pair.get(1).mesh(0.003);
      assertThat(shared(inner, outer)).isEqualTo(inner.vertexCount() / 2);
      assertThat(outer.vertexCount()).isEqualTo(inner.vertexCount());
    }
    assertThat(moved.get(1).part().body().exactVolume())
        .isCloseTo(1.0004 * 1.0004 * cut.get(1).part().body().exactVolume(), within(1e-9));
  }

  private static long shared(Mesh upper, Mesh lower) {
    List<List<Double>> below = new ArrayList<>();
    for (int i = 0; i < lower.vertexCount(); i++) {
      below.add(List.of(lower.east(i), lower.north(i), lower.level(i)));
    }
    long shared = 0;
    for (int i = 0; i < upper.vertexCount(); i++) {
      shared += below.contains(List.of(upper.east(i), upper.north(i), upper.level(i))) ? 1 : 0;
    }
    return shared;
  }

  @Test
  void neighboursShareTheirFaces() {
    Alignment arc = along(new PlanElement.Arc(ORIGIN, 80, 60));
    List<RoadPart> p =
        parts(
            arc,
            at(0, box("Wearing", -4, 4, 100, 0.04), box("Base", -4, 4, 99.96, 0.2)),
            at(80, box("Wearing", -4, 4, 103, 0.04), box("Base", -4, 4, 102.96, 0.2)));
    Mesh upper = p.get(0).body().mesh(0.010);
    Mesh lower = p.get(1).body().mesh(0.010);
    assertThat(shared(upper, lower)).isEqualTo(upper.vertexCount() / 2);
    assertThat(p.get(0).number()).isEqualTo(1);
    assertThat(p.get(1).number()).isEqualTo(2);
  }

  @Test
  void whatReachesBeyondTheCentreOfACurveIsCutThere() {
    Alignment bend =
        along(
            new PlanElement.Line(ORIGIN, 30),
            new PlanElement.Arc(new PlanPoint(400_030, 5_700_000, 0), 10 * Math.PI / 2, -10),
            new PlanElement.Line(new PlanPoint(400_040, 5_699_990, -Math.PI / 2), 30));
    RoadPart p =
        parts(
                bend,
                at(0, box("Slope", 0, 14, 100, 1)),
                at(60 + 5 * Math.PI, box("Slope", 0, 14, 100, 1)))
            .getFirst();
    assertThat(p.body().isCutAtCentre()).isTrue();
    Mesh m = p.body().mesh(0.010);
    assertThat(m.isClosed()).isTrue();
    // both strips of 14 × 30 less the square they share beyond the diagonal, with a quarter disc
    double plan = 2 * (14 * 30) - 4 * 4 + Math.PI * 100 / 4 + 0;
    assertThat(m.volume()).isCloseTo(plan, Percentage.withPercentage(1));
    assertThat(m.planArea() / 2).isCloseTo(plan, Percentage.withPercentage(1));
  }

  @Test
  void aTopWithAThicknessIsACourseBelowIt() {
    DesignArea top =
        new DesignArea(
            "Wearing",
            "right",
            "asphalt",
            "",
            DesignArea.Form.TOP,
            0.05,
            List.of(new SectionPoint(0, 100, "CL"), new SectionPoint(4, 99.9, "E")));
    RoadPart p = parts(straight(10), at(0, top), at(10, top)).getFirst();
    solid(p, 10 * 4 * 0.05);
    assertThat(p.body().between()).containsExactly("CL", "E");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "Bordstein Hochbord=kerb",
        "Sidewalk=footway",
        "Frost layer=course",
        "Bankett=verge",
        "Böschung links=side slope",
        "Cutter head=course",
        "Fortau venstre=footway",
        "CHODNÍK L=footway",
        "Chodnik L=footway",
        "Bærelag 2=course",
        "FOSSE=ditch",
        "Fossé droit=ditch",
        "Terraplén=road fill",
        "Skjæring fjell=road cut",
        "ROW line=course",
        "Fräsen=course",
        "Meeting point=course"
      })
  void wordsTellTheKind(String row) {
    String[] c = row.split("=");
    assertThat(PartWords.kind(List.of(c[0]))).isEqualTo(c[1]);
  }

  static java.util.stream.IntStream seeds() {
    return java.util.stream.IntStream.range(0, 200);
  }

  /** Outlines of other numbers of points, starts and turns, courses that fade and return. */
  @ParameterizedTest
  @MethodSource("seeds")
  void whateverSectionsComeEveryBodyIsClosed(int seed) {
    java.util.Random random = new java.util.Random(seed);
    PlanElement.Line line = new PlanElement.Line(ORIGIN, 40);
    PlanElement.Spiral in =
        new PlanElement.Spiral(
            line.end(), 30, 0, 1 / (20.0 + 50 * random.nextDouble()), SpiralLaw.CLOTHOID);
    PlanElement.Arc arc = new PlanElement.Arc(in.end(), 40, 1 / in.endCurvature());
    List<CrossSection> sections = new ArrayList<>();
    for (int k = 0; k <= 10; k++) {
      double left = -6 * random.nextDouble();
      double right = left + 0.5 + 12 * random.nextDouble();
      double thickness = random.nextInt(4) == 0 ? 0 : 0.05 + 0.3 * random.nextDouble();
      int more = random.nextInt(4);
      List<double[]> top = new ArrayList<>();
      top.add(new double[] {left, 100});
      for (int m = 1; m <= more; m++) {
        top.add(
            new double[] {left + (right - left) * m / (more + 1), 100 + 0.1 * random.nextDouble()});
      }
      top.add(new double[] {right, 100 + 0.2 * random.nextDouble()});
      List<double[]> ring = new ArrayList<>(top);
      for (double[] p : top.reversed()) {
        if (p == top.getFirst() || p == top.getLast() || random.nextBoolean()) {
          ring.add(new double[] {p[0], p[1] - thickness - (thickness > 0 ? 0.1 : 0)});
        }
      }
      if (random.nextBoolean()) {
        java.util.Collections.reverse(ring);
      }
      java.util.Collections.rotate(ring, random.nextInt(3));
      sections.add(at(11 * k, area("Base", ring.toArray(new double[0][]))));
    }
    List<RoadPart> p = RoadParts.of(along(line, in, arc), sections, findings);
    for (RoadPart part : p) {
      if (part.body().isSolid()) {
        Mesh m = part.body().mesh(0.010);
        assertThat(m.isClosed()).as("closed").isTrue();
        assertThat(m.volume()).isPositive();
        assertThat(m.volume()).isCloseTo(part.body().exactVolume(), Percentage.withPercentage(1));
      }
    }
    assertThat(p).isNotEmpty();
  }
}
