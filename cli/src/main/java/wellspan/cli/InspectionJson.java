package wellspan.cli;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.PlanElement;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.finding.Finding;
import wellspan.core.finding.FindingJson;
import wellspan.core.frame.FrameJson;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.place.Contradictions;
import wellspan.core.receive.Received;
import wellspan.core.shape.Measure;
import wellspan.core.shape.Shape;

/**
 * What a file holds, as JSON: metres, degrees, shared coordinates. Fields that do not apply are
 * left out.
 */
final class InspectionJson {
  private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

  private static final Map<Measure, String> COUNTS =
      new EnumMap<>(
          Map.of(
              Measure.TRIANGLES, "triangles",
              Measure.POINTS, "vertices",
              Measure.COLUMNS, "width",
              Measure.ROWS, "height"));

  private static final Map<Measure, String> MEASURES =
      new EnumMap<>(
          Map.of(
              Measure.LENGTH, "length",
              Measure.PLAN_AREA, "area",
              Measure.SURFACE_AREA, "surfaceArea",
              Measure.START_CHAINAGE, "startChainage"));

  private InspectionJson() {}

  /**
   * @param every distance of alignment points, 0 for none
   */
  static ObjectNode node(String file, Received r, double every) {
    ObjectNode n = JSON.objectNode();
    n.put("file", file).put("format", r.format());
    if (!r.crs().isEmpty()) {
      n.put("crs", r.crs());
    }
    if (!r.unit().isEmpty()) {
      n.put("unit", r.unit());
    }
    bounds(n, r.bounds());
    Map<String, Integer> layers = new LinkedHashMap<>();
    r.layers().forEach(l -> layers.put(l.name(), 0)); // also those that hold no item
    ArrayNode items = JSON.arrayNode();
    for (Item e : r.items()) {
      if (!e.layer().isEmpty()) {
        layers.merge(e.layer(), 1, Integer::sum);
      }
      items.add(item(e, every));
    }
    ArrayNode layerList = n.putArray("layers");
    layers.forEach((name, count) -> layerList.addObject().put("name", name).put("items", count));
    n.set("items", items);
    ArrayNode places = n.putArray("places");
    r.places()
        .forEach(
            p -> {
              ObjectNode o =
                  places
                      .addObject()
                      .put("level", p.level())
                      .put("where", p.where())
                      .put("says", p.says());
              p.frame().ifPresent(f -> o.set("frame", FrameJson.node(f)));
              p.geographic()
                  .ifPresent(g -> o.put("longitude", g.longitude()).put("latitude", g.latitude()));
            });
    ObjectNode counts = n.putObject("counts");
    r.counts().forEach(counts::put);
    List<Finding> findings = new ArrayList<>(r.findings());
    findings.addAll(Contradictions.check(file, r.places()));
    n.set("findings", FindingJson.array(findings));
    return n;
  }

  private static void bounds(ObjectNode n, Box b) {
    if (b.isEmpty()) {
      return;
    }
    ObjectNode o = n.putObject("bounds");
    ArrayNode min = o.putArray("min").add(b.minE()).add(b.minN());
    ArrayNode max = o.putArray("max").add(b.maxE()).add(b.maxN());
    if (b.hasLevels()) {
      min.add(b.minH());
      max.add(b.maxH());
    }
  }

  private static ObjectNode item(Item e, double every) {
    Item item = e;
    ObjectNode n = JSON.objectNode().put("kind", item.kind().title()).put("name", item.name());
    if (!e.layer().isEmpty()) {
      n.put("layer", e.layer());
    }
    if (!item.attributes().references().isEmpty()) {
      ArrayNode relations = n.putArray("relations");
      item.attributes()
          .references()
          .forEach(r -> relations.addObject().put("type", r.type().words()).put("to", r.name()));
    }
    Shape shape = item.shape();
    COUNTS.forEach((measure, member) -> count(n, shape, measure, member));
    MEASURES.forEach((measure, member) -> measure(n, shape, measure, member));
    if (!item.kind().surface()) {
      shape.triangles().ifPresent(m -> body(n, m));
    }
    if (shape instanceof Shape.Axis a) {
      alignment(n, a.alignment(), every);
    }
    bounds(n, item.bounds());
    description(n, e.said());
    return n;
  }

  private static void count(ObjectNode n, Shape shape, Measure measure, String member) {
    shape.measure(measure).ifPresent(x -> n.put(member, (long) x));
  }

