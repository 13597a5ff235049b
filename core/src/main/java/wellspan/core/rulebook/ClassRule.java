package wellspan.core.rulebook;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Holder;
import wellspan.core.schema.IfcSchema;

/**
 * Which class items get and where in the structure they stand, or that they are not delivered at
 * all.
 *
 * @param name for people
 * @param when all of which have to hold
 * @param as the class by the short name of the schema: {@code IFC4X3}, {@code IFC4}, {@code
 *     IFC2X3}; a schema that is left out keeps the class by the item's kind
 * @param partOf where such items stand in the structure of a model; null where they stand by
 *     themselves
 * @param heldBack whether such items stay here, whatever the delivery
 * @param off whether the rule is passed over
 */
public record ClassRule(
    String name,
    List<Condition> when,
    Map<String, Named> as,
    @JsonInclude(JsonInclude.Include.NON_NULL) PartOf partOf,
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

  /**
   * A place in the structure of a model.
   *
   * @param facility name of the road, bridge or building; empty for the one that an item is in
   *     anyway
   * @param facilityClass such as {@code IfcRoad}, which it is if not said
   * @param part name of the part of it; empty for none
   * @param partType such as {@code CARRIAGEWAY}, or an own word; empty if not said
   */
  public record PartOf(
      String facility, @JsonProperty("class") String facilityClass, String part, String partType) {
    public PartOf {
      facility = Given.text(facility);
      facilityClass = Given.text(facilityClass);
      part = Given.text(part);
      partType = Given.text(partType);
      if (facility.isEmpty() && part.isEmpty()) {
        throw new IllegalArgumentException("a place in the structure needs a facility or a part");
      }
      if (!FacilityClasses.names().contains(facilityClass) && !facilityClass.isEmpty()) {
        throw new IllegalArgumentException(
            facilityClass
                + " is no facility; "
                + String.join(", ", FacilityClasses.names())
                + " are known");
      }
    }

    /** The levels of the structure, outermost first. */
    List<Holder> levels() {
      return FacilityClasses.levels(this);
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
    if (as.isEmpty() && !heldBack && partOf == null) {
      throw new IllegalArgumentException(
          "the class rule "
              + name
              + " names no class and no part of the structure and holds nothing back");
    }
  }

  /** One that says nothing of the structure. */
  public ClassRule(
      String name, List<Condition> when, Map<String, Named> as, boolean heldBack, boolean off) {
    this(name, when, as, null, heldBack, off);
  }

  /** Whether it decides of classes; one that only places items leaves that to others. */
  boolean saysClass() {
    return heldBack || !as.isEmpty();
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
    return new ClassRule(name, when, as, partOf, heldBack, passedOver);
  }
}
