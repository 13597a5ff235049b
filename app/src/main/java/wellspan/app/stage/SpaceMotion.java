package wellspan.app.stage;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.function.IntUnaryOperator;
import javafx.animation.AnimationTimer;
import wellspan.app.session.StageMotion;

/**
 * Keeps the 3D picture with the hand that moves it: as many bodies are drawn as the machine draws
 * in time, and all of them again as soon as the picture rests. Used on the window's thread.
 */
final class SpaceMotion extends AnimationTimer {
  /** A single slow frame is no reason: of so many the middle one counts. */
  private static final int FRAMES = 3;

  private final StageMotion hand;
  private final IntUnaryOperator showAtMost;
  private final Runnable fewer;
  private final DrawingPace pace = new DrawingPace();
  private final Deque<Double> frames = new ArrayDeque<>();
  private boolean running;
  private boolean moved;
  private boolean movedBefore;
  private long last;
  private int all;
  private int drawn;

  /**
   * @param showAtMost shows as many triangles as it is told if it can, and answers how many
   * @param fewer told when bodies are left out or seen again
   */
  SpaceMotion(StageMotion hand, IntUnaryOperator showAtMost, Runnable fewer) {
    this.hand = hand;
    this.showAtMost = showAtMost;
    this.fewer = fewer;
  }

  /** Whether some bodies are left out. */
  boolean isReduced() {
    return drawn < all;
  }

  /** The hand has moved the picture. */
  void moved() {
    hand.moved();
    moved = true;
    if (!running) {
      running = true;
      movedBefore = false;
      frames.clear();
      all = showAtMost.applyAsInt(Integer.MAX_VALUE);
      show();
      start();
    }
  }

  @Override
  public void handle(long now) {
    if (!hand.isMoving()) {
      stop();
      running = false;
      drawn = showAtMost.applyAsInt(Integer.MAX_VALUE);
      fewer.run();
      return;
    }
    // what was not moved was not drawn, and tells nothing
    if (moved && movedBefore) {
      frame((now - last) / 1e6);
    }
    movedBefore = moved;
    moved = false;
    last = now;
  }

  private void frame(double millis) {
    frames.addLast(millis);
    if (frames.size() < FRAMES) {
      return;
    }
    double middle = frames.stream().sorted().skip(FRAMES / 2).findFirst().orElseThrow();
    int before = pace.most();
    pace.drew(middle, drawn, all);
    if (pace.most() == before) {
      frames.removeFirst();
    } else {
      frames.clear(); // they tell of another picture
      show();
    }
  }

  private void show() {
    drawn = showAtMost.applyAsInt(pace.most());
    fewer.run();
  }
}
