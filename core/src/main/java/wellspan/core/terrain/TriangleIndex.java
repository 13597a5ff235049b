package wellspan.core.terrain;

import java.util.function.IntConsumer;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;

/**
 * Finds triangles of a mesh by their place in plan: a grid of cells with about four triangles each.
 */
public final class TriangleIndex {
  private final Mesh mesh;
  private final Box box;
  private final double cell;
  private final int columns;
  private final int rows;
  private final int[] first;
  private final int[] entries;

  public TriangleIndex(Mesh mesh) {
    this.mesh = mesh;
    this.box = mesh.bounds();
    int n = mesh.triangleCount();
    double area =
        Math.max(
            1e-9, box.isEmpty() ? 1 : Math.max(box.width(), 1e-3) * Math.max(box.depth(), 1e-3));
    cell = Math.max(1e-6, Math.sqrt(area / Math.max(1, n / 4.0)));
    columns = box.isEmpty() ? 1 : (int) Math.min(8192, Math.floor(box.width() / cell) + 1);
    rows = box.isEmpty() ? 1 : (int) Math.min(8192, Math.floor(box.depth() / cell) + 1);
    first = new int[columns * rows + 1];
    for (int t = 0; t < n; t++) {
      forCellsOf(t, c -> first[c + 1]++);
    }
    for (int i = 0; i < columns * rows; i++) {
      first[i + 1] += first[i];
    }
    entries = new int[first[columns * rows]];
    int[] fill = first.clone();
    for (int t = 0; t < n; t++) {
      int triangle = t;
      forCellsOf(t, c -> entries[fill[c]++] = triangle);
    }
  }

  public Mesh mesh() {
    return mesh;
  }

  private void forCellsOf(int t, IntConsumer action) {
    int[] tri = mesh.triangles();
    double ax = mesh.east(tri[3 * t]),
        bx = mesh.east(tri[3 * t + 1]),
        cx = mesh.east(tri[3 * t + 2]);
    double ay = mesh.north(tri[3 * t]),
        by = mesh.north(tri[3 * t + 1]),
        cy = mesh.north(tri[3 * t + 2]);
    int i0 = column(Math.min(ax, Math.min(bx, cx))), i1 = column(Math.max(ax, Math.max(bx, cx)));
    int j0 = row(Math.min(ay, Math.min(by, cy))), j1 = row(Math.max(ay, Math.max(by, cy)));
    for (int j = j0; j <= j1; j++) {
      for (int i = i0; i <= i1; i++) {
        action.accept(j * columns + i);
      }
    }
  }

  private int column(double e) {
    return Math.max(0, Math.min(columns - 1, (int) Math.floor((e - box.minE()) / cell)));
  }

  private int row(double n) {
    return Math.max(0, Math.min(rows - 1, (int) Math.floor((n - box.minN()) / cell)));
  }

  /**
   * Calls for each triangle whose cells touch a window in plan; a triangle may be named more than
   * once.
   */
  public void forEachNear(double minE, double minN, double maxE, double maxN, IntConsumer action) {
    if (box.isEmpty()
        || maxE < box.minE()
        || minE > box.maxE()
        || maxN < box.minN()
        || minN > box.maxN()) {
      return;
    }
    int i0 = column(minE), i1 = column(maxE), j0 = row(minN), j1 = row(maxN);
    if (i0 == 0 && j0 == 0 && i1 == columns - 1 && j1 == rows - 1) {
      for (int t = 0; t < mesh.triangleCount(); t++) {
        action.accept(t);
      }
      return;
    }
    for (int j = j0; j <= j1; j++) {
      for (int i = i0; i <= i1; i++) {
        for (int k = first[j * columns + i]; k < first[j * columns + i + 1]; k++) {
          action.accept(entries[k]);
        }
      }
    }
  }

  /** The triangle over a place in plan, −1 if there is none. */
  public int triangleAt(double e, double n) {
    if (!(e >= box.minE() && e <= box.maxE() && n >= box.minN() && n <= box.maxN())) {
      return -1;
    }
    int c = row(n) * columns + column(e);
    for (int k = first[c]; k < first[c + 1]; k++) {
      if (!Double.isNaN(level(entries[k], e, n))) {
        return entries[k];
      }
    }
    return -1;
  }

  /** Level of the surface at a place in plan, NaN beside it. */
  public double levelAt(double e, double n) {
    int t = triangleAt(e, n);
    return t < 0 ? Double.NaN : level(t, e, n);
  }

  private double level(int t, double e, double n) {
    int[] tri = mesh.triangles();
    int a = tri[3 * t], b = tri[3 * t + 1], c = tri[3 * t + 2];
    double ux = mesh.east(b) - mesh.east(a), uy = mesh.north(b) - mesh.north(a);
    double wx = mesh.east(c) - mesh.east(a), wy = mesh.north(c) - mesh.north(a);
    double det = ux * wy - uy * wx;
    if (det == 0) {
      return Double.NaN;
    }
    double px = e - mesh.east(a), py = n - mesh.north(a);
    double v = (px * wy - py * wx) / det;
    double w = (ux * py - uy * px) / det;
    double slack = 1e-9;
    if (v < -slack || w < -slack || v + w > 1 + slack) {
      return Double.NaN;
    }
    return mesh.level(a)
        + v * (mesh.level(b) - mesh.level(a))
        + w * (mesh.level(c) - mesh.level(a));
  }
}
