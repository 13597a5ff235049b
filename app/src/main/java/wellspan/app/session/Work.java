package wellspan.app.session;

import java.io.IOException;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ListChangeListener;
import javafx.collections.ObservableList;
import wellspan.core.progress.Progress;

/**
 * The long tasks that run beside the window. One of them at a time may change what the job shows
 * (reading, preparing items); those that only look at what it shows (delivering, proving,
 * comparing) run beside it and beside each other. Used on the window's thread.
 */
public final class Work {
  /** Something that takes long and may fail with a sentence. */
  public interface Task<T> {
    T run(Progress progress) throws IOException;
  }

  private final Executor window;
  private final ObservableList<RunningTask> tasks = FXCollections.observableArrayList();
  private final ObservableList<RunningTask> shown = FXCollections.unmodifiableObservableList(tasks);
  private final ReadOnlyBooleanWrapper running = new ReadOnlyBooleanWrapper();
  private final ReadOnlyBooleanWrapper changing = new ReadOnlyBooleanWrapper();
  private Optional<RunningTask> change = Optional.empty();

  /**
   * @param window runs things on the window's thread
   */
  Work(Executor window) {
    this.window = window;
    tasks.addListener((ListChangeListener<RunningTask>) c -> running.set(!tasks.isEmpty()));
  }

  /** All that runs, the oldest first; cannot be changed. */
  public ObservableList<RunningTask> tasks() {
    return shown;
  }

  /** Whether anything runs. */
  public ReadOnlyBooleanProperty runningProperty() {
    return running.getReadOnlyProperty();
  }

  /** Whether what runs will change what the job shows. */
  public ReadOnlyBooleanProperty changingProperty() {
    return changing.getReadOnlyProperty();
  }

  /** Cancels the oldest task. */
  public void cancel() {
    tasks.stream().findFirst().ifPresent(RunningTask::cancel);
  }

  public void cancelAll() {
    tasks.forEach(RunningTask::cancel);
  }

  /** Whether the change that runs, or ran last, was cancelled. */
  boolean isCancelled() {
    return change.map(RunningTask::isCancelled).orElse(false);
  }

  /**
   * Runs a task that changes what the job shows on its own thread; its end comes back on the
   * window's thread. Refused while another such one runs.
   */
  <T> boolean start(String what, Task<T> task, Consumer<T> done, Consumer<String> failed) {
    if (changing.get()) {
      failed.accept(
          "Wait until this is done, or cancel it: "
              + change.orElseThrow().sentenceProperty().get()
              + ".");
      return false;
    }
    RunningTask u = new RunningTask(what, window);
    change = Optional.of(u);
    changing.set(true);
    begin(u, task, done, failed);
    return true;
  }

  /**
   * Runs a task that only looks at what the job showed when it began. Refused while the same one
   * runs.
   */
  <T> boolean startBeside(String what, Task<T> task, Consumer<T> done, Consumer<String> failed) {
    if (tasks.stream().anyMatch(t -> t.what().equals(what))) {
      failed.accept(what + " is under way already. Wait until it is done, or cancel it.");
      return false;
    }
    begin(new RunningTask(what, window), task, done, failed);
    return true;
  }

  private <T> void begin(RunningTask u, Task<T> task, Consumer<T> done, Consumer<String> failed) {
    tasks.add(u);
    Thread.ofPlatform().daemon().name(u.what()).start(() -> run(u, task, done, failed));
  }

  private <T> void run(RunningTask u, Task<T> task, Consumer<T> done, Consumer<String> failed) {
    try {
      T result = task.run(u.progress());
      end(u, () -> done.accept(result));
    } catch (CancellationException e) {
      end(u, () -> failed.accept("Cancelled. Nothing was changed."));
    } catch (IOException | IllegalArgumentException e) {
      end(u, () -> failed.accept(e.getMessage()));
    } catch (OutOfMemoryError e) {
      end(u, () -> failed.accept("There is not enough memory for this. Nothing was changed."));
    } catch (RuntimeException | Error e) { // whatever happens, the window goes on
      System.getLogger("wellspan").log(System.Logger.Level.ERROR, "work failed", e);
      end(
          u,
          () ->
              failed.accept(
                  "This did not work, and the fault is Wellspan's ("
                      + e.getClass().getSimpleName()
                      + "). Nothing was changed."));
    }
  }

  private void end(RunningTask u, Runnable then) {
    window.execute(
        () -> {
          tasks.remove(u);
          if (change.filter(c -> c == u).isPresent()) {
            changing.set(false);
          }
          then.run();
        });
  }
}
