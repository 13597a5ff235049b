package wellspan.core.describe;

import static wellspan.core.schema.ProductClasses.isTyped;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import wellspan.core.attribute.EntityAttributes;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.ValueTypes;
import wellspan.core.schema.Entity;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.ProductClasses;
import wellspan.core.schema.Schema;

/**
 * What a schema has for levels, assemblies and groups of another one. What is said of them travels
 * with values as the schema can hold them.
 */
public final class HolderClasses {
  /** Stands for an assembly of whatever class. */
  private static final String ASSEMBLY = "IfcElementAssembly";

  private static final Set<String> GIVEN = Set.of("GlobalId", "OwnerHistory", "Name");

  private HolderClasses() {}

  /**
   * A level or an assembly: roads, bridges and their parts are buildings and storeys where the
   * schema has none, an assembly whose class it has not is one with that as its own word. Empty for
   * what it has nothing for.
   */
  public static Optional<Holder> place(Holder h, IfcSchema schema) {
    Schema tables = Schema.forFile(schema.id()).orElseThrow();
    return isElement(h.entityClass().entity())
        ? Optional.of(fitting(h.as(assembly(h.entityClass(), tables)), schema))
        : level(h, tables).map(l -> fitting(l, schema));
  }

  /** A group or system; as the nearest above it that the schema has. */
  static Holder group(Holder h, IfcSchema schema) {
    Schema tables = Schema.forFile(schema.id()).orElseThrow();
    EntityClass c = h.entityClass();
    Optional<Entity> known = tables.entity(c.entity()).filter(HolderClasses::needsNothingElse);
    String entity =
        known.map(Entity::name).orElse(isA(c.entity(), "IFCSYSTEM") ? "IfcSystem" : "IfcGroup");
    Entity group = tables.entity(entity).orElseThrow();
    return fitting(h.as(typed(c, group, tables)), schema);
  }

  /** The class with its type as an entity can say it, else as the own word. */
  private static EntityClass typed(EntityClass c, Entity entity, Schema tables) {
    boolean worded = !c.predefinedType().equals("USERDEFINED") || !c.objectType().isEmpty();
    if (worded && isTyped(tables, entity, c.predefinedType())) {
      return new EntityClass(entity.name(), c.predefinedType(), c.objectType());
    }
    String word = worded && !c.type().equals("NOTDEFINED") ? c.type() : "";
    String own = word.isEmpty() ? c.objectType() : word;
    String literal = own.isEmpty() ? "" : "USERDEFINED";
    return new EntityClass(
        entity.name(),
        Stream.of(literal, "", "NOTDEFINED")
            .filter(l -> isTyped(tables, entity, l))
            .findFirst()
            .orElseThrow(),
        own);
  }

  private static boolean needsNothingElse(Entity e) {
    return !e.isAbstract()
        && e.attributes().stream()
            .allMatch(a -> a.optional() || a.derived() || GIVEN.contains(a.name()));
  }

  private static EntityClass assembly(EntityClass c, Schema tables) {
    if (ProductClasses.has(tables, c.entity(), c.predefinedType())) {
      return c;
    }
    if (c.entity().equals(ASSEMBLY)) {
      return c.predefinedType().isEmpty()
          ? new EntityClass(ASSEMBLY, "NOTDEFINED", c.objectType())
          : new EntityClass(ASSEMBLY, "USERDEFINED", c.type());
    }
    boolean unnamed = c.type().isEmpty() || c.type().equals("NOTDEFINED");
    return new EntityClass(
        ASSEMBLY, "USERDEFINED", unnamed ? c.entity().replaceFirst("^Ifc", "") : c.type());
  }

  private static Optional<Holder> level(Holder h, Schema tables) {
    EntityClass c = h.entityClass();
    Entity known = spatial(c.entity(), tables);
    if (known == null && (isA(c.entity(), "IFCFACILITY") || isA(c.entity(), "IFCFACILITYPART"))) {
      String building = h.isPartOfFacility() ? "IfcBuildingStorey" : "IfcBuilding";
      c = new EntityClass(building, c.predefinedType(), c.objectType());
      known = spatial(c.entity(), tables);
    }
    if (known == null) {
      return Optional.empty();
    }
    return Optional.of(h.as(typed(c, known, tables)));
  }

  private static Entity spatial(String entity, Schema tables) {
    return tables
        .entity(entity)
        .filter(
            e ->
                !e.isAbstract()
                    && (ProductClasses.isLevel(tables, e.name()) || tables.isA(e, "IFCSITE")))
        .orElse(null);
  }

  /** Whether it is a class of assemblies, not of levels. */
  static boolean isElement(String entity) {
    return isA(entity, "IFCELEMENT");
  }

  /** Whether any schema has it below another one. */
  private static boolean isA(String entity, String above) {
    for (IfcSchema s : IfcSchema.values()) {
      Schema tables = Schema.forFile(s.id()).orElseThrow();
      if (tables.entity(entity).map(e -> tables.isA(e, above)).orElse(false)) {
        return true;
      }
    }
    return false;
  }

  /** A holder of a class of the schema, with what is said of it as the schema can hold it. */
  public static Holder fitting(Holder h, IfcSchema schema) {
    List<PropertySet> sets =
        h.propertySets().stream().map(s -> ValueTypes.fitting(s, schema)).toList();
    return h.saying(
        sets, EntityAttributes.fitting(h.attributes(), h.entityClass().entity(), schema));
  }
}
