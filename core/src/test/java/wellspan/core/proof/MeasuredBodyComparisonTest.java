package wellspan.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Band;
import wellspan.core.item.Item;

/** Bodies made of measures are alike by their corners and volumes, not by how ends are cut. */
class MeasuredBodyComparisonTest {
  private static final double[] CORNERS = {
    0, 0, 0, 2, 0, 0, 2, 3, 0, 0, 3, 0, 0, 0, 4, 2, 0, 4, 2, 3, 4, 0, 3, 4
  };
  private static final int[] SIDES = {
    0, 1, 5, 0, 5, 4, 1, 2, 6, 1, 6, 5, 2, 3, 7, 2, 7, 6, 3, 0, 4, 3, 4, 7
  };

  private static Mesh box(double[] corners, int... ends) {
    int[] all = java.util.Arrays.copyOf(ends, ends.length + SIDES.length);
    System.arraycopy(SIDES, 0, all, ends.length, SIDES.length);
    return new Mesh(corners, all);
  }

  private static Mesh sent() {
    return box(CORNERS, 0, 2, 1, 0, 3, 2, 4, 5, 6, 4, 6, 7);
  }

  private static ItemComparison compared(Mesh arrived) {
    return MeasuredBodyComparison.compare(
        Item.body("Box", sent(), Band.EDGES), sent(), arrived, 1e-7);
  }

  @Test
  void anEndMayBeCutTheOtherWay() {
    ItemComparison c = compared(box(CORNERS, 0, 3, 1, 1, 3, 2, 4, 5, 7, 5, 6, 7));
    assertThat(c.differences()).isEmpty();
    assertThat(c.figures().identical()).isTrue();
  }

  @ParameterizedTest
  @CsvSource({"0.000009, true", "0.000011, false", "0.002, false"})
  void aCornerMayLieWithinAHundredthOfAMillimetre(double off, boolean alike) {
    double[] moved = CORNERS.clone();
    moved[18] += off;
    assertThat(compared(box(moved, 0, 2, 1, 0, 3, 2, 4, 5, 6, 4, 6, 7)).differences().isEmpty())
        .isEqualTo(alike);
  }

  @Test
  void aBodyThatIsOpenOrHollowIsNotTheSame() {
    assertThat(compared(box(CORNERS, 0, 2, 1, 0, 3, 2, 4, 5, 6, 4, 5, 6)).differences())
        .anySatisfy(d -> assertThat(d.message()).contains("encloses 24.000000 m³ as sent"));
    assertThat(compared(box(CORNERS, 0, 2, 1, 0, 3, 2)).differences()).isNotEmpty();
    int[] turned = sent().triangles().clone();
    for (int i = 0; i < turned.length; i += 3) {
      int b = turned[i + 1];
      turned[i + 1] = turned[i + 2];
      turned[i + 2] = b;
    }
    assertThat(compared(new Mesh(CORNERS, turned)).differences()).isNotEmpty();
  }
}
