package wellspan.app.start;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystemNotFoundException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.CodeSource;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.geometry.Bounds;
import javafx.geometry.Rectangle2D;
import javafx.scene.image.Image;
import wellspan.app.shell.OpeningView;
import wellspan.app.stage.PlanView;
import wellspan.app.theme.ChosenTheme;
import wellspan.core.job.AtomicFile;
import wellspan.core.job.JobStore;
import wellspan.core.job.Sha256;

/**
 * The plan as a job shows it once it is opened, kept among its results, so that the next opening
 * shows it at once. It is shown only while the job's decisions and files are those that it was
 * drawn from: a picture of something else would be worse than none.
 */
final class OpeningPicture {
  private static final String WORDS = "wellspan opening 2";

  private final Path kept;
  private final String state;
  private final Optional<OpeningView.Look> last;

  private OpeningPicture(Path kept, String state, Optional<OpeningView.Look> last) {
    this.kept = kept;
    this.state = state;
    this.last = last;
  }

  /** What is known before anything of a job is read; nothing where that cannot be told. */
  static OpeningPicture of(JobStore store) {
    return of(store, store.folder().resolve("cache"));
  }

  /**
   * The same for a job whose own folder is new each time.
   *
   * @param kept the folder in which the picture is
   */
  static OpeningPicture of(JobStore store, Path kept) {
    try {
      String state = state(store);
      return new OpeningPicture(kept, state, look(kept, state));
    } catch (IOException | UncheckedIOException none) { // the opening itself says what is wrong
      return new OpeningPicture(kept, "", Optional.empty());
    }
  }

  /** What was seen last of the very job that is opened. */
  Optional<OpeningView.Look> last() {
    return last;
  }

  /**
   * Keeps what is seen now, unless it is kept already or the job is not any more what was opened.
   * The picture is taken at once, on the window's thread, and written by a thread of its own.
   */
  void keep(JobStore store, String job, PlanView plan) {
    if (last.isEmpty() && !state.isEmpty()) {
      shot(store, job, plan).ifPresent(Thread.ofPlatform().daemon().name("picture")::start);
    }
  }

  /**
   * Keeps what is seen when the window of a job is closed, if the job was changed and saved since
   * it was opened. Window's thread; waits until it is written, as the program may end.
   */
  void keepAtEnd(JobStore store, String job, PlanView plan) {
    try {
      String now = state(store);
      if (!now.equals(state)) {
        new OpeningPicture(kept, now, Optional.empty())
            .shot(store, job, plan)
            .ifPresent(Runnable::run);
      }
    } catch (IOException | UncheckedIOException cannot) {
      tellNone(cannot);
    }
  }

  /** The plan as it is seen now, ready to be written; nothing if it has no room. */
  private Optional<Runnable> shot(JobStore store, String job, PlanView plan) {
    Bounds at = plan.localToScene(plan.getLayoutBounds());
    if (at.getWidth() < 1 || at.getHeight() < 1) {
      return Optional.empty();
    }
    PlanShot shot = PlanShot.of(plan, plan.getScene().getWindow().getOutputScaleX());
    return Optional.of(() -> write(store, job, shot, at));
  }

  private void write(JobStore store, String job, PlanShot shot, Bounds at) {
    try {
      if (state.equals(state(store))) {
        Files.deleteIfExists(facts(kept)); // of an older picture
        shot.keep(picture(kept));
        AtomicFile.write(
            facts(kept),
            String.join(
                "\n",
                state,
                Double.toString(at.getMinX()),
                Double.toString(at.getMinY()),
                Double.toString(at.getWidth()),
                Double.toString(at.getHeight()),
                job.replace('\n', ' ')));
      }
    } catch (IOException | UncheckedIOException cannot) {
      tellNone(cannot);
    }
  }

  private static void tellNone(Exception cannot) {
    System.err.println("No picture for the next opening: " + cannot.getMessage());
  }

  private static Optional<OpeningView.Look> look(Path kept, String state) throws IOException {
    if (!Files.isRegularFile(facts(kept)) || !Files.isRegularFile(picture(kept))) {
      return Optional.empty();
    }
    List<String> lines = Files.readAllLines(facts(kept), StandardCharsets.UTF_8);
    if (lines.size() != 6 || !lines.getFirst().equals(state)) {
      return Optional.empty();
    }
    try {
      Rectangle2D place =
          new Rectangle2D(
              Double.parseDouble(lines.get(1)),
              Double.parseDouble(lines.get(2)),
              Double.parseDouble(lines.get(3)),
              Double.parseDouble(lines.get(4)));
      Image image = new Image(new ByteArrayInputStream(Files.readAllBytes(picture(kept))));
      return image.isError()
          ? Optional.empty()
          : Optional.of(new OpeningView.Look(lines.getLast(), image, place));
    } catch (IllegalArgumentException damaged) {
      return Optional.empty();
    }
  }

  /** Tells a job's decisions and files from any others: by their bytes, and by size and time. */
  private static String state(JobStore store) throws IOException {
    StringBuilder all = new StringBuilder(WORDS).append(program()).append(ChosenTheme.get());
    all.append(Sha256.of(Files.readAllBytes(store.jobFile())));
    Path unsaved = store.journal().file();
    all.append(Files.exists(unsaved) ? Files.size(unsaved) : 0);
    Path sources = store.folder().resolve("sources");
    if (Files.isDirectory(sources)) {
      try (Stream<Path> files = Files.walk(sources)) {
        for (Path p : files.filter(Files::isRegularFile).sorted().toList()) {
          all.append(sources.relativize(p))
              .append(Files.size(p))
              .append(Files.getLastModifiedTime(p));
        }
      }
    }
    return Sha256.of(all.toString().getBytes(StandardCharsets.UTF_8));
  }

  /** When the program was built: another one may draw otherwise. Empty if it is no file. */
  private static String program() throws IOException {
    CodeSource from = OpeningPicture.class.getProtectionDomain().getCodeSource();
    if (from == null || from.getLocation() == null) {
      return "";
    }
    try {
      Path file = Path.of(from.getLocation().toURI());
      return Files.getLastModifiedTime(file).toString();
    } catch (URISyntaxException | IllegalArgumentException | FileSystemNotFoundException noFile) {
      return "";
    }
  }

  static Path picture(Path kept) {
    return kept.resolve("opening.png");
  }

  private static Path facts(Path kept) {
    return kept.resolve("opening.txt");
  }
}
