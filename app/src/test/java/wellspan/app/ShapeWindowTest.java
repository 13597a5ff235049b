package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import wellspan.app.session.Pick;
import wellspan.app.stage.PlanView;
import wellspan.app.stage.SurfaceStyle;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.shape.Shape;

/** The stop Shape as a coordinator uses it: from a survey with errors to a clean surface. */
class ShapeWindowTest extends WindowTest {
  private static final ItemId SHORE = new ItemId("shore-survey/points/shore-survey");
  private static final ItemId GROUND = new ItemId("job/terrain-surface/Ground");

  @SuppressWarnings("unchecked")
  private void choose(String query, String value) {
    ComboBox<String> c = lookup(query).queryAs(ComboBox.class);
    interact(
        () -> {
          c.getSelectionModel().select(value);
          c.getOnAction().handle(null);
        });
    calm();
  }

  private void idle() throws Exception {
    settle(() -> !session.work().runningProperty().get());
  }

  private Shape.Points shore() {
    return (Shape.Points) session.build().items().get(SHORE).item().shape();
  }

  private void withSurvey() throws Exception {
    receive(DEMO.resolve("survey/shore-survey.csv"));
    interact(() -> session.selectedProperty().set(Optional.of(SHORE)));
    push(KeyCode.CONTROL, KeyCode.DIGIT3);
    settle(() -> session.shape().flawsProperty().get().size() == 11);
  }

  @Test
  void flawsAreShownAndMendedOneKindAfterTheOther() throws Exception {
    withSurvey();
    assertThat(card("#flaws"))
        .contains("9 of 8934 points lie at 0.000 m")
        .contains("3 × ")
        .contains("6 × ");
    fire("#mend-terrain-false-level");
    idle();
    assertThat(shore().points()).hasSize(8934 - 17);
    settle(() -> session.shape().flawsProperty().get().size() == 9);
    fire("#mend-terrain-spike");
    idle();
    settle(() -> session.shape().flawsProperty().get().size() == 6);
    fire("#mend-terrain-duplicate");
    idle();
    settle(() -> session.shape().flawsProperty().get().isEmpty());
    assertThat(card("#flaws")).contains("✓ No false levels");
    assertThat(card("#steps")).contains("17 points dropped");
    interact(session::undo);
    settle(() -> shore().points().size() == 8934 - 20);
  }

  @Test
  void aStepIsSwitchedOffAndTakenAway() throws Exception {
    withSurvey();
    fire("#mend-terrain-false-level");
    idle();
    CheckBox on = lookup("#step-on-1").queryAs(CheckBox.class);
    interact(on::fire);
    settle(() -> shore().points().size() == 8934);
    assertThat(session.job().stepsOf(SHORE).getFirst().on()).isFalse();
    fire("#step-remove-1");
    idle();
    assertThat(session.job().stepsOf(SHORE)).isEmpty();
  }

  @Test
  void aStepThatIsCancelledStandsNowhere() throws Exception {
    withSurvey();
    choose("#step-kind", "Raise or lower");
    Button add = lookup("#step-add").queryButton();
    interact(
        () -> {
          add.fire();
          session.work().cancel();
        });
    idle();
    assertThat(session.job().stepsOf(SHORE)).isEmpty();
    assertThat(card("#steps")).contains("No steps").doesNotContain("Raise");
  }

  @Test
  void aSurfaceIsMadeClippedToADrawnOutlineAndCompared() throws Exception {
    withSurvey();
    fire("#mend-terrain-false-level");
    idle();
    fire("#make-surface");
    choose("#role-shore-survey-points-shore-survey", "points");
    fire("#make-go");
    settle(() -> session.build().items().containsKey(GROUND));
    interact(() -> session.selectedProperty().set(Optional.of(GROUND)));
    fire("#draw-outline");
    assertThat(session.place().pickProperty().get()).isEqualTo(Pick.OUTLINE);
    interact(
        () -> {
          session.shape().corner(new Position(412_300, 6_534_600, 0));
          session.shape().corner(new Position(412_500, 6_534_600, 0));
          session.shape().corner(new Position(412_500, 6_534_800, 0));
          session.shape().corner(new Position(412_300, 6_534_800, 0));
        });
    push(KeyCode.ENTER);
    assertThat(session.place().pickProperty().get()).isEqualTo(Pick.NONE);
    choose("#step-kind", "Clip to an outline");
    fire("#step-add");
    idle();
    Shape.Faces s = (Shape.Faces) session.build().items().get(GROUND).item().shape();
    assertThat(s.mesh().planArea()).isCloseTo(40_000, within(1e-3));
    interact(() -> shell.stage().plan().setSurfaceStyle(SurfaceStyle.SLOPE));
    fire("#compare-go");
    settle(() -> session.shape().comparisonProperty().get().isPresent());
    assertThat(card("#compare")).contains("same triangles").contains("RMS");
    PlanView plan = shell.stage().plan();
    Box all = session.build().bounds();
    assertThat(plan.onScreen(new Position(all.maxE(), all.maxN(), 0)).getX())
        .as("the work ends before the legend")
        .isLessThan(plan.getWidth() - 108);
    settle(() -> !shell.stage().plan().isBusy());
    interact(session::undo); // the surface is another one: what was compared is gone
    settle(() -> session.shape().comparisonProperty().get().isEmpty());
  }

