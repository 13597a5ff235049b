package wellspan.app.start;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.stage.Stage;
import javafx.stage.Window;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxToolkit;
import org.testfx.framework.junit5.ApplicationTest;
import org.testfx.util.WaitForAsyncUtils;
import wellspan.app.theme.ChosenTheme;
import wellspan.app.theme.Theme;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;

/** The first screen as a newcomer meets it. */
class StartWindowTest extends ApplicationTest {
  @TempDir static Path dir;
  private JobWindows windows;

  /** The test closes every window, and the next one opens others in the same toolkit. */
  @BeforeAll
  static void toolkit() throws Exception {
    FxToolkit.registerPrimaryStage();
    Platform.setImplicitExit(false);
  }

  @Override
  public void start(Stage stage) throws Exception {
    System.setProperty("user.home", dir.toString());
    Theme.loadFonts();
    ChosenTheme.choose(Theme.LIGHT);
    windows = new JobWindows(null, stage);
    windows.showStart();
  }

  @AfterEach
  void close() throws Exception {
    interact(() -> List.copyOf(Window.getWindows()).forEach(Window::hide));
    windows.closeAll();
    RecentJobs.all().forEach(RecentJobs::forget);
  }

  private static List<String> titles() {
    return Window.getWindows().stream()
        .filter(Stage.class::isInstance)
        .map(w -> ((Stage) w).getTitle())
        .toList();
  }

  private void settleOn(String title) throws Exception {
    WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> titles().contains(title));
    WaitForAsyncUtils.waitForFxEvents();
  }

  private void startJob(String name) {
    TextField field = lookup("#job-name").queryAs(TextField.class);
    interact(() -> field.setText(name));
    interact(lookup("#start-job").queryAs(Button.class)::fire);
    WaitForAsyncUtils.waitForFxEvents();
  }

  @Test
  void aNameIsAllThatANewJobNeeds() throws Exception {
    startJob("Harbour road");
    settleOn("Harbour road – Wellspan");
    assertThat(dir.resolve("Harbour road").resolve("job.json")).exists();
    assertThat(RecentJobs.all()).containsExactly(dir.resolve("Harbour road"));
  }

  @Test
  void aNameThatIsNoFolderIsSaidAtOnce() throws Exception {
    startJob("");
    assertThat(words()).contains("Give the job a name");
    startJob("a/b");
    assertThat(words()).contains("leave out /");
    assertThat(titles()).containsExactly("Wellspan");
    try (var made = Files.list(dir)) {
      assertThat(made.filter(p -> p.endsWith("a") || p.endsWith("b"))).isEmpty();
    }
  }

  @Test
  void aDamagedJobIsRefusedAndOpensOnceItIsMended() throws Exception {
    Path folder = dir.resolve("damaged");
    new JobStore(folder).create(Job.named("Mended"));
    String whole = Files.readString(folder.resolve("job.json"));
    Files.writeString(folder.resolve("job.json"), whole.substring(0, 20));
    interact(() -> assertThatThrownBy(() -> windows.open(folder)).hasMessageContaining("job.json"));
    Files.writeString(folder.resolve("job.json"), whole);
    interact(() -> assertThatCode(() -> windows.open(folder)).doesNotThrowAnyException());
    settleOn("Mended – Wellspan");
  }

  @Test
  void recentJobsStandWithTheirPlaceAndOpenInWindowsOfTheirOwn() throws Exception {
    Path one = dir.resolve("one");
    Path two = dir.resolve("two");
    new JobStore(one).create(Job.named("Quay"));
    new JobStore(two).create(Job.named("Yard"));
    RecentJobs.opened(one);
    RecentJobs.opened(two);
    RecentJobs.opened(dir.resolve("gone"));
    interact(windows::showStart);
    WaitForAsyncUtils.waitFor(
        20, TimeUnit.SECONDS, () -> lookup(".job-card").queryAll().size() == 2);
    assertThat(cardNames()).containsExactly("Open Yard", "Open Quay");
    assertThat(words()).contains("no system yet, 0 sources");
    interact(() -> ((Button) lookup(".job-card").queryAll().iterator().next()).fire());
    settleOn("Yard – Wellspan");
    interact(windows::showStart);
    settleOn("Wellspan");
    assertThat(titles()).contains("Yard – Wellspan", "Wellspan");
    assertThat(cardNames().getFirst()).as("the one opened last stands first").contains("Yard");
    RecentJobs.forget(two);
    assertThat(two.resolve("job.json")).as("forgotten, not removed").exists();
  }

  @Test
  void oneThemeIsForAllWindowsAndForLaterOnes() throws Exception {
    Path one = dir.resolve("dark");
    new JobStore(one).create(Job.named("Dusk"));
    interact(
        () -> {
          windows.showStart();
          ChosenTheme.choose(Theme.DARK);
        });
    assertThat(isDark("Wellspan")).isTrue();
    interact(() -> assertThatCode(() -> windows.open(one)).doesNotThrowAnyException());
    settleOn("Dusk – Wellspan");
    assertThat(isDark("Dusk – Wellspan")).isTrue();
    interact(windows::showStart);
    assertThat(isDark("Wellspan")).isTrue();
    interact(() -> ChosenTheme.choose(Theme.LIGHT));
    assertThat(isDark("Wellspan") || isDark("Dusk – Wellspan")).isFalse();
  }

  private static boolean isDark(String title) {
    return Window.getWindows().stream()
        .filter(w -> w instanceof Stage s && s.getTitle().equals(title))
        .allMatch(w -> w.getScene().getRoot().getStyleClass().contains("dark"));
  }

  @Test
  void aCopyOfTheDemoIsNothingToComeBackTo() throws Exception {
    System.setProperty("wellspan.demo", Path.of("..", "demo").toString());
    try {
      interact(() -> assertThatCode(windows::openDemo).doesNotThrowAnyException());
      settleOn("Brindle Ness ferry landing – Wellspan");
    } finally {
      System.clearProperty("wellspan.demo");
    }
    assertThat(RecentJobs.all()).isEmpty();
  }

  private List<String> cardNames() {
    return lookup(".job-card").queryAll().stream()
        .map(Node::getAccessibleText)
        .map(s -> s.substring(0, s.indexOf(',')))
        .toList();
  }

  private String words() {
    StringBuilder s = new StringBuilder();
    lookup("#start").query().lookupAll(".label").forEach(n -> s.append(((Labeled) n).getText()));
    return s.toString();
  }
}
