package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;

/**
 * Where an edge of a section turns on the way to the next one, the face between them is no plane:
 * it is taken in steps. Their number is even, because diagonals run to one side in one step and to
 * the other in the next, so that the volume is that of the twisted face.
 */
final class TwistedFaces {
  private static final int MOST = 400;

  /** A twist below this share of the tolerance is none. */
  private static final double NONE = 0.01;

  private TwistedFaces() {}

  /**
   * Distances between two sections, without their own.
   *
   * @param a loops of the first section, x and y of their corners
   * @param b as many loops of as many corners
   * @param tolerance largest distance from the true face
   */
  static List<Double> between(
      double from, double to, List<double[]> a, List<double[]> b, double tolerance) {
    double twist = twist(a, b);
    List<Double> out = new ArrayList<>();
    if (twist < NONE * tolerance) {
      return out;
    }
    int half = (int) Math.ceil(Math.min(MOST, twist / (4 * tolerance)) / 2);
    for (int k = 1; k < 2 * half; k++) {
      out.add(from + (to - from) * k / (2 * half));
    }
    return out;
  }

  /** How far the fourth corner of a face lies off the plane of the others, at most. */
  private static double twist(List<double[]> a, List<double[]> b) {
    double most = 0;
    for (int l = 0; l < Math.min(a.size(), b.size()); l++) {
      double[] p = a.get(l);
      double[] q = b.get(l);
      for (int i = 0; i < Math.min(p.length, q.length); i += 2) {
        int j = (i + 2) % p.length;
        if (j + 1 >= q.length) {
          continue; // other numbers of corners are refused where they are joined
        }
        double px = p[j] - p[i];
        double py = p[j + 1] - p[i + 1];
        double qx = q[j] - q[i];
        double qy = q[j + 1] - q[i + 1];
        double length = Math.hypot(px + qx, py + qy);
        if (length > 0) {
          most = Math.max(most, Math.abs((px + qx) * (qy - py) - (py + qy) * (qx - px)) / length);
        }
      }
    }
    return most;
  }
}
