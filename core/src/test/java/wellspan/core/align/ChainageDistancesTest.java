package wellspan.core.align;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class ChainageDistancesTest {
  private static Chainages jump(double back, double ahead, boolean increasing) {
    return new Chainages(100, List.of(new Chainages.Equation(40, back, ahead, increasing)));
  }

  @Test
  void aLabelStandsWhereItsDistanceSays() {
    Chainages plain = new Chainages(100, List.of());
    assertThat(plain.distances(130, 100)).containsExactly(30.0);
    assertThat(plain.distances(99, 100)).isEmpty();
    assertThat(plain.distances(201, 100)).isEmpty();
  }

  @Test
  void equationsLeaveLabelsOutAndUseThemTwice() {
    assertThat(jump(140, 500, true).distances(510, 100)).containsExactly(50.0);
    assertThat(jump(140, 500, true).distances(140, 100)).containsExactly(40.0);
    assertThat(jump(140, 500, true).distances(300, 100)).isEmpty();
    assertThat(jump(140, 120, true).distances(130, 100)).containsExactly(30.0, 50.0);
    assertThat(jump(140, 200, false).distances(190, 100)).containsExactly(50.0);
  }

  @Test
  void everyLabelIsFoundAgain() {
    Chainages c = jump(140, 120, true);
    for (double d = 0; d <= 100; d += 2.5) {
      double at = d;
      assertThat(c.distances(c.at(d), 100))
          .anySatisfy(x -> assertThat(x).isCloseTo(at, within(1e-9)));
    }
  }
}
