package wellspan.core.geom;

import java.util.ArrayList;
import java.util.List;

/** Straight pieces that follow a curve within a tolerance. */
public final class Chords {
  private static final int MOST_PIECES = 10_000;
  private static final int MOST_HALVINGS = 12;

  private Chords() {}

  /**
   * Points on a circle or ellipse {@code centre + cos(t)·major + sin(t)·minor}.
   *
   * @param centre three numbers, as the two half axes
   * @param from parameter of the first point, radians
   * @param sweep how far to go, counter-clockwise positive
   * @param tolerance largest distance of a piece from the curve, positive
   * @return points in threes, the ends of the curve among them
   */
  public static double[] ellipse(
      double[] centre,
      double[] major,
      double[] minor,
      double from,
      double sweep,
      double tolerance) {
    double radius = Math.max(length(major), length(minor));
    // the height of a circular segment over the angle a is r·(1 − cos(a/2))
    double widest = tolerance >= radius ? Math.PI / 2 : 2 * Math.acos(1 - tolerance / radius);
    int n =
        (int)
            Math.clamp(Math.ceil(Math.abs(sweep) / Math.min(widest, Math.PI / 4)), 1, MOST_PIECES);
    double[] out = new double[3 * (n + 1)];
    for (int i = 0; i <= n; i++) {
      double t = from + sweep * i / n;
      for (int k = 0; k < 3; k++) {
        out[3 * i + k] = centre[k] + Math.cos(t) * major[k] + Math.sin(t) * minor[k];
      }
    }
    return out;
  }

  private static double length(double[] v) {
    return Math.sqrt(v[0] * v[0] + v[1] * v[1] + v[2] * v[2]);
  }

  /**
   * The points of an arc between two points in plan, given by the tangent of a quarter of its angle
   * as drawings do ("bulge"): positive to the left of the chord's start, counter-clockwise.
   *
   * @return points in threes without the first one; levels run straight from end to end
   */
  public static double[] bulge(double[] from, double[] to, double bulge, double tolerance) {
    double dx = to[0] - from[0];
    double dy = to[1] - from[1];
    double chord = Math.hypot(dx, dy);
    if (bulge == 0 || chord == 0) {
      return to.clone();
    }
    double angle = 4 * Math.atan(bulge);
    // centre: from the middle of the chord, to its left by chord·(1 − b²)/(4b)
    double aside = (1 - bulge * bulge) / (4 * bulge);
    double cx = (from[0] + to[0]) / 2 - dy * aside;
    double cy = (from[1] + to[1]) / 2 + dx * aside;
    double radius = Math.hypot(from[0] - cx, from[1] - cy);
    double start = Math.atan2(from[1] - cy, from[0] - cx);
    double[] all =
        ellipse(
            new double[] {cx, cy, 0},
            new double[] {radius, 0, 0},
            new double[] {0, radius, 0},
            start,
            angle,
            tolerance);
    int n = all.length / 3 - 1;
    double[] out = new double[3 * n];
    for (int i = 1; i <= n; i++) {
      out[3 * i - 3] = all[3 * i];
      out[3 * i - 2] = all[3 * i + 1];
      out[3 * i - 1] = from[2] + (to[2] - from[2]) * i / n;
    }
    System.arraycopy(to, 0, out, 3 * n - 3, 3); // the end itself, without rounding
    return out;
  }

  /**
   * A B-spline, rational if it has weights.
   *
   * @param degree one or more
   * @param knots not falling, as many as control points and degree and one
   * @param weights one for each control point, or none
   * @param control control points in threes
   * @return points in threes, both ends among them
   * @throws IllegalArgumentException if the numbers do not make a spline
   */
  public static double[] spline(
      int degree, double[] knots, double[] weights, double[] control, double tolerance) {
    int n = control.length / 3;
    DeBoor.check(degree, knots, n);
    if (weights.length != 0 && weights.length != n) {
      throw new IllegalArgumentException(
          "A spline of " + n + " control points has " + weights.length + " weights.");
    }
    for (double w : weights) {
      if (!(w > 0)) {
        throw new IllegalArgumentException("A spline has a weight of " + w + ".");
      }
    }
    List<double[]> out = new ArrayList<>();
    out.add(at(degree, knots, weights, control, degree, knots[degree]));
    for (int k = degree; k < n; k++) {
      int span = k;
      double from = knots[span];
      double to = knots[span + 1];
      if (to > from) {
        Curve curve = t -> at(degree, knots, weights, control, span, t);
        // several pieces at first, so that a bend does not hide between two points that agree
        int pieces = degree == 1 ? 1 : 4;
        for (int i = 0; i < pieces; i++) {
          double t0 = from + (to - from) * i / pieces;
          double t1 = from + (to - from) * (i + 1) / pieces;
          refine(curve, t0, out.getLast(), t1, curve.at(t1), tolerance, out, MOST_HALVINGS);
        }
      }
    }
    return flat(out);
  }

  private interface Curve {
    double[] at(double t);
  }

  /** Adds the points behind the first one. */
  private static void refine(
      Curve c,
      double t0,
      double[] p0,
      double t1,
      double[] p1,
      double tolerance,
      List<double[]> out,
      int halvings) {
    double t = (t0 + t1) / 2;
    double[] middle = c.at(t);
    if (halvings == 0 || fromChord(middle, p0, p1) <= tolerance) {
      out.add(p1);
      return;
    }
    refine(c, t0, p0, t, middle, tolerance, out, halvings - 1);
    refine(c, t, middle, t1, p1, tolerance, out, halvings - 1);
  }

  private static double fromChord(double[] p, double[] a, double[] b) {
    double[] ab = {b[0] - a[0], b[1] - a[1], b[2] - a[2]};
    double[] ap = {p[0] - a[0], p[1] - a[1], p[2] - a[2]};
    double square = ab[0] * ab[0] + ab[1] * ab[1] + ab[2] * ab[2];
    double t = square == 0 ? 0 : (ab[0] * ap[0] + ab[1] * ap[1] + ab[2] * ap[2]) / square;
    t = Math.clamp(t, 0.0, 1.0);
    return length(new double[] {ap[0] - t * ab[0], ap[1] - t * ab[1], ap[2] - t * ab[2]});
  }

  private static double[] at(
      int degree, double[] knots, double[] weights, double[] control, int span, double t) {
    double[][] d = new double[degree + 1][4];
    for (int j = 0; j <= degree; j++) {
      int i = span - degree + j;
      double w = weights.length == 0 ? 1 : weights[i];
      for (int k = 0; k < 3; k++) {
        d[j][k] = w * control[3 * i + k];
      }
      d[j][3] = w;
    }
    double[] p = DeBoor.at(degree, knots, span, d, t);
    return new double[] {p[0] / p[3], p[1] / p[3], p[2] / p[3]};
  }

  private static double[] flat(List<double[]> points) {
    double[] out = new double[3 * points.size()];
    for (int i = 0; i < points.size(); i++) {
      System.arraycopy(points.get(i), 0, out, 3 * i, 3);
    }
    return out;
  }
}
