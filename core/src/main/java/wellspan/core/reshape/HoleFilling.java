package wellspan.core.reshape;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Predicate;
import wellspan.core.flaw.Hole;
import wellspan.core.flaw.SurfaceFlaws;
import wellspan.core.geom.FaceTriangulator;
import wellspan.core.geom.Mesh;

/**
 * Fills holes of a surface with triangles over the corners of their outlines; loose pieces within
 * stay.
 */
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
    for (Hole hole : SurfaceFlaws.holes(mesh)) {
      if (hole.area(mesh) <= largest && which.test(hole.outline())) {
        int[] more = lid(mesh, hole, turn < 0);
        tri = Arrays.copyOf(tri, n + more.length);
        System.arraycopy(more, 0, tri, n, more.length);
        n += more.length;
      }
    }
    return new Mesh(mesh.xyz(), Arrays.copyOf(tri, n));
  }

  private static int[] lid(Mesh mesh, Hole hole, boolean turned) {
    List<int[]> loops = new ArrayList<>(List.of(hole.outline()));
    loops.addAll(hole.islands());
    int corners = loops.stream().mapToInt(l -> l.length).sum();
    double[] flat = new double[3 * corners];
    int[] vertex = new int[corners];
    List<int[]> around = new ArrayList<>();
    int n = 0;
    for (int[] loop : loops) {
      int[] own = new int[loop.length];
      for (int i = 0; i < loop.length; i++, n++) {
        int v = loop[loop.length - 1 - i]; // the lid runs against the outlines
        flat[3 * n] = mesh.east(v);
        flat[3 * n + 1] = mesh.north(v);
        vertex[n] = v;
        own[i] = n;
      }
      around.add(own);
    }
    int[] lid;
    try {
      lid = FaceTriangulator.triangles(flat, around);
    } catch (IllegalArgumentException e) {
      return new int[0]; // an outline that crosses itself stays open and stays a finding
    }
    for (int i = 0; i < lid.length; i++) {
      lid[i] = vertex[lid[i]];
    }
    for (int i = 0; turned && i < lid.length; i += 3) { // as the surface around it is wound
      int v = lid[i + 1];
      lid[i + 1] = lid[i + 2];
      lid[i + 2] = v;
    }
    return lid;
  }
}
