package wellspan.core.terrain;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class PointIndexTest {
  @Property(tries = 25)
  void theNearestAreThoseOfASlowSearch(@ForAll long seed) {
    double[] xyz = Grounds.scatter(300, 100, seed, (x, y) -> 0);
    PointIndex index = new PointIndex(xyz);
    Random r = new Random(seed);
    for (int q = 0; q < 20; q++) {
      double e = Grounds.E - 20 + r.nextDouble() * 140, n = Grounds.N - 20 + r.nextDouble() * 140;
      List<Integer> slow =
          IntStream.range(0, 304)
              .filter(i -> i % 2 == 0)
              .boxed()
              .sorted(
                  Comparator.comparingDouble(i -> Math.hypot(xyz[3 * i] - e, xyz[3 * i + 1] - n)))
              .limit(5)
              .toList();
      int[] fast = index.nearest(e, n, 5, i -> i % 2 == 0);
      assertThat(IntStream.of(fast).boxed()).containsExactlyElementsOf(slow);
    }
  }

  /** Places in a gap, beside all points and among points that no longer count. */
  @Property(tries = 25)
  void theNearestAreFoundAcrossAWideGap(@ForAll long seed) {
    double[] xyz = Grounds.scatter(3000, 100, seed, (x, y) -> 0);
    Random r = new Random(seed);
    double middle = 30 + 40 * r.nextDouble(), gap = 10 + 30 * r.nextDouble();
    int[] around =
        IntStream.range(0, xyz.length / 3)
            .filter(
                i ->
                    Math.hypot(xyz[3 * i] - Grounds.E - middle, xyz[3 * i + 1] - Grounds.N - middle)
                        > gap)
            .toArray();
    PointIndex index = new PointIndex(xyz, around);
    for (int q = 0; q < 20; q++) {
      double e = Grounds.E - 20 + r.nextDouble() * 140, n = Grounds.N - 20 + r.nextDouble() * 140;
      List<Integer> slow =
          IntStream.of(around)
              .boxed()
              .sorted(
                  Comparator.comparingDouble(i -> Math.hypot(xyz[3 * i] - e, xyz[3 * i + 1] - n)))
              .limit(8)
              .toList();
      assertThat(IntStream.of(index.nearest(e, n, 8, i -> true)).boxed())
          .containsExactlyElementsOf(slow);
    }
  }

  @Property(tries = 25)
  void aWindowHoldsExactlyItsPoints(@ForAll long seed) {
    double[] xyz = Grounds.scatter(300, 100, seed, (x, y) -> 0);
    PointIndex index = new PointIndex(xyz);
    double e0 = Grounds.E + 20, e1 = Grounds.E + 55, n0 = Grounds.N + 30, n1 = Grounds.N + 31;
    Set<Integer> found = new TreeSet<>();
    index.forEachIn(e0, n0, e1, n1, found::add);
    Set<Integer> slow = new TreeSet<>();
    for (int i = 0; i < xyz.length / 3; i++) {
      if (xyz[3 * i] >= e0 && xyz[3 * i] <= e1 && xyz[3 * i + 1] >= n0 && xyz[3 * i + 1] <= n1) {
        slow.add(i);
      }
    }
    assertThat(found).isEqualTo(slow);
  }

  @Test
  void noPointsAndPointsAtOnePlace() {
    PointIndex none = new PointIndex(new double[0]);
    none.forEachIn(0, 0, 1, 1, i -> assertThat(i).isNegative());
    PointIndex same = new PointIndex(new double[] {1, 1, 0, 1, 1, 5, 1, 1, 9});
    assertThat(same.nearest(1, 1, 5, i -> true)).containsExactlyInAnyOrder(0, 1, 2);
  }
}
