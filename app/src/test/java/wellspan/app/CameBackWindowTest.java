package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Position;

/** A file that came back from a receiver is dropped on a delivery. */
class CameBackWindowTest extends WindowTest {
  private Stage files;

  /** Stands in for the desktop's own window of files. */
  private Label fileOnTheDesk(Path file) {
    Label icon = new Label(file.getFileName().toString());
    icon.setMinSize(150, 40);
    icon.setOnDragDetected(
        e -> {
          ClipboardContent content = new ClipboardContent();
          content.putFiles(List.of(new File(file.toString())));
          icon.startDragAndDrop(TransferMode.COPY).setContent(content);
          e.consume();
        });
    interact(
        () -> {
          files = new Stage();
          files.setScene(new Scene(new VBox(icon)));
          files.setX(20);
          files.setY(500);
          files.setAlwaysOnTop(true);
          files.show();
        });
    return icon;
  }

  private void drop(Path file, String target) {
    Label icon = fileOnTheDesk(file);
    drag(icon).dropTo(target);
    interact(files::close);
  }

  private String card() {
    return lookup("#came-back").queryAs(VBox.class).lookupAll(".label").stream()
        .map(n -> ((Label) n).getText())
        .reduce("", (a, b) -> a + "\n" + b);
  }

  @Test
  void isComparedWithWhatWasSentInFiguresAndOnTheStage() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    interact(
        () ->
            session
                .place()
                .changeFrame("Place", f -> f.withBasePoint(new Position(412_000, 6_534_500, 0))));
    push(KeyCode.CONTROL, KeyCode.DIGIT6);
    clickOn("#deliver");
    settle(
        () ->
            session.deliveries().runsProperty().get().containsKey("BIM handover")
                && !session.work().runningProperty().get());
    int sources = session.job().sources().size();
    Path sent = session.deliveries().runsProperty().get().get("BIM handover").file();
    Path back = dir.resolve("back from them.ifc");
    Files.writeString(
        back,
        Files.readString(sent).replaceFirst("(POINTLIST3D\\(\\(\\([^,]+,[^,]+,)[^)]+", "$1100."));
    drop(back, "#proof");
    settle(
        () ->
            session.deliveries().returnedProperty().get().containsKey("BIM handover")
                && !session.work().runningProperty().get());
    assertThat(text("#returned-verdict")).isEqualTo("✕ Not what was sent");
    assertThat(card())
        .contains("back from them.ifc")
        .contains("Deviation")
        .contains("Not compared");
    assertThat(session.job().sources()).as("it is not received").hasSize(sources);
    clickOn("#show-proof");
    settle(() -> !shell.stage().plan().isBusy());
    assertThat(lookup("#manifest").query().isVisible()).isFalse();
    interact(() -> session.deliveries().forget("BIM handover"));
    assertThat(lookup("#returned-verdict").tryQuery()).isEmpty();

    clickOn("#show-proof");
    drop(sent, ".manifest-head");
    settle(
        () ->
            session.deliveries().returnedProperty().get().containsKey("BIM handover")
                && !session.work().runningProperty().get());
    assertThat(text("#returned-verdict")).isEqualTo("✓ Whole");
  }
}
