package wellspan.core.solid;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.geom.FaceTriangulator;

/**
 * Triangles of a part of a curved surface between given border points. In the surface's two
 * parameters, each scaled to about its length in space, the part is a polygon; it is triangulated,
 * made Delaunay by flips (Lawson, 1977), and a point of the surface is put into every edge and
 * triangle whose planes it leaves by more than the tolerance. Borders stay as they are, so that
 * neighbours fit. For hundreds of border points; cost grows with the square of points at worst.
 */
public final class CurvedPatch {
  /** Points; a part that needs more is refused, since it would not keep to the tolerance. */
  private static final int MOST = 100_000;

  /** A surface by two parameters. */
  public interface Surface {
    /** The place at two parameters, in threes. */
    double[] at(double u, double v);
  }

  /**
   * A corner of the border.
   *
   * @param place where it lies in space; need not be exactly on the surface
   */
  public record Corner(double u, double v, double[] place) {}

  /**
   * @param inner places of the points that were put in, in threes; numbered behind the corners
   * @param triangles numbers in threes, counter-clockwise seen with u to the right and v upwards
   */
  public record Triangles(double[] inner, int[] triangles) {}

  private final Surface surface;
  private final double chord;
  private final double[] scale;
  private final List<double[]> flat = new ArrayList<>();
  private final List<double[]> space = new ArrayList<>();
  private final List<int[]> triangles = new ArrayList<>();
  private final Map<Long, Integer> left = new HashMap<>(); // the triangle left of a directed edge

  private CurvedPatch(Surface surface, double chord, double[] scale) {
    this.surface = surface;
    this.chord = chord;
    this.scale = scale;
  }

  /**
   * @param loops of corners, the outer one first, then holes
   * @param chord largest distance of the surface from its triangles, in the unit of places; at
   *     least twice that of the border's chords, or a point is put beside each of them
   * @throws IllegalArgumentException if the loops are no simple polygon in the parameters, or the
   *     tolerance cannot be kept
   */
  public static Triangles of(List<List<Corner>> loops, Surface surface, double chord) {
    CurvedPatch patch = new CurvedPatch(surface, chord, scale(loops, surface));
    List<int[]> numbers = new ArrayList<>();
    for (List<Corner> loop : loops) {
      int[] n = new int[loop.size()];
      for (int i = 0; i < n.length; i++) {
        n[i] = patch.add(loop.get(i).u(), loop.get(i).v(), loop.get(i).place());
      }
      numbers.add(n);
    }
    int corners = patch.flat.size();
    double[] plane = patch.flat.stream().flatMapToDouble(Arrays::stream).toArray();
    int[] first = FaceTriangulator.triangles(plane, numbers);
    double turned = 0;
    for (int t = 0; t < first.length; t += 3) {
      turned += patch.area(first[t], first[t + 1], first[t + 2]);
    }
    for (int t = 0; t < first.length; t += 3) {
      int b = turned > 0 ? 1 : 2;
      patch.put(-1, first[t], first[t + b], first[t + 3 - b]);
    }
    patch.flip(new ArrayDeque<>(patch.left.keySet()));
    patch.refine();
    return new Triangles(
        patch.space.subList(corners, patch.space.size()).stream()
            .flatMapToDouble(Arrays::stream)
            .toArray(),
        patch.triangles.stream().flatMapToInt(Arrays::stream).toArray());
  }

