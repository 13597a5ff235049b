package wellspan.core.attribute;

import java.util.List;
import java.util.Map;

/**
 * What a model has besides the items that have a shape: a level of its structure (a road, a part of
 * it, a building, a storey) or an assembly that they stand in, a group or a system that they are
 * members of, a type that they are of.
 *
 * @param entityClass such as {@code IfcRoadPart CARRIAGEWAY}
 * @param name as receivers see it in their tree
 * @param globalId that it was received with, 22 characters; empty where it is made here
 * @param propertySets what is said of it; empty where it is made here
 * @param attributes what its entity says by itself ({@link EntityAttributes}), by name
 */
public record Holder(
    EntityClass entityClass,
    String name,
    String globalId,
    List<PropertySet> propertySets,
    Map<String, PropertyValue> attributes) {

  public Holder {
    propertySets = List.copyOf(propertySets);
    attributes = Map.copyOf(attributes);
  }

  /** One that is made here, with nothing said of it. */
  public Holder(EntityClass entityClass, String name) {
    this(entityClass, name, "", List.of(), Map.of());
  }

  /** Class and name alone, which tell it from others beside it. */
  public Holder bare() {
    return globalId.isEmpty() && propertySets.isEmpty() && attributes.isEmpty()
        ? this
        : new Holder(entityClass, name);
  }

  /** The same as another class. */
  public Holder as(EntityClass other) {
    return new Holder(other, name, globalId, propertySets, attributes);
  }

  /** The same with other words of it. */
  public Holder saying(List<PropertySet> sets, Map<String, PropertyValue> own) {
    return new Holder(entityClass, name, globalId, sets, own);
  }

  /** The same under another identity. */
  public Holder withGlobalId(String id) {
    return new Holder(entityClass, name, id, propertySets, attributes);
  }

  /** Whether it is a part of a road, bridge or other facility, and so never stands alone. */
  public boolean isPartOfFacility() {
    String entity = entityClass.entity();
    return !entity.equals("IfcBuildingElementPart")
        && (entity.endsWith("Part") || entity.equals("IfcFacilityPartCommon"));
  }

  @Override
  public String toString() {
    return name + " (" + entityClass + ")";
  }
}
