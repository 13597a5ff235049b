package wellspan.exchange.ifc.read;

import java.util.HashMap;
import java.util.Map;

/** The presentation layers that representations and their items are assigned to. */
final class Layers {
  private final Map<Integer, String> of = new HashMap<>();

  Layers(IfcModel model) {
    for (Instance layer : model.all("IFCPRESENTATIONLAYERASSIGNMENT")) {
      layer.refs("AssignedItems").forEach(item -> of.putIfAbsent(item.id(), layer.text("Name")));
    }
  }

  /** The layer of a product's shape, the first if it lies on several; empty if on none. */
  String of(Instance product) {
    for (Instance r :
        product
            .ref("Representation")
            .map(d -> d.refs("Representations"))
            .orElse(java.util.List.of())) {
      if (of.containsKey(r.id())) {
        return of.get(r.id());
      }
      for (Instance item : r.refs("Items")) {
        if (of.containsKey(item.id())) {
          return of.get(item.id());
        }
      }
    }
    return "";
  }
}
