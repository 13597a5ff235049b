package wellspan.core.road;

import java.util.List;
import wellspan.core.geom.FaceTriangulator;

/** The flat end of a part. */
final class SectionCap {
  private SectionCap() {}

  /**
   * Triangulates the area of one outline over its own points. A sliver that is no simple polygon in
   * the figures of the machine is cut from its first point: flat as it is, that closes it too.
   */
  static int[] triangles(SectionRing r, int[] own) {
    double[] flat = new double[3 * r.size()];
    for (int i = 0; i < r.size(); i++) {
      flat[3 * i] = r.offset()[i];
      flat[3 * i + 1] = r.level()[i] - r.level()[0];
    }
    try {
      int[] t = FaceTriangulator.triangles(flat, List.of(own));
      if (t.length == 3 * (own.length - 2)) {
        return t;
      }
    } catch (IllegalArgumentException e) {
      // no simple polygon
    }
    int[] fan = new int[3 * (own.length - 2)];
    for (int i = 0; i + 2 < own.length; i++) {
      fan[3 * i] = own[0];
      fan[3 * i + 1] = own[i + 1];
      fan[3 * i + 2] = own[i + 2];
    }
    return fan;
  }
}
