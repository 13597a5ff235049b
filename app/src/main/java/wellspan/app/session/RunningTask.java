package wellspan.app.session;

import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicReference;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyDoubleWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import wellspan.core.progress.Progress;

/**
 * One task that runs beside the window: what it is doing, how far it has come, and its end by hand.
 * Its properties change on the window's thread.
 */
public final class RunningTask {
  private record Report(double fraction, String sentence) {}

  private final String what;
  private final Executor window;
  private final ReadOnlyDoubleWrapper fraction = new ReadOnlyDoubleWrapper();
  private final ReadOnlyStringWrapper sentence;
  private volatile boolean cancelled;

  RunningTask(String what, Executor window) {
    this.what = what;
    this.window = window;
    sentence = new ReadOnlyStringWrapper(what);
  }

  /** What it was started as. */
  public String what() {
    return what;
  }

  /** From 0 to 1. */
  public ReadOnlyDoubleProperty fractionProperty() {
    return fraction.getReadOnlyProperty();
  }

  /** What it is doing now. */
  public ReadOnlyStringProperty sentenceProperty() {
    return sentence.getReadOnlyProperty();
  }

  public void cancel() {
    cancelled = true;
  }

  boolean isCancelled() {
    return cancelled;
  }

  Progress progress() {
    return new Progress() {
      // of what is reported while the window is busy only the last counts
      private final AtomicReference<Report> latest = new AtomicReference<>();

      @Override
      public void report(double f, String text) {
        if (latest.getAndSet(new Report(f, text)) == null) {
          window.execute(
              () -> {
                Report r = latest.getAndSet(null);
                fraction.set(r.fraction());
                sentence.set(r.sentence());
              });
        }
      }

      @Override
      public boolean isCancelled() {
        return cancelled;
      }
    };
  }
}