  /** Lengths in space for one of u and of v, from lines across the middle of the part. */
  private static double[] scale(List<List<Corner>> loops, Surface s) {
    double[] low = {Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY};
    double[] high = {Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY};
    for (Corner c : loops.getFirst()) {
      low[0] = Math.min(low[0], c.u());
      low[1] = Math.min(low[1], c.v());
      high[0] = Math.max(high[0], c.u());
      high[1] = Math.max(high[1], c.v());
    }
    double[] out = {1, 1};
    int pieces = 16;
    for (int k = 0; k < 2; k++) {
      double most = 0;
      for (double share : new double[] {0.25, 0.5, 0.75}) {
        double across = low[1 - k] + share * (high[1 - k] - low[1 - k]);
        double length = 0;
        double[] before = null;
        for (int i = 0; i <= pieces; i++) {
          double along = low[k] + (high[k] - low[k]) * i / pieces;
          double[] p = k == 0 ? s.at(along, across) : s.at(across, along);
          length += before == null ? 0 : distance(before, p);
          before = p;
        }
        most = Math.max(most, length);
      }
      if (most > 0 && high[k] > low[k]) {
        out[k] = most / (high[k] - low[k]);
      }
    }
    return out;
  }

  private int add(double u, double v, double[] place) {
    flat.add(new double[] {u * scale[0], v * scale[1], 0});
    space.add(place);
    return flat.size() - 1;
  }

  private static long edge(int from, int to) {
    return (long) from << 32 | to;
  }

  /**
   * Puts a triangle in the place of another one, or behind all.
   *
   * @param at its number; −1 for a new one
   */
  private void put(int at, int a, int b, int c) {
    int number = at < 0 ? triangles.size() : at;
    int[] t = {a, b, c};
    if (at < 0) {
      triangles.add(t);
    } else {
      triangles.set(at, t);
    }
    for (int k = 0; k < 3; k++) {
      left.put(edge(t[k], t[(k + 1) % 3]), number);
    }
  }

  private int opposite(int triangle, int from, int to) {
    for (int v : triangles.get(triangle)) {
      if (v != from && v != to) {
        return v;
      }
    }
    throw new IllegalStateException("a triangle of fewer than three corners");
  }

  private double area(int a, int b, int c) {
    double[] p = flat.get(a), q = flat.get(b), r = flat.get(c);
    return (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
  }

  private boolean inCircle(int a, int b, int c, int d) {
    double[] o = flat.get(d);
    double[] m = new double[9];
    double size = 0;
    int[] abc = {a, b, c};
    for (int i = 0; i < 3; i++) {
      double x = flat.get(abc[i])[0] - o[0];
      double y = flat.get(abc[i])[1] - o[1];
      m[3 * i] = x;
      m[3 * i + 1] = y;
      m[3 * i + 2] = x * x + y * y;
      size = Math.max(size, m[3 * i + 2]);
    }
    double det =
        m[0] * (m[4] * m[8] - m[5] * m[7])
            - m[1] * (m[3] * m[8] - m[5] * m[6])
            + m[2] * (m[3] * m[7] - m[4] * m[6]);
    return det > 1e-9 * size * size; // four on a circle are left as they are
  }

  /** Flips what is not Delaunay, also what follows from it. */
  private void flip(Deque<Long> open) {
    long most = 100L * (triangles.size() + 100);
    while (!open.isEmpty() && most-- > 0) {
      long e = open.pop();
      int a = (int) (e >> 32);
      int b = (int) e;
      Integer one = left.get(e);
      Integer two = left.get(edge(b, a));
      if (one == null || two == null) {
        continue;
      }
      int c = opposite(one, a, b);
      int d = opposite(two, a, b);
      if (!inCircle(a, b, c, d) || !(area(a, d, c) > 0) || !(area(d, b, c) > 0)) {
        continue;
      }
      left.remove(e);
      left.remove(edge(b, a));
      put(one, a, d, c);
      put(two, d, b, c);
      open.addAll(List.of(edge(a, d), edge(d, b), edge(b, c), edge(c, a)));
    }
  }

  private void refine() {
    int before;
    do {
      before = flat.size();
      for (long e : List.copyOf(left.keySet())) {
        int a = (int) (e >> 32);
        int b = (int) e;
        if (a < b && flat.size() < MOST && isOff(a, b)) {
          split(a, b);
        }
      }
      for (int t = 0, n = triangles.size(); t < n && flat.size() < MOST; t++) {
        int[] k = triangles.get(t);
        if (isLong(k) && off(middle(k), k) > chord) {
          fill(t);
        }
      }
    } while (flat.size() > before && flat.size() < MOST);
    if (flat.size() >= MOST) {
      throw new IllegalArgumentException(
          "it needs more than " + MOST + " points to keep to the tolerance");
    }
  }

  /** Whether the surface leaves both triangles of an edge at its middle. */
  private boolean isOff(int a, int b) {
    Integer one = left.get(edge(a, b));
    Integer two = left.get(edge(b, a));
    if (one == null || two == null || !isLong(a, b)) {
      return false;
    }
    double[] p = middle(a, b);
    return Math.min(off(p, triangles.get(one)), off(p, triangles.get(two))) > chord;
  }

  private boolean isLong(int... corners) {
    double longest = 0;
    for (int i = 0; i < corners.length; i++) {
      int next = corners[(i + 1) % corners.length];
      longest = Math.max(longest, distance(space.get(corners[i]), space.get(next)));
    }
    return longest > chord;
  }

  /** How far a place lies from the plane of a triangle, or from its line where it has no plane. */
  private double off(double[] p, int[] corners) {
    double[] a = space.get(corners[0]);
    double[] ab = minus(space.get(corners[1]), a);
    double[] ac = minus(space.get(corners[2]), a);
    double[] n = cross(ab, ac);
    double[] ap = minus(p, a);
    double size = Math.sqrt(dot(n, n));
    if (size > 1e-12 * (dot(ab, ab) + dot(ac, ac))) {
      return Math.abs(dot(ap, n)) / size;
    }
    double[] along = dot(ab, ab) > dot(ac, ac) ? ab : ac;
    double t = dot(along, along) > 0 ? Math.clamp(dot(ap, along) / dot(along, along), 0, 1) : 0;
    return distance(ap, new double[] {t * along[0], t * along[1], t * along[2]});
  }

  private static double[] minus(double[] a, double[] b) {
    return new double[] {a[0] - b[0], a[1] - b[1], a[2] - b[2]};
  }

  private static double dot(double[] a, double[] b) {
    return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  }

  private static double[] cross(double[] a, double[] b) {
    return new double[] {
      a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]
    };
  }

