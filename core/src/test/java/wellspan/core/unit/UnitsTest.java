package wellspan.core.unit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Locale;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.schema.IfcSchema;

class UnitsTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "21.5 | 21.5",
        "21,5° | 21.5",
        "-21.5 | -21.5",
        "−21.5 | -21.5",
        "21°30'00\" | 21.5",
        "21° 30′ 00″ | 21.5",
        "21-30-00 | 21.5",
        "21:30 | 21.5",
        "7 28 14.953 W | -7.470820277777778",
        "33°54'S | -33.9",
        "7.47 O | 7.47",
        "+8d15'30.5\" | 8.258472222222222"
      })
  void anglesAreReadInEveryWriting(String text, double degrees) {
    assertThat(Angles.degrees(text).orElseThrow()).isCloseTo(degrees, within(1e-12));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"", "north", "21°60'", "21°30'60\"", "1e5", "NaN", "21..5", "1234.5", "5 6 7 8"})
  void whatIsNoAngleIsRefused(String text) {
    assertThat(Angles.degrees(text)).isEmpty();
  }

  @Property(tries = 200)
  void degreesMinutesAndSecondsComeBack(
      @ForAll @DoubleRange(min = -180, max = 180) double degrees) {
    long tenThousandths = Math.round(Math.abs(degrees) * 36_000_000);
    String text =
        String.format(
            Locale.ROOT,
            "%s%d°%d'%.4f\"",
            degrees < 0 ? "-" : "",
            tenThousandths / 36_000_000,
            tenThousandths / 600_000 % 60,
            tenThousandths % 600_000 / 10_000.0);
    assertThat(Angles.degrees(text).orElseThrow()).isCloseTo(degrees, within(2e-8));
  }

  @Test
  void unitsAreFoundBySymbolTitleAndLength() {
    assertThat(LinearUnit.named("mm")).contains(LinearUnit.MILLIMETRE);
    assertThat(LinearUnit.named(" US Survey Foot ")).contains(LinearUnit.US_SURVEY_FOOT);
    assertThat(LinearUnit.named("parsec")).isEmpty();
    assertThat(LinearUnit.nearest(1200.0 / 3937)).contains(LinearUnit.US_SURVEY_FOOT);
    assertThat(LinearUnit.nearest(0.3048)).contains(LinearUnit.FOOT);
    assertThat(LinearUnit.nearest(0.3048006)).as("between the two feet").isEmpty();
    assertThat(LinearUnit.nearest(2)).isEmpty();
  }

  @Test
  void schemasAreFoundByIdAndShortForm() {
    assertThat(IfcSchema.named("ifc4x3")).contains(IfcSchema.IFC4X3);
    assertThat(IfcSchema.named("IFC4X3_ADD2")).contains(IfcSchema.IFC4X3);
    assertThat(IfcSchema.named("IFC2x3")).contains(IfcSchema.IFC2X3);
    assertThat(IfcSchema.named("IFC5")).isEmpty();
    assertThat(IfcSchema.IFC2X3.title()).isEqualTo("IFC2x3");
  }
}
