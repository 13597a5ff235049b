package wellspan.exchange.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.math.RoundingMode;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class DecimalTextTest {
  @Property(tries = 2000)
  void aNumberIsWrittenToItsLastDecimal(
      @ForAll @DoubleRange(min = -7e6, max = 7e6) double d,
      @ForAll @IntRange(min = 1, max = 9) int decimals) {
    String s = DecimalText.append(new StringBuilder(), d, decimals).toString();
    BigDecimal exact = new BigDecimal(d).setScale(decimals, RoundingMode.HALF_EVEN);
    BigDecimal unit = BigDecimal.ONE.movePointLeft(decimals);
    assertThat(new BigDecimal(s).subtract(exact).abs()).isLessThanOrEqualTo(unit);
    assertThat(s).matches("-?\\d+\\.\\d{1," + decimals + "}");
  }

  @Test
  void zerosAtTheEndAreLeftOutButForOne() {
    assertThat(DecimalText.append(new StringBuilder(), 12, 7)).hasToString("12.0");
    assertThat(DecimalText.append(new StringBuilder(), -0.5, 7)).hasToString("-0.5");
    assertThat(DecimalText.append(new StringBuilder(), 0.0000001, 7)).hasToString("0.0000001");
    assertThat(DecimalText.append(new StringBuilder(), -0.00000001, 7)).hasToString("0.0");
    assertThat(DecimalText.append(new StringBuilder(), 3e12, 7)).hasToString("3000000000000.0");
  }

  @Test
  void whatIsNoNumberIsRefused() {
    assertThatThrownBy(() -> DecimalText.append(new StringBuilder(), Double.NaN, 3))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> DecimalText.append(new StringBuilder(), Double.NEGATIVE_INFINITY, 3))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
