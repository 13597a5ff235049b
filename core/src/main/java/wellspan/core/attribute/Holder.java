package wellspan.core.attribute;

import java.util.List;

/**
 * What a model has besides the items that have a shape: a level of its structure (a road, a part of
 * it, a building, a storey) or an assembly that they stand in, a group or a system that they are
 * members of, a type that they are of.
 *
 * @param entityClass such as {@code IfcRoadPart CARRIAGEWAY}
 * @param name as receivers see it in their tree
 * @param globalId that it was received with, 22 characters; empty where it is made here
 * @param propertySets what is said of it; empty where it is made here
 */
public record Holder(
    EntityClass entityClass, String name, String globalId, List<PropertySet> propertySets) {

  public Holder {
    propertySets = List.copyOf(propertySets);
  }

  /** One that is made here, with nothing said of it. */
  public Holder(EntityClass entityClass, String name) {
    this(entityClass, name, "", List.of());
  }

  /** Class and name alone, which tell it from others beside it. */
  public Holder bare() {
    return globalId.isEmpty() && propertySets.isEmpty() ? this : new Holder(entityClass, name);
  }

  /** The same as another class. */
  public Holder as(EntityClass other) {
    return new Holder(other, name, globalId, propertySets);
  }

  /** The same under another identity. */
  public Holder withGlobalId(String id) {
    return new Holder(entityClass, name, id, propertySets);
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
