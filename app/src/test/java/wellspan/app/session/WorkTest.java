package wellspan.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CancellationException;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import wellspan.core.frame.Frame;
import wellspan.core.job.History;
import wellspan.core.job.Job;
import wellspan.core.progress.Progress;

/** Work that ends badly, and the edits that wait for it. */
class WorkTest {
  private static UnaryOperator<Job> turned(double degrees) {
    return j -> j.withFrame(j.frame().withRotation(degrees));
  }

  @Test
  void anErrorEndsTheWorkAndTheNextOneRuns() throws Exception {
    BlockingQueue<String> said = new LinkedBlockingQueue<>();
    BlockingQueue<Runnable> window = new LinkedBlockingQueue<>();
    Work work = new Work(window::add);
    work.start(
        "Failing",
        p -> {
          throw new StackOverflowError();
        },
        r -> said.add("done"),
        said::add);
    run(window);
    assertThat(said.poll()).contains("StackOverflowError").contains("Nothing was changed");
    assertThat(work.runningProperty().get()).isFalse();
    assertThat(work.start("Working", p -> "fine", said::add, said::add)).isTrue();
    run(window);
    assertThat(said.poll()).isEqualTo("fine");
  }

  @Test
  void whatOnlyLooksRunsBesideAndEachIsCancelledByItself() throws Exception {
    BlockingQueue<String> said = new LinkedBlockingQueue<>();
    BlockingQueue<Runnable> window = new LinkedBlockingQueue<>();
    Work work = new Work(window::add);
    assertThat(work.start("Reading", WorkTest::untilCancelled, r -> said.add("read"), said::add))
        .isTrue();
    assertThat(work.start("Preparing", p -> "", said::add, said::add)).isFalse();
    assertThat(said.poll()).contains("Wait until this is done").contains("Reading");
    assertThat(work.startBeside("Proving", WorkTest::untilCancelled, said::add, said::add))
        .isTrue();
    assertThat(work.startBeside("Proving", p -> "", said::add, said::add)).isFalse();
    assertThat(said.poll()).startsWith("Proving is under way already");
    work.startBeside("Comparing", p -> "compared", said::add, said::add);
    run(window);
    assertThat(said.poll()).isEqualTo("compared");
    assertThat(work.tasks()).extracting(RunningTask::what).containsExactly("Reading", "Proving");
    work.tasks().getLast().cancel();
    run(window);
    assertThat(said.poll()).startsWith("Cancelled");
    assertThat(work.isCancelled()).as("reading goes on").isFalse();
    assertThat(work.changingProperty().get()).isTrue();
    work.cancelAll();
    run(window);
    assertThat(work.isCancelled()).isTrue();
    assertThat(work.runningProperty().get()).isFalse();
  }

  private static String untilCancelled(Progress p) {
    while (!p.isCancelled()) {
      Thread.onSpinWait();
    }
    throw new CancellationException();
  }

  private static void run(BlockingQueue<Runnable> window) throws InterruptedException {
    Runnable next = window.poll(10, TimeUnit.SECONDS);
    assertThat(next).isNotNull();
    next.run();
  }

  /** The edit under work is the first of two; cancelling it keeps the second. */
  @Test
  void onlyTheEditThatCannotBeShownIsTakenBack() {
    Job start = Job.named("J").withFrame(Frame.UNPLACED);
    UnaryOperator<Job> slow = j -> j.withMarks(java.util.List.of(mark()));
    PendingEdits pending = new PendingEdits();
    pending.add("slow", slow);
    pending.add("turn", turned(5));
    History h = History.of(start).edit("slow", slow.apply(start));
    h = h.edit("turn", turned(5).apply(h.now()));
    History left = pending.withoutTheUnshown(h, j -> j.marks().isEmpty());
    assertThat(left.now()).isEqualTo(turned(5).apply(start));
    assertThat(left.past()).extracting(History.Edit::what).containsExactly("turn");
    assertThat(new PendingEdits().withoutTheUnshown(h, j -> false)).isEqualTo(h);
  }

  private static wellspan.core.place.SpotMark mark() {
    return new wellspan.core.place.SpotMark("S", new wellspan.core.geom.Position(1, 2, 3));
  }
}
