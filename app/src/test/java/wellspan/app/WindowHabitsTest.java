package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.nio.file.Files;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Position;
import wellspan.core.item.Band;
import wellspan.core.item.ItemId;
import wellspan.core.schema.IfcSchema;

/** What a user tries besides the straight way: keys, bad files, hiding, holding back, findings. */
class WindowHabitsTest extends WindowTest {

  private List<Node> withAccessibleText(String start) {
    return List.copyOf(
        lookup((Node n) -> n.getAccessibleText() != null && n.getAccessibleText().startsWith(start))
            .queryAll());
  }

  @Test
  void aDrawingShowsItsLayersAndWhatIsOnThem() throws Exception {
    receive(DEMO.resolve("yard/yard-layout.dxf"));
    List<String> words =
        lookup(".layer-list .label").queryAll().stream().map(n -> ((Labeled) n).getText()).toList();
    assertThat(words)
        .startsWith("Layers that are taken", "0", "empty", "Points", "4 CIRCLE, 4 TEXT")
        .contains("PAD_B", "36 3DFACE", "Yard Outline", "1 LWPOLYLINE");
    assertThat(lookup(".layer-list .swatch").queryAll()).hasSize(8);
    assertThat(session.build().items())
        .containsKeys(
            ItemId.of("yard-layout", "terrain surface", "PAD_A"),
            ItemId.of("yard-layout", "string", "lane edges"),
            ItemId.of("yard-layout", "points", "Points markers"));
    assertThat(session.findingsProperty().get())
        .extracting(f -> f.code())
        .contains("units.missing");
  }

  @Test
  void aBadFileIsAnsweredInASentence() throws Exception {
    receive(
        Files.writeString(dir.resolve("bad.xml"), "<LandXML version=\"1.2\"><Surfaces><Surface"));
    assertThat(text("#message")).startsWith("bad.xml, line 1: the XML is broken");
    assertThat(session.job().sources()).isEmpty();
  }

