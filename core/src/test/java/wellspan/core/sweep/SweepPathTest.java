package wellspan.core.sweep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.terrain.TriangleIndex;

/** What is carried along a string goes from its first point to its last, wherever it lies. */
class SweepPathTest {
  private static final SweepPath.Ground GROUND =
      new SweepPath.Ground.Surface(
          new TriangleIndex(
              new Mesh(
                  new double[] {-9e6, -9e6, 5, 2e7, -9e6, 5, 0, 2e7, 5}, new int[] {0, 1, 2})));

  private static Polyline string(Random random, int points) {
    double[] xyz = new double[3 * points];
    double e = 500_000 * random.nextDouble();
    double n = 5_650_000 * random.nextDouble();
    for (int i = 0; i < points; i++) {
      xyz[3 * i] = e;
      xyz[3 * i + 1] = n;
      xyz[3 * i + 2] = 50 + random.nextDouble();
      e += 1 + 4 * random.nextDouble();
      n += 2 * random.nextDouble() - 1;
    }
    return new Polyline(xyz);
  }

  private static void isAt(SweepPath.Station s, Position p) {
    assertThat(Math.hypot(s.east() - p.east(), s.north() - p.north())).isLessThan(1e-9);
    assertThat(s.level()).isCloseTo(p.level(), within(1e-9));
  }

  @Property(tries = 200)
  void everyPointOfAStringIsThere(@ForAll long seed, @ForAll @IntRange(min = 2, max = 40) int n) {
    Polyline line = string(new Random(seed), n);
    SweepPath path = SweepPath.along(line, 0, SweepPath.planLength(line), null);
    assertThat(path.stations()).hasSize(n);
    for (int i = 0; i < n; i++) {
      isAt(path.stations().get(i), line.point(i));
    }
  }

  @Property(tries = 200)
  void onGroundBothEndsAreThere(@ForAll long seed, @ForAll @IntRange(min = 2, max = 40) int n) {
    Polyline line = string(new Random(seed), n);
    SweepPath path = SweepPath.along(line, 0, SweepPath.planLength(line), GROUND);
    SweepPath.Station last = path.stations().getLast();
    assertThat(
            Math.hypot(
                last.east() - line.point(n - 1).east(), last.north() - line.point(n - 1).north()))
        .isLessThan(1e-9);
  }

  @Property(tries = 200)
  void aMillimetreAtTheEndHasALength(
      @ForAll long seed, @ForAll @IntRange(min = 2, max = 40) int n) {
    Polyline line = string(new Random(seed), n);
    double length = SweepPath.planLength(line);
    assertThat(SweepPath.along(line, length - 1e-3, length, null).stations()).hasSize(2);
  }

  @Property(tries = 200)
  void aRingStaysARing(@ForAll long seed, @ForAll @IntRange(min = 3, max = 40) int n) {
    Random random = new Random(seed);
    double east = 500_000 * random.nextDouble();
    double north = 5_650_000 * random.nextDouble();
    double[] xyz = new double[3 * (n + 1)];
    for (int i = 0; i <= n; i++) {
      double turn = 2 * Math.PI * (i % n) / n;
      xyz[3 * i] = east + 20 * Math.cos(turn);
      xyz[3 * i + 1] = north + 20 * Math.sin(turn);
      xyz[3 * i + 2] = 7;
    }
    Polyline line = new Polyline(xyz);
    SweepPath path = SweepPath.along(line, 0, SweepPath.planLength(line), null);
    assertThat(path.ring()).isTrue();
    assertThat(path.stations()).hasSize(n);
  }
}
