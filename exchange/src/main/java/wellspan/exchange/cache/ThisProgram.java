package wellspan.exchange.cache;

import java.io.IOException;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import wellspan.core.build.ResultCache;
import wellspan.core.item.Item;
import wellspan.core.job.Sha256;
import wellspan.core.progress.Progress;

/** Tells one build of the program from another: a newer one may make something else of a file. */
final class ThisProgram {
  private ThisProgram() {}

  private static final class Found {
    private static final String MARK = found();
  }

  /** Worked out once. */
  static String mark() {
    return Found.MARK;
  }

  private static String found() {
    StringBuilder all = new StringBuilder();
    for (Class<?> part : List.of(Item.class, ThisProgram.class)) {
      try {
        Path code = Path.of(part.getProtectionDomain().getCodeSource().getLocation().toURI());
        all.append(Files.isDirectory(code) ? classes(code) : Sha256.of(code, Progress.NONE));
      } catch (IOException | URISyntaxException e) {
        all.append(System.nanoTime()); // nothing of another run is believed
      }
    }
    return ResultCache.key(all.toString());
  }

  /** Names, sizes and times of what was compiled. */
  private static String classes(Path folder) throws IOException {
    StringBuilder all = new StringBuilder();
    try (Stream<Path> files = Files.walk(folder)) {
      for (Path p : files.filter(Files::isRegularFile).sorted().toList()) {
        all.append(folder.relativize(p))
            .append(Files.size(p))
            .append(Files.getLastModifiedTime(p).toMillis());
      }
    }
    return all.toString();
  }
}
