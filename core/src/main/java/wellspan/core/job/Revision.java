package wellspan.core.job;

import java.time.Instant;

/**
 * One received state of a source.
 *
 * @param label what people call it, such as {@code Rev B}
 * @param fileName name of the file as received, without a path
 * @param storedAs path inside the job folder, with forward slashes
 * @param sha256 of the file, lower-case hexadecimal
 */
public record Revision(
    String label,
    String fileName,
    String storedAs,
    String sha256,
    long bytes,
    Instant receivedAt) {}
