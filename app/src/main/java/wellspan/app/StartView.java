package wellspan.app;

import java.io.File;
import java.io.IOException;
import javafx.geometry.Pos;
import javafx.scene.Scene;
import javafx.scene.control.Alert;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonType;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.DirectoryChooser;
import javafx.stage.Stage;
import wellspan.app.session.Session;
import wellspan.app.theme.Parts;
import wellspan.app.theme.Theme;
import wellspan.core.job.JobStore;

/** The first screen where no job was named, and the few questions the window asks. */
final class StartView {
  private StartView() {}

  /** Shows a job. */
  interface Opener {
    void open(JobStore store) throws IOException;
  }

  static void show(Stage stage, Opener opener) {
    Label fault = Parts.wrapped("", "error");
    Button demo =
        Parts.button(
            "Look at the demo job",
            "primary",
            () -> attempt(fault, () -> opener.open(new JobStore(WellspanApp.freshDemo()))));
    Button open =
        Parts.button(
            "Open or start a job in a folder",
            "plain",
            () ->
                attempt(
                    fault,
                    () -> {
                      File folder = new DirectoryChooser().showDialog(stage);
                      if (folder != null) {
                        opener.open(new JobStore(folder.toPath()));
                      }
                    }));
    demo.setMaxWidth(Double.MAX_VALUE);
    open.setMaxWidth(Double.MAX_VALUE);
    VBox card =
        new VBox(
            10,
            Parts.label("Wellspan", "brand"),
            Parts.wrapped(
                "Receive designs, put them in place, deliver them, and prove that what arrived is what was sent.",
                "muted"),
            demo,
            open,
            fault);
    card.getStyleClass().add("card");
    card.setMaxSize(420, Double.NEGATIVE_INFINITY);
    scene(stage, card);
  }

  private interface Action {
    void run() throws IOException;
  }

  private static void attempt(Label fault, Action action) {
    try {
      action.run();
    } catch (IOException e) {
      fault.setText(e.getMessage());
    }
  }

  private static void scene(Stage stage, VBox card) {
    StackPane root = new StackPane(card);
    root.setAlignment(Pos.CENTER);
    stage.setScene(new Scene(root, 1280, 800));
    Theme.LIGHT.apply(stage.getScene());
    stage.setTitle("Wellspan");
    stage.show();
  }

  /** Says why a job could not be opened. */
  static void complain(Stage stage, String sentence) {
    VBox card =
        new VBox(
            10,
            Parts.label("The job could not be opened", "title"),
            Parts.wrapped(sentence),
            Parts.button("Close", "plain", stage::close));
    card.getStyleClass().add("card");
    card.setMaxSize(520, Double.NEGATIVE_INFINITY);
    scene(stage, card);
  }

  /** Asks what to do with unsaved edits; false if the window is to stay. */
  static boolean mayClose(Stage stage, Session session) {
    ButtonType save = new ButtonType("Save and close", ButtonBar.ButtonData.YES);
    ButtonType drop = new ButtonType("Close without saving", ButtonBar.ButtonData.NO);
    ButtonType stay = new ButtonType("Stay", ButtonBar.ButtonData.CANCEL_CLOSE);
    Alert ask =
        new Alert(Alert.AlertType.NONE, "The job has edits that are not saved.", save, drop, stay);
    ask.initOwner(stage);
    ask.setTitle("Wellspan");
    ButtonType answer = ask.showAndWait().orElse(stay);
    if (answer == save) {
      session.save();
      return !session.unsavedProperty().get();
    }
    if (answer == drop) {
      session.discardUnsaved();
      return true;
    }
    return false;
  }
}
