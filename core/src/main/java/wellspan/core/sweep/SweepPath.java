package wellspan.core.sweep;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.terrain.TriangleIndex;

/**
 * The places along a line at which a section stands.
 *
 * @param stations in their order
 * @param ring whether the last joins the first again
 */
record SweepPath(List<Station> stations, boolean ring) {
  /** A bend sharper than this would carry the section beyond ten times its width. */
  private static final double SHARPEST = 0.1;

  /** Where the line follows the ground it has a point at least so often, metres. */
  private static final double ON_GROUND = 2;

  /**
   * One place.
   *
   * @param distance along the line, metres
   * @param right east and north of the direction across, longer than 1 where the line bends
   * @param forward east and north of the direction along
   */
  record Station(
      double distance, double east, double north, double level, double[] right, double[] forward) {}

  /** Levels on which it stands, NaN where there are none; the line's own where there is none. */
  sealed interface Ground {
    /**
     * @param distance along the line, metres
     */
    double level(double distance, double east, double north);

    /** Those of a surface. */
    record Surface(TriangleIndex index) implements Ground {
      @Override
      public double level(double distance, double east, double north) {
        return index.levelAt(east, north);
      }
    }

    /** Those that a surface has at some places of the line, straight between them. */
    record Along(double[] distances, double[] levels) implements Ground {
      @Override
      public double level(double distance, double east, double north) {
        int i = Arrays.binarySearch(distances, distance);
        if (i >= 0) {
          return levels[i];
        }
        int after = Math.clamp(-i - 1, 1, distances.length - 1);
        double t = (distance - distances[after - 1]) / (distances[after] - distances[after - 1]);
        return levels[after - 1] + t * (levels[after] - levels[after - 1]);
      }
    }
  }

  /** The levels on which it stands, without the surface that they are of. */
  Ground levels() {
    return new Ground.Along(
        stations.stream().mapToDouble(Station::distance).toArray(),
        stations.stream().mapToDouble(Station::level).toArray());
  }

  /**
   * Along an alignment.
   *
   * @param from distance from its start, metres
   * @param to distance from its start, metres
   * @param reach furthest offset of the section, metres
   * @param chord how far chords of the outermost line may lie beside the curve, metres
   * @param ground whose levels count; null for those of the profile
   */
  static SweepPath along(
      Alignment a, double from, double to, double reach, double chord, Ground ground) {
    List<Double> ends = a.elementEnds(from, to);
    List<Station> out = new ArrayList<>();
    for (int i = 0; i + 1 < ends.size(); i++) {
      double length = ends.get(i + 1) - ends.get(i);
      int n = ground == null ? 1 : (int) Math.ceil(length / ON_GROUND);
      while (n < 1 << 20 && beside(a, ends.get(i), length / n, n, reach) > chord) {
        n *= 2;
      }
      for (int k = i == 0 ? 0 : 1; k <= n; k++) {
        out.add(station(a.at(ends.get(i) + length * k / n), ground));
      }
    }
    return new SweepPath(out, false);
  }

  /** Largest distance of the middles of steps from their chords, on the line and at the reach. */
  private static double beside(Alignment a, double from, double step, int steps, double reach) {
    double worst = 0;
    int looked = Math.min(steps, 64);
    for (int k = 0; k < looked; k++) {
      long number = (long) k * steps / looked;
      double d = from + step * number;
      for (double side : new double[] {-reach, 0, reach}) {
        double[] p = beside(a.at(d), side);
        double[] m = beside(a.at(d + step / 2), side);
        double[] q = beside(a.at(d + step), side);
        double dx = q[0] - p[0];
        double dy = q[1] - p[1];
        double length = Math.hypot(dx, dy);
        double off = length == 0 ? 0 : Math.abs((m[0] - p[0]) * dy - (m[1] - p[1]) * dx) / length;
        double level = Math.abs(m[2] - (p[2] + q[2]) / 2);
        worst = Math.max(worst, Math.max(off, Double.isNaN(level) ? 0 : level));
      }
    }
    return worst * 1.1; // the middle is not always the furthest point
  }

  private static double[] beside(AlignmentPoint p, double offset) {
    return new double[] {
      p.east() + offset * Math.sin(p.direction()),
      p.north() - offset * Math.cos(p.direction()),
      p.level()
    };
  }

