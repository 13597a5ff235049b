package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import javafx.application.Platform;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;
import wellspan.app.session.Session;
import wellspan.app.shell.ShellView;
import wellspan.core.job.Source;
import wellspan.core.receive.ColumnRole;
import wellspan.core.shape.Shape;

class ReceiveWindowTest extends WindowTest {
  @SuppressWarnings("unchecked")
  private ComboBox<Object> box(String id) {
    return lookup("#" + id).queryAs(ComboBox.class);
  }

  private void role(int column, ColumnRole role) {
    interact(() -> box("columns-role-" + column).setValue(role));
  }

  private boolean says(String sentence) {
    return lookup("#columns .error").queryAll().stream()
        .anyMatch(n -> n.isVisible() && ((Labeled) n).getText().contains(sentence));
  }

  @Test
  void columnsAreChosenInTheWindow() throws Exception {
    receive(
        Files.writeString(
            dir.resolve("levels.txt"),
            "levels along the quay\nmade up\nA 3.5 6534500 412000\nB 3.6 6534501 412001\n"));
    assertThat(lookup("#columns").tryQuery()).isPresent();
    assertThat(says("Say which columns")).isTrue();
    role(1, ColumnRole.EAST);
    assertThat(says("\"A\" in column 1 is no easting.")).isTrue();
    role(1, ColumnRole.NAME);
    role(2, ColumnRole.HEIGHT);
    role(3, ColumnRole.NORTH);
    role(4, ColumnRole.EAST);
    interact(() -> lookup("#columns-head").queryAs(TextField.class).setText("1"));
    assertThat(says("\"up\" in column 2 is no height.")).isTrue();
    interact(() -> lookup("#columns-head").queryAs(TextField.class).setText("2"));
    interact(() -> box("columns-unit").setValue("millimetre"));
    fire("#columns-read");
    settle(() -> !session.work().runningProperty().get() && session.build().items().size() == 1);
    Shape.Points g =
        (Shape.Points) session.build().items().values().iterator().next().item().shape();
    assertThat(g.points().getFirst().position().east()).isEqualTo(412);
    assertThat(g.points().getFirst().name()).isEqualTo("A");
    assertThat(lookup("#columns").tryQuery()).isEmpty();

    fire("#columns-open");
    interact(() -> box("columns-unit").setValue("metres"));
    fire("#columns-read");
    settle(() -> !session.work().runningProperty().get());
    g = (Shape.Points) session.build().items().values().iterator().next().item().shape();
    assertThat(g.points().getFirst().position().east()).isEqualTo(412_000);
  }

  /** Hundreds of layers are searched, left and picked, and only those in sight are built. */
  @Test
  void hundredsOfLayersStandInAListToBeSearched() throws Exception {
    StringBuilder s = new StringBuilder("0\nSECTION\n2\nENTITIES\n");
    for (int i = 0; i < 600; i++) {
      s.append("0\nLINE\n8\nL-").append(i).append("\n10\n").append(412_000 + i);
      s.append("\n20\n6534500\n30\n5\n11\n").append(412_000 + i).append("\n21\n6534510\n31\n5\n");
    }
    receive(Files.writeString(dir.resolve("layers.dxf"), s.append("0\nENDSEC\n0\nEOF\n")));
    assertThat(session.build().items()).hasSize(600);
    assertThat(lookup(".layer-list .check-box").queryAll().size()).isLessThan(40);
    fire("#layers-none");
    interact(() -> lookup("#layers-search").queryAs(TextField.class).setText("L-59"));
    fire("#layers-all");
    fire("#layers-take");
    settle(() -> session.build().items().size() < 600);
    assertThat(session.build().items().values())
        .extracting(i -> i.item().layer())
        .hasSize(11)
        .allMatch(l -> l.startsWith("L-59"));
  }

