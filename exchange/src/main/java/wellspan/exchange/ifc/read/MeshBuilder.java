package wellspan.exchange.ifc.read;

import java.util.Arrays;

/** Collects vertices and triangles in arrays. */
final class MeshBuilder {
  private double[] xyz = new double[24];
  private int points;
  private int[] triangles = new int[36];
  private int corners;

  /** Colours of single triangles; null as long as the first ones all have the same. */
  private int[] paint;

  private int painted;
  private int first;

  int vertex(double x, double y, double z) {
    if (3 * points + 3 > xyz.length) {
      xyz = Arrays.copyOf(xyz, 2 * xyz.length);
    }
    xyz[3 * points] = x;
    xyz[3 * points + 1] = y;
    xyz[3 * points + 2] = z;
    return points++;
  }

  /** Adds many vertices; the number of the first. */
  int vertices(double[] more) {
    int first = points;
    if (points == 0) {
      xyz = more.clone();
    } else {
      int needed = 3 * points + more.length;
      if (needed > xyz.length) {
        xyz = Arrays.copyOf(xyz, Math.max(needed, 2 * xyz.length));
      }
      System.arraycopy(more, 0, xyz, 3 * points, more.length);
    }
    points += more.length / 3;
    return first;
  }

  /** Adds another mesh. */
  void mesh(wellspan.core.geom.Mesh more) {
    int first = vertices(more.xyz());
    int[] t = more.triangles();
    reserveTriangles(t.length / 3);
    for (int i = 0; i < t.length; i += 3) {
      triangle(first + t[i], first + t[i + 1], first + t[i + 2]);
    }
  }

  void reserveTriangles(int more) {
    if (corners + 3 * more > triangles.length) {
      triangles = Arrays.copyOf(triangles, corners + 3 * more);
    }
  }

  void triangle(int a, int b, int c) {
    if (corners + 3 > triangles.length) {
      triangles = Arrays.copyOf(triangles, 2 * triangles.length);
    }
    triangles[corners] = a;
    triangles[corners + 1] = b;
    triangles[corners + 2] = c;
    corners += 3;
  }

  /** Colours the triangles from one on that have no colour yet. */
  void paintFrom(int triangle, int rgb) {
    int all = corners / 3;
    if (paint == null && triangle <= painted && (painted == 0 || rgb == first)) {
      first = rgb;
      painted = all;
      return;
    }
    if (paint == null && painted == all) {
      return; // all of them have one
    }
    if (paint == null || paint.length < all) {
      int before = paint == null ? 0 : paint.length;
      paint = paint == null ? new int[all] : Arrays.copyOf(paint, Math.max(all, 2 * before));
      Arrays.fill(paint, before, paint.length, -1);
      Arrays.fill(paint, 0, before == 0 ? painted : 0, first);
    }
    for (int t = triangle; t < all; t++) {
      paint[t] = paint[t] < 0 ? rgb : paint[t];
    }
  }

  /** Colour of each triangle, 0xRRGGBB, −1 for none; nothing where all of them have the same. */
  int[] takeColours() {
    int all = corners / 3;
    if (paint == null && (painted == 0 || painted == all)) {
      return new int[0];
    }
    int[] out = new int[all];
    for (int t = 0; t < all; t++) {
      out[t] = paint == null ? t < painted ? first : -1 : t < paint.length ? paint[t] : -1;
    }
    return out;
  }

  /** Turns over the triangles from one on. */
  void turnFrom(int triangle) {
    for (int i = 3 * triangle; i < corners; i += 3) {
      int b = triangles[i + 1];
      triangles[i + 1] = triangles[i + 2];
      triangles[i + 2] = b;
    }
  }

  int pointCount() {
    return points;
  }

  int triangleCount() {
    return corners / 3;
  }

  /** The vertices so far; the array may be longer than they are. */
  double[] coordinates() {
    return xyz;
  }

  double[] takeXyz() {
    return xyz.length == 3 * points ? xyz : Arrays.copyOf(xyz, 3 * points);
  }

  int[] takeTriangles() {
    return triangles.length == corners ? triangles : Arrays.copyOf(triangles, corners);
  }
}
