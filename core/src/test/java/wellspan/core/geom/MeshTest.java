package wellspan.core.geom;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class MeshTest {
  /** A box of 2 × 3 × 4 far from the origin. */
  private static Mesh box(boolean whole) {
    double x = 412_000, y = 6_534_000, z = 50;
    double[] p = {
      x, y, z, x + 2, y, z, x + 2, y + 3, z, x, y + 3, z, x, y, z + 4, x + 2, y, z + 4, x + 2,
      y + 3, z + 4, x, y + 3, z + 4
    };
    int[] t = {
      0, 2, 1, 0, 3, 2, 4, 5, 6, 4, 6, 7, 0, 1, 5, 0, 5, 4, 1, 2, 6, 1, 6, 5, 2, 3, 7, 2, 7, 6, 3,
      0, 4, 3, 4, 7
    };
    return new Mesh(p, whole ? t : java.util.Arrays.copyOf(t, t.length - 3));
  }

  @Test
  void aBoxHasItsVolumeAndAreas() {
    assertThat(box(true).isClosed()).isTrue();
    assertThat(box(true).volume()).isCloseTo(24, within(1e-9));
    assertThat(box(true).surfaceArea()).isCloseTo(52, within(1e-9));
    assertThat(box(true).planArea()).isCloseTo(12, within(1e-9));
    assertThat(box(false).isClosed()).isFalse();
    assertThat(new Mesh(new double[0], new int[0]).isClosed()).isFalse();
  }

  @Test
  void verticesThatDoNotExistAreRefused() {
    assertThatThrownBy(() -> new Mesh(new double[9], new int[] {0, 1, 3}))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("3 is outside 0 … 2");
    assertThatThrownBy(() -> new Mesh(new double[8], new int[0]))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void unknownLevelsDoNotSpoilTheExtent() {
    Box b = Box.of(new double[] {1, 2, Double.NaN, 3, 4, 5});
    assertThat(b).isEqualTo(new Box(1, 2, 5, 3, 4, 5));
    assertThat(Box.of(new double[] {1, 2, Double.NaN}).hasLevels()).isFalse();
    assertThat(Box.EMPTY.union(b)).isEqualTo(b);
  }

  @Test
  void aFaceWithAHoleKeepsItsArea() {
    double[] p = {0, 0, 7, 10, 0, 7, 10, 10, 7, 0, 10, 7, 4, 4, 7, 4, 6, 7, 6, 6, 7, 6, 4, 7};
    int[] t =
        FaceTriangulator.triangles(p, List.of(new int[] {0, 1, 2, 3}, new int[] {4, 5, 6, 7}));
    assertThat(new Mesh(p, t).planArea()).isCloseTo(96, within(1e-12));
    for (int i = 0; i < t.length; i += 3) {
      double turn =
          (p[3 * t[i + 1]] - p[3 * t[i]]) * (p[3 * t[i + 2] + 1] - p[3 * t[i] + 1])
              - (p[3 * t[i + 1] + 1] - p[3 * t[i] + 1]) * (p[3 * t[i + 2]] - p[3 * t[i]]);
      assertThat(turn).isPositive();
    }
  }

  @Test
  void aStandingConcaveFaceIsCutToo() {
    double[] p = {0, 5, 0, 0, 15, 0, 0, 15, 10, 0, 10, 4, 0, 5, 10};
    int[] t = FaceTriangulator.triangles(p, List.of(new int[] {0, 1, 2, 3, 4}));
    assertThat(t).hasSize(9);
    assertThat(new Mesh(p, t).surfaceArea()).isCloseTo(70, within(1e-9));
  }
}
