package wellspan.app.theme;

import javafx.animation.AnimationTimer;
import javafx.scene.Node;

/** Waits until a window is on the screen. Window's thread. */
public final class Frames {
  /** Hardly less than whole. */
  private static final double OTHER = 0.999;

  private Frames() {}

  /**
   * Runs something once so many frames were painted. Painting is done by another thread, and only a
   * frame in which something has changed waits for the one before it: so what is given changes in
   * each, by what nobody sees.
   *
   * @param flicker any part of what is shown
   */
  public static void afterPainting(int frames, Node flicker, Runnable then) {
    new AnimationTimer() {
      private int begun;

      @Override
      public void handle(long now) {
        flicker.setOpacity(begun % 2 == 0 ? OTHER : 1);
        begun++;
        if (begun > frames) {
          stop();
          flicker.setOpacity(1);
          then.run();
        }
      }
    }.start();
  }
}
