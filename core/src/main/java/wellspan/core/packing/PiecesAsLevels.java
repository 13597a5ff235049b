package wellspan.core.packing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.Holder;
import wellspan.core.deliver.Parcel;

/**
 * Pieces that are levels themselves, as rooms with a shape are: what was received in one of them
 * stands in it where it is sent now, under the name and the identity that it is sent with.
 */
final class PiecesAsLevels {
  private final Map<String, Parcel.Piece> byReceivedId = new HashMap<>();
  private final Map<String, List<Holder>> places;

  /**
   * @param places where pieces stand, by their keys
   */
  PiecesAsLevels(Parcel parcel, Map<String, List<Holder>> places) {
    this.places = places;
    for (Parcel.Piece p : parcel.levels()) {
      String id = p.item().said().globalId();
      if (!id.isEmpty()) {
        byReceivedId.putIfAbsent(id, p);
      }
    }
  }

  /** The path with pieces in place of what was received for them. */
  List<Holder> in(List<Holder> path) {
    return byReceivedId.isEmpty() ? path : in(path, new HashSet<>());
  }

  private List<Holder> in(List<Holder> path, Set<String> seen) {
    for (int i = path.size() - 1; i >= 0; i--) {
      Parcel.Piece p = byReceivedId.get(path.get(i).globalId());
      if (p != null && seen.add(p.key())) { // not in circles
        List<Holder> out = new ArrayList<>(in(places.getOrDefault(p.key(), List.of()), seen));
        out.add(holder(p));
        out.addAll(path.subList(i + 1, path.size()));
        return List.copyOf(out);
      }
    }
    return path;
  }

  /** A piece as those see it that stand in it; what is said of it the piece says itself. */
  static Holder holder(Parcel.Piece p) {
    Description d = p.description();
    return new Holder(d.entityClass(), p.item().name()).withGlobalId(d.globalId());
  }
}
