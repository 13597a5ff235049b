package wellspan.core.triangulate;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

class HilbertOrderTest {
  @Test
  void cellsThatFollowEachOtherOnTheCurveAreNeighbours() {
    int side = 64; // the curve through the first quarter of a quarter … is whole in itself
    int[][] at = new int[side * side][];
    for (int x = 0; x < side; x++) {
      for (int y = 0; y < side; y++) {
        int d = HilbertOrder.along(x, y);
        assertThat(d).isBetween(0, side * side - 1);
        assertThat(at[d]).as("each cell has a place of its own").isNull();
        at[d] = new int[] {x, y};
      }
    }
    for (int d = 1; d < at.length; d++) {
      assertThat(Math.abs(at[d][0] - at[d - 1][0]) + Math.abs(at[d][1] - at[d - 1][1]))
          .isEqualTo(1);
    }
  }

  @Test
  void everyPointStandsInItOnceAndTheWayThroughThemIsShort() {
    int n = 20_000;
    double[] xyz = new double[3 * n];
    SplittableRandom random = new SplittableRandom(5);
    for (int i = 0; i < n; i++) {
      xyz[3 * i] = 412_000 + random.nextDouble(1000);
      xyz[3 * i + 1] = 6_534_000 + random.nextDouble(1000);
    }
    int[] order = HilbertOrder.of(xyz);
    assertThat(Arrays.stream(order).distinct().count()).isEqualTo(n);
    double way = 0;
    for (int i = 1; i < n; i++) {
      int a = 3 * order[i], b = 3 * order[i - 1];
      way += Math.hypot(xyz[a] - xyz[b], xyz[a + 1] - xyz[b + 1]);
    }
    // a step is about the spacing, 7 m; in the order they came it would be 520 m
    assertThat(way / n).isLessThan(8);
  }

  @Test
  void pointsAtOnePlaceOrOnALineKeepTheirOrder() {
    assertThat(HilbertOrder.of(new double[0])).isEmpty();
    assertThat(HilbertOrder.of(new double[] {7, 7, 1, 7, 7, 2, 7, 7, 3})).containsExactly(0, 1, 2);
    assertThat(HilbertOrder.of(new double[] {0, 5, 0, 2, 5, 0, 1, 5, 0})).containsExactly(0, 2, 1);
  }
}
