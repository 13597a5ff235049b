package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Random;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import wellspan.core.finding.Stop;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;

/** A point list of one's own becomes a surface and a proven model, without a system or reading. */
class FirstDeliveryWindowTest extends WindowTest {
  private Path survey() throws IOException {
    Random random = new Random(7);
    StringBuilder s = new StringBuilder("name,easting,northing,height\n");
    for (int i = 1; i <= 300; i++) {
      s.append(
          String.format(
              Locale.ROOT,
              "%d,%.3f,%.3f,%.3f%n",
              i,
              412_300 + 90 * random.nextDouble(),
              6_534_800 + 70 * random.nextDouble(),
              12 + random.nextDouble()));
    }
    return Files.writeString(dir.resolve("own-survey.csv"), s);
  }

  @Test
  void fromPointsToAProvenModel() throws Exception {
    receive(survey());
    push(KeyCode.CONTROL, KeyCode.DIGIT3);
    fire("#make-surface");
    fire("#make-go"); // the only points are chosen already
    settle(
        () ->
            session.build().items().values().stream()
                .anyMatch(i -> i.item().kind().is(Kind.TERRAIN)));
    assertThat(session.build().items()).containsKey(ItemId.of("job", "terrain surface", "Ground"));
    push(KeyCode.CONTROL, KeyCode.DIGIT6);
    assertThat(lookup("#proof .label").queryAll())
        .extracting(n -> ((Labeled) n).getText())
        .as("said before it runs")
        .anyMatch(t -> t.startsWith("There is no reference system, so this is a local model"));
    fire("#deliver");
    settle(() -> !session.deliveries().runsProperty().get().isEmpty());
    assertThat(text("#verdict")).startsWith("✓ Proven");
    assertThat(session.store().out().resolve("model.ifc").getParent()).isNotEmptyDirectory();
  }

  /** Receive, the file, the surface, the delivery: a click each, and no stop to be known. */
  @Test
  void fourClicksFromAnEmptyJobToAProvenModel() throws Exception {
    Path points = survey();
    assertThat(lookup("#receive-files").query().isVisible()).isTrue();
    receive(points); // the click on the button and the one on the file
    clickOn("#next-surface");
    settle(
        () ->
            session.build().items().values().stream()
                .anyMatch(i -> i.item().kind().is(Kind.TERRAIN)));
    assertThat(lookup("#next-surface").tryQuery()).as("it is done").isEmpty();
    clickOn("#next-deliver");
    settle(() -> !session.deliveries().runsProperty().get().isEmpty());
    assertThat(text("#verdict")).startsWith("✓ Proven");
    push(KeyCode.CONTROL, KeyCode.DIGIT1);
    assertThat(lookup("#next-deliver").tryQuery()).as("it is proven already").isEmpty();
    clickOn("#next-delivered");
    assertThat(session.stopProperty().get()).isEqualTo(Stop.DELIVER);
  }

  @Test
  void aFormThatIsNotFilledInSaysSoWhereTheHandIs() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    push(KeyCode.CONTROL, KeyCode.DIGIT3);
    interact(() -> session.selection().choose(java.util.List.of()));
    fire("#make-surface");
    interact(() -> ((javafx.scene.control.TextField) lookup("#make-name").query()).clear());
    fire("#make-go");
    assertThat(
            lookup((Node n) -> n instanceof Labeled l && l.getStyleClass().contains("error"))
                .queryAll())
        .extracting(n -> ((Labeled) n).getText())
        .contains("Give the surface a name, and choose above what it is made of.");
  }
}
