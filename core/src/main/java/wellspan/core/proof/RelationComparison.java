package wellspan.core.proof;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import wellspan.core.attribute.RelationType;
import wellspan.core.deliver.CarriedRelations;
import wellspan.core.deliver.Parcel;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Relation;
import wellspan.core.item.Relations;
import wellspan.core.proof.Difference.What;
import wellspan.core.receive.Received;

/** Compares how things stand to each other as sent and as arrived, by their GlobalIds. */
final class RelationComparison {
  private RelationComparison() {}

  /** One relation, whichever of two connected things says it. */
  private record Tie(String from, RelationType type, String to) {
    static Tie of(String from, RelationType type, String to) {
      return type == RelationType.CONNECTS && from.compareTo(to) > 0
          ? new Tie(to, type, from)
          : new Tie(from, type, to);
    }
  }

  static List<Difference> compare(Parcel sent, Received arrived) {
    Map<String, Parcel.Piece> pieces = new HashMap<>();
    sent.pieces().forEach(p -> pieces.put(p.key(), p));
    Map<Tie, String> here = new LinkedHashMap<>();
    for (Relation r : CarriedRelations.of(sent)) {
      Parcel.Piece from = pieces.get(r.from().value());
      Parcel.Piece to = pieces.get(r.to().value());
      here.put(
          Tie.of(from.description().globalId(), r.type(), to.description().globalId()),
          words(from.item(), r.type(), to.item()));
    }
    Map<Tie, String> there = ties(arrived.items(), i -> i.said().globalId());
    return differences(here, there);
  }

  /**
   * The same of two files whose things were paired.
   *
   * @param follows whether both can hold which line a thing follows
   */
  static List<Difference> loose(
      Received sent, Received arrived, List<ItemPair> pairs, boolean follows) {
    IdentityHashMap<Item, String> numbers = new IdentityHashMap<>();
    for (int i = 0; i < pairs.size(); i++) {
      numbers.put(pairs.get(i).sent(), Integer.toString(i));
      numbers.put(pairs.get(i).arrived(), Integer.toString(i));
    }
    Map<Tie, String> here = ties(sent.items(), i -> numbers.getOrDefault(i, ""));
    Map<Tie, String> there = ties(arrived.items(), i -> numbers.getOrDefault(i, ""));
    for (Map<Tie, String> some : List.of(here, there)) {
      some.keySet()
          .removeIf(
              t ->
                  t.from().isEmpty() // missing or extra, which is told of the thing itself
                      || t.to().isEmpty()
                      || !follows && t.type() == RelationType.FOLLOWS);
    }
    return differences(here, there);
  }

  private static Map<Tie, String> ties(List<Item> all, Function<Item, String> key) {
    Map<ItemId, Item> items = new LinkedHashMap<>();
    all.forEach(i -> items.put(ItemId.of("", i), i));
    Map<Tie, String> out = new LinkedHashMap<>();
    for (Relation r : Relations.of(items)) {
      Item from = items.get(r.from());
      Item to = items.get(r.to());
      if (!CarriedRelations.isBetweenProducts(r.type(), from, to)) {
        continue; // no model that we write holds it
      }
      out.put(Tie.of(key.apply(from), r.type(), key.apply(to)), words(from, r.type(), to));
    }
    return out;
  }

  private static List<Difference> differences(Map<Tie, String> here, Map<Tie, String> there) {
    List<Difference> out = new ArrayList<>();
    here.forEach(
        (tie, words) -> {
          if (!there.containsKey(tie)) {
            out.add(Difference.of(What.RELATION, "", words + ": sent and not arrived."));
          }
        });
    there.forEach(
        (tie, words) -> {
          if (!here.containsKey(tie)) {
            out.add(Difference.of(What.RELATION, "", words + ": arrived and not sent."));
          }
        });
    return out;
  }

  private static String words(Item from, RelationType type, Item to) {
    return from.name() + " " + type.words() + " " + to.name();
  }
}
