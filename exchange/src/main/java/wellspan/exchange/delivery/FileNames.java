package wellspan.exchange.delivery;

import java.util.HashMap;
import java.util.Map;
import java.util.function.UnaryOperator;
import wellspan.core.deliver.Parcel;
import wellspan.core.item.Item;
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
    for (Parcel.Piece p : parcel.pieces()) {
      out.put(p.key(), unique.of(perKind ? kind(p.item()) : "", allowed.apply(p.item().name())));
    }
    return out;
  }

  /** The kind that an item arrives as. */
  static String kind(Item item) {
    return item instanceof Item.Cover ? "terrain surface" : item.kind();
  }
}
