package wellspan.core.align;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

/** Where a distance lies among pieces, and places on lines of very many pieces. */
class LengthsTest {
  @Test
  void aJointIsTheEndOfOneAndTheStartOfTheNext() {
    Lengths l = Lengths.of(new double[] {2, 3, 5});
    assertThat(l.whole()).isEqualTo(10);
    assertThat(l.endingAtOrAfter(2)).isZero();
    assertThat(l.endingAfter(2)).isEqualTo(1);
    assertThat(l.start(2)).isEqualTo(5);
    assertThat(l.endingAtOrAfter(-1)).as("before the start").isZero();
    assertThat(l.endingAfter(10)).as("the last takes its own end").isEqualTo(2);
    assertThat(l.endingAtOrAfter(11)).as("and what is beyond").isEqualTo(2);
  }

  @Test
  void piecesWithoutLengthAreNeverInTheWay() {
    Lengths l = Lengths.of(new double[] {0, 4, 0, 0, 4});
    assertThat(l.endingAtOrAfter(0)).isZero();
    assertThat(l.endingAfter(0)).isEqualTo(1);
    assertThat(l.endingAtOrAfter(4)).isEqualTo(1);
    assertThat(l.endingAfter(4)).isEqualTo(4);
  }

  @Test
  void manySmallPiecesAddUp() {
    double[] pieces = new double[1_000_000];
    Arrays.fill(pieces, 0.1);
    assertThat(Lengths.of(pieces).whole()).isCloseTo(100_000, within(1e-9));
  }

  @Property(tries = 300)
  void itIsThePieceThatGoingFromOneToTheNextFinds(
      @ForAll @Size(min = 1, max = 40) List<@DoubleRange(min = 0, max = 9) Double> pieces,
      @ForAll @DoubleRange(min = -1, max = 100) double distance) {
    Lengths l = Lengths.of(pieces.stream().mapToDouble(x -> x).toArray());
    int at = 0;
    while (at + 1 < pieces.size() && l.ends()[at] < distance) {
      at++;
    }
    assertThat(l.endingAtOrAfter(distance)).isEqualTo(at);
    while (at + 1 < pieces.size() && l.ends()[at] <= distance) {
      at++;
    }
    assertThat(l.endingAfter(distance)).isEqualTo(at);
  }

  @Test
  void aLineOfManyPiecesIsThereWhereItsPiecesAre() {
    int n = 5_000;
    double[] xy = new double[2 * n + 2];
    List<PlanElement> lines = new ArrayList<>();
    double whole = 0;
    for (int i = 1; i <= n; i++) {
      double a = 0.3 * Math.sin(i / 50.0);
      xy[2 * i] = xy[2 * i - 2] + 2 * Math.cos(a);
      xy[2 * i + 1] = xy[2 * i - 1] + 2 * Math.sin(a);
      lines.add(new PlanElement.Line(new PlanPoint(xy[2 * i - 2], xy[2 * i - 1], a), 2));
      whole += 2;
    }
    Chainages chainages = new Chainages(0, List.of());
    Alignment one =
        new Alignment("one", List.of(new PlanElement.Irregular(xy)), chainages, Optional.empty());
    Alignment many = new Alignment("many", lines, chainages, Optional.empty());
    assertThat(one.length()).isCloseTo(whole, within(1e-9));
    for (int i = 0; i < n; i++) {
      for (Alignment a : List.of(one, many)) {
        AlignmentPoint p = a.at(2 * i + 0.5);
        assertThat(p.east()).isCloseTo(0.75 * xy[2 * i] + 0.25 * xy[2 * i + 2], within(1e-9));
        assertThat(p.north()).isCloseTo(0.75 * xy[2 * i + 1] + 0.25 * xy[2 * i + 3], within(1e-9));
      }
    }
  }
}
