package wellspan.core.describe;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import wellspan.core.attribute.EntityClass;
import wellspan.core.item.Kind;
import wellspan.core.schema.Entity;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.ProductClasses;
import wellspan.core.schema.Schema;

/**
 * What stands in a schema for a class or type that it has not: by the table of kinds, where a kind
 * has it in another schema, else the class alone, else the nearest above it, else what stands for
 * anything. What it was stays as its own word, where nothing else says it.
 */
final class EquivalentClasses {
  /** Latest first: there a class is placed most exactly. */
  private static final List<IfcSchema> SCHEMAS =
      List.of(IfcSchema.IFC4X3, IfcSchema.IFC4, IfcSchema.IFC2X3);

  private static final String ANYTHING = "IfcBuildingElementProxy";

  /** Stands for a body that a site came with; the site itself every file has anyway. */
  private static final String GROUND = "IfcGeographicElement";

  /** Classes that several kinds share; only their own word tells which is meant. */
  private static final Set<String> SHARED =
      Set.of(ANYTHING, "IfcCivilElement", "IfcGeographicElement");

  private EquivalentClasses() {}

  /** Classes in the order in which they may stand for a received one; at least one. */
  static List<EntityClass> of(EntityClass received, IfcSchema schema) {
    Schema target = Schema.forFile(schema.id()).orElseThrow();
    return Stream.of(
            sameKind(received, schema),
            target.entity(received.entity()).map(e -> worded(e.name(), received, target)),
            likeKind(received, schema).map(e -> worded(e, received, target)),
            Optional.of(GROUND)
                .filter(g -> received.entity().equals("IfcSite"))
                .filter(g -> target.entity(g).isPresent())
                .map(g -> worded(g, received, target)),
            above(received, target).map(e -> worded(e, received, target)),
            Optional.of(worded(ANYTHING, received, target)))
        .flatMap(Optional::stream)
        .toList();
  }

  /** The class of a kind that has class and type as received in one of the schemas. */
  private static Optional<EntityClass> sameKind(EntityClass received, IfcSchema schema) {
    if (says(received).isEmpty()) {
      return Optional.empty();
    }
    return Kind.all().stream()
        .filter(
            k ->
                k.classes().values().stream()
                    .anyMatch(
                        c ->
                            c.entity().equals(received.entity())
                                && c.type().equals(received.type())))
        .map(k -> k.classes().get(schema))
        .findFirst();
  }

  /** The class of a kind that has the class alone as received, unless that could be anything. */
  private static Optional<String> likeKind(EntityClass received, IfcSchema schema) {
    return SHARED.contains(received.entity())
        ? Optional.empty()
        : Kind.all().stream()
            .filter(
                k ->
                    k.classes().values().stream()
                        .anyMatch(c -> c.entity().equals(received.entity())))
            .map(k -> k.classes().get(schema).entity())
            .findFirst();
  }

  private static Optional<String> above(EntityClass received, Schema target) {
    for (IfcSchema s : SCHEMAS) {
      Schema tables = Schema.forFile(s.id()).orElseThrow();
      Optional<Entity> at = tables.entity(received.entity());
      while (at.isPresent()) {
        at = tables.entity(at.get().supertype());
        Optional<Entity> same = at.flatMap(e -> target.entity(e.name()));
        if (same.isPresent() && !same.get().isAbstract()) {
          return Optional.of(same.get().name());
        }
      }
    }
    return Optional.empty();
  }

  /** Its predefined type; nothing where that says nothing, also for want of the own word. */
  private static String says(EntityClass c) {
    return c.type().equals("NOTDEFINED") || c.type().equals("USERDEFINED") ? "" : c.type();
  }

  /** A class with what the thing was as its own word: its type, else the name of its class. */
  private static EntityClass worded(String entity, EntityClass received, Schema target) {
    String type = received.objectType().isEmpty() ? says(received) : received.objectType();
    boolean same = entity.equals(received.entity());
    String word = type.isEmpty() && !same ? received.entity().substring(3) : type;
    Entity e = target.entity(entity).orElseThrow();
    boolean typed = ProductClasses.isTyped(target, e, "USERDEFINED");
    String unsaid = ProductClasses.isTyped(target, e, "") ? "" : "NOTDEFINED";
    return new EntityClass(entity, typed && !word.isEmpty() ? "USERDEFINED" : unsaid, word);
  }
}
