package wellspan.core.triangulate;

import java.util.Arrays;
import wellspan.core.geom.Box;

/**
 * The order of points along a Hilbert curve over their extent, so that each lies near the one
 * before it. Distance along the curve after H. S. Warren, Hacker's Delight, second edition, 16-2.
 */
final class HilbertOrder {
  /** Cells to a side are two to the power of this. */
  private static final int LEVELS = 15;

  private HilbertOrder() {}

  /**
   * @param xyz points in threes
   * @return their numbers in order; those of one cell in the order they came
   */
  static int[] of(double[] xyz) {
    Box box = Box.of(xyz);
    double cells = (1 << LEVELS) - 1;
    double perEast = box.width() > 0 ? cells / box.width() : 0;
    double perNorth = box.depth() > 0 ? cells / box.depth() : 0;
    // place on the curve and number in one long: sorting these is several times faster than objects
    long[] keys = new long[xyz.length / 3];
    for (int i = 0; i < keys.length; i++) {
      int x = (int) ((xyz[3 * i] - box.minE()) * perEast);
      int y = (int) ((xyz[3 * i + 1] - box.minN()) * perNorth);
      keys[i] = (long) along(x, y) << 32 | i;
    }
    Arrays.sort(keys);
    int[] out = new int[keys.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = (int) keys[i];
    }
    return out;
  }

  /** How many cells come before one on the curve. */
  static int along(int x, int y) {
    int d = 0;
    for (int s = 1 << (LEVELS - 1); s > 0; s >>= 1) {
      int right = (x & s) != 0 ? 1 : 0;
      int upper = (y & s) != 0 ? 1 : 0;
      d += s * s * (3 * right ^ upper);
      if (upper == 0) {
        if (right == 1) {
          x = ~x;
          y = ~y;
        }
        int t = x;
        x = y;
        y = t;
      }
    }
    return d;
  }
}
