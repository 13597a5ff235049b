package wellspan.core.flaw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.geom.Mesh;
import wellspan.core.progress.Progress;
import wellspan.core.terrain.Grounds;

class FlawsTest {
  private static double hills(double x, double y) {
    return 25 + 8 * Math.sin(x / 40) + 5 * Math.cos(y / 25) + 0.05 * x;
  }

  private static double[] survey(int count) {
    return Grounds.scatter(count, 300, 7, FlawsTest::hills);
  }

  @Test
  void cleanGroundHasNoFlaws() {
    double[] xyz = survey(4000);
    assertThat(FalseLevels.find(xyz, Progress.NONE).points()).isEmpty();
    assertThat(Spikes.find(xyz, new boolean[4004], Double.NaN, Progress.NONE).points()).isEmpty();
  }

  @Test
  void aValueThatComesAgainFarFromItsSurroundingsIsNoLevel() {
    double[] xyz = survey(3000);
    int[] planted = {10, 400, 401, 1200, 2999};
    for (int i : planted) {
      xyz[3 * i + 2] = 123.456; // on no list
    }
    xyz[3 * 77 + 2] = -9999; // once, but programs write it
    FalseLevels f = FalseLevels.find(xyz, Progress.NONE);
    assertThat(f.points()).containsExactly(10, 77, 400, 401, 1200, 2999);
    assertThat(f.values()).containsEntry(123.456, 5).containsEntry(-9999.0, 1);
  }

  @Test
  void zeroIsALevelAtTheShore() {
    double[] xyz = Grounds.scatter(3000, 300, 8, (x, y) -> Math.rint((x - 150) * 20) / 1000);
    assertThat(FalseLevels.find(xyz, Progress.NONE).points()).isEmpty();
  }

  @Test
  void falseLevelsSideBySideAreAllFound() {
    double[] xyz = survey(3000);
    int[] near = nearest(xyz, 500, 12);
    for (int i : near) {
      xyz[3 * i + 2] = 0;
    }
    Arrays.sort(near);
    assertThat(FalseLevels.find(xyz, Progress.NONE).points())
        .containsExactlyElementsOf(Arrays.stream(near).boxed().toList());
  }

  /** Earthworks: a level platform with side slopes of 1 : 1.5 down to the ground or up to it. */
  @ParameterizedTest
  @ValueSource(doubles = {-9, 0, 9})
  void aPlatformWithSideSlopesIsNoStandIn(double level) {
    double[] xyz =
        Grounds.scatter(
            6000,
            300,
            7,
            (x, y) -> {
              double out =
                  Math.hypot(
                      Math.max(0, Math.abs(x - 150) - 40), Math.max(0, Math.abs(y - 150) - 30));
              double ground = hills(x, y) - hills(150, 150);
              return Math.clamp(ground, level - out / 1.5, level + out / 1.5);
            });
    assertThat(FalseLevels.find(xyz, Progress.NONE).points()).isEmpty();
    xyz[3 * 4321 + 2] = level - 40; // and a real one beside it, twice
    xyz[3 * 1234 + 2] = level - 40;
    assertThat(FalseLevels.find(xyz, Progress.NONE).points()).containsExactly(1234, 4321);
  }

  private static int[] nearest(double[] xyz, int to, int count) {
    return java.util.stream.IntStream.range(0, xyz.length / 3)
        .boxed()
        .sorted(
            java.util.Comparator.comparingDouble(
                i -> Math.hypot(xyz[3 * i] - xyz[3 * to], xyz[3 * i + 1] - xyz[3 * to + 1])))
        .limit(count)
        .mapToInt(Integer::intValue)
        .toArray();
  }

  @Test
  void spikesAreFoundWithTheirHeight() {
    double[] xyz = survey(3000);
    xyz[3 * 100 + 2] += 4;
    xyz[3 * 900 + 2] -= 3;
    Spikes s = Spikes.find(xyz, new boolean[3004], Double.NaN, Progress.NONE);
    assertThat(s.points()).containsExactly(100, 900);
    assertThat(s.heights().get(0)).isCloseTo(4, within(0.4));
    assertThat(s.heights().get(1)).isCloseTo(-3, within(0.4));
  }

