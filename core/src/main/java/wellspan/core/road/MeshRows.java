package wellspan.core.road;

import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import wellspan.core.geom.Mesh;

/**
 * Joins rows of points to triangles. Points of a row that coincide are one; triangles without area
 * between them fall away. The diagonals of the strips between two rows run alike above and below,
 * so that a twisted course keeps its thickness, and the other way in the next step, so that the
 * volume of a course whose thickness changes is that of its faces before they were cut into
 * triangles.
 */
final class MeshRows {
  private static final double SAME = 1e-9;
  private static final double STAYS = 1e-5;

  private final boolean closed;
  private double[] xyz = new double[3 * 1024];
  private int points;
  private int[] triangles = new int[3 * 2048];
  private int corners;
  private final Set<Long> diagonals = new HashSet<>();
  private SectionRing last;
  private int[] lastRow;

  MeshRows(boolean closed) {
    this.closed = closed;
  }

  /** Starts a body of its own. */
  void open() {
    last = null;
    lastRow = null;
  }

  /**
   * @param step number of the step from the last row, counted where neighbours count too
   */
  void row(SectionRing r, double[] at, int step) {
    int[] row = new int[r.size()];
    for (int i = 0; i < row.length; i++) {
      int same = -1;
      if (r.isFlat()) { // an edge in which a body ends: above and below are the same points
        for (int j = 0; j < i && same < 0; j++) {
          same = coincide(at, i, j) ? j : -1;
        }
      } else if (i > 0 && coincide(at, i, i - 1)) {
        same = i - 1;
      } else if (closed && i == row.length - 1 && coincide(at, i, 0)) {
        same = 0;
      }
      row[i] = same >= 0 ? row[same] : staysAt(at, i) ? lastRow[i] : point(at, i);
    }
    if (lastRow == null) {
      if (closed && !r.isFlat()) {
        cap(r, row, true);
      }
    } else {
      diagonals.clear();
      for (int i = 0; i + (closed ? 0 : 1) < row.length; i++) {
        strip(r, row, i, (i + 1) % row.length, step % 2 == 0);
      }
    }
    last = r;
    lastRow = row;
  }

  /** Ends the body. */
  void close() {
    if (closed && last != null && !last.isFlat()) {
      cap(last, lastRow, false);
    }
  }

  private static boolean coincide(double[] at, int i, int j) {
    return Math.abs(at[3 * i] - at[3 * j]) < SAME
        && Math.abs(at[3 * i + 1] - at[3 * j + 1]) < SAME
        && Math.abs(at[3 * i + 2] - at[3 * j + 2]) < SAME;
  }

  /** Whether a point has not moved since the last row, as at the centre of a curve. */
  private boolean staysAt(double[] at, int i) {
    if (lastRow == null) {
      return false;
    }
    int v = 3 * lastRow[i];
    return Math.abs(at[3 * i] - xyz[v]) < STAYS
        && Math.abs(at[3 * i + 1] - xyz[v + 1]) < STAYS
        && Math.abs(at[3 * i + 2] - xyz[v + 2]) < STAYS;
  }

  private int point(double[] at, int i) {
    if (3 * points == xyz.length) {
      xyz = Arrays.copyOf(xyz, 2 * xyz.length);
    }
    System.arraycopy(at, 3 * i, xyz, 3 * points, 3);
    return points++;
  }

  /**
   * Outlines run counter-clockwise seen along the axis: outside is on the right of a strip.
   *
   * @param fromRight whether diagonals run from the right point of a row to the left one of the
   *     next
   */
  private void strip(SectionRing r, int[] row, int i, int j, boolean fromRight) {
    int a = lastRow[i];
    int b = lastRow[j];
    int c = row[j];
    int d = row[i];
    double way = last.offset()[j] - last.offset()[i] + r.offset()[j] - r.offset()[i];
    if (Math.abs(way) < SAME) {
      way = last.level()[j] - last.level()[i] + r.level()[j] - r.level()[i];
    }
    boolean fromLeft = way > 0 ^ fromRight;
    if (last.isFlat() || r.isFlat()) { // two strips may share this edge: each its own diagonal
      long diagonal = fromLeft ? edge(a, c) : edge(b, d);
      if (!diagonals.add(diagonal)) {
        fromLeft = !fromLeft;
        diagonals.add(fromLeft ? edge(a, c) : edge(b, d));
      }
    }
    if (fromLeft) { // i is the left point: from it here to j ahead
      triangle(a, c, b);
      triangle(a, d, c);
    } else {
      triangle(b, a, d);
      triangle(b, d, c);
    }
  }

  private static long edge(int a, int b) {
    return (long) Math.min(a, b) << 32 | Math.max(a, b);
  }

  private void triangle(int a, int b, int c) {
    if (a == b || b == c || c == a) {
      return;
    }
    if (corners == triangles.length) {
      triangles = Arrays.copyOf(triangles, 2 * corners);
    }
    triangles[corners++] = a;
    triangles[corners++] = b;
    triangles[corners++] = c;
  }

  private void cap(SectionRing r, int[] row, boolean first) {
    Map<Integer, Integer> own = new HashMap<>();
    int[] loop = new int[row.length];
    int n = 0;
    for (int i = 0; i < row.length; i++) {
      if (own.putIfAbsent(row[i], i) == null) {
        loop[n++] = i;
      }
    }
    if (n < 3) {
      return;
    }
    int[] t = SectionCap.triangles(r, Arrays.copyOf(loop, n));
    for (int k = 0; k < t.length; k += 3) {
      int a = row[t[k]];
      int b = row[t[k + 1]];
      int c = row[t[k + 2]];
      if (first) { // seen along the axis the first cap looks back
        triangle(a, b, c);
      } else {
        triangle(a, c, b);
      }
    }
  }

  Mesh mesh() {
    return new Mesh(Arrays.copyOf(xyz, 3 * points), Arrays.copyOf(triangles, corners));
  }
}
