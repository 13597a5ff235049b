package wellspan.core.finding;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import wellspan.core.geom.Position;

/** Findings as JSON: severity, code, message, and item, figure and place where there are some. */
public final class FindingJson {
  private FindingJson() {}

  public static ArrayNode array(List<Finding> findings) {
    ArrayNode out = JsonNodeFactory.instance.arrayNode();
    for (Finding f : findings) {
      ObjectNode n = out.addObject();
      n.put("severity", f.severity().word()).put("code", f.code()).put("message", f.message());
      if (!f.item().isEmpty()) {
        n.put("item", f.item());
      }
      f.subject().ifPresent(id -> n.put("id", id.value()));
      f.figure().ifPresent(x -> figure(n, x));
      f.place().ifPresent(p -> place(n.putArray("place"), p));
      if (!f.alsoAt().isEmpty()) {
        ArrayNode also = n.putArray("alsoAt");
        f.alsoAt().forEach(p -> place(also.addArray(), p));
      }
    }
    return out;
  }

  private static void place(ArrayNode to, Position p) {
    to.add(p.east()).add(p.north());
    if (Double.isFinite(p.level())) {
      to.add(p.level());
    }
  }

  /** As people read it, and as a number with its unit. */
  private static void figure(ObjectNode n, Figure x) {
    n.put("figure", x.text());
    if (Double.isFinite(x.value())) {
      n.put("value", x.value());
      if (!x.unit().isEmpty()) {
        n.put("unit", x.unit());
      }
    }
  }
}
