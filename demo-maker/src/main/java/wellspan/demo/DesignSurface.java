package wellspan.demo;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.geom.Mesh;

/**
 * The design ground: an uneven net of points over the site, drawn to the road's formation near the
 * line.
 */
final class DesignSurface {
  private static final double SPACING = 8.0;

  /** So wide that no triangle of the net reaches up through kerbs and footways. */
  private static final double HALF_FORMATION = 12.0;

  /** Of the formation below the road's middle: all courses and the crossfall, metres. */
  private static final double UNDER = 0.75;

  /** How far the turning head reaches beyond the end, metres. */
  private static final double HEAD = 20;

  private static final double SLOPE = 0.5;

  private DesignSurface() {}

  /** Same net for every revision, so that only levels differ where only the profile did. */
  static Mesh make(Ground ground, Alignment road, Alignment branch) {
    double e0 = 411_980;
    double n0 = 6_534_300;
    int columns = 166;
    int rows = 100;
    SplittableRandom random = new SplittableRandom(20_261_124);
    double[] xyz = new double[3 * columns * rows];
    List<AlignmentPoint> line = new ArrayList<>(road.every(2));
    line.addAll(branch.every(2));
    line.addAll(beyond(line.get(road.every(2).size() - 1)));
    for (int j = 0; j < rows; j++) {
      for (int i = 0; i < columns; i++) {
        boolean edge = i == 0 || j == 0 || i == columns - 1 || j == rows - 1;
        double e = e0 + SPACING * i + (edge ? 0 : random.nextDouble(-2.6, 2.6));
        double n = n0 + SPACING * j + (edge ? 0 : random.nextDouble(-2.6, 2.6));
        int k = 3 * (j * columns + i);
        xyz[k] = round(e);
        xyz[k + 1] = round(n);
        xyz[k + 2] = round(formed(ground.level(e, n), e, n, line));
      }
    }
    int[] triangles = new int[6 * (columns - 1) * (rows - 1)];
    int t = 0;
    for (int j = 0; j + 1 < rows; j++) {
      for (int i = 0; i + 1 < columns; i++) {
        int a = j * columns + i, b = a + 1, c = a + columns, d = c + 1;
        boolean rising = distance(xyz, a, d) <= distance(xyz, b, c);
        int[] two = rising ? new int[] {a, b, d, a, d, c} : new int[] {a, b, c, b, d, c};
        System.arraycopy(two, 0, triangles, t, 6);
        t += 6;
      }
    }
    return new Mesh(xyz, Arrays.copyOf(triangles, t));
  }

  /** On from the end of the road, as high as that. */
  private static List<AlignmentPoint> beyond(AlignmentPoint end) {
    List<AlignmentPoint> out = new ArrayList<>();
    for (double d = 2; d <= HEAD; d += 2) {
      out.add(
          new AlignmentPoint(
              end.distance() + d,
              end.chainage() + d,
              end.east() + d * Math.cos(end.direction()),
              end.north() + d * Math.sin(end.direction()),
              end.level(),
              end.direction()));
    }
    return out;
  }

  private static double formed(double level, double e, double n, List<AlignmentPoint> line) {
    double best = Double.POSITIVE_INFINITY;
    double formation = level;
    for (AlignmentPoint p : line) {
      double d = Math.hypot(p.east() - e, p.north() - n);
      if (d < best) {
        best = d;
        formation = p.level() - UNDER;
      }
    }
    double free = Math.max(0, best - HALF_FORMATION) * SLOPE;
    return Math.max(formation - free, Math.min(formation + free, level));
  }

  private static double distance(double[] xyz, int a, int b) {
    return Math.hypot(xyz[3 * a] - xyz[3 * b], xyz[3 * a + 1] - xyz[3 * b + 1]);
  }

  static double round(double v) {
    return Math.round(v * 1000) / 1000.0;
  }
}
