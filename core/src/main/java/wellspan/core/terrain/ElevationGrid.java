package wellspan.core.terrain;

import java.util.Arrays;
import wellspan.core.geom.Mesh;

/**
 * Levels at the nodes of a grid along the axes. 8 bytes for a node; the array is never written, so
 * any thread may read it.
 *
 * @param east easting of the westernmost nodes, metres
 * @param north northing of the northernmost nodes, metres
 * @param stepEast distance of neighbouring nodes from west to east, metres, positive
 * @param stepNorth distance of neighbouring nodes from south to north, metres, positive
 * @param columns nodes from west to east
 * @param rows nodes from north to south
 * @param levels row after row from north to south, each from west to east; NaN where there is none;
 *     immutable by convention
 */
public record ElevationGrid(
    double east,
    double north,
    double stepEast,
    double stepNorth,
    int columns,
    int rows,
    double[] levels) {

  /**
   * @throws IllegalArgumentException if the numbers do not make a grid
   */
  public ElevationGrid {
    if (columns < 1 || rows < 1 || levels.length != (long) columns * rows) {
      throw new IllegalArgumentException("A grid needs one level for each of its nodes.");
    }
    if (!(stepEast > 0) || !(stepNorth > 0)) {
      throw new IllegalArgumentException("The nodes of a grid need a distance.");
    }
  }

  /** Number of nodes without a level. */
  public int gaps() {
    return (int) Arrays.stream(levels).filter(Double::isNaN).count();
  }

  /**
   * Two triangles for each cell whose four corners have levels, along the diagonal whose ends
   * differ less in level; one where a single corner is missing; none where more are. Nodes without
   * a level are left out.
   */
  public Mesh mesh() {
    int[] number = new int[levels.length];
    double[] xyz = new double[3 * (levels.length - gaps())];
    int n = 0;
    for (int i = 0; i < levels.length; i++) {
      if (!Double.isNaN(levels[i])) {
        xyz[3 * n] = east + i % columns * stepEast;
        int row = i / columns;
        xyz[3 * n + 1] = north - row * stepNorth;
        xyz[3 * n + 2] = levels[i];
        number[i] = n++;
      }
    }
    int[] triangles = new int[Math.multiplyExact(6, Math.multiplyExact(columns - 1, rows - 1))];
    int t = 0;
    for (int r = 0; r + 1 < rows; r++) {
      for (int c = 0; c + 1 < columns; c++) {
        t = cell(r * columns + c, number, triangles, t);
      }
    }
    return new Mesh(xyz, Arrays.copyOf(triangles, t));
  }

  /** The triangles of the cell whose north-western corner is a node; where they end. */
  private int cell(int nw, int[] number, int[] to, int at) {
    int[] ring = {nw + columns, nw + columns + 1, nw + 1, nw}; // counter-clockwise from south-west
    int missing = -1;
    int count = 0;
    for (int k = 0; k < 4; k++) {
      if (Double.isNaN(levels[ring[k]])) {
        missing = k;
        count++;
      }
    }
    if (count > 1) {
      return at;
    }
    if (count == 1) {
      return put(to, at, number, ring, missing + 1, missing + 2, missing + 3);
    }
    boolean rising =
        Math.abs(levels[ring[0]] - levels[ring[2]]) <= Math.abs(levels[ring[1]] - levels[ring[3]]);
    int first = rising ? 0 : 1;
    int next = put(to, at, number, ring, first, first + 1, first + 2);
    return put(to, next, number, ring, first, first + 2, first + 3);
  }

  private static int put(int[] to, int at, int[] number, int[] ring, int a, int b, int c) {
    to[at] = number[ring[a % 4]];
    to[at + 1] = number[ring[b % 4]];
    to[at + 2] = number[ring[c % 4]];
    return at + 3;
  }
}
