package wellspan.core.describe;

import java.util.Set;
import wellspan.core.align.Alignment;
import wellspan.core.align.PlanElement;
import wellspan.core.align.SpiralLaw;
import wellspan.core.item.Item;
import wellspan.core.schema.ProductClasses;
import wellspan.core.schema.Schema;

/**
 * The class that an item gets where nobody chose another: the received one where the schema has it,
 * else the one for its kind.
 */
public final class ClassRules {
  private static final Set<SpiralLaw> LAYOUTS =
      Set.of(SpiralLaw.CLOTHOID, SpiralLaw.BLOSS, SpiralLaw.COSINE, SpiralLaw.SINE);

  private ClassRules() {}

  /**
   * The class of an item as it was received, where the schema can carry it; else that of its kind.
   *
   * @param received {@link EntityClass#NONE} if it came without a class
   */
  public static EntityClass of(Item item, EntityClass received, IfcSchema schema) {
    if (saysNothing(received)) {
      return standard(item, schema);
    }
    EntityClass untyped = new EntityClass(received.entity(), "");
    return fits(received, item, schema)
        ? received
        : fits(untyped, item, schema) ? untyped : standard(item, schema);
  }

  /** What stands for anything; the kind of an item says more. */
  private static boolean saysNothing(EntityClass c) {
    boolean proxy = c.entity().equals("IfcBuildingElementProxy") || c.entity().equals("IfcProxy");
    return proxy && (c.predefinedType().isEmpty() || c.predefinedType().equals("NOTDEFINED"));
  }

  /** Whether a schema has a class that this item can be delivered as. */
  public static boolean fits(EntityClass c, Item item, IfcSchema schema) {
    if (c.entity().isEmpty()) {
      return false;
    }
    if (item instanceof Item.AlignmentLine && schema == IfcSchema.IFC4X3) {
      return c.entity()
          .equals("IfcAlignment"); // its layouts and segments belong to this class only
    }
    return ProductClasses.has(
        Schema.forFile(schema.id()).orElseThrow(), c.entity(), c.predefinedType());
  }

  /** Whether the layouts of IFC4.3 hold all transitions of an alignment. */
  public static boolean hasLayout(Alignment a) {
    return a.elements().stream()
        .allMatch(e -> !(e instanceof PlanElement.Spiral s) || LAYOUTS.contains(s.law()));
  }

  /** The class for an item's kind. */
  public static EntityClass standard(Item item, IfcSchema schema) {
    return switch (item) {
      case Item.TerrainSurface s ->
          schema == IfcSchema.IFC2X3
              ? new EntityClass("IfcBuildingElementProxy", "")
              : new EntityClass("IfcGeographicElement", "TERRAIN");
      case Item.AlignmentLine a ->
          switch (schema) {
            case IFC4X3 ->
                hasLayout(a.alignment())
                    ? new EntityClass("IfcAlignment", "")
                    : new EntityClass("IfcAnnotation", "");
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
