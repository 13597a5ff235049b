package wellspan.core.schema;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Which classes of a schema can stand for an item of a delivery: products that are contained in the
 * structure of a site, or are a level of it as a room is, and say nothing that only a relation to
 * another object could give.
 */
public final class ProductClasses {
  /** Openings and additions live by the element that they change. */
  private static final String FEATURES = "IFCFEATUREELEMENT";

  /** What a writer gives of itself. */
  private static final Set<String> GIVEN =
      Set.of(
          "GlobalId",
          "OwnerHistory",
          "Name",
          "ObjectPlacement",
          "Representation",
          "CompositionType",
          "UsageType");

  private ProductClasses() {}

  /**
   * Whether the schema has a class that an item can be delivered as.
   *
   * @param predefinedType literal, empty for none
   */
  public static boolean has(Schema schema, String entity, String predefinedType) {
    return has(schema, entity, predefinedType, Set.of());
  }

  /**
   * The same for an item of which more is known.
   *
   * @param known names of attributes that it has values for
   */
  public static boolean has(
      Schema schema, String entity, String predefinedType, Set<String> known) {
    Entity e = schema.entity(entity).orElse(null);
    if (e == null
        || e.isAbstract()
        || schema.isA(e, FEATURES)
        || !schema.isA(e, "IFCELEMENT")
            && !schema.isA(e, "IFCANNOTATION")
            && !isLevel(schema, entity)) {
      return false;
    }
    Optional<Attribute> type = e.typeAttribute();
    return isTyped(schema, e, predefinedType)
        && e.attributes().stream()
            .filter(a -> !type.equals(Optional.of(a)))
            .allMatch(
                a ->
                    a.optional()
                        || a.derived()
                        || GIVEN.contains(a.name())
                        || known.contains(a.name()));
  }

  /**
   * Whether an entity can be of a predefined type.
   *
   * @param literal empty for none
   */
  public static boolean isTyped(Schema schema, Entity e, String literal) {
    Optional<Attribute> type = e.typeAttribute();
    if (type.isEmpty() || literal.isEmpty()) {
      return literal.isEmpty()
          && (type.isEmpty() || type.get().optional() || e.isUnsaid("NOTDEFINED"));
    }
    return !e.isUnsaid(literal) && allows(schema, type.get().type(), literal);
  }

  /**
   * Whether things of a class are levels of the structure themselves: rooms and zones, also
   * buildings and works that come with a shape. The site is none, every file has it anyway.
   */
  public static boolean isLevel(Schema schema, String entity) {
    return schema
        .entity(entity)
        .filter(e -> !schema.isA(e, "IFCSITE"))
        .map(e -> schema.isA(e, "IFCSPATIALSTRUCTUREELEMENT") || schema.isA(e, "IFCSPATIALELEMENT"))
        .orElse(false);
  }

  /**
   * Whether things of a class are features that live by an element, and the schema has a relation
   * for that which adds something: markings on a surface in IFC4.3, and what is added to a body.
   */
  public static boolean isFeature(Schema schema, String entity) {
    return schema
        .entity(entity)
        .filter(e -> !e.isAbstract())
        .map(
            e ->
                schema.isA(e, "IFCFEATUREELEMENTADDITION")
                    || schema.isA(e, "IFCSURFACEFEATURE")
                        && schema.entity("IfcRelAdheresToElement").isPresent())
        .orElse(false);
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
    Optional<Attribute> type = schema.entity(entity).flatMap(Entity::typeAttribute);
    if (type.isPresent() && type.get().type() instanceof TypeRef.Named(String name)) {
      schema.enumeration(name).stream()
          .flatMap(Set::stream)
          .filter(l -> !l.equals("USERDEFINED") && has(schema, entity, l))
          .sorted()
          .forEach(out::add);
    }
    return out;
  }

  /** Whether an attribute's type is an enumeration with this literal. */
  public static boolean allows(Schema schema, TypeRef type, String literal) {
    return type instanceof TypeRef.Named(String name)
        && schema.enumeration(name).map(l -> l.contains(literal)).orElse(false);
  }
}
