package wellspan.core.schema;

import java.util.ArrayList;
import java.util.List;
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

  /** Names of all classes that some item can be delivered as, in the order of the alphabet. */
  public static List<String> names(Schema schema) {
    return schema.entities().stream()
        .map(Entity::name)
        .filter(name -> !types(schema, name).isEmpty())
        .sorted()
        .toList();
  }

  /** What the type of a class can be, in the order of the alphabet; empty text for none said. */
  public static List<String> types(Schema schema, String entity) {
    List<String> out = new ArrayList<>();
    if (has(schema, entity, "")) {
      out.add("");
    }
    for (Attribute a : schema.entity(entity).map(Entity::attributes).orElse(List.of())) {
      if (a.name().equals("PredefinedType") && a.type() instanceof TypeRef.Named(String name)) {
        schema.enumeration(name).stream()
            .flatMap(Set::stream)
            .filter(l -> !l.equals("USERDEFINED") && has(schema, entity, l))
            .sorted()
            .forEach(out::add);
      }
    }
    return out;
  }

  /** Whether an attribute's type is an enumeration with this literal. */
  public static boolean allows(Schema schema, TypeRef type, String literal) {
    return type instanceof TypeRef.Named(String name)
        && schema.enumeration(name).map(l -> l.contains(literal)).orElse(false);
  }
}
