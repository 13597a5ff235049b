package wellspan.app;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import javafx.stage.Stage;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.util.WaitForAsyncUtils;
import wellspan.app.session.Session;
import wellspan.app.shell.ShellView;
import wellspan.app.theme.Theme;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;

/** A real window on an empty job. */
abstract class WindowTest extends RobotTest {
  static final Path DEMO = Path.of("..", "demo");

  @TempDir static Path dir;
  protected Session session;
  protected ShellView shell;

  @Override
  public void start(Stage stage) throws Exception {
    Theme.loadFonts();
    JobStore store = new JobStore(Files.createTempDirectory(dir, "job").resolve("Brindle Ness"));
    Job job = Job.named("Brindle Ness");
    store.create(job);
    session = new Session(store, job, Clock.systemUTC(), Platform::runLater);
    shell = new ShellView(session, null, null);
    stage.setScene(new Scene(shell, 1280, 780));
    shell.setTheme(Theme.LIGHT);
    stage.show();
  }

  /** Keys go to the window only once it has the focus, and that comes when the display has time. */
  @BeforeEach
  void focus() throws Exception {
    interact(() -> shell.getScene().getWindow().requestFocus());
    settle(() -> shell.getScene().getWindow().isFocused());
  }

  /**
   * Waits until something is so and stays so while all that follows from it happens: what has just
   * come to rest may be set going again by the end of other work.
   */
  protected static void settle(BooleanSupplier condition) throws Exception {
    WaitForAsyncUtils.waitFor(
        60,
        TimeUnit.SECONDS,
        () -> {
          calm();
          if (!condition.getAsBoolean()) {
            return false;
          }
          calm(); // what the end of the work brings about
          return condition.getAsBoolean();
        });
  }

  protected void receive(Path file) throws Exception {
    interact(() -> session.receiving().receive(List.of(file)));
    settle(() -> !session.work().runningProperty().get());
  }

  protected String text(String query) {
    return lookup(query).queryAs(Labeled.class).getText();
  }

  /** Types into a field and takes it by Enter. */
  protected void type(String query, String text) {
    TextField f = lookup(query).queryAs(TextField.class);
    interact(
        () -> {
          f.requestFocus();
          f.setText(text);
          f.getOnAction().handle(null);
        });
  }

  protected void fire(String query) {
    ButtonBase b = lookup(query).queryAs(ButtonBase.class);
    interact(b::fire);
  }

  /** All words on a card, a line for each label. */
  protected String card(String query) {
    StringBuilder s = new StringBuilder();
    lookup(query)
        .query()
        .lookupAll(".label")
        .forEach(n -> s.append(((Labeled) n).getText()).append('\n'));
    return s.toString();
  }

  /** How many different colours a node shows. */
  protected int colours(Node node) {
    WritableImage[] image = new WritableImage[1];
    interact(() -> image[0] = node.snapshot(null, null));
    Set<Color> seen = new HashSet<>();
    for (int y = 0; y < image[0].getHeight(); y += 5) {
      for (int x = 0; x < image[0].getWidth(); x += 5) {
        seen.add(image[0].getPixelReader().getColor(x, y));
      }
    }
    return seen.size();
  }
}
