package wellspan.app.shell;

import javafx.collections.ListChangeListener;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import wellspan.app.session.RunningTask;
import wellspan.app.session.Work;
import wellspan.app.theme.Parts;

/** What runs beside the window, each task with how far it is and its end by hand. */
final class TaskList extends VBox {
  private static final double BAR = 120;
  private static final double WIDTH = 480;
  private static final double BESIDE_STRATA = 222;

  TaskList(Work work) {
    super(6);
    setId("tasks");
    getStyleClass().add("card");
    setPrefWidth(WIDTH);
    setMaxSize(WIDTH, Region.USE_PREF_SIZE);
    StackPane.setAlignment(this, Pos.BOTTOM_LEFT);
    StackPane.setMargin(
        this, new Insets(0, 0, ReadingLine.HEIGHT + DocketView.HEIGHT + 8, BESIDE_STRATA));
    work.tasks().addListener((ListChangeListener<RunningTask>) c -> show(work));
    show(work);
  }

  /** One task stands in the reading line; several stand here. */
  private void show(Work work) {
    setVisible(work.tasks().size() > 1);
    getChildren().clear();
    if (isVisible()) {
      getChildren().add(Parts.label(work.tasks().size() + " tasks", "title"));
      work.tasks().forEach(t -> getChildren().add(named(t)));
    }
  }

  /** What it was started as, and under it what it is doing now. */
  private static VBox named(RunningTask task) {
    HBox row = row(task, "small");
    Label sentence = (Label) row.getChildren().getFirst();
    sentence.setMaxWidth(Double.MAX_VALUE); // so that the bars stand under each other
    HBox.setHgrow(sentence, Priority.ALWAYS);
    return new VBox(1, Parts.label(task.what(), "name"), row);
  }

  /**
   * @param style of the button that cancels it, for what it stands on
   */
  static HBox row(RunningTask task, String style) {
    Label sentence = Parts.label("");
    sentence.textProperty().bind(task.sentenceProperty());
    ProgressBar bar = new ProgressBar();
    bar.setPrefWidth(BAR);
    bar.setMinWidth(BAR);
    bar.progressProperty().bind(task.fractionProperty());
    Button cancel = Parts.button("Cancel", style, task::cancel);
    cancel.setMinWidth(Region.USE_PREF_SIZE);
    cancel.setAccessibleText("Cancel: " + task.what());
    HBox row = new HBox(8, sentence, bar, cancel);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }
}
