package wellspan.app.session;

import java.io.IOException;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import wellspan.core.job.History;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.job.Journal;

/**
 * The decisions of the open job with their history, their journal and their file. An edit is noted
 * in the journal before it counts. Window's thread.
 */
public final class JobModel {
  private final JobStore store;
  private final Messages messages;
  private final Runnable changed;
  private final ReadOnlyObjectWrapper<History> history = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyBooleanWrapper unsaved = new ReadOnlyBooleanWrapper();
  private final ReadOnlyStringWrapper lookingOnly = new ReadOnlyStringWrapper("");
  private final PendingEdits pending = new PendingEdits();

  /**
   * @param changed told after each edit and each step through the history
   */
  JobModel(JobStore store, Job job, Messages messages, Runnable changed) {
    this.store = store;
    this.messages = messages;
    this.changed = changed;
    history.set(History.of(job));
  }

  public Job now() {
    return history.get().now();
  }

  public ReadOnlyObjectProperty<History> historyProperty() {
    return history.getReadOnlyProperty();
  }

  public ReadOnlyBooleanProperty unsavedProperty() {
    return unsaved.getReadOnlyProperty();
  }

  /** Why the job can only be looked at; empty if it can be changed. */
  public ReadOnlyStringProperty lookingOnlyProperty() {
    return lookingOnly.getReadOnlyProperty();
  }

  public boolean isLookingOnly() {
    return !lookingOnly.get().isEmpty();
  }

  /** Whether nothing can be changed; said, if so. */
  private boolean refuses() {
    if (isLookingOnly()) {
      messages.complain(lookingOnly.get());
    }
    return isLookingOnly();
  }

  void lookOnly(String why) {
    lookingOnly.set(why);
  }

  void edit(String what, UnaryOperator<Job> change) {
    Job next = change.apply(now());
    if (next.equals(now()) || refuses()) {
      return;
    }
    if (messages.complaintProperty().get()) {
      messages.say(""); // the complaint was about what stood before
    }
    pending.add(what, change);
    take(what, history.get().edit(what, next));
  }

  private void take(String what, History next) {
    try {
      store.note(what, next.now());
    } catch (IOException e) {
      messages.complain(
          "The edit is not secured against a crash: the job's folder cannot be written ("
              + e.getMessage()
              + "). Save the job elsewhere.");
    }
    history.set(next);
    unsaved.set(true);
    changed.run();
  }

  void undo() {
    if (history.get().canUndo()) {
      String what = history.get().past().getLast().what();
      take("Undo: " + what, stepped(history.get().undo()));
      messages.say("Undone: " + what + ".");
    }
  }

  void redo() {
    if (history.get().canRedo()) {
      String what = history.get().future().getLast().what();
      take("Redo: " + what, stepped(history.get().redo()));
      messages.say("Done again: " + what + ".");
    }
  }

  /** A step through the history: what was pending is over, what it leads to may need work. */
  private History stepped(History next) {
    pending.clear();
    return next;
  }

  /** What is on the stage changed from one state to another. */
  void shown(Job before, Job after) {
    pending.shown(before, after);
  }

  /**
   * The edit that cannot be shown is taken back, so that what is shown is what is recorded. Edits
   * that came after it stay.
   */
  void takeBack(Predicate<Job> canBeShown, String why) {
    History without = pending.withoutTheUnshown(history.get(), canBeShown);
    if (!without.equals(history.get())) {
      take("Taken back: what could not be done", without);
    } else if (history.get().canUndo() && !canBeShown.test(now())) {
      undo(); // what a step through the history led to cannot be shown
    }
    messages.complain(why);
  }

  void save() {
    if (refuses()) {
      return;
    }
    try {
      store.save(now());
      unsaved.set(false);
      messages.say("Saved in " + store.folder() + ".");
    } catch (IOException e) {
      messages.complain(
          "The job could not be saved: "
              + e.getMessage()
              + ". The file saved last is still there.");
    }
  }

  void discardUnsaved() {
    try {
      store.journal().discard();
    } catch (IOException e) {
      messages.complain("The journal of unsaved edits could not be removed: " + e.getMessage());
    }
  }

  void recover(Journal.Recovered recovered) {
    history.set(history.get().edit("Recovered edits", recovered.job()));
    pending.clear();
    unsaved.set(true);
    messages.say(
        recovered.edits()
            + " unsaved edits were recovered; the last was: "
            + recovered.lastEdit()
            + ". Save to keep them.");
  }
}