  @Test
  void layersOfADrawingArePicked() throws Exception {
    receive(DEMO.resolve("yard/yard-layout.dxf"));
    assertThat(session.build().items()).hasSize(8);
    for (String layer : List.of("0", "Points", "gates", "lane edges", "Yard Outline", "PAD_C")) {
      layer(layer).setSelected(false);
    }
    fire("#layers-take");
    settle(() -> session.build().items().size() == 2);
    assertThat(layer("PAD_A").isSelected()).isTrue();
    assertThat(layer("PAD_C").isSelected()).isFalse();
    layer("PAD_A").setSelected(false);
    layer("PAD_B").setSelected(false);
    layer("gates").setSelected(true);
    fire("#layers-take");
    settle(() -> session.build().items().size() == 1);
    assertThat(session.findingsProperty().get())
        .anySatisfy(f -> assertThat(f.message()).contains("Faces are on: PAD_A, PAD_B, PAD_C"));
    layer("gates").setSelected(false);
    fire("#layers-take");
    assertThat(session.messages().sentenceProperty().get()).contains("at least one layer");
    interact(session::undo);
    interact(session::undo);
    settle(() -> session.build().items().size() == 8);
  }

  private CheckBox layer(String name) {
    return (CheckBox)
        lookup(".layer-list .check-box").queryAll().stream()
            .filter(n -> ("layer-" + name).equals(n.getId()))
            .findFirst()
            .orElseThrow();
  }

  @Test
  void aListCanBeLeftOut() throws Exception {
    Path odd = Files.writeString(dir.resolve("odd.csv"), "a,b\n1,2\n3,4\n");
    receive(odd);
    interact(() -> box("columns-separator").getSelectionModel().select(1));
    assertThat(lookup("#columns-role-2").tryQuery()).isEmpty(); // one column with semicolons
    fire("#columns-leave");
    assertThat(lookup("#columns").tryQuery()).isEmpty();
    assertThat(session.job().sources()).isEmpty();
  }

  @Test
  void manySourcesStandInAListOfWhichOneIsLookedAt() throws Exception {
    for (int i = 0; i < 30; i++) {
      receive(
          Files.writeString(
              dir.resolve("pegs-" + i + ".csv"),
              "name,E,N,H\nA,41200" + i + ",6534500,3\nB,412010,6534501,4\n"));
    }
    ListView<Source> list = lookup("#source-list").queryListView();
    assertThat(list.getItems()).hasSize(30);
    assertThat(lookup("#source-list .strata-item").queryAll().size()).isLessThan(15);
    assertThat(lookup("#columns-open").queryAll()).as("one is looked at").hasSize(1);
    assertThat(list.getSelectionModel().getSelectedItem().name()).isEqualTo("pegs-29");
    interact(() -> list.getSelectionModel().select(17));
    String looked = "Columns of " + list.getItems().get(17).name();
    assertThat(lookup("#columns-open").query().getAccessibleText()).isEqualTo(looked);
    interact(
        () -> session.edit("Heights", j -> j.withFrame(j.frame().withVerticalDatum("NN2000"))));
    settle(() -> !session.work().runningProperty().get());
    assertThat(lookup("#columns-open").query().getAccessibleText())
        .as("still, whatever else changes")
        .isEqualTo(looked);
  }

  @Test
  void theListOfSourcesFollowsWhatIsRead() throws Exception {
    for (int i = 0; i < 5; i++) {
      receive(
          Files.writeString(dir.resolve("read-" + i + ".csv"), "name,E,N,H\nA,412000,6534500,3\n"));
    }
    interact(session::save);
    Session again =
        new Session(session.store(), session.job(), Clock.systemUTC(), Platform::runLater);
    interact(() -> shell.getScene().setRoot(new ShellView(again, null, null)));
    WaitForAsyncUtils.waitForFxEvents();
    assertThat(figures()).as("before anything is read").containsOnly("not read yet");
    interact(again::load);
    settle(() -> !again.work().runningProperty().get());
    assertThat(figures()).containsOnly("1");
  }

  /** What stands beside the names of the list. */
  private List<String> figures() {
    return lookup("#source-list .muted").queryAll().stream()
        .map(n -> ((Labeled) n).getText())
        .toList();
  }
}
