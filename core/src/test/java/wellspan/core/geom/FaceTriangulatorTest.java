package wellspan.core.geom;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class FaceTriangulatorTest {
  /** Area vector of triangles: its length is the area of a flat face. */
  private static double[] areaVector(double[] xyz, int[] t) {
    double[] sum = new double[3];
    for (int i = 0; i < t.length; i += 3) {
      int a = 3 * t[i], b = 3 * t[i + 1], c = 3 * t[i + 2];
      double[] u = {xyz[b] - xyz[a], xyz[b + 1] - xyz[a + 1], xyz[b + 2] - xyz[a + 2]};
      double[] v = {xyz[c] - xyz[a], xyz[c + 1] - xyz[a + 1], xyz[c + 2] - xyz[a + 2]};
      sum[0] += (u[1] * v[2] - u[2] * v[1]) / 2;
      sum[1] += (u[2] * v[0] - u[0] * v[2]) / 2;
      sum[2] += (u[0] * v[1] - u[1] * v[0]) / 2;
    }
    return sum;
  }

  /** Points of a plane through a far place: along two directions square to each other. */
  private static double[] onPlane(double[] uv, double[] u, double[] v) {
    double[] out = new double[uv.length / 2 * 3];
    for (int i = 0; i < uv.length / 2; i++) {
      for (int k = 0; k < 3; k++) {
        double far = new double[] {412_000, 6_534_500, 20}[k];
        out[3 * i + k] = far + uv[2 * i] * u[k] + uv[2 * i + 1] * v[k];
      }
    }
    return out;
  }

  private static int[] loop(int from, int n) {
    int[] out = new int[n];
    Arrays.setAll(out, i -> from + i);
    return out;
  }

  /** Stars with ragged edges, on planes of any direction, either way round. */
  @Test
  void anyStarOnAnyPlaneKeepsItsAreaAndItsTurn() {
    Random random = new Random(3);
    for (int k = 0; k < 300; k++) {
      int n = 4 + random.nextInt(20);
      boolean left = random.nextBoolean();
      double[] uv = new double[2 * n];
      for (int i = 0; i < n; i++) {
        double a = 2 * Math.PI * (left ? i : -i) / n;
        double r = 1 + 4 * random.nextDouble();
        uv[2 * i] = r * Math.cos(a);
        uv[2 * i + 1] = r * Math.sin(a);
      }
      double area = 0;
      for (int i = 0; i < n; i++) {
        int j = (i + 1) % n;
        area += (uv[2 * i] * uv[2 * j + 1] - uv[2 * j] * uv[2 * i + 1]) / 2;
      }
      double az = random.nextDouble() * 7, el = random.nextDouble() * 3;
      double[] u = {-Math.sin(az), Math.cos(az), 0};
      double[] v = {-Math.cos(az) * Math.sin(el), -Math.sin(az) * Math.sin(el), Math.cos(el)};
      double[] normal = {
        u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]
      };
      double[] xyz = onPlane(uv, u, v);
      int[] t = FaceTriangulator.triangles(xyz, List.of(loop(0, n)));
      assertThat(t).hasSize(3 * (n - 2));
      double[] found = areaVector(xyz, t);
      for (int d = 0; d < 3; d++) {
        assertThat(found[d]).isCloseTo(area * normal[d], within(1e-6));
      }
    }
  }

  @Test
  void holesStayOpen() {
    double[] uv = {0, 0, 10, 0, 10, 10, 0, 10, 2, 2, 2, 4, 4, 4, 4, 2, 6, 6, 6, 8, 8, 8, 8, 6};
    double[] xyz = onPlane(uv, new double[] {1, 0, 0}, new double[] {0, 1, 0});
    int[] t = FaceTriangulator.triangles(xyz, List.of(loop(0, 4), loop(4, 4), loop(8, 4)));
    assertThat(areaVector(xyz, t)[2]).isCloseTo(100 - 8, within(1e-9));
    assertThat(Arrays.stream(t).distinct().count()).as("corners of holes too").isEqualTo(12);
  }

  @Test
  void aFaceThatIsNoPolygonIsRefused() {
    double[] uv = {0, 0, 10, 10, 10, 0, 0, 10};
    double[] xyz = onPlane(uv, new double[] {1, 0, 0}, new double[] {0, 1, 0});
    assertThatThrownBy(() -> FaceTriangulator.triangles(xyz, List.of(loop(0, 4))))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void aTriangleIsItself() {
    double[] xyz = {0, 0, 0, 1, 0, 0, 0, 1, 0};
    assertThat(FaceTriangulator.triangles(xyz, List.of(new int[] {2, 0, 1})))
        .containsExactly(2, 0, 1);
  }
}
