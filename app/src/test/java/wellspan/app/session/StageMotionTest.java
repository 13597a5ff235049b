package wellspan.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;

class StageMotionTest {
  private final AtomicLong now = new AtomicLong(7);
  private final StageMotion motion = new StageMotion(now::get);

  @Test
  void standsStillAtFirstAndSomeTimeAfterEveryMove() {
    assertThat(motion.isMoving()).isFalse();
    motion.moved();
    assertThat(motion.isMoving()).isTrue();
    now.addAndGet(StageMotion.STILL_AFTER - 1);
    assertThat(motion.isMoving()).isTrue();
    now.addAndGet(1);
    assertThat(motion.isMoving()).isFalse();
  }

  @Test
  void whatWaitsGoesOnOnceTheStageStandsStill() throws InterruptedException {
    motion.moved();
    goesOnAfter(() -> now.addAndGet(StageMotion.STILL_AFTER));
  }

  /** What waits for the stage does so until something happens. */
  private void goesOnAfter(Runnable something) throws InterruptedException {
    CountDownLatch waiting = new CountDownLatch(1);
    CountDownLatch wentOn = new CountDownLatch(1);
    Thread.ofVirtual()
        .start(
            () -> {
              motion.awaitStill(
                  () -> {
                    waiting.countDown();
                    return false;
                  });
              wentOn.countDown();
            });
    assertThat(waiting.await(20, TimeUnit.SECONDS)).isTrue();
    assertThat(wentOn.getCount()).isEqualTo(1);
    something.run();
    assertThat(wentOn.await(20, TimeUnit.SECONDS)).isTrue();
  }

  @Test
  void whatIsNoLongerWantedDoesNotWait() {
    motion.moved();
    motion.awaitStill(() -> true);
    assertThat(motion.isMoving()).isTrue();
  }

  @Test
  void whatIsDrawnIsSeenFirstUnlessItTakesLong() {
    assertThat(motion.isDrawing()).isFalse();
    motion.drawing();
    assertThat(motion.isDrawing()).isTrue();
    assertThat(motion.isMoving()).isFalse();
    motion.drawn();
    assertThat(motion.isDrawing()).isFalse();
    motion.drawing();
    now.addAndGet(StageMotion.DRAWN_WITHIN);
    assertThat(motion.isDrawing()).isFalse();
  }

  @Test
  void workWaitsUntilThePictureIsSeen() throws InterruptedException {
    motion.drawing();
    goesOnAfter(motion::drawn);
  }
}