  @Test
  void strataHideAndShowAndCountTheirItems() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    Button hide = (Button) withAccessibleText("Hide Ground").getFirst();
    interact(hide::fire);
    assertThat(session.visibility().itemsIn(Band.GROUND)).noneMatch(session.build()::isVisible);
    assertThat(withAccessibleText("Show Ground")).hasSize(1);
    interact(() -> shell.stage().plan().requestFocus());
    push(KeyCode.CONTROL, KeyCode.Z);
    assertThat(session.visibility().itemsIn(Band.GROUND)).allMatch(session.build()::isVisible);
    push(KeyCode.OPEN_BRACKET);
    assertThat(session.visibility().itemsIn(Band.LINES_AND_POINTS))
        .noneMatch(session.build()::isVisible);
    push(KeyCode.CLOSE_BRACKET);
    assertThat(session.visibility().itemsIn(Band.LINES_AND_POINTS))
        .allMatch(session.build()::isVisible);
  }

  @Test
  void theManifestHoldsBackAndTakesBack() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    push(KeyCode.CONTROL, KeyCode.DIGIT6);
    ItemId link = ItemId.of("quay-road", "alignment", "Yard Link");
    Button cell = (Button) withAccessibleText("Yard Link in BIM handover: included").getFirst();
    interact(cell::fire);
    assertThat(session.job().deliveries().getFirst().heldBack()).containsExactly(link);
    Button held = (Button) withAccessibleText("Yard Link in BIM handover: held back").getFirst();
    assertThat(held.getText()).isEqualTo("·");
    interact(held::fire);
    assertThat(session.job().deliveries().getFirst().heldBack()).isEmpty();
    javafx.scene.control.ListView<?> rows =
        lookup("#manifest-list").queryAs(javafx.scene.control.ListView.class);
    interact(() -> rows.scrollTo(rows.getItems().size() - 1));
    WaitForAsyncUtils.waitForFxEvents();
    Button empty = (Button) withAccessibleText("Yard formation in BIM handover").getFirst();
    assertThat(empty.isDisabled()).isTrue();
  }

  @Test
  void aFindingBringsTheStageToItsPlace() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    push(KeyCode.CONTROL, KeyCode.F);
    Node far = withAccessibleText("The work reaches").getFirst();
    clickOn(far);
    settle(() -> session.stopProperty().get() == Stop.PLACE);
    assertThat(session.aim().placeProperty().get()).isPresent();
    Node empty = withAccessibleText("The surface Yard formation is empty").getFirst();
    clickOn(empty);
    assertThat(session.stopProperty().get()).isEqualTo(Stop.RECEIVE);
    assertThat(session.selectedItem().orElseThrow().item().name()).isEqualTo("Yard formation");
    push(KeyCode.ESCAPE);
    assertThat(lookup("#findings").query().isVisible()).isFalse();
  }

  @Test
  void thePlanMovesByKeysAndTheReadingLineFollows() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    settle(() -> !shell.stage().plan().isBusy());
    moveTo("#plan");
    WaitForAsyncUtils.waitForFxEvents();
    double before = session.aim().pointerProperty().get().orElseThrow().east();
    interact(() -> shell.stage().plan().requestFocus());
    push(KeyCode.RIGHT);
    settle(() -> !shell.stage().plan().isBusy());
    moveBy(1, 0);
    double after = session.aim().pointerProperty().get().orElseThrow().east();
    assertThat(after).isGreaterThan(before + 50);
    assertThat(lookup("#reading").query().lookupAll(".figure"))
        .extracting(n -> ((Labeled) n).getText())
        .anySatisfy(t -> assertThat(t).startsWith("E 41"))
        .anySatisfy(t -> assertThat(t).startsWith("x "));
  }

  @Test
  void thePlanIsEnlargedByKeysAndFittedAgain() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    settle(() -> !shell.stage().plan().isBusy());
    interact(() -> shell.stage().plan().requestFocus());
    push(KeyCode.F);
    double fitted = metresAcross();
    push(KeyCode.EQUALS);
    assertThat(metresAcross()).isLessThan(0.9 * fitted);
    push(KeyCode.MINUS);
    assertThat(metresAcross()).isCloseTo(fitted, withinPercentage(0.01));
    push(KeyCode.EQUALS);
    push(KeyCode.F);
    assertThat(metresAcross()).isCloseTo(fitted, withinPercentage(0.01));
  }

  private double metresAcross() {
    Position there = new Position(413_100, 6_534_600, 0);
    Position further = new Position(413_200, 6_534_600, 0);
    return 100
        / shell.stage().plan().onScreen(there).distance(shell.stage().plan().onScreen(further));
  }

  @Test
  void foldingGivesTheStageMoreRoom() throws Exception {
    double narrow = lookup("#stage").query().getLayoutBounds().getWidth();
    push(KeyCode.CONTROL, KeyCode.B);
    push(KeyCode.CONTROL, KeyCode.D);
    settle(() -> !lookup("#docket").query().isVisible());
    assertThat(lookup("#strata").query().isVisible()).isFalse();
    assertThat(lookup("#docket").query().isVisible()).isFalse();
    assertThat(lookup("#stage").query().getLayoutBounds().getWidth()).isGreaterThan(narrow + 200);
    push(KeyCode.CONTROL, KeyCode.B);
    settle(() -> lookup("#strata").query().isVisible());
  }

  @Test
  void savingClearsTheMarkAndTheJournal() throws Exception {
    receive(DEMO.resolve("survey/control.csv"));
    assertThat(lookup("#route").query().lookupAll(".muted"))
        .extracting(n -> ((Labeled) n).getText())
        .anySatisfy(t -> assertThat(t).endsWith("not saved"));
    push(KeyCode.CONTROL, KeyCode.S);
    assertThat(session.unsavedProperty().get()).isFalse();
    assertThat(text("#message")).startsWith("Saved in ");
    assertThat(session.store().recoverable()).isEmpty();
  }

  @Test
  void theDescribeStopShowsWhatWillBeDelivered() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    interact(
        () ->
            session
                .selectedProperty()
                .set(Optional.of(ItemId.of("quay-road", "alignment", "Quay Road"))));
    push(KeyCode.CONTROL, KeyCode.DIGIT4);
    interact(() -> lookup("#open-item").queryButton().fire());
    assertThat(lookup("#describe").query().lookupAll(".label"))
        .extracting(n -> ((Labeled) n).getText())
        .contains("IfcAlignment", "Wellspan_KnownFacts", "StartChainage", "quay-road.xml");
    interact(
        () ->
            session
                .selectedProperty()
                .set(Optional.of(ItemId.of("quay-road", "course", "Surface course"))));
    assertThat(words("#describe"))
        .contains("IFC4.3", "Road ▸ Quay Road segment ▸ Quay Road carriageway ▸ Quay Road pavement")
        .contains("Wellspan_RoadPart, as received", "Wellspan_KnownFacts", "40 mm");
    interact(() -> session.rules().schemaProperty().set(IfcSchema.IFC2X3));
    assertThat(words("#describe"))
        .as("what another schema has no room for is not shown for it")
        .contains("IFC2x3", "Wellspan_KnownFacts")
        .noneMatch(w -> w.contains("Quay Road carriageway"));
  }

  private List<String> words(String query) {
    return lookup(query).query().lookupAll(".label").stream()
        .map(n -> ((Labeled) n).getText())
        .toList();
  }

  @Test
  void aClassIsChosenForOneItemAndTakenBack() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    ItemId id =
        session.build().items().keySet().stream()
            .filter(i -> i.value().contains("/terrain-surface/"))
            .findFirst()
            .orElseThrow();
    interact(() -> session.selectedProperty().set(Optional.of(id)));
    push(KeyCode.CONTROL, KeyCode.DIGIT4);
    interact(() -> lookup("#open-item").queryButton().fire());
    interact(
        () -> {
          ComboBox<String> classes = lookup("#class-choice").queryComboBox();
          classes.setValue("IfcSlab");
        });
    assertThat(session.job().settingsOf(id).entityClass().orElseThrow().entity())
        .isEqualTo("IfcSlab");
    assertThat(lookup("#describe").query().lookupAll(".label"))
        .extracting(n -> ((Labeled) n).getText())
        .contains("IfcSlab");
    interact(() -> lookup("#type-choice").<String>queryComboBox().setValue("PAVING"));
    assertThat(session.build().classOf(session.build().items().get(id), IfcSchema.IFC4X3))
        .hasToString("IfcSlab PAVING");
    interact(() -> lookup("#class-choice").<String>queryComboBox().setValue(""));
    assertThat(session.job().settingsOf(id).entityClass()).isEmpty();
  }
}
