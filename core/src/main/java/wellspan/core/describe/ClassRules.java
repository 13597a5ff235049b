package wellspan.core.describe;

import wellspan.core.item.Item;

/** The class that each kind of item gets where nobody chose another. */
public final class ClassRules {
  private ClassRules() {}

  public static EntityClass standard(Item item, IfcSchema schema) {
    return switch (item) {
      case Item.TerrainSurface s ->
          schema == IfcSchema.IFC2X3
              ? new EntityClass("IfcBuildingElementProxy", "")
              : new EntityClass("IfcGeographicElement", "TERRAIN");
      case Item.AlignmentLine a ->
          switch (schema) {
            case IFC4X3 -> new EntityClass("IfcAlignment", "");
            case IFC4 -> new EntityClass("IfcCivilElement", "");
            case IFC2X3 -> new EntityClass("IfcAnnotation", "");
          };
      case Item.StringLine l -> new EntityClass("IfcAnnotation", "");
      case Item.GroundImage g -> new EntityClass("IfcAnnotation", "");
      case Item.PointGroup p ->
          schema == IfcSchema.IFC4X3
              ? new EntityClass("IfcAnnotation", "SURVEY")
              : new EntityClass("IfcAnnotation", "");
      case Item.Cover c ->
          schema == IfcSchema.IFC2X3
              ? new EntityClass("IfcBuildingElementProxy", "")
              : new EntityClass("IfcGeographicElement", "NOTDEFINED");
      case Item.Body b when schema == IfcSchema.IFC4X3 ->
          switch (b.use()) {
            case OBJECT -> new EntityClass("IfcBuildingElementProxy", "");
            // IfcEarthworksCut is an opening in another element and cannot stand for itself
            case CUT -> new EntityClass("IfcEarthworksElement", "");
            case FILL -> new EntityClass("IfcEarthworksFill", "NOTDEFINED");
          };
      case Item.Body b -> new EntityClass("IfcBuildingElementProxy", "");
    };
  }
}
