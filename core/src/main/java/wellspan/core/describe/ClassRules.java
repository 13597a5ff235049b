package wellspan.core.describe;

import wellspan.core.item.Item;

/** The class that each kind of item gets where nobody chose another. */
public final class ClassRules {
  private ClassRules() {}

  /** Class in IFC4X3_ADD2. */
  public static EntityClass standard(Item item) {
    return switch (item) {
      case Item.TerrainSurface s -> new EntityClass("IfcGeographicElement", "TERRAIN");
      case Item.AlignmentLine a -> new EntityClass("IfcAlignment", "");
      case Item.PointGroup p -> new EntityClass("IfcAnnotation", "");
      case Item.Body b -> new EntityClass("IfcBuildingElementProxy", "");
    };
  }
}