  @Test
  void aStepIsChosenByKeysAlone() throws Exception {
    withSurvey();
    ComboBox<?> kind = lookup("#step-kind").queryAs(ComboBox.class);
    interact(
        () -> {
          kind.requestFocus();
          kind.show();
        });
    push(KeyCode.DOWN);
    push(KeyCode.DOWN);
    assertThat(kind.isShowing()).as("the list stays open while the keys walk").isTrue();
    assertThat(lookup("#step-add").tryQuery()).isEmpty();
    push(KeyCode.ENTER);
    assertThat(lookup("#step-kind").queryAs(ComboBox.class).getValue()).isEqualTo("Drop spikes");
    assertThat(lookup("#step-higher-than").tryQuery()).isPresent();
    fire("#step-add");
    assertThat(session.job().stepsOf(SHORE)).hasSize(1);
  }

  @Test
  void wrongNumbersAreSentencesAndAddNothing() throws Exception {
    withSurvey();
    choose("#step-kind", "Raise or lower");
    TextField by = lookup("#step-by").queryAs(TextField.class);
    interact(() -> by.setText("much"));
    fire("#step-add");
    assertThat(text("#message")).contains("\"much\" is not a number");
    assertThat(session.job().stepsOf(SHORE)).isEmpty();
    interact(() -> by.setText("0,25"));
    fire("#step-add");
    idle();
    assertThat(session.job().stepsOf(SHORE)).hasSize(1);
  }

  private void enter(String query, String value) {
    interact(() -> lookup(query).queryAs(TextField.class).setText(value));
  }

  @Test
  void aPadIsMadeOnTheGround() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    push(KeyCode.CONTROL, KeyCode.DIGIT3);
    fire("#make-pad");
    enter("#pad-level-in-the-middle", "a hill");
    fire("#pad-go");
    assertThat(session.messages().sentenceProperty().get()).contains("a hill");
    interact(
        () ->
            session
                .shape()
                .outlineProperty()
                .set(
                    java.util.List.of(
                        new Position(412_600, 6_534_700, 0),
                        new Position(412_640, 6_534_700, 0),
                        new Position(412_640, 6_534_730, 0))));
    enter("#pad-level-in-the-middle", "30");
    enter("#pad-fall", "2");
    assertThat(lookup("#pad-fall").queryAs(TextField.class).getText()).isEqualTo("2");
    fire("#pad-go");
    idle();
    Item pad = session.build().items().get(new ItemId("job/terrain-surface/Pad")).item();
    assertThat(((Shape.Faces) pad.shape()).mesh().planArea()).isGreaterThan(600);
    assertThat(card("#steps") + card("#make")).doesNotContain("could not");
    interact(() -> session.shape().outlineProperty().set(java.util.List.of()));
    interact(
        () ->
            session
                .selectedProperty()
                .set(java.util.Optional.of(new ItemId("job/terrain-surface/Pad"))));
    fire("#change-made");
    assertThat(lookup("#pad-level-in-the-middle").queryAs(TextField.class).getText())
        .isEqualTo("30");
    assertThat(session.shape().outlineProperty().get()).hasSize(3);
    enter("#pad-level-in-the-middle", "32");
    fire("#pad-go");
    idle();
    assertThat(
            session
                .build()
                .items()
                .get(new ItemId("job/terrain-surface/Pad"))
                .item()
                .bounds()
                .maxH())
        .isGreaterThan(32);
    interact(session::undo);
    interact(session::undo);
    assertThat(session.build().items()).doesNotContainKey(new ItemId("job/terrain-surface/Pad"));
  }

  @Test
  void contoursAreMadeAndAPictureIsAskedForFirst() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    push(KeyCode.CONTROL, KeyCode.DIGIT3);
    fire("#make-texture");
    assertThat(card("#texture")).contains("Receive a picture of the ground first");
    assertThat(lookup("#texture-go").tryQuery()).isEmpty();
    fire("#make-texture");
    fire("#make-contours");
    enter("#contours-every", "0");
    fire("#contours-go");
    assertThat(session.messages().sentenceProperty().get()).contains("must be 0.001 or more");
    enter("#contours-every", "5");
    enter("#contours-name", "Five metres");
    fire("#contours-go");
    idle();
    ItemId lines = new ItemId("job/string/Five metres");
    ItemId majors = new ItemId("job/string/Five metres major");
    assertThat(session.build().items()).containsKeys(lines, majors);
    Shape.Lines major = (Shape.Lines) session.build().items().get(majors).item().shape();
    assertThat(major.lines())
        .allMatch(l -> Math.abs(Math.IEEEremainder(l.point(0).level(), 25)) < 1e-9);
    fire("#make-contours"); // what was filled in is still there
    assertThat(lookup("#contours-name").queryAs(TextField.class).getText())
        .isEqualTo("Five metres");
  }

  @SuppressWarnings("unchecked")
  @Test
  void theDistanceOfDrawnContoursIsChosenOnTheStage() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    ChoiceBox<String> interval = lookup("#contour-interval").queryAs(ChoiceBox.class);
    interact(() -> interval.setValue("every 5 m"));
    interact(() -> lookup("#run-off").queryAs(javafx.scene.control.ToggleButton.class).fire());
    idle();
    assertThat(lookup("#contour-interval").query().isVisible()).isTrue();
    ChoiceBox<SurfaceStyle> styles = lookup("#surface-style").queryAs(ChoiceBox.class);
    interact(() -> styles.setValue(SurfaceStyle.SHADE));
    assertThat(lookup("#contour-interval").query().isVisible()).isFalse();
  }
}
