package wellspan.exchange.delivery;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import wellspan.core.deliver.Parcel;
import wellspan.core.item.Item;
import wellspan.core.packing.Packing;
import wellspan.exchange.file.UniqueNames;

/** Names of pieces within a file that tells items apart by their names only. */
final class FileNames {
  private FileNames() {}

  /**
   * @param allowed makes a name that the format allows
   * @param perKind whether items of different kinds may share a name
   * @return by the piece's key
   */
  static Map<String, String> of(Parcel parcel, UnaryOperator<String> allowed, boolean perKind) {
    UniqueNames unique = new UniqueNames();
    Map<String, String> out = new HashMap<>();
    for (Parcel.Piece p : ordered(parcel)) {
      String name =
          p.within().isEmpty() ? p.item().name() : out.get(p.within()) + Packing.BREAKLINES;
      out.put(p.key(), unique.of(perKind ? kind(p.item()) : "", allowed.apply(name)));
    }
    return out;
  }

  /** Surfaces, then their breaklines, whose names follow from theirs, then all others. */
  private static List<Parcel.Piece> ordered(Parcel parcel) {
    return parcel.pieces().stream()
        .sorted(
            Comparator.comparingInt(
                p -> !p.within().isEmpty() ? 1 : kind(p.item()).equals("terrain surface") ? 0 : 2))
        .toList();
  }

  /** The kind that an item arrives as. */
  static String kind(Item item) {
    return item instanceof Item.Cover ? "terrain surface" : item.kind();
  }
}
