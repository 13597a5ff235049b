package wellspan.exchange.cloud.read;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import wellspan.core.shape.PointTable;

/** Keeps the lowest point of each square of a raster over the plan. */
final class LowestInSquares {
  private final double side;
  private final Map<Long, Integer> squares = new HashMap<>();
  private double[] xyz = new double[3 * 1024];
  private int size;

  /**
   * @param side of the squares, metres
   */
  LowestInSquares(double side) {
    this.side = side;
  }

  void add(double e, double n, double h) {
    long column = (long) Math.floor(e / side);
    long row = (long) Math.floor(n / side);
    Integer at = squares.putIfAbsent(column << 32 ^ row & 0xFFFF_FFFFL, size);
    if (at == null) {
      if (3 * size == xyz.length) {
        xyz = Arrays.copyOf(xyz, 2 * xyz.length);
      }
      put(size++, e, n, h);
    } else if (h < xyz[3 * at + 2]) {
      put(at, e, n, h);
    }
  }

  private void put(int i, double e, double n, double h) {
    xyz[3 * i] = e;
    xyz[3 * i + 1] = n;
    xyz[3 * i + 2] = h;
  }

  int size() {
    return size;
  }

  PointTable build() {
    PointTable.Builder out = new PointTable.Builder();
    for (int i = 0; i < size; i++) {
      out.add("", xyz[3 * i], xyz[3 * i + 1], xyz[3 * i + 2], "");
    }
    return out.build();
  }
}
