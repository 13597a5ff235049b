package wellspan.app.stage;

import java.util.Optional;
import javafx.animation.Animation;
import javafx.animation.AnimationTimer;
import javafx.animation.PauseTransition;
import javafx.geometry.Rectangle2D;
import javafx.scene.Group;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.util.Duration;

/**
 * The picture of the plan: the ground, and over it what is drawn with ink, so that a mark that
 * moves leaves the ground as it is. What takes long to draw follows the hand as it was drawn last,
 * shifted and scaled, and is drawn anew once the hand rests, and now and then before. Window's
 * thread.
 */
final class FollowingPicture extends Group {
  /** What is drawn faster is drawn at each movement, nanoseconds. */
  private static final long SLOW = 15_000_000;

  /** How often a slow picture is drawn anew while it moves, nanoseconds. */
  private static final long AT_MOST_EVERY = 200_000_000;

  private static final Duration REST = Duration.millis(120);

  /** What two frames take where nothing is slow, nanoseconds. */
  private static final long TWO_FRAMES = 2_000_000_000 / 60;

  private final Canvas ground = new Canvas();
  private final Canvas chosen = new Canvas();
  private final Canvas ink = new Canvas();
  private final PauseTransition pause = new PauseTransition(REST);
  private PlanWindow drawn;
  private long drawnAt;
  private long drew;
  private long took;
  private final Runnable painted;

  /**
   * What is drawn here is painted by another thread, behind which the second frame has to wait: the
   * time until the third tells what painting took. Longer than some time is somebody else's work.
   */
  private final AnimationTimer painting =
      new AnimationTimer() {
        private int frames;
        private long first;

        @Override
        public void start() {
          frames = 0;
          super.start();
        }

        @Override
        public void handle(long now) {
          if (frames == 0) {
            first = System.nanoTime();
          } else if (frames == 2) {
            took = drew + Math.clamp(System.nanoTime() - first - TWO_FRAMES, 0, AT_MOST_EVERY);
            stop();
            painted.run();
          }
          frames++;
        }
      };

  /**
   * @param redraw asks for the picture to be drawn anew
   * @param painted told once what was drawn is seen
   */
  FollowingPicture(Runnable redraw, Runnable painted) {
    this.painted = painted;
    pause.setOnFinished(e -> redraw.run());
    chosen.setId("chosen-marks");
    getChildren().addAll(ground, chosen, ink);
  }

  GraphicsContext ground() {
    return ground.getGraphicsContext2D();
  }

  /**
   * What marks are drawn with.
   *
   * @param onGround whether they go onto the ground itself, so that there is one canvas less to lay
   *     over the other in each frame
   */
  GraphicsContext ink(boolean onGround) {
    ink.setVisible(!onGround);
    if (onGround) {
      return ground();
    }
    GraphicsContext g = ink.getGraphicsContext2D();
    g.clearRect(0, 0, width(), height());
    return g;
  }

  /**
   * What is chosen is marked with, between the ground and the ink: a canvas of its own, no larger
   * than it needs, so that another choice leaves the rest of the picture as it is.
   *
   * @param area pixels; nothing is marked where it is empty
   */
  Optional<GraphicsContext> chosen(Rectangle2D area) {
    boolean any = area.getWidth() > 0 && area.getHeight() > 0;
    chosen.setVisible(any);
    if (!any) {
      return Optional.empty();
    }
    chosen.relocate(area.getMinX(), area.getMinY());
    chosen.setWidth(area.getWidth());
    chosen.setHeight(area.getHeight());
    GraphicsContext g = chosen.getGraphicsContext2D();
    g.setTransform(1, 0, 0, 1, 0, 0);
    g.clearRect(0, 0, area.getWidth(), area.getHeight());
    g.translate(-area.getMinX(), -area.getMinY());
    return Optional.of(g);
  }

  double width() {
    return ink.getWidth();
  }

  double height() {
    return ink.getHeight();
  }

  /** Both canvases lose what is drawn on them. */
  void size(double width, double height) {
    for (Canvas c : new Canvas[] {ground, ink}) {
      c.setWidth(width);
      c.setHeight(height);
    }
  }

  /** Draws the picture of a part of the plan. */
  void draw(PlanWindow window, Runnable picture) {
    pause.stop();
    setScaleX(1);
    setScaleY(1);
    setTranslateX(0);
    setTranslateY(0);
    drawn = window;
    long began = System.nanoTime();
    picture.run();
    drawnAt = System.nanoTime();
    drew = drawnAt - began;
    took = Math.max(took, drew); // until it is known
    painting.start();
  }

  /**
   * Shows another part of the plan with what is drawn already.
   *
   * @return false where the picture is to be drawn anew at once
   */
  boolean follow(PlanWindow window) {
    if (drawn == null || took < SLOW) {
      return false;
    }
    double scale = drawn.metresPerPixel() / window.metresPerPixel();
    setScaleX(scale);
    setScaleY(scale);
    setTranslateX(window.x(drawn.east()) - window.width() / 2);
    setTranslateY(window.y(drawn.north()) - window.height() / 2);
    pause.playFromStart();
    return System.nanoTime() - drawnAt < Math.max(AT_MOST_EVERY, 4 * took);
  }

  /** Whether ground and marks are one, so that neither can be drawn without the other. */
  boolean isOne() {
    return !ink.isVisible();
  }

  /** How long other work comes first where the picture is drawn again and again, nanoseconds. */
  long pause() {
    return Math.max(AT_MOST_EVERY, 3 * took);
  }

  /** Whether the picture is not yet that of the part which is shown. */
  boolean isBehind() {
    return pause.getStatus() == Animation.Status.RUNNING;
  }
}
