package wellspan.app.start;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.application.HostServices;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import wellspan.app.session.OtherJobs;
import wellspan.app.shell.OpeningView;
import wellspan.app.theme.ChosenTheme;
import wellspan.app.theme.Frames;
import wellspan.app.theme.Parts;
import wellspan.app.theme.Theme;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;

/** The open windows: one for each job, or the first screen. All on the window's thread. */
public final class JobWindows implements OtherJobs {
  private static final double WIDTH = 1280;
  private static final double HEIGHT = 800;

  /** Frames of a window that is not on the screen yet are lost. */
  private static final int FRAMES = 5;

  private final HostServices services;
  private final List<JobWindow> open = new ArrayList<>();

  /** A window in which no job is open yet; the next job takes it. */
  private Stage free;

  public JobWindows(HostServices services, Stage first) {
    this.services = services;
    free = first;
    ChosenTheme.property().addListener((o, a, b) -> dress(b));
  }

  /** The first screen goes with the other windows. */
  private void dress(Theme t) {
    if (free != null && free.getScene() != null) {
      t.apply(free.getScene());
    }
  }

  /** The first screen, in a window of its own where a job is open already. */
  @Override
  public void showStart() {
    show(new StartView(this), "Wellspan");
  }

  /** A fresh copy of the demo job. */
  public void openDemo() throws IOException {
    JobStore store = new JobStore(DemoJob.fresh());
    openFirst(store, DemoJob.seen(store));
  }

  /**
   * Opens the first job of a start: its window stands at once, with the plan that was seen last,
   * and is made meanwhile.
   */
  public void openFirst(Path folder) {
    JobStore store = new JobStore(folder);
    openFirst(store, OpeningPicture.of(store));
  }

  private void openFirst(JobStore store, OpeningPicture seen) {
    String name =
        seen.last()
            .map(OpeningView.Look::job)
            .orElseGet(() -> String.valueOf(store.folder().getFileName()));
    OpeningView first = new OpeningView(name, seen.last());
    Stage stage = show(new Scene(first, WIDTH, HEIGHT), name + " \u2013 Wellspan");
    Frames.afterPainting(
        FRAMES,
        first.sentence(),
        () -> {
          if (!stage.isShowing()) { // closed already
            return;
          }
          try {
            open(store, seen);
          } catch (IOException e) {
            complain(e.getMessage());
          }
        });
  }

  /** Says why there is nothing to show. */
  public void complain(String sentence) {
    VBox card =
        new VBox(
            10,
            Parts.label("The job could not be opened", "title"),
            Parts.wrapped(sentence),
            Parts.button("Open another job", "primary", this::showStart));
    card.getStyleClass().add("card");
    card.setMaxSize(520, Double.NEGATIVE_INFINITY);
    show(new StackPane(card), "Wellspan");
  }

  private void show(Parent root, String title) {
    Scene scene = new Scene(root, WIDTH, HEIGHT);
    ChosenTheme.get().apply(scene);
    show(scene, title).toFront();
  }

  /** Shows something else than a job in the window that is free. */
  private Stage show(Scene scene, String title) {
    Stage stage = free == null ? new Stage() : free;
    free = stage;
    stage.setOnHidden(
        e -> {
          if (stage == free) { // else a job has taken it
            free = null;
          }
        });
    stage.titleProperty().unbind();
    stage.setOnCloseRequest(null);
    stage.setScene(scene);
    stage.setTitle(title);
    stage.show();
    return stage;
  }

  /** Opens a job in a window of its own; one that is open already comes to the front. */
  @Override
  public void open(Path folder) throws IOException {
    JobStore store = new JobStore(folder);
    for (JobWindow w : open) {
      if (w.folder().equals(store.folder())) {
        w.toFront();
        return;
      }
    }
    open(store, OpeningPicture.of(store));
  }

  private void open(JobStore store, OpeningPicture seen) throws IOException {
    if (!Files.exists(store.jobFile())) {
      Path name = store.folder().getFileName();
      store.create(Job.named(name == null ? "New job" : name.toString()));
    }
    JobWindow window = new JobWindow(store, services, this, seen);
    Stage stage = free == null ? new Stage() : free;
    free = null;
    open.add(window);
    window.show(stage, new Scene(window.shell(), WIDTH, HEIGHT));
    if (!DemoJob.isCopy(store.folder())) {
      RecentJobs.opened(store.folder());
    }
  }

  /** Makes a job in a folder that has none, and opens it. */
  void start(Path folder, String name) throws IOException {
    new JobStore(folder).create(Job.named(name));
    open(folder);
  }

  void closed(JobWindow window) {
    open.remove(window);
  }

  /** Lets go of all jobs. */
  public void closeAll() throws IOException {
    for (JobWindow w : List.copyOf(open)) {
      w.letGo();
    }
  }
}
