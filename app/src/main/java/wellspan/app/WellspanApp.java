package wellspan.app;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.stage.Stage;
import wellspan.app.session.Session;
import wellspan.app.shell.ShellView;
import wellspan.app.theme.Theme;
import wellspan.core.job.Job;
import wellspan.core.job.JobException;
import wellspan.core.job.JobLock;
import wellspan.core.job.JobStore;

/** The application: finds the job named in the call and shows it. */
public final class WellspanApp extends Application {
  private static final double WIDTH = 1280;
  private static final double HEIGHT = 800;

  private Optional<JobLock> lock = Optional.empty();

  @Override
  public void start(Stage stage) {
    Theme.loadFonts();
    try {
      List<String> args = getParameters().getRaw();
      boolean demo = !args.isEmpty() && args.getFirst().equals("demo");
      if (demo) {
        show(stage, new JobStore(freshDemo()));
      } else if (args.size() > 1) {
        show(stage, new JobStore(Path.of(args.get(1))));
      } else {
        StartView.show(stage, store -> show(stage, store));
      }
    } catch (IOException e) {
      System.err.println(e.getMessage());
      StartView.complain(stage, e.getMessage());
    }
  }

  private void show(Stage stage, JobStore store) throws IOException {
    if (!Files.exists(store.jobFile())) {
      created(store);
    }
    letGo();
    Optional<String> held = takeLock(store);
    Job job = store.open();
    Session session = new Session(store, job, Clock.systemUTC(), Platform::runLater);
    ShellView shell = new ShellView(session, getHostServices());
    stage.setScene(new Scene(shell, WIDTH, HEIGHT));
    shell.setTheme(Theme.LIGHT);
    stage.setMinWidth(1080);
    stage.setMinHeight(640);
    stage
        .titleProperty()
        .bind(
            javafx.beans.binding.Bindings.createStringBinding(
                () ->
                    session.job().name()
                        + (session.isLookingOnly() ? " (for looking only)" : "")
                        + (session.unsavedProperty().get() ? " (not saved)" : "")
                        + " – Wellspan",
                session.historyProperty(),
                session.unsavedProperty(),
                session.lookingOnlyProperty()));
    stage.show();
    if (held.isPresent()) {
      session.lookOnly(held.get());
    } else if (!store.notUnderstood().isEmpty()) {
      session.lookOnly(
          "The job file holds what this Wellspan does not understand: "
              + String.join("; ", store.notUnderstood())
              + ". It can be looked at and delivered; it is not changed. Update Wellspan, or mend the file.");
    } else {
      store.recoverable().ifPresent(session::recover);
    }
    session.load();
    stage.setOnCloseRequest(
        e -> {
          if (session.unsavedProperty().get() && !StartView.mayClose(stage, session)) {
            e.consume();
          }
        });
  }

  /** Takes the right to change the job; says who has it if somebody else does. */
  private Optional<String> takeLock(JobStore store) throws IOException {
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

  private void letGo() throws IOException {
    if (lock.isPresent()) {
      lock.get().close();
      lock = Optional.empty();
    }
  }

  @Override
  public void stop() throws IOException {
    letGo();
  }

  private static void created(JobStore store) throws IOException {
    Path name = store.folder().getFileName();
    store.create(Job.named(name == null ? "New job" : name.toString()));
  }

  /** Copies the demo job to a folder of its own, so that nothing done to it comes back. */
  static Path freshDemo() throws IOException {
    Path from = Path.of(System.getProperty("wellspan.demo", "demo")).resolve("job");
    if (!Files.exists(from.resolve("job.json"))) {
      throw new JobException("The demo job is not at " + from + ". Install again.");
    }
    Path to = Files.createTempDirectory("wellspan-demo").resolve("Brindle Ness");
    try (Stream<Path> all = Files.walk(from)) {
      for (Path p : all.toList()) {
        Path relative = from.relativize(p);
        boolean made =
            relative.startsWith("out")
                || relative.startsWith("receipts")
                || relative.startsWith("cache");
        if (!made) {
          Files.copy(p, to.resolve(relative.toString()));
        }
      }
    }
    return to;
  }
}
