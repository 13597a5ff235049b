package wellspan.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Mesh;

class DistanceToMeshTest {
  /** A right triangle in the plane, legs of 3 and 4. */
  private static final Mesh FACE =
      new Mesh(new double[] {0, 0, 0, 3, 0, 0, 0, 4, 0}, new int[] {0, 1, 2});

  private static double distance(double x, double y, double z) {
    return DistanceToMesh.ofVertices(FACE, new Mesh(new double[] {x, y, z}, new int[0]))[0];
  }

  @Test
  void isTheHeightAboveAFaceAndElseTheWayToItsEdge() {
    assertThat(distance(1, 1, 0)).isZero();
    assertThat(distance(1, 1, -2.5)).isEqualTo(2.5, within(1e-12));
    assertThat(distance(1, -2, 0)).isEqualTo(2, within(1e-12));
    assertThat(distance(-3, -4, 12)).isEqualTo(13, within(1e-12)); // 3² + 4² + 12² = 13²
    // the long edge lies on 4x + 3y = 12
    assertThat(distance(3, 4, 0)).isEqualTo(12 / 5.0, within(1e-12));
    assertThat(distance(3, 4, 0.7)).isEqualTo(Math.hypot(2.4, 0.7), within(1e-12));
  }

  @Test
  void findsTheNearestOfManyFacesWhereverItLies() {
    int n = 40;
    double[] xyz = new double[3 * n * n];
    for (int i = 0; i < n * n; i++) {
      xyz[3 * i] = 500_000 + 10.0 * (i % n);
      xyz[3 * i + 1] = 6_000_000 + 10.0 * Math.floorDiv(i, n);
      xyz[3 * i + 2] = 5 + 0.1 * (i % n); // a plane that rises by 1 % to the east
    }
    int[] t = new int[6 * (n - 1) * (n - 1)];
    int k = 0;
    for (int r = 0; r + 1 < n; r++) {
      for (int c = 0; c + 1 < n; c++) {
        int a = r * n + c;
        for (int v : new int[] {a, a + 1, a + n, a + 1, a + n + 1, a + n}) {
          t[k++] = v;
        }
      }
    }
    Mesh plane = new Mesh(xyz, t);
    Random random = new Random(7);
    for (int i = 0; i < 200; i++) {
      double e = 20 + 350 * random.nextDouble();
      double above = random.nextDouble() - 0.5;
      Mesh point =
          new Mesh(
              new double[] {
                500_000 + e, 6_000_020 + 350 * random.nextDouble(), 5 + 0.01 * e + above
              },
              new int[0]);
      assertThat(DistanceToMesh.ofVertices(plane, point)[0])
          .isEqualTo(Math.abs(above) / Math.hypot(1, 0.01), within(1e-8));
    }
  }

  @Test
  void whereNothingWasSentThereIsNoDistance() {
    assertThat(DistanceToMesh.ofVertices(new Mesh(new double[0], new int[0]), FACE))
        .containsOnly(Double.POSITIVE_INFINITY)
        .hasSize(3);
  }
}
