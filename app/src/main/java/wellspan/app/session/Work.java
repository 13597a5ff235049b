package wellspan.app.session;

import java.io.IOException;
import java.util.concurrent.CancellationException;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyDoubleWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import wellspan.core.progress.Progress;

/** The one long work that may run beside the window: reading, writing, proving. */
public final class Work {
  /** Something that takes long and may fail with a sentence. */
  public interface Task<T> {
    T run(Progress progress) throws IOException;
  }

  private record Report(double fraction, String sentence) {}

  private final Executor window;
  private final ReadOnlyBooleanWrapper running = new ReadOnlyBooleanWrapper();
  private final ReadOnlyDoubleWrapper fraction = new ReadOnlyDoubleWrapper();
  private final ReadOnlyStringWrapper sentence = new ReadOnlyStringWrapper("");
  private volatile boolean cancelled;

  /**
   * @param window runs things on the window's thread
   */
  Work(Executor window) {
    this.window = window;
  }

  public ReadOnlyBooleanProperty runningProperty() {
    return running.getReadOnlyProperty();
  }

  public ReadOnlyDoubleProperty fractionProperty() {
    return fraction.getReadOnlyProperty();
  }

  public ReadOnlyStringProperty sentenceProperty() {
    return sentence.getReadOnlyProperty();
  }

  public void cancel() {
    cancelled = true;
  }

  /** Whether the work that runs, or ran last, was cancelled. */
  boolean isCancelled() {
    return cancelled;
  }

  /**
   * Runs a task on its own thread; its end comes back on the window's thread. Refused while another
   * one runs.
   */
  <T> boolean start(String what, Task<T> task, Consumer<T> done, Consumer<String> failed) {
    if (running.get()) {
      failed.accept("Wait until this is done, or cancel it: " + sentence.get() + ".");
      return false;
    }
    cancelled = false;
    running.set(true);
    fraction.set(0);
    sentence.set(what);
    Thread.ofPlatform().daemon().name("work").start(() -> run(task, done, failed));
    return true;
  }

  private <T> void run(Task<T> task, Consumer<T> done, Consumer<String> failed) {
    try {
      T result = task.run(progress());
      end(() -> done.accept(result));
    } catch (CancellationException e) {
      end(() -> failed.accept("Cancelled. Nothing was changed."));
    } catch (IOException | IllegalArgumentException e) {
      end(() -> failed.accept(e.getMessage()));
    } catch (OutOfMemoryError e) {
      end(() -> failed.accept("There is not enough memory for this. Nothing was changed."));
    } catch (RuntimeException | Error e) { // whatever happens, the window goes on
      System.getLogger("wellspan").log(System.Logger.Level.ERROR, "work failed", e);
      end(
          () ->
              failed.accept(
                  "This did not work, and the fault is Wellspan's ("
                      + e.getClass().getSimpleName()
                      + "). Nothing was changed."));
    }
  }

  private void end(Runnable then) {
    window.execute(
        () -> {
          running.set(false);
          then.run();
        });
  }

  private Progress progress() {
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
