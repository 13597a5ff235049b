package wellspan.core.rulebook;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.EntityClass;
import wellspan.core.schema.IfcSchema;

/**
 * Which class items get, or that they are not delivered at all.
 *
 * @param name for people
 * @param when all of which have to hold
 * @param as the class by the short name of the schema: {@code IFC4X3}, {@code IFC4}, {@code
 *     IFC2X3}; a schema that is left out keeps the class by the item's kind
 * @param heldBack whether such items stay here, whatever the delivery
 * @param off whether the rule is passed over
 */
public record ClassRule(
    String name,
    List<Condition> when,
    Map<String, Named> as,
    @JsonInclude(JsonInclude.Include.NON_DEFAULT) boolean heldBack,
    @JsonInclude(JsonInclude.Include.NON_DEFAULT) boolean off) {

  /**
   * A class as it stands in a rulebook.
   *
   * @param entity such as {@code IfcCourse}
   * @param predefinedType a literal of the class, or an own word
   */
  public record Named(@JsonProperty("class") String entity, String predefinedType) {
    public Named {
      entity = Given.text(entity);
      predefinedType = Given.text(predefinedType);
    }
  }

  public ClassRule {
    name = Given.text(name);
    when = Given.list(when);
    as = as == null ? Map.of() : Collections.unmodifiableMap(new LinkedHashMap<>(as));
    for (String schema : as.keySet()) {
      if (IfcSchema.named(schema).isEmpty()) {
        throw new IllegalArgumentException(
            "the class rule "
                + name
                + " names the schema "
                + schema
                + "; IFC4X3, IFC4 and IFC2X3 are known");
      }
    }
    if (as.isEmpty() && !heldBack) {
      throw new IllegalArgumentException(
          "the class rule " + name + " names no class and holds nothing back");
    }
  }

  /** The class in a schema; a type that the class does not list is an own word. */
  Optional<EntityClass> in(IfcSchema schema) {
    return as.entrySet().stream()
        .filter(e -> IfcSchema.named(e.getKey()).orElseThrow() == schema)
        .map(e -> ClassNames.of(e.getValue(), schema))
        .findFirst();
  }

  /** Switched on or off. */
  public ClassRule off(boolean passedOver) {
    return new ClassRule(name, when, as, heldBack, passedOver);
  }
}
