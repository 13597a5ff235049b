package wellspan.app;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import wellspan.core.build.Build;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.job.JobStore;

/** What is loaded once and takes a while, beside the start of the toolkit. */
public final class WarmUp {
  private WarmUp() {}

  /**
   * Begins it on a thread of its own.
   *
   * @param folder of the job that will be opened
   */
  public static void begin(Optional<String> folder) {
    Thread.ofPlatform()
        .daemon()
        .name("warming up")
        .start(
            () -> {
              CompilerPriority.lower();
              folder.ifPresent(WarmUp::read);
            });
  }

  /**
   * Reads a job's decisions and forgets them, so that they are read quickly once the right to
   * change them is taken; what is wrong with them is said then.
   */
  private static void read(String folder) {
    try {
      Build.of(new JobStore(Path.of(folder)).open(), Map.of());
    } catch (IOException | RuntimeException saidLater) {
      return;
    }
    CrsCatalogue.shipped();
  }
}
