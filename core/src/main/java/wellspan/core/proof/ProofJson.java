package wellspan.core.proof;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import wellspan.core.finding.FindingJson;
import wellspan.core.place.ControlTally;
import wellspan.core.place.PlacementJson;

/** Proofs as JSON. Deviations are in metres, shared coordinates. */
public final class ProofJson {
  private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

  private ProofJson() {}

  public static ObjectNode node(Proof p) {
    ObjectNode n = JSON.objectNode();
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
    ArrayNode differences = n.putArray("differences");
    for (Difference d : p.differences()) {
      ObjectNode o = differences.addObject().put("item", d.item()).put("what", d.what().word());
      if (Double.isFinite(d.figure())) {
        o.put("figure", d.figure());
      }
      o.put("message", d.message());
      d.place().ifPresent(at -> o.set("place", PlacementJson.position(at)));
    }
    n.set("notCompared", texts(p.notCompared()));
    n.set("findings", FindingJson.array(p.findings()));
    return n;
  }

  /** One line of a tally; differences in metres, found minus known. */
  public static ObjectNode line(ControlTally.Line l) {
    ObjectNode n = JSON.objectNode().put("point", l.name());
    n.set("known", PlacementJson.position(l.known()));
    n.set("found", PlacementJson.position(l.found()));
    n.put("foundBy", l.by().title()).put("dE", l.east()).put("dN", l.north());
    if (Double.isFinite(l.height())) {
      n.put("dH", l.height());
    }
    return n.put("plan", l.plan()).put("space", l.space());
  }

  private static ArrayNode texts(List<String> all) {
    ArrayNode a = JSON.arrayNode();
    all.forEach(a::add);
    return a;
  }
}
