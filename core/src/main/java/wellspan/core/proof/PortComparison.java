package wellspan.core.proof;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.attribute.Connection;
import wellspan.core.attribute.Holder;
import wellspan.core.describe.HolderClasses;
import wellspan.core.describe.Networks;
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
      String what = sent.name() + ", port " + name(here.get(i));
      out.addAll(compare(what, here.get(i), there.get(i), tolerance));
      if (schema != IfcSchema.IFC2X3) { // which says neither
        types(what, sent, arrived, i, out);
      }
    }
    return out;
  }

  private void types(String what, Item sent, Item arrived, int n, List<Difference> out) {
    Connection here = sent.attributes().connection().orElseThrow();
    Connection there = arrived.attributes().connection().orElseThrow();
    String meant = type(here, n);
    String came = type(there, n);
    if (!meant.equals(came)) {
      out.add(
          Difference.of(
              What.TYPE, what, what + " was sent as " + meant + " and arrived as " + came + "."));
    }
  }

  private String type(Connection c, int n) {
    return Networks.portType(c.ports().get(n), schema) + " of " + Networks.portSystem(c, schema);
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
