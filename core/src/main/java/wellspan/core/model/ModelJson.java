package wellspan.core.model;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.BooleanNode;
import com.fasterxml.jackson.databind.node.DoubleNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.LongNode;
import com.fasterxml.jackson.databind.node.NullNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import wellspan.core.attribute.Classified;
import wellspan.core.finding.Finding;

/** What a model says of its objects, as JSON. Measures are in SI units. */
public final class ModelJson {
  private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

  private ModelJson() {}

  /** Every product and every part of the structure, in the order of the file. */
  public static ArrayNode array(Model model) {
    return array(model, Set.of());
  }

  /**
   * The same of a model that is not delivered whole.
   *
   * @param heldBack GlobalIds of what stays here
   */
  public static ArrayNode array(Model model, Set<String> heldBack) {
    ArrayNode out = JSON.arrayNode();
    model.objects().stream()
        .filter(ModelJson::isDescribed)
        .forEach(o -> out.add(object(o, model).put("heldBack", heldBack.contains(o.globalId()))));
    return out;
  }

  /** Whether an object is a thing of the model and no type, group or project. */
  public static boolean isDescribed(ModelObject o) {
    return o.role() == ModelObject.Role.PRODUCT || o.role() == ModelObject.Role.SPATIAL;
  }

  private static ObjectNode object(ModelObject o, Model model) {
    ObjectNode n = JSON.objectNode();
    n.put("name", o.name());
    n.put("id", o.globalId());
    n.put("class", o.entity());
    if (!o.predefinedType().isEmpty()) {
      n.put("predefinedType", o.predefinedType());
    }
    n.put("heldBack", false);
    ObjectNode properties = n.putObject("properties");
    ObjectNode quantities = n.putObject("quantities");
    for (ModelSet s : o.sets()) {
      ObjectNode set = (s.quantities() ? quantities : properties).withObjectProperty(s.name());
      s.properties().values().forEach(p -> set.set(p.name(), value(p)));
    }
    ArrayNode classification = n.putArray("classification");
    for (Classified c : o.classification()) {
      ObjectNode one = classification.addObject();
      one.put("system", c.system());
      one.put("code", c.code());
      if (!c.title().isEmpty()) {
        one.put("title", c.title());
      }
    }
    if (!o.materials().isEmpty()) {
      n.put("material", material(o));
    }
    o.colour().ifPresent(c -> n.put("colour", String.format(Locale.ROOT, "#%06X", c)));
    if (!o.layer().isEmpty()) {
      n.put("layer", o.layer());
    }
    ArrayNode groups = n.putArray("groups");
    o.groups().forEach(groups::add);
    ArrayNode findings = n.putArray("findings");
    for (Finding f : model.findings()) {
      if (!o.name().isEmpty() && f.item().equals(o.name())) {
        findings.add(f.message());
      }
    }
    return n;
  }

  /** Names of all materials of an object. */
  public static String material(ModelObject o) {
    return o.materials().stream()
        .map(ModelObject.Material::name)
        .filter(m -> !m.isEmpty())
        .distinct()
        .collect(Collectors.joining(", "));
  }

  /** A property's value: plain, an array, bounds, pairs, or an object of what it is made of. */
  public static JsonNode value(ModelProperty p) {
    List<ModelValue> v = p.values();
    return switch (p.kind()) {
      case SINGLE, QUANTITY -> v.isEmpty() ? NullNode.instance : value(v.getFirst());
      case ENUMERATED, LIST -> {
        ArrayNode all = JSON.arrayNode();
        v.forEach(x -> all.add(value(x)));
        yield all;
      }
      case BOUNDED -> {
        ObjectNode n = JSON.objectNode();
        String[] names = {"lower", "upper", "setPoint"};
        for (int i = 0; i < names.length; i++) {
          if (v.get(i).isGiven()) {
            n.set(names[i], value(v.get(i)));
          }
        }
        yield n;
      }
      case TABLE -> {
        ArrayNode rows = JSON.arrayNode();
        for (int i = 0; i + 1 < v.size(); i += 2) {
          rows.addArray().add(value(v.get(i))).add(value(v.get(i + 1)));
        }
        yield rows;
      }
      case OTHER -> {
        if (p.parts().isEmpty()) {
          yield NullNode.instance;
        }
        ObjectNode n = JSON.objectNode();
        p.parts().forEach(x -> n.set(x.name(), value(x)));
        yield n;
      }
    };
  }

  private static JsonNode value(ModelValue v) {
    return switch (v) {
      case ModelValue.Text t -> TextNode.valueOf(t.text());
      case ModelValue.Num n -> DoubleNode.valueOf(n.number());
      case ModelValue.Whole w -> LongNode.valueOf(w.number());
      case ModelValue.Flag f -> BooleanNode.valueOf(f.value());
      case ModelValue.Unknown u -> NullNode.instance;
      case ModelValue.Thing t -> NullNode.instance;
    };
  }
}
