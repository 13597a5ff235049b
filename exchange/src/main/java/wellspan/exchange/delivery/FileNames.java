package wellspan.exchange.delivery;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import wellspan.core.deliver.Parcel;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.packing.Packing;
import wellspan.core.shape.Shape;
import wellspan.exchange.file.UniqueNames;

/**
 * Names of pieces within a file that tells items apart by their names only.
 *
 * @param wanted the name that a piece should have
 * @param allowed makes a name that the format allows
 * @param group pieces of different groups may share a name
 * @param unique keeps names apart
 */
record FileNames(
    Function<Parcel.Piece, String> wanted,
    UnaryOperator<String> allowed,
    Function<Item, String> group,
    UniqueNames unique) {

  /** By the piece's key. */
  Map<String, String> of(Parcel parcel) {
    Map<String, String> out = new HashMap<>();
    for (Parcel.Piece p : ordered(parcel)) {
      String name =
          p.within().isEmpty() ? wanted.apply(p) : out.get(p.within()) + Packing.BREAKLINES;
      out.put(p.key(), unique.of(group.apply(p.item()), allowed.apply(name)));
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
    return (item.kind().surface() ? Kind.TERRAIN : item.kind()).title();
  }

  /** What a drawing tells apart on one layer. */
  static String drawn(Item item) {
    return item.triangles().isPresent()
        ? "faces"
        : item.shape() instanceof Shape.Points ? "points" : "lines";
  }
}
