package wellspan.core.geom;

/**
 * Straight pieces through points. The array is immutable by convention: shared, never copied, never
 * written after construction, so that any thread may read it. 24 bytes for a point; lengths and
 * distances take time of the points.
 *
 * @param xyz easting, northing, level of each point in shared coordinates, metres; levels may be
 *     NaN
 */
public record Polyline(double[] xyz) {

  /**
   * @throws IllegalArgumentException if the array is no whole triples or holds fewer than two
   *     points
   */
  public Polyline {
    if (xyz.length % 3 != 0 || xyz.length < 6) {
      throw new IllegalArgumentException("A line needs two points or more, in threes.");
    }
  }

  public int pointCount() {
    return xyz.length / 3;
  }

  public Position point(int i) {
    return new Position(xyz[3 * i], xyz[3 * i + 1], xyz[3 * i + 2]);
  }

  /** Whether it ends in plan where it starts. */
  public boolean isClosed(double tolerance) {
    int n = xyz.length;
    return n >= 12 && Math.hypot(xyz[n - 3] - xyz[0], xyz[n - 2] - xyz[1]) <= tolerance;
  }

  /** A closed line without its last point, which is its first one again. */
  public Polyline open() {
    return new Polyline(java.util.Arrays.copyOf(xyz, xyz.length - 3));
  }

  public Box bounds() {
    return Box.of(xyz);
  }

  /** Length in plan, metres. */
  public double planLength() {
    double sum = 0;
    for (int i = 3; i + 2 < xyz.length; i += 3) {
      sum += Math.hypot(xyz[i] - xyz[i - 3], xyz[i + 1] - xyz[i - 2]);
    }
    return sum;
  }

  /**
   * Length in plan of what lies in a part of the plan, metres: each piece is cut at the four sides
   * (Liang and Barsky, ACM Transactions on Graphics 3, 1984).
   */
  public double planLengthWithin(Box part) {
    double sum = 0;
    for (int i = 3; i + 2 < xyz.length; i += 3) {
      double ax = xyz[i - 3], ay = xyz[i - 2];
      double dx = xyz[i] - ax, dy = xyz[i + 1] - ay;
      double[] span = {0, 1};
      if (cut(-dx, ax - part.minE(), span)
          && cut(dx, part.maxE() - ax, span)
          && cut(-dy, ay - part.minN(), span)
          && cut(dy, part.maxN() - ay, span)) {
        sum += (span[1] - span[0]) * Math.hypot(dx, dy);
      }
    }
    return sum;
  }

  /** Leaves of a span what keeps to one side; false if that is nothing. */
  private static boolean cut(double towards, double room, double[] span) {
    if (towards == 0) {
      return room >= 0;
    }
    double t = room / towards;
    if (towards < 0) {
      span[0] = Math.max(span[0], t);
    } else {
      span[1] = Math.min(span[1], t);
    }
    return span[0] < span[1];
  }

  /** Plan distance of a position from the nearest piece, metres. */
  public double planDistance(double east, double north) {
    double best = Double.POSITIVE_INFINITY;
    for (int i = 3; i + 2 < xyz.length; i += 3) {
      double ax = xyz[i - 3], ay = xyz[i - 2];
      double dx = xyz[i] - ax, dy = xyz[i + 1] - ay;
      double square = dx * dx + dy * dy;
      double t =
          square == 0 ? 0 : Math.clamp(((east - ax) * dx + (north - ay) * dy) / square, 0.0, 1.0);
      best = Math.min(best, Math.hypot(ax + t * dx - east, ay + t * dy - north));
    }
    return best;
  }

  /** Whether it keeps to one level; one without levels does not. */
  public boolean isLevel() {
    for (int i = 2; i < xyz.length; i += 3) {
      if (xyz[i] != xyz[2]) { // NaN, no level, equals nothing
        return false;
      }
    }
    return true;
  }
}
