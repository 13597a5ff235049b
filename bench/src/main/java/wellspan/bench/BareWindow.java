package wellspan.bench;

import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.stage.Stage;

/** A window with one label: the least that a start can take. */
public final class BareWindow extends Application {
  public static void main(String[] args) {
    launch(BareWindow.class, args);
  }

  @Override
  public void start(Stage stage) {
    Label l = new Label("One label");
    l.setStyle("-fx-font-size: 60px; -fx-text-fill: white; -fx-background-color: #204060;");
    l.setMaxSize(Double.MAX_VALUE, Double.MAX_VALUE);
    stage.setScene(new Scene(l, 1280, 780));
    stage.show();
  }
}
