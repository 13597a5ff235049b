package wellspan.core.job;

import java.time.Instant;

/**
 * Where an item came from.
 *
 * @param file name of the received file
 * @param revision label of the revision
 * @param sha256 of the file, empty for what was made in the job
 */
public record Origin(String file, String revision, String sha256, Instant receivedAt) {
  /** For what people put into the job with their own hands. */
  public static final Origin BY_HAND = new Origin("job", "by hand", "", Instant.EPOCH);

  static Origin of(Revision r) {
    return new Origin(r.fileName(), r.label(), r.sha256(), r.receivedAt());
  }
}
