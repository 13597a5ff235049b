package wellspan.core.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.job.Job;
import wellspan.core.job.Origin;
import wellspan.core.job.Revision;
import wellspan.core.job.Source;
import wellspan.core.operation.Outline;
import wellspan.core.operation.Recipe;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.recipe.Copy;
import wellspan.core.recipe.Earth;
import wellspan.core.recipe.Triangulation;
import wellspan.core.replay.RecipeRun;
import wellspan.core.replay.RecordedStep;
import wellspan.core.replay.StepOutcome;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.step.Clip;
import wellspan.core.step.CutCover;
import wellspan.core.step.DropFalseLevels;
import wellspan.core.step.Raise;
import wellspan.core.step.SetIn;
import wellspan.core.step.Simplify;
import wellspan.core.terrain.Grounds;
import wellspan.core.triangulate.LevelRule;

class OperationResultsTest {
  private static final ItemId POINTS = new ItemId("survey/points/Shore");
  private static final ItemId EDGE = new ItemId("survey/string/Edge");
  private static final ItemId GROUND = new ItemId("job/terrain-surface/Ground");

  private static Job job() {
    Revision r =
        new Revision(
            "Rev A", "survey.csv", "x", "abc", 1, java.time.Instant.EPOCH, java.util.Map.of());
    return Job.named("j").withSource(Source.of("survey", r));
  }

  private static Map<String, Received> survey(double falseLevel, double raised) {
    double[] xyz = Grounds.scatter(1500, 200, 5, (x, y) -> 20 + raised + 3 * Math.sin(x / 30));
    List<NamedPoint> points = new ArrayList<>();
    for (int i = 0; i < xyz.length / 3; i++) {
      double z = i % 300 == 150 ? falseLevel : xyz[3 * i + 2];
      points.add(new NamedPoint("" + i, new Position(xyz[3 * i], xyz[3 * i + 1], z), "G"));
    }
    double e = Grounds.E, n = Grounds.N;
    Polyline edge =
        new Polyline(
            new double[] {
              e + 20, n + 20, 25, e + 180, n + 20, 25, e + 180, n + 180, 25, e + 20, n + 180, 25,
              e + 20, n + 20, 25
            });
    List<Item> entries = List.of(Item.points("Shore", points), Item.string("Edge", edge));
    return Map.of(
        "survey", new Received("CSV", "", "metre", entries, Map.of(), List.of(), List.of()));
  }

  private static Recipe triangulation() {
    return new Triangulation(
        "Ground",
        List.of(POINTS),
        List.of(EDGE),
        List.of(),
        List.of(),
        LevelRule.MEAN,
        LevelRule.MEAN);
  }

  private static Job withGround() {
    return job()
        .withSteps(POINTS, List.of(RecordedStep.of(new DropFalseLevels(false))))
        .withRecipe(triangulation())
        .withSteps(
            GROUND,
            List.of(
                RecordedStep.of(new Clip(new Outline.Of(EDGE, 0), true)),
                RecordedStep.of(new Raise(1))));
  }

  private static Mesh ground(Build b) {
    return ((Shape.Faces) b.items().get(GROUND).item().shape()).mesh();
  }

  @Test
  void pointsAreCleanedTriangulatedClippedAndRaised() {
    Build b = Build.of(withGround(), survey(-999, 0));
    StepOutcome cleaned = b.results().shaped().get(POINTS).outcomes().getFirst();
    assertThat(cleaned.before().points()).isEqualTo(1504);
    assertThat(cleaned.after().points()).isEqualTo(1499);
    assertThat(cleaned.told()).contains("5 points dropped (0.33 % of 1504)").contains("-999.000");
    assertThat(ground(b).planArea()).isCloseTo(160 * 160, within(1e-4));
    assertThat(ground(b).bounds().minH()).isBetween(17.9, 18.6);
    assertThat(b.items().get(GROUND).origin()).isEqualTo(Origin.BY_HAND);
    assertThat(b.results().uses(GROUND)).containsExactlyInAnyOrder(POINTS, EDGE);
  }

  @Test
  void aNewRevisionReplaysAllSteps() {
    Build first = Build.of(withGround(), survey(-999, 0));
    Build second = first.next(first.job(), survey(0, 2), Progress.NONE);
    StepOutcome cleaned = second.results().shaped().get(POINTS).outcomes().getFirst();
    assertThat(cleaned.told()).contains("5 at 0.000 m");
    assertThat(ground(second).bounds().minH())
        .isCloseTo(ground(first).bounds().minH() + 2, within(1e-9));
  }

  @Test
  void whatDidNotChangeIsTakenOver() {
    Map<String, Received> read = survey(-999, 0);
    Build first = Build.of(withGround(), read);
    Build again =
        first
            .ready(first.job().withMarks(List.of()), read)
            .orElseThrow(() -> new AssertionError("nothing was to be done"));
    assertThat(ground(again)).isSameAs(ground(first));
    List<RecordedStep> more = new ArrayList<>(first.job().stepsOf(GROUND));
    more.add(RecordedStep.of(new Raise(1)));
    Job next = first.job().withSteps(GROUND, more);
    assertThat(first.ready(next, read)).isEmpty();
    Build longer = first.next(next, read, Progress.NONE);
    assertThat(longer.results().shaped().get(GROUND).outcomes().getFirst())
        .isSameAs(first.results().shaped().get(GROUND).outcomes().getFirst());
  }

