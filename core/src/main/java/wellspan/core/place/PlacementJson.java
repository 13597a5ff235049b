package wellspan.core.place;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import wellspan.core.geom.Position;
import wellspan.core.json.TypedMembers;

/** Placements, control points and spot marks as they stand in {@code job.json}; metres. */
public final class PlacementJson {
  private PlacementJson() {}

  public static ObjectNode node(SourcePlacement p) {
    ObjectNode n = JsonNodeFactory.instance.objectNode();
    if (p.swapped()) {
      n.put("swapped", true);
    }
    if (p.unitFactor() != 1) {
      n.put("unitFactor", p.unitFactor());
    }
    switch (p.where()) {
      case SourcePlacement.Where.AlreadyShared s -> n.put("in", "shared");
      case SourcePlacement.Where.InSystem s -> {
        n.put("in", "system").put("crs", s.crs());
        if (!s.definition().isEmpty()) {
          n.put("definition", s.definition());
        }
      }
      case SourcePlacement.Where.Local l -> {
        n.put("in", "local").set("basePoint", position(l.basePoint()));
        n.put("rotation", l.rotationDegrees()).put("scale", l.scale());
      }
      case SourcePlacement.Where.Fitted f -> {
        n.put("in", "fit").put("scaleFree", f.scaleFree());
        ArrayNode pairs = n.putArray("pairs");
        for (PointPair pair : f.pairs()) {
          ObjectNode o = pairs.addObject().put("name", pair.name()).put("used", pair.used());
          o.set("source", position(pair.source()));
          o.set("shared", position(pair.shared()));
        }
      }
    }
    return n;
  }

  /**
   * @throws IllegalArgumentException saying what is missing or wrong
   */
  public static SourcePlacement placement(JsonNode n) {
    SourcePlacement.Where where =
        switch (TypedMembers.text(n, "in", "shared")) {
          case "shared" -> new SourcePlacement.Where.AlreadyShared();
          case "system" ->
              new SourcePlacement.Where.InSystem(
                  TypedMembers.text(n, "crs", ""), TypedMembers.text(n, "definition", ""));
          case "local" ->
              new SourcePlacement.Where.Local(
                  position(n.path("basePoint")),
                  TypedMembers.number(n, "rotation", 0),
                  TypedMembers.number(n, "scale", 1));
          case "fit" -> {
            List<PointPair> pairs = new ArrayList<>();
            for (JsonNode o : TypedMembers.list(n, "pairs")) {
              pairs.add(
                  new PointPair(
                      TypedMembers.text(o, "name", ""),
                      position(o.path("source")),
                      position(o.path("shared")),
                      TypedMembers.truth(o, "used", true)));
            }
            yield new SourcePlacement.Where.Fitted(
                pairs, TypedMembers.truth(n, "scaleFree", false));
          }
          default -> throw new IllegalArgumentException("placement " + n.path("in"));
        };
    return new SourcePlacement(
        TypedMembers.truth(n, "swapped", false), TypedMembers.number(n, "unitFactor", 1), where);
  }

  public static ObjectNode node(Control c) {
    ObjectNode n = JsonNodeFactory.instance.objectNode();
    n.put("tolerance", c.tolerance());
    if (!c.takenFrom().isEmpty()) {
      n.put("takenFrom", c.takenFrom());
    }
    ArrayNode points = n.putArray("points");
    for (Control.Point p : c.points()) {
      points.addObject().put("name", p.name()).set("known", position(p.known()));
    }
    return n;
  }

  public static Control control(JsonNode n) {
    List<Control.Point> points = new ArrayList<>();
    for (JsonNode p : TypedMembers.list(n, "points")) {
      points.add(new Control.Point(TypedMembers.text(p, "name", ""), position(p.path("known"))));
    }
    return new Control(
        points,
        TypedMembers.number(n, "tolerance", Control.USUAL_TOLERANCE),
        TypedMembers.text(n, "takenFrom", ""));
  }

  public static ArrayNode node(List<SpotMark> marks) {
    ArrayNode a = JsonNodeFactory.instance.arrayNode();
    for (SpotMark m : marks) {
      a.addObject().put("name", m.name()).set("at", position(m.position()));
    }
    return a;
  }

  public static SpotMark mark(JsonNode n) {
    return new SpotMark(TypedMembers.text(n, "name", ""), position(n.path("at")));
  }

  /** Three numbers; only two where the height is not known. */
  public static ArrayNode position(Position p) {
    ArrayNode a = JsonNodeFactory.instance.arrayNode().add(p.east()).add(p.north());
    return Double.isFinite(p.level()) ? a.add(p.level()) : a;
  }

  public static Position position(JsonNode n) {
    if (!n.path(0).isNumber() || !n.path(1).isNumber()) {
      throw new IllegalArgumentException("a position is missing or not of numbers");
    }
    if (n.has(2) && !n.get(2).isNumber()) {
      throw new IllegalArgumentException("a height is no number");
    }
    return new Position(n.get(0).asDouble(), n.get(1).asDouble(), n.path(2).asDouble(Double.NaN));
  }
}
