package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wellspan.core.attribute.Holder;
import wellspan.exchange.file.UniqueNames;

/** Finds the groups and systems that products are members of. */
final class GroupReader {
  private final Map<Integer, List<Holder>> groups = new HashMap<>();

  /** By the objects themselves, for this is asked for every product. */
  private final Set<Holder> empty = Collections.newSetFromMap(new IdentityHashMap<>());

  private int nested;

  /**
   * @param taken numbers of groups that are items themselves
   */
  GroupReader(IfcModel model, HolderReader holders, Set<Integer> taken) {
    UniqueNames names = new UniqueNames();
    Map<Integer, Holder> known = new HashMap<>();
    for (Instance g : model.all("IFCGROUP")) {
      if (!taken.contains(g.id())) {
        known.put(g.id(), holders.of(g, names.of("group", IfcReader.nameOf(g))));
      }
    }
    empty.addAll(known.values());
    for (Instance rel : model.all("IFCRELASSIGNSTOGROUP")) {
      Holder h = rel.ref("RelatingGroup").map(g -> known.get(g.id())).orElse(null);
      if (h == null) {
        continue;
      }
      for (Instance member : rel.refs("RelatedObjects")) {
        groups.computeIfAbsent(member.id(), id -> new ArrayList<>(2)).add(h);
        nested += member.isA("IFCGROUP") && !taken.contains(member.id()) ? 1 : 0;
      }
    }
  }

  List<Holder> of(Instance product) {
    List<Holder> of = groups.getOrDefault(product.id(), List.of());
    of.forEach(empty::remove);
    return of;
  }

  /** The name of the first system among groups, which is the network of a member with ports. */
  static String network(List<Holder> groups) {
    return groups.stream()
        .filter(g -> g.entityClass().entity().endsWith("System"))
        .map(Holder::name)
        .findFirst()
        .orElse("");
  }

  /** Tells what is not kept. */
  void unread(Map<String, Integer> counts) {
    if (!empty.isEmpty()) {
      counts.put("group without a member that is shown", empty.size());
    }
    if (nested > 0) {
      counts.put("group as a member of another one", nested);
    }
  }
}
