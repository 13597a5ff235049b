package wellspan.app.session;

import java.util.concurrent.Executor;
import wellspan.core.build.Build;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.exchange.intake.SourceIntake;

/** Reads the sources of a job that is opened; each is shown as soon as it is read. */
final class JobOpening implements SourceIntake.SoFar {
  /** Nanoseconds between two pictures. */
  private static final long OFTEN = 250_000_000;

  private final Session session;
  private final JobStore store;
  private final Executor window;
  private boolean underWay;
  private volatile long shown;

  JobOpening(Session session, JobStore store, Executor window) {
    this.session = session;
    this.store = store;
    this.window = window;
  }

  /** Whether what is shown is not all of the job yet; findings would be false ones. */
  boolean isUnderWay() {
    return underWay;
  }

  void start() {
    Job job = session.job();
    if (job.sources().isEmpty()) {
      return;
    }
    underWay = true;
    shown = System.nanoTime();
    boolean started =
        session
            .work()
            .start(
                "Reading the job",
                p -> SourceIntake.build(store, job, this, p),
                this::opened,
                this::failed);
    underWay &= started;
    session.refreshFindings(); // what was found without the sources is not true
  }

  @Override
  public boolean isWanted() {
    return System.nanoTime() - shown > OFTEN;
  }

  @Override
  public void show(Build early) {
    shown = System.nanoTime();
    window.execute(
        () -> {
          if (underWay) {
            session.showEarly(early);
          }
        });
  }

  private void opened(Build fresh) {
    underWay = false;
    session.opened(fresh);
    if (!session.isLookingOnly()) {
      session.say(
          counted(fresh.items().size(), "item")
              + " from "
              + counted(fresh.received().size(), "file")
              + ".");
    }
  }

  private static String counted(int n, String what) {
    return n + " " + what + (n == 1 ? "" : "s");
  }

  private void failed(String why) {
    underWay = false;
    session.refreshFindings();
    session.complain(why);
  }
}
