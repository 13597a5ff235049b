package wellspan.exchange.ifc.read;

import java.util.HashMap;
import java.util.Map;

/** The presentation layers that representations and their items are assigned to. */
final class Layers {
  private final Map<Integer, String> of = new HashMap<>();

  Layers(IfcModel model) {
    for (Instance layer : model.all("IFCPRESENTATIONLAYERASSIGNMENT")) {
      String name = layer.text("Name");
      for (int item : layer.ids("AssignedItems")) {
        of.putIfAbsent(item, name);
      }
    }
  }

  /** The layer of a product's shape, the first if it lies on several; empty if on none. */
  String of(Instance product) {
    if (of.isEmpty()) {
      return "";
    }
    for (Instance r : Representations.of(product)) {
      if (of.containsKey(r.id())) {
        return of.get(r.id());
      }
      for (int item : r.ids("Items")) {
        if (of.containsKey(item)) {
          return of.get(item);
        }
      }
    }
    return "";
  }
}
