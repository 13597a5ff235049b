package wellspan.core.receive;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import wellspan.core.json.TypedMembers;
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
      for (JsonNode c : TypedMembers.list(n, "columns")) {
        roles.add(
            ColumnRole.named(c.asText())
                .orElseThrow(() -> new IllegalArgumentException("column " + c)));
      }
      return new ReadingRule.Columns(
          TypedMembers.text(n, "separator", ","),
          whole(n.path("headLines"), 0),
          roles,
          n.has("unit") ? Optional.of(unit(TypedMembers.text(n, "unit", ""))) : Optional.empty());
    }
    if (n.has("layers")) {
      TreeSet<String> names = new TreeSet<>();
      TypedMembers.list(n, "layers").forEach(l -> names.add(text(l)));
      return new ReadingRule.Layers(names);
    }
    if (n.has("classes")) {
      TreeSet<Integer> classes = new TreeSet<>();
      TypedMembers.list(n, "classes").forEach(c -> classes.add(whole(c, 0)));
      return new ReadingRule.CloudPart(
          classes, whole(n.path("every"), 1), TypedMembers.number(n, "cell", 0));
    }
    if (!n.isMissingNode()) {
      throw new IllegalArgumentException("a rule that is not known: " + n);
    }
    return ReadingRule.AS_FOUND;
  }

  private static LinearUnit unit(String symbol) {
    return LinearUnit.named(symbol)
        .orElseThrow(() -> new IllegalArgumentException("unit " + symbol));
  }

  private static String text(JsonNode n) {
    if (!n.isTextual()) {
      throw new IllegalArgumentException("a name is no text: " + n);
    }
    return n.textValue();
  }

  private static int whole(JsonNode n, int otherwise) {
    if (!n.isMissingNode() && !n.canConvertToInt()) {
      throw new IllegalArgumentException("no whole number: " + n);
    }
    return n.asInt(otherwise);
  }
}
