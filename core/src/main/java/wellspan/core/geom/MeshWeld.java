package wellspan.core.geom;

import java.util.Arrays;

/**
 * Makes one mesh of loose triangles: corners with exactly the same coordinates become one vertex.
 * Vertices and triangles keep the order in which they came; nothing is dropped.
 */
public final class MeshWeld {
  private double[] xyz = new double[3 * 256];
  private int vertices;
  private int[] triangles = new int[3 * 256];
  private int corners;
  private int[] slots = new int[1024];

  public int triangleCount() {
    return corners / 3;
  }

  /** The number of a vertex; a new one if there is none at this place yet. */
  public int vertex(double x, double y, double z) {
    if (2 * vertices >= slots.length) {
      grow();
    }
    // + 0.0 makes one of the two zeros
    int slot = hash(x + 0.0, y + 0.0, z + 0.0) & (slots.length - 1);
    while (slots[slot] != 0) {
      int v = slots[slot] - 1;
      if (xyz[3 * v] == x && xyz[3 * v + 1] == y && xyz[3 * v + 2] == z) {
        return v;
      }
      slot = slot + 1 & (slots.length - 1);
    }
    if (3 * vertices == xyz.length) {
      xyz = Arrays.copyOf(xyz, 2 * xyz.length);
    }
    xyz[3 * vertices] = x;
    xyz[3 * vertices + 1] = y;
    xyz[3 * vertices + 2] = z;
    slots[slot] = ++vertices;
    return vertices - 1;
  }

  private void grow() {
    slots = new int[2 * slots.length];
    for (int v = 0; v < vertices; v++) {
      int slot =
          hash(xyz[3 * v] + 0.0, xyz[3 * v + 1] + 0.0, xyz[3 * v + 2] + 0.0) & (slots.length - 1);
      while (slots[slot] != 0) {
        slot = slot + 1 & (slots.length - 1);
      }
      slots[slot] = v + 1;
    }
  }

  private static int hash(double x, double y, double z) {
    long h = Double.doubleToLongBits(x);
    h = h * 0x9E3779B97F4A7C15L + Double.doubleToLongBits(y);
    h = h * 0x9E3779B97F4A7C15L + Double.doubleToLongBits(z);
    h *= 0x9E3779B97F4A7C15L;
    return (int) (h >>> 32);
  }

  public void triangle(int a, int b, int c) {
    if (corners == triangles.length) {
      triangles = Arrays.copyOf(triangles, 2 * triangles.length);
    }
    triangles[corners++] = a;
    triangles[corners++] = b;
    triangles[corners++] = c;
  }

  /** Adds all triangles of a mesh. */
  public void add(double[] coordinates, int[] faces) {
    int[] numbers = new int[coordinates.length / 3];
    for (int i = 0; i < numbers.length; i++) {
      numbers[i] = vertex(coordinates[3 * i], coordinates[3 * i + 1], coordinates[3 * i + 2]);
    }
    for (int i = 0; i + 2 < faces.length; i += 3) {
      triangle(numbers[faces[i]], numbers[faces[i + 1]], numbers[faces[i + 2]]);
    }
  }

  public Mesh mesh() {
    return new Mesh(Arrays.copyOf(xyz, 3 * vertices), Arrays.copyOf(triangles, corners));
  }

  /** Whether a mesh is closed once corners at one place are one. */
  public static boolean isWatertight(Mesh mesh) {
    if (mesh.isClosed()) {
      return true;
    }
    MeshWeld weld = new MeshWeld();
    weld.add(mesh.xyz(), mesh.triangles());
    return weld.mesh().isClosed();
  }
}
