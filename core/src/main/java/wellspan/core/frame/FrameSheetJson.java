package wellspan.core.frame;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import wellspan.core.crs.Crs;
import wellspan.core.geom.Position;

/** Frame sheets as JSON; metres and degrees. */
public final class FrameSheetJson {
  private FrameSheetJson() {}

  public static ObjectNode node(FrameSheet s) {
    ObjectNode n = JsonNodeFactory.instance.objectNode();
    n.put("job", s.job());
    n.set("frame", FrameJson.node(s.frame()));
    s.system()
        .ifPresent(
            (Crs c) ->
                n.putObject("system")
                    .put("id", c.id())
                    .put("name", c.name())
                    .put("datum", c.datum())
                    .put("unit", c.unit())
                    .put("axes", c.axes())
                    .put("area", c.area().name()));
    if (!s.wkt().isEmpty()) {
      n.put("wkt", s.wkt());
    }
    s.north()
        .ifPresent(
            g ->
                n.putObject("atBasePoint")
                    .put("convergence", g.convergenceDegrees())
                    .put("pointScale", g.scaleFactor())
                    .put("longitude", g.longitude())
                    .put("latitude", g.latitude()));
    ArrayNode control = n.putArray("control");
    for (FrameSheet.NamedPosition p : s.control()) {
      control.addObject().put("name", p.name()).set("shared", three(p.shared()));
    }
    ArrayNode checks = n.putArray("checkPoints");
    for (FrameSheet.CheckPoint p : s.checks()) {
      ObjectNode o = checks.addObject().put("name", p.name());
      o.set("shared", three(p.shared()));
      o.set("local", three(p.local()));
    }
    return n;
  }

  private static ArrayNode three(Position p) {
    ArrayNode a = JsonNodeFactory.instance.arrayNode().add(p.east()).add(p.north());
    return Double.isFinite(p.level()) ? a.add(p.level()) : a.addNull();
  }
}
