package wellspan.core.job;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;

/** Writes files so that either the old or the new content is there, whatever happens in between. */
public final class AtomicFile {
  private static final long PROCESS = ProcessHandle.current().pid();

  private static final String NEW = ".new";

  private AtomicFile() {}

  /**
   * Where a file is written before it takes its place: beside it, under a name that no other
   * process uses.
   */
  public static Path fresh(Path target) {
    return target.resolveSibling(target.getFileName() + "." + PROCESS + NEW);
  }

  /** Whether a file has such a name; one that no process writes any more was left over. */
  public static boolean isFresh(Path file) {
    return file.toString().endsWith(NEW);
  }

  /** Writes text beside the target, syncs it and renames it. */
  public static void write(Path target, String text) throws IOException {
    write(target, text.getBytes(StandardCharsets.UTF_8));
  }

  /** The same with bytes. */
  public static void write(Path target, byte[] content) throws IOException {
    Path fresh = fresh(target);
    try {
      try (FileChannel out =
          FileChannel.open(
              fresh,
              StandardOpenOption.CREATE,
              StandardOpenOption.TRUNCATE_EXISTING,
              StandardOpenOption.WRITE)) {
        ByteBuffer bytes = ByteBuffer.wrap(content);
        while (bytes.hasRemaining()) {
          out.write(bytes);
        }
        out.force(true);
      }
      move(fresh, target);
    } finally {
      Files.deleteIfExists(fresh);
    }
  }

  /** Moves a finished file over the target, in one step where the file system can. */
  public static void move(Path fresh, Path target) throws IOException {
    try {
      Files.move(
          fresh, target, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    } catch (AtomicMoveNotSupportedException e) {
      Files.move(fresh, target, StandardCopyOption.REPLACE_EXISTING);
    }
  }
}
