package wellspan.app.session;

import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import java.util.function.LongSupplier;

/**
 * Whether the stage is being moved by hand. Work that nobody waits for stands still meanwhile, so
 * that the picture follows the hand even where there are few processors. Safe to use from any
 * thread.
 */
public final class StageMotion {
  /** Pauses of the hand that are shorter belong to the movement, nanoseconds. */
  static final long STILL_AFTER = 250_000_000;

  private static final long LOOK_EVERY = 20_000_000;

  private final LongSupplier nanos;
  private volatile long last;

  StageMotion() {
    this(System::nanoTime);
  }

  /**
   * @param nanos a clock as {@link System#nanoTime}
   */
  StageMotion(LongSupplier nanos) {
    this.nanos = nanos;
    last = nanos.getAsLong() - STILL_AFTER;
  }

  /** The stage has just been moved. */
  public void moved() {
    last = nanos.getAsLong();
  }

  /** Whether the hand moved it just now. */
  public boolean isMoving() {
    return nanos.getAsLong() - last < STILL_AFTER;
  }

  /** Returns once the stage stands still, or at once if what waits is no longer wanted. */
  void awaitStill(BooleanSupplier unwanted) {
    while (isMoving() && !unwanted.getAsBoolean() && !Thread.currentThread().isInterrupted()) {
      LockSupport.parkNanos(LOOK_EVERY);
    }
  }
}
