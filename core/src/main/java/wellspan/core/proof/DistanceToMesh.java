package wellspan.core.proof;

import java.util.Arrays;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.index.strtree.STRtree;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;

/**
 * How far the vertices of one mesh lie from the faces of another, in space. It needs no partner for
 * a vertex, so it also serves where a receiver drew triangles of its own.
 */
public final class DistanceToMesh {
  private DistanceToMesh() {}

  /**
   * The distance of each vertex of a mesh from the nearest face of another one.
   *
   * <p>Takes about one search of a tree per vertex.
   *
   * @return metres, in the order of the vertices of {@code arrived}; infinite where nothing was
   *     sent
   */
  public static double[] ofVertices(Mesh sent, Mesh arrived) {
    double[] out = new double[arrived.vertexCount()];
    if (sent.triangleCount() == 0) {
      Arrays.fill(out, Double.POSITIVE_INFINITY);
      return out;
    }
    STRtree faces = new STRtree();
    int[] t = sent.triangles();
    for (int f = 0; f < sent.triangleCount(); f++) {
      Envelope e = new Envelope();
      for (int k = 0; k < 3; k++) {
        e.expandToInclude(sent.east(t[3 * f + k]), sent.north(t[3 * f + k]));
      }
      faces.insert(e, f);
    }
    faces.build();
    for (int v = 0; v < out.length; v++) {
      Position p = arrived.vertex(v);
      // an item's distance is never less than that of its envelope in plan, as the search asks
      int nearest =
          (Integer)
              faces.nearestNeighbour(
                  new Envelope(p.east(), p.east(), p.north(), p.north()),
                  p,
                  (a, b) ->
                      toFace(
                          sent, p, (Integer) (a.getItem() instanceof Integer ? a : b).getItem()));
      out[v] = toFace(sent, p, nearest);
    }
    return out;
  }

  /** Distance of a point from a triangle in space, metres. */
  private static double toFace(Mesh m, Position p, int face) {
    int[] t = m.triangles();
    return Math.sqrt(
        squared(
            from(m.vertex(t[3 * face]), p),
            from(m.vertex(t[3 * face + 1]), p),
            from(m.vertex(t[3 * face + 2]), p)));
  }

  private static double[] from(Position a, Position zero) {
    return new double[] {
      a.east() - zero.east(), a.north() - zero.north(), a.level() - zero.level()
    };
  }

  /**
   * Square of the distance from the origin to a triangle: to its plane where the foot lies within,
   * else to the nearest of its edges.
   */
  private static double squared(double[] a, double[] b, double[] c) {
    double[] n = cross(minus(b, a), minus(c, a));
    double nn = dot(n, n);
    boolean within =
        nn > 0 && dot(cross(a, b), n) >= 0 && dot(cross(b, c), n) >= 0 && dot(cross(c, a), n) >= 0;
    if (within) {
      double d = dot(a, n);
      return d * d / nn;
    }
    return Math.min(toEdge(a, b), Math.min(toEdge(b, c), toEdge(c, a)));
  }

  private static double toEdge(double[] a, double[] b) {
    double[] d = minus(b, a);
    double length = dot(d, d);
    double at = length == 0 ? 0 : Math.clamp(-dot(a, d) / length, 0, 1);
    double[] foot = {a[0] + at * d[0], a[1] + at * d[1], a[2] + at * d[2]};
    return dot(foot, foot);
  }

  private static double[] minus(double[] a, double[] b) {
    return new double[] {a[0] - b[0], a[1] - b[1], a[2] - b[2]};
  }

  private static double[] cross(double[] a, double[] b) {
    return new double[] {
      a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]
    };
  }

  private static double dot(double[] a, double[] b) {
    return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  }
}
