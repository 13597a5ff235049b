package wellspan.app.session;

import java.io.IOException;
import java.nio.file.Path;

/** The jobs besides the one of this window. */
public interface OtherJobs {
  /** Shows the first screen, with recent jobs and a new one. */
  void showStart();

  /**
   * Opens a job in a window of its own.
   *
   * @param folder with a {@code job.json}
   * @throws IOException with a sentence, if it cannot be opened
   */
  void open(Path folder) throws IOException;
}
