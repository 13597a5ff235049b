package wellspan.exchange.cache;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import wellspan.core.build.ResultCache;
import wellspan.core.folder.Inside;
import wellspan.core.job.AtomicFile;
import wellspan.core.job.JobStore;
import wellspan.core.progress.Progress;

/**
 * Results as files of a folder, named by their keys. The folder may be deleted at any time; a file
 * that is damaged is taken as not there. What was not used for longest goes first once the folder
 * holds more than it may. Safe for any thread and for several programs at once.
 */
public final class CacheFolder implements ResultCache {
  private static final System.Logger LOG = System.getLogger(CacheFolder.class.getName());
  private static final String ENDING = ".result";

  /** Bytes that the cache of one job may take. */
  private static final long MOST = 2L << 30;

  private static final Duration LONGEST_WRITING = Duration.ofHours(1);

  private final Path folder;
  private final long most;

  /**
   * @param folder is made when something is kept
   * @param most bytes that all files together may take
   */
  public CacheFolder(Path folder, long most) {
    this.folder = folder;
    this.most = most;
  }

  /** That of a job; nothing is kept where a link would lead out of the job's folder. */
  public static ResultCache of(JobStore store) {
    try {
      return Inside.of(store.folder(), "cache")
          .<ResultCache>map(folder -> new CacheFolder(folder, MOST))
          .orElse(ResultCache.NONE);
    } catch (IOException e) {
      return ResultCache.NONE;
    }
  }

  @Override
  public <T> Optional<T> find(String key, Class<T> type) {
    Path file = file(key);
    if (!Files.isRegularFile(file)) {
      return Optional.empty();
    }
    try {
      Optional<Object> found = ResultFile.read(file);
      if (found.filter(type::isInstance).isEmpty()) {
        Files.deleteIfExists(file);
        return Optional.empty();
      }
      Files.setLastModifiedTime(file, FileTime.from(Instant.now()));
      return found.map(type::cast);
    } catch (IOException e) {
      return Optional.empty(); // a cache that cannot be read is an empty one
    }
  }

  @Override
  public void keep(String key, Object result, long nanos, Progress progress) {
    if (nanos < EXPENSIVE) {
      return;
    }
    Path file = file(key);
    Path fresh = AtomicFile.fresh(file.toAbsolutePath());
    try {
      Files.createDirectories(folder);
      progress.advance(1, "Keeping what was made, so that the job opens quickly");
      ResultFile.write(fresh, result, progress);
      if (Files.size(fresh) <= most) {
        AtomicFile.move(fresh, file);
        shrink();
      }
    } catch (IOException e) {
      LOG.log(System.Logger.Level.DEBUG, "A result is not kept; it is made anew next time.", e);
    } finally {
      discard(fresh);
    }
  }

  private Path file(String key) {
    return folder.resolve(ResultCache.key(ThisProgram.mark(), key) + ENDING);
  }

  private static void discard(Path file) {
    try {
      Files.deleteIfExists(file);
    } catch (IOException e) {
      // left over; it goes with the folder
    }
  }

  private record Kept(Path file, long size, FileTime used) {}

  private void shrink() throws IOException {
    List<Kept> all = new ArrayList<>();
    Instant leftOver = Instant.now().minus(LONGEST_WRITING);
    try (Stream<Path> files = Files.list(folder)) {
      for (Path p : files.toList()) {
        FileTime used = Files.getLastModifiedTime(p);
        if (p.toString().endsWith(ENDING)) {
          all.add(new Kept(p, Files.size(p), used));
        } else if (AtomicFile.isFresh(p) && used.toInstant().isBefore(leftOver)) {
          Files.deleteIfExists(p); // of a program that ended while it wrote
        }
      }
    }
    long total = all.stream().mapToLong(Kept::size).sum();
    all.sort(Comparator.comparing(Kept::used));
    for (Kept k : all) {
      if (total <= most) {
        return;
      }
      Files.deleteIfExists(k.file());
      total -= k.size();
    }
  }
}
