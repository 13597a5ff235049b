package wellspan.core.terrain;

import wellspan.core.geom.Mesh;

/** Contour lines of single triangles: straight pieces, exact on the plane of each triangle. */
public final class Contours {
  private Contours() {}

  /** Takes one piece of a contour line in plan, shared coordinates. */
  public interface Sink {
    void piece(long step, double e0, double n0, double e1, double n1);
  }

  /**
   * Gives the pieces of all contours that cross a triangle. A corner that lies exactly on a level
   * counts as above it, so that neighbours agree.
   *
   * @param interval distance of levels, metres; {@code step} times it is the level of a piece
   */
  public static void ofTriangle(Mesh mesh, int triangle, double interval, Sink sink) {
    int[] t = mesh.triangles();
    int a = t[3 * triangle];
    int b = t[3 * triangle + 1];
    int c = t[3 * triangle + 2];
    double low = Math.min(mesh.level(a), Math.min(mesh.level(b), mesh.level(c)));
    double high = Math.max(mesh.level(a), Math.max(mesh.level(b), mesh.level(c)));
    for (long k = (long) Math.floor(low / interval) + 1; k * interval <= high; k++) {
      double level = k * interval;
      boolean ua = mesh.level(a) >= level;
      boolean ub = mesh.level(b) >= level;
      boolean uc = mesh.level(c) >= level;
      if (ua == ub && ub == uc) {
        continue;
      }
      int apex = ua != ub && ua != uc ? a : ub != ua && ub != uc ? b : c;
      int p = apex == a ? b : a;
      int q = apex == c ? b : c;
      double s = (level - mesh.level(apex)) / (mesh.level(p) - mesh.level(apex));
      double r = (level - mesh.level(apex)) / (mesh.level(q) - mesh.level(apex));
      sink.piece(
          k,
          mix(mesh.east(apex), mesh.east(p), s),
          mix(mesh.north(apex), mesh.north(p), s),
          mix(mesh.east(apex), mesh.east(q), r),
          mix(mesh.north(apex), mesh.north(q), r));
    }
  }

  private static double mix(double from, double to, double t) {
    return from + t * (to - from);
  }
}
