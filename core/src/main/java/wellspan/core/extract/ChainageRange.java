package wellspan.core.extract;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;

/**
 * A range of displayed chainages, metres; open at an end that is infinite.
 *
 * @param from smallest label
 * @param to largest label
 */
public record ChainageRange(double from, double to) {

  /**
   * @throws IllegalArgumentException if the range runs backwards or has no numbers
   */
  public ChainageRange {
    if (!(from < to)) {
      throw new IllegalArgumentException(
          "The range of chainages from " + from + " to " + to + " holds nothing.");
    }
  }

  /** Distances along an alignment, metres. */
  record Stretch(double from, double to) {}

  /**
   * Where the labels of an alignment lie within the range; empty where none does.
   *
   * @throws IllegalArgumentException if they do so in several places that do not touch, with a
   *     sentence
   */
  Optional<Stretch> on(Alignment a) {
    Chainages c = a.chainages();
    double length = a.length();
    List<Double> ends = new ArrayList<>();
    ends.add(0.0);
    c.equations().stream()
        .map(Chainages.Equation::distance)
        .filter(d -> d > 0 && d < length)
        .forEach(ends::add);
    ends.add(length);
    List<Stretch> found = new ArrayList<>();
    for (int i = 0; i + 1 < ends.size(); i++) {
      double low = ends.get(i);
      double high = ends.get(i + 1);
      double first = c.at(low);
      double middle = c.at((low + high) / 2);
      double way = middle >= first ? 1 : -1;
      double d1 = way > 0 ? low + from - first : low + first - to;
      double d2 = way > 0 ? low + to - first : low + first - from;
      Stretch s = new Stretch(Math.max(low, d1), Math.min(high, d2));
      if (s.to - s.from > 1e-6) {
        Stretch last = found.isEmpty() ? null : found.getLast();
        if (last != null && Math.abs(last.to - s.from) < 1e-6) {
          found.set(found.size() - 1, new Stretch(last.from, s.to));
        } else {
          found.add(s);
        }
      }
    }
    if (found.size() > 1) {
      throw new IllegalArgumentException(
          "The chainages from "
              + Chainages.format(from)
              + " to "
              + Chainages.format(to)
              + " stand on "
              + a.name()
              + " in "
              + found.size()
              + " places, since an equation uses numbers twice. Take a range that stands in one.");
    }
    return found.stream().findFirst();
  }
}
