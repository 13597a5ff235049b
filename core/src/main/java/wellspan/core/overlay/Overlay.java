package wellspan.core.overlay;

import java.util.Arrays;
import wellspan.core.geom.Mesh;
import wellspan.core.progress.Progress;
import wellspan.core.step.Clip;
import wellspan.core.terrain.TriangleIndex;

/**
 * The common pieces of two surfaces in plan: each is the intersection of one triangle of either, a
 * convex polygon over which both are planes. Time of the pieces; no piece is kept, so memory is
 * that of an index over one of the surfaces. Several overlays may run at once.
 */
public final class Overlay {
  /** A triangle cut by three others' edges has six corners at most; each cut can add one. */
  private static final int CORNERS = 9;

  private Overlay() {}

  /** Takes the pieces one after another; its arrays are used again for the next piece. */
  public interface Sink {
    /**
     * @param n corners, counter-clockwise
     * @param e easting and {@code h} northing of each
     * @param first level of the first surface at each corner
     * @param second level of the second surface there
     * @param a triangle of the first surface
     */
    void piece(int n, double[] e, double[] h, double[] first, double[] second, int a);
  }

  /**
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static void run(Mesh first, Mesh second, Progress progress, Sink sink) {
    TriangleIndex index = new TriangleIndex(second);
    int[] asked = new int[second.triangleCount()];
    Arrays.fill(asked, -1);
    Clip clip = new Clip(first, second, sink);
    int n = first.triangleCount();
    for (int t = 0; t < n; t++) {
      if (t % 2048 == 0) {
        progress.advance((double) t / n, "Laying the surfaces over each other");
      }
      if (!clip.start(t)) {
        continue;
      }
      int triangle = t;
      index.forEachNear(
          clip.minE,
          clip.minN,
          clip.maxE,
          clip.maxN,
          o -> {
            if (asked[o] != triangle) {
              asked[o] = triangle;
              clip.with(o);
            }
          });
    }
  }

  /** A triangle as a plane over its place: level at its first corner and slopes along the axes. */
  private static final class Plane {
    double e0;
    double n0;
    double e1;
    double n1;
    double e2;
    double n2;
    double z0;
    double slopeE;
    double slopeN;

    /** False if the triangle has no area in plan. */
    boolean set(Mesh m, int t) {
      int[] tri = m.triangles();
      int a = tri[3 * t], b = tri[3 * t + 1], c = tri[3 * t + 2];
      e0 = m.east(a);
      n0 = m.north(a);
      z0 = m.level(a);
      double ux = m.east(b) - e0, uy = m.north(b) - n0, uz = m.level(b) - z0;
      double wx = m.east(c) - e0, wy = m.north(c) - n0, wz = m.level(c) - z0;
      double det = ux * wy - uy * wx;
      if (!(Math.abs(det) > 1e-12)) {
        return false;
      }
      slopeE = (uz * wy - wz * uy) / det;
      slopeN = (wz * ux - uz * wx) / det;
      boolean turned = det < 0;
      e1 = m.east(turned ? c : b);
      n1 = m.north(turned ? c : b);
      e2 = m.east(turned ? b : c);
      n2 = m.north(turned ? b : c);
      return true;
    }

    double level(double e, double n) {
      return z0 + slopeE * (e - e0) + slopeN * (n - n0);
    }
  }

  private static final class Clip {
    final Mesh first;
    final Mesh second;
    final Sink sink;
    final Plane own = new Plane();
    final Plane other = new Plane();
    double[] e = new double[CORNERS];
    double[] n = new double[CORNERS];
    double[] spareE = new double[CORNERS];
    double[] spareN = new double[CORNERS];
    final double[] own3 = new double[CORNERS];
    final double[] other3 = new double[CORNERS];
    int count;
    int triangle;
    double minE;
    double minN;
    double maxE;
    double maxN;

    Clip(Mesh first, Mesh second, Sink sink) {
      this.first = first;
      this.second = second;
      this.sink = sink;
    }

    boolean start(int t) {
      triangle = t;
      if (!own.set(first, t)) {
        return false;
      }
      minE = Math.min(own.e0, Math.min(own.e1, own.e2));
      maxE = Math.max(own.e0, Math.max(own.e1, own.e2));
      minN = Math.min(own.n0, Math.min(own.n1, own.n2));
      maxN = Math.max(own.n0, Math.max(own.n1, own.n2));
      return true;
    }

    void with(int t) {
      if (!other.set(second, t)
          || Math.max(other.e0, Math.max(other.e1, other.e2)) <= minE
          || Math.min(other.e0, Math.min(other.e1, other.e2)) >= maxE
          || Math.max(other.n0, Math.max(other.n1, other.n2)) <= minN
          || Math.min(other.n0, Math.min(other.n1, other.n2)) >= maxN) {
        return;
      }
      count = 3;
      e[0] = own.e0;
      e[1] = own.e1;
      e[2] = own.e2;
      n[0] = own.n0;
      n[1] = own.n1;
      n[2] = own.n2;
      if (cut(other.e0, other.n0, other.e1, other.n1)
          && cut(other.e1, other.n1, other.e2, other.n2)
          && cut(other.e2, other.n2, other.e0, other.n0)) {
        for (int i = 0; i < count; i++) {
          own3[i] = own.level(e[i], n[i]);
          other3[i] = other.level(e[i], n[i]);
        }
        sink.piece(count, e, n, own3, other3, triangle);
      }
    }

    /** Keeps what lies to the left of a line; false if nothing is left. */
    private boolean cut(double ae, double an, double be, double bn) {
      double de = be - ae, dn = bn - an;
      int k = 0;
      double last = de * (n[count - 1] - an) - dn * (e[count - 1] - ae);
      int before = count - 1;
      boolean some = false;
      for (int i = 0; i < count; i++) {
        double side = de * (n[i] - an) - dn * (e[i] - ae);
        if (side > 0 && last < 0 || side < 0 && last > 0) {
          double s = last / (last - side);
          spareE[k] = e[before] + s * (e[i] - e[before]);
          spareN[k++] = n[before] + s * (n[i] - n[before]);
        }
        if (side >= 0) {
          some |= side > 0;
          spareE[k] = e[i];
          spareN[k++] = n[i];
        }
        last = side;
        before = i;
      }
      double[] t = e;
      e = spareE;
      spareE = t;
      t = n;
      n = spareN;
      spareN = t;
      count = k;
      return some && k >= 3;
    }
  }
}
