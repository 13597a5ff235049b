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
import java.util.Set;
import wellspan.core.deliver.Parcel;
import wellspan.core.item.Kind;
import wellspan.core.schema.IfcSchema;

/**
 * Bridges as parts of the structure: what lies on a layer with a deck is a bridge of that name, its
 * deck and railings the superstructure, the rest the substructure.
 */
final class BridgeRecords {
  private static final Kind DECK = Kind.of("bridge deck");

  /** What bears the deck. */
  private static final Set<Kind> BELOW =
      Set.of(
          Kind.of("bridge abutment"),
          Kind.of("bridge cross beam"),
          Kind.of("bridge column"),
          Kind.of("bridge bearing"));

  private final StepWriter step;
  private final Parcel parcel;
  private final Map<String, Parts> bridges = new LinkedHashMap<>();

  private record Parts(List<Integer> above, List<Integer> below) {}

  BridgeRecords(StepWriter step, Parcel parcel) {
    this.step = step;
    this.parcel = parcel;
    if (parcel.schema() == IfcSchema.IFC4X3) {
      for (Parcel.Piece p : parcel.pieces()) {
        if (p.item().kind().is(DECK)) {
          bridges.put(p.item().layer(), new Parts(new ArrayList<>(), new ArrayList<>()));
        }
      }
    }
  }

  /** Takes a product that is part of a bridge; false if it is of none. */
  boolean takes(Parcel.Piece piece, int product) {
    Parts b = bridges.get(piece.item().layer());
    if (b == null) {
      return false;
    }
    (BELOW.contains(piece.item().kind()) ? b.below() : b.above()).add(product);
    return true;
  }

  /** The bridges, for the site they stand in. */
  List<Integer> write(ProjectRecords project) throws IOException {
    List<Integer> out = new ArrayList<>();
    for (Map.Entry<String, Parts> b : bridges.entrySet()) {
      String key = "bridge\u0000" + b.getKey();
      int placement =
          step.add("IfcLocalPlacement", ref(project.sitePlacement()), ref(project.identity()));
      int bridge =
          step.root(
              "IfcBridge",
              parcel.ids().of(key, "product"),
              text(b.getKey().isEmpty() ? "Bridge" : b.getKey()),
              UNSET,
              UNSET,
              ref(placement),
              UNSET,
              UNSET,
              literal("ELEMENT"),
              literal("NOTDEFINED"));
      List<Integer> parts = new ArrayList<>();
      part(project, key, "SUPERSTRUCTURE", placement, b.getValue().above(), parts);
      part(project, key, "SUBSTRUCTURE", placement, b.getValue().below(), parts);
      step.root(
          "IfcRelAggregates",
          parcel.ids().of(key, "parts"),
          UNSET,
          UNSET,
          ref(bridge),
          refs(parts));
      out.add(bridge);
    }
    return out;
  }

  private void part(
      ProjectRecords project,
      String key,
      String type,
      int above,
      List<Integer> content,
      List<Integer> parts)
      throws IOException {
    if (content.isEmpty()) {
      return;
    }
    int placement = step.add("IfcLocalPlacement", ref(above), ref(project.identity()));
    int part =
        step.root(
            "IfcBridgePart",
            parcel.ids().of(key, type),
            text(type.charAt(0) + type.substring(1).toLowerCase(java.util.Locale.ROOT)),
            UNSET,
            UNSET,
            ref(placement),
            UNSET,
            UNSET,
            literal("ELEMENT"),
            literal("VERTICAL"),
            literal(type));
    parts.add(part);
    step.root(
        "IfcRelContainedInSpatialStructure",
        parcel.ids().of(key, type + " content"),
        UNSET,
        UNSET,
        refs(content),
        ref(part));
  }
}
