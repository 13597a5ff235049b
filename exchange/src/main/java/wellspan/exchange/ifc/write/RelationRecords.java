package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import wellspan.core.attribute.Connection;
import wellspan.core.attribute.RelationType;
import wellspan.core.deliver.CarriedRelations;
import wellspan.core.deliver.Parcel;
import wellspan.core.item.Relation;

/** Writes how products stand to each other. */
final class RelationRecords {
  private final StepWriter step;
  private final Parcel parcel;
  private final List<Relation> relations;
  private final Set<String> parts = new HashSet<>();
  private final Map<String, Integer> objects = new HashMap<>();

  private final Set<String> surfaceFeatures = new HashSet<>();

  /** Keys of pieces that are levels; the structure says what they are parts of. */
  private final Set<String> levels = new HashSet<>();

  RelationRecords(StepWriter step, Parcel parcel) {
    this.step = step;
    this.parcel = parcel;
    relations = CarriedRelations.of(parcel);
    parcel.levels().forEach(p -> levels.add(p.key()));
    for (Relation r : relations) {
      if (r.type() == RelationType.PART_OF || r.type() == RelationType.FEATURE_OF) {
        parts.add(r.from().value());
      }
    }
  }

  /** Whether a product hangs on another one, and so on no place of the structure. */
  boolean isPart(Parcel.Piece piece) {
    return parts.contains(piece.key());
  }

  void wrote(Parcel.Piece piece, int object) {
    objects.put(piece.key(), object);
    if (piece.description().entityClass().entity().equals("IfcSurfaceFeature")) {
      surfaceFeatures.add(piece.key());
    }
  }

  /** Ports tell what is joined by them; the rest is told here. */
  void write() throws IOException {
    Map<String, List<Integer>> wholes = new LinkedHashMap<>();
    Map<String, List<Integer>> lines = new LinkedHashMap<>();
    Map<String, List<Integer>> marked = new LinkedHashMap<>();
    Map<String, Set<String>> links = new HashMap<>();
    for (Parcel.Piece p : parcel.pieces()) {
      p.item()
          .attributes()
          .connection()
          .ifPresent(
              c ->
                  links.put(
                      p.key(),
                      c.ports().stream().map(Connection.Port::link).collect(Collectors.toSet())));
    }
    for (Relation r : relations) {
      String from = r.from().value();
      String to = r.to().value();
      switch (r.type()) {
        case PART_OF -> {
          if (!levels.contains(from)) {
            wholes.computeIfAbsent(to, k -> new ArrayList<>()).add(objects.get(from));
          }
        }
        case FOLLOWS -> lines.computeIfAbsent(to, k -> new ArrayList<>()).add(objects.get(from));
        case FEATURE_OF -> {
          if (surfaceFeatures.contains(from)) {
            marked.computeIfAbsent(to, k -> new ArrayList<>()).add(objects.get(from));
          } else {
            step.root(
                "IfcRelProjectsElement",
                parcel.ids().of(from, "added to " + to),
                UNSET,
                UNSET,
                ref(objects.get(to)),
                ref(objects.get(from)));
          }
        }
        case CONNECTS -> {
          Set<String> there = links.getOrDefault(to, Set.of());
          if (links.getOrDefault(from, Set.of()).stream().noneMatch(there::contains)) {
            step.root(
                "IfcRelConnectsElements",
                parcel.ids().of(from, "connected to " + to),
                UNSET,
                UNSET,
                UNSET,
                ref(objects.get(from)),
                ref(objects.get(to)));
          }
        }
      }
    }
    together("IfcRelAggregates", "parts", wholes);
    together("IfcRelPositions", "followed", lines);
    together("IfcRelAdheresToElement", "marked", marked);
  }

  private void together(String entity, String role, Map<String, List<Integer>> all)
      throws IOException {
    for (Map.Entry<String, List<Integer>> e : all.entrySet()) {
      step.root(
          entity,
          parcel.ids().of(e.getKey(), role),
          UNSET,
          UNSET,
          ref(objects.get(e.getKey())),
          refs(e.getValue()));
    }
  }
}
