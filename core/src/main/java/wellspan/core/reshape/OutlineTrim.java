package wellspan.core.reshape;

import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshEdges;

/**
 * Takes long and flat triangles off the outer edge, one after another, until sound ones stand
 * there.
 */
public final class OutlineTrim {
  private OutlineTrim() {}

  /**
   * @param longest sides on the outline may have, metres in plan; infinite for no limit
   * @param flattest angle in degrees that a triangle on the outline may have beside its outer side;
   *     0 for no limit
   */
  public static Mesh trim(Mesh mesh, double longest, double flattest) {
    MeshEdges edges = new MeshEdges(mesh);
    int n = mesh.triangleCount();
    boolean[] gone = new boolean[n];
    int[] queue = new int[mesh.triangles().length];
    int size = 0;
    for (int h = 0; h < edges.halfEdgeCount(); h++) {
      if (edges.twin(h) == MeshEdges.NONE) {
        queue[size++] = h;
      }
    }
    while (size > 0) {
      int h = queue[--size];
      int t = h / 3;
      if (gone[t] || !falls(mesh, edges, h, longest, flattest)) {
        continue;
      }
      gone[t] = true;
      for (int o = 3 * t; o < 3 * t + 3; o++) {
        int other = edges.twin(o);
        if (other >= 0 && !gone[other / 3]) {
          queue[size++] = other;
        }
      }
    }
    return mesh.only(t -> !gone[t]).compact();
  }

  private static boolean falls(Mesh m, MeshEdges edges, int h, double longest, double flattest) {
    int a = edges.from(h), b = edges.to(h);
    double length = Math.hypot(m.east(b) - m.east(a), m.north(b) - m.north(a));
    if (length > longest) {
      return true;
    }
    if (!(flattest > 0)) {
      return false;
    }
    int c = m.triangles()[h - h % 3 + (h % 3 + 2) % 3];
    return Math.min(angle(m, a, b, c), angle(m, b, a, c)) < Math.toRadians(flattest);
  }

  private static double angle(Mesh m, int at, int p, int q) {
    double ux = m.east(p) - m.east(at), uy = m.north(p) - m.north(at);
    double wx = m.east(q) - m.east(at), wy = m.north(q) - m.north(at);
    return Math.abs(Math.atan2(ux * wy - uy * wx, ux * wx + uy * wy));
  }
}
