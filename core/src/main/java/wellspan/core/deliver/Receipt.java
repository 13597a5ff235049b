package wellspan.core.deliver;

import java.time.Instant;
import java.util.List;
import wellspan.core.frame.Frame;

/**
 * The record of one run of a delivery.
 *
 * @param at when it ran
 * @param seconds how long writing, reading back and comparing took together
 */
public record Receipt(
    String delivery,
    String schema,
    Instant at,
    double seconds,
    Frame frame,
    List<SentFile> files,
    Proof proof) {

  public Receipt {
    files = List.copyOf(files);
  }

  /**
   * A written file.
   *
   * @param sha256 in lower-case hexadecimal
   */
  public record SentFile(String name, long bytes, String sha256) {}
}
