package wellspan.core.describe;

import java.util.List;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.RelationType;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.ProductClasses;
import wellspan.core.schema.Schema;
import wellspan.core.shape.Shape;

/**
 * The class that an item gets where nobody chose another: the received one where the schema has it,
 * else what stands for it there, else the one for its kind.
 */
public final class ClassRules {
  private ClassRules() {}

  /**
   * The class of an item as it was received, where the schema can carry it; else one that stands
   * for it there, else that of its kind.
   *
   * @param received {@link EntityClass#NONE} if it came without a class
   */
  public static EntityClass of(Item item, EntityClass received, IfcSchema schema) {
    if (received.entity().isEmpty() || saysNothing(received)) {
      return standard(item, schema);
    }
    if (isWordless(received)) {
      return of(item, new EntityClass(received.entity(), "NOTDEFINED"), schema);
    }
    if (fits(received, item, schema)) {
      return received;
    }
    return EquivalentClasses.of(received, schema).stream()
        .filter(c -> isPlainBody(item.kind()) || c.entity().equals(received.entity()))
        .filter(c -> fits(c, item, schema) || fits(new EntityClass(c.entity(), ""), item, schema))
        .findFirst()
        .orElseGet(() -> standard(item, schema));
  }

  /** Such a type says nothing, and no schema allows it. */
  private static boolean isWordless(EntityClass c) {
    return c.predefinedType().equals("USERDEFINED") && c.objectType().isEmpty();
  }

  /** Of such a kind nothing is known here but that it is a body. */
  private static boolean isPlainBody(Kind k) {
    return k.title().equals("body");
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
    if (item.shape() instanceof Shape.Axis && schema == IfcSchema.IFC4X3) {
      return c.entity()
          .equals("IfcAlignment"); // its layouts and segments belong to this class only
    }
    Schema tables = Schema.forFile(schema.id()).orElseThrow();
    boolean body = item.shape() instanceof Shape.Faces;
    if (ProductClasses.isFeature(tables, c.entity())) {
      return body && hasHost(item) && isTyped(tables, c);
    }
    return ProductClasses.has(
            tables, c.entity(), c.predefinedType(), item.said().attributes().keySet())
        && (body || !ProductClasses.isLevel(tables, c.entity()));
  }

  private static boolean hasHost(Item item) {
    return item.attributes().references().stream()
        .anyMatch(r -> r.type() == RelationType.FEATURE_OF);
  }

  private static boolean isTyped(Schema tables, EntityClass c) {
    return tables
        .entity(c.entity())
        .filter(e -> ProductClasses.isTyped(tables, e, c.predefinedType()))
        .isPresent();
  }

  /**
   * The class of an item whose source has it on another one that is not sent with it.
   *
   * @param c that it would have on the other one
   */
  public static EntityClass withoutHost(Item item, EntityClass c, IfcSchema schema) {
    return of(item.with(item.attributes().withReferences(List.of())), c, schema);
  }

  /** The class for an item's kind. */
  public static EntityClass standard(Item item, IfcSchema schema) {
    return item.kind().classes().get(schema);
  }
}
