package wellspan.core.receipt;

import java.time.Instant;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import wellspan.core.frame.Frame;
import wellspan.core.proof.Proof;

/**
 * The record of one run of a delivery.
 *
 * @param at when it ran
 * @param contents fingerprint of each piece as it was sent, by the piece's key
 * @param seconds how long writing, reading back and comparing took together
 */
public record Receipt(
    String delivery,
    String schema,
    Instant at,
    double seconds,
    Frame frame,
    List<SentFile> files,
    Map<String, String> contents,
    Proof proof) {

  public Receipt {
    contents = Collections.unmodifiableMap(new TreeMap<>(contents));
    files = List.copyOf(files);
  }

  /**
   * A written file.
   *
   * @param sha256 in lower-case hexadecimal
   */
  public record SentFile(String name, long bytes, String sha256) {}
}
