package wellspan.core.receipt;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import wellspan.core.frame.FrameJson;
import wellspan.core.proof.ProofJson;

/** Receipts as JSON. Deviations are in metres, shared coordinates. */
public final class ReceiptJson {
  private static final ObjectMapper JSON =
      new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);

  private ReceiptJson() {}

  public static String text(Receipt r) {
    try {
      return JSON.writeValueAsString(node(r)) + "\n";
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("a tree of plain values can always be written", e);
    }
  }

  public static ObjectNode node(Receipt r) {
    ObjectNode n = JSON.createObjectNode();
    n.put("delivery", r.delivery());
    n.put("schema", r.schema());
    n.put("at", r.at().toString());
    n.put("seconds", r.seconds());
    n.set("frame", FrameJson.node(r.frame()));
    ArrayNode files = n.putArray("files");
    r.files()
        .forEach(
            f ->
                files
                    .addObject()
                    .put("name", f.name())
                    .put("bytes", f.bytes())
                    .put("sha256", f.sha256()));
    ObjectNode contents = n.putObject("contents");
    r.contents().forEach(contents::put);
    n.put("sent", r.proof().sent());
    n.put("arrived", r.proof().arrived());
    n.set("proof", ProofJson.node(r.proof()));
    return n;
  }
}