  private double[] middle(int... corners) {
    double[] m = mean(corners);
    return surface.at(m[0] / scale[0], m[1] / scale[1]);
  }

  private double[] mean(int... corners) {
    double x = 0, y = 0;
    for (int c : corners) {
      x += flat.get(c)[0];
      y += flat.get(c)[1];
    }
    return new double[] {x / corners.length, y / corners.length};
  }

  private int addMiddle(int... corners) {
    double[] m = mean(corners);
    return add(m[0] / scale[0], m[1] / scale[1], middle(corners));
  }

  private void split(int a, int b) {
    int one = left.get(edge(a, b));
    int two = left.get(edge(b, a));
    int c = opposite(one, a, b);
    int d = opposite(two, a, b);
    int m = addMiddle(a, b);
    left.remove(edge(a, b));
    left.remove(edge(b, a));
    put(one, a, m, c);
    put(-1, m, b, c);
    put(two, b, m, d);
    put(-1, m, a, d);
    flip(new ArrayDeque<>(List.of(edge(b, c), edge(c, a), edge(a, d), edge(d, b))));
  }

  private void fill(int t) {
    int[] k = triangles.get(t);
    int m = addMiddle(k);
    put(t, k[0], k[1], m);
    put(-1, k[1], k[2], m);
    put(-1, k[2], k[0], m);
    flip(new ArrayDeque<>(List.of(edge(k[0], k[1]), edge(k[1], k[2]), edge(k[2], k[0]))));
  }

  private static double distance(double[] a, double[] b) {
    double x = a[0] - b[0], y = a[1] - b[1], z = a[2] - b[2];
    return Math.sqrt(x * x + y * y + z * z);
  }
}
