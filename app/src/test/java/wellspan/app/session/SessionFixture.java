package wellspan.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;

/** A session on an empty job, with the test's thread as the window's. */
abstract class SessionFixture {
  static final Path ROAD = Path.of("..", "demo", "road", "quay-road.xml");

  @TempDir Path dir;

  final BlockingQueue<Runnable> window = new LinkedBlockingQueue<>();
  JobStore store;
  Session session;

  @BeforeEach
  void start() throws IOException {
    store = new JobStore(dir.resolve("job"));
    store.create(Job.named("Test"));
    session = open();
  }

  Session open() throws IOException {
    return new Session(store, store.open(), Clock.systemUTC(), window::add);
  }

  /** Plays the window's thread until no work runs. */
  void settle() throws InterruptedException {
    do {
      Runnable next = window.poll(20, TimeUnit.SECONDS);
      assertThat(next).as("the work came to an end").isNotNull();
      next.run();
    } while (session.work().runningProperty().get() || !window.isEmpty());
  }

  void receive(Path file) throws InterruptedException {
    session.receiving().receive(List.of(file));
    settle();
  }
}
