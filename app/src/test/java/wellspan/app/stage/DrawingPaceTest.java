package wellspan.app.stage;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DrawingPaceTest {
  private static final int ALL = 240_000;

  /** Frames of a machine that needs some time for each picture and for each thousand triangles. */
  private static double[] frames(DrawingPace pace, int count, double picture, double thousand) {
    return IntStream.range(0, count)
        .mapToDouble(
            i -> {
              int drawn = Math.min(ALL, pace.most());
              double millis = picture + thousand * drawn / 1000;
              pace.drew(millis, drawn, ALL);
              return millis;
            })
        .toArray();
  }

  @ParameterizedTest
  @CsvSource({"20, 0.5", "10, 2", "30, 1", "16.7, 0.2"})
  void aSlowMachineIsInTimeAfterAFewFramesAndStaysSo(double picture, double thousand) {
    double[] frames = frames(new DrawingPace(), 200, picture, thousand);
    assertThat(IntStream.range(10, 200).filter(i -> frames[i] > 50)).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"16.7, 0", "16.7, 0.05", "5, 0.15"})
  void aQuickMachineLeavesNothingOut(double picture, double thousand) {
    DrawingPace pace = new DrawingPace();
    frames(pace, 100, picture, thousand);
    assertThat(pace.most()).isGreaterThanOrEqualTo(ALL);
  }

  @ParameterizedTest
  @CsvSource({"60, 1", "400, 5"})
  void whereThePictureItselfIsSlowSomethingIsStillSeen(double picture, double thousand) {
    DrawingPace pace = new DrawingPace();
    frames(pace, 100, picture, thousand);
    assertThat(pace.most()).isGreaterThan(1000);
  }

  @ParameterizedTest
  @CsvSource({"20, 0.5", "10, 2"})
  void onceTheMachineHasTimeAgainAllIsDrawn(double picture, double thousand) {
    DrawingPace pace = new DrawingPace();
    frames(pace, 100, picture, thousand);
    assertThat(pace.most()).isLessThan(ALL);
    frames(pace, 100, 16.7, 0);
    assertThat(pace.most()).isGreaterThanOrEqualTo(ALL);
  }
}
