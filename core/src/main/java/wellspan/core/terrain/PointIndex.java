package wellspan.core.terrain;

import java.util.function.IntConsumer;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import wellspan.core.geom.Box;

/** Finds points by their place in plan: a grid of cells with about two points each. */
public final class PointIndex {
  private final double[] xyz;
  private final Box box;
  private final double cell;
  private final int columns;
  private final int rows;
  private final int[] first;
  private final int[] entries;

  /** How many cells each cell is away from one with points, in rows or columns, the larger. */
  private final int[] away;

  /**
   * @param xyz easting, northing, level in threes; places in plan must be finite
   */
  public PointIndex(double[] xyz) {
    this(xyz, IntStream.range(0, xyz.length / 3).toArray());
  }

  /**
   * An index of some of the points.
   *
   * @param of their numbers
   */
  public PointIndex(double[] xyz, int[] of) {
    this.xyz = xyz;
    box = Box.of(xyz);
    int n = of.length;
    double width = box.isEmpty() ? 1 : Math.max(box.width(), 1e-3);
    double depth = box.isEmpty() ? 1 : Math.max(box.depth(), 1e-3);
    cell = Math.max(Math.sqrt(width * depth / Math.max(1, n / 2.0)), Math.max(width, depth) / 8191);
    columns = (int) (width / cell) + 1;
    rows = (int) (depth / cell) + 1;
    first = new int[columns * rows + 1];
    for (int i : of) {
      first[cellOf(i) + 1]++;
    }
    for (int c = 0; c < columns * rows; c++) {
      first[c + 1] += first[c];
    }
    entries = new int[n];
    int[] fill = first.clone();
    for (int i : of) {
      entries[fill[cellOf(i)]++] = i;
    }
    away = new int[columns * rows];
    for (int c = 0; c < away.length; c++) {
      away[c] = first[c + 1] > first[c] ? 0 : Math.max(columns, rows);
    }
    for (int c = 0; c < away.length; c++) {
      near(c, -1);
    }
    for (int c = away.length - 1; c >= 0; c--) {
      near(c, 1);
    }
  }

  /** Takes over what the four cells before or behind one know, in the order of the cells. */
  private void near(int c, int side) {
    int i = c % columns, j = c / columns;
    nearer(c, i + side, j);
    nearer(c, i - 1, j + side);
    nearer(c, i, j + side);
    nearer(c, i + 1, j + side);
  }

  private void nearer(int c, int i, int j) {
    if (i >= 0 && j >= 0 && i < columns && j < rows) {
      away[c] = Math.min(away[c], away[j * columns + i] + 1);
    }
  }

  private int cellOf(int i) {
    return row(xyz[3 * i + 1]) * columns + column(xyz[3 * i]);
  }

  private int column(double e) {
    return Math.clamp((int) Math.floor((e - box.minE()) / cell), 0, columns - 1);
  }

  private int row(double n) {
    return Math.clamp((int) Math.floor((n - box.minN()) / cell), 0, rows - 1);
  }

  /** Calls for each point of a window in plan, edges included. */
  public void forEachIn(double minE, double minN, double maxE, double maxN, IntConsumer action) {
    if (box.isEmpty()) {
      return;
    }
    int i1 = column(maxE), j1 = row(maxN);
    for (int j = row(minN); j <= j1; j++) {
      for (int i = column(minE); i <= i1; i++) {
        for (int k = first[j * columns + i]; k < first[j * columns + i + 1]; k++) {
          int p = entries[k];
          double e = xyz[3 * p], n = xyz[3 * p + 1];
          if (e >= minE && e <= maxE && n >= minN && n <= maxN) {
            action.accept(p);
          }
        }
      }
    }
  }

  /**
   * The nearest points in plan, nearest first. Rings of cells are looked through from the first
   * that has points, so that a place in the middle of a wide gap costs no more than the gap's edge.
   *
   * @param count how many at most
   * @param wanted which points count
   */
  public int[] nearest(double e, double n, int count, IntPredicate wanted) {
    int[] best = new int[count];
    double[] far = new double[count];
    int found = 0;
    int ci = column(e), cj = row(n);
    int widest = Math.max(columns, rows);
    for (int ring = away[cj * columns + ci]; ring <= widest; ring++) {
      // points of this ring are at least ring − 1 cells away
      double reach = (ring - 1) * cell;
      if (found == count && ring > 1 && far[count - 1] <= reach * reach) {
        break;
      }
      for (int j = cj - ring; j <= cj + ring; j++) {
        boolean edge = j == cj - ring || j == cj + ring;
        for (int i = ci - ring; i <= ci + ring; i += edge || ring == 0 ? 1 : 2 * ring) {
          if (i < 0 || j < 0 || i >= columns || j >= rows) {
            continue;
          }
          for (int k = first[j * columns + i]; k < first[j * columns + i + 1]; k++) {
            int p = entries[k];
            double de = xyz[3 * p] - e, dn = xyz[3 * p + 1] - n;
            double d = de * de + dn * dn;
            if (found == count && d >= far[count - 1] || !wanted.test(p)) {
              continue;
            }
            int at = found < count ? found++ : count - 1;
            while (at > 0 && far[at - 1] > d) {
              far[at] = far[at - 1];
              best[at] = best[at - 1];
              at--;
            }
            far[at] = d;
            best[at] = p;
          }
        }
      }
    }
    return java.util.Arrays.copyOf(best, found);
  }
}
