package wellspan.exchange.ifc.read;

import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wellspan.core.attribute.Reference;
import wellspan.core.attribute.RelationType;
import wellspan.core.item.Item;

/**
 * How the products that became items stand to each other: parts of wholes, features of elements,
 * joined by ports or directly, positioned by an alignment.
 */
final class RelationReader {
  private final IfcModel model;
  private final PortReader ports;

  /** Number of the item that an instance became, plus one, by the instance's slot. */
  private final int[] itemOf;

  private int became;
  private final Map<Integer, Set<Reference>> said = new HashMap<>();

  RelationReader(IfcModel model, PortReader ports) {
    this.model = model;
    this.ports = ports;
    itemOf = new int[model.size()];
  }

  /** Notes which item a product became. */
  void became(Instance product, int item) {
    itemOf[model.slotOf(product.id())] = item + 1;
    became++;
  }

  /** Gives the items what the file says of how they stand to each other. */
  void to(List<Item> items) {
    if (became < 2) {
      return;
    }
    each("IFCRELAGGREGATES", "RelatingObject", "RelatedObjects", RelationType.PART_OF, items);
    each(
        "IFCRELADHERESTOELEMENT",
        "RelatingElement",
        "RelatedSurfaceFeatures",
        RelationType.FEATURE_OF,
        items);
    for (Instance rel : model.all("IFCRELPROJECTSELEMENT")) {
      Optional<Instance> host = rel.ref("RelatingElement");
      rel.ref("RelatedFeatureElement")
          .ifPresent(f -> host.ifPresent(h -> say(f, RelationType.FEATURE_OF, h, items)));
    }
    each(
        "IFCRELPOSITIONS",
        "RelatingPositioningElement",
        "RelatedProducts",
        RelationType.FOLLOWS,
        items);
    for (Instance rel : model.all("IFCRELCONNECTSELEMENTS")) {
      connect(rel.ref("RelatingElement"), rel.ref("RelatedElement"), items);
    }
    Map<Integer, Instance> elementOf = ports.elements();
    for (Instance rel : model.all("IFCRELCONNECTSPORTS")) {
      connect(
          rel.ref("RelatingPort").map(p -> elementOf.get(p.id())),
          rel.ref("RelatedPort").map(p -> elementOf.get(p.id())),
          items);
    }
    said.forEach(
        (n, references) -> {
          Item i = items.get(n);
          items.set(n, i.with(i.attributes().withReferences(List.copyOf(references))));
        });
  }

  private void each(String relation, String one, String many, RelationType type, List<Item> items) {
    for (Instance rel : model.all(relation)) {
      rel.ref(one).ifPresent(to -> rel.refs(many).forEach(from -> say(from, type, to, items)));
    }
  }

  private void connect(Optional<Instance> one, Optional<Instance> other, List<Item> items) {
    if (one.isPresent() && other.isPresent()) {
      say(one.get(), RelationType.CONNECTS, other.get(), items);
    }
  }

  private void say(Instance from, RelationType type, Instance to, List<Item> items) {
    int subject = itemOf[model.slotOf(from.id())] - 1;
    int object = itemOf[model.slotOf(to.id())] - 1;
    if (subject >= 0 && object >= 0 && subject != object) {
      Item other = items.get(object);
      said.computeIfAbsent(subject, k -> new LinkedHashSet<>())
          .add(new Reference(type, other.kind().title(), other.name()));
    }
  }
}
