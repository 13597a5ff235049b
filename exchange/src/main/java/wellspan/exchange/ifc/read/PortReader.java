package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import wellspan.core.attribute.Connection;
import wellspan.core.attribute.Holder;
import wellspan.core.geom.Position;

/** Finds the ports of elements, where they lie, and which of them are joined. */
final class PortReader {
  private final HolderReader holders;
  private final Function<Instance, Optional<Position>> places;

  /** Ports of an element, in the file's order. */
  private final Map<Integer, List<Instance>> portsOf = new HashMap<>();

  private final Map<Integer, Instance> elementOf = new HashMap<>();

  /** What joins a port to another one. */
  private final Map<Integer, Instance> joints = new HashMap<>();

  private int unplaced;

  /**
   * @param places shared positions of ports; empty for those that say none
   */
  PortReader(IfcModel model, HolderReader holders, Function<Instance, Optional<Position>> places) {
    this.holders = holders;
    this.places = places;
    for (Instance rel : model.all("IFCRELCONNECTSPORTTOELEMENT")) {
      rel.ref("RelatingPort").ifPresent(p -> rel.ref("RelatedElement").ifPresent(e -> port(p, e)));
    }
    for (Instance rel : model.all("IFCRELNESTS")) {
      rel.ref("RelatingObject")
          .ifPresent(
              e ->
                  rel.refs("RelatedObjects").stream()
                      .filter(p -> p.isA("IFCPORT"))
                      .forEach(p -> port(p, e)));
    }
    for (Instance rel : model.all("IFCRELCONNECTSPORTS")) {
      rel.ref("RelatingPort").ifPresent(p -> joints.putIfAbsent(p.id(), rel));
      rel.ref("RelatedPort").ifPresent(p -> joints.putIfAbsent(p.id(), rel));
    }
  }

  private void port(Instance port, Instance element) {
    if (elementOf.putIfAbsent(port.id(), element) == null) {
      portsOf.computeIfAbsent(element.id(), k -> new ArrayList<>(2)).add(port);
    }
  }

  /** The element of each port. */
  Map<Integer, Instance> elements() {
    return elementOf;
  }

  /** Tells what is not kept. */
  void unread(Map<String, Integer> counts) {
    if (unplaced > 0) {
      counts.put("port without a place", unplaced);
    }
  }

  /**
   * The ports of an element.
   *
   * @param network the system that the element is of, empty for none
   */
  Optional<Connection> of(Instance element, String network) {
    List<Connection.Port> out = new ArrayList<>();
    String type = "";
    for (Instance p : portsOf.getOrDefault(element.id(), List.of())) {
      Optional<Position> at = places.apply(p);
      if (at.isEmpty()) {
        unplaced++;
        continue;
      }
      Instance joint = joints.getOrDefault(p.id(), p);
      Holder said = holders.of(p, p.text("Name"));
      out.add(
          new Connection.Port(
              joint.text("GlobalId") + " #" + joint.id(),
              at.get(),
              flow(p.literal("FlowDirection")),
              Optional.of(said)));
      type = type.isEmpty() ? type(p.literal("SystemType")) : type;
    }
    return out.isEmpty() ? Optional.empty() : Optional.of(new Connection(network, type, out));
  }

  private static Connection.Flow flow(String literal) {
    return switch (literal) {
      case "SOURCE" -> Connection.Flow.OUT;
      case "SINK" -> Connection.Flow.IN;
      case "SOURCEANDSINK" -> Connection.Flow.BOTH;
      default -> Connection.Flow.UNSTATED;
    };
  }

  private static String type(String literal) {
    return switch (literal) {
      case "STORMWATER" -> "storm";
      case "SEWAGE" -> "sanitary";
      case "WATERSUPPLY" -> "water";
      case "NOTDEFINED" -> "";
      default -> literal;
    };
  }
}
