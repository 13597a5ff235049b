package wellspan.core.geom;

import java.util.Arrays;
import java.util.function.IntPredicate;

/**
 * Triangles over shared vertices. Arrays are immutable by convention: shared, never copied, never
 * written after construction, so that any thread may read them. 24 bytes for a vertex, 12 for a
 * triangle; areas, volume, bounds and {@link #isClosed} are worked out at each call, in time of the
 * triangles.
 *
 * @param xyz easting, northing, level of each vertex in shared coordinates, metres
 * @param triangles three zero-based vertex numbers for each triangle, counter-clockwise seen from
 *     outside or above
 */
public record Mesh(double[] xyz, int[] triangles) {

  /**
   * @throws IllegalArgumentException if the arrays are no whole triples or a vertex number does not
   *     exist
   */
  public Mesh {
    if (xyz.length % 3 != 0 || triangles.length % 3 != 0) {
      throw new IllegalArgumentException("Coordinates and triangles must come in threes.");
    }
    int n = xyz.length / 3;
    for (int v : triangles) {
      if (v < 0 || v >= n) {
        throw new IllegalArgumentException("Triangle vertex " + v + " is outside 0 … " + (n - 1));
      }
    }
  }

  public int vertexCount() {
    return xyz.length / 3;
  }

  public int triangleCount() {
    return triangles.length / 3;
  }

  public double east(int vertex) {
    return xyz[3 * vertex];
  }

  public double north(int vertex) {
    return xyz[3 * vertex + 1];
  }

  public double level(int vertex) {
    return xyz[3 * vertex + 2];
  }

  public Position vertex(int i) {
    return new Position(east(i), north(i), level(i));
  }

  public Box bounds() {
    return Box.of(xyz);
  }

  /**
   * Area of one triangle projected to the plane, square metres; negative if it is turned clockwise
   * seen from above.
   */
  public double planArea(int triangle) {
    return normal(3 * triangle)[2] / 2;
  }

  /** Area of one triangle in space, square metres. */
  public double area(int triangle) {
    double[] n = normal(3 * triangle);
    return Math.sqrt(n[0] * n[0] + n[1] * n[1] + n[2] * n[2]) / 2;
  }

  /** Sum of the triangles' areas projected to the plane, square metres. */
  public double planArea() {
    double sum = 0;
    for (int t = 0; t < triangles.length; t += 3) {
      sum += Math.abs(normal(t)[2]);
    }
    return sum / 2;
  }

  /** Sum of the triangles' areas in space, square metres. */
  public double surfaceArea() {
    double sum = 0;
    for (int t = 0; t < triangles.length; t += 3) {
      double[] n = normal(t);
      sum += Math.sqrt(n[0] * n[0] + n[1] * n[1] + n[2] * n[2]);
    }
    return sum / 2;
  }

  /** True if every edge is used once in each direction: a watertight, consistently turned mesh. */
  public boolean isClosed() {
    if (triangles.length == 0) {
      return false;
    }
    long[] there = new long[triangles.length];
    long[] back = new long[triangles.length];
    int n = 0;
    int m = 0;
    for (int t = 0; t < triangles.length; t += 3) {
      for (int k = 0; k < 3; k++) {
        long a = triangles[t + k];
        long b = triangles[t + (k + 1) % 3];
        if (a < b) {
          there[n++] = a << 32 | b;
        } else {
          back[m++] = b << 32 | a;
        }
      }
    }
    if (n != m) {
      return false;
    }
    Arrays.sort(there, 0, n);
    Arrays.sort(back, 0, n);
    for (int i = 0; i < n; i++) {
      if (there[i] != back[i] || i > 0 && there[i] == there[i - 1]) {
        return false;
      }
    }
    return true;
  }

  /** Volume by the divergence theorem, cubic metres; meaningful for closed meshes only. */
  public double volume() {
    if (xyz.length == 0) {
      return 0;
    }
    double ox = xyz[0], oy = xyz[1], oz = xyz[2], six = 0;
    for (int t = 0; t < triangles.length; t += 3) {
      int a = 3 * triangles[t];
      double[] n = normal(t);
      six += n[0] * (xyz[a] - ox) + n[1] * (xyz[a + 1] - oy) + n[2] * (xyz[a + 2] - oz);
    }
    return six / 6;
  }

  /** The triangles for which a test holds, over the same vertices. */
  public Mesh only(IntPredicate kept) {
    int[] some = new int[triangles.length];
    int n = 0;
    for (int t = 0; t < triangleCount(); t++) {
      if (kept.test(t)) {
        System.arraycopy(triangles, 3 * t, some, n, 3);
        n += 3;
      }
    }
    return new Mesh(xyz, Arrays.copyOf(some, n));
  }

  /** The same triangles without vertices that none of them uses; the order stays. */
  public Mesh compact() {
    int[] number = new int[vertexCount()];
    for (int v : triangles) {
      number[v] = 1;
    }
    int used = 0;
    double[] kept = new double[xyz.length];
    for (int v = 0; v < number.length; v++) {
      if (number[v] == 1) {
        System.arraycopy(xyz, 3 * v, kept, 3 * used, 3);
        number[v] = used++;
      }
    }
    if (used == number.length) {
      return this;
    }
    int[] renumbered = new int[triangles.length];
    for (int i = 0; i < triangles.length; i++) {
      renumbered[i] = number[triangles[i]];
    }
    return new Mesh(Arrays.copyOf(kept, 3 * used), renumbered);
  }

  private double[] normal(int t) {
    int a = 3 * triangles[t], b = 3 * triangles[t + 1], c = 3 * triangles[t + 2];
    double ux = xyz[b] - xyz[a], uy = xyz[b + 1] - xyz[a + 1], uz = xyz[b + 2] - xyz[a + 2];
    double wx = xyz[c] - xyz[a], wy = xyz[c + 1] - xyz[a + 1], wz = xyz[c + 2] - xyz[a + 2];
    return new double[] {uy * wz - uz * wy, uz * wx - ux * wz, ux * wy - uy * wx};
  }
}
