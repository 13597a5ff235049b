package wellspan.core.overlay;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Mesh;
import wellspan.core.progress.Progress;
import wellspan.core.terrain.Grounds;
import wellspan.core.triangulate.Triangulator;

class OverlayTest {
  private static Mesh scattered(int count, long seed, java.util.function.DoubleBinaryOperator f) {
    return Triangulator.delaunay(Grounds.scatter(count, 100, seed, f), Progress.NONE);
  }

  @Test
  void theVolumeBetweenPlanesIsThatOfThePrism() {
    Mesh existing = scattered(800, 1, (x, y) -> 10 + 0.05 * x);
    Mesh proposed = scattered(600, 2, (x, y) -> 13 + 0.05 * x);
    Volumes v = Volumes.between(existing, proposed, Progress.NONE);
    assertThat(v.area()).isCloseTo(10_000, within(1e-5));
    assertThat(v.fill()).isCloseTo(30_000, within(3e-5));
    assertThat(v.cut()).isZero();
    assertThat(v.cutArea()).isZero();
    assertThat(v.fillArea()).isCloseTo(10_000, within(1e-5));
  }

  @Test
  void planesThatCrossAreSplitExactlyAtTheirLine() {
    // proposed − existing = 0.1 (x − 40): cut wedge 40 m long, fill wedge 60 m long, 100 m wide
    Mesh existing = scattered(500, 3, (x, y) -> 20 + 0.02 * y);
    Mesh proposed = scattered(700, 4, (x, y) -> 20 + 0.02 * y + 0.1 * (x - 40));
    Volumes v = Volumes.between(existing, proposed, Progress.NONE);
    assertThat(v.cut()).isCloseTo(0.1 * 40 * 40 / 2 * 100, within(1e-5));
    assertThat(v.fill()).isCloseTo(0.1 * 60 * 60 / 2 * 100, within(1e-5));
    assertThat(v.cutArea()).isCloseTo(4000, within(1e-4));
    assertThat(v.fillArea()).isCloseTo(6000, within(1e-4));
  }

  @Test
  void aConeHasTheVolumeOfThePyramidItsTrianglesMake() {
    int sides = 720;
    double r = 30, h = 12;
    double[] xyz = new double[3 * (sides + 1)];
    int[] tri = new int[3 * sides];
    xyz[sides * 3] = Grounds.E + 50;
    xyz[sides * 3 + 1] = Grounds.N + 50;
    xyz[sides * 3 + 2] = 5 + h;
    for (int i = 0; i < sides; i++) {
      xyz[3 * i] = Grounds.E + 50 + r * Math.cos(2 * Math.PI * i / sides);
      xyz[3 * i + 1] = Grounds.N + 50 + r * Math.sin(2 * Math.PI * i / sides);
      xyz[3 * i + 2] = 5;
      tri[3 * i] = sides;
      tri[3 * i + 1] = i;
      tri[3 * i + 2] = (i + 1) % sides;
    }
    double base = sides * r * r * Math.sin(2 * Math.PI / sides) / 2;
    Mesh flat = scattered(900, 5, (x, y) -> 5);
    Volumes v = Volumes.between(flat, new Mesh(xyz, tri), Progress.NONE);
    assertThat(v.fill() / (base * h / 3)).isCloseTo(1, within(1e-9));
    assertThat(v.fillArea() / base).isCloseTo(1, within(1e-9));
  }

  @Test
  void aParaboloidsVolumeIsTheSumOfItsPrisms() {
    Mesh bowl =
        scattered(2000, 6, (x, y) -> 3 + 0.002 * ((x - 50) * (x - 50) + (y - 50) * (y - 50)));
    double prisms = 0;
    for (int t = 0; t < bowl.triangleCount(); t++) {
      int[] v = bowl.triangles();
      prisms +=
          bowl.planArea(t)
              * (bowl.level(v[3 * t]) + bowl.level(v[3 * t + 1]) + bowl.level(v[3 * t + 2]))
              / 3;
    }
    Volumes v = Volumes.between(scattered(777, 7, (x, y) -> 0), bowl, Progress.NONE);
    assertThat(v.fill() / prisms).isCloseTo(1, within(1e-9));
  }

  @Test
  void swellAndCompactionChangeWhatIsCarried() {
    Volumes v = new Volumes(100, 60, 50, 40, 90);
    Volumes.Factors f = new Volumes.Factors(1.25, 1.1);
    assertThat(v.loose(f)).isEqualTo(125);
    assertThat(v.surplus(f)).isCloseTo(34, within(1e-12));
    assertThatThrownBy(() -> new Volumes.Factors(0, 1)).hasMessageContaining("greater than zero");
  }

  @Test
  void theSameSurfaceDoesNotDifferFromItself() {
    Mesh m = scattered(500, 8, (x, y) -> 20 + 3 * Math.sin(x / 9) * Math.cos(y / 7));
    LevelDifference d = LevelDifference.between(m, m, Progress.NONE);
    assertThat(d.sameShare()).isEqualTo(100);
    assertThat(d.largest()).isLessThan(1e-9);
    assertThat(d.areaFirstOnly()).isLessThan(1e-4);
  }

