package wellspan.core.earthwork;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshWeld;
import wellspan.core.geom.Position;
import wellspan.core.progress.Progress;
import wellspan.core.terrain.TriangleIndex;

/**
 * The surface on which a road is built, with its side slopes down or up to the ground.
 *
 * @param mesh the surface
 * @param open places at which a slope does not meet the ground
 * @param reach how far its outermost point lies from the alignment in plan, metres
 */
public record Formation(Mesh mesh, List<Position> open, double reach) {
  /** Rows stand at least so often: the ground between them is not looked at. */
  private static final double EVERY = 5;

  private static final double CHORD = 0.01;

  /**
   * What is built.
   *
   * @param left width to the left of the alignment, metres
   * @param right width to the right, metres
   * @param fall to both sides, metres for each metre; positive falls outwards
   * @param depth below the profile, metres
   */
  public record Strip(double left, double right, double fall, double depth) {}

  /**
   * @param from distance from the alignment's start, metres
   * @param to distance from the alignment's start, metres
   * @throws IllegalArgumentException if the alignment has no levels there, or a slope runs beyond
   *     the centre of a curve
   */
  public static Formation of(
      Alignment a,
      double from,
      double to,
      Strip strip,
      SideSlope slope,
      Mesh ground,
      Progress progress) {
    TriangleIndex index = new TriangleIndex(ground);
    List<double[]> rows = new ArrayList<>();
    List<Position> open = new ArrayList<>();
    double widest = Math.max(strip.left(), strip.right());
    double reach = widest;
    List<Double> at = stations(a, from, to, widest);
    for (int i = 0; i < at.size(); i++) {
      progress.advance((double) i / at.size(), "Running side slopes out on the ground");
      AlignmentPoint p = a.at(at.get(i));
      if (!Double.isFinite(p.level())) {
        throw new IllegalArgumentException(
            String.format(
                java.util.Locale.ROOT,
                "%s has no level at chainage %.3f m. Choose chainages within its profile.",
                a.name(),
                p.chainage()));
      }
      double[] row = row(p, strip, slope, index, open);
      rows.add(row);
      reach = Math.max(reach, Math.max(off(p, row, 0), off(p, row, row.length - 3)));
    }
    return new Formation(mesh(rows, at, a), open, reach);
  }

  private static double off(AlignmentPoint p, double[] row, int at) {
    return Math.hypot(row[at] - p.east(), row[at + 1] - p.north());
  }

  private static List<Double> stations(Alignment a, double from, double to, double reach) {
    List<Double> all = a.elementEnds(from, to);
    List<Double> out = new ArrayList<>();
    for (int i = 0; i + 1 < all.size(); i++) {
      double length = all.get(i + 1) - all.get(i);
      double middle = Math.abs(a.curvatureAt((all.get(i) + all.get(i + 1)) / 2));
      double k =
          Math.max(
              middle,
              Math.max(
                  Math.abs(a.curvatureAt(all.get(i) + 1e-6)),
                  Math.abs(a.curvatureAt(all.get(i + 1) - 1e-6))));
      // the chord of the outermost line of the strip
      double step = k == 0 ? EVERY : Math.sqrt(8 * CHORD / (k * (1 + k * reach)));
      int n = (int) Math.ceil(length / Math.min(EVERY, Math.max(step, 0.25)));
      for (int s = 0; s < n; s++) {
        out.add(all.get(i) + length * s / n);
      }
    }
    out.add(to);
    return out;
  }

  /** Left end of the slope, its bends, edge, axis, edge, bends, right end; three numbers each. */
  private static double[] row(
      AlignmentPoint p, Strip strip, SideSlope slope, TriangleIndex index, List<Position> open) {
    double top = p.level() - strip.depth();
    List<double[]> points = new ArrayList<>();
    points.addAll(side(p, strip.left(), -1, top - strip.fall() * strip.left(), slope, index, open));
    java.util.Collections.reverse(points);
    points.add(new double[] {p.east(), p.north(), top});
    points.addAll(
        side(p, strip.right(), 1, top - strip.fall() * strip.right(), slope, index, open));
    double[] xyz = new double[3 * points.size()];
    for (int i = 0; i < points.size(); i++) {
      System.arraycopy(points.get(i), 0, xyz, 3 * i, 3);
    }
    return xyz;
  }

  private static List<double[]> side(
      AlignmentPoint p,
      double width,
      int sign,
      double edge,
      SideSlope slope,
      TriangleIndex index,
      List<Position> open) {
    double dx = sign * Math.sin(p.direction());
    double dy = -sign * Math.cos(p.direction());
    double e = p.east() + width * dx;
    double n = p.north() + width * dy;
    SideSlope.Side side =
        slope.from(edge, GroundLine.of(index, e, n, dx, dy, 0, SideSlope.FURTHEST));
    List<double[]> out = new ArrayList<>();
    out.add(new double[] {e, n, edge});
    for (double[] s : side.points()) {
      out.add(new double[] {e + s[0] * dx, n + s[0] * dy, s[1]});
    }
    if (side.open()) {
      double[] last = out.getLast();
      open.add(new Position(last[0], last[1], last[2]));
    }
    return out;
  }

  private static Mesh mesh(List<double[]> rows, List<Double> at, Alignment axis) {
    MeshWeld weld = new MeshWeld();
    int[] before = null;
    for (int r = 0; r < rows.size(); r++) {
      double[] row = rows.get(r);
      int[] now = new int[row.length / 3];
      for (int i = 0; i < now.length; i++) {
        now[i] = weld.vertex(row[3 * i], row[3 * i + 1], row[3 * i + 2]);
      }
      if (before != null) {
        requireForward(rows.get(r - 1), row, axis.at((at.get(r - 1) + at.get(r)) / 2));
        for (int i = 0; i + 1 < now.length; i++) {
          triangle(weld, before[i], before[i + 1], now[i + 1]);
          triangle(weld, before[i], now[i + 1], now[i]);
        }
      }
      before = now;
    }
    return weld.mesh();
  }

  private static void triangle(MeshWeld weld, int a, int b, int c) {
    if (a != b && b != c && c != a) {
      weld.triangle(a, c, b); // rows run from left to right: upwards is clockwise of them
    }
  }

  private static void requireForward(double[] a, double[] b, AlignmentPoint m) {
    double c = Math.cos(m.direction());
    double s = Math.sin(m.direction());
    for (int i = 0; i < a.length; i += 3) {
      if (!((b[i] - a[i]) * c + (b[i + 1] - a[i + 1]) * s > -1e-9)) {
        throw new IllegalArgumentException(
            String.format(
                java.util.Locale.ROOT,
                "a side slope runs beyond the centre of the curve at chainage %.3f m. Choose a steeper slope, a berm, or end before it.",
                m.chainage()));
      }
    }
  }

  /** Where the first slope does not meet the ground. */
  public Optional<Position> firstOpen() {
    return open.stream().findFirst();
  }
}
