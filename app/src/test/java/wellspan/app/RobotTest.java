package wellspan.app;

import java.util.EnumSet;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.collections.ListChangeListener;
import javafx.event.EventHandler;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.stage.Window;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.framework.junit5.ApplicationTest;
import org.testfx.robot.KeyboardRobot;
import org.testfx.robot.Motion;
import org.testfx.service.query.PointQuery;
import org.testfx.util.WaitForAsyncUtils;

/**
 * A test whose keys and clicks go through the display, as a user's do. They come back to the window
 * when the display has time, so each is waited for; and a key that found no window with the focus
 * is pressed again.
 */
public abstract class RobotTest extends ApplicationTest {
  private static final long PATIENCE_MS = 5_000;

  private static final AtomicInteger KEYS = new AtomicInteger();
  private static final AtomicInteger CLICKS = new AtomicInteger();
  private static final Set<KeyCode> HELD = EnumSet.noneOf(KeyCode.class);
  private static final EventHandler<KeyEvent> KEY = RobotTest::key;
  private static final EventHandler<MouseEvent> CLICK = _ -> CLICKS.incrementAndGet();
  private static final ListChangeListener<Window> WINDOWS =
      change -> {
        while (change.next()) {
          change.getAddedSubList().forEach(RobotTest::watch);
          change.getRemoved().forEach(RobotTest::leave);
        }
      };

  @BeforeAll
  static void watchWindows() throws Exception {
    FxToolkit.registerPrimaryStage();
    WaitForAsyncUtils.waitForAsyncFx(
        PATIENCE_MS,
        () -> {
          Window.getWindows().forEach(RobotTest::watch);
          Window.getWindows().addListener(WINDOWS);
        });
  }

  @AfterAll
  static void leaveWindows() {
    Platform.runLater(
        () -> {
          Window.getWindows().removeListener(WINDOWS);
          Window.getWindows().forEach(RobotTest::leave);
        });
  }

  /**
   * A display that waits for the robot's release takes the key for one held down and repeats it;
   * the hand pressed once.
   */
  private static void key(KeyEvent e) {
    if (e.getEventType() == KeyEvent.KEY_RELEASED) {
      HELD.remove(e.getCode());
    } else if (HELD.add(e.getCode())) {
      KEYS.incrementAndGet();
    } else {
      e.consume();
    }
  }

  private static void watch(Window w) {
    w.addEventFilter(KeyEvent.KEY_PRESSED, KEY);
    w.addEventFilter(KeyEvent.KEY_RELEASED, KEY);
    w.addEventFilter(MouseEvent.MOUSE_RELEASED, CLICK);
  }

  private static void leave(Window w) {
    w.removeEventFilter(KeyEvent.KEY_PRESSED, KEY);
    w.removeEventFilter(KeyEvent.KEY_RELEASED, KEY);
    w.removeEventFilter(MouseEvent.MOUSE_RELEASED, CLICK);
  }

  @Override
  public FxRobot push(KeyCode... keys) {
    interact(HELD::clear); // a window that closed under a key never hears of its release
    if (!arrives(KEYS, keys.length, () -> stroke(keys))) {
      interact(() -> Window.getWindows().getFirst().requestFocus());
      arrives(KEYS, keys.length, () -> stroke(keys));
    }
    return this;
  }

  private void stroke(KeyCode... keys) {
    KeyboardRobot hand = robotContext().getKeyboardRobot();
    hand.pressNoWait(keys);
    hand.releaseNoWait(
        IntStream.rangeClosed(1, keys.length)
            .mapToObj(i -> keys[keys.length - i])
            .toArray(KeyCode[]::new));
  }

  @Override
  public FxRobot interact(Runnable work) {
    interactNoWait(work);
    calm();
    return this;
  }

  /**
   * Waits until what was asked for has happened and is laid out: two frames, and what they brought
   * about. The library's own wait sleeps five times, however little there is to do, and on a busy
   * machine is over before a frame.
   */
  protected static void calm() {
    for (int frame = 0; frame < 2; frame++) {
      CompletableFuture<Void> drawn = new CompletableFuture<>();
      Platform.runLater(
          () ->
              new AnimationTimer() {
                @Override
                public void handle(long now) {
                  stop();
                  drawn.complete(null);
                }
              }.start());
      await(drawn);
    }
    CompletableFuture<Void> after = new CompletableFuture<>();
    Platform.runLater(() -> after.complete(null));
    await(after);
  }

  private static void await(CompletableFuture<Void> done) {
    try {
      done.get(60, TimeUnit.SECONDS);
    } catch (InterruptedException | ExecutionException | TimeoutException e) {
      throw new IllegalStateException("The window did not come to rest.", e);
    }
  }

  @Override
  public FxRobot press(KeyCode... keys) {
    arrives(KEYS, keys.length, () -> super.press(keys));
    return this;
  }

  @Override
  public FxRobot clickOn(PointQuery where, Motion motion, MouseButton... buttons) {
    arrives(CLICKS, 1, () -> super.clickOn(where, motion, buttons));
    return this;
  }

  @Override
  public FxRobot release(MouseButton... buttons) {
    arrives(
        CLICKS, buttons.length, () -> super.release(buttons)); // with none: all, when a test ends
    return this;
  }

  /**
   * Whether as many events as were sent came to a window, and all that followed from them has
   * happened.
   */
  private static boolean arrives(AtomicInteger events, int sent, Runnable hand) {
    int before = events.get();
    hand.run();
    long end = System.nanoTime() + PATIENCE_MS * 1_000_000;
    while (events.get() - before < sent && System.nanoTime() < end) {
      WaitForAsyncUtils.sleep(5, TimeUnit.MILLISECONDS);
    }
    calm();
    return events.get() - before >= sent;
  }
}
