package wellspan.app.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.geometry.Point2D;
import javafx.scene.Scene;
import javafx.scene.layout.Pane;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.framework.junit5.ApplicationTest;
import org.testfx.util.WaitForAsyncUtils;

/** A picture that takes long to draw stays where its ground is while the hand moves it. */
class FollowingPictureWindowTest extends ApplicationTest {
  private static final double WIDTH = 400;
  private static final double HEIGHT = 300;
  private static final PlanWindow FIRST = new PlanWindow(412_000, 6_534_500, 0.5, WIDTH, HEIGHT);

  private final AtomicInteger asked = new AtomicInteger();
  private final AtomicInteger painted = new AtomicInteger();
  private FollowingPicture picture;

  @Override
  public void start(Stage stage) {
    picture = new FollowingPicture(asked::incrementAndGet, painted::incrementAndGet);
    picture.size(WIDTH, HEIGHT);
    stage.setScene(new Scene(new Pane(picture), WIDTH, HEIGHT));
    stage.show();
  }

  private void draw(PlanWindow window, long millis) {
    interact(
        () ->
            picture.draw(
                window,
                () -> {
                  try {
                    Thread.sleep(millis);
                  } catch (InterruptedException e) {
                    throw new IllegalStateException(e);
                  }
                }));
  }

  private boolean follows(PlanWindow window) {
    boolean[] out = new boolean[1];
    interact(() -> out[0] = picture.follow(window));
    return out[0];
  }

  @Test
  void whatIsDrawnQuicklyIsDrawnAtEachMovement() {
    draw(FIRST, 0);
    assertThat(follows(FIRST.moved(30, 0))).isFalse();
    assertThat(picture.getTranslateX()).isZero();
    assertThat(picture.isBehind()).isFalse();
  }

  @Test
  void aSlowPictureIsShiftedAndScaledAndDrawnAnewAtRest() throws Exception {
    draw(FIRST, 500); // so that the test is quicker than the next picture would be due
    for (PlanWindow to :
        new PlanWindow[] {
          FIRST.moved(30, -12), FIRST.zoomed(1.4, 310, 40), FIRST.moved(-90, 4).zoomed(0.7, 5, 290)
        }) {
      assertThat(follows(to)).isTrue();
      for (double[] at : new double[][] {{412_010, 6_534_480}, {411_930, 6_534_550}}) {
        Point2D shown = picture.localToParent(FIRST.x(at[0]), FIRST.y(at[1]));
        assertThat(shown.getX())
            .isCloseTo(to.x(at[0]), within(1e-3)); // the toolkit reckons in single precision
        assertThat(shown.getY())
            .isCloseTo(to.y(at[1]), within(1e-3)); // the toolkit reckons in single precision
      }
    }
    boolean[] behind = new boolean[1];
    interact(
        () -> { // in one turn: on a slow machine the pause may be over in the next
          picture.follow(FIRST.moved(30, -12));
          behind[0] = picture.isBehind();
        });
    assertThat(behind[0]).isTrue();
    WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> asked.get() > 0);
    draw(FIRST.moved(30, -12), 60);
    assertThat(picture.isBehind()).isFalse();
    assertThat(picture.localToParent(7, 9)).isEqualTo(new Point2D(7, 9));
  }

  @Test
  void itIsToldOnceThatAPictureIsSeen() throws Exception {
    draw(FIRST, 0);
    WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> painted.get() > 0);
    WaitForAsyncUtils.sleep(200, TimeUnit.MILLISECONDS);
    assertThat(painted).hasValue(1);
  }
}
