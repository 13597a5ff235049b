package wellspan.core.geom;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.triangulate.polygon.PolygonTriangulator;

/** Cuts flat polygons in space, with holes, into triangles over their own corners. */
public final class FaceTriangulator {
  private FaceTriangulator() {}

  /**
   * Triangles of one face, turned like its outer loop.
   *
   * @param xyz coordinates of all vertices, in threes
   * @param loops vertex numbers of the outer loop and then of holes
   * @return vertex numbers in threes
   * @throws IllegalArgumentException if the loops are no simple polygon
   */
  public static int[] triangles(double[] xyz, List<int[]> loops) {
    int[] outer = loops.getFirst();
    if (loops.size() == 1 && outer.length == 3) {
      return outer.clone();
    }
    double[] n = newell(xyz, outer);
    int drop =
        Math.abs(n[0]) > Math.abs(n[1])
            ? Math.abs(n[0]) > Math.abs(n[2]) ? 0 : 2
            : Math.abs(n[1]) > Math.abs(n[2]) ? 1 : 2;
    int u = (drop + 1) % 3;
    int v = (drop + 2) % 3;
    double[] zero = {xyz[3 * outer[0] + u], xyz[3 * outer[0] + v]};
    Map<Coordinate, Integer> numbers = new HashMap<>();
    GeometryFactory factory = new GeometryFactory();
    List<LinearRing> rings = new ArrayList<>();
    for (int[] loop : loops) {
      Coordinate[] c = new Coordinate[loop.length + 1];
      for (int i = 0; i < loop.length; i++) {
        c[i] = new Coordinate(xyz[3 * loop[i] + u] - zero[0], xyz[3 * loop[i] + v] - zero[1]);
        numbers.putIfAbsent(c[i], loop[i]);
      }
      c[loop.length] = c[0];
      rings.add(factory.createLinearRing(c));
    }
    Polygon polygon =
        factory.createPolygon(
            rings.getFirst(), rings.subList(1, rings.size()).toArray(new LinearRing[0]));
    Geometry cut;
    try {
      cut = PolygonTriangulator.triangulate(polygon);
    } catch (RuntimeException e) {
      throw new IllegalArgumentException(
          "a face of " + outer.length + " corners is no simple polygon", e);
    }
    // all ears are cut in the order of the ring, so their sum tells how each of them is turned,
    // also
    // one without area, whose own turn is noise
    double turned = 0;
    for (int t = 0; t < cut.getNumGeometries(); t++) {
      Coordinate[] c = cut.getGeometryN(t).getCoordinates();
      turned += (c[1].x - c[0].x) * (c[2].y - c[0].y) - (c[1].y - c[0].y) * (c[2].x - c[0].x);
    }
    boolean same = turned > 0 == n[drop] > 0;
    int[] out = new int[3 * cut.getNumGeometries()];
    for (int t = 0; t < cut.getNumGeometries(); t++) {
      Coordinate[] c = cut.getGeometryN(t).getCoordinates();
      out[3 * t] = numbers.get(c[0]);
      out[3 * t + 1] = numbers.get(c[same ? 1 : 2]);
      out[3 * t + 2] = numbers.get(c[same ? 2 : 1]);
    }
    return out;
  }

  /** Normal of a loop by Newell's sums. */
  private static double[] newell(double[] xyz, int[] loop) {
    double[] n = new double[3];
    for (int i = 0; i < loop.length; i++) {
      int a = 3 * loop[i];
      int b = 3 * loop[(i + 1) % loop.length];
      for (int k = 0; k < 3; k++) {
        int p = (k + 1) % 3;
        int q = (k + 2) % 3;
        n[k] += (xyz[a + p] - xyz[b + p]) * (xyz[a + q] + xyz[b + q] - 2 * xyz[3 * loop[0] + q]);
      }
    }
    return n;
  }
}
