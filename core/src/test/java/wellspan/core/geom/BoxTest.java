package wellspan.core.geom;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;

class BoxTest {
  @Test
  void holdsEveryPointAndNothingMore() {
    Random random = new Random(2);
    for (int k = 0; k < 100; k++) {
      double[] xyz = random.doubles(3L * (1 + random.nextInt(20)), -1e6, 1e6).toArray();
      Box b = Box.of(xyz);
      boolean[] met = new boolean[6];
      for (int i = 0; i < xyz.length; i += 3) {
        assertThat(xyz[i]).isBetween(b.minE(), b.maxE());
        assertThat(xyz[i + 1]).isBetween(b.minN(), b.maxN());
        assertThat(xyz[i + 2]).isBetween(b.minH(), b.maxH());
        met[0] |= xyz[i] == b.minE();
        met[1] |= xyz[i] == b.maxE();
        met[2] |= xyz[i + 1] == b.minN();
        met[3] |= xyz[i + 1] == b.maxN();
        met[4] |= xyz[i + 2] == b.minH();
        met[5] |= xyz[i + 2] == b.maxH();
      }
      assertThat(met).containsOnly(true);
    }
  }

  @Test
  void pointsWithoutLevelsHaveAPlace() {
    Box b = Box.of(new double[] {1, 2, Double.NaN, 5, 4, Double.NaN});
    assertThat(b.hasLevels()).isFalse();
    assertThat(b.isEmpty()).isFalse();
    assertThat(b.width()).isEqualTo(4);
    assertThat(b.depth()).isEqualTo(2);
    assertThat(b.centre().level()).isNaN();
    Box with = b.union(Box.of(new double[] {3, 3, 7}));
    assertThat(with.hasLevels()).isTrue();
    assertThat(with.minH()).isEqualTo(7);
  }

  @Test
  void nothingIsNeutral() {
    Box b = Box.of(new double[] {1, 2, 3, 4, 5, 6});
    assertThat(Box.EMPTY.isEmpty()).isTrue();
    assertThat(Box.EMPTY.union(b)).isEqualTo(b);
    assertThat(b.union(Box.EMPTY)).isEqualTo(b);
    assertThat(Box.of(new double[0]).isEmpty()).isTrue();
  }

  @Test
  void boxesThatTouchOverlapInPlanWhateverTheirLevels() {
    Box a = new Box(0, 0, 0, 1, 1, 1);
    assertThat(a.overlapsPlan(new Box(1, 0, 50, 2, 1, 60))).isTrue();
    assertThat(a.overlapsPlan(new Box(1.001, 0, 0, 2, 1, 1))).isFalse();
    assertThat(a.overlapsPlan(Box.EMPTY)).isFalse();
  }

  @Test
  void theFarthestCornerIsMeasured() {
    Box b = new Box(0, 0, 0, 3, 4, 0);
    assertThat(b.farthestPlanDistance(new Position(0, 0, 99))).isCloseTo(5, within(1e-12));
    assertThat(b.farthestPlanDistance(new Position(1.5, 2, 0))).isCloseTo(2.5, within(1e-12));
  }
}
