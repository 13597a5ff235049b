package wellspan.exchange.ifc.read;

import java.util.Map;
import java.util.Set;
import wellspan.core.schema.Entity;
import wellspan.core.schema.Schema;

/**
 * Counts what a file holds besides products that no reader asks for, by the tables of its schema.
 */
final class UnreadEntities {
  /** Read, or said anew by each delivery: where systems belong, that types are of the project. */
  private static final Set<String> RELATIONS =
      Set.of(
          "IFCRELADHERESTOELEMENT",
          "IFCRELAGGREGATES",
          "IFCRELASSIGNSTOGROUP",
          "IFCRELASSOCIATESCLASSIFICATION",
          "IFCRELASSOCIATESMATERIAL",
          "IFCRELCONNECTSELEMENTS",
          "IFCRELCONNECTSPORTS",
          "IFCRELCONNECTSPORTTOELEMENT",
          "IFCRELCONTAINEDINSPATIALSTRUCTURE",
          "IFCRELDECLARES",
          "IFCRELDEFINESBYPROPERTIES",
          "IFCRELDEFINESBYTYPE",
          "IFCRELFILLSELEMENT",
          "IFCRELNESTS",
          "IFCRELPOSITIONS",
          "IFCRELPROJECTSELEMENT",
          "IFCRELSERVICESBUILDINGS",
          "IFCRELVOIDSELEMENT");

  /** Objects that are no products: tasks, costs, resources, people. */
  private static final Set<String> OBJECTS =
      Set.of("IFCPROCESS", "IFCCONTROL", "IFCRESOURCE", "IFCACTOR");

  private static final String REFERENCED = "IFCRELREFERENCEDINSPATIALSTRUCTURE";

  private UnreadEntities() {}

  /** Adds to counts by what they are of. */
  static void count(IfcModel model, Map<String, Integer> counts) {
    model
        .counts()
        .forEach(
            (name, n) ->
                model
                    .schema()
                    .entity(name)
                    .filter(e -> isUnread(e, model.schema()))
                    .ifPresent(e -> counts.merge(e.name(), n, Integer::sum)));
    int referred =
        (int)
            model.all(REFERENCED).stream()
                .filter(r -> r.refs("RelatedElements").stream().anyMatch(UnreadEntities::stands))
                .count();
    if (referred > 0) {
      counts.merge("IfcRelReferencedInSpatialStructure", referred, Integer::sum);
    }
  }

  private static boolean isUnread(Entity e, Schema schema) {
    return schema.isA(e, "IFCRELATIONSHIP")
        ? !schema.isA(e, REFERENCED) && RELATIONS.stream().noneMatch(r -> schema.isA(e, r))
        : OBJECTS.stream().anyMatch(o -> schema.isA(e, o));
  }

  /** Where alignments and systems belong is said anew by each delivery. */
  private static boolean stands(Instance i) {
    return !i.isA("IFCPOSITIONINGELEMENT") && !i.isA("IFCGROUP");
  }
}
