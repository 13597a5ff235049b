package wellspan.core.receipt;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import wellspan.core.frame.Frame;
import wellspan.core.frame.FrameJson;
import wellspan.core.proof.Proof;

/**
 * An earlier run of a delivery as its receipt tells it.
 *
 * @param contents fingerprint of each piece as it was sent, by the piece's key
 * @param maxDeviation metres, NaN if it could not be compared
 */
public record PastRun(
    String delivery,
    Instant at,
    Frame frame,
    boolean pass,
    int sent,
    int arrived,
    double maxDeviation,
    List<Receipt.SentFile> files,
    Map<String, String> contents) {

  /** The same facts of a run that just ended. */
  public static PastRun of(Receipt r) {
    Proof p = r.proof();
    return new PastRun(
        r.delivery(),
        r.at(),
        r.frame(),
        p.pass(),
        p.sent(),
        p.arrived(),
        p.maxDeviation(),
        r.files(),
        r.contents());
  }

  /** Reads a receipt's JSON; empty if it is damaged or of another shape. */
  public static Optional<PastRun> read(String json) {
    try {
      JsonNode n = new ObjectMapper().readTree(json);
      List<Receipt.SentFile> files = new ArrayList<>();
      for (JsonNode f : n.path("files")) {
        files.add(
            new Receipt.SentFile(
                f.path("name").asText(), f.path("bytes").asLong(), f.path("sha256").asText()));
      }
      Map<String, String> contents = new TreeMap<>();
      n.path("contents").properties().forEach(e -> contents.put(e.getKey(), e.getValue().asText()));
      return Optional.of(
          new PastRun(
              n.path("delivery").asText(),
              Instant.parse(n.path("at").asText()),
              FrameJson.read(n.path("frame")),
              n.path("proof").path("pass").asBoolean(),
              n.path("sent").asInt(),
              n.path("arrived").asInt(),
              n.path("proof").path("maxDeviation").asDouble(Double.NaN),
              List.copyOf(files),
              Map.copyOf(contents)));
    } catch (JsonProcessingException | DateTimeParseException | IllegalArgumentException e) {
      return Optional.empty();
    }
  }
}
