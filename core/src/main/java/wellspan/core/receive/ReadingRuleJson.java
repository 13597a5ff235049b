package wellspan.core.receive;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import wellspan.core.unit.LinearUnit;

/** Reading rules as JSON. */
public final class ReadingRuleJson {
  private ReadingRuleJson() {}

  /** Empty for what is read as found. */
  public static Optional<ObjectNode> node(ReadingRule rule) {
    return switch (rule) {
      case ReadingRule.AsFound r -> Optional.empty();
      case ReadingRule.Columns r -> {
        ObjectNode n =
            JsonNodeFactory.instance
                .objectNode()
                .put("separator", r.separator())
                .put("headLines", r.headLines());
        ArrayNode roles = n.putArray("columns");
        r.roles().forEach(c -> roles.add(c.word()));
        r.unit().ifPresent(u -> n.put("unit", u.symbol()));
        yield Optional.of(n);
      }
      case ReadingRule.Layers r -> {
        ObjectNode n = JsonNodeFactory.instance.objectNode();
        ArrayNode names = n.putArray("layers");
        r.names().forEach(names::add);
        yield Optional.of(n);
      }
      case ReadingRule.CloudPart r -> {
        ObjectNode n =
            JsonNodeFactory.instance.objectNode().put("every", r.every()).put("cell", r.cell());
        ArrayNode classes = n.putArray("classes");
        r.classes().forEach(classes::add);
        yield Optional.of(n);
      }
    };
  }

  /**
   * @throws IllegalArgumentException with what is wrong
   */
  public static ReadingRule read(JsonNode n) {
    if (n.has("columns")) {
      List<ColumnRole> roles = new ArrayList<>();
      for (JsonNode c : n.get("columns")) {
        roles.add(
            ColumnRole.named(c.asText())
                .orElseThrow(() -> new IllegalArgumentException("column " + c)));
      }
      return new ReadingRule.Columns(
          n.path("separator").asText(","),
          n.path("headLines").asInt(),
          roles,
          n.has("unit") ? LinearUnit.named(n.get("unit").asText()) : Optional.empty());
    }
    if (n.has("layers")) {
      TreeSet<String> names = new TreeSet<>();
      n.get("layers").forEach(l -> names.add(l.asText()));
      return new ReadingRule.Layers(names);
    }
    if (n.has("classes")) {
      TreeSet<Integer> classes = new TreeSet<>();
      n.get("classes").forEach(c -> classes.add(c.asInt()));
      return new ReadingRule.CloudPart(
          classes, n.path("every").asInt(1), n.path("cell").asDouble());
    }
    return ReadingRule.AS_FOUND;
  }
}
