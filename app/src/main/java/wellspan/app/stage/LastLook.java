package wellspan.app.stage;

import java.util.List;
import javafx.animation.PauseTransition;
import javafx.event.EventHandler;
import javafx.event.EventType;
import javafx.geometry.Rectangle2D;
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
 * all of it has been seen, or something is done in the window. Window's thread.
 */
final class LastLook extends ImageView {
  /** A plan that is not drawn after the job was read is not waited for longer. */
  private static final Duration PATIENCE = Duration.seconds(3);

  private static final List<EventType<? extends InputEvent>> TOUCHES =
      List.of(MouseEvent.MOUSE_PRESSED, ScrollEvent.SCROLL, KeyEvent.KEY_PRESSED);

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
                .and(plan.heightProperty().isEqualTo(size.getHeight(), SAME))
                .and(plan.visibleProperty()));
    plan.completeProperty().addListener((o, was, is) -> end(stage));
    PauseTransition wait = new PauseTransition(PATIENCE);
    wait.setOnFinished(e -> end(stage));
    session.findingsProperty().addListener((o, a, b) -> waitOnceRead(session, wait));
    EventHandler<InputEvent> touched = e -> end(stage);
    sceneProperty() // whatever is done in the window may change what is to be seen
        .addListener(
            (o, was, is) -> {
              for (EventType<? extends InputEvent> touch : TOUCHES) {
                if (was != null) {
                  was.removeEventFilter(touch, touched);
                }
                if (is != null) {
                  is.addEventFilter(touch, touched);
                }
              }
            });
  }

  private static void waitOnceRead(Session session, PauseTransition wait) {
    if (!session.opening().isUnderWay()) {
      wait.playFromStart();
    }
  }

  private void end(Pane stage) {
    stage.getChildren().remove(this);
  }
}
