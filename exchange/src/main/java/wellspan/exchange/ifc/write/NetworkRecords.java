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
import wellspan.core.attribute.Connection;
import wellspan.core.deliver.Parcel;
import wellspan.core.schema.IfcSchema;

/** Writes networks: systems with their elements, ports of these, and which ports are joined. */
final class NetworkRecords {
  private final StepWriter step;
  private final Parcel parcel;
  private final ProjectRecords project;
  private final StructureRecords structure;
  private final LocalCoordinates local;
  private final Map<String, List<Integer>> members = new LinkedHashMap<>();
  private final Map<String, String> types = new LinkedHashMap<>();
  private final Map<String, List<Integer>> joined = new LinkedHashMap<>();

  NetworkRecords(
      StepWriter step,
      Parcel parcel,
      ProjectRecords project,
      StructureRecords structure,
      LocalCoordinates local) {
    this.step = step;
    this.parcel = parcel;
    this.project = project;
    this.structure = structure;
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
    members.computeIfAbsent(c.network(), k -> new ArrayList<>()).add(object);
    types.putIfAbsent(c.network(), c.type());
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
    String id = parcel.ids().of(piece.key(), "port " + p.link());
    StepValue flow = literal(p.out() ? "SOURCE" : "SINK");
    return old()
        ? step.root(
            "IfcDistributionPort", id, text(p.link()), UNSET, UNSET, ref(placement), UNSET, flow)
        : step.root(
            "IfcDistributionPort",
            id,
            text(p.link()),
            UNSET,
            UNSET,
            ref(placement),
            UNSET,
            flow,
            literal("PIPE"),
            literal(system(c.type())));
  }

  private static String system(String type) {
    return switch (type) {
      case "storm" -> "STORMWATER";
      case "sanitary" -> "SEWAGE";
      case "water" -> "WATERSUPPLY";
      default -> "NOTDEFINED";
    };
  }

  /** Writes the systems, and joins ports of one link. */
  void systems() throws IOException {
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
    for (Map.Entry<String, List<Integer>> network : members.entrySet()) {
      String name = network.getKey();
      String id = parcel.ids().of("network " + name, "product");
      int system =
          old()
              ? step.root("IfcSystem", id, text(name), UNSET, UNSET)
              : step.root(
                  "IfcDistributionSystem",
                  id,
                  text(name),
                  UNSET,
                  UNSET,
                  UNSET,
                  literal(system(types.get(name))));
      step.root(
          "IfcRelAssignsToGroup",
          parcel.ids().of("network " + name, "members"),
          UNSET,
          UNSET,
          refs(network.getValue()),
          UNSET,
          ref(system));
      String tie = parcel.ids().of("network " + name, "place");
      if (parcel.schema() == IfcSchema.IFC4X3) {
        step.root(
            "IfcRelReferencedInSpatialStructure",
            tie,
            UNSET,
            UNSET,
            refs(List.of(system)),
            ref(structure.facility(network.getKey())));
      } else {
        step.root(
            "IfcRelServicesBuildings",
            tie,
            UNSET,
            UNSET,
            ref(system),
            refs(List.of(project.site())));
      }
    }
  }
}
