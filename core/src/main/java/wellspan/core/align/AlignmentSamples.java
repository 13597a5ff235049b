package wellspan.core.align;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.geom.Polyline;

/** An alignment as points within a stated distance of its true curve, in plan and in level. */
public final class AlignmentSamples {
  private AlignmentSamples() {}

  /**
   * Points at every element end and between them as often as the chord tolerance asks; where there
   * is a profile, only along it.
   *
   * @param chord largest distance of a chord from the curve, in plan and in level, metres
   */
  public static Polyline within(Alignment a, double chord) {
    List<Double> ends = a.elementEnds();
    List<Double> at = new ArrayList<>();
    for (int i = 0; i + 1 < ends.size(); i++) {
      double from = ends.get(i);
      double length = ends.get(i + 1) - from;
      int n = 1;
      while (n < 1 << 20 && deviation(a, from, length, n) > chord) {
        n *= 2;
      }
      for (int k = 0; k < n; k++) {
        at.add(from + length * k / n);
      }
    }
    at.add(ends.getLast());
    double[] xyz = new double[3 * at.size()];
    int n = 0;
    for (double d : at) {
      AlignmentPoint p = a.at(d);
      if (a.profile().isEmpty() || Double.isFinite(p.level())) {
        xyz[n++] = p.east();
        xyz[n++] = p.north();
        xyz[n++] = p.level();
      }
    }
    return new Polyline(java.util.Arrays.copyOf(xyz, n));
  }

  /** Largest distance of a quarter point of an even step from its chord. */
  private static double deviation(Alignment a, double from, double length, int steps) {
    double worst = 0;
    double step = length / steps;
    int looked = Math.min(steps, 64);
    for (int k = 0; k < looked; k++) { // curvature changes slowly: some steps stand for all
      double d = from + step * (steps == looked ? k : (long) k * steps / looked);
      AlignmentPoint p = a.at(d);
      AlignmentPoint q = a.at(d + step);
      AlignmentPoint m = a.at(d + step / 2);
      worst = Math.max(worst, AlignmentChords.off(p, m, q));
    }
    return worst * 1.1; // the middle is not always the furthest point
  }
}
