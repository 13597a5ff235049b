package wellspan.core.job;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import wellspan.core.geom.Position;
import wellspan.core.shape.NamedPoint;

/**
 * How a list of points differs from its last revision. Points are paired in their order where all
 * names are the same, else by their names where each name stands once.
 *
 * @param paired whether they could be paired; if not, only the numbers are known
 * @param moved points at another place in plan
 * @param farthest largest distance that one moved in plan, metres
 * @param raised points at another level
 * @param largest largest difference of a level, metres, new minus old
 * @param where it is
 * @param recoded points with another code
 */
record PointChange(
    int before,
    int now,
    boolean paired,
    int moved,
    double farthest,
    int raised,
    double largest,
    Optional<Position> where,
    int recoded) {
  private static final double SAME = 1e-6;

  static PointChange between(List<NamedPoint> before, List<NamedPoint> now) {
    Sum sum = new Sum();
    boolean paired = inOrder(before, now, sum) || byName(before, now, sum);
    return new PointChange(
        before.size(),
        now.size(),
        paired,
        sum.moved,
        sum.farthest,
        sum.raised,
        sum.largest,
        Optional.ofNullable(sum.where),
        sum.recoded);
  }

  /** What differs, as a sentence without its end. */
  String told() {
    List<String> parts = new ArrayList<>();
    if (before != now || !paired) {
      parts.add(before + " points before, " + now + " now");
    }
    if (moved > 0) {
      parts.add(String.format(Locale.ROOT, "%d moved in plan by up to %.3f m", moved, farthest));
    }
    if (raised > 0) {
      String by =
          where
              .map(
                  p ->
                      String.format(
                          Locale.ROOT,
                          ", by up to %+.3f m at E %.1f N %.1f",
                          largest,
                          p.east(),
                          p.north()))
              .orElse(""); // only levels that came or went
      parts.add(raised + " at another level" + by);
    }
    if (recoded > 0) {
      parts.add(recoded + " with another code");
    }
    return parts.isEmpty() ? "other names" : String.join("; ", parts);
  }

  private static boolean inOrder(List<NamedPoint> before, List<NamedPoint> now, Sum sum) {
    if (before.size() != now.size()) {
      return false;
    }
    for (int i = 0; i < now.size(); i++) {
      if (!before.get(i).name().equals(now.get(i).name())) {
        return false;
      }
    }
    for (int i = 0; i < now.size(); i++) {
      sum.add(before.get(i), now.get(i));
    }
    return true;
  }

  private static boolean byName(List<NamedPoint> before, List<NamedPoint> now, Sum sum) {
    Map<String, NamedPoint> old = new HashMap<>();
    for (NamedPoint p : before) {
      if (p.name().isBlank() || old.put(p.name(), p) != null) {
        return false;
      }
    }
    if (now.stream().map(NamedPoint::name).distinct().count() < now.size()) {
      return false;
    }
    for (NamedPoint p : now) {
      NamedPoint was = old.get(p.name());
      if (was != null) {
        sum.add(was, p);
      }
    }
    return true;
  }

  /** What is counted while pairs go by. */
  private static final class Sum {
    private int moved;
    private double farthest;
    private int raised;
    private double largest;
    private Position where;
    private int recoded;

    void add(NamedPoint was, NamedPoint is) {
      Position a = was.position(), b = is.position();
      double plan = Math.hypot(b.east() - a.east(), b.north() - a.north());
      if (plan > SAME) {
        moved++;
        farthest = Math.max(farthest, plan);
      }
      double level = b.level() - a.level();
      boolean known = !Double.isNaN(level);
      if (known ? Math.abs(level) > SAME : Double.isNaN(a.level()) != Double.isNaN(b.level())) {
        raised++;
      }
      if (known && Math.abs(level) > Math.max(SAME, Math.abs(largest))) {
        largest = level;
        where = b;
      }
      recoded += was.code().equals(is.code()) ? 0 : 1;
    }
  }
}
