package wellspan.core.reshape;

import java.util.BitSet;
import wellspan.core.geom.Mesh;

/** Takes vertices, or triangles, out of a surface. */
public final class VertexDrop {
  private VertexDrop() {}

  /**
   * The surface without some vertices and without the triangles at them.
   *
   * @param refill whether the holes that arise are closed over their outlines; holes that were
   *     there before stay
   */
  public static Mesh vertices(Mesh mesh, BitSet gone, boolean refill) {
    int[] tri = mesh.triangles();
    Mesh rest =
        mesh.only(
            t -> !gone.get(tri[3 * t]) && !gone.get(tri[3 * t + 1]) && !gone.get(tri[3 * t + 2]));
    if (!refill) {
      return rest.compact();
    }
    BitSet touched = new BitSet(mesh.vertexCount());
    for (int t = 0; t < mesh.triangleCount(); t++) {
      for (int k = 0; k < 3; k++) {
        if (gone.get(tri[3 * t + k])) {
          touched.set(tri[3 * t]);
          touched.set(tri[3 * t + 1]);
          touched.set(tri[3 * t + 2]);
        }
      }
    }
    return HoleFilling.fill(
            rest,
            Double.POSITIVE_INFINITY,
            loop -> java.util.Arrays.stream(loop).allMatch(touched::get))
        .compact();
  }

  /** The surface without some triangles and without vertices that are left over. */
  public static Mesh triangles(Mesh mesh, BitSet gone) {
    return mesh.only(t -> !gone.get(t)).compact();
  }
}
