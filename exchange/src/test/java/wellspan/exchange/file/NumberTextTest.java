package wellspan.exchange.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.BigRange;
import net.jqwik.api.constraints.Scale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class NumberTextTest {
  private static NumberText over(String s) {
    NumberText t = new NumberText(true);
    t.over(s.toCharArray(), 0, s.length());
    return t;
  }

  @Property(tries = 2000)
  void decimalsReadAsTheNearestDouble(
      @ForAll @BigRange(min = "-9999999", max = "9999999") @Scale(9) BigDecimal d) {
    assertThat(over(d.toPlainString()).nextDouble())
        .isEqualTo(Double.parseDouble(d.toPlainString()));
  }

  @Property
  void everyDoubleReadsBack(@ForAll double d) {
    assertThat(over(" " + d + " ").nextDouble()).isEqualTo(d);
  }

  @Test
  void tokensFollowEachOther() {
    NumberText t = over("\n 12 -3.5,+4e2\t7D1 ");
    assertThat(t.nextWhole()).isEqualTo(12);
    assertThat(t.nextWhole()).isEqualTo(-1);
    assertThat(t.nextDouble()).isEqualTo(-3.5);
    assertThat(t.nextDouble()).isEqualTo(400);
    assertThat(t.nextDouble()).isEqualTo(70);
    assertThat(t.hasNext()).isFalse();
  }

  @Test
  void idsThatOnlyLookLikeNumbersStayText() {
    NumberText t = over("007 12a 1234567890");
    assertThat(t.nextWhole()).isEqualTo(-1);
    assertThat(t.nextToken()).isEqualTo("007");
    assertThat(t.nextWhole()).isEqualTo(-1);
    assertThat(t.nextToken()).isEqualTo("12a");
    assertThat(t.nextWhole()).isEqualTo(-1);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"NaN", "Infinity", "-", ".", "1.2.3", "12x", "0x10p3", "1e", "5f", "", "1e999"})
  void whatIsNoNumberIsRefused(String s) {
    assertThatThrownBy(() -> over(s).nextDouble()).isInstanceOf(NumberFormatException.class);
  }
}
