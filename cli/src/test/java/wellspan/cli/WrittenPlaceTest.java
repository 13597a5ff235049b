package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class WrittenPlaceTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "7,5 58,25 3|7.5|58.25|3",
        "412868,35;6534560,12|412868.35|6534560.12|''",
        "7°30'E 58°15'00\"N|7.5|58.25|''",
        "58°15'N 7°30'00,0\"E 12.5|7.5|58.25|12.5",
        "7°30'W, 58°15'S|-7.5|-58.25|''",
        "-7.5 58,25|-7.5|58.25|''"
      })
  void theUsualWritingsAreRead(String line, double x, double y, String rest) {
    WrittenPlace p = WrittenPlace.of(line).orElseThrow();
    assertThat(p.x()).isCloseTo(x, within(1e-12));
    assertThat(p.y()).isCloseTo(y, within(1e-12));
    assertThat(p.rest()).isEqualTo(rest);
  }

  @ParameterizedTest
  @ValueSource(strings = {"7.5", "7° 30' E 58° 15' N", "nan 3", "a b", "7°75'E 58°15'N", "1 2 3 4"})
  void whatIsNoPlaceIsNone(String line) {
    assertThat(WrittenPlace.of(line)).isEmpty();
  }

  @Test
  void emptyIsNone() {
    assertThat(WrittenPlace.of("")).isEmpty();
  }
}
