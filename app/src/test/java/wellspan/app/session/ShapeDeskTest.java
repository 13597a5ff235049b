package wellspan.app.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.operation.Outline;
import wellspan.core.recipe.Copy;
import wellspan.core.recipe.TexturedGround;
import wellspan.core.shape.Shape;
import wellspan.core.step.DropFalseLevels;
import wellspan.core.step.DropSpikes;
import wellspan.core.step.Raise;

class ShapeDeskTest extends SessionFixture {
  private static final Path SHORE = Path.of("..", "demo", "survey", "shore-survey.csv");
  private static final Path SHORE_B = Path.of("..", "demo", "survey", "shore-survey-RevB.csv");
  private static final ItemId POINTS = new ItemId("shore-survey/points/shore-survey");
  private static final ItemId DESIGN = new ItemId("quay-road/terrain-surface/Design ground");

  private int points() {
    return ((Shape.Points) session.build().items().get(POINTS).item().shape()).points().size();
  }

  @Test
  void stepsGoOnThroughTheNextRevision() throws Exception {
    receive(SHORE);
    session.shape().add(POINTS, new DropFalseLevels(false));
    settle();
    assertThat(points()).isEqualTo(8917);
    receive(SHORE_B);
    while (points() != 8917) {
      settle();
    }
    assertThat(session.job().source("shore-survey").orElseThrow().revisions()).hasSize(2);
    assertThat(session.shape().outcomes(POINTS).getFirst().told()).contains("17 points dropped");
  }

  @Test
  void cancellingAStepTakesItBack() throws Exception {
    receive(SHORE);
    session.shape().add(POINTS, new DropSpikes(0, false));
    session.work().cancel();
    settle();
    assertThat(session.job().stepsOf(POINTS)).isEmpty();
    assertThat(session.messages().sentenceProperty().get()).contains("Cancelled");
    assertThat(points()).isEqualTo(8934);
  }

  @Test
  void anEditWhileAStepRunsIsNotLost() throws Exception {
    receive(SHORE);
    session.shape().add(POINTS, new DropFalseLevels(false));
    session.shape().add(POINTS, new Raise(1));
    settle();
    while (session.shape().outcomes(POINTS).size() < 2) {
      settle();
    }
    assertThat(session.job().stepsOf(POINTS)).hasSize(2);
    assertThat(session.build().job()).isEqualTo(session.job());
  }

  @Test
  void surfacesAreComparedBesideTheWindow() throws Exception {
    receive(ROAD);
    session.shape().compare(DESIGN, Optional.empty(), Optional.empty());
    settle();
    ShapeDesk.Comparison c = session.shape().comparisonProperty().get().orElseThrow();
    assertThat(c.difference().sameShare()).isGreaterThan(50);
    assertThat(c.volumes()).isEmpty();
    session.shape().compare(POINTS, Optional.of(DESIGN), Optional.empty());
    assertThat(session.messages().sentenceProperty().get()).contains("two terrain surfaces");
  }

  @Test
  void volumesCountWithinAnOutlineAndBecomeEarthBodies() throws Exception {
    receive(ROAD);
    session.shape().making().make(new Copy("Twin", DESIGN));
    settle();
    ItemId twin = new ItemId("job/terrain-surface/Twin");
    session.shape().add(twin, new Raise(2));
    settle();
    Outline square =
        new Outline.Drawn(
            List.of(
                412_500.0,
                6_534_600.0,
                412_600.0,
                6_534_600.0,
                412_600.0,
                6_534_700.0,
                412_500.0,
                6_534_700.0));
    session.shape().compare(DESIGN, Optional.of(twin), Optional.of(square));
    settle();
    ShapeDesk.Comparison c = session.shape().comparisonProperty().get().orElseThrow();
    assertThat(c.within()).contains(square);
    assertThat(c.difference().area()).isCloseTo(10_000, within(1e-3));
    assertThat(c.volumes().orElseThrow().fill()).isCloseTo(20_000, within(1e-2));
    assertThat(c.volumes().orElseThrow().cut()).isZero();

    Outline beside = new Outline.Drawn(List.of(0.0, 0.0, 9.0, 0.0, 9.0, 9.0));
    session.shape().compare(DESIGN, Optional.of(twin), Optional.of(beside));
    settle();
    assertThat(session.messages().sentenceProperty().get()).contains("lies beside the surface");

    session.shape().compare(DESIGN, Optional.of(twin), Optional.empty());
    settle();
    session.shape().makeEarth(session.shape().comparisonProperty().get().orElseThrow());
    settle();
    assertThat(session.selectedItem().orElseThrow().item())
        .satisfies(
            b -> {
              assertThat(b.kind()).isEqualTo(Kind.FILL);
              assertThat(b.triangles().orElseThrow().volume())
                  .isCloseTo(2 * item(DESIGN).ground().orElseThrow().planArea(), within(1.0));
            });
  }

  private Item item(ItemId id) {
    return session.build().items().get(id).item();
  }

  @Test
  void whatWasMadeCanBeTakenAway() throws Exception {
    receive(ROAD);
    session.shape().making().make(new Copy("Twin", DESIGN));
    settle();
    ItemId twin = new ItemId("job/terrain-surface/Twin");
    assertThat(session.build().items()).containsKey(twin);
    assertThat(session.shape().making().maker(twin)).isPresent();
    assertThat(session.selectedItem().orElseThrow().item().name())
        .as("what was made is in hand")
        .isEqualTo("Twin");
    assertThat(session.messages().sentenceProperty().get()).contains("Twin");
    session.shape().making().unmake("Twin");
    assertThat(session.build().items()).doesNotContainKey(twin);
  }

  @Test
  void aPictureIsLaidOverAGridAndTakesItsPlace() throws Exception {
    Path survey = Path.of("..", "demo", "survey");
    receive(survey.resolve("hinterland.asc"));
    receive(survey.resolve("hinterland.png"));
    ItemId grid = new ItemId("hinterland/terrain-surface/hinterland");
    ItemId picture = new ItemId("hinterland-png/image/hinterland");
    assertThat(session.build().items()).containsKeys(grid, picture);
    session.shape().making().make(new TexturedGround("Country", grid, picture, 8, 20, 0));
    settle();
    Item made = session.build().items().get(new ItemId("job/terrain-surface/Country")).item();
    assertThat(made.attributes().texture()).isPresent();
    assertThat(session.job().deliveries())
        .allSatisfy(d -> assertThat(d.heldBack()).contains(grid, picture));
    assertThat(session.build().isVisible(grid)).isFalse();
    assertThat(session.build().isVisible(picture)).isFalse();
    session.undo();
    assertThat(session.build().isVisible(grid)).isTrue();
  }
}
