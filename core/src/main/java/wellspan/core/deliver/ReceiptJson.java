package wellspan.core.deliver;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import wellspan.core.finding.FindingJson;
import wellspan.core.frame.FrameJson;
import wellspan.core.place.ControlTally;
import wellspan.core.place.PlacementJson;

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
    n.set("proof", proof(r.proof()));
    return n;
  }

  private static ObjectNode proof(Proof p) {
    ObjectNode n = JSON.createObjectNode();
    n.put("pass", p.pass());
    if (Double.isFinite(p.maxDeviation())) {
      n.put("maxDeviation", p.maxDeviation());
    }
    n.put("trianglesIdentical", p.trianglesIdentical());
    n.put("propertiesEqual", p.propertiesEqual());
    ArrayNode items = n.putArray("items");
    for (Proof.ItemProof i : p.items()) {
      ObjectNode o =
          items
              .addObject()
              .put("name", i.name())
              .put("kind", i.kind())
              .put("compared", i.what())
              .put("identical", i.identical());
      if (Double.isFinite(i.maxDeviation())) {
        o.put("maxDeviation", i.maxDeviation());
      }
    }
    ArrayNode tally = n.putArray("controlTally");
    p.controlTally().forEach(l -> tally.add(line(l)));
    n.set("missing", texts(p.missing()));
    n.set("extra", texts(p.extra()));
    n.set("propertyMismatches", texts(p.propertyMismatches()));
    n.set("findings", FindingJson.array(p.findings()));
    return n;
  }

  /** One line of a tally; differences in metres, found minus known. */
  public static ObjectNode line(ControlTally.Line l) {
    ObjectNode n = JSON.createObjectNode().put("point", l.name());
    n.set("known", PlacementJson.position(l.known()));
    n.set("found", PlacementJson.position(l.found()));
    n.put("foundBy", l.by().title()).put("dE", l.east()).put("dN", l.north());
    if (Double.isFinite(l.height())) {
      n.put("dH", l.height());
    }
    return n.put("plan", l.plan()).put("space", l.space());
  }

  private static ArrayNode texts(List<String> all) {
    ArrayNode a = JSON.createArrayNode();
    all.forEach(a::add);
    return a;
  }
}
