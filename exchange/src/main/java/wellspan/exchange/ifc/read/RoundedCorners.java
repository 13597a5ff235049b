package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;

/** A line of straight pieces whose corners are rounded by arcs that touch both pieces. */
final class RoundedCorners {
  /** Pieces that go on straight have no corner, radians. */
  private static final double STRAIGHT = 1e-9;

  private static final double SAME = 1e-9;

  private RoundedCorners() {}

  /**
   * @param line in threes, without repeated points; the first again at the end where it is a ring
   * @param radius of the arcs, as are the coordinates
   * @throws Unread if a piece is shorter than its arcs need, or the line turns back on itself
   */
  static double[] of(double[] line, boolean ring, double radius, CurveReader curves, Instance s) {
    int n = line.length / 3 - (ring ? 1 : 0);
    double[] cut = new double[n]; // how far from its corner each arc begins
    for (int i = ring ? 0 : 1; i < (ring ? n : n - 1); i++) {
      double turn = turn(line, i, n);
      if (Math.PI - turn < 1e-3) {
        throw new Unread(s, "turns back on itself");
      }
      cut[i] = turn < STRAIGHT ? 0 : radius * Math.tan(turn / 2);
    }
    List<double[]> out = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      if (i + 1 < n || ring) {
        double length = Direction.distance(point(line, i), point(line, (i + 1) % n));
        if (cut[i] + cut[(i + 1) % n] > length * (1 + SAME)) {
          throw new Unread(
              s,
              "has corners rounded by a radius of " + radius + ", for which a piece is too short");
        }
      }
      if (cut[i] == 0) {
        out.add(point(line, i));
      } else {
        arc(line, i, n, radius, cut[i], curves, out);
      }
    }
    if (ring) {
      out.add(out.getFirst());
    }
    return joined(out);
  }

  private static double[] point(double[] line, int i) {
    return new double[] {line[3 * i], line[3 * i + 1], line[3 * i + 2]};
  }

  private static double[] between(double[] line, int from, int to) {
    double[] a = point(line, from);
    double[] b = point(line, to);
    return Direction.unit(new double[] {b[0] - a[0], b[1] - a[1], b[2] - a[2]});
  }

  private static double turn(double[] line, int i, int n) {
    double[] in = between(line, (i + n - 1) % n, i);
    double[] out = between(line, i, (i + 1) % n);
    double[] across = Direction.cross(in, out);
    return Math.atan2(Math.sqrt(Direction.dot(across, across)), Direction.dot(in, out));
  }

  private static void arc(
      double[] line,
      int i,
      int n,
      double radius,
      double cut,
      CurveReader curves,
      List<double[]> to) {
    double[] p = point(line, i);
    double[] in = between(line, (i + n - 1) % n, i);
    double[] out = between(line, i, (i + 1) % n);
    double along = Direction.dot(in, out);
    double[] inwards = new double[3];
    for (int k = 0; k < 3; k++) {
      inwards[k] = out[k] - along * in[k];
    }
    inwards = Direction.unit(inwards);
    double[] centre = new double[3];
    double[] major = new double[3];
    double[] minor = new double[3];
    for (int k = 0; k < 3; k++) {
      centre[k] = p[k] - cut * in[k] + radius * inwards[k];
      major[k] = -radius * inwards[k];
      minor[k] = radius * in[k];
    }
    double[] points = curves.chords(centre, major, minor, 0, turn(line, i, n));
    for (int k = 0; k < points.length; k += 3) {
      to.add(new double[] {points[k], points[k + 1], points[k + 2]});
    }
  }

  /** Arcs that meet on a piece share a point. */
  private static double[] joined(List<double[]> points) {
    double[] out = new double[3 * points.size()];
    int n = 0;
    for (double[] p : points) {
      double[] last = n == 0 ? null : new double[] {out[n - 3], out[n - 2], out[n - 1]};
      if (last == null || Direction.distance(last, p) > SAME) {
        System.arraycopy(p, 0, out, n, 3);
        n += 3;
      }
    }
    return java.util.Arrays.copyOf(out, n);
  }
}
