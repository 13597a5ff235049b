package wellspan.core.packing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.Holder;
import wellspan.core.deliver.Parcel;

/**
 * Lets items, and what holds them, keep the GlobalIds that they were received with. Of several
 * items with the same one the first keeps it; the others, and items whose received id is none by
 * ISO 16739-1, have that made from their identity.
 */
final class ReceivedIds {
  /** 128 bits in 22 characters of six: the first holds two bits only. */
  private static final Pattern GLOBAL_ID = Pattern.compile("[0-3][0-9A-Za-z_$]{21}");

  private ReceivedIds() {}

  /** Whether a text is a GlobalId by its form. */
  static boolean isOne(String id) {
    return GLOBAL_ID.matcher(id).matches();
  }

  /** The pieces with the ids that their items were received with. */
  static List<Parcel.Piece> kept(List<Parcel.Piece> pieces) {
    Set<String> taken = new HashSet<>();
    pieces.forEach(p -> taken.add(p.description().globalId()));
    List<Parcel.Piece> out = new ArrayList<>();
    for (Parcel.Piece p : pieces) {
      String id = p.item().said().globalId();
      boolean whole = p.key().equals(p.itemKey()); // parts of one thing lie in several files
      boolean keeps = whole && isOne(id) && taken.add(id);
      out.add(keeps ? p.with(p.description().withGlobalId(id)) : p);
    }
    return out;
  }

  /** The same of what holds pieces: an id that something else has is made from its name instead. */
  static List<Parcel.Piece> ofHolders(Parcel parcel) {
    Map<String, List<Holder>> owners = owners(parcel);
    Map<List<Holder>, List<Holder>> known = new HashMap<>();
    return parcel.pieces().stream().map(p -> p.with(own(p.description(), known, owners))).toList();
  }

  /** By their GlobalIds the pieces: as levels where they are some, else as what holds nothing. */
  private static Map<String, List<Holder>> owners(Parcel parcel) {
    Map<String, List<Holder>> owners = new HashMap<>();
    parcel.pieces().forEach(p -> owners.put(p.description().globalId(), List.of()));
    for (Parcel.Piece p : parcel.levels()) {
      List<Holder> path = new ArrayList<>(p.description().structure());
      path.add(PiecesAsLevels.holder(p));
      owners.put(p.description().globalId(), path.stream().map(Holder::bare).toList());
    }
    return owners;
  }

  /** The same of levels, those of the pieces among them. */
  static List<List<Holder>> ofLevels(List<List<Holder>> levels, Parcel parcel) {
    Map<String, List<Holder>> owners = owners(parcel);
    parcel.pieces().forEach(p -> own(p.description().structure(), owners));
    return levels.stream().map(path -> own(path, owners)).toList();
  }

  private static Description own(
      Description d, Map<List<Holder>, List<Holder>> known, Map<String, List<Holder>> owners) {
    if (d.structure().isEmpty() && d.groups().isEmpty() && d.type().isEmpty()) {
      return d;
    }
    return d.within(known.computeIfAbsent(d.structure(), path -> own(path, owners)))
        .heldBy(
            d.groups().stream().map(g -> own(g, known, owners)).toList(),
            d.type().map(t -> own(t, known, owners)));
  }

  private static Holder own(
      Holder h, Map<List<Holder>, List<Holder>> known, Map<String, List<Holder>> owners) {
    return known.computeIfAbsent(List.of(h), alone -> own(alone, owners)).getFirst();
  }

  private static List<Holder> own(List<Holder> path, Map<String, List<Holder>> owners) {
    List<Holder> out = new ArrayList<>();
    List<Holder> bare = new ArrayList<>();
    for (Holder h : path) {
      bare.add(h.bare());
      String id = h.globalId();
      boolean keeps = isOne(id) && bare.equals(owners.computeIfAbsent(id, k -> List.copyOf(bare)));
      out.add(keeps ? h : h.withGlobalId(""));
    }
    return List.copyOf(out);
  }
}
