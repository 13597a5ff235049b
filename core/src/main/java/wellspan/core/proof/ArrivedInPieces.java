package wellspan.core.proof;

import java.util.List;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.ClothoidPieces;
import wellspan.core.align.Lengths;
import wellspan.core.align.PlanElement;

/**
 * Where the elements of an alignment that was sent are on the one that arrived, if all that differs
 * is that transitions of laws for which the receiver has no curve are several elements there.
 *
 * @param sent the elements
 * @param reached where each of them ends on the alignment that was sent
 * @param arrived where it ends on the one that arrived
 */
record ArrivedInPieces(List<PlanElement> sent, Lengths reached, Lengths arrived) {
  /** Nothing if as many elements arrived as were sent, or others. */
  static Optional<ArrivedInPieces> of(Alignment sent, Alignment arrived) {
    List<PlanElement> elements = sent.simpleElements();
    List<PlanElement> came = arrived.simpleElements();
    if (came.size() <= elements.size()) {
      return Optional.empty();
    }
    double[] there = Lengths.of(came).ends();
    double[] found = new double[elements.size()];
    int next = 0;
    double from = 0;
    for (int i = 0; i < found.length; i++) {
      int first = next;
      double end = from + elements.get(i).length(); // so that what little they differ adds not up
      while (next < there.length && there[next] <= end + Alignment.SAME_END) {
        next++;
      }
      boolean ends = next > first && there[next - 1] >= end - Alignment.SAME_END;
      if (!ends || next - first > 1 && !isOther(elements.get(i))) {
        return Optional.empty();
      }
      from = there[next - 1];
      found[i] = from;
    }
    return next == there.length
        ? Optional.of(new ArrivedInPieces(elements, Lengths.of(elements), new Lengths(found)))
        : Optional.empty();
  }

  private static boolean isOther(PlanElement e) {
    return e instanceof PlanElement.Spiral s && !s.law().hasLayoutType();
  }

  /** The distance on what arrived that stands for one on what was sent. */
  double at(double distance) {
    int i = reached.endingAtOrAfter(distance);
    double along = (distance - reached.start(i)) / sent.get(i).length();
    return arrived.start(i) + along * (arrived.ends()[i] - arrived.start(i));
  }

  /** How far what arrived may lie from what was sent at a distance, metres. */
  double limit(double distance, double tolerance) {
    return isOther(sent.get(reached.endingAtOrAfter(distance))) ? ClothoidPieces.FINE : tolerance;
  }

  /** By how much the whole may be longer or shorter, metres. */
  double longer() {
    return ClothoidPieces.FINE * sent.stream().filter(ArrivedInPieces::isOther).count();
  }
}