  @Test
  void twoSpikesSideBySideDoNotHideEachOther() {
    double[] xyz = survey(3000);
    int[] pair = nearest(xyz, 1500, 2);
    xyz[3 * pair[0] + 2] += 9;
    xyz[3 * pair[1] + 2] += 14;
    Arrays.sort(pair);
    assertThat(Spikes.find(xyz, new boolean[3004], Double.NaN, Progress.NONE).points())
        .containsExactly(pair[0], pair[1]);
  }

  @Test
  void aWallIsNoSpike() {
    double[] xyz = Grounds.scatter(4000, 200, 9, (x, y) -> x < 100 ? 2 : 6.5);
    assertThat(Spikes.find(xyz, new boolean[4004], Double.NaN, Progress.NONE).points()).isEmpty();
  }

  /** In this one a point lies alone at the rim, where the hill bends away from its neighbours. */
  @Test
  void aPointThatLiesAloneOnBendingGroundIsNoSpike() {
    roughGroundGivesNoFalseAlarm(9089);
  }

  @Property(tries = 20)
  void roughGroundGivesNoFalseAlarm(@ForAll long seed) {
    Random r = new Random(seed);
    double[] xyz =
        Grounds.scatter(1500, 300, seed, (x, y) -> hills(x, y) + 0.08 * r.nextGaussian());
    // at the rim a few neighbours may lie in a plane by chance, as they do once in a thousand
    // surveys
    assertThat(Spikes.find(xyz, new boolean[1504], Double.NaN, Progress.NONE).points())
        .hasSizeLessThan(2);
    assertThat(FalseLevels.find(xyz, Progress.NONE).points()).isEmpty();
  }

  private static Mesh with(Mesh m, double[] more, int... triangles) {
    double[] xyz = Arrays.copyOf(m.xyz(), m.xyz().length + more.length);
    System.arraycopy(more, 0, xyz, m.xyz().length, more.length);
    int[] t = Arrays.copyOf(m.triangles(), m.triangles().length + triangles.length);
    System.arraycopy(triangles, 0, t, m.triangles().length, triangles.length);
    return new Mesh(xyz, t);
  }

  @Test
  void aSoundSurfaceIsClean() {
    SurfaceFlaws f = SurfaceFlaws.of(Grounds.grid(10, 8, 5, (x, y) -> x), 0.01, Progress.NONE);
    assertThat(f.isClean()).isTrue();
  }

  @Test
  void everyKindOfFlawIsFoundWhereItIs() {
    Mesh grid = Grounds.grid(4, 4, 10, (x, y) -> 0);
    int n = grid.triangleCount();
    Mesh repeated =
        with(grid, new double[0], grid.triangles()[0], grid.triangles()[1], grid.triangles()[2]);
    assertThat(SurfaceFlaws.of(repeated, 0.01, Progress.NONE).repeated()).containsExactly(n);
    Mesh over =
        with(
            grid,
            new double[] {
              Grounds.E + 3,
              Grounds.N + 3,
              1,
              Grounds.E + 17,
              Grounds.N + 4,
              1,
              Grounds.E + 9,
              Grounds.N + 18,
              1
            },
            25,
            26,
            27);
    SurfaceFlaws o = SurfaceFlaws.of(over, 0.01, Progress.NONE);
    assertThat(o.overlapping()).contains(n);
    assertThat(o.islands()).hasSize(1);
    Mesh sliver =
        with(
            grid,
            new double[] {
              Grounds.E + 60,
              Grounds.N,
              0,
              Grounds.E + 60,
              Grounds.N + 9,
              0,
              Grounds.E + 60.001,
              Grounds.N + 5,
              0
            },
            25,
            26,
            27);
    assertThat(SurfaceFlaws.of(sliver, 0.01, Progress.NONE).slivers()).containsExactly(n);
    int[] turned = grid.triangles().clone();
    turned[30] = grid.triangles()[31];
    turned[31] = grid.triangles()[30];
    assertThat(SurfaceFlaws.of(new Mesh(grid.xyz(), turned), 0.01, Progress.NONE).inverted())
        .containsExactly(10);
    Mesh holed = grid.only(t -> t != 12 && t != 13);
    SurfaceFlaws h = SurfaceFlaws.of(holed, 0.01, Progress.NONE);
    assertThat(h.holes()).hasSize(1);
    assertThat(h.holes().getFirst().outline()).hasSize(4);
    Mesh fin = with(grid, new double[] {Grounds.E + 15, Grounds.N + 10, 5}, 6, 7, 25);
    assertThat(SurfaceFlaws.of(fin, 0.01, Progress.NONE).irregularEdges()).hasSize(1);
  }
}
