package wellspan.core.reshape;

import java.util.Arrays;
import java.util.List;
import java.util.function.Predicate;
import wellspan.core.flaw.SurfaceFlaws;
import wellspan.core.geom.FaceTriangulator;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshEdges;

/** Fills holes of a surface with triangles over the corners of their outlines. */
public final class HoleFilling {
  private HoleFilling() {}

  /**
   * @param largest area in plan of holes that are filled, square metres
   */
  public static Mesh fill(Mesh mesh, double largest) {
    return fill(mesh, largest, loop -> true);
  }

  /**
   * @param which outlines of holes are filled, by the numbers of their vertices
   */
  static Mesh fill(Mesh mesh, double largest, Predicate<int[]> which) {
    int[] tri = mesh.triangles();
    int n = tri.length;
    double turn = 0;
    for (int t = 0; t < mesh.triangleCount(); t++) {
      turn += Math.signum(mesh.planArea(t));
    }
    for (int[] loop : new MeshEdges(mesh).outlines()) {
      double area = SurfaceFlaws.planArea(mesh, loop);
      if (area < 0 && -area <= largest && which.test(loop)) {
        int[] more = lid(mesh, loop, turn < 0);
        tri = Arrays.copyOf(tri, n + more.length);
        System.arraycopy(more, 0, tri, n, more.length);
        n += more.length;
      }
    }
    return new Mesh(mesh.xyz(), Arrays.copyOf(tri, n));
  }

  private static int[] lid(Mesh mesh, int[] loop, boolean turned) {
    int k = loop.length;
    double[] flat = new double[3 * k];
    int[] around = new int[k];
    for (int i = 0; i < k; i++) {
      int v = loop[k - 1 - i]; // the lid runs against the hole's outline
      flat[3 * i] = mesh.east(v);
      flat[3 * i + 1] = mesh.north(v);
      around[i] = i;
    }
    int[] lid;
    try {
      lid = FaceTriangulator.triangles(flat, List.of(around));
    } catch (IllegalArgumentException e) {
      return new int[0]; // an outline that crosses itself stays open and stays a finding
    }
    for (int i = 0; i < lid.length; i++) {
      lid[i] = loop[k - 1 - lid[i]];
    }
    for (int i = 0; turned && i < lid.length; i += 3) { // as the surface around it is wound
      int v = lid[i + 1];
      lid[i + 1] = lid[i + 2];
      lid[i + 2] = v;
    }
    return lid;
  }
}
