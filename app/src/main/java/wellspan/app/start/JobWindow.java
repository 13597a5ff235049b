package wellspan.app.start;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import javafx.application.HostServices;
import javafx.application.Platform;
import javafx.beans.binding.Bindings;
import javafx.scene.Scene;
import javafx.scene.control.Alert;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonType;
import javafx.stage.Stage;
import javafx.stage.WindowEvent;
import wellspan.app.session.Session;
import wellspan.app.shell.ShellView;
import wellspan.app.theme.ChosenTheme;
import wellspan.core.finding.Stop;
import wellspan.core.job.JobLock;
import wellspan.core.job.JobStore;

/** A window with its job, and the right to change it. */
final class JobWindow {
  private final JobStore store;
  private final JobWindows windows;
  private final Session session;
  private final ShellView shell;
  private final OpeningPicture opening;
  private Optional<JobLock> lock = Optional.empty();

  /** Whether what is shown is not what the job's file says, as its edits were given up. */
  private boolean dropped;

  private Stage stage;

  /**
   * @param opening what was seen of the job before, as it was before it is read
   */
  JobWindow(JobStore store, HostServices services, JobWindows windows, OpeningPicture opening)
      throws IOException {
    this.store = store;
    this.opening = opening;
    this.windows = windows;
    Optional<String> held = takeLock();
    try {
      session = new Session(store, store.open(), Clock.systemUTC(), Platform::runLater);
      begin(held);
    } catch (IOException e) {
      letGo(); // it can be mended and opened again
      throw e;
    }
    shell = new ShellView(session, services, windows);
    opening.last().ifPresent(l -> shell.stage().showLast(l.image(), l.place()));
  }

  /** Begins to read the sources; the window is made meanwhile. */
  private void begin(Optional<String> held) throws IOException {
    if (!store.notUnderstood().isEmpty()) { // told before the lock: nothing may be delivered either
      session.lookOnly(
          "The job file holds what this Wellspan does not understand: "
              + String.join("; ", store.notUnderstood())
              + ". It can be looked at; it is neither changed nor delivered. Update Wellspan, or mend the file.");
    } else if (held.isPresent()) {
      session.lookOnly(held.get());
    } else {
      store.recoverable().ifPresent(session::recover);
    }
    session.load();
  }

  Path folder() {
    return store.folder();
  }

  ShellView shell() {
    return shell;
  }

  void toFront() {
    stage.toFront();
  }

  void show(Stage in, Scene scene) throws IOException {
    stage = in;
    shell.setTheme(ChosenTheme.get()); // before it is shown: else all styles are looked up twice
    stage.setScene(scene);
    stage.setMinWidth(1080);
    stage.setMinHeight(640);
    stage
        .titleProperty()
        .bind(
            Bindings.createStringBinding(
                this::title,
                session.historyProperty(),
                session.unsavedProperty(),
                session.lookingOnlyProperty()));
    stage.show();
    session
        .unsavedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is) {
                takePicture();
              }
            });
    shell.stage().plan().completeProperty().addListener((o, was, is) -> keepOpening());
    stage.setOnCloseRequest(this::asked);
    stage.setOnHidden(e -> closed());
  }

  private String title() {
    return session.job().name()
        + (session.isLookingOnly() ? " (for looking only)" : "")
        + (session.unsavedProperty().get() ? " (not saved)" : "")
        + " – Wellspan";
  }

  /** Takes the right to change the job; says who has it if somebody else does. */
  private Optional<String> takeLock() throws IOException {
    try {
      lock = Optional.of(JobLock.take(store.folder(), "the Wellspan window", Clock.systemUTC()));
      return Optional.empty();
    } catch (JobLock.HeldException e) {
      return Optional.of(e.getMessage());
    } catch (AccessDeniedException e) {
      return Optional.of(
          "The job's folder "
              + store.folder()
              + " cannot be written. The job can be looked at; copy it to a folder of your own to change it.");
    }
  }

  void letGo() throws IOException {
    if (lock.isPresent()) {
      lock.get().close();
      lock = Optional.empty();
    }
  }

  private void asked(WindowEvent e) {
    if (session.unsavedProperty().get() && !mayClose()) {
      e.consume();
      return;
    }
    takePicture();
    if (isAsNextOpened() && !dropped) {
      opening.keepAtEnd(store, session.job().name(), shell.stage().plan());
    }
  }

  /** What is seen once all is read is what the next opening will come to. */
  private void keepOpening() {
    if (isAsNextOpened()) {
      opening.keep(store, session.job().name(), shell.stage().plan());
    }
  }

  /** At other stops the plan has another width, or marks of its own. */
  private boolean isAsNextOpened() {
    return lock.isPresent()
        && session.opening().unfinished().isEmpty()
        && !session.unsavedProperty().get()
        && session.stopProperty().get() == Stop.RECEIVE
        && shell.stage().plan().isVisible()
        && shell.stage().plan().isWhole();
  }

  private void takePicture() {
    if (lock.isPresent() && shell.stage().plan().isVisible()) {
      try {
        JobPicture.take(store.folder(), shell.stage().plan());
      } catch (IOException cannot) {
        System.err.println("No picture of the job: " + cannot.getMessage());
      }
    }
  }

  private void closed() {
    session.work().cancelAll();
    windows.closed(this);
    try {
      letGo();
    } catch (IOException e) {
      System.err.println("The job's lock could not be given back: " + e.getMessage());
    }
  }

  /** Asks what to do with unsaved edits; false if the window is to stay. */
  private boolean mayClose() {
    ButtonType save = new ButtonType("Save and close", ButtonBar.ButtonData.YES);
    ButtonType drop = new ButtonType("Close without saving", ButtonBar.ButtonData.NO);
    ButtonType stay = new ButtonType("Stay", ButtonBar.ButtonData.CANCEL_CLOSE);
    Alert ask =
        new Alert(Alert.AlertType.NONE, "The job has edits that are not saved.", save, drop, stay);
    ask.initOwner(stage);
    ask.setTitle("Wellspan");
    ButtonType answer = ask.showAndWait().orElse(stay);
    if (answer == save) {
      session.save();
      return !session.unsavedProperty().get();
    }
    if (answer == drop) {
      session.discardUnsaved();
      dropped = true;
      return true;
    }
    return false;
  }
}
