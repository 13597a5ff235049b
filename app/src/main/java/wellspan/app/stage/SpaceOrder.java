package wellspan.app.stage;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.TreeSet;
import wellspan.core.build.Build;
import wellspan.core.geom.Box;
import wellspan.core.item.Band;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;

/**
 * Which of two things is seen in 3D where both lie at the same level, or too close for a pixel:
 * what is in the upper stratum, and of two surfaces of the ground the smaller one, as a design is
 * set into what was there. Without an order the two would speckle through each other.
 */
final class SpaceOrder {
  /** How much one rank counts, pixels. */
  private static final double PIXELS = 0.8;

  private SpaceOrder() {}

  /** Ranks from 0, the higher one is seen. */
  static Map<ItemId, Integer> of(List<Build.BuiltItem> shown) {
    List<Build.BuiltItem> ground =
        shown.stream()
            .filter(i -> i.item().kind().is(Kind.TERRAIN))
            .sorted(Comparator.comparingDouble(i -> -area(i.item().bounds())))
            .toList();
    Map<ItemId, Integer> out = new HashMap<>();
    int ranks = 0;
    for (Build.BuiltItem i : ground) {
      // what lies side by side shares a rank, so that nothing is lifted farther than need be
      int rank =
          ground.stream()
              .filter(o -> out.containsKey(o.id()))
              .filter(o -> o.item().bounds().overlapsPlan(i.item().bounds()))
              .mapToInt(o -> out.get(o.id()) + 1)
              .max()
              .orElse(0);
      out.put(i.id(), rank);
      ranks = Math.max(ranks, rank + 1);
    }
    // strata that hold nothing take no rank either
    NavigableSet<Band> others = new TreeSet<>(Comparator.reverseOrder());
    shown.stream()
        .filter(i -> !out.containsKey(i.id()))
        .forEach(i -> others.add(i.item().kind().stratum()));
    for (Build.BuiltItem i : shown) {
      out.putIfAbsent(i.id(), ranks + others.headSet(i.item().kind().stratum()).size());
    }
    return out;
  }

  /**
   * How far a rank is lifted, metres: less than what can be told apart at that distance.
   *
   * @param metresPerPixel at the middle of the picture
   */
  static double lift(double rank, double metresPerPixel) {
    return rank * PIXELS * metresPerPixel;
  }

  private static double area(Box b) {
    return b.width() * b.depth();
  }
}
