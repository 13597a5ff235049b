package wellspan.app.stage;

/**
 * How many triangles this machine draws in time while the 3D picture is moved, learned from its own
 * frames: all of them where a graphics card draws, fewer where the processor does. Used on the
 * window's thread.
 */
final class DrawingPace {
  /** A frame that takes longer is felt as a jerk, milliseconds; what is asked for is 50. */
  static final double TOO_LONG = 45;

  /** What is aimed at once a frame took too long, milliseconds. */
  private static final double AIM = 36;

  /** A frame that leaves room for more, milliseconds. */
  private static final double QUICK = 25;

  private static final double LEAST_STEP = 0.35;
  private static final double MORE = 1.2;

  /** Fewer would show nothing of the work. */
  private static final int LEAST = 6_000;

  private int most = Integer.MAX_VALUE;

  /** Triangles that a frame may have. */
  int most() {
    return most;
  }

  /**
   * A frame was drawn.
   *
   * @param millis since the one before
   * @param drawn triangles it had
   * @param all triangles it would have had
   */
  void drew(double millis, int drawn, int all) {
    if (millis > TOO_LONG) {
      most = Math.max(LEAST, (int) (drawn * Math.max(LEAST_STEP, AIM / millis)));
    } else if (millis < QUICK && drawn < all) {
      most = (int) Math.min(Integer.MAX_VALUE, most * MORE);
    }
  }
}