  private static void measure(ObjectNode n, Shape shape, Measure measure, String member) {
    shape.measure(measure).ifPresent(x -> n.put(member, x));
  }

  private static void body(ObjectNode n, Mesh m) {
    boolean closed = m.isClosed();
    n.put("closed", closed);
    if (closed) {
      n.put("volume", m.volume());
    }
  }

  private static void alignment(ObjectNode n, Alignment a, double every) {
    ArrayNode elements = n.putArray("elements");
    for (PlanElement e : a.elements()) {
      ObjectNode o = elements.addObject();
      o.put(
          "type",
          switch (e) {
            case PlanElement.Line l -> "line";
            case PlanElement.Arc r -> "arc";
            case PlanElement.Spiral s -> "spiral";
            case PlanElement.Irregular i -> "polyline";
          });
      o.put("length", e.length());
      radius(o, "radiusStart", e.startCurvature());
      radius(o, "radiusEnd", e.endCurvature());
      o.putArray("start").add(e.start().east()).add(e.start().north());
      o.put("azimuth", e.start().azimuthDegrees());
    }
    if (every > 0) {
      ArrayNode points = n.putArray("points");
      for (AlignmentPoint p : a.every(every)) {
        ArrayNode row =
            points.addArray().add(p.distance()).add(p.chainage()).add(p.east()).add(p.north());
        if (Double.isFinite(p.level())) {
          row.add(p.level());
        } else {
          row.addNull();
        }
        row.add(
            new wellspan.core.align.PlanPoint(p.east(), p.north(), p.direction()).azimuthDegrees());
      }
    }
  }

  private static void radius(ObjectNode o, String name, double curvature) {
    if (curvature == 0) {
      o.putNull(name);
    } else {
      o.put(name, 1 / curvature);
    }
  }

  private static void description(ObjectNode n, Description d) {
    if (!d.entityClass().entity().isEmpty()) {
      n.put("class", d.entityClass().entity());
      if (!d.entityClass().type().isEmpty()) {
        n.put("predefinedType", d.entityClass().type());
      }
    }
    if (!d.globalId().isEmpty()) {
      n.put("id", d.globalId());
    }
    d.finish()
        .ifPresent(
            f -> {
              if (!f.material().isEmpty()) {
                n.put("material", f.material());
              }
              n.put("colour", String.format(Locale.ROOT, "#%06X", f.rgb()));
            });
    if (!d.globalId().isEmpty() || !d.propertySets().isEmpty()) {
      ObjectNode sets = n.putObject("properties");
      for (PropertySet s : d.propertySets()) {
        ObjectNode o = sets.putObject(s.name());
        s.values().forEach((name, v) -> o.set(name, value(v)));
      }
    }
  }

  private static JsonNode value(PropertyValue v) {
    return switch (v) {
      case PropertyValue.Label(String t) -> JSON.textNode(t);
      case PropertyValue.Words(String type, String t) -> JSON.textNode(t);
      case PropertyValue.Length(double m) -> JSON.numberNode(m);
      case PropertyValue.Area(double m) -> JSON.numberNode(m);
      case PropertyValue.Measure(String type, double x) -> JSON.numberNode(x);
      case PropertyValue.Count(long c) -> JSON.numberNode(c);
      case PropertyValue.Real(double x) -> JSON.numberNode(x);
      case PropertyValue.Flag(boolean b) -> JSON.booleanNode(b);
      case PropertyValue.Unknown() -> JSON.textNode("unknown");
      case PropertyValue.Empty() -> JSON.nullNode();
      case PropertyValue.Several(boolean enumerated, List<PropertyValue> all) -> {
        ArrayNode a = JSON.arrayNode();
        all.forEach(x -> a.add(value(x)));
        yield a;
      }
      case PropertyValue.Bounded b -> {
        ObjectNode o = JSON.objectNode();
        b.lower().ifPresent(x -> o.set("lower", value(x)));
        b.upper().ifPresent(x -> o.set("upper", value(x)));
        b.setPoint().ifPresent(x -> o.set("setPoint", value(x)));
        yield o;
      }
      case PropertyValue.Complex c -> {
        ObjectNode o = JSON.objectNode();
        c.values().forEach((name, x) -> o.set(name, value(x)));
        yield o;
      }
      case PropertyValue.Table t -> {
        ArrayNode a = JSON.arrayNode();
        for (int i = 0; i < t.defining().size(); i++) {
          a.addArray().add(value(t.defining().get(i))).add(value(t.defined().get(i)));
        }
        yield a;
      }
    };
  }
}
