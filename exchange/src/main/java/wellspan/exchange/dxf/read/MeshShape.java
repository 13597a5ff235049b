package wellspan.exchange.dxf.read;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import wellspan.core.geom.FaceTriangulator;

/** The faces of a mesh entity at its coarsest level, as they were drawn. */
final class MeshShape {
  private MeshShape() {}

  /**
   * @return empty if there are no faces
   */
  static Optional<Drawn> of(Entity e) {
    double[] xyz = EntityShapes.flat(e.points(10));
    int start = 0;
    while (start < e.count() && e.code(start) != 93) {
      start++;
    }
    int[] out = new int[48];
    int n = 0;
    int i = start + 1;
    while (i < e.count() && e.code(i) == 90) {
      int corners = (int) e.value(i);
      int[] face = new int[Math.max(0, Math.min(corners, e.count() - i - 1))];
      for (int k = 0; k < face.length; k++) {
        face[k] = (int) e.value(i + 1 + k);
      }
      i += 1 + face.length;
      int[] cut = triangles(xyz, face);
      if (n + cut.length > out.length) {
        out = Arrays.copyOf(out, Math.max(2 * out.length, n + cut.length));
      }
      System.arraycopy(cut, 0, out, n, cut.length);
      n += cut.length;
    }
    return n == 0
        ? Optional.empty()
        : Optional.of(new Drawn.Faces(e.layer(), xyz, Arrays.copyOf(out, n), true));
  }

  /** A face with any number of corners; one whose corners do not exist or cross is left out. */
  static int[] triangles(double[] xyz, int[] face) {
    for (int v : face) {
      if (v < 0 || 3 * v + 2 >= xyz.length) {
        return new int[0];
      }
    }
    if (face.length == 4) {
      return EntityShapes.quad(xyz, face[0], face[1], face[2], face[3]);
    }
    if (face.length < 3) {
      return new int[0];
    }
    try {
      return FaceTriangulator.triangles(xyz, List.of(face));
    } catch (IllegalArgumentException bad) {
      return new int[0];
    }
  }
}
