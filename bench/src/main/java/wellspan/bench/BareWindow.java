package wellspan.bench;

import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.stage.Stage;

/** A window with one label: the least that a start can take. */
public final class BareWindow {
  private BareWindow() {}

  public static void main(String[] args) {
    Application.launch(Window.class, args);
  }

  /** The window. */
  public static final class Window extends Application {
    @Override
    public void start(Stage stage) {
      Label l = new Label("One label");
      l.setStyle(
          "-fx-font-size: 60px; -fx-alignment: center; -fx-text-fill: white; -fx-background-color: #204060;");
      l.setMaxSize(Double.MAX_VALUE, Double.MAX_VALUE);
      stage.setScene(new Scene(l, 1280, 780));
      stage.show();
    }
  }
}
