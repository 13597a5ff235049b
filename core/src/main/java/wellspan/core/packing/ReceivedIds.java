package wellspan.core.packing;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import wellspan.core.deliver.Parcel;

/**
 * Lets items keep the GlobalIds that they were received with. Of several items with the same one
 * the first keeps it; the others, and items whose received id is none by ISO 16739-1, have that
 * made from their identity.
 */
final class ReceivedIds {
  /** 128 bits in 22 characters of six: the first holds two bits only. */
  private static final Pattern GLOBAL_ID = Pattern.compile("[0-3][0-9A-Za-z_$]{21}");

  private ReceivedIds() {}

  static List<Parcel.Piece> kept(List<Parcel.Piece> pieces) {
    Set<String> taken = new HashSet<>();
    pieces.forEach(p -> taken.add(p.description().globalId()));
    List<Parcel.Piece> out = new ArrayList<>();
    for (Parcel.Piece p : pieces) {
      String id = p.item().said().globalId();
      boolean whole = p.key().equals(p.itemKey()); // parts of one thing lie in several files
      boolean keeps = whole && GLOBAL_ID.matcher(id).matches() && taken.add(id);
      out.add(keeps ? p.with(p.description().withGlobalId(id)) : p);
    }
    return out;
  }
}
