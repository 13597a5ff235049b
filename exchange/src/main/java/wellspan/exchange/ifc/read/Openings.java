package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Which openings belong to which elements. Openings are cut out of these and are no items. */
final class Openings {
  private final Map<Integer, List<Instance>> byHost = new HashMap<>();
  private final Set<Integer> openings = new HashSet<>();

  Openings(IfcModel model) {
    for (Instance rel : model.all("IFCRELVOIDSELEMENT")) {
      rel.ref("RelatedOpeningElement")
          .ifPresent(
              o -> {
                openings.add(o.id());
                rel.ref("RelatingBuildingElement")
                    .ifPresent(h -> byHost.computeIfAbsent(h.id(), k -> new ArrayList<>()).add(o));
              });
    }
  }

  /** Whether a product only takes away from another one. */
  boolean isOpening(Instance product) {
    return openings.contains(product.id())
        || product.isA("IFCOPENINGELEMENT")
        || product.isA("IFCVOIDINGFEATURE");
  }

  /** Whether an opening is made in no element. */
  boolean isInNothing(Instance opening) {
    return !openings.contains(opening.id());
  }

  List<Instance> of(Instance host) {
    return byHost.getOrDefault(host.id(), List.of());
  }
}
