package wellspan.exchange.dxf.read;

/** How far points reach in plan, in the drawing's unit. */
final class Extent {
  private double minX = Double.POSITIVE_INFINITY;
  private double minY = Double.POSITIVE_INFINITY;
  private double maxX = Double.NEGATIVE_INFINITY;
  private double maxY = Double.NEGATIVE_INFINITY;

  void add(double[] xyz) {
    for (int i = 0; i + 2 < xyz.length; i += 3) {
      include(xyz[i], xyz[i + 1], xyz[i], xyz[i + 1]);
    }
  }

  void add(Extent other) {
    include(other.minX, other.minY, other.maxX, other.maxY);
  }

  private void include(double lowX, double lowY, double highX, double highY) {
    minX = Math.min(minX, lowX);
    minY = Math.min(minY, lowY);
    maxX = Math.max(maxX, highX);
    maxY = Math.max(maxY, highY);
  }

  /** Length of the diagonal, 0 if there is nothing. */
  double diagonal() {
    return maxX < minX ? 0 : Math.hypot(maxX - minX, maxY - minY);
  }
}
