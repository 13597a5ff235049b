package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.Arrays;
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
    try {
      return Chords.spline(
          (int) curve.number("Degree"),
          knots(curve, "KnotMultiplicities", "Knots"),
          curve.numbers("WeightsData"),
          p,
          tolerance);
    } catch (IllegalArgumentException e) {
      throw new Unread(curve, "is no sound spline: " + e.getMessage());
    }
  }

  /** Knots, each as often as it counts. */
  static double[] knots(Instance spline, String multiplicities, String values) {
    double[] times = spline.numbers(multiplicities);
    double[] knots = spline.numbers(values);
    List<Double> all = new ArrayList<>();
    for (int i = 0; i < Math.min(times.length, knots.length); i++) {
      for (int k = 0; k < times[i]; k++) {
        all.add(knots[i]);
      }
    }
    return all.stream().mapToDouble(Double::doubleValue).toArray();
  }

  /** Rows of numbers; none where the attribute is not there. */
  static double[][] table(Value v) {
    List<double[]> rows = new ArrayList<>();
    switch (v) {
      case Value.Table(double[] all, int columns, Value.Tokens _) -> {
        for (int i = 0; i < all.length; i += columns) {
          rows.add(Arrays.copyOfRange(all, i, i + columns));
        }
      }
      case Value.Many(List<Value> some) -> {
        for (Value row : some) {
          if (row instanceof Value.Numbers(double[] n, Value.Tokens _)) {
            rows.add(n);
          }
        }
      }
      default -> {}
    }
    return rows.toArray(new double[0][]);
  }
}
