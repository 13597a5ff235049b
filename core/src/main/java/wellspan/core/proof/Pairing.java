package wellspan.core.proof;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wellspan.core.geom.Box;
import wellspan.core.item.Item;
import wellspan.core.shape.Shape;

/**
 * Which item of what arrived is which of what was sent: by GlobalId where both have it, else by
 * kind and name, else by place.
 *
 * @param arrived for each sent entry its partner
 * @param extra arrived entries without a partner
 */
record Pairing(List<Optional<Item>> arrived, List<Item> extra) {

  static Pairing of(List<Item> sent, List<Item> arrived) {
    List<Optional<Item>> partner = new ArrayList<>();
    sent.forEach(s -> partner.add(Optional.empty()));
    Set<Integer> free = new LinkedHashSet<>();
    for (int i = 0; i < arrived.size(); i++) {
      free.add(i);
    }
    by(sent, arrived, partner, free, e -> id(e).isEmpty() ? "" : id(e));
    by(sent, arrived, partner, free, e -> kind(e) + "\u0000" + e.name());
    by(sent, arrived, partner, free, e -> family(e) + "\u0000" + e.name());
    by(sent, arrived, partner, free, e -> family(e) + "\u0000" + plain(e.name()));
    byPlace(sent, arrived, partner, free);
    return new Pairing(partner, free.stream().map(arrived::get).toList());
  }

  private interface Key {
    String of(Item e);
  }

  private static void by(
      List<Item> sent,
      List<Item> arrived,
      List<Optional<Item>> partner,
      Set<Integer> free,
      Key key) {
    Map<String, List<Integer>> known = new HashMap<>();
    for (int i : free) {
      String k = key.of(arrived.get(i));
      if (!k.isEmpty()) {
        known.computeIfAbsent(k, x -> new ArrayList<>()).add(i);
      }
    }
    for (int s = 0; s < sent.size(); s++) {
      List<Integer> found = known.get(key.of(sent.get(s)));
      if (partner.get(s).isEmpty() && found != null && !found.isEmpty()) {
        int taken = found.removeFirst();
        partner.set(s, Optional.of(arrived.get(taken)));
        free.remove(taken);
      }
    }
  }

  private static void byPlace(
      List<Item> sent, List<Item> arrived, List<Optional<Item>> partner, Set<Integer> free) {
    for (int s = 0; s < sent.size(); s++) {
      if (partner.get(s).isPresent()) {
        continue;
      }
      Item item = sent.get(s);
      Box box = item.bounds();
      double reach =
          Math.max(1, 0.05 * Math.hypot(box.maxE() - box.minE(), box.maxN() - box.minN()));
      int best = -1;
      for (int i : free) {
        if (family(arrived.get(i)).equals(family(item))) {
          double off = off(box, arrived.get(i).bounds());
          if (off <= reach) {
            reach = off;
            best = i;
          }
        }
      }
      if (best >= 0) {
        partner.set(s, Optional.of(arrived.get(best)));
        free.remove(best);
      }
    }
  }

  private static double off(Box a, Box b) {
    return Math.max(
        Math.hypot(a.minE() - b.minE(), a.minN() - b.minN()),
        Math.hypot(a.maxE() - b.maxE(), a.maxN() - b.maxN()));
  }

  private static String id(Item e) {
    return e.said().globalId();
  }

  private static String kind(Item item) {
    return item.kind().title();
  }

  /** Kinds whose geometry can be compared. */
  static String family(Item item) {
    return item.triangles().isPresent()
        ? "faces"
        : switch (item.shape()) {
          case Shape.Axis a -> "line";
          case Shape.Lines l -> "line";
          case Shape.Points p -> "points";
          case Shape.Picture g -> "picture";
          case Shape.Faces f -> "faces";
        };
  }

  /** A name as releases without small letters and accents write it. */
  private static String plain(String name) {
    return Normalizer.normalize(name, Normalizer.Form.NFD)
        .toUpperCase(Locale.ROOT)
        .replaceAll("[^A-Z0-9]+", "_");
  }
}
