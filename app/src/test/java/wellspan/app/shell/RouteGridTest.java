package wellspan.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RouteGridTest {
  @ParameterizedTest
  @ValueSource(doubles = {1080, 1280, 1920, 3840})
  void stopsStandEvenlyOnWholePixelsInsideTheWindow(double width) {
    for (int i = 0; i < 5; i++) {
      double gap = RouteGrid.x(i + 1, width) - RouteGrid.x(i, width);
      assertThat(gap).isBetween((width - 448) / 5 - 1, (width - 448) / 5 + 1);
      assertThat(RouteGrid.x(i, width) % 1).isZero();
    }
    assertThat(RouteGrid.x(5, width)).isLessThan(width - 200);
  }

  @Test
  void theFirstStopStandsRightOfTheStrata() {
    assertThat(RouteGrid.x(0, 1280)).isGreaterThan(StrataView.WIDTH);
  }
}
