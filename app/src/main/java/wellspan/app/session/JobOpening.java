package wellspan.app.session;

import java.io.IOException;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import wellspan.core.build.Build;
import wellspan.core.build.DeferredCache;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.progress.Progress;
import wellspan.core.receipt.PastRun;
import wellspan.exchange.cache.CacheFolder;
import wellspan.exchange.intake.SourceIntake;

/** Reads the sources of a job that is opened; each is shown as soon as it is read. */
public final class JobOpening implements SourceIntake.SoFar {
  /** Nanoseconds between two pictures. */
  private static final long OFTEN = 250_000_000;

  private final Session session;
  private final JobStore store;
  private final Executor window;
  private final DeferredCache cache;
  private boolean underWay;
  private boolean ended;
  private boolean keeping;
  private volatile long shown;

  /** What the window is to show as soon as it comes to it. */
  private final AtomicReference<Build> latest = new AtomicReference<>();

  JobOpening(Session session, JobStore store, Executor window) {
    this.session = session;
    this.store = store;
    this.window = window;
    cache = new DeferredCache(CacheFolder.of(store));
  }

  /** Whether what is shown is not all of the job yet; findings would be false ones. */
  public boolean isUnderWay() {
    return underWay;
  }

  /** Whether it ended before all was read, and has not been made up for since. */
  public boolean isCutOff() {
    return ended && !isWhole();
  }

  /** Why what is shown is not what the job says, with what to do; empty if it is. */
  public Optional<String> unfinished() {
    if (underWay) {
      return Optional.of("The job is still being read. Wait until all of it is there.");
    }
    if (isCutOff()) {
      return Optional.of(
          "Not all of the job was read, so it cannot be checked or delivered. Choose \u201cRead the job again\u201d at Receive.");
    }
    return isWhole()
        ? Optional.empty()
        : Optional.of("What was changed is still being made anew. Wait until it is there.");
  }

  private boolean isWhole() {
    Job job = session.job();
    return session.build().job().equals(job)
        && job.sources().stream().allMatch(s -> session.known(s).isPresent());
  }

  void start() {
    Job job = session.job();
    if (job.sources().isEmpty()) {
      session.deliveries().tell(earlier(session::complain));
      return;
    }
    underWay = true;
    ended = false;
    shown = System.nanoTime();
    boolean started =
        session.work().start("Reading the job", p -> read(job, p), this::opened, this::failed);
    underWay &= started;
    session.refreshFindings(); // what was found without the sources is not true
  }

  /** What was read, and what receipts tell of earlier deliveries. */
  private record Opened(Build build, Map<String, PastRun> earlier) {}

  private Opened read(Job job, Progress progress) throws IOException {
    Map<String, PastRun> earlier = earlier(why -> window.execute(() -> session.complain(why)));
    Build build = SourceIntake.build(store, job, cache, this, progress);
    show(build);
    build.workedOut(); // here: the window does not wait for it
    return new Opened(build, earlier);
  }

  /** What receipts tell; those of thousands of items take a while. */
  private Map<String, PastRun> earlier(Consumer<String> complaint) {
    try {
      return store.pastRuns();
    } catch (IOException e) {
      complaint.accept("The receipts of earlier deliveries could not be read: " + e.getMessage());
      return Map.of();
    }
  }

  @Override
  public boolean isWanted() {
    return System.nanoTime() - shown > OFTEN;
  }

  @Override
  public void show(Build early) {
    shown = System.nanoTime();
    if (latest.getAndSet(early) == null) { // else the window has not come to the one before
      window.execute(
          () -> {
            Build now = latest.getAndSet(null);
            if (underWay) {
              session.showEarly(now);
            }
          });
    }
  }

  private void opened(Opened read) {
    underWay = false;
    Build fresh = read.build();
    session.deliveries().tell(read.earlier());
    session.opened(fresh);
    if (!session.isLookingOnly()) {
      session.say(
          counted(fresh.items().size(), "item")
              + " from "
              + counted(fresh.received().size(), "file")
              + ".");
    }
  }

  /** Told that what is shown has changed: what was not read may have been made up for. */
  void shown() {
    ended &= !isWhole();
    keepResults();
  }

  /** Keeps what was made, now that it is shown; it is made anew next time if that is cancelled. */
  private void keepResults() {
    if (cache.isWaiting() && !keeping) {
      keeping = true;
      session
          .work()
          .startBeside(
              "Keeping what was made",
              p -> {
                cache.keepWaiting(p);
                return true;
              },
              kept -> kept(),
              why -> kept());
    }
  }

  /** Keeps nothing of a build that was cancelled or failed. */
  void forgetResults() {
    cache.forget();
  }

  private void kept() {
    keeping = false;
    keepResults(); // what was made meanwhile
  }

  private static String counted(int n, String what) {
    return n + " " + what + (n == 1 ? "" : "s");
  }

  private void failed(String why) {
    underWay = false;
    ended = true;
    session.deliveries().tell(earlier(session::complain));
    session.refreshFindings();
    session.complain(why);
  }
}
