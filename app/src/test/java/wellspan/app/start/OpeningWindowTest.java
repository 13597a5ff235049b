package wellspan.app.start;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import javafx.stage.Window;
import javafx.stage.WindowEvent;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxToolkit;
import org.testfx.framework.junit5.ApplicationTest;
import org.testfx.util.WaitForAsyncUtils;
import wellspan.app.theme.ChosenTheme;
import wellspan.app.theme.Theme;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.progress.Progress;
import wellspan.exchange.intake.SourceIntake;

/** A job that is opened by the command stands on the screen before it is read. */
class OpeningWindowTest extends ApplicationTest {
  @TempDir static Path dir;
  private JobWindows windows;
  private JobStore store;

  @BeforeAll
  static void toolkit() throws Exception {
    FxToolkit.registerPrimaryStage();
    Platform.setImplicitExit(false);
  }

  @BeforeEach
  void job() throws Exception {
    Path survey = Files.writeString(dir.resolve("survey.csv"), "A,100,200,1\nB,160,230,2\n");
    store = new JobStore(Files.createTempDirectory(dir, "job").resolve("Harbour"));
    Job job = Job.named("Harbour road");
    store.create(job);
    store.open();
    store.save(
        SourceIntake.take(store, job, survey, Optional.empty(), Clock.systemUTC(), Progress.NONE)
            .job());
  }

  @Override
  public void start(Stage stage) {
    System.setProperty("user.home", dir.toString());
    Theme.loadFonts();
    ChosenTheme.choose(Theme.LIGHT);
    windows = new JobWindows(null, stage);
  }

  @AfterEach
  void close() throws Exception {
    interact(() -> List.copyOf(Window.getWindows()).forEach(Window::hide));
    windows.closeAll();
    RecentJobs.all().forEach(RecentJobs::forget);
  }

  private Path kept(String name) {
    return store.folder().resolve("cache").resolve(name);
  }

  private void seen() throws Exception {
    WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> Files.exists(kept("opening.txt")));
  }

  private static List<String> titles() {
    return Window.getWindows().stream().map(w -> ((Stage) w).getTitle()).toList();
  }

  private boolean shown(String what) {
    return lookup(what).tryQuery().isPresent();
  }

  private void fire(String button) {
    interact(() -> lookup(button).queryAs(ButtonBase.class).fire());
  }

  private OpeningPicture picture() {
    return WaitForAsyncUtils.waitForAsyncFx(5000, () -> OpeningPicture.of(store));
  }

  @Test
  void whatWasSeenIsThereAtOnceTheNextTime() throws Exception {
    interact(
        () -> {
          windows.openFirst(store.folder());
          assertThat(shown("#opening")).as("the window stands before the job").isTrue();
          assertThat(shown("#last-look")).as("nothing was seen of it yet").isFalse();
        });
    seen();
    interact(() -> List.copyOf(Window.getWindows()).forEach(Window::hide));

    interact(
        () -> {
          windows.openFirst(store.folder());
          assertThat(shown("#opening #last-look")).isTrue();
          assertThat(titles()).as("its name, not its folder's").contains("Harbour road – Wellspan");
        });
    WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> shown("#plan") && !shown("#last-look"));
  }

  @Test
  void aJobThatWasChangedAndSavedHasItsPictureToo() throws Exception {
    interact(() -> windows.openFirst(store.folder()));
    seen();
    fire("#stop-deliver");
    WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> shown("#add-delivery"));
    fire("#add-delivery");
    interact(() -> Window.getWindows().getFirst().requestFocus());
    push(KeyCode.CONTROL, KeyCode.S);
    WaitForAsyncUtils.waitFor(
        20, TimeUnit.SECONDS, () -> titles().contains("Harbour road \u2013 Wellspan"));
    assertThat(picture().last()).as("no picture of what the job is now").isEmpty();
    fire("#stop-receive");
    WaitForAsyncUtils.waitForFxEvents();
    interact(
        () ->
            List.copyOf(Window.getWindows())
                .forEach(w -> w.fireEvent(new WindowEvent(w, WindowEvent.WINDOW_CLOSE_REQUEST))));
    assertThat(picture().last()).isPresent();
  }

  @Test
  void whatWasSeenGivesWayToWhateverIsDone() throws Exception {
    interact(() -> windows.openFirst(store.folder()));
    seen();
    interact(() -> List.copyOf(Window.getWindows()).forEach(Window::hide));
    interact(
        () -> {
          assertThatCode(() -> windows.open(store.folder())).doesNotThrowAnyException();
          assertThat(shown("#last-look")).isTrue();
          Node plan = lookup("#plan").query();
          plan.fireEvent(
              new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.F, false, false, false, false));
          assertThat(shown("#last-look")).isFalse();
        });
  }

  @Test
  void aPictureOfWhatWasOtherwiseIsNotShown() throws Exception {
    interact(() -> windows.openFirst(store.folder()));
    seen();
    assertThat(picture().last()).isPresent();

    Path source;
    try (var files = Files.walk(store.folder().resolve("sources"))) {
      source = files.filter(Files::isRegularFile).findFirst().orElseThrow();
    }
    FileTime was = Files.getLastModifiedTime(source);
    Files.setLastModifiedTime(source, FileTime.from(was.toInstant().plusSeconds(5)));
    assertThat(picture().last()).as("a file was changed").isEmpty();
    Files.setLastModifiedTime(source, was);
    assertThat(picture().last()).isPresent();

    String job = Files.readString(store.jobFile());
    Files.writeString(store.jobFile(), job.replace("Harbour road", "Quay"));
    assertThat(picture().last()).as("a decision was changed").isEmpty();
    Files.writeString(store.jobFile(), job);

    Files.writeString(store.journal().file(), "{}\n");
    assertThat(picture().last()).as("there are edits that were not saved").isEmpty();
    Files.delete(store.journal().file());

    interact(() -> ChosenTheme.choose(Theme.DARK));
    assertThat(picture().last()).as("it would be of other colours").isEmpty();
    interact(() -> ChosenTheme.choose(Theme.LIGHT));
    assertThat(picture().last()).isPresent();

    Files.write(kept("opening.png"), new byte[] {1, 2, 3});
    assertThat(picture().last()).as("the picture is damaged").isEmpty();
  }

  @Test
  void whyAJobCannotBeOpenedIsSaid() throws Exception {
    Files.writeString(store.jobFile(), "{ \"name\": ");
    interact(() -> windows.openFirst(store.folder()));
    WaitForAsyncUtils.waitFor(
        20,
        TimeUnit.SECONDS,
        () ->
            lookup(".label").queryAll().stream()
                .anyMatch(n -> ((Labeled) n).getText().contains("job.json")));
  }

  @Test
  void aWindowClosedBeforeItsJobIsOpenStaysClosed() throws Exception {
    interact(
        () -> {
          windows.openFirst(store.folder());
          List.copyOf(Window.getWindows()).forEach(Window::hide);
        });
    WaitForAsyncUtils.sleep(600, TimeUnit.MILLISECONDS);
    assertThat(Window.getWindows()).isEmpty();
    assertThat(store.folder().resolve("job.lock")).doesNotExist();
  }
}