  @Test
  void anotherDiagonalIsSeenInLevelAndPlace() {
    // one square, saddle levels 0 1 0 1: the diagonals differ by 1 m in the middle
    double[] xyz = {0, 0, 0, 10, 0, 1, 10, 10, 0, 0, 10, 1};
    Mesh one = new Mesh(xyz, new int[] {0, 1, 2, 0, 2, 3});
    Mesh other = new Mesh(xyz, new int[] {0, 1, 3, 1, 2, 3});
    LevelDifference d = LevelDifference.between(one, other, Progress.NONE);
    assertThat(d.trianglesSame()).isZero();
    assertThat(d.highest()).isCloseTo(1, within(1e-12));
    assertThat(d.lowest()).isZero();
    assertThat(d.highestAt().orElseThrow().east()).isCloseTo(5, within(1e-9));
    // a pyramid of 1 m over the square
    assertThat(d.mean()).isCloseTo(1.0 / 3, within(1e-12));
    assertThat(d.rms()).isCloseTo(Math.sqrt(1.0 / 6), within(1e-12));
    assertThat(d.areas().stream().mapToDouble(Double::doubleValue).sum())
        .isCloseTo(100, within(1e-9));
    // pyramid: the part where it is higher than h has the area (1 − h)² of the whole
    assertThat(d.areas().get(9)).isCloseTo(100 * 0.7 * 0.7, within(1e-9));
    assertThat(d.areas().get(5)).isCloseTo(100 * (1 - 0.99 * 0.99), within(1e-9));
  }

  @Test
  void meanRmsAndBandsOfARaisedSurface() {
    Mesh a = scattered(300, 9, (x, y) -> 5 + x / 10);
    Mesh b = scattered(400, 10, (x, y) -> 5.25 + x / 10);
    LevelDifference d = LevelDifference.between(a, b, Progress.NONE);
    assertThat(d.mean()).isCloseTo(0.25, within(1e-9));
    assertThat(d.rms()).isCloseTo(0.25, within(1e-9));
    assertThat(d.areas().get(8)).isCloseTo(10_000, within(1e-4));
  }

  @Test
  void surfacesBesideEachOtherShareNothing() {
    Mesh a = Grounds.grid(2, 2, 5, (x, y) -> 0);
    Mesh b = new Mesh(new double[] {0, 0, 0, 1, 0, 0, 0, 1, 0}, new int[] {0, 1, 2});
    LevelDifference d = LevelDifference.between(a, b, Progress.NONE);
    assertThat(d.area()).isZero();
    assertThat(d.largest()).isZero();
    assertThat(d.areaFirstOnly()).isCloseTo(100, within(1e-6));
  }

  @Test
  void clockwiseTrianglesCountAsMuch() {
    Mesh a = Grounds.grid(4, 4, 5, (x, y) -> 1);
    int[] turned = a.triangles().clone();
    for (int t = 0; t < turned.length; t += 3) {
      int k = turned[t + 1];
      turned[t + 1] = turned[t + 2];
      turned[t + 2] = k;
    }
    Mesh b = new Mesh(Grounds.grid(4, 4, 5, (x, y) -> 2).xyz(), turned);
    assertThat(Volumes.between(a, b, Progress.NONE).fill()).isCloseTo(400, within(1e-6));
  }

  @Test
  void theEarthAsBodiesIsClosedAndHasTheSameVolume() {
    Mesh existing = scattered(300, 11, (x, y) -> 20 + 2 * Math.sin(x / 12) + Math.cos(y / 9));
    Mesh proposed = scattered(250, 12, (x, y) -> 20 + 0.01 * x);
    Volumes v = Volumes.between(existing, proposed, Progress.NONE);
    EarthBodies bodies = EarthBodies.between(existing, proposed, Progress.NONE);
    assertThat(bodies.cut().volume()).isCloseTo(v.cut(), within(1e-4 * v.cut()));
    assertThat(bodies.fill().volume()).isCloseTo(v.fill(), within(1e-4 * v.fill()));
    assertThat(openEdges(bodies.cut())).isZero();
    assertThat(openEdges(bodies.fill())).isZero();
  }

  /** Edges that do not have as many faces in one direction as in the other. */
  private static long openEdges(Mesh m) {
    java.util.Map<Long, Integer> balance = new java.util.HashMap<>();
    int[] t = m.triangles();
    for (int i = 0; i < t.length; i++) {
      long a = t[i], b = t[i % 3 == 2 ? i - 2 : i + 1];
      balance.merge(Math.min(a, b) << 32 | Math.max(a, b), a < b ? 1 : -1, Integer::sum);
    }
    return balance.values().stream().filter(n -> n != 0).count();
  }

  @Test
  void cancellingStopsTheWork() {
    Mesh m = Grounds.grid(10, 10, 1, (x, y) -> 0);
    Progress cancelled =
        new Progress() {
          @Override
          public void report(double fraction, String sentence) {}

          @Override
          public boolean isCancelled() {
            return true;
          }
        };
    assertThatThrownBy(() -> Volumes.between(m, m, cancelled))
        .isInstanceOf(CancellationException.class);
  }
}
