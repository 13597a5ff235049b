package wellspan.core.network;

import java.util.Arrays;
import java.util.Optional;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.geom.Similarity;
import wellspan.core.shape.Curved;

/**
 * A chamber: wall, base slab and cover around a clear shaft.
 *
 * @param east of its centre, metres
 * @param north of its centre
 * @param form {@link Chamber.Form.Round} or {@link Chamber.Form.Rectangular}
 * @param rim level of its upper edge, cover included
 * @param floor level of the clear shaft's bottom
 * @param wall thickness of the wall, metres
 * @param base thickness of the base slab, metres
 * @param cover thickness of the cover, metres
 */
public record ChamberBody(
    double east,
    double north,
    Chamber.Form form,
    double rim,
    double floor,
    double wall,
    double base,
    double cover)
    implements Curved {

  @Override
  public Optional<ChamberBody> moved(Similarity how) {
    if (how.scale() != 1) {
      return Optional.empty();
    }
    Position at = how.apply(new Position(east, north, 0));
    double up = how.to().level() - how.from().level();
    return Optional.of(
        new ChamberBody(
            at.east(),
            at.north(),
            form.turned(how.rotation()),
            rim + up,
            floor + up,
            wall,
            base,
            cover));
  }

  /** Volume of what it is made of, cubic metres. */
  public double volume() {
    double height = rim - floor + base;
    double shaft = rim - cover - floor;
    return switch (form) {
      case Chamber.Form.Round r ->
          Math.PI
              / 4
              * (Math.pow(r.diameter() + 2 * wall, 2) * height
                  - r.diameter() * r.diameter() * shaft);
      case Chamber.Form.Rectangular b ->
          (b.length() + 2 * wall) * (b.width() + 2 * wall) * height
              - b.length() * b.width() * shaft;
      default ->
          throw new IllegalArgumentException("Only round and rectangular chambers have a body.");
    };
  }

  /** Clear depth from its upper edge to its floor, metres. */
  public double depth() {
    return rim - floor;
  }

  @Override
  public Mesh mesh(double chord) {
    double[] outer = outline(wall, chord);
    double[] inner = outline(0, chord);
    int n = outer.length / 2;
    double[] xyz = new double[12 * n];
    ring(outer, floor - base, xyz, 0);
    ring(outer, rim, xyz, n);
    ring(inner, floor, xyz, 2 * n);
    ring(inner, rim - cover, xyz, 3 * n);
    int[] t = new int[2 * (6 * n + 6 * (n - 2))];
    int k = shell(t, 0, 0, n, false);
    k = shell(t, k, 2 * n, n, true);
    return new Mesh(xyz, Arrays.copyOf(t, k));
  }

  /** A prism over a convex outline, turned inside out for a hollow. */
  private static int shell(int[] t, int from, int first, int n, boolean hollow) {
    int k = from;
    for (int i = 0; i < n; i++) {
      int a = first + i;
      int b = first + (i + 1) % n;
      k = triangle(t, k, a, b, b + n, hollow);
      k = triangle(t, k, a, b + n, a + n, hollow);
    }
    for (int i = 1; i + 1 < n; i++) {
      k = triangle(t, k, first, first + i + 1, first + i, hollow);
      k = triangle(t, k, first + n, first + n + i, first + n + i + 1, hollow);
    }
    return k;
  }

  private static int triangle(int[] t, int k, int a, int b, int c, boolean hollow) {
    t[k] = a;
    t[k + 1] = hollow ? c : b;
    t[k + 2] = hollow ? b : c;
    return k + 3;
  }

  private static void ring(double[] outline, double level, double[] xyz, int first) {
    for (int i = 0; i < outline.length / 2; i++) {
      xyz[3 * (first + i)] = outline[2 * i];
      xyz[3 * (first + i) + 1] = outline[2 * i + 1];
      xyz[3 * (first + i) + 2] = level;
    }
  }

  private double[] outline(double beyond, double chord) {
    return switch (form) {
      case Chamber.Form.Round r -> {
        double radius = r.diameter() / 2 + beyond;
        double widest = r.diameter() / 2 + wall;
        int n = (int) Math.ceil(Math.PI / Math.acos(Math.max(0.5, 1 - chord / widest)));
        n = Math.max(24, (n + 3) / 4 * 4);
        double polygon = radius * Outlines.equalArea(n);
        double[] out = new double[2 * n];
        for (int i = 0; i < n; i++) {
          out[2 * i] = east + polygon * Math.cos(2 * Math.PI * i / n);
          out[2 * i + 1] = north + polygon * Math.sin(2 * Math.PI * i / n);
        }
        yield out;
      }
      case Chamber.Form.Rectangular b -> {
        double l = b.length() / 2 + beyond;
        double w = b.width() / 2 + beyond;
        double c = Math.cos(b.direction());
        double s = Math.sin(b.direction());
        double[] corner = {l, -w, l, w, -l, w, -l, -w};
        double[] out = new double[8];
        for (int i = 0; i < 8; i += 2) {
          out[i] = east + corner[i] * c - corner[i + 1] * s;
          out[i + 1] = north + corner[i] * s + corner[i + 1] * c;
        }
        yield out;
      }
      default ->
          throw new IllegalArgumentException("Only round and rectangular chambers have a body.");
    };
  }
}
