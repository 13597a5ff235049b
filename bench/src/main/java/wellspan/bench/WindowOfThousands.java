package wellspan.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.function.IntConsumer;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.event.EventType;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.input.MouseEvent;
import javafx.scene.shape.Rectangle;
import javafx.stage.Stage;
import wellspan.app.Drawing;
import wellspan.app.WarmUp;
import wellspan.app.session.Session;
import wellspan.app.shell.ShellView;
import wellspan.app.stage.StageView;
import wellspan.app.theme.Theme;
import wellspan.core.finding.Stop;
import wellspan.core.item.ItemId;
import wellspan.core.job.JobStore;

/**
 * Opens a job of thousands of items in the real window ({@code WindowOfThousands JOB}) and prints
 * how long it takes, the times between frames while a mark moves and nothing else (what the machine
 * needs), the strata scroll, items are selected, the plan is dragged and the 3D picture turned, how
 * long the manifest takes to open, what the heap holds, and how long the same job takes in another
 * window of the program that runs already. Needs a display.
 */
public final class WindowOfThousands {
  private static final int FRAMES = 120;
  private static final int SKIPPED = 10;

  private WindowOfThousands() {}

  public static void main(String[] args) {
    Drawing.choose();
    WarmUp.begin(Optional.of(args[0])); // as the command does
    Application.launch(Window.class, args);
  }

  /** Something that is done once in each frame. */
  private record Phase(String name, Runnable before, IntConsumer each) {}

  /** The window of the measurement. */
  public static final class Window extends Application {
    private Session session;
    private ShellView shell;
    private List<ItemId> ids = List.of();

    @Override
    public void start(Stage stage) throws IOException {
      Theme.loadFonts();
      open(
          stage,
          "opened",
          () -> {
            ids = List.copyOf(session.build().items().keySet());
            next(phases().iterator());
          });
    }

    private void open(Stage stage, String what, Runnable then) throws IOException {
      JobStore store = new JobStore(Path.of(getParameters().getRaw().getFirst()));
      long began = System.nanoTime();
      session = new Session(store, store.open(), Clock.systemUTC(), Platform::runLater);
      session.load(); // while the window is made, as when a job is opened
      shell = new ShellView(session, null, null);
      stage.setScene(new Scene(shell, 1280, 780));
      shell.setTheme(Theme.LIGHT);
      stage.show();
      new AnimationTimer() {
        @Override
        public void handle(long now) {
          if (!session.work().runningProperty().get() && !session.build().items().isEmpty()) {
            stop();
            said(what, (System.nanoTime() - began) / 1e6);
            then.run();
          }
        }
      }.start();
    }

    private List<Phase> phases() {
      ListView<?> strata = (ListView<?>) shell.lookup("#strata-list");
      Node plan = shell.lookup("#plan");
      Node space = shell.lookup("#space");
      Rectangle mark = new Rectangle(8, 8);
      mark.setManaged(false);
      return List.of(
          new Phase(
              "a mark moved, nothing else",
              () -> shell.getChildren().add(mark),
              i -> mark.setX(600 + i)),
          new Phase(
              "plan dragged",
              () -> drag(plan, MouseEvent.MOUSE_PRESSED, 0),
              i -> drag(plan, MouseEvent.MOUSE_DRAGGED, i)),
          new Phase(
              "strata scrolled",
              () -> {
                shell.requestFocus();
                unfold();
              },
              i -> strata.scrollTo(i * strata.getItems().size() / FRAMES)),
          new Phase("items selected", () -> {}, this::select),
          new Phase(
              "3D turned",
              () -> {
                shell.stage().show(StageView.Picture.SPACE);
                drag(space, MouseEvent.MOUSE_PRESSED, 0);
              },
              i -> drag(space, MouseEvent.MOUSE_DRAGGED, i)),
          new Phase("items selected in 3D", () -> {}, this::select));
    }

    private void select(int i) {
      int n = (int) ((long) i * ids.size() / FRAMES) % ids.size();
      session.selectedProperty().set(Optional.of(ids.get(n)));
    }

    /** Opens every band that is closed. */
    private void unfold() {
      Optional<Node> closed = Optional.empty();
      do {
        closed.ifPresent(n -> PrimaryButton.fire(n, MouseEvent.MOUSE_CLICKED, 10, 10));
        shell.applyCss();
        shell.layout();
        closed =
            shell.lookupAll(".band .name").stream()
                .filter(n -> n instanceof Label l && l.getText().startsWith("\u25b8"))
                .findFirst();
      } while (closed.isPresent());
    }

    private void next(Iterator<Phase> phases) {
      if (!phases.hasNext()) {
        manifest();
        return;
      }
      Phase p = phases.next();
      p.before().run();
      List<Double> millis = new ArrayList<>();
      new AnimationTimer() {
        private long last;
        private int frame;

        @Override
        public void handle(long now) {
          if (last != 0 && frame > SKIPPED) {
            millis.add((now - last) / 1e6);
          }
          last = now;
          p.each().accept(frame);
          if (++frame > FRAMES) {
            stop();
            Collections.sort(millis);
            System.out.printf(
                "%s: median %.1f ms between frames, 95 %% %.1f ms, largest %.1f ms%n",
                p.name(),
                millis.get(millis.size() / 2),
                millis.get(millis.size() * 95 / 100),
                millis.getLast());
            next(phases);
          }
        }
      }.start();
    }

    private void manifest() {
      long began = System.nanoTime();
      session.stopProperty().set(Stop.DELIVER);
      new AnimationTimer() {
        private int frame;

        @Override
        public void handle(long now) {
          if (frame++ == 1) { // the frame after the one that laid it out
            stop();
            said("manifest opened", (System.nanoTime() - began) / 1e6);
            System.gc();
            Runtime r = Runtime.getRuntime();
            System.out.printf("heap: %.0f MB%n", (r.totalMemory() - r.freeMemory()) / 1e6);
            again();
          }
        }
      }.start();
    }

    /** As when another job is opened from within: the program is warm, the window is a new one. */
    private void again() {
      try {
        open(new Stage(), "opened in another window", Platform::exit);
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }

    private static void said(String what, double ms) {
      System.out.printf("%s: %.0f ms%n", what, ms);
    }

    private static void drag(Node on, EventType<MouseEvent> type, int i) {
      PrimaryButton.fire(on, type, 400 + 200 * Math.sin(i / 20.0), 300);
    }
  }
}
