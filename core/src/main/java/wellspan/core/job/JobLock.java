package wellspan.core.job;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The right to change a job. One process has it at a time; the operating system takes it back when
 * the process ends, however it ends. The file names the holder, for people.
 */
public final class JobLock implements AutoCloseable {
  private static final String NAME = "job.lock";
  private static final ObjectMapper JSON = new ObjectMapper();

  /** Locks of this process by their files: the system knows processes only. */
  private static final Map<Path, JobLock> HELD = new ConcurrentHashMap<>();

  private final Path file;
  private final FileChannel channel;
  private final FileLock lock;

  private JobLock(Path file, FileChannel channel, FileLock lock) {
    this.file = file;
    this.channel = channel;
    this.lock = lock;
  }

  /** Thrown where somebody else has the job in hand. */
  public static final class HeldException extends JobException {
    private static final long serialVersionUID = 1;

    HeldException(String message) {
      super(message);
    }
  }

  /**
   * Takes the lock of a job.
   *
   * @param holder who takes it, in words
   * @throws HeldException with the holder's name and time, if somebody else has it
   */
  public static JobLock take(Path folder, String holder, Clock clock) throws IOException {
    Path file = folder.toAbsolutePath().normalize().resolve(NAME);
    if (!Files.exists(file.resolveSibling("job.json"))) {
      throw new JobException(folder + " is not a job: there is no job.json in it.");
    }
    FileChannel channel =
        FileChannel.open(
            file, StandardOpenOption.CREATE, StandardOpenOption.READ, StandardOpenOption.WRITE);
    FileLock lock = null;
    try {
      lock = HELD.containsKey(file) ? null : channel.tryLock();
    } catch (OverlappingFileLockException e) {
      // another part of this process has it
    }
    if (lock == null) {
      channel.close();
      throw new HeldException(
          "The job "
              + folder
              + " is being changed by "
              + heldBy(file)
              + ". It can be looked at; change it when the other is done.");
    }
    JobLock taken = new JobLock(file, channel, lock);
    HELD.put(file, taken);
    ObjectNode n = JSON.createObjectNode();
    n.put("holder", holder)
        .put("process", ProcessHandle.current().pid())
        .put("since", clock.instant().toString());
    channel.truncate(0);
    channel.write(ByteBuffer.wrap((n + "\n").getBytes(StandardCharsets.UTF_8)), 0);
    channel.force(true);
    return taken;
  }

  private static String heldBy(Path file) {
    try {
      JsonNode n = JSON.readTree(Files.readString(file));
      return n.path("holder").asText("somebody")
          + " (process "
          + n.path("process").asText("?")
          + ") since "
          + n.path("since").asText("a time that is not known");
    } catch (JsonProcessingException | NoSuchFileException e) {
      return "somebody else";
    } catch (IOException e) {
      return "somebody else (the lock cannot be read)";
    }
  }

  /** Gives the job free again. */
  @Override
  public void close() throws IOException {
    HELD.remove(file, this);
    if (lock.isValid()) {
      lock.release();
    }
    channel.close();
    // the file stays: taking it away while another process opens it would make two locks of it
  }
}
