package wellspan.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.event.EventType;
import javafx.scene.Scene;
import javafx.scene.input.MouseEvent;
import javafx.stage.Stage;
import wellspan.app.Drawing;
import wellspan.app.session.Session;
import wellspan.app.stage.PlanView;
import wellspan.app.theme.Theme;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;

/**
 * Shows a surface of a million triangles in the plan, drags it about for ten seconds and prints the
 * times between frames. Needs a display.
 */
public final class PlanPanning {
  private static final int FRAMES = 300;
  private static final int SKIPPED = 20;

  private PlanPanning() {}

  public static void main(String[] args) {
    Drawing.choose();
    Application.launch(Window.class, args);
  }

  /** The window of the measurement. */
  public static final class Window extends Application {
    private final List<Double> millis = new ArrayList<>();
    private PlanView plan;
    private long last;
    private int frame;

    @Override
    public void start(Stage stage) throws Exception {
      Theme.loadFonts();
      Path folder = Files.createTempDirectory("panning");
      JobStore store = new JobStore(folder.resolve("job"));
      Job job = Job.named("panning");
      store.create(job);
      Session session = new Session(store, job, Clock.systemUTC(), Platform::runLater);
      plan = new PlanView(session);
      stage.setScene(new Scene(plan, 1074, 600));
      stage.show();
      session
          .receiving()
          .receive(List.of(Fixture.landXml(Fixture.mesh(1_000_000), folder.resolve("large.xml"))));
      session
          .buildProperty()
          .addListener(
              (o, a, b) ->
                  new AnimationTimer() {
                    @Override
                    public void handle(long now) {
                      step(now, this);
                    }
                  }.start());
    }

    private void step(long now, AnimationTimer timer) {
      if (plan.isBusy() && frame == 0) {
        return; // the first picture is still being painted
      }
      if (last != 0 && frame > SKIPPED) {
        millis.add((now - last) / 1e6);
      }
      last = now;
      if (frame == 0) {
        drag(MouseEvent.MOUSE_PRESSED, 500);
      }
      drag(MouseEvent.MOUSE_DRAGGED, 500 + 300 * Math.sin(frame / 25.0));
      if (++frame > FRAMES) {
        timer.stop();
        Collections.sort(millis);
        System.out.printf(
            "time between frames while panning: median %.1f ms, 95 %% %.1f ms, largest %.1f ms%n",
            millis.get(millis.size() / 2), millis.get(millis.size() * 95 / 100), millis.getLast());
        Platform.exit();
      }
    }

    private void drag(EventType<MouseEvent> type, double x) {
      PrimaryButton.fire(plan, type, x, 300);
    }
  }
}
