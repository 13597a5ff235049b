package wellspan.app.stage;

import javafx.animation.PauseTransition;
import javafx.geometry.Rectangle2D;
import javafx.scene.Node;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.InputEvent;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Pane;
import javafx.util.Duration;
import wellspan.app.session.Session;

/**
 * The plan as it was seen when the job was opened last, over the plan while it is drawn anew: until
 * all of it has been seen, or the hand touches the stage. Window's thread.
 */
final class LastLook extends ImageView {
  /** A plan that is not drawn after the job was read is not waited for longer. */
  private static final Duration PATIENCE = Duration.seconds(3);

  /** Pixels. */
  private static final double SAME = 0.5;

  /**
   * @param size of the plan that was seen, pixels of the window
   */
  LastLook(Session session, PlanView plan, Pane stage, Image image, Rectangle2D size) {
    super(image);
    setId("last-look");
    setMouseTransparent(true);
    setManaged(false);
    setFitWidth(size.getWidth());
    setFitHeight(size.getHeight());
    visibleProperty() // in a stage of another size another part is seen
        .bind(
            plan.widthProperty()
                .isEqualTo(size.getWidth(), SAME)
                .and(plan.heightProperty().isEqualTo(size.getHeight(), SAME)));
    plan.completeProperty().addListener((o, was, is) -> end(stage));
    PauseTransition wait = new PauseTransition(PATIENCE);
    wait.setOnFinished(e -> end(stage));
    session.findingsProperty().addListener((o, a, b) -> waitOnceRead(session, wait));
    touched(stage, MouseEvent.MOUSE_PRESSED, stage);
    touched(stage, ScrollEvent.SCROLL, stage);
    touched(stage, KeyEvent.KEY_PRESSED, stage);
  }

  private static void waitOnceRead(Session session, PauseTransition wait) {
    if (!session.opening().isUnderWay()) {
      wait.playFromStart();
    }
  }

  private <E extends InputEvent> void touched(Node on, javafx.event.EventType<E> what, Pane stage) {
    on.addEventFilter(what, e -> end(stage));
  }

  private void end(Pane stage) {
    stage.getChildren().remove(this);
  }
}
