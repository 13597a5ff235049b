package wellspan.app.session;

import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import java.util.function.LongSupplier;

/**
 * Whether the stage is being moved by hand, or what it is to show is not seen yet. Work that nobody
 * waits for stands still meanwhile, so that the picture is there soon and follows the hand even
 * where there are few processors. Safe to use from any thread.
 */
public final class StageMotion {
  /** Pauses of the hand that are shorter belong to the movement, nanoseconds. */
  static final long STILL_AFTER = 250_000_000;

  private static final long LOOK_EVERY = 20_000_000;

  /** A picture that takes longer holds nobody up, nanoseconds. */
  static final long DRAWN_WITHIN = 2_000_000_000;

  private final LongSupplier nanos;
  private volatile long last;
  private volatile long began;

  StageMotion() {
    this(System::nanoTime);
  }

  /**
   * @param nanos a clock as {@link System#nanoTime}
   */
  StageMotion(LongSupplier nanos) {
    this.nanos = nanos;
    last = nanos.getAsLong() - STILL_AFTER;
    began = last - DRAWN_WITHIN;
  }

  /** The stage has just been moved. */
  public void moved() {
    last = nanos.getAsLong();
  }

  /** Whether the hand moved it just now. */
  public boolean isMoving() {
    return nanos.getAsLong() - last < STILL_AFTER;
  }

  /** A picture of something new is being drawn. */
  public void drawing() {
    began = nanos.getAsLong();
  }

  /** The picture is seen. */
  public void drawn() {
    began = nanos.getAsLong() - DRAWN_WITHIN;
  }

  /** Whether something new is not seen yet. */
  public boolean isDrawing() {
    return nanos.getAsLong() - began < DRAWN_WITHIN;
  }

  /**
   * Returns once the stage stands still and is seen, or at once if what waits is no longer wanted.
   */
  void awaitStill(BooleanSupplier unwanted) {
    while ((isMoving() || isDrawing())
        && !unwanted.getAsBoolean()
        && !Thread.currentThread().isInterrupted()) {
      LockSupport.parkNanos(LOOK_EVERY);
    }
  }
}
