package wellspan.core.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Mesh;

class SolidsTest {
  static Mesh box(double x0, double y0, double z0, double x1, double y1, double z1) {
    return Loft.body(
        List.of(
            List.of(new double[] {x0, y0, z0, x1, y0, z0, x1, y1, z0, x0, y1, z0}),
            List.of(new double[] {x0, y0, z1, x1, y0, z1, x1, y1, z1, x0, y1, z1})),
        false);
  }

  private static Mesh column(double x, double y, double r, double z0, double z1, int corners) {
    List<List<double[]>> sections = new ArrayList<>();
    for (double z : new double[] {z0, z1}) {
      double[] loop = new double[3 * corners];
      for (int i = 0; i < corners; i++) {
        double a = 2 * Math.PI * i / corners;
        loop[3 * i] = x + r * Math.cos(a);
        loop[3 * i + 1] = y + r * Math.sin(a);
        loop[3 * i + 2] = z;
      }
      sections.add(List.of(loop));
    }
    return Loft.body(sections, false);
  }

  @Test
  void aFrustumHasItsVolumeAndIsClosedAndTurnedOutwards() {
    Mesh m =
        Loft.body(
            List.of(
                List.of(new double[] {0, 0, 0, 4, 0, 0, 4, 4, 0, 0, 4, 0}),
                List.of(new double[] {1, 1, 3, 3, 1, 3, 3, 3, 3, 1, 3, 3})),
            false);
    assertThat(m.isClosed()).isTrue();
    assertThat(m.volume()).isEqualTo(3.0 / 3 * (16 + 4 + 8), within(1e-12));
  }

  @Test
  void aHollowSectionLeavesItsHoleOpen() {
    List<double[]> low =
        List.of(
            new double[] {0, 0, 0, 4, 0, 0, 4, 4, 0, 0, 4, 0},
            new double[] {1, 3, 0, 3, 3, 0, 3, 1, 0, 1, 1, 0});
    List<double[]> high = new ArrayList<>();
    for (double[] loop : low) {
      double[] up = loop.clone();
      for (int i = 2; i < up.length; i += 3) {
        up[i] = 2;
      }
      high.add(up);
    }
    Mesh m = Loft.body(List.of(low, high), false);
    assertThat(m.isClosed()).isTrue();
    assertThat(m.volume()).isEqualTo(2 * (16 - 4), within(1e-12));
  }

  @Test
  void boxesAreCutWatertight() {
    Mesh wall = box(0, 0, 0, 10, 0.3, 3);
    Mesh opening = box(4, -1, 1, 6, 1, 2.2);
    Mesh left = SolidBoolean.difference(wall, opening);
    assertThat(left.isClosed()).isTrue();
    assertThat(left.volume()).isEqualTo(9 - 2 * 0.3 * 1.2, within(1e-9));
    assertThat(SolidBoolean.intersection(wall, opening).volume()).isEqualTo(0.72, within(1e-9));
    assertThat(SolidBoolean.union(wall, opening).volume())
        .isEqualTo(9 + 2 * 2 * 1.2 - 0.72, within(1e-9));
  }

  @Test
  void facesThatLieInOneAnotherAreNoTrouble() {
    Mesh left = SolidBoolean.difference(box(0, 0, 0, 2, 2, 2), box(0, 0, 0, 1, 2, 2));
    assertThat(left.isClosed()).isTrue();
    assertThat(left.volume()).isEqualTo(4, within(1e-9));
  }

  @Test
  void farFromTheZeroBodiesAreCutAsNearIt() {
    double e = 6_534_500;
    Mesh left =
        SolidBoolean.difference(
            box(e, e, 0, e + 5, e + 5, 5), box(e + 1, e + 1, -1, e + 2, e + 2, 6));
    assertThat(left.isClosed()).isTrue();
    assertThat(left.volume()).isEqualTo(125 - 5, within(1e-5));
  }

  @Test
  void inclusionAndExclusionHoldForRandomBodies() {
    Random r = new Random(11);
    for (int n = 0; n < 300; n++) {
      Mesh a = box(0, 0, 0, 1 + r.nextDouble(), 1 + r.nextDouble(), 1 + r.nextDouble());
      Mesh b =
          column(
              r.nextDouble() * 1.5,
              r.nextDouble() * 1.5,
              0.2 + r.nextDouble(),
              r.nextDouble() - 0.7,
              0.8 + r.nextDouble(),
              3 + r.nextInt(20));
      Mesh cut = SolidBoolean.difference(a, b);
      Mesh both = SolidBoolean.intersection(a, b);
      Mesh all = SolidBoolean.union(a, b);
      assertThat(cut.isClosed() || cut.triangleCount() == 0).as("difference %d", n).isTrue();
      assertThat(cut.volume() + both.volume()).isEqualTo(a.volume(), within(1e-8));
      assertThat(all.volume()).isEqualTo(cut.volume() + b.volume(), within(1e-8));
    }
  }
}
