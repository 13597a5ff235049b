package wellspan.core.step;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntPredicate;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;

/** Groups of points with some left out or moved. */
final class PointEdits {
  private PointEdits() {}

  /** The points whose numbers pass. */
  static Shape.Points only(Shape.Points p, IntPredicate kept) {
    List<NamedPoint> some = new ArrayList<>();
    for (int i = 0; i < p.points().size(); i++) {
      if (kept.test(i)) {
        some.add(p.points().get(i));
      }
    }
    return new Shape.Points(some);
  }

  /** Without the points of these numbers. */
  static Shape.Points without(Shape.Points p, List<Integer> numbers) {
    boolean[] gone = flags(numbers, p.points().size());
    return only(p, i -> !gone[i]);
  }

  static boolean[] flags(List<Integer> numbers, int count) {
    boolean[] out = new boolean[count];
    numbers.forEach(i -> out[i] = true);
    return out;
  }
}
