package wellspan.exchange.dxf.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.geom.Polyline;

class DrawnTextTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "BN-7|BN-7",
        "90%%d|90°",
        "%%p0.02|±0.02",
        "%%c300|⌀300",
        "%%uLEVEL%%u|LEVEL",
        "5%%%|5%",
        "%%065|A",
        "B\\U+00F6schung|Böschung"
      })
  void aLineLosesItsMarks(String drawn, String words) {
    assertThat(DrawnText.line(drawn)).isEqualTo(words);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '=',
      value = {
        "{\\fSans|b0|i0;Quay}\\PRoad=Quay Road",
        "\\A1;\\H2.5x;12.35=12.35",
        "a\\~b=a b",
        "\\S1#2; inch=1/2 inch",
        "\\Lunder\\l line=under line",
        "C:\\\\plans \\{x\\}=C:\\plans {x}"
      })
  void aParagraphLosesItsLook(String drawn, String words) {
    assertThat(DrawnText.paragraph(drawn)).isEqualTo(words);
  }

  @ParameterizedTest
  @CsvSource({
    "1,FF0000",
    "2,FFFF00",
    "5,0000FF",
    "7,FFFFFF",
    "8,808080",
    "10,FF0000",
    "30,FF7F00",
    "90,00FF00",
    "170,0000FF",
    "11,FF7F7F",
    "12,A50000",
    "14,7F0000",
    "19,261313",
    "250,333333",
    "255,FFFFFF",
    "999,FFFFFF"
  })
  void numberedColoursFollowTheTable(int index, String rgb) {
    assertThat(ColourIndex.rgb(index)).isEqualTo(Integer.parseInt(rgb, 16));
  }

  private static Polyline line(double... xyz) {
    return new Polyline(xyz);
  }

  @Test
  void onlyEqualLinesThatHalveEachOtherAreCrosses() {
    Polyline flat = line(9, 5, 1, 11, 5, 1);
    assertThat(Crosses.in(List.of(flat, line(10, 4, 1, 10, 6, 1)), 5))
        .singleElement()
        .satisfies(
            m -> {
              assertThat(m.at()).containsExactly(10, 5, 1);
              assertThat(m.size()).isEqualTo(1);
            });
    assertThat(Crosses.in(List.of(flat, line(10, 4.5, 1, 10, 6.5, 1)), 5)).as("beside").isEmpty();
    assertThat(Crosses.in(List.of(flat, line(10, 3, 1, 10, 7, 1)), 5)).as("longer").isEmpty();
    assertThat(Crosses.in(List.of(flat, line(9, 4.5, 1, 11, 5.5, 1)), 5)).as("slanting").isEmpty();
    assertThat(Crosses.in(List.of(flat, line(10, 4, 1, 10, 6, 1)), 1)).as("too large").isEmpty();
    assertThat(Crosses.in(List.of(flat, flat, line(10, 4, 1, 10, 6, 1)), 5))
        .as("an arm makes one cross only")
        .hasSize(1);
  }
}
