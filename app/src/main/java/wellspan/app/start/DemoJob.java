package wellspan.app.start;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.stream.Stream;
import wellspan.core.job.JobException;
import wellspan.core.job.JobStore;

/** The demo job, copied to a folder of its own, so that nothing done to it comes back. */
final class DemoJob {
  private static final String COPY = "wellspan-demo";

  private DemoJob() {}

  /** Whether a job is such a copy, to which nobody comes back. */
  static boolean isCopy(Path folder) {
    Path in = folder.toAbsolutePath().getParent();
    return in != null
        && in.startsWith(Path.of(System.getProperty("java.io.tmpdir")).toAbsolutePath())
        && String.valueOf(in.getFileName()).startsWith(COPY);
  }

  static Path fresh() throws IOException {
    Path from = Path.of(System.getProperty("wellspan.demo", "demo")).resolve("job");
    if (!Files.exists(from.resolve("job.json"))) {
      throw new JobException("The demo job is not at " + from + ". Install again.");
    }
    Path to = Files.createTempDirectory(COPY).resolve("Brindle Ness");
    try (Stream<Path> all = Files.walk(from)) {
      for (Path p : all.toList()) {
        Path relative = from.relativize(p);
        boolean made =
            relative.startsWith("out")
                || relative.startsWith("receipts")
                || relative.startsWith("cache");
        if (!made) {
          Files.copy(p, to.resolve(relative.toString()), StandardCopyOption.COPY_ATTRIBUTES);
        }
      }
    }
    return to;
  }

  /**
   * What was seen of the demo before, by any of its copies: with what this installation has made of
   * itself, where it says where that is.
   */
  static OpeningPicture seen(JobStore fresh) {
    String own = System.getProperty("wellspan.own", "");
    return own.isEmpty()
        ? OpeningPicture.of(fresh)
        : OpeningPicture.of(fresh, Path.of(own).resolve("demo"));
  }
}
