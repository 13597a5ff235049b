package wellspan.core.schema;

import java.util.Set;

/**
 * Which classes of a schema can stand for an item of a delivery: products that are contained in the
 * structure of a site and say nothing that only a relation to another object could give.
 */
public final class ProductClasses {
  /** Openings and additions live by the element that they change. */
  private static final String FEATURES = "IFCFEATUREELEMENT";

  private static final Set<String> GIVEN =
      Set.of("GlobalId", "OwnerHistory", "Name", "ObjectPlacement", "Representation");

  private ProductClasses() {}

  /**
   * Whether the schema has a class that an item can be delivered as.
   *
   * @param predefinedType literal, empty for none
   */
  public static boolean has(Schema schema, String entity, String predefinedType) {
    Entity e = schema.entity(entity).orElse(null);
    if (e == null
        || e.isAbstract()
        || schema.isA(e, FEATURES)
        || !schema.isA(e, "IFCELEMENT") && !schema.isA(e, "IFCANNOTATION")) {
      return false;
    }
    boolean typed = predefinedType.isEmpty();
    for (Attribute a : e.attributes()) {
      boolean type = a.name().equals("PredefinedType");
      if (type && !predefinedType.isEmpty()) {
        typed = allows(schema, a.type(), predefinedType);
      } else if (!a.optional() && !a.derived() && !GIVEN.contains(a.name())) {
        return false;
      }
    }
    return typed;
  }

  private static boolean allows(Schema schema, TypeRef type, String literal) {
    return type instanceof TypeRef.Named(String name)
        && schema.enumeration(name).map(l -> l.contains(literal)).orElse(false);
  }
}
