package wellspan.core.geom;

import java.util.Arrays;

/**
 * Vertices of which no two lie closer in plan than a tolerance. They are numbered in the order in
 * which they came.
 */
public final class PlanVertices {
  /** Cells are wider than the tolerance, so that most places have one cell to look into. */
  private static final double CELL = 16;

  private final double tolerance;
  private final double cell;
  private final double originE;
  private final double originN;
  private double[] xyz;
  private int size;
  private int[] slots;

  /**
   * @param tolerance metres
   * @param near a place near the vertices; it keeps the numbers of cells small
   */
  public PlanVertices(double tolerance, Box near, int expected) {
    this.tolerance = tolerance;
    cell = CELL * tolerance;
    originE = near.isEmpty() ? 0 : near.minE();
    originN = near.isEmpty() ? 0 : near.minN();
    xyz = new double[3 * Math.max(16, expected)];
    slots = new int[Integer.highestOneBit(Math.max(16, expected)) << 2];
  }

  public int size() {
    return size;
  }

  public double east(int v) {
    return xyz[3 * v];
  }

  public double north(int v) {
    return xyz[3 * v + 1];
  }

  public double level(int v) {
    return xyz[3 * v + 2];
  }

  public void setLevel(int v, double level) {
    xyz[3 * v + 2] = level;
  }

  /** Easting, northing and level of all vertices, in threes. */
  public double[] coordinates() {
    return Arrays.copyOf(xyz, 3 * size);
  }

  /** The vertex at a place; a new one with this level if there is none within the tolerance. */
  public int at(double e, double n, double level) {
    int known = find(e, n);
    return known < 0 ? insert(e, n, level) : known;
  }

  /** The nearest vertex within the tolerance, −1 if there is none. */
  public int find(double e, double n) {
    int best = -1;
    double least = tolerance * tolerance;
    long i1 = column(e + tolerance), j1 = row(n + tolerance);
    for (long j = row(n - tolerance); j <= j1; j++) {
      for (long i = column(e - tolerance); i <= i1; i++) {
        for (int s = slot(i, j); slots[s] != 0; s = s + 1 & slots.length - 1) {
          int v = slots[s] - 1;
          double de = xyz[3 * v] - e, dn = xyz[3 * v + 1] - n;
          double d = de * de + dn * dn;
          if (d <= least) {
            least = d;
            best = v;
          }
        }
      }
    }
    return best;
  }

  private int insert(double e, double n, double level) {
    if (3 * size == xyz.length) {
      xyz = Arrays.copyOf(xyz, 2 * xyz.length);
    }
    xyz[3 * size] = e;
    xyz[3 * size + 1] = n;
    xyz[3 * size + 2] = level;
    size++;
    if (2 * size > slots.length) {
      slots = new int[2 * slots.length];
      for (int v = 0; v < size; v++) {
        put(v);
      }
    } else {
      put(size - 1);
    }
    return size - 1;
  }

  private void put(int v) {
    int s = slot(column(xyz[3 * v]), row(xyz[3 * v + 1]));
    while (slots[s] != 0) {
      s = s + 1 & slots.length - 1;
    }
    slots[s] = v + 1;
  }

  private long column(double e) {
    return (long) Math.floor((e - originE) / cell);
  }

  private long row(double n) {
    return (long) Math.floor((n - originN) / cell);
  }

  private int slot(long i, long j) {
    long h = (i * 0x9E3779B97F4A7C15L + j) * 0xC2B2AE3D27D4EB4FL;
    h ^= h >>> 29;
    return (int) (h * 0x9E3779B97F4A7C15L >>> 33) & slots.length - 1;
  }
}
