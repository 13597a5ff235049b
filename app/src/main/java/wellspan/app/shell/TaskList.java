package wellspan.app.shell;

import javafx.collections.ListChangeListener;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import wellspan.app.session.UnderWay;
import wellspan.app.session.Work;
import wellspan.app.theme.Parts;

/** What runs beside the window, each task with how far it is and its end by hand. */
final class TaskList extends VBox {
  private static final double BAR = 120;
  private static final double WIDTH = 460;

  TaskList(Work work) {
    super(6);
    setId("tasks");
    getStyleClass().add("card");
    setMaxSize(WIDTH, Region.USE_PREF_SIZE);
    StackPane.setAlignment(this, Pos.BOTTOM_LEFT);
    StackPane.setMargin(this, new Insets(0, 0, ReadingLine.HEIGHT + 8, 16));
    work.tasks().addListener((ListChangeListener<UnderWay>) c -> show(work));
    show(work);
  }

  /** One task stands in the reading line; several stand here. */
  private void show(Work work) {
    setVisible(work.tasks().size() > 1);
    getChildren().clear();
    if (isVisible()) {
      getChildren().add(Parts.label(work.tasks().size() + " tasks", "title"));
      work.tasks().forEach(t -> getChildren().add(row(t)));
    }
  }

  static HBox row(UnderWay task) {
    Label sentence = Parts.label("");
    sentence.textProperty().bind(task.sentenceProperty());
    ProgressBar bar = new ProgressBar();
    bar.setPrefWidth(BAR);
    bar.setMinWidth(BAR);
    bar.progressProperty().bind(task.fractionProperty());
    Button cancel = Parts.button("Cancel", "bar-button", task::cancel);
    cancel.setMinWidth(Region.USE_PREF_SIZE);
    cancel.setAccessibleText("Cancel: " + task.what());
    HBox row = new HBox(8, sentence, bar, cancel);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }
}
