package wellspan.core.align;

import java.util.List;

/**
 * Lengths of pieces that follow each other, and which piece a distance lies on.
 *
 * @param ends where each piece ends, metres from the start of the first; immutable by convention
 */
public record Lengths(double[] ends) {
  /** Of elements of an alignment in plan. */
  public static Lengths of(List<PlanElement> elements) {
    return of(elements.stream().mapToDouble(PlanElement::length).toArray());
  }

  /** Added up so that what rounding loses of many small ones is kept (W. Kahan, 1965). */
  static Lengths of(double[] pieces) {
    double[] ends = new double[pieces.length];
    double sum = 0;
    double lost = 0;
    for (int i = 0; i < pieces.length; i++) {
      double piece = pieces[i] - lost;
      double next = sum + piece;
      lost = next - sum - piece;
      sum = next;
      ends[i] = sum;
    }
    return new Lengths(ends);
  }

  double whole() {
    return ends[ends.length - 1];
  }

  /** Where a piece starts. */
  public double start(int piece) {
    return piece == 0 ? 0 : ends[piece - 1];
  }

  /** The first piece that ends at a distance or beyond; the last one where none does. */
  public int endingAtOrAfter(double distance) {
    return first(distance, true);
  }

  /** The first piece that ends beyond a distance; the last one where none does. */
  int endingAfter(double distance) {
    return first(distance, false);
  }

  private int first(double distance, boolean orAt) {
    int low = 0;
    int high = ends.length - 1;
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (ends[middle] > distance || orAt && ends[middle] == distance) {
        high = middle;
      } else {
        low = middle + 1;
      }
    }
    return low;
  }
}
