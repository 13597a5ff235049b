package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import org.junit.jupiter.api.Test;
import wellspan.app.session.Pick;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;

/** Drives the real window as a user would: receive, place, look, deliver, see the proof. */
class WholeSliceTest extends WindowTest {
  private List<String> docket(String stop) {
    Node cell = lookup("#docket-" + stop).query();
    return Stream.of(".label", ".hyperlink")
        .flatMap(kind -> cell.lookupAll(kind).stream())
        .map(n -> ((Labeled) n).getText())
        .toList();
  }

  @Test
  void aDesignIsReceivedPlacedDeliveredAndProven() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    assertThat(text("#message")).contains("quay-road.xml received");
    interact(
        () ->
            session
                .selectedProperty()
                .set(
                    session.build().items().keySet().stream()
                        .filter(i -> i.value().endsWith("Quay Road"))
                        .findFirst()));
    calm();
    assertThat(
            lookup((Node n) -> new ItemId("quay-road/alignment/Quay Road").equals(n.getUserData()))
                .tryQuery())
        .isPresent();
    assertThat(docket("shape")).contains("0+000.000", "18 plan elements");
    assertThat(docket("describe")).contains("IfcAlignment");

    push(KeyCode.CONTROL, KeyCode.DIGIT2);
    assertThat(session.stopProperty().get()).isEqualTo(Stop.PLACE);
    assertThat(session.findingsProperty().get()).extracting(Finding::code).contains("frame.far");
    clickOn(".take-proposal");
    calm();
    assertThat(session.findingsProperty().get())
        .extracting(Finding::code)
        .doesNotContain("frame.far");
    type("#base-e", "412 000.000");
    type("#base-n", "6 534 500");
    type("#rotation", "21.5°");
    type("#heights", "NN2000");
    assertThat(session.job().frame().basePoint()).isEqualTo(new Position(412_000, 6_534_500, 0));
    assertThat(session.job().frame().rotationDegrees()).isEqualTo(21.5);
    type("#base-h", "ten");
    assertThat(text("#message")).contains("\"ten\" is not a number");

    push(KeyCode.CONTROL, KeyCode.DIGIT6);
    clickOn("#deliver");
    settle(
        () ->
            session.deliveries().runsProperty().get().containsKey("BIM handover")
                && !session.work().runningProperty().get());
    assertThat(text("#verdict")).startsWith("✓ Proven");
    assertThat(docket("deliver")).contains("✓ BIM handover proven");
    clickOn("#show-proof");
    settle(() -> !shell.stage().plan().isBusy());
    assertThat(lookup("#manifest").query().isVisible()).isFalse();
    assertThat(colours(lookup("#plan").query())).as("sent and arrived are drawn").isGreaterThan(20);
  }

  @Test
  void theFrameIsChosenBySearchLockedAndUndone() throws Exception {
    receive(DEMO.resolve("survey/control.csv"));
    push(KeyCode.CONTROL, KeyCode.DIGIT2);
    clickOn("#choose-system");
    TextField search = lookup("#system-search").queryAs(TextField.class);
    interact(() -> search.setText("etrs89 utm zone 32n"));
    interact(search::requestFocus);
    push(KeyCode.ENTER);
    assertThat(session.job().frame().crs()).isEqualTo("EPSG:25832");
    type("#lock-reason", "agreed");
    assertThat(session.job().frame().lock()).isEqualTo("agreed");
    assertThat(lookup("#base-e").query().isDisabled()).isTrue();
    interact(() -> shell.stage().plan().requestFocus());
    push(KeyCode.CONTROL, KeyCode.Z);
    assertThat(session.job().frame().isLocked()).isFalse();
    push(KeyCode.CONTROL, KeyCode.Z);
    assertThat(session.job().frame().crs()).isEmpty();
    push(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
    assertThat(session.job().frame().crs()).isEqualTo("EPSG:25832");
  }

  @Test
  void theBasePointIsPickedOnThePlan() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    push(KeyCode.CONTROL, KeyCode.DIGIT2);
    interact(() -> shell.stage().plan().requestFocus());
    push(KeyCode.SPACE);
    assertThat(session.place().pickProperty().get()).isEqualTo(Pick.BASE_POINT);
    clickOn("#plan");
    Position p = session.job().frame().basePoint();
    assertThat(p.east()).isBetween(411_980.0, 413_300.0);
    assertThat(p.north()).isBetween(6_534_300.0, 6_535_092.0);
    assertThat(session.place().pickProperty().get()).isEqualTo(Pick.NONE);
  }

  @Test
  void aNewRevisionShowsWhatChanged() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    receive(DEMO.resolve("road/quay-road-RevB.xml"));
    assertThat(text("#message")).contains("Rev B of quay-road");
    VBox change = lookup("#revision-change").queryAs(VBox.class);
    assertThat(change.lookupAll(".label"))
        .extracting(n -> ((Labeled) n).getText())
        .anySatisfy(t -> assertThat(t).contains("Quay Road: profile moved by up to +0.350 m"));
  }

  @Test
  void selectionInThePlanIsTheSelection() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    settle(() -> !shell.stage().plan().isBusy());
    clickOn(offset("#plan", 0, 150));
    assertThat(session.selectedItem())
        .hasValueSatisfying(i -> assertThat(i.item().ground()).isPresent());
    assertThat(docket("receive")).contains("quay-road.xml");
  }

  @Test
  void theLongSectionIsDrawn() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    push(KeyCode.ALT, KeyCode.DIGIT3);
    calm();
    assertThat(lookup("#section").query().isVisible()).isTrue();
    assertThat(colours(lookup("#section").query())).isGreaterThan(8);
  }

  @Test
  void everyStopHasItsPanelAndKeysAreListed() {
    KeyCode[] digits = {
      KeyCode.DIGIT1, KeyCode.DIGIT2, KeyCode.DIGIT3, KeyCode.DIGIT4, KeyCode.DIGIT5, KeyCode.DIGIT6
    };
    for (Stop s : Stop.values()) {
      push(KeyCode.CONTROL, digits[s.ordinal()]);
      assertThat(session.stopProperty().get()).isEqualTo(s);
    }
    push(KeyCode.F1);
    assertThat(lookup("#shortcuts").query().isVisible()).isTrue();
    push(KeyCode.ESCAPE);
    assertThat(lookup("#shortcuts").query().isVisible()).isFalse();
    push(KeyCode.CONTROL, KeyCode.F);
    assertThat(lookup("#findings").query().isVisible()).isTrue();
    push(KeyCode.CONTROL, KeyCode.T);
    assertThat(shell.getStyleClass()).contains("dark");
  }
}
