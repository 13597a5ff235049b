package wellspan.core.attribute;

/**
 * One level of a model's structure that things stand in: a road, a part of it, a building, a
 * storey.
 *
 * @param entityClass such as {@code IfcRoadPart CARRIAGEWAY}
 * @param name as receivers see it in their tree
 */
public record SpatialPart(EntityClass entityClass, String name) {

  /** Whether it is a part of a road, bridge or other facility, and so never stands alone. */
  public boolean isPartOfFacility() {
    String entity = entityClass.entity();
    return entity.startsWith("Ifc") && entity.contains("Part");
  }

  @Override
  public String toString() {
    return name + " (" + entityClass + ")";
  }
}
