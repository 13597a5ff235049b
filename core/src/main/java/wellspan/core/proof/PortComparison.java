package wellspan.core.proof;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.attribute.Connection;
import wellspan.core.attribute.Holder;
import wellspan.core.describe.HolderClasses;
import wellspan.core.item.Item;
import wellspan.core.proof.Difference.What;
import wellspan.core.schema.IfcSchema;

/** Compares the ports of an element, one by one in their order. */
final class PortComparison {
  private final HolderComparison holders;
  private final IfcSchema schema;

  /**
   * @param holders takes what is said of ports
   * @param schema that they were sent in
   */
  PortComparison(HolderComparison holders, IfcSchema schema) {
    this.holders = holders;
    this.schema = schema;
  }

  /**
   * @param tolerance of a place, metres
   */
  List<Difference> of(Item sent, Item arrived, double tolerance) {
    List<Connection.Port> here = ports(sent);
    List<Connection.Port> there = ports(arrived);
    if (here.size() != there.size()) {
      return List.of(
          Difference.of(
              What.RELATION,
              sent.name(),
              sent.name()
                  + " was sent with "
                  + here.size()
                  + " ports and arrived with "
                  + there.size()
                  + "."));
    }
    List<Difference> out = new ArrayList<>();
    for (int i = 0; i < here.size(); i++) {
      compare(sent.name() + ", port " + name(here.get(i)), here.get(i), there.get(i), tolerance)
          .forEach(out::add);
    }
    return out;
  }

  private static List<Connection.Port> ports(Item i) {
    return i.attributes().connection().map(Connection::ports).orElse(List.of());
  }

  private static String name(Connection.Port p) {
    return p.received().map(Holder::name).orElse(p.link());
  }

  private List<Difference> compare(
      String what, Connection.Port sent, Connection.Port arrived, double tolerance) {
    List<Difference> out = new ArrayList<>();
    if (!name(sent).equals(name(arrived))) {
      out.add(Difference.of(What.NAME, what, what + " arrived as " + name(arrived) + "."));
    }
    if (sent.flow() != arrived.flow()) {
      out.add(
          Difference.of(
              What.RELATION,
              what,
              what
                  + " was sent with water running "
                  + words(sent.flow())
                  + " and arrived with it running "
                  + words(arrived.flow())
                  + "."));
    }
    if (sent.received().isPresent() && arrived.received().isPresent()) {
      holders.said(
          what, HolderClasses.fitting(sent.received().get(), schema), arrived.received().get());
    }
    double away = sent.at().distanceTo(arrived.at());
    if (!(away <= tolerance)) {
      out.add(Difference.of(What.PLACE, what, what + " arrived elsewhere.").by(away).at(sent.at()));
    }
    return out;
  }

  private static String words(Connection.Flow f) {
    return switch (f) {
      case IN -> "in";
      case OUT -> "out";
      case BOTH -> "both ways";
      case UNSTATED -> "no stated way";
    };
  }
}
