package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import wellspan.app.session.Pick;
import wellspan.core.deliver.LocalZero;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.place.Control;
import wellspan.core.place.SourcePlacement;
import wellspan.core.schema.IfcSchema;
import wellspan.core.unit.LinearUnit;

/** The stop Place as a user works at it. */
class PlaceWindowTest extends WindowTest {

  private void atPlace() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    receive(DEMO.resolve("survey/control.csv"));
    interact(
        () ->
            session
                .place()
                .changeFrame(
                    "Set up",
                    f -> f.withBasePoint(new Position(412_000, 6_534_500, 0)).withRotation(21.5)));
    interact(() -> session.place().takeControl("control"));
    push(KeyCode.CONTROL, KeyCode.DIGIT2);
    settle(() -> !shell.stage().plan().isBusy());
  }

  @Test
  void theTallyShowsThePointThatIsOffAndFollowsTheTolerance() throws Exception {
    atPlace();
    assertThat(card("#tally"))
        .contains("✕ BN-4")
        .contains("\u221238")
        .contains("Look at its height first");
    type("#tolerance", "50 mm");
    assertThat(session.job().control().tolerance()).isCloseTo(0.05, within(1e-12));
    assertThat(card("#tally")).contains("✓ All 5 points agree");
    type("#tolerance", "nonsense");
    assertThat(text("#message")).contains("not a number of millimetres");
  }

  @Test
  void controlPointsAreTypedAndPicked() throws Exception {
    atPlace();
    fire("#type-control");
    fill("#control-name", "BN-6");
    fill("#control-e", "412500");
    fill("#control-n", "6534800");
    fill("#control-h", "21.5");
    fire("#add-control");
    assertThat(session.job().control().points())
        .hasSize(6)
        .contains(new Control.Point("BN-6", new Position(412_500, 6_534_800, 21.5)));
    fill("#control-name", "BN-7");
    fill("#control-e", "here");
    fire("#add-control");
    assertThat(card("#tally")).contains("E: \"here\" is no number. Type it as 412500.000.");
    assertThat(session.job().control().points()).hasSize(6);
    fire("#pick-control");
    assertThat(session.place().pickProperty().get()).isEqualTo(Pick.CONTROL);
    Position known = new Position(412_402.118, 6_534_890.330, 22.6);
    interact(() -> session.place().clicked(known, 5));
    assertThat(session.job().control().points()).extracting(Control.Point::name).contains("BN-2");
  }

  @Test
  void aSourceInMillimetresAndSiteNorthIsPlacedByNames() throws Exception {
    atPlace();
    receive(DEMO.resolve("yard/yard-layout.dxf"));
    assertThat(session.findingsProperty().get())
        .anySatisfy(f -> assertThat(f.code()).isEqualTo("place.elsewhere"));
    fire("#place-source-yard-layout");
    assertThat(card("#sources")).contains("millimetre, local to the base point and site north");
    fire("#take-meaning-1");
    assertThat(placement().unitFactor()).isEqualTo(0.001);
    fire("#match-names");
    assertThat(placement().where()).isInstanceOf(SourcePlacement.Where.Fitted.class);
    assertThat(session.place().sources().pairs()).hasSize(4);
    assertThat(session.findingsProperty().get())
        .noneSatisfy(f -> assertThat(f.code()).isEqualTo("place.elsewhere"));
    assertThat(card("#sources")).contains("Deviation in plan").contains("1.00000000");
    CheckBox fixed = lookup("#scale-fixed").queryAs(CheckBox.class);
    interact(fixed::fire);
    assertThat(session.place().sources().scaleFree()).isTrue();
    List.of("#pair-x", "#pair-y", "#pair-z", "#pair-h").forEach(f -> fill(f, "0"));
    fill("#pair-e", "412928.96");
    fire("#add-pair");
    assertThat(card("#sources")).contains("N is missing. Type it as 6534749.190.");
    fill("#pair-n", "6534749.19");
    fire("#add-pair");
    assertThat(session.place().sources().pairs()).hasSize(5);
    settle(() -> lookup("#pair-name").query().isFocused()); // for the next pair
    fill("#local-e", "412928.96");
    fill("#local-n", "6534749.19");
    fill("#local-h", "0");
    fill("#local-turn", "21.5");
    fire("#place-local");
    assertThat(placement().where()).isInstanceOf(SourcePlacement.Where.Local.class);
    interact(session::undo);
    assertThat(placement().where()).isInstanceOf(SourcePlacement.Where.Fitted.class);
  }

  private SourcePlacement placement() {
    return session.job().source("yard-layout").orElseThrow().placement();
  }

  @Test
  void pairsArePickedOnThePlan() throws Exception {
    atPlace();
    Path local =
        Files.writeString(
            dir.resolve("local.csv"), "id,e,n,h\nP1,412300,6534700,3\nP2,412500,6534750,4\n");
    receive(local);
    interact(() -> session.place().sources().openProperty().set("local"));
    interact(() -> session.place().pickProperty().set(Pick.PAIR));
    assertThat(card("#picking")).contains("Click a point of the source");
    interact(() -> session.place().clicked(new Position(412_300.5, 6_534_700, 3), 5));
    assertThat(session.place().firstClickProperty().get()).isPresent();
    assertThat(card("#picking")).contains("Click where this point belongs");
    assertThat(lookup("#place-overlay").query().isVisible()).as("figures make room").isFalse();
    interact(() -> session.place().clicked(new Position(412_402.1, 6_534_890.3, 3), 5));
    assertThat(session.place().sources().pairs()).hasSize(1);
    assertThat(session.place().sources().pairs().getFirst().shared().level()).isEqualTo(22.633);
    assertThat(session.place().sources().fit().why()).contains("two point pairs or more");
    interact(() -> session.place().pickProperty().set(Pick.PAIR));
    interact(() -> session.place().clicked(new Position(400_000, 6_534_700, 3), 5));
    assertThat(session.messages().sentenceProperty().get()).contains("no point of local here");
  }

  @Test
  void siteNorthIsTurnedInEveryWay() throws Exception {
    atPlace();
    type("#rotation", "21°30'36\"");
    assertThat(session.job().frame().rotationDegrees()).isCloseTo(21.51, within(1e-9));
    type("#rotation", "north");
    assertThat(text("#message")).contains("is not an angle");
    fire("#true-north");
    assertThat(session.job().frame().rotationDegrees()).isCloseTo(1.31003571, within(1e-6));
    fire("#bearing");
    interact(() -> session.place().clicked(new Position(412_000, 6_534_000, 0), 0.001));
    interact(() -> session.place().clicked(new Position(412_100, 6_534_100, 0), 0.001));
    assertThat(session.job().frame().rotationDegrees()).isCloseTo(45, within(1e-9));
    fire("#bearing");
    interact(() -> session.place().clicked(new Position(412_000, 6_534_000, 0), 0.001));
    interact(() -> session.place().clicked(new Position(412_000, 6_534_000, 0), 0.001));
    assertThat(session.messages().sentenceProperty().get()).contains("same point");
    fire("#scale-ground");
    assertThat(session.job().frame().scale()).isBetween(1.0003, 1.00032);
    fire("#scale-grid");
    assertThat(session.job().frame().scale()).isEqualTo(1);
    type("#scale", "99");
    assertThat(text("#message")).contains("near 1");
  }

  @Test
  void aChangeThatTouchesDeliveriesIsShownBeforeItIsTaken() throws Exception {
    atPlace();
    interact(() -> session.deliveries().run());
    settle(() -> !session.work().runningProperty().get());
    type("#base-e", "412010");
    assertThat(session.job().frame().basePoint().east()).isEqualTo(412_000);
    assertThat(card("#frame-change"))
        .contains("Local coordinates move by up to 10.000 m.")
        .contains("BIM handover");
    fire("#leave-change");
    assertThat(lookup("#base-e").queryAs(TextField.class).getText()).isEqualTo("412\u00a0000.000");
    type("#base-e", "412010");
    fire("#take-change");
    assertThat(session.job().frame().basePoint().east()).isEqualTo(412_010);
    assertThat(lookup("#frame-change").tryQuery()).isEmpty();
    interact(session::undo);
    assertThat(session.job().frame().basePoint().east()).isEqualTo(412_000);
  }

  @Test
  void positionsAreReadMarkedAndRenamed() throws Exception {
    atPlace();
    interact(
        () ->
            session
                .place()
                .probeProperty()
                .set(Optional.of(new Position(412_721, 6_534_651, Double.NaN))));
    assertThat(card("#place #reading-card"))
        .contains("Quay Road")
        .contains("m right")
        .contains("Design ground");
    ScrollPane cards = lookup("#place").query();
    assertThat(cards.getVvalue()).as("the position read is in view").isEqualTo(cards.getVmax());
    fire("#place #mark-place");
    assertThat(session.job().marks()).hasSize(1);
    assertThat(session.job().marks().getFirst().position().level()).isBetween(-6.0, 60.0);
    assertThat(session.build().items()).containsKey(ItemId.of("job", "points", "Spot marks"));
    type("#place #mark-S1", "Outfall");
    assertThat(session.job().marks().getFirst().name()).isEqualTo("Outfall");
    push(KeyCode.ESCAPE);
    assertThat(session.place().probeProperty().get()).isEmpty();
  }

  @Test
  void anOwnSystemIsPastedAndBadOnesAreRefused() throws Exception {
    receive(DEMO.resolve("survey/control.csv"));
    push(KeyCode.CONTROL, KeyCode.DIGIT2);
    fire("#choose-system");
    TextField search = lookup("#system-search").queryAs(TextField.class);
    interact(() -> search.setText("7.5 58.9"));
    javafx.scene.control.ListView<?> list =
        lookup("#system-list").queryAs(javafx.scene.control.ListView.class);
    assertThat(list.getItems()).anySatisfy(c -> assertThat(c.toString()).contains("UTM zone 32N"));
    String before = session.job().frame().crs();
    interact(
        () -> {
          search.setText("4326");
          search.requestFocus();
        });
    push(KeyCode.ENTER);
    assertThat(text("#message")).startsWith("WGS 84 counts in degrees");
    interact(() -> search.setText("99999"));
    assertThat(list.getItems()).isEmpty();
    assertThat(session.job().frame().crs()).isEqualTo(before);
    type("#own-system", "+proj=longlat +datum=WGS84");
    assertThat(text("#message")).contains("counts in degrees");
    type("#own-system", "PROJCS[broken");
    assertThat(session.messages().complaintProperty().get()).isTrue();
    type(
        "#own-system",
        "+proj=tmerc +lat_0=0 +lon_0=9 +k=0.9996 +x_0=500000 +y_0=0 +ellps=GRS80 +towgs84=0,0,0 +units=m");
    assertThat(session.job().frame().definition()).contains("+proj=tmerc");
    assertThat(session.job().frame().system()).isPresent();
  }

  @Test
  void deliveriesChooseSchemaUnitAndZero() throws Exception {
    atPlace();
    push(KeyCode.CONTROL, KeyCode.DIGIT6);
    assertThat(lookup("#losses").tryQuery()).as("IFC4.3 carries everything").isEmpty();
    choose("#schema", "IFC2x3");
    javafx.scene.control.Button losses =
        lookup("#losses").queryAs(javafx.scene.control.Button.class);
    assertThat(losses.getText()).isEqualTo("▸ 3 things to know of it");
    fire("#losses");
    assertThat(lookup(".label").queryAllAs(Labeled.class))
        .anySatisfy(l -> assertThat(l.getText()).startsWith("Quay Road: IFC2x3 has no alignments"));
    choose("#delivery-unit", "mm");
    choose("#zero", "own zero");
    fill("#own-zero-e", "412000");
    fill("#own-zero-n", "6534000");
    fill("#own-zero-h", "10");
    fire("#take-own-zero");
    var d = session.deliveries().inHand().orElseThrow();
    assertThat(d.schema()).isEqualTo(IfcSchema.IFC2X3);
    assertThat(d.unit()).isEqualTo(LinearUnit.MILLIMETRE);
    assertThat(d.zero()).isEqualTo(new LocalZero.Own(new Position(412_000, 6_534_000, 10)));
    choose("#split", "a file per length");
    fill("#split-length", "-3");
    fire("#take-split");
    assertThat(session.messages().sentenceProperty().get()).contains("more than 0");
    fill("#split-length", "300");
    fire("#take-split");
    fire("#deliver");
    settle(
        () ->
            session.deliveries().runsProperty().get().containsKey("BIM handover")
                && !session.work().runningProperty().get());
    assertThat(text("#verdict")).startsWith("✓ Proven");
    assertThat(session.deliveries().runsProperty().get().get("BIM handover").files())
        .hasSizeGreaterThan(2)
        .allSatisfy(f -> assertThat(f).exists());
    fire("#add-delivery");
    assertThat(session.job().deliveries()).hasSize(2);
    assertThat(text("#earlier")).isEqualTo("Not delivered yet");
    fire("#remove-delivery");
    assertThat(session.job().deliveries()).hasSize(1);
  }

  private void fill(String query, String text) {
    TextField f = lookup(query).queryAs(TextField.class);
    interact(() -> f.setText(text));
  }

  @SuppressWarnings("unchecked")
  private void choose(String query, String value) {
    ChoiceBox<String> box = lookup(query).queryAs(ChoiceBox.class);
    interact(() -> box.setValue(value));
    calm();
  }
}
