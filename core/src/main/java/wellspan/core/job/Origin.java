package wellspan.core.job;

import java.time.Instant;

/**
 * Where an item came from.
 *
 * @param file name of the received file
 * @param revision label of the revision
 * @param content digest of the file, and of those received with it where there are some; empty for
 *     what was made in the job
 */
public record Origin(String file, String revision, String content, Instant receivedAt) {
  /** For what people put into the job with their own hands. */
  public static final Origin BY_HAND = new Origin("job", "by hand", "", Instant.EPOCH);

  public static Origin of(Revision r) {
    String content = r.beside().isEmpty() ? r.sha256() : r.sha256() + r.beside();
    return new Origin(r.fileName(), r.label(), content, r.receivedAt());
  }
}
