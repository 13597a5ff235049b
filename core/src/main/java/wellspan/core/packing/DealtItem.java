package wellspan.core.packing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.build.Build;
import wellspan.core.deliver.Parcel;
import wellspan.core.extract.Split;
import wellspan.core.item.ItemId;
import wellspan.core.item.Relation;
import wellspan.core.shape.Curved;

/**
 * An item, or the part of it that goes into one of several files.
 *
 * @param part which of the parts it is; empty where the item goes into one file only
 */
record DealtItem(Build.BuiltItem built, String part) {

  /** Identity of the piece that it becomes. */
  String key() {
    String item = built.id().value();
    return part.isEmpty() ? item : item + Parcel.Piece.PART + part;
  }

  /** What goes into each file, by what stands behind the stem of its name. */
  static Map<String, List<DealtItem>> deal(List<Build.BuiltItem> sent, Split split) {
    Map<String, List<DealtItem>> out = new LinkedHashMap<>();
    split
        .dealt(sent.stream().map(Build.BuiltItem::item).toList(), Curved.USUAL_CHORD)
        .forEach((file, parts) -> out.put(file, parts.stream().map(p -> of(sent, p)).toList()));
    return out;
  }

  private static DealtItem of(List<Build.BuiltItem> sent, Split.Part p) {
    Build.BuiltItem i = sent.get(p.of());
    return new DealtItem(new Build.BuiltItem(i.id(), p.item(), i.source(), i.origin()), p.name());
  }

  /** Relations of the items as those of the pieces that they become. */
  static List<Relation> relations(List<Relation> all, List<DealtItem> items) {
    Map<ItemId, ItemId> keys = new HashMap<>();
    items.stream()
        .filter(i -> !i.part().isEmpty())
        .forEach(i -> keys.put(i.built().id(), new ItemId(i.key())));
    if (keys.isEmpty()) {
      return all;
    }
    List<Relation> out = new ArrayList<>();
    for (Relation r : all) {
      out.add(
          new Relation(
              keys.getOrDefault(r.from(), r.from()), r.type(), keys.getOrDefault(r.to(), r.to())));
    }
    return out;
  }
}