  private static Station station(AlignmentPoint p, Ground ground) {
    double c = Math.cos(p.direction());
    double s = Math.sin(p.direction());
    double level = ground == null ? p.level() : ground.level(p.distance(), p.east(), p.north());
    return new Station(
        p.distance(), p.east(), p.north(), level, new double[] {s, -c}, new double[] {c, s});
  }

  /**
   * Along a line of points, with mitred corners.
   *
   * @param from distance from its start in plan, metres
   * @param to distance from its start in plan, metres
   * @param ground whose levels count; null for those of the line
   * @throws IllegalArgumentException if it turns back on itself
   */
  static SweepPath along(Polyline line, double from, double to, Ground ground) {
    List<double[]> points = points(line, from, to, ground != null);
    boolean whole = points.size() > 3 && samePlace(points.getFirst(), points.getLast());
    if (whole) {
      points.removeLast();
    }
    int n = points.size();
    if (n < 2) {
      throw new IllegalArgumentException("the line has no length here.");
    }
    List<Station> out = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      double[] p = points.get(i);
      double[] before = whole ? points.get((i + n - 1) % n) : points.get(Math.max(0, i - 1));
      double[] after = whole ? points.get((i + 1) % n) : points.get(Math.min(n - 1, i + 1));
      double[] a = i == 0 && !whole ? unit(p, after) : unit(before, p);
      double[] b = i == n - 1 && !whole ? a : unit(p, after);
      double e = a[0] + b[0];
      double f = a[1] + b[1];
      double sum = Math.hypot(e, f);
      double half = sum / 2; // cosine of half the bend
      if (half < SHARPEST) {
        throw new IllegalArgumentException(
            String.format(java.util.Locale.ROOT, "the line turns back on itself at %.3f m.", p[3]));
      }
      double[] forward = {e / sum, f / sum};
      double level = ground == null ? p[2] : ground.level(p[3], p[0], p[1]);
      out.add(
          new Station(
              p[3],
              p[0],
              p[1],
              level,
              new double[] {forward[1] / half, -forward[0] / half},
              forward));
    }
    return new SweepPath(out, whole);
  }

  /** Length of a line in plan, metres. */
  static double planLength(Polyline line) {
    double sum = 0;
    for (int i = 1; i < line.pointCount(); i++) {
      sum += plan(line.point(i - 1), line.point(i));
    }
    return sum;
  }

  private static double plan(Position a, Position b) {
    return Math.hypot(a.east() - b.east(), a.north() - b.north());
  }

  /** East, north, level and distance of the points between two distances; none lie in one place. */
  private static List<double[]> points(Polyline line, double from, double to, boolean dense) {
    List<double[]> out = new ArrayList<>();
    double at = 0;
    for (int i = 0; i + 1 < line.pointCount(); i++) {
      Position p = line.point(i);
      Position q = line.point(i + 1);
      double length = plan(p, q);
      if (length > 1e-6) {
        int n = dense ? (int) Math.ceil(length / ON_GROUND) : 1;
        for (int k = 0; k <= n; k++) {
          double end = at + length;
          double d = Math.clamp(k == n ? end : at + length * k / n, from, to);
          boolean here = d >= at && d <= end;
          double t = Math.clamp((d - at) / length, 0, 1); // else rounded beyond the ends
          if (here && (out.isEmpty() || d - out.getLast()[3] > 1e-6)) {
            out.add(
                new double[] {
                  p.east() + t * (q.east() - p.east()),
                  p.north() + t * (q.north() - p.north()),
                  p.level() + t * (q.level() - p.level()),
                  d
                });
          }
        }
      }
      at += length;
    }
    return out;
  }

  private static boolean samePlace(double[] a, double[] b) {
    return Math.hypot(a[0] - b[0], a[1] - b[1]) < 1e-6 && !(Math.abs(a[2] - b[2]) > 1e-6);
  }

  private static double[] unit(double[] a, double[] b) {
    double e = b[0] - a[0];
    double f = b[1] - a[1];
    double l = Math.hypot(e, f);
    return new double[] {e / l, f / l};
  }
}
