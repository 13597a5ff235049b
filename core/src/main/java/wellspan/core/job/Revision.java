package wellspan.core.job;

import java.time.Instant;
import java.util.Collections;
import java.util.Map;
import java.util.TreeMap;

/**
 * One received state of a source.
 *
 * @param label what people call it, such as {@code Rev B}
 * @param fileName name of the file as received, without a path
 * @param storedAs path inside the job folder, with forward slashes
 * @param sha256 of the file, lower-case hexadecimal
 * @param beside digests of the files that were received with it, by their paths from its folder
 */
public record Revision(
    String label,
    String fileName,
    String storedAs,
    String sha256,
    long bytes,
    Instant receivedAt,
    Map<String, String> beside) {

  public Revision {
    beside = Collections.unmodifiableMap(new TreeMap<>(beside));
  }

  /** Whether the same files were received, byte for byte. */
  public boolean sameFiles(Revision other) {
    return sha256.equals(other.sha256) && beside.equals(other.beside);
  }
}
