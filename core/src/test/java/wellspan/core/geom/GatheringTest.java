package wellspan.core.geom;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class GatheringTest {
  private static Box at(double east, double north) {
    return Box.of(new double[] {east, north, 0, east + 10, north + 10, 5});
  }

  @Test
  void oneThatLiesFarAwayIsLeftOut() {
    Box b =
        Gathering.of(
            List.of(at(400_000, 6e6), at(1.3e6, 2.1e7), at(401_000, 6e6), Box.EMPTY), 50_000);
    assertThat(b.minE()).isEqualTo(400_000);
    assertThat(b.maxE()).isEqualTo(401_010);
    assertThat(b.maxN()).isEqualTo(6e6 + 10);
  }

  @Test
  void allAreTakenWhereTheyLieTogetherOrNoneIsInTheMiddle() {
    assertThat(Gathering.of(List.of(at(0, 0), at(9000, 0)), 50_000).width()).isEqualTo(9010);
    Box scattered = Gathering.of(List.of(at(0, 9e6), at(5e6, 5e6), at(9e6, 0)), 1);
    assertThat(scattered).isEqualTo(at(5e6, 5e6));
    Box crossed = Gathering.of(List.of(at(0, 5e6), at(5e6, 0), at(9e6, 9e6)), 1);
    assertThat(crossed.width()).as("none lies in the middle").isEqualTo(9e6 + 10);
    assertThat(Gathering.of(List.of(), 1).isEmpty()).isTrue();
  }
}
