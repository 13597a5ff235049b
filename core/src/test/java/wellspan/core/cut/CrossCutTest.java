package wellspan.core.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.geom.Mesh;
import wellspan.core.network.Chamber;
import wellspan.core.network.ChamberBody;

class CrossCutTest {
  private static Alignment north() {
    return new Alignment(
        "a",
        List.of(new PlanElement.Line(new PlanPoint(100, 200, Math.PI / 2), 50)),
        new Chainages(0, List.of()),
        Optional.empty());
  }

  private static double area(double[] ring) {
    double sum = 0;
    for (int i = 0; i + 3 < ring.length; i += 2) {
      sum += ring[i] * ring[i + 3] - ring[i + 2] * ring[i + 1];
    }
    return Math.abs(sum / 2);
  }

  @Test
  void aHollowBodyGivesItsOutlineAndItsHollow() {
    Mesh m =
        new ChamberBody(103, 210, new Chamber.Form.Rectangular(2, 1, 0), 10, 7, 0.2, 0.2, 0.1)
            .mesh(0.01);
    List<double[]> rings = new CrossCut(north(), 10, 20).of(m);
    assertThat(rings).hasSize(2);
    assertThat(rings).allSatisfy(r -> assertThat(r[0]).isEqualTo(r[r.length - 2]));
    double[] areas = rings.stream().mapToDouble(CrossCutTest::area).sorted().toArray();
    assertThat(areas[0]).isCloseTo(2 * 2.9, within(1e-9));
    assertThat(areas[1]).isCloseTo(2.4 * 3.2, within(1e-9));
    double right = rings.stream().mapToDouble(r -> r[0]).max().orElse(0);
    assertThat(right).isGreaterThan(0); // east of a line that runs north
  }

  @Test
  void aSurfaceGivesOneLineAndWhatIsFarNone() {
    Mesh m =
        new Mesh(
            new double[] {90, 190, 1, 120, 190, 4, 120, 230, 4, 90, 230, 1},
            new int[] {0, 1, 2, 0, 2, 3});
    List<double[]> lines = new CrossCut(north(), 10, 40).of(m);
    assertThat(lines).hasSize(1);
    double[] l = lines.getFirst();
    assertThat(Math.abs(l[0] - l[l.length - 2])).isCloseTo(30, within(1e-9));
    for (int i = 0; i < l.length; i += 2) {
      assertThat(l[i + 1]).isCloseTo(1 + (l[i] + 10) / 10, within(1e-9));
    }
    assertThat(new CrossCut(north(), 45, 40).of(m)).isEmpty();
  }
}
