package wellspan.core.terrain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.DoubleBinaryOperator;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;

class TerrainTest {
  static Mesh net(int n, double spacing, DoubleBinaryOperator level) {
    double[] xyz = new double[3 * n * n];
    int[] tri = new int[6 * (n - 1) * (n - 1)];
    int t = 0;
    for (int j = 0; j < n; j++) {
      for (int i = 0; i < n; i++) {
        int k = 3 * (j * n + i);
        xyz[k] = 412_000 + i * spacing;
        xyz[k + 1] = 6_534_000 + j * spacing;
        xyz[k + 2] = level.applyAsDouble(i * spacing, j * spacing);
        if (i + 1 < n && j + 1 < n) {
          int a = j * n + i;
          for (int v : new int[] {a, a + 1, a + n + 1, a, a + n + 1, a + n}) {
            tri[t++] = v;
          }
        }
      }
    }
    return new Mesh(xyz, tri);
  }

  private static final Mesh PLANE = net(21, 5, (x, y) -> 10 + 0.1 * x - 0.05 * y);

  @Property
  void levelsOnAPlaneAreExact(
      @ForAll @DoubleRange(min = 0, max = 100) double x,
      @ForAll @DoubleRange(min = 0, max = 100) double y) {
    TriangleIndex index = new TriangleIndex(PLANE);
    assertThat(index.levelAt(412_000 + x, 6_534_000 + y))
        .isCloseTo(10 + 0.1 * x - 0.05 * y, within(1e-9));
  }

  @Test
  void besideTheSurfaceThereIsNoLevel() {
    TriangleIndex index = new TriangleIndex(PLANE);
    assertThat(index.levelAt(411_999, 6_534_050)).isNaN();
    assertThat(new TriangleIndex(new Mesh(new double[0], new int[0])).levelAt(0, 0)).isNaN();
  }

  @Test
  void everyTriangleNearAWindowIsNamed() {
    TriangleIndex index = new TriangleIndex(PLANE);
    List<Integer> near = new ArrayList<>();
    index.forEachNear(412_010, 6_534_010, 412_020, 6_534_020, near::add);
    int inside = index.triangleAt(412_015.5, 6_534_014.2);
    assertThat(near).contains(inside);
    assertThat(near.size()).isLessThan(PLANE.triangleCount());
    List<Integer> none = new ArrayList<>();
    index.forEachNear(0, 0, 10, 10, none::add);
    assertThat(none).isEmpty();
  }

  @Test
  void contoursOfAPlaneLieAtTheirLevel() {
    List<double[]> pieces = new ArrayList<>();
    for (int t = 0; t < PLANE.triangleCount(); t++) {
      Contours.ofTriangle(
          PLANE, t, 1, (k, e0, n0, e1, n1) -> pieces.add(new double[] {k, e0, n0, e1, n1}));
    }
    assertThat(pieces)
        .isNotEmpty()
        .allSatisfy(
            p -> {
              assertThat(10 + 0.1 * (p[1] - 412_000) - 0.05 * (p[2] - 6_534_000))
                  .isCloseTo(p[0], within(1e-8));
              assertThat(10 + 0.1 * (p[3] - 412_000) - 0.05 * (p[4] - 6_534_000))
                  .isCloseTo(p[0], within(1e-8));
            });
    double length =
        pieces.stream()
            .filter(p -> p[0] == 12)
            .mapToDouble(p -> Math.hypot(p[3] - p[1], p[4] - p[2]))
            .sum();
    assertThat(length).isCloseTo(Math.hypot(50, 100), within(1e-6)); // from (20, 0) to (70, 100)
  }

  @Test
  void aFlatSurfaceAtALevelHasNoContourPieces() {
    Mesh flat = net(3, 1, (x, y) -> 5);
    List<Long> steps = new ArrayList<>();
    for (int t = 0; t < flat.triangleCount(); t++) {
      Contours.ofTriangle(flat, t, 1, (k, a, b, c, d) -> steps.add(k));
    }
    assertThat(steps).isEmpty();
  }

  @Test
  void theViewMeshIsLightAndCoversTheSameGround() {
    SplittableRandom random = new SplittableRandom(3);
    Mesh heavy = net(150, 2, (x, y) -> random.nextDouble(3));
    Mesh light = ViewMesh.simplified(heavy, 5000);
    assertThat(light.triangleCount()).isBetween(1000, 5000);
    Box a = heavy.bounds();
    Box b = light.bounds();
    assertThat(b.width()).isCloseTo(a.width(), within(12.0));
    assertThat(b.depth()).isCloseTo(a.depth(), within(12.0));
    assertThat(ViewMesh.simplified(PLANE, 5000)).isSameAs(PLANE);
  }

  @Test
  void aChangeSaysHowMuchAndWhere() {
    Mesh raised = net(21, 5, (x, y) -> 10 + 0.1 * x - 0.05 * y + (x == 50 && y == 40 ? 0.35 : 0));
    SurfaceChange c = SurfaceChange.between(PLANE, raised);
    assertThat(c.largest()).isCloseTo(0.35, within(1e-9));
    assertThat(c.where().orElseThrow().east()).isEqualTo(412_050);
    assertThat(SurfaceChange.between(PLANE, PLANE).isSame()).isTrue();
    assertThat(SurfaceChange.between(raised, PLANE).largest()).isCloseTo(-0.35, within(1e-9));
  }

  @Test
  void contourIntervalsAreReadable() {
    assertThat(ContourInterval.forGap(8)).isEqualTo(1);
    assertThat(ContourInterval.forGap(17)).isEqualTo(5);
    assertThat(ContourInterval.forGap(0.01)).isCloseTo(0.1, within(1e-12));
  }
}
