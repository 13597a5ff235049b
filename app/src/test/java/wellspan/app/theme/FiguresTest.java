package wellspan.app.theme;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Position;

class FiguresTest {
  @Test
  void thousandsArePartedAndTheMinusIsTrue() {
    assertThat(Figures.number(6_534_500.1239, 3)).isEqualTo("6\u00a0534\u00a0500.124");
    assertThat(Figures.number(-12.5, 1)).isEqualTo("\u221212.5");
    assertThat(Figures.number(-0.0001, 2)).isEqualTo("0.00");
    assertThat(Figures.number(Double.NaN, 2)).isEqualTo("–");
    assertThat(Figures.count(32_670)).isEqualTo("32\u00a0670");
  }

  @Test
  void positionsLeaveOutUnknownLevels() {
    assertThat(Figures.shared(new Position(1, 2, 3))).isEqualTo("E 1.000  N 2.000  H 3.000");
    assertThat(Figures.shared(new Position(1, 2, Double.NaN))).isEqualTo("E 1.000  N 2.000");
    assertThat(Figures.local(new Position(1, 2, 3))).isEqualTo("x 1.000  y 2.000  z 3.000 m");
  }

  @Test
  void distancesTakeTheUnitThatReadsBest() {
    assertThat(Figures.distance(0.000061)).isEqualTo("0.061 mm");
    assertThat(Figures.distance(0.25)).isEqualTo("250.0 mm");
    assertThat(Figures.distance(412)).isEqualTo("412.0 m");
    assertThat(Figures.distance(1431)).isEqualTo("1.43 km");
    assertThat(Figures.millimetres(-0.0384)).isEqualTo("\u221238");
    assertThat(Figures.millimetres(37.82)).isEqualTo("37.8m");
    assertThat(Figures.millimetres(-633)).isEqualTo("\u2212633m");
    assertThat(Figures.millimetres(95_431)).isEqualTo("95km");
    assertThat(Figures.millimetres(-6_791_310)).isEqualTo("far");
    assertThat(Figures.factor(3033.2)).isEqualTo("3\u00a0033");
    assertThat(Figures.factor(0.02)).isEqualTo("1/50");
    assertThat(Figures.bytes(246)).isEqualTo("0.2 kB");
    assertThat(Figures.bytes(31_800_000)).isEqualTo("31.8 MB");
  }

  @Property
  void whatIsShownCanBeTypedAgain(@ForAll @DoubleRange(min = -9e6, max = 9e6) double v) {
    assertThat(Figures.parse(Figures.number(v, 4))).isCloseTo(v, within(0.00005001));
  }

  @Test
  void whatIsNoNumberIsRefused() {
    assertThat(Figures.parse(" 21.5° ")).isEqualTo(21.5);
    for (String s : new String[] {"", "ten", "NaN", "1,5", "1e999"}) {
      assertThatThrownBy(() -> Figures.parse(s)).as(s).isInstanceOf(NumberFormatException.class);
    }
  }
}
