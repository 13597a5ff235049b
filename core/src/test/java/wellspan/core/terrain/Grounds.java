package wellspan.core.terrain;

import java.util.Random;
import java.util.function.DoubleBinaryOperator;
import wellspan.core.geom.Mesh;

/** Surfaces for tests, far from zero as real ones are. */
public final class Grounds {
  public static final double E = 412_000;
  public static final double N = 6_534_000;

  private Grounds() {}

  /**
   * A grid of squares, two triangles each; the level is a function of the place within the grid.
   */
  public static Mesh grid(int columns, int rows, double step, DoubleBinaryOperator level) {
    double[] xyz = new double[3 * (columns + 1) * (rows + 1)];
    int k = 0;
    for (int j = 0; j <= rows; j++) {
      for (int i = 0; i <= columns; i++) {
        xyz[k++] = E + i * step;
        xyz[k++] = N + j * step;
        xyz[k++] = level.applyAsDouble(i * step, j * step);
      }
    }
    int[] tri = new int[6 * columns * rows];
    k = 0;
    for (int j = 0; j < rows; j++) {
      for (int i = 0; i < columns; i++) {
        int a = j * (columns + 1) + i;
        int c = a + columns + 1;
        for (int v : new int[] {a, a + 1, c + 1, a, c + 1, c}) {
          tri[k++] = v;
        }
      }
    }
    return new Mesh(xyz, tri);
  }

  /** Scattered points of a square, its corners among them. */
  public static double[] scatter(int count, double size, long seed, DoubleBinaryOperator level) {
    Random random = new Random(seed);
    double[] xyz = new double[3 * (count + 4)];
    for (int i = 0; i < count + 4; i++) {
      double x = i < 4 ? i % 2 * size : random.nextDouble() * size;
      double y = i < 4 ? (i > 1 ? size : 0) : random.nextDouble() * size;
      xyz[3 * i] = E + x;
      xyz[3 * i + 1] = N + y;
      xyz[3 * i + 2] = level.applyAsDouble(x, y);
    }
    return xyz;
  }

  /** Every inner edge of a surface has a triangle on both sides; the number of outlines. */
  public static int outlines(Mesh mesh) {
    return new wellspan.core.geom.MeshEdges(mesh).outlines().size();
  }
}
