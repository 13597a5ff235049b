package wellspan.app.stage;

/**
 * How many triangles this machine draws in time while the 3D picture is moved, learned from its own
 * frames: all of them where a graphics card draws, fewer where the processor does. A frame is taken
 * to need some time for itself and some for each triangle; where most of it is its own, fewer
 * triangles would show less and gain nothing. Used on the window's thread.
 */
final class DrawingPace {
  /** A frame that takes longer is felt as a jerk, milliseconds; what is asked for is 50. */
  private static final double TOO_LONG = 45;

  /** What is aimed at once a frame took too long, milliseconds. */
  private static final double AIM = 36;

  /** A frame that leaves room for more, milliseconds. */
  private static final double QUICK = 25;

  /** What triangles may take of a frame that is slow by itself, milliseconds. */
  private static final double SHARE = 14;

  /** Two frames tell what a triangle takes if they differ by so much. */
  private static final double OTHER = 0.15;

  private static final double LEAST_STEP = 0.35;
  private static final double MORE = 1.2;

  /** Fewer would show nothing of the work. */
  private static final int LEAST = 6_000;

  /** A frame with its triangles. */
  private record Frame(double millis, int triangles) {}

  private int most = Integer.MAX_VALUE;
  private Frame last;
  private Frame other;

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
    if (last != null && Math.abs(last.triangles - drawn) > OTHER * drawn) {
      other = last;
    }
    last = new Frame(millis, drawn);
    if (millis > TOO_LONG || millis < QUICK && drawn < all) {
      most = Math.max(LEAST, fitting());
    }
  }

  /** Triangles of a frame in time, by what the last two unlike frames took. */
  private int fitting() {
    double next = last.triangles * Math.clamp(AIM / last.millis, LEAST_STEP, MORE);
    if (other != null) {
      double each = (last.millis - other.millis) / (last.triangles - other.triangles);
      double itself = last.millis - each * last.triangles;
      if (each <= 0) { // their number does not tell
        next = last.triangles * MORE;
      } else if (itself > 0) {
        next = Math.max(AIM - itself, SHARE) / each;
      }
    }
    return (int) Math.min(next, Integer.MAX_VALUE);
  }
}
