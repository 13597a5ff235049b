package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.literal;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;
import static wellspan.exchange.ifc.write.StepValue.text;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.Connection;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.deliver.Parcel;
import wellspan.core.describe.HolderClasses;
import wellspan.core.describe.Networks;
import wellspan.core.schema.IfcSchema;

/** Writes the ports of a network's elements, and which of them are joined. */
final class NetworkRecords {
  private final StepWriter step;
  private final Parcel parcel;
  private final ProjectRecords project;
  private final PropertyRecords properties;
  private final LocalCoordinates local;
  private final Map<String, List<Integer>> joined = new LinkedHashMap<>();

  NetworkRecords(
      StepWriter step,
      Parcel parcel,
      ProjectRecords project,
      PropertyRecords properties,
      LocalCoordinates local) {
    this.step = step;
    this.parcel = parcel;
    this.project = project;
    this.properties = properties;
    this.local = local;
  }

  private boolean old() {
    return parcel.schema() == IfcSchema.IFC2X3;
  }

  /** Notes an element, and writes its ports. */
  void element(Parcel.Piece piece, int object) throws IOException {
    if (piece.item().attributes().connection().isEmpty()) {
      return;
    }
    Connection c = piece.item().attributes().connection().get();
    List<Integer> ports = new ArrayList<>();
    for (Connection.Port p : c.ports()) {
      int port = port(piece, c, p);
      ports.add(port);
      joined.computeIfAbsent(p.link(), k -> new ArrayList<>()).add(port);
      if (old()) {
        step.root(
            "IfcRelConnectsPortToElement",
            parcel.ids().of(piece.key(), "port of " + p.link()),
            UNSET,
            UNSET,
            ref(port),
            ref(object));
      }
    }
    if (!old() && !ports.isEmpty()) {
      step.root(
          "IfcRelNests",
          parcel.ids().of(piece.key(), "ports"),
          UNSET,
          UNSET,
          ref(object),
          refs(ports));
    }
  }

  private int port(Parcel.Piece piece, Connection c, Connection.Port p) throws IOException {
    int point = step.add("IfcCartesianPoint", StepValue.reals(local.of(p.at())));
    int axes = step.add("IfcAxis2Placement3D", ref(point), UNSET, UNSET);
    int placement = step.add("IfcLocalPlacement", ref(project.sitePlacement()), ref(axes));
    Optional<Holder> received = p.received().map(h -> HolderClasses.fitting(h, parcel.schema()));
    String id =
        received
            .map(Holder::globalId)
            .filter(g -> !g.isEmpty())
            .orElseGet(() -> parcel.ids().of(piece.key(), "port " + p.link()));
    StepValue name = text(received.map(Holder::name).orElse(p.link()));
    StepValue flow =
        literal(
            switch (p.flow()) {
              case OUT -> "SOURCE";
              case IN -> "SINK";
              case BOTH -> "SOURCEANDSINK";
              case UNSTATED -> "NOTDEFINED";
            });
    Map<String, PropertyValue> own = received.map(Holder::attributes).orElse(Map.of());
    StepValue description = EntityValues.of("Description", own, parcel);
    int port =
        old()
            ? step.root(
                "IfcDistributionPort", id, name, description, UNSET, ref(placement), UNSET, flow)
            : step.root(
                "IfcDistributionPort",
                id,
                name,
                description,
                UNSET,
                ref(placement),
                UNSET,
                flow,
                literal(Networks.portType(p, parcel.schema())),
                literal(Networks.portSystem(c, parcel.schema())));
    if (received.isPresent()) {
      properties.attach(piece.key() + " port " + p.link(), port, received.get().propertySets());
    }
    return port;
  }

  /** Joins ports of one link. */
  void joints() throws IOException {
    for (Map.Entry<String, List<Integer>> ports : joined.entrySet()) {
      if (ports.getValue().size() == 2) {
        step.root(
            "IfcRelConnectsPorts",
            parcel.ids().of(ports.getKey(), "joined"),
            UNSET,
            UNSET,
            ref(ports.getValue().get(0)),
            ref(ports.getValue().get(1)),
            UNSET);
      }
    }
  }
}
