package wellspan.core.proof;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.proof.Difference.What;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;

/** Compares named points as sent and as arrived, in their order. */
final class PointComparison {
  /** Beyond this many single points the rest is counted. */
  private static final int NAMED = 20;

  private PointComparison() {}

  /** The same where points may stand in another order. */
  static ItemComparison byName(Item item, Shape.Points sent, Shape.Points arrived, Limits limits) {
    return compare(item, sent, inOrder(sent, arrived), limits);
  }

  /** The arrived points in the order of the sent ones, where their names tell it. */
  private static Shape.Points inOrder(Shape.Points sent, Shape.Points arrived) {
    Map<String, NamedPoint> byName = new HashMap<>();
    arrived.points().forEach(p -> byName.put(p.name(), p));
    boolean all =
        byName.size() == arrived.points().size()
            && sent.points().size() == arrived.points().size()
            && sent.points().stream().allMatch(p -> byName.containsKey(p.name()));
    return all
        ? new Shape.Points(sent.points().stream().map(p -> byName.get(p.name())).toList())
        : arrived;
  }

  static ItemComparison compare(Item item, Shape.Points sent, Shape.Points arrived, Limits limits) {
    List<Difference> found = new ArrayList<>();
    int n = sent.points().size();
    double[] deviations = {};
    double max = Double.POSITIVE_INFINITY;
    if (arrived.points().size() == n) {
      deviations = new double[n];
      max = 0;
      int more = 0;
      for (int i = 0; i < n; i++) {
        NamedPoint p = sent.points().get(i);
        NamedPoint q = arrived.points().get(i);
        deviations[i] = limits.distance(p.position(), q.position());
        max = Math.max(max, deviations[i]);
        boolean named = !limits.pointNames() || p.name().equals(q.name());
        boolean coded = !limits.codes() || p.code().equals(q.code());
        if (!named || !coded) {
          Difference d =
              at(
                  What.NAME,
                  item,
                  "point "
                      + p.name()
                      + " "
                      + p.code()
                      + " arrived as "
                      + q.name()
                      + " "
                      + q.code()
                      + ".",
                  p.position());
          more += add(found, d);
        }
        if (!(deviations[i] <= limits.tolerance())) {
          Difference d =
              at(
                      What.GEOMETRY,
                      item,
                      "point "
                          + p.name()
                          + " lies "
                          + Difference.millimetres(deviations[i])
                          + " from where it was sent.",
                      p.position())
                  .by(deviations[i]);
          more += add(found, d);
        }
      }
      if (more > 0) {
        found.add(
            Difference.of(
                What.GEOMETRY, item.name(), item.name() + ": " + more + " more points differ."));
      }
    } else {
      found.add(
          Difference.of(
              What.GEOMETRY,
              item.name(),
              item.name()
                  + ": "
                  + n
                  + " points were sent, "
                  + arrived.points().size()
                  + " arrived."));
    }
    return new ItemComparison(
        new Proof.ItemProof(
            item.name(), item.kind().title(), n + " points", max, found.isEmpty(), deviations),
        found);
  }

  private static int add(List<Difference> found, Difference d) {
    if (found.size() < NAMED) {
      found.add(d);
      return 0;
    }
    return 1;
  }

  private static Difference at(What what, Item item, String message, Position at) {
    return Difference.of(what, item.name(), item.name() + ": " + message).at(at);
  }
}
