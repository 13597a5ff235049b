package wellspan.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Position;

class MeasuredTest {
  @Test
  void threeFourTwelveThirteen() {
    Measured m =
        Measured.of(
            List.of(new Position(412_000, 6_534_500, 10), new Position(412_003, 6_534_504, 22)));
    assertThat(m.planLength()).isEqualTo(5);
    assertThat(m.spaceLength()).isEqualTo(13);
    assertThat(m.rise()).isEqualTo(12);
    assertThat(m.slope()).isEqualTo(240);
    assertThat(m.bearing()).isCloseTo(Math.toDegrees(Math.atan2(3, 4)), within(1e-12));
    assertThat(m.planArea()).isZero();
  }

  @Test
  void aRoofHasTheAreaOfItsSlope() {
    Measured m =
        Measured.of(
            List.of(
                new Position(0, 0, 0),
                new Position(0, 10, 0),
                new Position(4, 10, 3),
                new Position(4, 0, 3)));
    assertThat(m.planArea()).isCloseTo(40, within(1e-12));
    assertThat(m.spaceArea()).as("5 m up the slope by 10 m").isCloseTo(50, within(1e-12));
    assertThat(m.bearing()).isEqualTo(90);
  }

  @Test
  void whatHasNoLevelIsStillMeasuredInPlan() {
    Measured m = Measured.of(List.of(new Position(0, 0, Double.NaN), new Position(-1, 0, 5)));
    assertThat(m.planLength()).isEqualTo(1);
    assertThat(m.spaceLength()).isNaN();
    assertThat(m.slope()).isNaN();
    assertThat(m.bearing()).isEqualTo(270);
  }

  @Test
  void aPlaceThatIsPickedTwiceHasNoBearing() {
    Position p = new Position(5, 5, 5);
    assertThat(Measured.of(List.of(p, p)).bearing()).isNaN();
    assertThat(Measured.of(List.of(p, p)).slope()).isNaN();
  }
}
