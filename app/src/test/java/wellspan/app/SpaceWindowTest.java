package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import javafx.application.ConditionalFeature;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.SubScene;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import wellspan.app.stage.StageView;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.job.SavedView;

/** The picture in 3D, which needs OpenGL. */
@Tag("space")
class SpaceWindowTest extends WindowTest {
  @Test
  void threeDimensionsAreReallyShown() throws Exception {
    assertThat(Platform.isSupported(ConditionalFeature.SCENE3D))
        .as("3D is supported; under Xvfb it needs Mesa and -Dprism.forceGPU=true")
        .isTrue();
    receive(DEMO.resolve("road/quay-road.xml"));
    push(KeyCode.ALT, KeyCode.DIGIT2);
    calm();
    assertThat(colours(lookup("#space").query()))
        .as("the shaded ground has many tones")
        .isGreaterThan(60);
  }

  @Test
  @SuppressWarnings("unchecked")
  void theWorkIsCutOpenAcrossTheRoad() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    interact(() -> shell.stage().show(StageView.Picture.SPACE));
    ComboBox<String> cut = lookup("#space-cut").queryAs(ComboBox.class);
    interact(() -> session.selection().choose(List.of()));
    interact(() -> cut.setValue("Box round selection"));
    assertThat(cut.getValue()).as("there is nothing to go round").isEqualTo("Whole");
    assertThat(text("#message")).contains("Select what the box is to go round");
    interact(() -> cut.setValue("Cut across"));
    calm();
    Slider along = lookup("#space-cut-along").queryAs(Slider.class);
    assertThat(along.getMax()).isGreaterThan(1000);
    assertThat(lookup("#space-cut-along").query().isVisible()).isTrue();
    interact(() -> along.setValue(100));
    assertThat(text("#space-cut-chainage")).isEqualTo("0+100.000");
  }

  @Test
  @SuppressWarnings("unchecked")
  void whatIsCutAwayOrHiddenDoesNotMoveThePicture() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    interact(() -> shell.stage().show(StageView.Picture.SPACE));
    settle(() -> !session.work().runningProperty().get());
    ItemId link =
        session.build().items().values().stream()
            .filter(i -> i.item().name().equals("Yard Link"))
            .findFirst()
            .orElseThrow()
            .id();
    interact(() -> session.selection().choose(List.of(link)));
    interact(() -> session.aim().goTo(List.of(link)));
    keep("whole");
    ComboBox<String> cut = lookup("#space-cut").queryAs(ComboBox.class);
    interact(() -> cut.setValue("Box round selection"));
    calm();
    keep("in a box");
    interact(() -> cut.setValue("Whole"));
    interact(() -> session.visibility().only(List.of(link)));
    calm();
    keep("alone");
    Position whole = session.job().views().getFirst().at();
    assertThat(session.job().views())
        .allSatisfy(v -> assertThat(v.at().planDistanceTo(whole)).isLessThan(1e-6))
        .allSatisfy(v -> assertThat(v.at().level()).isCloseTo(whole.level(), within(1e-6)));
  }

  @Test
  void aSelectionDrawsOnlyWhatItTouchesAnew() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    interact(() -> shell.stage().show(StageView.Picture.SPACE));
    settle(() -> !session.work().runningProperty().get());
    List<ItemId> two = session.build().items().keySet().stream().limit(2).toList();
    interact(() -> session.selection().choose(List.of(two.getFirst())));
    List<Node> before = drawn();
    interact(() -> session.selection().choose(List.of(two.getLast())));
    List<Node> gone = new ArrayList<>(before);
    gone.removeAll(drawn());
    List<Node> fresh = drawn();
    fresh.removeAll(before);
    assertThat(gone).isNotEmpty().extracting(Node::getUserData).isSubsetOf(two);
    assertThat(fresh).hasSameSizeAs(gone).extracting(Node::getUserData).isSubsetOf(two);
    assertThat(before.size()).as("much is not touched").isGreaterThan(gone.size());
  }

  private List<Node> drawn() {
    SubScene scene = lookup((Node n) -> n instanceof SubScene).queryAs(SubScene.class);
    return new ArrayList<>(scene.getRoot().lookupAll("MeshView"));
  }

  @Test
  void aViewIsKeptAndLookedAtAgain() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    interact(() -> shell.stage().show(StageView.Picture.SPACE));
    settle(() -> !session.work().runningProperty().get());
    interact(() -> lookup("#space").query().requestFocus());
    push(KeyCode.LEFT);
    push(KeyCode.PLUS);
    keep("near");
    push(KeyCode.RIGHT);
    push(KeyCode.MINUS);
    push(KeyCode.MINUS);
    keep("far");
    SavedView near = session.job().views().getFirst();
    SavedView far = session.job().views().getLast();
    assertThat(far.reach()).isCloseTo(near.reach() * 1.69, within(1e-6 * near.reach()));
    assertThat(far.turn()).isNotEqualTo(near.turn());
    interact(() -> shell.stage().show(StageView.Picture.PLAN));
    interact(() -> shell.stage().look(near));
    keep("near again");
    SavedView again = session.job().views().getLast();
    assertThat(again.picture()).isEqualTo(SavedView.Picture.SPACE);
    assertThat(again.reach()).isCloseTo(near.reach(), within(1e-9));
    assertThat(again.turn()).isEqualTo(near.turn());
    assertThat(again.tilt()).isEqualTo(near.tilt());
    assertThat(again.at().planDistanceTo(near.at())).isLessThan(1e-6);
  }

  private void keep(String name) {
    interact(() -> session.aim().viewsProperty().set(true));
    interact(() -> lookup("#view-name").queryAs(TextField.class).setText(name));
    fire("#keep-view");
    interact(() -> lookup("#space").query().requestFocus());
  }
}
