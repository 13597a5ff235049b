package wellspan.core.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.ClothoidPieces;
import wellspan.core.align.PlanElement;

/**
 * Where the elements of an alignment that was sent are on the one that arrived, if all that differs
 * is that transitions of laws for which the receiver has no curve are several elements there.
 *
 * @param sent the elements
 * @param ends where each of them ends on the alignment that was sent
 * @param arrived where it ends on the one that arrived
 */
record ArrivedInPieces(List<PlanElement> sent, List<Double> ends, List<Double> arrived) {
  /** Nothing if as many elements arrived as were sent, or others. */
  static Optional<ArrivedInPieces> of(Alignment sent, Alignment arrived) {
    List<PlanElement> elements = sent.simpleElements();
    List<Double> ends = ends(elements);
    List<Double> there = ends(arrived.simpleElements());
    if (there.size() <= ends.size()) {
      return Optional.empty();
    }
    List<Double> found = new ArrayList<>();
    int next = 0;
    for (int i = 0; i < elements.size(); i++) {
      int first = next;
      double end = ends.get(i);
      while (next < there.size() && there.get(next) <= end + Alignment.SAME_END) {
        next++;
      }
      boolean reached = next > first && there.get(next - 1) >= end - Alignment.SAME_END;
      if (!reached || next - first > 1 && !isOther(elements.get(i))) {
        return Optional.empty();
      }
      found.add(there.get(next - 1));
    }
    return next == there.size()
        ? Optional.of(new ArrivedInPieces(elements, ends, found))
        : Optional.empty();
  }

  private static boolean isOther(PlanElement e) {
    return e instanceof PlanElement.Spiral s && !s.law().hasLayoutType();
  }

  private static List<Double> ends(List<PlanElement> elements) {
    List<Double> out = new ArrayList<>();
    double d = 0;
    for (PlanElement e : elements) {
      d += e.length();
      out.add(d);
    }
    return out;
  }

  private int element(double distance) {
    int i = 0;
    while (i < ends.size() - 1 && distance > ends.get(i)) {
      i++;
    }
    return i;
  }

  /** The distance on what arrived that stands for one on what was sent. */
  double at(double distance) {
    int i = element(distance);
    double from = i == 0 ? 0 : ends.get(i - 1);
    double there = i == 0 ? 0 : arrived.get(i - 1);
    double longer = (arrived.get(i) - there) / (ends.get(i) - from);
    return there + (distance - from) * longer;
  }

  /** How far what arrived may lie from what was sent at a distance, metres. */
  double limit(double distance, double tolerance) {
    return isOther(sent.get(element(distance))) ? ClothoidPieces.FINE : tolerance;
  }

  /** By how much the whole may be longer or shorter, metres. */
  double longer() {
    return ClothoidPieces.FINE * sent.stream().filter(ArrivedInPieces::isOther).count();
  }
}
