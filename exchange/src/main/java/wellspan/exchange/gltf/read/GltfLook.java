package wellspan.exchange.gltf.read;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.Finish;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.exchange.feature.AttributeValue;

/** Materials and facts of a glTF file, and what of its look is not read. */
final class GltfLook {
  /** Name of the property set that the facts of a node arrive in. */
  static final String EXTRAS = "Extras";

  private final JsonNode root;

  GltfLook(JsonNode root) {
    this.root = root;
  }

  /**
   * What the file says of a node with a mesh.
   *
   * @param whole what all of it is made of
   */
  Description of(JsonNode node, JsonNode mesh, Optional<Finish> whole) {
    Map<String, PropertyValue> facts = new LinkedHashMap<>();
    facts(mesh.path("extras"), facts);
    facts(node.path("extras"), facts);
    List<PropertySet> sets = facts.isEmpty() ? List.of() : List.of(new PropertySet(EXTRAS, facts));
    return Description.of(sets, whole);
  }

  private static void facts(JsonNode extras, Map<String, PropertyValue> out) {
    if (extras.isObject()) {
      extras.properties().forEach(e -> out.put(e.getKey(), AttributeValue.of(e.getValue())));
    } else if (!extras.isMissingNode() && !extras.isNull()) {
      out.put("extras", AttributeValue.of(extras));
    }
  }

  /** What the triangles of a primitive are made of; null if nothing is said. */
  Finish finish(JsonNode primitive) {
    JsonNode number = primitive.path("material");
    if (!number.isInt()) {
      return null;
    }
    JsonNode m = root.path("materials").path(number.intValue());
    JsonNode c = m.path("pbrMetallicRoughness").path("baseColorFactor");
    int rgb = 0;
    for (int k = 0; k < 3; k++) {
      rgb = rgb << 8 | encoded(c.path(k).asDouble(1));
    }
    return new Finish(m.path("name").asText(""), rgb);
  }

  /** Factors are linear, colours are not: IEC 61966-2-1. */
  private static int encoded(double linear) {
    double c = Math.clamp(linear, 0, 1);
    double s = c <= 0.0031308 ? 12.92 * c : 1.055 * Math.pow(c, 1 / 2.4) - 0.055;
    return (int) Math.round(255 * s);
  }

  /** What is in the file and does not arrive. */
  List<Finding> leftOut(String item) {
    List<Finding> out = new ArrayList<>();
    int colours = 0;
    int morphs = 0;
    for (JsonNode mesh : root.path("meshes")) {
      for (JsonNode p : mesh.path("primitives")) {
        colours += p.path("attributes").has("COLOR_0") ? 1 : 0;
        morphs += p.path("targets").isEmpty() ? 0 : 1;
      }
    }
    count(
        out, item, colours, "sets of triangles have colours at their vertices, which are not read");
    count(
        out, item, morphs, "sets of triangles have other shapes to change into; the first is read");
    count(
        out,
        item,
        root.path("animations").size(),
        "animations are not read; things stand as at rest");
    count(out, item, root.path("skins").size(), "skins are not read; things stand as at rest");
    count(out, item, root.path("cameras").size(), "cameras are not read");
    count(out, item, root.path("textures").size(), "pictures on materials are not read");
    return out;
  }

  private static void count(List<Finding> out, String item, int n, String what) {
    if (n > 0) {
      out.add(
          Finding.note(Stop.RECEIVE, "gltf.unread", item, n + " " + what + ".")
              .withFigure(Figure.count(n)));
    }
  }
}
