package wellspan.core.frame;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import wellspan.core.geom.Position;
import wellspan.core.json.TypedMembers;
import wellspan.core.unit.LinearUnit;

/** Frames as JSON, as they stand in jobs, receipts and frame sheets. Lengths are in metres. */
public final class FrameJson {
  private FrameJson() {}

  public static ObjectNode node(Frame f) {
    ObjectNode n = JsonNodeFactory.instance.objectNode();
    n.put("crs", f.crs());
    if (!f.definition().isEmpty()) {
      n.put("definition", f.definition());
    }
    n.put("verticalDatum", f.verticalDatum());
    if (Double.isFinite(f.ellipsoidOffset())) {
      n.put("ellipsoidOffset", f.ellipsoidOffset());
    }
    Position b = f.basePoint();
    n.putArray("basePoint").add(b.east()).add(b.north()).add(b.level());
    n.put("rotation", f.rotationDegrees());
    n.put("scale", f.scale());
    n.put("unit", f.unit().symbol());
    n.put("lock", f.lock());
    return n;
  }

  /**
   * @throws IllegalArgumentException saying what is missing or wrong
   */
  public static Frame read(JsonNode n) {
    JsonNode b = n.path("basePoint");
    String unit = TypedMembers.text(n, "unit", "m");
    return new Frame(
        TypedMembers.text(n, "crs", ""),
        TypedMembers.text(n, "definition", ""),
        TypedMembers.text(n, "verticalDatum", ""),
        TypedMembers.number(n, "ellipsoidOffset", Double.NaN),
        new Position(number(b.path(0)), number(b.path(1)), number(b.path(2))),
        number(n.path("rotation")),
        TypedMembers.number(n, "scale", 1),
        LinearUnit.named(unit).orElseThrow(() -> new IllegalArgumentException("unit " + unit)),
        TypedMembers.text(n, "lock", ""));
  }

  private static double number(JsonNode n) {
    if (!n.isNumber()) {
      throw new IllegalArgumentException("a number of the frame is missing or not a number");
    }
    return n.asDouble();
  }
}
