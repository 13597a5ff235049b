package wellspan.core.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.solid.SolidBoolean;

class HalfSpaceTest {
  private static final double E = 412_000;
  private static final double N = 6_534_500;

  private static Mesh box(double x, double y, double z, double dx, double dy, double dz) {
    double[] xyz = new double[24];
    for (int i = 0; i < 8; i++) {
      xyz[3 * i] = E + x + ((i & 1) != 0 ? dx : 0);
      xyz[3 * i + 1] = N + y + ((i & 2) != 0 ? dy : 0);
      xyz[3 * i + 2] = z + ((i & 4) != 0 ? dz : 0);
    }
    return new Mesh(
        xyz,
        new int[] {
          0, 2, 3, 0, 3, 1, 4, 5, 7, 4, 7, 6, 0, 1, 5, 0, 5, 4, 2, 6, 7, 2, 7, 3, 0, 4, 6, 0, 6, 2,
          1, 3, 7, 1, 7, 5
        });
  }

  private static HalfSpace west(double x) {
    return new HalfSpace(new Position(E + x, N, 0), new Position(1, 0, 0));
  }

  @Test
  void aBoxIsCutToItsWestAndClosedAgain() {
    Mesh half = west(3).of(box(0, 0, 0, 10, 2, 1));
    assertThat(half.isClosed()).isTrue();
    assertThat(half.volume()).isCloseTo(6, within(1e-6));
    assertThat(half.bounds().maxE()).isCloseTo(E + 3, within(1e-9));
  }

  @Test
  void whatLiesOnOneSideIsKeptOrGone() {
    Mesh b = box(0, 0, 0, 10, 2, 1);
    assertThat(west(20).of(b)).isSameAs(b);
    assertThat(west(-1).of(b).triangleCount()).isZero();
  }

  @Test
  void aPipeIsClosedByARingWithItsHole() {
    Mesh pipe = SolidBoolean.difference(box(0, 0, 0, 10, 4, 4), box(-1, 1, 1, 12, 2, 2));
    assertThat(pipe.volume()).isCloseTo(120, within(1e-6));
    Mesh half = west(2.5).of(pipe);
    assertThat(half.volume()).isCloseTo(30, within(1e-6));
    assertThat(half.surfaceArea()).as("no hole in its ends").isCloseTo(84, within(1e-6));
  }

  @Test
  void aSurfaceIsCutAndStaysOne() {
    Mesh sheet =
        new Mesh(
            new double[] {E, N, 1, E + 10, N, 1, E + 10, N + 10, 1, E, N + 10, 1},
            new int[] {0, 1, 2, 0, 2, 3});
    Mesh half = west(4).of(sheet);
    assertThat(half.planArea()).isCloseTo(40, within(1e-6));
    assertThat(half.isClosed()).isFalse();
  }

  @Test
  void aLineIsCutIntoWhatIsKept() {
    Polyline zigzag =
        new Polyline(new double[] {E, N, 0, E + 10, N, 10, E, N, 20, E + 2, N, Double.NaN});
    assertThat(west(4).of(zigzag))
        .extracting(Polyline::xyz)
        .containsExactly(
            new double[] {E, N, 0, E + 4, N, 4},
            new double[] {E + 4, N, 16, E, N, 20, E + 2, N, Double.NaN});
    assertThat(west(20).of(zigzag)).singleElement().extracting(Polyline::pointCount).isEqualTo(4);
    assertThat(west(-1).of(zigzag)).isEmpty();
  }

  @RepeatedTest(40)
  void bothSidesTogetherAreTheWhole(RepetitionInfo info) {
    Random r = new Random(info.getCurrentRepetition());
    Mesh whole = box(r.nextDouble(), r.nextDouble(), r.nextDouble(), 3 + r.nextDouble(), 4, 5);
    Position n = new Position(r.nextGaussian(), r.nextGaussian(), r.nextGaussian());
    Position at =
        new Position(
            E + 1 + 2 * r.nextDouble(), N + 1 + 2 * r.nextDouble(), 1 + 3 * r.nextDouble());
    Mesh one = new HalfSpace(at, n).of(whole);
    Mesh other = new HalfSpace(at, new Position(-n.east(), -n.north(), -n.level())).of(whole);
    assertThat(one.isClosed()).isTrue();
    assertThat(other.isClosed()).isTrue();
    assertThat(one.volume() + other.volume()).isCloseTo(whole.volume(), within(1e-6));
  }
}
