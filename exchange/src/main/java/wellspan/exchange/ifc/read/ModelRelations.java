package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.model.ModelObject.PartOf;

/** What relations say of objects: types, groups, wholes. */
final class ModelRelations {
  private final Map<Integer, Instance> typeOf = new HashMap<>();
  private final Map<Integer, List<String>> groups = new HashMap<>();
  private final Map<Integer, List<PartOf>> wholes = new HashMap<>();

  ModelRelations(IfcModel model) {
    for (Instance rel : model.all("IFCRELDEFINESBYTYPE")) {
      rel.ref("RelatingType")
          .ifPresent(t -> rel.refs("RelatedObjects").forEach(o -> typeOf.put(o.id(), t)));
    }
    wholes(model, "IFCRELAGGREGATES", "RelatingObject", "RelatedObjects");
    wholes(model, "IFCRELNESTS", "RelatingObject", "RelatedObjects");
    wholes(model, "IFCRELCONTAINEDINSPATIALSTRUCTURE", "RelatingStructure", "RelatedElements");
    wholes(model, "IFCRELASSIGNSTOGROUP", "RelatingGroup", "RelatedObjects");
    wholes(model, "IFCRELVOIDSELEMENT", "RelatingBuildingElement", "RelatedOpeningElement");
    wholes(model, "IFCRELFILLSELEMENT", "RelatingOpeningElement", "RelatedBuildingElement");
    for (Instance rel : model.all("IFCRELASSIGNSTOGROUP")) {
      rel.ref("RelatingGroup")
          .ifPresent(
              g -> rel.refs("RelatedObjects").forEach(o -> add(groups, o.id(), g.text("Name"))));
    }
  }

  private static <T> void add(Map<Integer, List<T>> to, int id, T what) {
    to.computeIfAbsent(id, k -> new ArrayList<>(2)).add(what);
  }

  private void wholes(IfcModel model, String relation, String whole, String part) {
    for (Instance rel : model.all(relation)) {
      Optional<Instance> w = rel.ref(whole);
      if (w.isPresent()) {
        List<Instance> parts = rel.ref(part).map(List::of).orElseGet(() -> rel.refs(part));
        parts.forEach(p -> add(wholes, p.id(), new PartOf(relation, w.get().id())));
      }
    }
  }

  Optional<Instance> typeOf(Instance object) {
    return Optional.ofNullable(typeOf.get(object.id()));
  }

  List<String> groups(Instance object) {
    return groups.getOrDefault(object.id(), List.of());
  }

  List<PartOf> partOf(Instance object) {
    return wholes.getOrDefault(object.id(), List.of());
  }
}
