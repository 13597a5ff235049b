package wellspan.core.geom;

/**
 * An axis-aligned box in shared coordinates, metres. The empty box has minima of +∞ and maxima of
 * −∞. Levels that are not known (NaN) do not widen it.
 */
public record Box(double minE, double minN, double minH, double maxE, double maxN, double maxH) {
  private static final double INF = Double.POSITIVE_INFINITY;
  public static final Box EMPTY = new Box(INF, INF, INF, -INF, -INF, -INF);

  /** The box of points given as x y z triples. */
  public static Box of(double[] xyz) {
    double ax = INF, ay = INF, az = INF, bx = -INF, by = -INF, bz = -INF;
    for (int i = 0; i + 2 < xyz.length; i += 3) {
      ax = Math.min(ax, xyz[i]);
      bx = Math.max(bx, xyz[i]);
      ay = Math.min(ay, xyz[i + 1]);
      by = Math.max(by, xyz[i + 1]);
      double z = xyz[i + 2];
      if (z < az) {
        az = z;
      }
      if (z > bz) {
        bz = z;
      }
    }
    return new Box(ax, ay, az, bx, by, bz);
  }

  public Box union(Box o) {
    return new Box(
        Math.min(minE, o.minE),
        Math.min(minN, o.minN),
        Math.min(minH, o.minH),
        Math.max(maxE, o.maxE),
        Math.max(maxN, o.maxN),
        Math.max(maxH, o.maxH));
  }

  public boolean isEmpty() {
    return !(minE <= maxE && minN <= maxN);
  }

  public boolean hasLevels() {
    return minH <= maxH;
  }

  public double width() {
    return maxE - minE;
  }

  public double depth() {
    return maxN - minN;
  }

  /** Centre; its height is NaN if no level is known. */
  public Position centre() {
    return new Position(
        (minE + maxE) / 2, (minN + maxN) / 2, hasLevels() ? (minH + maxH) / 2 : Double.NaN);
  }

  /** Centre in plan at level zero. */
  public Position centreAtZero() {
    return new Position((minE + maxE) / 2, (minN + maxN) / 2, 0);
  }

  public boolean overlapsPlan(Box o) {
    return minE <= o.maxE && o.minE <= maxE && minN <= o.maxN && o.minN <= maxN;
  }

  /** Largest plan distance of a corner from a position, metres. */
  public double farthestPlanDistance(Position from) {
    return Math.hypot(
        Math.max(Math.abs(minE - from.east()), Math.abs(maxE - from.east())),
        Math.max(Math.abs(minN - from.north()), Math.abs(maxN - from.north())));
  }
}
