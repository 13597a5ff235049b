package wellspan.core.network;

import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.geom.Similarity;
import wellspan.core.shape.CarriedBody;
import wellspan.core.shape.Curved;

/**
 * A straight pipe with its wall, hollow, its ends square to its axis.
 *
 * @param section clear section
 * @param wall thickness, metres, greater than 0
 * @param from lowest inside point at its start
 * @param to lowest inside point at its end
 * @param centres length in plan between the centres of its chambers, metres
 */
public record PipeBody(PipeSection section, double wall, Position from, Position to, double centres)
    implements CarriedBody {
  /** Corners of a circle at least: its polygon has the circle's area, so that few are enough. */
  private static final int FEWEST = 24;

  /** Corners of other curves at least: their chords lose area, which is less than 0.1 %. */
  private static final int FEWEST_OTHERS = 96;

  @Override
  public Optional<PipeBody> moved(Similarity how) {
    return how.scale() == 1
        ? Optional.of(new PipeBody(section, wall, how.apply(from), how.apply(to), centres))
        : Optional.empty();
  }

  /** Whether its clear section is a circle, and it leads somewhere in plan. */
  public boolean isRound() {
    return section instanceof PipeSection.Circle && run() > 0;
  }

  /** Length along its axis, metres. */
  public double length() {
    return Math.hypot(run(), to.level() - from.level());
  }

  private double run() {
    return Math.hypot(to.east() - from.east(), to.north() - from.north());
  }

  /** Volume of its wall, cubic metres. */
  @Override
  public double volume() {
    int corners = corners(Curved.USUAL_CHORD);
    return length()
        * switch (section) {
          case PipeSection.Circle c -> Math.PI * wall * (c.diameter() + wall);
          case PipeSection.Box b -> (b.width() + 2 * wall) * (b.height() + 2 * wall) - b.area();
          case PipeSection.Channel c ->
              Outlines.area(c.outline(wall, corners)) - Outlines.area(c.outline(0, corners));
          case PipeSection.Ellipse e -> e.perimeter() * wall + Math.PI * wall * wall;
          case PipeSection.Egg e -> e.perimeter() * wall + Math.PI * wall * wall;
        };
  }

  /** None: where on a circle a receiver puts its corners is left to it. */
  @Override
  public double[] givenCorners() {
    return new double[0];
  }

  /** Of a round pipe that leads somewhere in plan: in and outside of its wall at both ends. */
  @Override
  public Corners corners() {
    double length = length();
    double inside = section.height() / 2;
    double run = run();
    double rise = to.level() - from.level();
    double[] along = {
      (to.east() - from.east()) / length, (to.north() - from.north()) / length, rise / length
    };
    double lean = -rise / (run * length);
    double[] up = {
      lean * (to.east() - from.east()), lean * (to.north() - from.north()), run / length
    };
    return p -> {
      double e = p.east() - from.east() - inside * up[0];
      double n = p.north() - from.north() - inside * up[1];
      double h = p.level() - from.level() - inside * up[2];
      double t = e * along[0] + n * along[1] + h * along[2];
      double r = Math.hypot(Math.hypot(e - t * along[0], n - t * along[1]), h - t * along[2]);
      double end = Math.min(Math.abs(t), Math.abs(t - length));
      return Math.hypot(end, Math.min(Math.abs(r - inside), Math.abs(r - inside - wall)));
    };
  }

  private int corners(double chord) {
    double r = Math.max(section.height(), section.width()) / 2 + wall;
    int n = (int) Math.ceil(Math.PI / Math.acos(Math.max(0.5, 1 - chord / r)));
    int fewest = section instanceof PipeSection.Circle ? FEWEST : FEWEST_OTHERS;
    return Math.max(fewest, (n + 3) / 4 * 4);
  }

  @Override
  public OptionalDouble planLength() {
    return OptionalDouble.of(centres);
  }

  @Override
  public Mesh mesh(double chord) {
    int corners = corners(chord);
    double[] inner = section.outline(0, corners);
    double[] outer = section.outline(wall, corners);
    return section.open() ? gutter(inner, outer) : tube(inner, outer);
  }

  private Mesh tube(double[] inner, double[] outer) {
    int n = inner.length / 2;
    double[] xyz = new double[12 * n];
    place(outer, 0, xyz, 0);
    place(outer, 1, xyz, n);
    place(inner, 0, xyz, 2 * n);
    place(inner, 1, xyz, 3 * n);
    int[] t = new int[24 * n];
    int k = 0;
    for (int i = 0; i < n; i++) {
      int j = (i + 1) % n;
      k = quad(t, k, i, n + i, n + j, j); // outside
      k = quad(t, k, 2 * n + i, 2 * n + j, 3 * n + j, 3 * n + i); // inside
      k = quad(t, k, i, j, 2 * n + j, 2 * n + i); // start
      k = quad(t, k, n + i, 3 * n + i, 3 * n + j, n + j); // end
    }
    return new Mesh(xyz, t);
  }

  /** A channel: one outline, outside down, across and up, inside back. */
  private Mesh gutter(double[] inner, double[] outer) {
    double[] o = outer;
    double[] in = inner;
    double[] ring = {
      o[6], o[7], o[0], o[1], o[2], o[3], in[2], in[3], in[0], in[1], in[6], in[7], in[4], in[5],
      o[4], o[5]
    };
    int n = 8;
    double[] xyz = new double[6 * n];
    place(ring, 0, xyz, 0);
    place(ring, 1, xyz, n);
    int[] t = new int[6 * n + 2 * 3 * 6];
    int k = 0;
    for (int i = 0; i < n; i++) {
      int j = (i + 1) % n;
      k = quad(t, k, i, n + i, n + j, j);
    }
    int[][] ends = {{0, 1, 4, 5}, {1, 2, 3, 4}, {0, 5, 6, 7}}; // floor and two walls
    for (int[] e : ends) {
      k = quad(t, k, e[0], e[1], e[2], e[3]);
      k = quad(t, k, n + e[0], n + e[3], n + e[2], n + e[1]);
    }
    return new Mesh(xyz, Arrays.copyOf(t, k));
  }

  private static int quad(int[] t, int k, int a, int b, int c, int d) {
    t[k] = a;
    t[k + 1] = b;
    t[k + 2] = c;
    t[k + 3] = a;
    t[k + 4] = c;
    t[k + 5] = d;
    return k + 6;
  }

  /** Lays an outline square to the axis at one of its ends. */
  private void place(double[] outline, int end, double[] xyz, int first) {
    Position p = end == 0 ? from : to;
    double run = run();
    double length = length();
    double rise = to.level() - from.level();
    double tx = run > 0 ? (to.east() - from.east()) / run : 1;
    double ty = run > 0 ? (to.north() - from.north()) / run : 0;
    double sin = length > 0 ? rise / length : 0;
    double cos = length > 0 ? run / length : 1;
    for (int i = 0; i < outline.length / 2; i++) {
      double right = outline[2 * i];
      double up = outline[2 * i + 1];
      int v = 3 * (first + i);
      xyz[v] = p.east() + right * ty - up * sin * tx;
      xyz[v + 1] = p.north() - right * tx - up * sin * ty;
      xyz[v + 2] = p.level() + up * cos;
    }
  }
}
