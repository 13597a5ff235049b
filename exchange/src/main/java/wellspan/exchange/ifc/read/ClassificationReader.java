package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wellspan.core.attribute.Classified;

/** Finds the codes of classifications that objects have, those of their types among them. */
final class ClassificationReader {
  /** Codes above a code that are followed; more is a circle. */
  private static final int DEEP = 32;

  private final Map<Integer, List<Instance>> classified = new HashMap<>();

  ClassificationReader(IfcModel model) {
    for (Instance rel : model.all("IFCRELASSOCIATESCLASSIFICATION")) {
      rel.ref("RelatingClassification")
          .ifPresent(
              c ->
                  Arrays.stream(rel.ids("RelatedObjects"))
                      .forEach(o -> classified.computeIfAbsent(o, k -> new ArrayList<>(2)).add(c)));
    }
  }

  /** Own references; of a system that the object has none of, those of its type. */
  List<Classified> of(Instance object, Optional<Instance> type) {
    if (classified.isEmpty()) {
      return List.of();
    }
    List<Classified> out = new ArrayList<>();
    Set<String> systems = new HashSet<>();
    for (Instance c : classified.getOrDefault(object.id(), List.of())) {
      Classified one = classified(c);
      systems.add(one.system());
      out.add(one);
    }
    type.ifPresent(
        t -> {
          for (Instance c : classified.getOrDefault(t.id(), List.of())) {
            Classified one = classified(c);
            if (!systems.contains(one.system())) {
              out.add(one);
            }
          }
        });
    return out;
  }

  private static Classified classified(Instance reference) {
    if (reference.isA("IFCCLASSIFICATION")) {
      return new Classified(reference.text("Name"), "", "", List.of());
    }
    List<String> parents = new ArrayList<>();
    Instance at = reference;
    String system = "";
    for (int i = 0; i < DEEP; i++) {
      Optional<Instance> above = at.ref("ReferencedSource");
      if (above.isEmpty()) {
        break;
      }
      at = above.get();
      if (at.isA("IFCCLASSIFICATION")) {
        system = at.text("Name");
        break;
      }
      parents.add(code(at));
    }
    return new Classified(system, code(reference), reference.text("Name"), parents);
  }

  private static String code(Instance reference) {
    String id = reference.text("Identification");
    return id.isEmpty() ? reference.text("ItemReference") : id;
  }
}
