package wellspan.core.align;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;

/** What an alignment's properties say of its cant. */
class CantTest {
  private static final Chainages FROM_500 = new Chainages(500, List.of());

  private static PropertyValue metres(double m) {
    return new PropertyValue.Length(m);
  }

  private static PropertyValue table(PropertyValue... pairs) {
    List<PropertyValue> at = new ArrayList<>();
    List<PropertyValue> said = new ArrayList<>();
    for (int i = 0; i < pairs.length; i += 2) {
      at.add(pairs[i]);
      said.add(pairs[i + 1]);
    }
    return new PropertyValue.Table(at, said);
  }

  private static PropertySet design(String turn, double... stationsAndCants) {
    PropertyValue[] cants = new PropertyValue[stationsAndCants.length];
    PropertyValue[] turns = new PropertyValue[stationsAndCants.length];
    for (int i = 0; i < stationsAndCants.length; i += 2) {
      cants[i] = metres(stationsAndCants[i]);
      turns[i] = cants[i];
      cants[i + 1] = metres(stationsAndCants[i + 1]);
      turns[i + 1] = new PropertyValue.Label(turn);
    }
    Map<String, PropertyValue> v = new LinkedHashMap<>();
    v.put("Gauge", metres(1.435));
    v.put("AppliedCant", table(cants));
    v.put("Curvature", table(turns));
    return new PropertySet("Cant main", v);
  }

  @ParameterizedTest
  @CsvSource({"cw, 0.1, 0", "ccw, 0, 0.1"})
  void theRailOutsideOfTheCurveIsRaised(String turn, double left, double right) {
    Cant c = Cant.of(List.of(design(turn, 520, 0, 560, 0.1)), FROM_500).orElseThrow();
    assertThat(c.railHeadDistance()).isEqualTo(1.435);
    assertThat(c.stations())
        .containsExactly(
            new Cant.Station(20, 0, 0, Cant.Law.LINEAR),
            new Cant.Station(60, left, right, Cant.Law.LINEAR));
  }

  @Test
  void whatSaysNotEnoughIsNone() {
    assertThat(Cant.of(List.of(), FROM_500)).isEmpty();
    assertThat(Cant.of(List.of(design("cw", 520, 0)), FROM_500)).as("one station").isEmpty();
    assertThat(Cant.of(List.of(design("cw", 560, 0, 520, 0.1)), FROM_500)).as("falling").isEmpty();
    Map<String, PropertyValue> narrow =
        new LinkedHashMap<>(design("cw", 520, 0, 560, 0.1).values());
    narrow.put("Gauge", metres(0));
    assertThat(Cant.of(List.of(new PropertySet("Cant", narrow)), FROM_500)).isEmpty();
    assertThat(
            Cant.of(
                List.of(new PropertySet("Cantilever", design("cw", 520, 0, 560, 0.1).values())),
                FROM_500))
        .as("another set")
        .isEmpty();
  }

  @RepeatedTest(20)
  void itsSetSaysTheSame(RepetitionInfo turn) {
    Random random = new Random(turn.getCurrentRepetition());
    List<Cant.Station> stations = new ArrayList<>();
    double d = 0;
    for (int i = 0; i < 2 + random.nextInt(6); i++) {
      d += 0.5 + 90 * random.nextDouble();
      Cant.Law law = Cant.Law.values()[random.nextInt(Cant.Law.values().length)];
      stations.add(
          new Cant.Station(d, 0.15 * random.nextDouble(), 0.15 * random.nextDouble(), law));
    }
    Cant c = new Cant(1.5, stations);
    assertThat(Cant.of(List.of(c.set()), FROM_500)).contains(c);
  }
}
