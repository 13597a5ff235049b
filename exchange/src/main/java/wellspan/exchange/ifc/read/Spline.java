package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.geom.Chords;

/** Curves given by control points and knots. */
final class Spline {
  private Spline() {}

  /**
   * Points along it.
   *
   * @param tolerance largest distance of a chord from the curve, in the file's unit
   * @throws Unread where knots, weights and control points do not fit each other
   */
  static double[] of(Instance curve, double tolerance) {
    List<Instance> control = curve.refs("ControlPointsList");
    double[] p = new double[3 * control.size()];
    for (int i = 0; i < control.size(); i++) {
      double[] c = control.get(i).numbers("Coordinates");
      System.arraycopy(c, 0, p, 3 * i, c.length);
    }
    double[] times = curve.numbers("KnotMultiplicities");
    double[] knots = curve.numbers("Knots");
    List<Double> all = new ArrayList<>();
    for (int i = 0; i < Math.min(times.length, knots.length); i++) {
      for (int k = 0; k < times[i]; k++) {
        all.add(knots[i]);
      }
    }
    try {
      return Chords.spline(
          (int) curve.number("Degree"),
          all.stream().mapToDouble(Double::doubleValue).toArray(),
          curve.numbers("WeightsData"),
          p,
          tolerance);
    } catch (IllegalArgumentException e) {
      throw new Unread(curve, "is no sound spline: " + e.getMessage());
    }
  }
}
