package wellspan.core.terrain;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;

/**
 * A lighter mesh for the view only: vertices that fall into one cell of a plan grid become one.
 * Never used for figures or deliveries.
 */
public final class ViewMesh {
  private ViewMesh() {}

  /**
   * The mesh itself if it is light enough, otherwise a simplified one with about {@code triangles}
   * triangles or fewer.
   */
  public static Mesh simplified(Mesh mesh, int triangles) {
    if (mesh.triangleCount() <= triangles) {
      return mesh;
    }
    Box b = mesh.bounds();
    double cell =
        Math.sqrt(Math.max(b.width(), 1e-3) * Math.max(b.depth(), 1e-3) / (triangles / 2.0));
    Mesh light = cluster(mesh, b, cell);
    while (light.triangleCount() > triangles) {
      cell *= 1.2;
      light = cluster(mesh, b, cell);
    }
    return light;
  }

  private static Mesh cluster(Mesh mesh, Box b, double cell) {
    long columns = (long) Math.floor(b.width() / cell) + 1;
    Map<Long, Integer> cells = new HashMap<>();
    int[] to = new int[mesh.vertexCount()];
    double[] sum = new double[4 * 1024];
    for (int i = 0; i < to.length; i++) {
      long key =
          (long) Math.floor((mesh.north(i) - b.minN()) / cell) * columns
              + (long) Math.floor((mesh.east(i) - b.minE()) / cell);
      int c = cells.computeIfAbsent(key, k -> cells.size());
      to[i] = c;
      if (4 * c + 4 > sum.length) {
        sum = Arrays.copyOf(sum, sum.length * 2);
      }
      sum[4 * c] += mesh.east(i) - b.minE();
      sum[4 * c + 1] += mesh.north(i) - b.minN();
      sum[4 * c + 2] += mesh.level(i);
      sum[4 * c + 3]++;
    }
    double[] xyz = new double[3 * cells.size()];
    for (int c = 0; c < cells.size(); c++) {
      xyz[3 * c] = b.minE() + sum[4 * c] / sum[4 * c + 3];
      xyz[3 * c + 1] = b.minN() + sum[4 * c + 1] / sum[4 * c + 3];
      xyz[3 * c + 2] = sum[4 * c + 2] / sum[4 * c + 3];
    }
    int[] tri = new int[mesh.triangles().length];
    int n = 0;
    for (int t = 0; t < tri.length; t += 3) {
      int p = to[mesh.triangles()[t]],
          q = to[mesh.triangles()[t + 1]],
          r = to[mesh.triangles()[t + 2]];
      if (p != q && q != r && r != p) {
        tri[n++] = p;
        tri[n++] = q;
        tri[n++] = r;
      }
    }
    return new Mesh(xyz, Arrays.copyOf(tri, n));
  }
}
