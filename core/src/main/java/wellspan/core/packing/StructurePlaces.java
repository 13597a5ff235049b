package wellspan.core.packing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.RelationType;
import wellspan.core.deliver.CarriedRelations;
import wellspan.core.deliver.Parcel;
import wellspan.core.describe.SpatialStructure;
import wellspan.core.item.Item;
import wellspan.core.item.Relation;

/**
 * Settles where in the structure the pieces of a parcel stand: a part of a whole, or a feature,
 * where its whole does, all others by themselves. In time of the number of pieces.
 */
final class StructurePlaces {
  private StructurePlaces() {}

  /**
   * The parcel with the place of each piece; formats without a structure say none.
   *
   * @param all among which roads and bridges are looked for: more than the parcel holds if it is
   *     one of several that fit together
   */
  static Parcel settled(Parcel packed, List<Item> all) {
    if (packed.format().schema().isEmpty()) {
      return packed;
    }
    Parcel parcel = FeaturesAlone.settled(packed);
    SpatialStructure structure =
        new SpatialStructure(all, parcel.info().facility(), parcel.schema());
    Map<String, List<Holder>> places = new HashMap<>();
    for (Parcel.Piece p : parcel.pieces()) {
      boolean alignment = p.description().entityClass().entity().equals("IfcAlignment");
      places.put(
          p.key(),
          alignment // belongs to the project, the structure only refers to it
              ? List.of()
              : structure.of(p.item(), p.description()));
    }
    PiecesAsLevels levels = new PiecesAsLevels(parcel, Map.copyOf(places));
    places.replaceAll((key, path) -> levels.in(path));
    Set<String> rooms = new HashSet<>();
    parcel.levels().forEach(p -> rooms.add(p.key()));
    Map<String, String> wholes = new HashMap<>();
    CarriedRelations.of(parcel).stream()
        .filter(
            r ->
                r.type() == RelationType.FEATURE_OF
                    || r.type() == RelationType.PART_OF && !rooms.contains(r.from().value()))
        .forEach((Relation r) -> wholes.put(r.from().value(), r.to().value()));
    List<Parcel.Piece> out = new ArrayList<>(parcel.pieces().size());
    for (Parcel.Piece p : parcel.pieces()) {
      String stands = p.key();
      while (wholes.containsKey(stands)) {
        stands = wholes.get(stands);
      }
      out.add(p.with(p.description().within(places.get(stands))));
    }
    Parcel placed = parcel.withPieces(out);
    return placed.withPieces(ReceivedIds.ofHolders(placed));
  }
}