  @Test
  void aStepThatIsOffChangesNothingAndStays() {
    Job job = withGround();
    List<RecordedStep> off =
        job.stepsOf(GROUND).stream().map(s -> s.switched(s.step() instanceof Clip)).toList();
    Build b = Build.of(job.withSteps(GROUND, off), survey(-999, 0));
    Build on = Build.of(job, survey(-999, 0));
    assertThat(ground(b).bounds().minH()).isCloseTo(ground(on).bounds().minH() - 1, within(1e-9));
    assertThat(b.results().shaped().get(GROUND).outcomes().get(1).told())
        .isEqualTo("Switched off.");
  }

  @Test
  void aStepThatCannotBeDoneSaysWhyAndLeavesTheItem() {
    ItemId gone = new ItemId("survey/string/Gone");
    Job job =
        withGround()
            .withSteps(
                GROUND,
                List.of(
                    RecordedStep.of(new Clip(new Outline.Of(gone, 0), true)),
                    RecordedStep.of(new Simplify(0))));
    Build b = Build.of(job, survey(-999, 0));
    assertThat(ground(b).planArea()).isCloseTo(40_000, within(1e-3));
    assertThat(b.findings().stream().filter(f -> f.code().equals("step.failed")))
        .extracting(Finding::message)
        .anyMatch(m -> m.contains("survey/string/Gone is not there"))
        .anyMatch(m -> m.contains("must be greater than zero"));
  }

  @Test
  void theBuildOfWhatIsThereAlreadyIsNotMadeAgain() {
    Job job = withGround();
    Map<String, Received> survey = survey(-999, 0);
    Build b = Build.of(job, survey);
    assertThat(b.next(job, survey, Progress.NONE)).isSameAs(b);
    assertThat(b.ready(job, Map.copyOf(survey))).containsSame(b);
    assertThat(b.next(job, survey(-999, 0), Progress.NONE)).as("read anew").isNotSameAs(b);
    assertThat(b.next(job, Map.of(), Progress.NONE).items()).as("nothing read").isEmpty();
  }

  @Test
  void aRecipeWithoutItsPointsIsAFinding() {
    Build b = Build.of(job().withRecipe(triangulation()), Map.of());
    assertThat(b.items()).isEmpty();
    assertThat(b.findings()).extracting(Finding::code).contains("step.failed");
  }

  @Test
  void aCoverIsAnItemOfItsOwnAndTheGroundKeepsTheRest() {
    Job job =
        withGround()
            .withSteps(
                GROUND,
                List.of(RecordedStep.of(new CutCover("Lawn", "grass", new Outline.Of(EDGE, 0)))));
    Build b = Build.of(job, survey(-999, 0));
    ItemId lawn = new ItemId("job/cover/Lawn");
    Shape.Faces cover = (Shape.Faces) b.items().get(lawn).item().shape();
    assertThat(b.items().get(lawn).item().attributes().material()).isEqualTo("grass");
    assertThat(cover.mesh().planArea()).isCloseTo(25_600, within(1e-3));
    assertThat(ground(b).planArea()).isCloseTo(40_000 - 25_600, within(1e-3));
    assertThat(b.results().leftBy(lawn)).contains(GROUND);
  }

  @Test
  void twoSurfacesThatAskForEachOtherComeToAnEnd() {
    ItemId copy = new ItemId("job/terrain-surface/Copy");
    Job job =
        withGround()
            .withRecipe(new Copy("Copy", GROUND))
            .withSteps(copy, List.of(RecordedStep.of(new SetIn(GROUND))))
            .withSteps(GROUND, List.of(RecordedStep.of(new SetIn(copy))));
    assertThat(Build.of(job, survey(-999, 0)).items()).containsKeys(GROUND, copy);
  }

  @Test
  void theEarthBetweenTwoSurfacesBecomesBodies() {
    ItemId copy = new ItemId("job/terrain-surface/New");
    Job job =
        withGround()
            .withRecipe(new Copy("New", GROUND))
            .withSteps(copy, List.of(RecordedStep.of(new Raise(0.5))))
            .withRecipe(new Earth("Earth", GROUND, copy));
    Build b = Build.of(job, survey(-999, 0));
    Shape.Faces fill =
        (Shape.Faces) b.items().get(new ItemId("job/body/Earth fill")).item().shape();
    assertThat(fill.mesh().volume()).isCloseTo(0.5 * 160 * 160, within(0.5));
    assertThat(b.items()).doesNotContainKey(new ItemId("job/body/Earth cut"));
  }

  @Test
  void twoCoversOfOneNameAreTwo() {
    Job job =
        withGround()
            .withSteps(
                GROUND,
                List.of(
                    RecordedStep.of(new CutCover("Grass", "grass", square(40))),
                    RecordedStep.of(new CutCover("Grass", "grass", square(90)))));
    Build build = Build.of(job, survey(-999, 0));
    List<Double> areas =
        build.items().values().stream()
            .map(Build.BuiltItem::item)
            .filter(i -> i.kind().is(Kind.COVER))
            .map(i -> i.bounds().width())
            .toList();
    assertThat(areas).hasSize(2).allSatisfy(w -> assertThat(w).isCloseTo(30, within(1e-6)));
  }

  /** Cancelled while it is made, a recipe is given up and not recorded as a failure. */
  @Test
  void aCancelledRecipeIsNoFailure() {
    assertThatThrownBy(
            () ->
                RecipeRun.of(
                    triangulation(),
                    id -> {
                      throw new java.util.concurrent.CancellationException();
                    },
                    Progress.NONE))
        .isInstanceOf(java.util.concurrent.CancellationException.class);
  }

  /** A square of 30 m. */
  private static Outline square(double at) {
    double e = Grounds.E + at, n = Grounds.N + at;
    return new Outline.Drawn(List.of(e, n, e + 30, n, e + 30, n + 30, e, n + 30));
  }
}
